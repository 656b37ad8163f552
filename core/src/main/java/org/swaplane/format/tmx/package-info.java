/**
 * TMX 1.4b (and 1.1 to 1.3) read as a stream, every other language variant of a unit being a segment, written back by splicing, and
 * written anew. Entry type: {@link org.swaplane.format.tmx.TmxFormat}.
 */
package org.swaplane.format.tmx;
