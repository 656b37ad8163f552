package org.swaplane.report;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.compare.Span;

/** A text cut into pieces, each of which is marked as different or not, in a form that templates can walk. */
public final class MarkedText {
    private MarkedText() {}

    /** Maps with {@code text} and {@code marked}; spans must be in order. */
    public static List<Map<String, Object>> pieces(String text, List<Span> spans) {
        List<Map<String, Object>> pieces = new ArrayList<>();
        int at = 0;
        for (Span span : spans) {
            add(pieces, text.substring(at, span.start()), false);
            add(pieces, text.substring(span.start(), span.end()), true);
            at = span.end();
        }
        add(pieces, text.substring(at), false);
        return pieces;
    }

    private static void add(List<Map<String, Object>> pieces, String text, boolean marked) {
        if (!text.isEmpty()) {
            Map<String, Object> piece = new HashMap<>();
            piece.put("text", text);
            piece.put("marked", marked);
            pieces.add(piece);
        }
    }
}
