/**
 * The dry run: proofs with their verdicts, and the text before and after. Entry type:
 * {@link org.swaplane.desktop.dryrun.DryRunView}.
 */
package org.swaplane.desktop.dryrun;
