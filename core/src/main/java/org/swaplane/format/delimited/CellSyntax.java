package org.swaplane.format.delimited;

import org.swaplane.content.Content;
import org.swaplane.format.UnitSyntax;

/** How a cell is written: within the quotation marks that it has, or in new ones where it needs them. */
record CellSyntax(boolean quoted, char separator) implements UnitSyntax {
    @Override
    public String written(Content content) {
        String value = content.withCodes();
        String escaped = value.replace("\"", "\"\"");
        boolean needsQuotes = !quoted
                && (!escaped.equals(value) || value.indexOf(separator) >= 0 || value.matches("(?s).*[\\r\\n].*"));
        return needsQuotes ? '"' + escaped + '"' : quoted ? escaped : value;
    }

    @Override
    public String comparable(Content content) {
        return content.withCodes();
    }
}
