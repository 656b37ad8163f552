/**
 * Tables as text (CSV, TSV) that are documents in one language: the cells of chosen columns are units. Tables of source and target are
 * read by {@link org.swaplane.format.table.DelimitedText}. Entry type: {@link org.swaplane.format.delimited.DelimitedFormat}.
 */
package org.swaplane.format.delimited;
