package org.swaplane.check;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.text.FilteredBreakIteratorBuilder;
import com.ibm.icu.util.ULocale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Words of a language that end with a stop without ending a sentence, as CLDR knows them. Thread-safe. */
final class Abbreviations {
    private static final Map<String, Abbreviations> KNOWN = new ConcurrentHashMap<>();

    private static final int MOST_KNOWN = 10_000;

    private final BreakIterator sentences;
    private final Map<String, Boolean> asked = new ConcurrentHashMap<>();

    private Abbreviations(String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        this.sentences = FilteredBreakIteratorBuilder.getInstance(locale)
                .wrapIteratorWithFilter(BreakIterator.getSentenceInstance(locale));
    }

    static Abbreviations of(String language) {
        return KNOWN.computeIfAbsent(language, Abbreviations::new);
    }

    /** Whether a word, its stop with it, is one of them. */
    boolean contain(String word) {
        if (asked.size() > MOST_KNOWN) {
            asked.clear();
        }
        return asked.computeIfAbsent(word, this::ask);
    }

    private boolean ask(String word) {
        BreakIterator iterator = (BreakIterator) sentences.clone();
        iterator.setText(word + " Deck");
        iterator.first();
        return iterator.next() == word.length() + " Deck".length();
    }
}
