package org.swaplane.desktop.references;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.swaplane.compare.Span;

/** Where the words that were searched for stand in a text. */
final class WordHits {
    private List<String> words = List.of();

    void search(String text) {
        words = Stream.of(text.toLowerCase(Locale.ROOT).split("\\s+"))
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
    }

    /** In UTF-16 units of the text, in order. */
    List<Span> in(String text) {
        String within = text.toLowerCase(Locale.ROOT);
        if (within.length() != text.length()) {
            return List.of();
        }
        return words.stream()
                .flatMap(word -> Stream.iterate(
                                within.indexOf(word), at -> at >= 0, at -> within.indexOf(word, at + word.length()))
                        .map(at -> new Span(at, at + word.length())))
                .sorted()
                .toList();
    }
}
