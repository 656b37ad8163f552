package org.swaplane.desktop.references;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.swaplane.compare.Span;
import org.swaplane.memory.MemoryQuery;

/** Where what was searched for stands in a text. */
final class WordHits {
    private static final int MOST = 50;

    private Pattern pattern = Pattern.compile("(?!)");

    void search(MemoryQuery query) {
        pattern = query.mode() == MemoryQuery.Mode.WORDS
                ? words(query)
                : query.pattern().orElse(Pattern.compile("(?!)"));
    }

    /** Each word wherever it stands. */
    private static Pattern words(MemoryQuery query) {
        String any = Stream.of(query.text().strip().split("\\s+"))
                .filter(word -> !word.isEmpty())
                .map(Pattern::quote)
                .collect(Collectors.joining("|"));
        int flags = query.matchCase() ? 0 : Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE;
        return any.isEmpty() ? Pattern.compile("(?!)") : Pattern.compile(any, flags);
    }

    /** In UTF-16 units of the text, in order. */
    List<Span> in(String text) {
        List<Span> spans = new ArrayList<>();
        Matcher matcher = pattern.matcher(text);
        while (spans.size() < MOST && matcher.find()) {
            if (matcher.end() > matcher.start()) {
                spans.add(new Span(matcher.start(), matcher.end()));
            }
        }
        return spans;
    }
}
