/**
 * A bilingual document as every format gives it: parts, segments with source, target, state and notes, and the problems
 * found on reading. Entry type: {@link org.swaplane.document.BilingualDocument}. Knows no file format.
 */
package org.swaplane.document;
