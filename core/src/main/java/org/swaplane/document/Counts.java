package org.swaplane.document;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What a document holds, in numbers. Words are those of UAX #29 that have a letter or digit, in the sources; tags count no words.
 *
 * @param characters of the sources, in code points
 * @param prefilled segments whose target is only a copy of the source
 */
public record Counts(
        int units,
        int segments,
        int words,
        int characters,
        int tags,
        int locked,
        Map<State, Integer> states,
        int prefilled) {
    public Counts {
        states = Map.copyOf(states);
    }

    public static Counts of(List<Segment> segments) {
        BreakIterator breaks = BreakIterator.getWordInstance(ULocale.ROOT);
        Map<State, Integer> states = new EnumMap<>(State.class);
        for (State state : State.values()) {
            states.put(state, 0);
        }
        int units = 0;
        int words = 0;
        int characters = 0;
        int tags = 0;
        int locked = 0;
        int prefilled = 0;
        Segment before = null;
        for (Segment segment : segments) {
            String text = segment.source().plainText();
            boolean sameUnit =
                    before != null && before.unit().equals(segment.unit()) && before.part() == segment.part();
            units += sameUnit ? 0 : 1;
            words += words(text, breaks);
            characters += text.codePointCount(0, text.length());
            tags += segment.source().tags().size();
            locked += segment.locked() ? 1 : 0;
            prefilled += segment.prefilled() ? 1 : 0;
            states.merge(segment.countedState(), 1, Integer::sum);
            before = segment;
        }
        return new Counts(units, segments.size(), words, characters, tags, locked, states, prefilled);
    }

    /** Words of one text. */
    public static int words(String text) {
        return words(text, BreakIterator.getWordInstance(ULocale.ROOT));
    }

    private static int words(String text, BreakIterator breaks) {
        breaks.setText(text);
        int words = 0;
        breaks.first();
        while (breaks.next() != BreakIterator.DONE) {
            words += breaks.getRuleStatus() >= BreakIterator.WORD_NUMBER ? 1 : 0;
        }
        return words;
    }
}
