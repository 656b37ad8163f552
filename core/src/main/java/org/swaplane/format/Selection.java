package org.swaplane.format;

import java.util.List;
import java.util.regex.Pattern;

/**
 * Which texts of a document are translated, by their address in it: the path of keys in JSON ({@code /menu/items/0/title}), the column
 * of a table ({@code /Title} or {@code /B}), sheet, column and row of a workbook ({@code /Fares/B/12}), elements and attribute in XML
 * ({@code /page/para/@label}). A pattern names a place and everything below it; a star stands for any name at one level, two for any
 * levels, {@code B:D} and {@code 2:40} for a range of columns or rows. A pattern that begins with {@code -} takes away. Later patterns win.
 *
 * @param patterns one a line; without any that adds, everything is in
 */
public record Selection(List<String> patterns) {
    public static final Selection ALL = new Selection(List.of());

    private static final Pattern RANGE = Pattern.compile("([A-Za-z]{1,3}):([A-Za-z]{1,3})|(\\d{1,9}):(\\d{1,9})");

    public Selection {
        patterns = patterns == null
                ? List.of()
                : patterns.stream()
                        .map(String::strip)
                        .filter(each -> !each.isEmpty())
                        .toList();
    }

    public boolean takesAll() {
        return patterns.isEmpty();
    }

    /** Whether the text at this address is translated; steps are separated by {@code /}, which also begins it. */
    public boolean includes(String address) {
        boolean included = patterns.stream().allMatch(each -> each.startsWith("-"));
        for (String pattern : patterns) {
            boolean takesAway = pattern.startsWith("-");
            String path = takesAway ? pattern.substring(1).strip() : pattern;
            if (included == takesAway && matches(steps(path), 0, steps(address), 0)) {
                included = !takesAway;
            }
        }
        return included;
    }

    private static String[] steps(String path) {
        return (path.startsWith("/") ? path.substring(1) : path).split("/", -1);
    }

    private static boolean matches(String[] pattern, int p, String[] address, int a) {
        if (p == pattern.length) {
            return true;
        }
        if (pattern[p].equals("**")) {
            for (int skip = a; skip <= address.length; skip++) {
                if (matches(pattern, p + 1, address, skip)) {
                    return true;
                }
            }
            return false;
        }
        return a < address.length && matchesStep(pattern[p], address[a]) && matches(pattern, p + 1, address, a + 1);
    }

    private static boolean matchesStep(String pattern, String step) {
        if (pattern.equals("*") || pattern.equals(step)) {
            return true;
        }
        var range = RANGE.matcher(pattern);
        if (!range.matches()) {
            return pattern.contains("*") && globbed(pattern).matcher(step).matches();
        }
        return range.group(1) == null
                ? step.matches("\\d{1,9}") && isBetween(number(range.group(3)), number(step), number(range.group(4)))
                : step.matches("[A-Za-z]{1,3}")
                        && isBetween(column(range.group(1)), column(step), column(range.group(2)));
    }

    private static Pattern globbed(String pattern) {
        return Pattern.compile("\\Q" + pattern.replace("*", "\\E.*\\Q") + "\\E", Pattern.DOTALL);
    }

    private static boolean isBetween(int least, int value, int most) {
        return least <= value && value <= most;
    }

    private static int number(String digits) {
        return Integer.parseInt(digits);
    }

    /** Columns count A to Z, AA to ZZ and so on. */
    private static int column(String letters) {
        int column = 0;
        for (char letter : letters.toCharArray()) {
            column = column * 26 + Character.toUpperCase(letter) - 'A' + 1;
        }
        return column;
    }
}
