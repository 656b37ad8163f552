package org.swaplane.check;

import static org.swaplane.check.UnmatchedNumbers.value;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.number.DayPeriods;
import org.swaplane.number.MonthNames;
import org.swaplane.number.ReadNumber;

/** Times and dates that one text writes in pieces or with words, and the other in digits. */
final class TimesAndDates {
    private static final Pattern DATE = Pattern.compile("(\\d{4})-(\\d{2})-(\\d{2})");
    private static final Pattern TIME = Pattern.compile("(\\d{1,2}):(\\d{2})");
    private static final Pattern AFTERNOON = Pattern.compile("(1[2-9]|2[0-3])((?::\\d{2})?)");
    private static final Pattern MIDNIGHT = Pattern.compile("(?:0|24)(?::00)?");
    private static final Pattern NOON = Pattern.compile("12(?::00)?");

    /** Years by which the Buddhist calendar is ahead. */
    private static final int BUDDHIST = 543;

    private TimesAndDates() {}

    /** '2026-04-03' against 3 and 2026 with the name of the month, or against 2026, 4 and 3. */
    static boolean isDateInPieces(ReadNumber number, UnmatchedNumbers other) {
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
    static boolean isTimeInPieces(ReadNumber number, UnmatchedNumbers other) {
        Matcher time = TIME.matcher(value(number));
        if (!time.matches() || number.kind() != ReadNumber.Kind.TIME) {
            return false;
        }
        int hour = Integer.parseInt(time.group(1));
        String minutes = String.valueOf(Integer.parseInt(time.group(2)));
        for (int i = 0; i < other.left().size(); i++) {
            ReadNumber first = other.left().get(i);
            boolean sameHour = first.values().stream()
                    .anyMatch(value -> value.matches("\\d{1,2}") && Integer.parseInt(value) % 12 == hour % 12);
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

    /** '14:30' against 2:30 where a word says that it is after noon, and 18 against 6. */
    static boolean isAfternoon(ReadNumber number, UnmatchedNumbers other) {
        Optional<ReadNumber> half = number.values().stream()
                .map(TimesAndDates::halfDay)
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

    /** '0:00' against a word for midnight, and '12' against one for noon. */
    static boolean isNamedHour(ReadNumber number, UnmatchedNumbers other) {
        return number.values().stream()
                .anyMatch(value -> MIDNIGHT.matcher(value).matches() && SpelledNumber.saysMidnight(other)
                        || NOON.matcher(value).matches()
                                && DayPeriods.of(other.language()).sayNoon(other.text()));
    }

    /** '4\u6708' against the name of the month; a number alone could be anything. */
    static boolean isMonth(ReadNumber number, UnmatchedNumbers one, UnmatchedNumbers other) {
        String month = value(number);
        return month.matches("[1-9]|1[0-2]")
                && MonthNames.of(one.language()).isInWithDigits(one.text(), Integer.parseInt(month))
                && MonthNames.of(other.language()).isIn(other.text(), Integer.parseInt(month));
    }

    /** 2569 against 2026, in the years of a Buddhist calendar. */
    static boolean isBuddhistYear(ReadNumber number, UnmatchedNumbers one, UnmatchedNumbers other) {
        String year = value(number);
        if (!year.matches("2[4-7]\\d\\d") || !Language.of(one.language()).isOneOf("th", "lo", "km", "my")) {
            return false;
        }
        Optional<ReadNumber> common = other.find(String.valueOf(Integer.parseInt(year) - BUDDHIST));
        common.ifPresent(other.left()::remove);
        return common.isPresent();
    }

    /** '24/7' against words for it, which may have one of its numbers in them. */
    static void settleRoundTheClock(UnmatchedNumbers one, UnmatchedNumbers other) {
        for (int i = 0; i + 1 < one.left().size(); i++) {
            ReadNumber hours = one.left().get(i);
            ReadNumber days = one.left().get(i + 1);
            boolean written = value(hours).equals("24")
                    && value(days).equals("7")
                    && one.between(hours, days).matches("[\\s\u00A0]?[/x\u00D7][\\s\u00A0]?");
            if (written && saysRoundTheClock(other)) {
                one.left().subList(i, i + 2).clear();
                other.left()
                        .removeIf(number ->
                                value(number).equals("24") || value(number).equals("7"));
                return;
            }
        }
        // The hours were said as hours, so only the days are left.
        one.left()
                .removeIf(number -> value(number).equals("7")
                        && one.text().substring(0, number.start()).matches("(?s).*24[\\s\u00A0]?[/x\u00D7][\\s\u00A0]?")
                        && saysRoundTheClock(other));
    }

    private static boolean saysRoundTheClock(UnmatchedNumbers side) {
        String text = side.text().toLowerCase(Locale.ROOT).replaceAll("[\\s\u00A0]", "_");
        return CountingWords.of(Language.of(side.language()).code(), "round-the-clock").stream()
                .anyMatch(text::contains);
    }
}
