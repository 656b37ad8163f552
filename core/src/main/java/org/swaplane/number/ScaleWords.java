package org.swaplane.number;

import com.ibm.icu.number.LocalizedNumberFormatter;
import com.ibm.icu.number.Notation;
import com.ibm.icu.number.NumberFormatter;
import com.ibm.icu.number.Precision;
import com.ibm.icu.text.RuleBasedNumberFormat;
import com.ibm.icu.util.ULocale;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Words that stand behind a number and multiply it, such as 'million' and '万', from the compact notation of CLDR. */
final class ScaleWords {
    private static final Pattern COMPACT = Pattern.compile("(\\d+(?:[.,]\\d+)?)[\\s\u00A0\u202F]*(\\D+)");
    private static final Pattern WORD =
            Pattern.compile("[\\s\u00A0\u202F]?(?:(?:de|of)[\\s\u00A0])?(?<word>\\p{L}[\\p{L}\\p{M}]*\\.?)");
    private static final Pattern AMOUNT_LETTER = Pattern.compile("(?<word>[kKmMbB]n?)(?![\\p{L}\\p{N}])");
    private static final Map<Character, Integer> AMOUNT_ZEROS = Map.of('k', 3, 'm', 6, 'b', 9);
    /** Shorter words must be just so, longer ones may have endings. */
    private static final int STEM = 5;

    private static final int MOST_ZEROS = 14;
    /** What people write in English besides what CLDR has. */
    private static final Map<String, Integer> ALSO_ENGLISH = Map.of("bn", 9, "tn", 12, "lakh", 5, "crore", 7);

    private final Map<String, Integer> zeros = new LinkedHashMap<>();
    private final boolean attached;
    /** What any of the words begins with, or the words before them and the letters behind an amount. */
    private final String begins;

    /** A word at the place asked for: where it ends, and how many zeros it stands for. */
    record Found(int end, int zeros) {}

    ScaleWords(ULocale locale) {
        ULocale latin = locale.setKeywordValue("numbers", "latn");
        this.attached = List.of("ja", "zh", "ko", "yue").contains(locale.getLanguage());
        for (Notation notation : List.of(Notation.compactLong(), Notation.compactShort())) {
            LocalizedNumberFormatter formatter = NumberFormatter.with()
                    .notation(notation)
                    .precision(Precision.maxFraction(1))
                    .locale(latin);
            for (int power = 3; power <= MOST_ZEROS; power++) {
                for (String digits : List.of("1", "2", "5", "1.5")) {
                    add(
                            formatter
                                    .format(new BigDecimal(digits).scaleByPowerOfTen(power))
                                    .toString(),
                            digits,
                            power);
                }
            }
        }
        if (attached) {
            addSpelled(locale);
        }
        if (locale.getLanguage().equals("en")) {
            zeros.putAll(ALSO_ENGLISH);
        }
        this.begins = "dokKmMbB"
                + zeros.keySet().stream().map(word -> word.substring(0, 1)).collect(Collectors.joining());
    }

    /** '百' and '千', which compact numbers do without. */
    private void addSpelled(ULocale locale) {
        RuleBasedNumberFormat spellout = new RuleBasedNumberFormat(locale, RuleBasedNumberFormat.SPELLOUT);
        String one = spellout.format(1);
        for (int power = 2; power <= 3; power++) {
            String word = spellout.format(Math.round(Math.pow(10, power)));
            zeros.putIfAbsent(word.startsWith(one) ? word.substring(one.length()) : word, power);
        }
    }

    private void add(String compact, String digits, int power) {
        Matcher matcher = COMPACT.matcher(compact);
        if (!matcher.matches()) {
            return;
        }
        BigDecimal shown = new BigDecimal(matcher.group(1).replace(',', '.'));
        BigDecimal times = new BigDecimal(digits).scaleByPowerOfTen(power).divide(shown);
        int exponent = times.precision() - times.scale() - 1;
        // 'mil millones': the first word alone is the smaller one, which is there by itself.
        String word = matcher.group(2).strip().replaceFirst("[\\s\u00A0].*", "");
        boolean single = word.length() == matcher.group(2).strip().length();
        if (single && exponent > 0 && (attached || word.length() > 2)) {
            zeros.putIfAbsent(word, exponent);
        }
    }

    /** Whether they stand right behind the digits, and a number goes on behind them. */
    boolean areAttached() {
        return attached;
    }

    /** What multiplies a number that ends at {@code end}; words may follow each other, as in 'mil millones'. */
    Found after(String text, int start, int end) {
        Found found = new Found(end, 0);
        if (!canBegin(text, end)) {
            return found;
        }
        if (isAmount(text, start)) {
            Matcher letter = AMOUNT_LETTER.matcher(text).region(end, text.length());
            if (letter.lookingAt()) {
                return new Found(
                        letter.end(), AMOUNT_ZEROS.get(Character.toLowerCase(text.charAt(letter.start("word")))));
            }
        }
        for (Optional<Found> next = next(text, end); next.isPresent(); next = next(text, found.end())) {
            found = new Found(next.get().end(), found.zeros() + next.get().zeros());
        }
        return found;
    }

    /** Asked first, since nearly no number has such a word behind it. */
    private boolean canBegin(String text, int at) {
        int next = at < text.length() && !Character.isLetter(text.charAt(at)) ? at + 1 : at;
        return next < text.length() && begins.indexOf(text.charAt(next)) >= 0;
    }

    private static boolean isAmount(String text, int start) {
        return start > 0 && Character.getType(text.charAt(start - 1)) == Character.CURRENCY_SYMBOL;
    }

    private Optional<Found> next(String text, int at) {
        if (attached) {
            return zeros.keySet().stream()
                    .filter(word -> text.startsWith(word, at))
                    .findFirst()
                    .map(word -> new Found(at + word.length(), zeros.get(word)));
        }
        Matcher matcher = WORD.matcher(text).region(at, text.length());
        if (!matcher.lookingAt()) {
            return Optional.empty();
        }
        String word = matcher.group("word");
        String bare = word.endsWith(".") ? word.substring(0, word.length() - 1) : word;
        return zeros.entrySet().stream()
                .filter(each -> each.getKey().equals(word)
                        || each.getKey().equals(bare)
                        || each.getKey().length() >= STEM
                                && bare.length() <= each.getKey().length() + 3
                                && bare.startsWith(each.getKey()))
                .max(Comparator.comparingInt(each -> each.getKey().length()))
                .map(each -> new Found(
                        each.getKey().equals(word) ? matcher.end("word") : matcher.start("word") + bare.length(),
                        each.getValue()));
    }
}
