package org.swaplane.format.po;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;

/** Strings in quotes, which may go on over several lines. */
final class PoString {
    private static final Pattern QUOTED = Pattern.compile("\"((?:\\\\.|[^\"\\\\])*+)\"");
    private static final Pattern ESCAPE = Pattern.compile("\\\\(.)");

    private PoString() {}

    /** The text of all quoted pieces in {@code raw}. */
    static String read(String raw) {
        StringBuilder text = new StringBuilder();
        Matcher piece = QUOTED.matcher(raw);
        while (piece.find()) {
            text.append(ESCAPE.matcher(piece.group(1))
                    .replaceAll(escape -> Matcher.quoteReplacement(unescaped(escape.group(1)))));
        }
        return text.toString();
    }

    private static String unescaped(String escape) {
        return switch (escape) {
            case "n" -> "\n";
            case "t" -> "\t";
            case "r" -> "\r";
            default -> escape;
        };
    }

    /** The text in quotes; one with line breaks begins on a line of its own and has each of its lines on one. */
    static String written(Content content, String lineEnd) {
        String text = content.withCodes()
                .replace("\\", "\\\\")
                .replace("\"", "\\\"")
                .replace("\t", "\\t")
                .replace("\r", "\\r")
                .replace("\n", "\\n");
        int first = text.indexOf("\\n");
        if (first < 0 || first == text.length() - 2) {
            return '"' + text + '"';
        }
        String lines = text.replaceAll("(?<!\\\\)((?:\\\\\\\\)*)\\\\n(?!$)", "$1\\\\n\"" + lineEnd + "\"");
        return "\"\"" + lineEnd + '"' + lines + '"';
    }
}
