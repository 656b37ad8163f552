/**
 * Letting the result go: names of files, the gate, and the receipt. Entry type: {@link org.swaplane.release.Gate}.
 */
package org.swaplane.release;
