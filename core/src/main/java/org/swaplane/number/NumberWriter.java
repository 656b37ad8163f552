package org.swaplane.number;

import com.ibm.icu.text.DecimalFormat;
import com.ibm.icu.text.NumberFormat;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;

/** Writes a value that was read in one language in the notation of another. */
public final class NumberWriter {
    private static final char ARABIC_ZERO = '\u0660';
    private static final char PERSIAN_ZERO = '\u06F0';

    private final Notation notation;

    public NumberWriter(String language) {
        this.notation = Notation.of(language);
    }

    /**
     * What should stand in the target in place of {@code wrong} so that it says what {@code right} says; empty when that is not
     * certain.
     */
    public Optional<String> corrected(ReadNumber right, ReadNumber wrong) {
        if (right.kind() != wrong.kind() || right.values().isEmpty()) {
            return Optional.empty();
        }
        Optional<String> written =
                switch (right.kind()) {
                    case NUMBER -> number(right);
                    case TIME -> time(right, wrong);
                    case DATE -> date(right, wrong);
                };
        return written.map(text -> inDigitsOf(wrong, text));
    }

    /** How a number, time or date is written here where nothing else is known; as it stands where that is not certain. */
    public String written(ReadNumber right) {
        if (right.values().isEmpty()) {
            return right.written();
        }
        return switch (right.kind()) {
            case NUMBER -> number(right).orElse(right.written());
            case TIME ->
                notation.hours24() && right.written().matches("\\p{Nd}{1,2}[:.]\\p{Nd}{2}")
                        ? right.written().replace(':', notation.dottedTime() ? '.' : ':')
                        : right.written();
            case DATE -> dateInOwnOrder(right);
        };
    }

    private String dateInOwnOrder(ReadNumber right) {
        String[] fields = right.values().iterator().next().split("-");
        if (fields.length != 3 || right.values().size() > 1 || !right.written().matches("[\\p{Nd}./-]+")) {
            return right.written();
        }
        StringBuilder out = new StringBuilder();
        for (char field : notation.fieldOrder().toCharArray()) {
            out.append(out.isEmpty() ? "" : String.valueOf(notation.dateSeparator()))
                    .append(fields["yMd".indexOf(field)]);
        }
        return out.toString();
    }

    /** In the digits that the text has, which may be others than the usual ones of its language. */
    private static String inDigitsOf(ReadNumber there, String text) {
        int digit =
                there.written().chars().filter(Character::isDigit).findFirst().orElse('0');
        int zero = digit - Character.digit(digit, 10);
        if (zero == '0') {
            return text;
        }
        StringBuilder result = new StringBuilder();
        text.chars().forEach(c -> {
            boolean arabic = there.kind() == ReadNumber.Kind.NUMBER && (zero == ARABIC_ZERO || zero == PERSIAN_ZERO);
            int mark = arabic && c == '.' ? '\u066B' : arabic && c == ',' ? '\u066C' : c;
            result.append((char) (c >= '0' && c <= '9' ? zero + c - '0' : mark));
        });
        return result.toString();
    }

    private Optional<String> number(ReadNumber right) {
        String value = right.values().iterator().next();
        if (value.startsWith("#") || value.contains(":")) {
            return Optional.of(right.written());
        }
        int fraction = 0;
        String written = right.written();
        int lastMark = Math.max(written.lastIndexOf('.'), written.lastIndexOf(','));
        if (value.contains(".") || lastMark > 0 && isFraction(written, lastMark, value)) {
            fraction = written.length() - lastMark - 1;
        }
        DecimalFormat format = (DecimalFormat) NumberFormat.getInstance(notation.locale());
        format.setMinimumFractionDigits(fraction);
        format.setMaximumFractionDigits(fraction);
        format.setGroupingUsed(written.codePoints().filter(Character::isDigit).count()
                        < written.strip().length() - (fraction > 0 ? 1 : 0)
                && Math.abs(new BigDecimal(value).longValue()) >= 1000);
        return Optional.of(format.format(new BigDecimal(value)));
    }

    /** {@code 4.00} means 4 and is written with two decimals. */
    private static boolean isFraction(String written, int mark, String value) {
        String whole = written.substring(0, mark).replaceAll("\\D", "");
        return whole.equals(value) && written.substring(mark + 1).matches("0+");
    }

    private Optional<String> time(ReadNumber right, ReadNumber wrong) {
        String value = right.values().stream()
                .filter(each -> each.contains(":"))
                .findFirst()
                .orElseThrow();
        String separator = wrong.written().replaceAll("^\\p{Nd}+([:.hH])?.*$", "$1");
        boolean halfDay = wrong.written().toLowerCase(Locale.ROOT).contains("m");
        if (separator.isEmpty() || halfDay || !notation.hours24()) {
            return Optional.empty();
        }
        boolean twoDigits = right.written().startsWith("0") || wrong.written().matches("\\p{Nd}{2}.*");
        String padded = twoDigits && value.indexOf(':') == 1 ? "0" + value : value;
        return Optional.of(padded.replace(":", separator));
    }

    private Optional<String> date(ReadNumber right, ReadNumber wrong) {
        String[] fields = right.values().iterator().next().split("-");
        String separator = wrong.written().replaceAll("^\\p{Nd}+(\\P{Nd}).*$", "$1");
        if (wrong.written().matches("\\p{Nd}{4}.*")) {
            return Optional.of(String.join(separator, fields));
        }
        StringBuilder out = new StringBuilder();
        for (char field : notation.fieldOrder().toCharArray()) {
            out.append(out.isEmpty() ? "" : separator).append(fields["yMd".indexOf(field)]);
        }
        return Optional.of(out.toString());
    }
}
