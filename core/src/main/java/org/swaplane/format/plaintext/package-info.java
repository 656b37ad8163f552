/** Plain text: each line is a unit. Entry type: {@link org.swaplane.format.plaintext.PlainTextFormat}. */
package org.swaplane.format.plaintext;
