package org.swaplane.check;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.swaplane.number.DayPeriods;
import org.swaplane.number.MonthNames;
import org.swaplane.number.ReadNumber;
import org.swaplane.number.RomanNumerals;

/**
 * Numbers that one text writes in another way than the other: a date or a time in pieces, digits in other groups, a fraction with a
 * stroke, Roman letters, words. What is the same so is taken out of what is missing and of what was added.
 */
final class OtherWritings {
    private static final Pattern DATE = Pattern.compile("(\\d{4})-(\\d{2})-(\\d{2})");
    private static final Pattern TIME = Pattern.compile("(\\d{1,2}):(\\d{2})");
    /** How words begin that stand before a version. */
    private static final Pattern VERSION = Pattern.compile("vers|rele|revi|buil|firm|wers|верс|v");

    private static final Pattern CODE = Pattern.compile("\\p{Nd}+");
    private static final Pattern AFTERNOON = Pattern.compile("(1[2-9]|2[0-3])((?::\\d{2})?)");
    /** What counts one thing, or none, in English. */
    private static final Pattern ONE = Pattern.compile("(?i)\\b(?:an?|any|each|every|no|only)\\b");

    private static final Pattern RATIO = Pattern.compile("(\\d+):(\\d)");
    /** A half, thirty minutes, and either of them behind a whole number. */
    private static final Pattern WITH_HALF = Pattern.compile("0?\\.5|30|([1-9]\\d?)(?:\\.5|:30)");
    /** Digits that are either a thousand or a fraction. */
    private static final Pattern GROUPED = Pattern.compile("\\d{1,3}(?:[.,]\\d{3})+");

    private static final int LONG_NUMBER = 7;

    private final Side source;
    private final Side target;

    /** One text, its language, and its numbers without a counterpart. */
    record Side(String text, String language, List<ReadNumber> left) {
        /** The first of these numbers with such a value. */
        private Optional<ReadNumber> find(String value) {
            return left.stream().filter(each -> each.values().contains(value)).findFirst();
        }

        private String between(ReadNumber first, ReadNumber second) {
            return first.end() > second.start() ? "?" : text.substring(first.end(), second.start());
        }
    }

    private OtherWritings(Side source, Side target) {
        this.source = source;
        this.target = target;
    }

    static void settle(Side source, Side target) {
        if (source.left().isEmpty() && target.left().isEmpty()) {
            return;
        }
        OtherWritings both = new OtherWritings(source, target);
        both.settle();
    }

    private void settle() {
        settleSameWord();
        for (boolean turned : new boolean[] {false, true}) {
            Side one = turned ? target : source;
            Side other = turned ? source : target;
            one.left().removeIf(number -> isDateInPieces(number, other) || isTimeInPieces(number, other));
            one.left().removeIf(number -> isAfternoon(number, other));
            one.left().removeIf(number -> isJoined(number, other) || isQuotient(number, other));
            one.left().removeIf(number -> isRatio(number, other) || isDiscount(number, one, other));
            one.left().removeIf(number -> isWithHalf(number, other));
            one.left().removeIf(number -> isMonth(number, one, other) || isRoman(number, other));
            one.left().removeIf(number -> SpelledNumber.isIn(other.text(), value(number), other.language()));
            one.left().removeIf(number -> isHalfSaid(number, other));
        }
        settleSameDigits();
        target.left().removeIf(number -> isPerItself(number) || isArticle(number));
    }

    /** Its only value; empty where it can mean several things. */
    private static String value(ReadNumber number) {
        return number.values().size() == 1 ? number.values().iterator().next() : "";
    }

    /** '2026-04-03' against 3 and 2026 with the name of the month, or against 2026, 4 and 3. */
    private static boolean isDateInPieces(ReadNumber number, Side other) {
        Matcher date = DATE.matcher(value(number));
        if (!date.matches()) {
            return false;
        }
        int month = Integer.parseInt(date.group(2));
        Optional<ReadNumber> year = other.find(date.group(1));
        Optional<ReadNumber> day = other.find(String.valueOf(Integer.parseInt(date.group(3))));
        Optional<ReadNumber> written = other.left().stream()
                .filter(each -> each.values().contains(String.valueOf(month)))
                .filter(each -> day.isEmpty() || each != day.get())
                .findFirst();
        boolean named = MonthNames.of(other.language()).isIn(other.text(), month);
        if (year.isEmpty() || day.isEmpty() || written.isEmpty() && !named) {
            return false;
        }
        other.left().remove(year.get());
        other.left().remove(day.get());
        if (!named) {
            other.left().remove(written.get());
        }
        return true;
    }

    /** '14:30' against 14 and 30, or 2 and 30 of a half day; '11:00' against 11. */
    private static boolean isTimeInPieces(ReadNumber number, Side other) {
        Matcher time = TIME.matcher(value(number));
        if (!time.matches() || number.kind() != ReadNumber.Kind.TIME) {
            return false;
        }
        int hour = Integer.parseInt(time.group(1));
        String minutes = String.valueOf(Integer.parseInt(time.group(2)));
        for (int i = 0; i < other.left().size(); i++) {
            ReadNumber first = other.left().get(i);
            String value = value(first);
            boolean sameHour = value.matches("\\d{1,2}") && Integer.parseInt(value) % 12 == hour % 12;
            ReadNumber second = i + 1 < other.left().size() ? other.left().get(i + 1) : null;
            if (sameHour && second != null && second.values().contains(minutes)) {
                other.left().remove(second);
                other.left().remove(first);
                return true;
            }
            if (sameHour && minutes.equals("0")) {
                other.left().remove(first);
                return true;
            }
        }
        return false;
    }

    /** '100,000' against 100 and 000 with a blank between them. */
    private static boolean isJoined(ReadNumber number, Side other) {
        for (int i = 0; i + 1 < other.left().size(); i++) {
            StringBuilder digits = new StringBuilder(digits(other.left().get(i)));
            for (int j = i + 1; j < other.left().size(); j++) {
                String between =
                        other.between(other.left().get(j - 1), other.left().get(j));
                if (!between.isBlank() || between.length() != 1) {
                    break;
                }
                digits.append(digits(other.left().get(j)));
                if (number.values().contains(digits.toString())) {
                    other.left().subList(i, j + 1).clear();
                    return true;
                }
            }
        }
        return false;
    }

    private static String digits(ReadNumber number) {
        return number.written().replaceAll("\\P{Nd}", "");
    }

    /** '\u00BD' and '0.5' against 1 and 2 with a stroke between them. */
    private static boolean isQuotient(ReadNumber number, Side other) {
        for (int i = 0; i + 1 < other.left().size(); i++) {
            String above = value(other.left().get(i));
            String below = value(other.left().get(i + 1));
            boolean stroke =
                    other.between(other.left().get(i), other.left().get(i + 1)).matches("[/\u2044]");
            if (stroke && above.matches("\\d{1,3}") && below.matches("[1-9]\\d{0,2}")) {
                BigDecimal quotient = new BigDecimal(above).divide(new BigDecimal(below), new MathContext(4));
                if (number.values().contains(quotient.stripTrailingZeros().toPlainString())) {
                    other.left().subList(i, i + 2).clear();
                    return true;
                }
            }
        }
        return false;
    }

    /** '14:30' against 2:30 where a word says that it is after noon, and 18 against 6. */
    private static boolean isAfternoon(ReadNumber number, Side other) {
        Optional<ReadNumber> half = number.values().stream()
                .map(OtherWritings::halfDay)
                .flatMap(value -> other.find(value).stream())
                .findFirst();
        if (half.isEmpty() || !DayPeriods.of(other.language()).sayAfternoon(other.text())) {
            return false;
        }
        other.left().remove(half.get());
        return true;
    }

    /** The same hour of a clock with twelve; empty for what is no hour after noon. */
    private static String halfDay(String value) {
        Matcher hour = AFTERNOON.matcher(value);
        if (!hour.matches()) {
            return "";
        }
        int shown = Integer.parseInt(hour.group(1)) % 12;
        return (shown == 0 ? 12 : shown) + hour.group(2);
    }

    /** '3:1' against 3 and 1. */
    private static boolean isRatio(ReadNumber number, Side other) {
        Matcher ratio = RATIO.matcher(value(number));
        if (!ratio.matches()) {
            return false;
        }
        for (int i = 0; i + 1 < other.left().size(); i++) {
            if (other.left().get(i).values().contains(ratio.group(1))
                    && other.left().get(i + 1).values().contains(ratio.group(2))) {
                other.left().subList(i, i + 2).clear();
                return true;
            }
        }
        return false;
    }

    /** '8\u6298', eight tenths of a price, against a discount of 20. */
    private static boolean isDiscount(ReadNumber number, Side one, Side other) {
        boolean said = number.end() < one.text().length() && one.text().charAt(number.end()) == '\u6298';
        String tenths = value(number);
        if (!said || !tenths.matches("\\d(?:\\.\\d)?|\\d{2}")) {
            return false;
        }
        BigDecimal paid = new BigDecimal(tenths).scaleByPowerOfTen(tenths.matches("\\d{2}") ? 0 : 1);
        Optional<ReadNumber> discount = other.find(
                new BigDecimal(100).subtract(paid).stripTrailingZeros().toPlainString());
        discount.ifPresent(other.left()::remove);
        return discount.isPresent();
    }

    /** '2.5' against 2 and a word for the half; '8:30' likewise, in some languages as the half of the ninth hour. */
    private static boolean isWithHalf(ReadNumber number, Side other) {
        if (!SpelledNumber.saysHalf(other.text(), other.language())) {
            return false;
        }
        for (String value : number.values()) {
            Matcher half = WITH_HALF.matcher(value);
            if (!half.matches()) {
                continue;
            }
            if (half.group(1) == null) {
                return true;
            }
            int whole = Integer.parseInt(half.group(1));
            Set<Integer> wholes = new TreeSet<>(Set.of(whole));
            if (value.contains(":")) {
                wholes.addAll(List.of(whole % 12, whole + 1, whole % 12 + 1));
            }
            Optional<ReadNumber> beside = wholes.stream()
                    .flatMap(each -> other.find(String.valueOf(each)).stream())
                    .findFirst();
            beside.ifPresent(other.left()::remove);
            boolean said = wholes.stream()
                    .anyMatch(each ->
                            each == 0 || SpelledNumber.isIn(other.text(), String.valueOf(each), other.language()));
            if (beside.isPresent() || said) {
                return true;
            }
        }
        return false;
    }

    /** '4\u6708' against the name of the month; a number without the word for 'month' could be anything. */
    private static boolean isMonth(ReadNumber number, Side one, Side other) {
        String month = value(number);
        return month.matches("[1-9]|1[0-2]")
                && Pattern.compile("(?<!\\p{Nd})0?" + month + "[\u6708\uC6D4]")
                        .matcher(one.text())
                        .find()
                && MonthNames.of(other.language()).isIn(other.text(), Integer.parseInt(month));
    }

    private static boolean isRoman(ReadNumber number, Side other) {
        return RomanNumerals.find(other.text()).stream()
                .anyMatch(roman -> value(number).equals(String.valueOf(roman.value())));
    }

    /** A fraction alone may be a word on the other side, which has no number left. */
    private static boolean isHalfSaid(ReadNumber number, Side other) {
        return other.left().isEmpty() && number.written().matches("[\u00BC-\u00BE\u2150-\u215E]");
    }

    /** Telephone numbers and the like: all that is left are the same digits in other groups. */
    private void settleSameDigits() {
        String one = digits(source);
        // Marks between digits would say what they are worth.
        boolean codes = Stream.concat(source.left().stream(), target.left().stream())
                .allMatch(each -> CODE.matcher(each.written()).matches());
        if (codes && one.length() >= LONG_NUMBER && one.equals(digits(target))) {
            source.left().clear();
            target.left().clear();
        }
    }

    private static String digits(Side side) {
        StringBuilder digits = new StringBuilder();
        side.left().forEach(each -> digits.append(digits(each)));
        return digits.toString();
    }

    /**
     * A version is no value: '2.10' stays '2.10' behind the same word, also where numbers are written otherwise; and so do '1.0', which
     * is no amount that people write, and what letters are attached to.
     */
    private void settleSameWord() {
        for (ReadNumber number : new ArrayList<>(source.left())) {
            String before = wordBefore(source.text(), number.start());
            target.left().stream()
                    .filter(each -> each.written().equals(number.written()))
                    .filter(each -> number.written().matches("\\d+\\.0")
                            || VERSION.matcher(before).matches()
                            || isAttached(source.text(), number) && isAttached(target.text(), each)
                            || !before.isEmpty()
                                    && !GROUPED.matcher(number.written()).matches()
                                    && before.equals(wordBefore(target.text(), each.start())))
                    .findFirst()
                    .ifPresent(each -> {
                        source.left().remove(number);
                        target.left().remove(each);
                    });
        }
    }

    private static boolean isAttached(String text, ReadNumber number) {
        boolean before = number.start() > 0 && Character.isLetter(text.charAt(number.start() - 1));
        boolean after = number.end() < text.length() && Character.isLetter(text.charAt(number.end()));
        return before || after;
    }

    /** Whether a number is that of a version, which is no value: '2.10' is not '2.1'. */
    static boolean isVersion(String text, ReadNumber number) {
        return number.written().indexOf('.') > 0
                && VERSION.matcher(wordBefore(text, number.start())).matches();
    }

    /** The begin of the word right before a number, small. */
    private static String wordBefore(String text, int at) {
        Matcher word =
                Pattern.compile("(\\p{L}{1,4})\\p{L}*[\\s\u00A0-]?$").matcher(text.substring(Math.max(0, at - 40), at));
        return word.find() ? word.group(1).toLowerCase(java.util.Locale.ROOT) : "";
    }

    /** '1\u3064' for 'a', where the target's language counts with a word and has no articles. */
    private boolean isArticle(ReadNumber number) {
        return value(number).equals("1")
                && Language.of(target.language()).isOneOf("zh", "ja", "ko")
                && number.end() < target.text().length()
                && Character.isLetter(target.text().charAt(number.end()))
                && ONE.matcher(source.text()).find();
    }

    /** '24 h/24': a number that stands behind a stroke once more. */
    private boolean isPerItself(ReadNumber number) {
        Set<String> values = new HashSet<>(number.values());
        String text = target.text().substring(0, number.start());
        return values.stream()
                .anyMatch(value ->
                        text.matches("(?s).*(?<!\\d)" + Pattern.quote(value) + "[\\s\u00A0\u202F]?\\p{L}{0,8}/"));
    }
}
