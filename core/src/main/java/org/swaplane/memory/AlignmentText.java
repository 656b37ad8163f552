package org.swaplane.memory;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;

/**
 * What of one or several segments can be seen in any language: length, numbers, words that are written alike, tags.
 *
 * @param unit what they belong to, such as a paragraph; empty when they belong to several
 * @param length in code points
 * @param numbers how often each stands there
 */
record AlignmentText(
        String unit, int length, TreeMap<String, Integer> numbers, Set<String> words, int tags, int segments) {
    private static final Pattern NUMBER = Pattern.compile("\\p{Nd}+");
    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}]{3,}");
    private static final int BEGIN = 5;

    static AlignmentText of(Content content, String unit) {
        String text = content.plainText();
        TreeMap<String, Integer> numbers = new TreeMap<>();
        Matcher number = NUMBER.matcher(text);
        while (number.find()) {
            StringBuilder digits = new StringBuilder();
            number.group().codePoints().forEach(c -> digits.append(Character.getNumericValue(c)));
            numbers.merge(digits.toString(), 1, Integer::sum);
        }
        Set<String> words = new HashSet<>();
        Matcher word = WORD.matcher(text.toLowerCase(Locale.ROOT));
        while (word.find()) {
            // Names are inflected, and related words begin alike.
            words.add(word.group().substring(0, Math.min(BEGIN, word.group().length())));
        }
        return new AlignmentText(
                unit,
                text.codePointCount(0, text.length()),
                numbers,
                words,
                content.tags().size(),
                1);
    }

    /** Several that follow each other, as one. */
    static AlignmentText joined(List<AlignmentText> texts) {
        if (texts.size() == 1) {
            return texts.get(0);
        }
        TreeMap<String, Integer> numbers = new TreeMap<>();
        Set<String> words = new HashSet<>();
        int length = 0;
        int tags = 0;
        for (AlignmentText each : texts) {
            each.numbers().forEach((number, times) -> numbers.merge(number, times, Integer::sum));
            words.addAll(each.words());
            length += each.length();
            tags += each.tags();
        }
        boolean sameUnit = texts.stream().map(AlignmentText::unit).distinct().count() == 1;
        return new AlignmentText(sameUnit ? texts.get(0).unit() : "", length, numbers, words, tags, texts.size());
    }

    int amountOfNumbers() {
        return numbers.values().stream().mapToInt(Integer::intValue).sum();
    }

    int sharedNumbers(AlignmentText other) {
        int shared = 0;
        for (var each : numbers.entrySet()) {
            shared += Math.min(each.getValue(), other.numbers.getOrDefault(each.getKey(), 0));
        }
        return shared;
    }

    int sharedWords(AlignmentText other) {
        int shared = 0;
        for (String word : words.size() <= other.words.size() ? words : other.words) {
            shared += words.contains(word) && other.words.contains(word) ? 1 : 0;
        }
        return shared;
    }
}
