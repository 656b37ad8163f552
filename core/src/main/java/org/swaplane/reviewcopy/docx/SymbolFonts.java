package org.swaplane.reviewcopy.docx;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What characters of fonts for symbols look like, as far as word processors put them in by themselves. */
final class SymbolFonts {
    /** Stands for a symbol that is not known. */
    static final String UNKNOWN = "\uFFFD";

    private static final int FIRST = 0xF000;
    private static final int LAST = 0xF0FF;

    /** Pairs of a character of the font and of what it shows. */
    private static final Map<Integer, String> WINGDINGS = pairs(
            "4A \u263A 4B \uD83D\uDE10 4C \u2639 6C \u25CF 6E \u25A0 71 \u2751 76 \u2756 9F \u2022 A7 \u25AA A8 \u25FB D8 \u27A2 DF \u2190"
                    + " E0 \u2192 E1 \u2191 E2 \u2193 E7 \u2B05 E8 \u27A1 EF \u21E6 F0 \u21E8 F3 \u2B04 FB \u2717 FC \u2713 FD \u2612 FE \u2611");

    private static final Map<Integer, String> SYMBOL = pairs(
            "A3 \u2264 AB \u2194 AC \u2190 AD \u2191 AE \u2192 AF \u2193 B0 \u00B0 B1 \u00B1 B3 \u2265 B4 \u00D7 B7 \u2022 B9 \u2260 BB \u2248"
                    + " D2 \u00AE D3 \u00A9 D4 \u2122 DB \u21D4 DC \u21D0 DE \u21D2");

    private SymbolFonts() {}

    private static Map<Integer, String> pairs(String written) {
        Map<Integer, String> pairs = new HashMap<>();
        String[] all = written.split(" ");
        for (int i = 0; i < all.length; i += 2) {
            pairs.put(Integer.parseInt(all[i], 16), all[i + 1]);
        }
        return pairs;
    }

    /** The character that is shown for one of a font, written in hexadecimal digits; empty where that is not known. */
    static Optional<String> shown(String font, String hex) {
        if (!hex.matches("[0-9A-Fa-f]{2,4}")) {
            return Optional.empty();
        }
        int code = Integer.parseInt(hex, 16);
        boolean isOfFont = code >= FIRST && code <= LAST;
        return switch (font.toLowerCase(Locale.ROOT)) {
            case "wingdings" -> Optional.ofNullable(WINGDINGS.get(code & 0xFF));
            case "symbol" -> Optional.ofNullable(SYMBOL.get(code & 0xFF));
            default ->
                isOfFont || Character.isSurrogate((char) code)
                        ? Optional.empty()
                        : Optional.of(String.valueOf((char) code));
        };
    }
}
