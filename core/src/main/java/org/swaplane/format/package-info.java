/**
 * Telling files apart by content, opening them, and writing them back with changed targets only. Entry type:
 * {@link org.swaplane.format.FormatRegistry}. Each format lives in a package of its own below this one.
 */
package org.swaplane.format;
