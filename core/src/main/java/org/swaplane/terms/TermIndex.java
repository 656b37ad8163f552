package org.swaplane.terms;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.content.UnspacedScript;

/**
 * Finds the terms of a list in a text, word by word, also with other endings.
 */
public final class TermIndex {
    private final Map<String, List<Entry>> byBegin = new HashMap<>();
    private final List<Entry> unspaced = new ArrayList<>();
    private final Inflection inflection;

    private record Entry(Term term, List<Word> words) {}

    /** A term at {@code [start, end)} of the text. */
    public record Found(Term term, int start, int end) {}

    /** {@code language} is that of the sources of the terms. */
    public TermIndex(List<Term> terms, String language) {
        this.inflection = new Inflection(language);
        for (Term term : terms) {
            List<Word> words = Word.in(term.source());
            if (UnspacedScript.isIn(term.source())) {
                unspaced.add(new Entry(term, words));
            } else if (!words.isEmpty()) {
                byBegin.computeIfAbsent(key(words.get(0).folded()), none -> new ArrayList<>())
                        .add(new Entry(term, words));
            }
        }
        // The longest first: 'ferry pier' before 'ferry'.
        byBegin.values()
                .forEach(list -> list.sort(
                        Comparator.comparingInt((Entry each) -> each.words().size())
                                .reversed()));
    }

    /** The terms of a text in its order; a term within a longer one is not told apart from it. */
    public List<Found> find(String text) {
        List<Found> found = new ArrayList<>();
        List<Word> words = byBegin.isEmpty() ? List.of() : Word.in(text);
        for (int i = 0; i < words.size(); i++) {
            for (Entry entry : byBegin.getOrDefault(key(words.get(i).folded()), List.of())) {
                if (standsAt(entry, words, i)) {
                    int last = i + entry.words().size() - 1;
                    found.add(new Found(
                            entry.term(), words.get(i).start(), words.get(last).end()));
                    i = last;
                    break;
                }
            }
        }
        for (Entry entry : unspaced) {
            int at = text.indexOf(entry.term().source());
            if (at >= 0) {
                found.add(new Found(entry.term(), at, at + entry.term().source().length()));
            }
        }
        return found;
    }

    private boolean standsAt(Entry entry, List<Word> words, int at) {
        if (at + entry.words().size() > words.size()) {
            return false;
        }
        for (int i = 0; i < entry.words().size(); i++) {
            if (!inflection.isSame(entry.words().get(i), words.get(at + i))) {
                return false;
            }
        }
        return true;
    }

    /** Where a wording of the target stands in a text, also with other endings, within a compound or with other words between. */
    public static boolean isIn(String wording, String text, String language) {
        if (UnspacedScript.isIn(wording)) {
            return text.contains(wording);
        }
        Inflection inflection = new Inflection(language);
        List<Word> there = Word.in(text);
        return Word.in(wording).stream()
                .allMatch(word -> there.stream().anyMatch(each -> inflection.isIn(word, each))
                        || inflection.isSeparated(word, there));
    }

    /** Where a wording stands as words of its own; endings that are added are allowed. Null where it does not. */
    public static Found standing(String wording, String text, String language) {
        List<Found> found = new TermIndex(List.of(new Term(wording, List.of(), List.of())), language).find(text);
        return found.isEmpty() ? null : found.get(0);
    }

    private static String key(String word) {
        return word.substring(0, Math.min(2, word.length()));
    }
}
