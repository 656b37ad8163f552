package org.swaplane.check;

import java.util.ArrayList;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.swaplane.number.ReadNumber;

/** Digits that are no value: versions, codes, telephone numbers. They stay as they are. */
final class Codes {
    /** How words begin that stand before a version, or before the number of a section, a figure, a table. */
    private static final Pattern VERSION = Pattern.compile(
            "vers|rele|revi|buil|firm|wers|верс|v"
                    + "|sect|figu|fig|tabl|tab|chap|exam|appe|abbi|abb|absc|kapi|beis|anha|exem|tabe|secc|capí|capi|ejem|sezi|esem|разд|рису|табл|глав");

    /** What stands before the number of a heading: nothing, or what it is a heading of. */
    private static final Pattern BEFORE_HEADING =
            Pattern.compile("[^\\p{L}\\p{N}]*(?:\\p{L}[\\p{L}\\p{M}]*\\.?[\\s\u00A0])?");

    private static final Pattern NAME_WITH_NUMBER = Pattern.compile(".*\\p{L}.*[/._+-]+.*|.*[/._+-]+.*\\p{L}.*");
    private static final Pattern BEHIND_HEADING = Pattern.compile("[.:)][\\s\u00A0]+\\S");

    private static final Pattern NAME = Pattern.compile("\\p{Lu}\\p{Ll}{2,}[\\s\u00A0]$");
    private static final Pattern PLAIN = Pattern.compile("[-\u2212\u2013]?\\p{Nd}+");
    private static final Pattern CODE = Pattern.compile("\\p{Nd}+");
    /** Digits that are either a thousand or a fraction. */
    private static final Pattern GROUPED = Pattern.compile("\\d{1,3}(?:[.,]\\d{3})+");

    /** Characters of a name at each side of its number; texts without blanks are no names. */
    private static final int LONGEST_NAME = 80;

    private static final int LONG_NUMBER = 7;
    /** From so many digits on, zeros at the begin belong to a code. */
    private static final int CODE_WITH_ZEROS = 3;

    private Codes() {}

    /** Telephone numbers and the like: all that is left are the same digits in other groups. */
    static void settleSameDigits(UnmatchedNumbers source, UnmatchedNumbers target) {
        String one = source.digits();
        // Marks between digits would say what they are worth.
        boolean codes = Stream.concat(source.left().stream(), target.left().stream())
                .allMatch(each -> CODE.matcher(each.written()).matches());
        if (codes && one.length() >= LONG_NUMBER && one.equals(target.digits())) {
            source.left().clear();
            target.left().clear();
        }
    }

    /**
     * A version is no value: '2.10' stays '2.10' behind the same word, also where numbers are written otherwise; and so do '1.0', which
     * is no amount that people write, and what letters are attached to.
     */
    static void settleSameWord(UnmatchedNumbers source, UnmatchedNumbers target) {
        for (ReadNumber number : new ArrayList<>(source.left())) {
            String before = wordBefore(source.text(), number.start());
            target.left().stream()
                    .filter(each -> each.written().equals(number.written()))
                    .filter(each -> number.written().matches("\\d+\\.0")
                            || VERSION.matcher(before).matches()
                            || isAttached(source.text(), number) && isAttached(target.text(), each)
                            || isOfHeading(source.text(), number) && isOfHeading(target.text(), each)
                            || isOfName(source.text(), number)
                                    && token(source.text(), number).equals(token(target.text(), each))
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

    /** '5.3. Fares' and 'Figure 5.3: Fares', with which a text begins. */
    private static boolean isOfHeading(String text, ReadNumber number) {
        return BEFORE_HEADING.matcher(text).region(0, number.start()).matches()
                && BEHIND_HEADING
                        .matcher(text)
                        .region(number.end(), text.length())
                        .lookingAt();
    }

    /** Whether a number is part of a path, of an address or of a program's name. */
    private static boolean isOfName(String text, ReadNumber number) {
        return NAME_WITH_NUMBER.matcher(token(text, number)).matches();
    }

    /** What stands around a number without a blank, and without marks at its ends. */
    private static String token(String text, ReadNumber number) {
        int start = number.start();
        int first = Math.max(0, number.start() - LONGEST_NAME);
        int last = Math.min(text.length(), number.end() + LONGEST_NAME);
        while (start > first && !isBlank(text.charAt(start - 1))) {
            start--;
        }
        int end = number.end();
        while (end < last && !isBlank(text.charAt(end))) {
            end++;
        }
        return text.substring(start, end).replaceAll("^[^\\p{L}\\p{N}/]+|[^\\p{L}\\p{N}/]+$", "");
    }

    private static boolean isBlank(char c) {
        return Character.isWhitespace(c) || Character.isSpaceChar(c);
    }

    /** 'i18n': letters at both sides make a word of it, which a language may write out. */
    static boolean isOfWord(String text, ReadNumber number) {
        return number.start() > 0
                && number.end() < text.length()
                && Character.isLetter(text.charAt(number.start() - 1))
                && Character.isLowerCase(text.charAt(number.end()))
                && CODE.matcher(number.written()).matches();
    }

    /** Whether Latin letters stand right before or behind a number, other than a unit of measure. */
    private static boolean isAttached(String text, ReadNumber number) {
        boolean before = number.start() > 0 && isLatin(text.charAt(number.start() - 1));
        int end = number.end();
        while (end < text.length() && isLatin(text.charAt(end))) {
            end++;
        }
        return before || end > number.end() && !UnitSymbols.isOne(text.substring(number.end(), end));
    }

    private static boolean isLatin(char c) {
        return Character.isLetter(c) && Character.UnicodeScript.of(c) == Character.UnicodeScript.LATIN;
    }

    /**
     * Whether digits of the same value are not the same: '2.10' and '2.1' of a version or behind a name, and '007' and '07', which have
     * lost or got a zero at the begin. A day or an hour may be written with a zero and without.
     */
    static boolean differ(String text, ReadNumber source, ReadNumber target) {
        String one = source.written();
        String other = target.written();
        if (one.equals(other)) {
            return false;
        }
        boolean plain = PLAIN.matcher(one).matches() && PLAIN.matcher(other).matches();
        if (plain) {
            boolean zero = source.values().contains("0");
            return one.length() != other.length()
                    && (zero || Math.max(one.length(), other.length()) >= CODE_WITH_ZEROS);
        }
        boolean version = one.indexOf('.') > 0
                && (isVersion(text, source)
                        || NAME.matcher(text.substring(0, source.start())).find());
        return version
                && other.indexOf('.') > 0
                && digitsOf(one).length() != digitsOf(other).length();
    }

    private static String digitsOf(String written) {
        return written.replaceAll("\\P{Nd}", "");
    }

    /** Whether a number is that of a version, which is no value: '2.10' is not '2.1'. */
    static boolean isVersion(String text, ReadNumber number) {
        return number.written().indexOf('.') > 0
                && VERSION.matcher(wordBefore(text, number.start())).matches();
    }

    /** The begin of the word right before a number, small. */
    private static String wordBefore(String text, int at) {
        Matcher word = Pattern.compile("(\\p{L}{1,4})\\p{L}*\\.?[\\s\u00A0-]?$")
                .matcher(text.substring(Math.max(0, at - 40), at));
        return word.find() ? word.group(1).toLowerCase(Locale.ROOT) : "";
    }
}
