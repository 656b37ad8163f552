package org.swaplane.number;

import com.ibm.icu.text.DateFormat;
import com.ibm.icu.text.DecimalFormatSymbols;
import com.ibm.icu.text.SimpleDateFormat;
import com.ibm.icu.util.ULocale;

/**
 * How a language writes numbers, dates and times, from CLDR.
 *
 * @param decimal the decimal separator
 * @param grouping the separator between groups of digits
 * @param groupingOfAmounts the same in amounts of money, which differs in few countries
 * @param fieldOrder the order of a short date, such as {@code dMy}
 * @param dateSeparator what stands between the fields of a short date
 * @param dottedTime a dot between hours and minutes is usual
 * @param hours24 the day has 24 hours
 */
record Notation(
        ULocale locale,
        char decimal,
        char grouping,
        char groupingOfAmounts,
        String fieldOrder,
        char dateSeparator,
        boolean dottedTime,
        boolean hours24) {
    static Notation of(String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        DecimalFormatSymbols symbols = DecimalFormatSymbols.getInstance(locale);
        String date = ((SimpleDateFormat) DateFormat.getDateInstance(DateFormat.SHORT, locale)).toPattern();
        String time = ((SimpleDateFormat) DateFormat.getTimeInstance(DateFormat.SHORT, locale)).toPattern();
        return new Notation(
                locale,
                symbols.getDecimalSeparator(),
                symbols.getGroupingSeparator(),
                symbols.getMonetaryGroupingSeparator(),
                order(date),
                separator(date),
                time.contains("."),
                time.contains("H"));
    }

    private static char separator(String datePattern) {
        String separators = datePattern.replaceAll("[^./-]", "");
        return separators.isEmpty() ? '/' : separators.charAt(0);
    }

    private static String order(String pattern) {
        StringBuilder order = new StringBuilder();
        for (char c : pattern.toCharArray()) {
            char field = c == 'L' ? 'M' : c;
            if ("dMy".indexOf(field) >= 0 && order.indexOf(String.valueOf(field)) < 0) {
                order.append(field);
            }
        }
        return order.toString();
    }

    /** Whether {@code c} can separate groups of digits here; languages that use one kind of blank accept all kinds. */
    boolean groups(char c) {
        return c == grouping
                || c == groupingOfAmounts
                || isBlank(c) && (isBlank(grouping) || c != ' ')
                || isApostrophe(c) && isApostrophe(grouping);
    }

    static boolean isBlank(char c) {
        return c == ' ' || c == '\u00A0' || c == '\u202F' || c == '\u2009';
    }

    static boolean isApostrophe(char c) {
        return c == '\'' || c == '\u2019';
    }
}
