package org.swaplane.format.table;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;

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
        String sourceLanguage = "";
        String targetLanguage = "";
        for (int i = 0; i < first.size(); i++) {
            String name = first.get(i).strip().toLowerCase(Locale.ROOT);
            // In the first column these are the key and the number of a row, elsewhere Indonesian and Norwegian.
            boolean isKey = i == 0 && (name.equals("id") || name.equals("no"));
            ColumnName said = isKey ? ColumnName.UNKNOWN : ColumnName.of(first.get(i));
            Optional<ColumnName.Role> role = said.role();
            boolean isLanguage = role.isEmpty() && !said.language().isEmpty();
            if (name.equals("note") || name.equals("comment")) {
                note = i;
            } else if (source < 0 && (role.equals(Optional.of(ColumnName.Role.SOURCE)) || isLanguage)) {
                source = i;
                sourceLanguage = said.language();
            } else if (target < 0 && (role.equals(Optional.of(ColumnName.Role.TARGET)) || isLanguage)) {
                target = i;
                targetLanguage = said.language();
            }
        }
        // The same language twice is no pair: 'English' beside 'Englisch' are texts.
        boolean same = !sourceLanguage.isEmpty() && sourceLanguage.equalsIgnoreCase(targetLanguage);
        return source < 0 || target < 0 || same
                ? UNNAMED
                : new PairColumns(source, target, note, true, sourceLanguage, targetLanguage);
    }

    /** The column of a table in one language whose name says that it could be half of a pair; empty where there is none, or a pair. */
    public static Optional<String> doubtful(List<String> first) {
        if (of(first).named()) {
            return Optional.empty();
        }
        return IntStream.range(0, first.size())
                .filter(i ->
                        i > 0 || !first.get(i).strip().toLowerCase(Locale.ROOT).matches("id|no"))
                .mapToObj(first::get)
                .filter(name -> ColumnName.of(name).saysSomething())
                .findFirst();
    }
}
