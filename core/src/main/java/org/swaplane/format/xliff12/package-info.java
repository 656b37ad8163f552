/**
 * XLIFF 1.2 (and its forerunners) read as a stream that remembers where every target stands, so that writing splices
 * changed targets into a copy of the original characters. Entry type: {@link org.swaplane.format.xliff12.Xliff12Format}.
 */
package org.swaplane.format.xliff12;
