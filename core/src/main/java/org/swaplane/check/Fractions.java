package org.swaplane.check;

import static org.swaplane.check.UnmatchedNumbers.value;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiPredicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.number.ReadNumber;

/** Fractions, ratios and halves that one text writes with a stroke, in pieces or as words, and the other otherwise. */
final class Fractions {
    private static final Pattern RATIO = Pattern.compile("(\\d+):(\\d)");
    /** A half, thirty minutes, and either of them behind a whole number. */
    private static final Pattern WITH_HALF = Pattern.compile("0?\\.5|30|([1-9]\\d?)(?:\\.5|:30)");

    private Fractions() {}

    /** '2\u00BD' and '2.5' against 2, 1 and 2 with a blank and a stroke between them. */
    static boolean isMixed(ReadNumber number, UnmatchedNumbers other) {
        for (int i = 0; i + 2 < other.left().size(); i++) {
            ReadNumber whole = other.left().get(i);
            ReadNumber above = other.left().get(i + 1);
            ReadNumber below = other.left().get(i + 2);
            boolean written = other.between(whole, above).matches("[\\s\u00A0\u202F-]")
                    && other.between(above, below).matches("[/\u2044]")
                    && value(whole).matches("\\d{1,6}")
                    && value(above).matches("\\d{1,3}")
                    && value(below).matches("[1-9]\\d{0,2}");
            if (written && number.values().contains(mixed(value(whole), value(above), value(below)))) {
                other.left().subList(i, i + 3).clear();
                return true;
            }
        }
        return false;
    }

    private static String mixed(String whole, String above, String below) {
        return new BigDecimal(whole)
                .add(new BigDecimal(above).divide(new BigDecimal(below), new MathContext(4)))
                .stripTrailingZeros()
                .toPlainString();
    }

    /** '\u00BD' and '0.5' against 1 and 2 with a stroke between them. */
    static boolean isQuotient(ReadNumber number, UnmatchedNumbers other) {
        return removeStroked(
                other,
                (above, below) -> above.matches("\\d{1,3}")
                        && below.matches("[1-9]\\d{0,2}")
                        && number.values()
                                .contains(new BigDecimal(above)
                                        .divide(new BigDecimal(below), new MathContext(4))
                                        .stripTrailingZeros()
                                        .toPlainString()));
    }

    /** Takes the first two numbers out that have a stroke between them and are {@code wanted}; false where there are none. */
    private static boolean removeStroked(UnmatchedNumbers side, BiPredicate<String, String> wanted) {
        for (int i = 0; i + 1 < side.left().size(); i++) {
            ReadNumber above = side.left().get(i);
            ReadNumber below = side.left().get(i + 1);
            if (side.between(above, below).matches("[/\u2044]") && wanted.test(value(above), value(below))) {
                side.left().subList(i, i + 2).clear();
                return true;
            }
        }
        return false;
    }

    /** '3:1' against 3 and 1. */
    static boolean isRatio(ReadNumber number, UnmatchedNumbers other) {
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
    static boolean isDiscount(ReadNumber number, UnmatchedNumbers one, UnmatchedNumbers other) {
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
    static boolean isWithHalf(ReadNumber number, UnmatchedNumbers other) {
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
                    .anyMatch(each -> each == 0
                            || each == 1 && SpelledNumber.saysOneAndHalf(other)
                            || SpelledNumber.count(other.text(), String.valueOf(each), other.language()) > 0);
            if (beside.isPresent() || said) {
                return true;
            }
        }
        return false;
    }

    /** A fraction alone may be a word on the other side, which has no number left. */
    static boolean isHalfSaid(ReadNumber number, UnmatchedNumbers other) {
        return other.left().isEmpty() && number.written().matches("[\u00BC-\u00BE\u2150-\u215E]");
    }

    /** '1/2' and '3/4' against words: the second number is said as a part of something, the first likewise or not at all. */
    static void settleSaid(UnmatchedNumbers one, UnmatchedNumbers other) {
        removeStroked(one, (above, below) -> isSaid(above, below, other));
    }

    private static boolean isSaid(String above, String below, UnmatchedNumbers other) {
        if (above.equals("1") && below.equals("2")) {
            return SpelledNumber.saysHalf(other.text(), other.language());
        }
        boolean counted = above.equals("1") || SpelledNumber.count(other.text(), above, other.language()) > 0;
        return counted && SpelledNumber.count(other.text(), below, other.language()) > 0;
    }
}
