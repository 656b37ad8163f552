package org.swaplane.terms;

import com.ibm.icu.text.Normalizer2;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.UnspacedScript;

/**
 * Finds the terms of a list in a text, word by word, also with other endings.
 */
public final class TermIndex {
    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}\\p{N}]+(?:['’-][\\p{L}\\p{M}\\p{N}]+)*");

    private final Map<String, List<Entry>> byBegin = new HashMap<>();
    private final List<Entry> unspaced = new ArrayList<>();
    private final Inflection inflection;

    private record Entry(Term term, List<String> words) {}

    /** A term at {@code [start, end)} of the text. */
    public record Found(Term term, int start, int end) {}

    private record Word(String folded, int start, int end) {}

    /** {@code language} is that of the sources of the terms. */
    public TermIndex(List<Term> terms, String language) {
        this.inflection = new Inflection(language);
        for (Term term : terms) {
            List<String> words = words(term.source()).stream().map(Word::folded).toList();
            if (UnspacedScript.isIn(term.source())) {
                unspaced.add(new Entry(term, words));
            } else if (!words.isEmpty()) {
                byBegin.computeIfAbsent(key(words.get(0)), none -> new ArrayList<>())
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
        List<Word> words = byBegin.isEmpty() ? List.of() : words(text);
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
            if (!inflection.isSame(entry.words().get(i), words.get(at + i).folded())) {
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
        List<Word> there = words(text);
        List<String> all = there.stream().map(Word::folded).toList();
        return words(wording).stream()
                .allMatch(word -> all.stream().anyMatch(each -> inflection.isIn(word.folded(), each))
                        || inflection.isSeparated(word.folded(), all));
    }

    /** Where a wording stands as words of its own; endings that are added are allowed. Null where it does not. */
    public static Found standing(String wording, String text, String language) {
        List<Found> found = new TermIndex(List.of(new Term(wording, List.of(), List.of())), language).find(text);
        return found.isEmpty() ? null : found.get(0);
    }

    private static List<Word> words(String text) {
        List<Word> words = new ArrayList<>();
        Matcher matcher = WORD.matcher(text);
        while (matcher.find()) {
            words.add(new Word(fold(matcher.group()), matcher.start(), matcher.end()));
        }
        return words;
    }

    /** Small letters without accents, so that 'Hafen' is found in 'Häfen'. */
    private static String fold(String text) {
        String small = text.toLowerCase(Locale.ROOT);
        return small.chars().allMatch(c -> c < 0x80)
                ? small
                : Normalizer2.getNFDInstance().normalize(small).replaceAll("\\p{Mn}+", "");
    }

    private static String key(String word) {
        return word.substring(0, Math.min(2, word.length()));
    }
}
