/**
 * Tables with source and target side by side: delimited text and workbooks, and what their first rows name. Entry types:
 * {@link org.swaplane.format.table.DelimitedText} and {@link org.swaplane.format.table.WorkbookPairs}.
 */
package org.swaplane.format.table;
