package org.swaplane.format.properties;

import org.swaplane.content.Content;
import org.swaplane.format.IcuMessage;
import org.swaplane.format.UnitSyntax;

/**
 * How a value is written.
 *
 * @param message whether it is a message pattern, in which an apostrophe is doubled ({@link java.text.MessageFormat})
 * @param ascii whether the file writes everything beyond ASCII by number
 */
record PropertiesSyntax(boolean message, boolean ascii) implements UnitSyntax {
    @Override
    public String written(Content content) {
        String value = content.withCodes();
        return escaped(message ? value.replace("'", "''") : value);
    }

    /** For a message with variants, which quotes in its own way what is then written as a value. */
    UnitSyntax inside(IcuMessage variants) {
        return content -> escaped(variants.syntax().written(content));
    }

    private String escaped(String quoted) {
        StringBuilder written = new StringBuilder();
        for (int i = 0; i < quoted.length(); i++) {
            char c = quoted.charAt(i);
            switch (c) {
                case '\\' -> written.append("\\\\");
                case '\n' -> written.append("\\n");
                case '\r' -> written.append("\\r");
                case '\t' -> written.append("\\t");
                case '\f' -> written.append("\\f");
                case ' ' -> written.append(i == 0 ? "\\ " : " ");
                default -> written.append(ascii && c >= 0x80 ? String.format("\\u%04X", (int) c) : String.valueOf(c));
            }
        }
        return written.toString();
    }
}
