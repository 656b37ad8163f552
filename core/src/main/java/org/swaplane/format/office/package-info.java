/**
 * Office documents (ECMA-376): word processing, spreadsheets and presentations. Their text stands in paragraphs of runs in XML parts of a zip;
 * a part is spliced like any text, and parts without a change are copied as they are. Entry type:
 * {@link org.swaplane.format.office.OfficeFormat}.
 */
package org.swaplane.format.office;
