package org.swaplane.format.json;

import com.fasterxml.jackson.core.io.JsonStringEncoder;
import org.swaplane.content.Content;
import org.swaplane.format.IcuMessage;
import org.swaplane.format.UnitSyntax;

/**
 * How a string is written between its quotes.
 *
 * @param ascii whether the file writes everything beyond ASCII by number
 */
record JsonSyntax(boolean ascii) implements UnitSyntax {
    @Override
    public String written(Content content) {
        return escaped(content.withCodes());
    }

    /** For a message, which quotes in its own way what is then written as JSON. */
    UnitSyntax inside(IcuMessage message) {
        return content -> escaped(message.syntax().written(content));
    }

    String escaped(String value) {
        String quoted = new String(JsonStringEncoder.getInstance().quoteAsString(value));
        if (!ascii) {
            return quoted;
        }
        StringBuilder written = new StringBuilder();
        quoted.chars().forEach(c -> written.append(c < 0x80 ? String.valueOf((char) c) : String.format("\\u%04x", c)));
        return written.toString();
    }
}
