/**
 * The gate, the file that will be written, and the receipts. Entry type:
 * {@link org.swaplane.desktop.release.ReleaseView}.
 */
package org.swaplane.desktop.release;
