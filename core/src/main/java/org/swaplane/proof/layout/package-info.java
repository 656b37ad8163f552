/**
 * Whether texts fit where they stand: columns of a spreadsheet, boxes of a slide. Estimated from the numbers of characters, since the
 * fonts of the client need not be here. Entry type: {@link org.swaplane.proof.layout.Overflow}.
 */
package org.swaplane.proof.layout;
