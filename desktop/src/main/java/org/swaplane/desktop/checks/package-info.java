/**
 * Findings by group, with the two texts marked, a fix, or a reason to set aside. Entry type:
 * {@link org.swaplane.desktop.checks.ChecksView}.
 */
package org.swaplane.desktop.checks;
