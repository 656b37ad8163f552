/**
 * From one format into a new file of another, chosen by content and by extension. Entry type:
 * {@link org.swaplane.convert.Conversion}.
 */
package org.swaplane.convert;
