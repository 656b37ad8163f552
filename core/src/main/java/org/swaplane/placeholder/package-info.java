/**
 * Placeholders in text: pieces that a program fills in and that must come through unchanged. Entry type:
 * {@link org.swaplane.placeholder.Placeholders}.
 */
package org.swaplane.placeholder;
