package org.swaplane.desktop.references;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.swaplane.compare.Span;
import org.swaplane.memory.MemoryQuery;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.PatientText;
import org.swaplane.terms.Stems;

/** Where what was searched for stands in a text; words also in other forms. */
final class WordHits {
    private static final int MOST = 50;
    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}\\p{N}]+");

    private Optional<MemoryQuery> query = Optional.empty();

    void search(MemoryQuery wanted) {
        query = Optional.of(wanted);
    }

    /**
     * In UTF-16 units of the text, in order.
     *
     * @param language of the text, BCP 47
     */
    List<Span> in(String text, String language) {
        if (query.isEmpty()) {
            return List.of();
        }
        return query.get().mode() == MemoryQuery.Mode.WORDS
                ? words(query.get(), text, language)
                : query.get()
                        .pattern()
                        .map(pattern -> all(pattern.matcher(new PatientText(text, pattern.pattern()))))
                        .orElse(List.of());
    }

    private static List<Span> words(MemoryQuery query, String text, String language) {
        Optional<Stems> stems = Stems.of(Locale.forLanguageTag(language).getLanguage());
        UnaryOperator<String> form = word -> {
            String small = word.toLowerCase(Locale.ROOT);
            return stems.map(each -> each.stem(small)).orElse(small);
        };
        Set<String> wanted = WORD.matcher(query.text())
                .results()
                .map(word -> form.apply(word.group()))
                .collect(Collectors.toSet());
        Stream<Span> found = WORD.matcher(text)
                .results()
                .filter(word -> wanted.contains(form.apply(word.group())))
                .map(word -> new Span(word.start(), word.end()));
        return found.limit(MOST).toList();
    }

    private static List<Span> all(Matcher matcher) {
        List<Span> spans = new ArrayList<>();
        try {
            while (spans.size() < MOST && matcher.find()) {
                if (matcher.end() > matcher.start()) {
                    spans.add(new Span(matcher.start(), matcher.end()));
                }
            }
        } catch (CannotProceedException e) {
            // An expression without end: what it found so far is marked.
        }
        return spans;
    }
}
