package org.swaplane.format.table;

import java.util.List;
import java.util.Locale;
import org.swaplane.document.LanguageCode;

/** Where the columns are, and what the first row says of their languages. */
public record PairColumns(
        int source, int target, int note, boolean named, String sourceLanguage, String targetLanguage) {
    /** Without names: source, target and note in this order. */
    public static final PairColumns UNNAMED = new PairColumns(0, 1, 2, false, "", "");

    /** What the first row names; unnamed when it is a pair of texts itself. */
    public static PairColumns of(List<String> first) {
        int source = -1;
        int target = -1;
        int note = -1;
        for (int i = 0; i < first.size(); i++) {
            String name = first.get(i).strip().toLowerCase(Locale.ROOT);
            // In the first column these are the key and the number of a row, elsewhere Indonesian and Norwegian.
            boolean isKey = i == 0 && (name.equals("id") || name.equals("no"));
            boolean isCode = !isKey
                    && name.matches("[a-z]{2,3}([-_][a-z0-9]+)*")
                    && LanguageCode.fault(name.replace('_', '-')).isEmpty();
            if (name.equals("note") || name.equals("comment")) {
                note = i;
            } else if (source < 0 && (name.startsWith("source") || isCode)) {
                source = i;
            } else if (target < 0 && (name.startsWith("target") || isCode)) {
                target = i;
            }
        }
        return source < 0 || target < 0
                ? UNNAMED
                : new PairColumns(source, target, note, true, code(first.get(source)), code(first.get(target)));
    }

    private static String code(String name) {
        String code = name.strip().replace('_', '-');
        return code.toLowerCase(Locale.ROOT).matches("source.*|target.*") ? "" : code;
    }
}
