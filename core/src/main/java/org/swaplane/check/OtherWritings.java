package org.swaplane.check;

import static org.swaplane.check.UnmatchedNumbers.value;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.swaplane.number.ReadNumber;
import org.swaplane.number.RomanNumerals;

/**
 * Numbers that one text writes in another way than the other: a date or a time in pieces, digits in other groups, a fraction with a
 * stroke, Roman letters, words. What is the same so is taken out of what is missing and of what was added.
 */
final class OtherWritings {
    /** What counts one thing, or none, in English. */
    private static final Pattern ONE =
            Pattern.compile("(?i)\\b(?:an?|any|each|every|no|only|the (?:first|last|next|past|previous))\\b");

    /** A code, the value of an option, or the half of one: nothing that people say with a word. */
    private static final Pattern NOT_SAID = Pattern.compile("[\\\\=#:(\\[<>]");

    private final UnmatchedNumbers source;
    private final UnmatchedNumbers target;

    private OtherWritings(UnmatchedNumbers source, UnmatchedNumbers target) {
        this.source = source;
        this.target = target;
    }

    static void settle(UnmatchedNumbers source, UnmatchedNumbers target) {
        if (!source.left().isEmpty() || !target.left().isEmpty()) {
            new OtherWritings(source, target).settle();
        }
    }

    private void settle() {
        Codes.settleSameWord(source, target);
        for (boolean turned : new boolean[] {false, true}) {
            UnmatchedNumbers one = turned ? target : source;
            UnmatchedNumbers other = turned ? source : target;
            one.left()
                    .removeIf(number -> TimesAndDates.isDateInPieces(number, other)
                            || TimesAndDates.isTimeInPieces(number, other)
                            || TimesAndDates.isAfternoon(number, other)
                            || TimesAndDates.isNamedHour(number, other)
                            || TimesAndDates.isBuddhistYear(number, one, other));
            one.left().removeIf(number -> isJoined(number, other) || isListed(number, other));
            one.left()
                    .removeIf(number -> Fractions.isMixed(number, other)
                            || Fractions.isQuotient(number, other)
                            || Fractions.isRatio(number, other)
                            || Fractions.isDiscount(number, one, other)
                            || Fractions.isWithHalf(number, other));
            one.left().removeIf(number -> ScriptedDigits.isSame(number, one, other));
            TimesAndDates.settleRoundTheClock(one, other);
            Fractions.settleSaid(one, other);
            one.left().removeIf(number -> TimesAndDates.isMonth(number, one, other) || isRoman(number, other));
            settleSaid(one, other);
            one.left().removeIf(number -> Fractions.isHalfSaid(number, other));
        }
        Codes.settleSameDigits(source, target);
        target.left().removeIf(number -> isPerItself(number) || isArticle(number));
    }

    /**
     * Numbers that are words in the other text. Words that have a counterpart already say nothing: in 'a number from 1' the article is
     * not the digit.
     */
    private static void settleSaid(UnmatchedNumbers one, UnmatchedNumbers other) {
        Map<String, Integer> words = new HashMap<>();
        one.left().removeIf(number -> {
            String value = value(number);
            if (value.isEmpty() || value.equals("0") && isOfCode(number, one.text())) {
                return false;
            }
            int left = words.computeIfAbsent(value, each -> SpelledNumber.surplus(one, other, each));
            words.put(value, left - 1);
            return left > 0;
        });
    }

    private static boolean isOfCode(ReadNumber number, String text) {
        String before = text.substring(Math.max(0, number.start() - 1), number.start());
        String after = text.substring(number.end(), Math.min(text.length(), number.end() + 1));
        return NOT_SAID.matcher(before).matches() || after.matches("[xX)\\]]");
    }

    /** '100,000' against 100 and 000 with a blank between them. */
    private static boolean isJoined(ReadNumber number, UnmatchedNumbers other) {
        for (int i = 0; i + 1 < other.left().size(); i++) {
            StringBuilder digits =
                    new StringBuilder(UnmatchedNumbers.digits(other.left().get(i)));
            for (int j = i + 1; j < other.left().size(); j++) {
                String between =
                        other.between(other.left().get(j - 1), other.left().get(j));
                if (!between.isBlank() || between.length() != 1) {
                    break;
                }
                digits.append(UnmatchedNumbers.digits(other.left().get(j)));
                if (number.values().contains(digits.toString())) {
                    other.left().subList(i, j + 1).clear();
                    return true;
                }
            }
        }
        return false;
    }

    /** '1,2' of a list without blanks, which is no number in its language, against 1 and 2. */
    private static boolean isListed(ReadNumber number, UnmatchedNumbers other) {
        if (!number.values().isEmpty() || !number.written().matches("\\d+(?:,\\d+)+")) {
            return false;
        }
        Set<ReadNumber> parts = new HashSet<>();
        for (String part : number.written().split(",")) {
            other.left().stream()
                    .filter(each -> value(each).equals(part) && !parts.contains(each))
                    .findFirst()
                    .ifPresent(parts::add);
        }
        boolean all = parts.size() == number.written().split(",").length;
        if (all) {
            other.left().removeAll(parts);
        }
        return all;
    }

    private static boolean isRoman(ReadNumber number, UnmatchedNumbers other) {
        return RomanNumerals.find(other.text()).stream()
                .anyMatch(roman -> value(number).equals(String.valueOf(roman.value())));
    }

    /** '1\u3064' for 'a', where the target's language counts with a word and has no articles. */
    private boolean isArticle(ReadNumber number) {
        return value(number).equals("1")
                && Language.of(target.language()).isOneOf("zh", "ja", "ko")
                && number.end() < target.text().length()
                && target.text().substring(number.end()).matches("(?s)[ \u00A0]?\\p{L}.*")
                && ONE.matcher(source.text()).find();
    }

    /** '24 h/24' and '4 × 4': a number that stands behind a stroke, a cross or a word for it once more. */
    private boolean isPerItself(ReadNumber number) {
        Set<String> values = new HashSet<>(number.values());
        String text = target.text().substring(0, number.start());
        return values.stream()
                .anyMatch(
                        value -> text.matches(
                                "(?s).*(?<!\\d)" + Pattern.quote(value)
                                        + "[\\s\u00A0\u202F]?(?:\\p{L}{0,8}/|\\p{L}{1,8}[\\s\u00A0](?:sur|su|over|out of)[\\s\u00A0]|[\u00D7x*][\\s\u00A0\u202F]?)"));
    }
}
