package org.swaplane.number;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads digits as a date or a time of day, as one language writes them. */
final class TimeReader {
    private static final Pattern DATE = Pattern.compile("(\\d{1,4})([./-])(\\d{1,2})\\2(\\d{1,4})");
    private static final Pattern CLOCK = Pattern.compile("(\\d{1,2})([:.hH])(\\d{2})(?:[:.](\\d{2}))?");
    private static final Pattern HALF_DAY =
            Pattern.compile("[ \u00A0\u202F]?([ap])\\.?[ \u00A0]?m\\b\\.?", Pattern.CASE_INSENSITIVE);
    private static final Pattern HOUR_OF_TWELVE = Pattern.compile("(?:0?[1-9]|1[0-2])(?::[0-5]\\d)?");
    /** What stands behind an hour in Chinese, Japanese and Korean. */
    private static final String HOUR_WORDS = "\u70B9\u9EDE\u65F6\u6642\uC2DC";

    private static final Pattern CLOCK_WORD = Pattern.compile("[ \u00A0\u202F]?(?:Uhr|uur|h)\\b");

    private final Notation notation;
    private final DayPeriods periods;
    private final boolean halfFirst;

    /** {@code halfFirst} says that the half of the day stands before the hour. */
    TimeReader(Notation notation, String language, boolean halfFirst) {
        this.notation = notation;
        this.periods = DayPeriods.of(language);
        this.halfFirst = halfFirst;
    }

    /** Whether plain digits may be an hour with its half of the day. */
    boolean mayBeHour(String text, int start, int end, String digits) {
        return mayPrecedeHalf(text, end, digits) || halfBefore(text, start, end, digits) != 0;
    }

    /** Whether a half of the day may follow, as in '3 pm'. */
    private static boolean mayPrecedeHalf(String text, int end, String digits) {
        int next = end < text.length() && !Character.isLetter(text.charAt(end)) ? end + 1 : end;
        return digits.length() <= 2 && next < text.length() && "aApP".indexOf(text.charAt(next)) >= 0;
    }

    /** The date or time that stands at {@code [start, end)}, {@code digits} being its text with ASCII digits; empty where it is none. */
    Optional<ReadNumber> read(String text, int start, int end, String digits) {
        Matcher date = DATE.matcher(digits);
        if (date.matches()) {
            Set<String> values = dateValues(date);
            if (!values.isEmpty()) {
                return Optional.of(
                        new ReadNumber(start, end, text.substring(start, end), ReadNumber.Kind.DATE, values));
            }
        }
        char half = halfBefore(text, start, end, digits);
        if (half != 0) {
            return Optional.of(halfDayTime(text, start, end, digits, half));
        }
        Matcher halfDay = HALF_DAY.matcher(text).region(end, text.length());
        boolean isHalfDay = halfDay.lookingAt();
        Matcher clock = CLOCK.matcher(digits);
        if (clock.matches()
                && isClock(
                        clock,
                        isHalfDay
                                || CLOCK_WORD
                                        .matcher(text)
                                        .region(end, text.length())
                                        .lookingAt())) {
            int hour = Integer.parseInt(clock.group(1));
            int last = isHalfDay ? halfDay.end() : end;
            Integer shifted = isHalfDay ? fullDayHour(hour, halfDay.group(1)) : Integer.valueOf(hour);
            if (shifted != null && shifted <= 24 && Integer.parseInt(clock.group(3)) < 60) {
                String seconds = clock.group(4) == null ? "" : ":" + clock.group(4);
                String value = shifted + ":" + clock.group(3) + seconds;
                return Optional.of(
                        new ReadNumber(start, last, text.substring(start, last), ReadNumber.Kind.TIME, Set.of(value)));
            }
        }
        if (isHalfDay && digits.matches("\\d{1,2}")) {
            Integer hour = fullDayHour(Integer.parseInt(digits), halfDay.group(1));
            if (hour != null) {
                int last = halfDay.end();
                // '14 Uhr' on the other side is read as the number 14.
                Set<String> values = Set.of(hour + ":00", String.valueOf(hour));
                return Optional.of(
                        new ReadNumber(start, last, text.substring(start, last), ReadNumber.Kind.TIME, values));
            }
        }
        return Optional.empty();
    }

    /** In languages that say the half of the day before the hour: which half, for an hour of twelve; else 0. */
    private char halfBefore(String text, int start, int end, String digits) {
        if (!halfFirst || start == 0 || !HOUR_OF_TWELVE.matcher(digits).matches()) {
            return 0;
        }
        boolean hour = digits.indexOf(':') > 0
                || end < text.length() && HOUR_WORDS.indexOf(text.charAt(end)) >= 0
                || end + 1 < text.length() && text.charAt(end) == ' ' && HOUR_WORDS.indexOf(text.charAt(end + 1)) >= 0;
        return hour ? periods.halfBefore(text, start) : 0;
    }

    private static ReadNumber halfDayTime(String text, int start, int end, String digits, char half) {
        int colon = digits.indexOf(':');
        int hour = fullDayHour(Integer.parseInt(colon < 0 ? digits : digits.substring(0, colon)), String.valueOf(half));
        Set<String> values =
                colon < 0 ? Set.of(hour + ":00", String.valueOf(hour)) : Set.of(hour + digits.substring(colon));
        return new ReadNumber(start, end, text.substring(start, end), ReadNumber.Kind.TIME, values);
    }

    private boolean isClock(Matcher clock, boolean named) {
        return !clock.group(2).equals(".") || named || notation.dottedTime() && notation.decimal() != '.';
    }

    private static Integer fullDayHour(int hour, String half) {
        if (hour < 1 || hour > 12) {
            return null;
        }
        return hour % 12 + (half.equalsIgnoreCase("p") ? 12 : 0);
    }

    /** The readings of a date in the language's own order, or in that of ISO 8601 when the year stands first. */
    private Set<String> dateValues(Matcher date) {
        String order = date.group(1).length() == 4 ? "yMd" : notation.fieldOrder();
        int[] fields = {
            Integer.parseInt(date.group(1)), Integer.parseInt(date.group(3)), Integer.parseInt(date.group(4))
        };
        int year = fields[order.indexOf('y')];
        int month = fields[order.indexOf('M')];
        int day = fields[order.indexOf('d')];
        boolean plainYear = Math.max(date.group(1).length(), date.group(4).length()) == 4;
        boolean ownSeparator = date.group(2).charAt(0) == notation.dateSeparator();
        if (!plainYear && (!ownSeparator || date.group(4).length() < 2)) {
            return Set.of();
        }
        boolean valid = month >= 1 && month <= 12 && day >= 1 && day <= 31;
        int fullYear = year < 100 ? 2000 + year : year;
        return valid ? Set.of(String.format(Locale.ROOT, "%04d-%02d-%02d", fullYear, month, day)) : Set.of();
    }
}
