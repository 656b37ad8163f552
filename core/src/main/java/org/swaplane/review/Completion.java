package org.swaplane.review;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a word that is being typed may become: whole terms first, then words of the texts that are at hand, in their order. */
public final class Completion {
    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}\\p{N}]+(?:[-'’][\\p{L}\\p{M}\\p{N}]+)*");
    private static final Pattern BEGUN = Pattern.compile("[\\p{L}\\p{M}\\p{N}]+(?:[-'’][\\p{L}\\p{M}\\p{N}]*)*$");
    private static final int SHORTEST = 2;

    private Completion() {}

    /** The word that is being typed before the caret; empty for none that is long enough. */
    public static String begun(String before) {
        Matcher matcher = BEGUN.matcher(before);
        return matcher.find() && matcher.group().length() >= SHORTEST ? matcher.group() : "";
    }

    /**
     * What a begun word may become, at most so many.
     *
     * @param terms wordings that may be put in as a whole
     * @param texts whose words may be meant, the nearest first
     */
    public static List<String> of(String begun, Collection<String> terms, Collection<String> texts, int most) {
        if (begun.isEmpty()) {
            return List.of();
        }
        Set<String> found = new LinkedHashSet<>();
        terms.stream().filter(term -> continues(term, begun)).forEach(found::add);
        for (String text : texts) {
            WORD.matcher(text)
                    .results()
                    .map(word -> word.group())
                    .filter(word -> continues(word, begun))
                    .forEach(found::add);
        }
        return new ArrayList<>(found).subList(0, Math.min(most, found.size()));
    }

    private static boolean continues(String word, String begun) {
        return word.length() > begun.length()
                && word.toLowerCase(Locale.ROOT).startsWith(begun.toLowerCase(Locale.ROOT));
    }
}
