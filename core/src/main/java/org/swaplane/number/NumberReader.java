package org.swaplane.number;

import com.ibm.icu.lang.UCharacter;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Finds the numbers, times and dates of a text and reads them as values in the notation of its language. Thread-safe. */
public final class NumberReader {
    /** Fractions that are one character, such as U+00BD. */
    private static final String FRACTION = "[\u00BC-\u00BE\u2150-\u215E]";

    private static final Pattern TOKEN = Pattern.compile(
            "\\p{Nd}+(?:(?:[.,\u066B\u066C:\u2236/'\u2019\u00A0\u202F\u2009 -]|[hH](?=\\p{Nd}{2}))\\p{Nd}+)*+"
                    + FRACTION + "?|" + FRACTION);
    private static final Pattern DOTTED_CLOCK = Pattern.compile("([01]?\\d|2[0-4])\\.([0-5]\\d)");
    /** From here on the marks of Chinese and Japanese stand. */
    private static final char FIRST_WIDE = '\u3000';

    /** A hyphen, the sign itself, and a dash, as word processors write it. */
    private static final String SIGNS = "-\u2212\u2013";

    private static final char FIRST_OTHER = '\u0080';
    private static final MathContext FRACTION_DIGITS = new MathContext(4);
    private static final int THOUSAND = 3;
    private static final Pattern PLAIN = Pattern.compile("-?\\d+(?:\\.\\d+)?");
    private static final Pattern ENUMERATION = Pattern.compile("\\d+(?:,\\d+){2,}");
    private static final Pattern GROUPED =
            Pattern.compile("\\d{1,3}(?:(\\D)\\d{3})(?:\\1\\d{3})*+|\\d{1,2}(?:(\\D)\\d{2})(?:\\2\\d{2})*\\2\\d{3}");
    /** What is no time, such as '3:1' and '9001:2015'. */
    private static final Pattern RATIO = Pattern.compile("\\d{1,5}:\\d{1,4}");

    private final Notation notation;
    private final ScaleWords scales;
    private final TimeReader times;

    /** Making one asks CLDR for some hundred words, so each is made once; there are no more than languages. */
    private static final Map<String, NumberReader> BY_LANGUAGE = new ConcurrentHashMap<>();

    /** The reader of a language, by its BCP 47 code. */
    public static NumberReader of(String language) {
        return BY_LANGUAGE.computeIfAbsent(language, NumberReader::new);
    }

    private NumberReader(String language) {
        this.notation = Notation.of(language);
        this.scales = new ScaleWords(notation.locale());
        this.times = new TimeReader(notation, language, scales.areAttached());
    }

    Notation notation() {
        return notation;
    }

    /** The numbers in the order of the text. */
    public List<ReadNumber> read(String text) {
        List<ReadNumber> result = new ArrayList<>();
        Matcher matcher = TOKEN.matcher(text);
        for (int at = 0; at < text.length(); ) {
            // Most characters begin no number; asking the expression at each takes longer than all the rest.
            boolean begins = isNumeric(text.charAt(at))
                    && matcher.region(at, text.length()).lookingAt();
            if (begins) {
                readToken(text, at, matcher.end(), result);
            }
            at = begins ? matcher.end() : at + 1;
        }
        return result;
    }

    private void readToken(String text, int start, int end, List<ReadNumber> result) {
        double part = UCharacter.getUnicodeNumericValue(text.charAt(end - 1));
        if (part > 0 && part < 1) {
            String whole = end - start > 1 ? withAsciiDigits(text.substring(start, end - 1)) : "0";
            if (whole.chars().allMatch(Character::isDigit)) {
                BigDecimal value =
                        new BigDecimal(whole).add(BigDecimal.valueOf(part).round(FRACTION_DIGITS));
                result.add(number(text, start, end, Set.of(canonical(value.toPlainString()))));
                return;
            }
        }
        String digits = withAsciiDigits(text.substring(start, end));
        if (isPlain(digits) && !times.mayBeHour(text, start, end, digits)) {
            int signed = signedStart(text, start);
            addScaled(
                    text,
                    signed,
                    start,
                    end,
                    signed(text, signed, start, sign -> Set.of(plainValue(digits, sign))),
                    result);
            return;
        }
        Optional<ReadNumber> dateOrTime = times.read(text, start, end, digits);
        if (dateOrTime.isPresent()) {
            result.add(dateOrTime.get());
            return;
        }
        if (RATIO.matcher(digits).matches()) {
            result.add(number(text, start, end, Set.of(digits)));
            return;
        }
        if (ENUMERATION.matcher(digits).matches() && !isGrouped(digits)) {
            int at = start;
            for (String each : digits.split(",")) {
                readToken(text, at, at + each.length(), result);
                at += each.length() + 1;
            }
            return;
        }
        int cut = firstCut(digits);
        if (cut > 0) {
            readToken(text, start, start + cut, result);
            readToken(text, start + cut + 1, end, result);
            return;
        }
        int signed = signedStart(text, start);
        addScaled(text, signed, start, end, signed(text, signed, start, sign -> numberValues(digits, sign)), result);
    }

    /** With the words that multiply it; in '3\u4E075000' the rest belongs to the same number. */
    private void addScaled(String text, int signed, int start, int end, Set<String> values, List<ReadNumber> result) {
        ScaleWords.Found scale = scales.after(text, start, end);
        Set<String> scaled = scale.zeros() == 0 ? values : scaled(values, scale.zeros());
        if (scale.zeros() == 0 && isThousandOrUnit(text, end)) {
            scaled = new HashSet<>(values);
            scaled.addAll(scaled(values, THOUSAND));
        }
        ReadNumber before = result.isEmpty() ? null : result.get(result.size() - 1);
        boolean goesOn = before != null
                && scales.areAttached()
                && goesOn(text, before, signed)
                && before.values().size() == 1
                && scaled.size() == 1;
        if (goesOn) {
            String sum = new BigDecimal(before.values().iterator().next())
                    .add(new BigDecimal(scaled.iterator().next()))
                    .toPlainString();
            result.set(result.size() - 1, number(text, before.start(), scale.end(), Set.of(canonical(sum))));
        } else {
            result.add(number(text, signed, scale.end(), scaled));
        }
    }

    private static Set<String> scaled(Set<String> values, int zeros) {
        return values.stream()
                .filter(value -> PLAIN.matcher(value).matches())
                .map(value ->
                        canonical(new BigDecimal(value).scaleByPowerOfTen(zeros).toPlainString()))
                .collect(Collectors.toSet());
    }

    /** '10k' is ten thousand, or ten of something that is called so. */
    private static boolean isThousandOrUnit(String text, int end) {
        return end < text.length()
                && "kK".indexOf(text.charAt(end)) >= 0
                && (end + 1 == text.length() || !Character.isLetterOrDigit(text.charAt(end + 1)));
    }

    /** Right behind a number and its word, or in Korean behind a blank. */
    private boolean goesOn(String text, ReadNumber before, int start) {
        boolean blank = notation.locale().getLanguage().equals("ko")
                && start == before.end() + 1
                && text.charAt(before.end()) == ' ';
        return !Character.isDigit(text.charAt(before.end() - 1)) && (start == before.end() || blank);
    }

    private static ReadNumber number(String text, int start, int end, Set<String> values) {
        return new ReadNumber(start, end, text.substring(start, end), ReadNumber.Kind.NUMBER, values);
    }

    private static boolean isNumeric(char c) {
        return c < FIRST_OTHER
                ? c >= '0' && c <= '9'
                : Character.isDigit(c) || Character.getType(c) == Character.OTHER_NUMBER;
    }

    private static boolean isPlain(String digits) {
        for (int i = 0; i < digits.length(); i++) {
            if (digits.charAt(i) < '0' || digits.charAt(i) > '9') {
                return false;
            }
        }
        return true;
    }

    private static String plainValue(String digits, String sign) {
        int first = 0;
        while (first < digits.length() - 1 && digits.charAt(first) == '0') {
            first++;
        }
        String value = digits.substring(first);
        return value.equals("0") ? value : sign + value;
    }

    /** With ASCII digits, and with the separators that belong to Arabic digits (U+066B, U+066C) as this language's own. */
    private String withAsciiDigits(String text) {
        if (isPlain(text)) {
            return text;
        }
        StringBuilder result = new StringBuilder(text.length());
        text.chars().forEach(c -> {
            int digit = UCharacter.digit(c, 10);
            // A ratio sign, as some write times.
            char mark = c == '\u2236'
                    ? ':'
                    : c == '\u066B' ? notation.decimal() : c == '\u066C' ? notation.grouping() : (char) c;
            result.append(digit >= 0 ? (char) ('0' + digit) : mark);
        });
        return result.toString();
    }

    /** Where two numbers only look like one: at a mark that neither groups digits nor separates decimals; 0 for nowhere. */
    private int firstCut(String digits) {
        int range = digits.indexOf('-');
        if (range > 0) {
            return range;
        }
        for (int i = 1; i < digits.length(); i++) {
            char c = digits.charAt(i);
            boolean separates = "/:hH".indexOf(c) >= 0
                    || (Notation.isBlank(c) || Notation.isApostrophe(c)) && !isGrouped(wholePart(digits))
                    || c == ',' && notation.decimal() != ',' && notation.grouping() != ',';
            if (separates) {
                return i;
            }
        }
        return 0;
    }

    /** The part before the decimal separator. */
    private String wholePart(String digits) {
        int decimal = digits.lastIndexOf(notation.decimal());
        boolean isDecimal = decimal > 0 && digits.indexOf(notation.decimal()) == decimal;
        return isDecimal ? digits.substring(0, decimal) : digits;
    }

    /** Groups of three digits with one and the same separator of this language, or of two before the last three as in India. */
    private boolean isGrouped(String whole) {
        Matcher matcher = GROUPED.matcher(whole);
        if (!matcher.matches()) {
            return false;
        }
        String separator = matcher.group(1) == null ? matcher.group(2) : matcher.group(1);
        return notation.groups(separator.charAt(0));
    }

    private static int signedStart(String text, int start) {
        if (start == 0 || SIGNS.indexOf(text.charAt(start - 1)) < 0) {
            return start;
        }
        return start == 1 || isFree(text.charAt(start - 2)) ? start - 1 : start;
    }

    /** The values with the sign that stands before them; a dash can be one, or only a dash. */
    private static Set<String> signed(String text, int signed, int start, Function<String, Set<String>> values) {
        if (signed == start) {
            return values.apply("");
        }
        Set<String> negative = values.apply("-");
        if (text.charAt(signed) != '\u2013') {
            return negative;
        }
        Set<String> both = new HashSet<>(negative);
        both.addAll(values.apply(""));
        return both;
    }

    /** Whether a sign may stand behind this character, and not a hyphen. */
    private static boolean isFree(char before) {
        return Character.isWhitespace(before)
                || Character.isSpaceChar(before)
                || before >= FIRST_WIDE && !Character.isLetterOrDigit(before)
                || "([{=<>\u2264\u2265\u201C\u201E\u00AB\u2039\u2018\"'".indexOf(before) >= 0;
    }

    private Set<String> numberValues(String digits, String sign) {
        String whole = wholePart(digits);
        String fraction = digits.substring(whole.length());
        boolean plainWhole = whole.chars().allMatch(Character::isDigit);
        boolean plainFraction = fraction.chars().skip(1).allMatch(Character::isDigit);
        if (!plainFraction || !plainWhole && !isGrouped(whole)) {
            return dotted(digits, notation.decimal());
        }
        String value = whole.replaceAll("\\D", "") + (fraction.isEmpty() ? "" : "." + fraction.substring(1));
        return Set.of(canonical(sign + value));
    }

    /** Versions and section numbers ({@code 2.10.1}) are no values: they must stay as they are. */
    private static Set<String> dotted(String digits, char decimal) {
        Matcher clock = DOTTED_CLOCK.matcher(digits);
        // Where a comma begins the decimals, a dot may stand between hours and minutes.
        if (decimal == ',' && clock.matches()) {
            return Set.of(Integer.parseInt(clock.group(1)) + ":" + clock.group(2));
        }
        return digits.matches("\\d+(\\.\\d+){2,}") ? Set.of("#" + digits) : Set.of();
    }

    private static String canonical(String plain) {
        BigDecimal value = new BigDecimal(plain);
        return value.signum() == 0 ? "0" : value.stripTrailingZeros().toPlainString();
    }
}
