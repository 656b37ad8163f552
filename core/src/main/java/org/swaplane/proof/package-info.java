/**
 * The dry run: proofs that a file survives the way out, stated before anyone works on it. Entry type:
 * {@link org.swaplane.proof.DryRun}.
 */
package org.swaplane.proof;
