package org.swaplane.check;

import java.util.Currency;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.swaplane.compare.Span;

/** Codes of capital letters and digits, whose letters are no part of the value that is compared. */
final class LetteredCodes {
    /** Capital letters with digits. */
    private static final Pattern LETTERED =
            Pattern.compile("(?<![\\p{L}\\p{N}._/-])(?:[A-Z]{1,4}-?\\d{2,}|\\d{2,}[A-Z])(?![\\p{L}\\p{N}._/-])");

    /** What may part the letters and the digits of a code. */
    private static final String MARKS = "[^\\p{L}\\p{N}]{0,2}";

    private static final Set<String> CURRENCIES = Currency.getAvailableCurrencies().stream()
            .map(Currency::getCurrencyCode)
            .collect(Collectors.toUnmodifiableSet());

    private LetteredCodes() {}

    /**
     * A code of the source whose digits stand in the target with other letters, or with none: 'X-200' against 'Y-200', 'E404' against '404'.
     * Both texts without placeholders.
     */
    static Optional<Span> changed(String source, String target) {
        boolean lettered = hasLettered(source);
        Matcher code = LETTERED.matcher(source);
        while (lettered && code.find()) {
            String letters = code.group().replaceAll("[^A-Z]", "");
            String digits = code.group().replaceAll("\\D", "");
            boolean before = Character.isLetter(code.group().charAt(0));
            String written = before ? letters + MARKS + digits : digits + MARKS + letters;
            boolean same = CURRENCIES.contains(letters)
                    || UnitSymbols.isOne(letters)
                    || Pattern.compile(written).matcher(target).find();
            if (!same
                    && Pattern.compile("(?<!\\d)" + digits + "(?!\\d)")
                            .matcher(target)
                            .find()) {
                return Optional.of(new Span(code.start(), code.end()));
            }
        }
        return Optional.empty();
    }

    /** Asked first, since nearly no text has a capital letter beside digits. */
    private static boolean hasLettered(String text) {
        for (int i = 1; i < text.length(); i++) {
            char before = text.charAt(i - 1);
            char here = text.charAt(i);
            if (isCapital(before) && (isDigit(here) || here == '-') || isDigit(before) && isCapital(here)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isCapital(char c) {
        return c >= 'A' && c <= 'Z';
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }
}
