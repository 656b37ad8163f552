package org.swaplane.reviewcopy.xlsx;

import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Text in a workbook: characters that XML has no room for stand there as {@code _x000D_} (ECMA-376, part 1, section 22.9.2.19). */
final class XlsxText {
    private static final Pattern ESCAPE = Pattern.compile("_x([0-9A-Fa-f]{4})_");

    private XlsxText() {}

    static String read(String written) {
        String text = written.contains("_x")
                ? ESCAPE.matcher(written).replaceAll(found -> Matcher.quoteReplacement(character(found)))
                : written;
        return text.replace("\r\n", "\n").replace('\r', '\n');
    }

    private static String character(MatchResult found) {
        return String.valueOf((char) Integer.parseInt(found.group(1), 16));
    }

    static String write(String text) {
        return text.contains("_x") ? ESCAPE.matcher(text).replaceAll("_x005F_x$1_") : text;
    }
}
