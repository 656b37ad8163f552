/**
 * XLIFF 2.0, 2.1 and 2.2 read as a stream and written back by splicing, as XLIFF 1.2 is. Entry type:
 * {@link org.swaplane.format.xliff2.Xliff2Format}.
 */
package org.swaplane.format.xliff2;
