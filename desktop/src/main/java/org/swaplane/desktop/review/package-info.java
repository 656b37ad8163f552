/**
 * The list of segments and the one in hand: editor, pairing strip, findings, history. Entry type:
 * {@link org.swaplane.desktop.review.ReviewView}.
 */
package org.swaplane.desktop.review;
