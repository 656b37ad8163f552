package org.swaplane.desk;

/** Texts that a desk says, made fit to be shown: what is missing is empty, and nothing in them steers a terminal or turns a line. */
final class DeskText {
    private static final int MOST_OF_A_LINE = 500;
    private static final int MOST = 20_000;

    private DeskText() {}

    /** One line. */
    static String line(String said) {
        return cut(clean(said, false).strip(), MOST_OF_A_LINE);
    }

    /** One or several lines. */
    static String lines(String said) {
        return cut(clean(said, true).strip(), MOST);
    }

    private static String clean(String said, boolean lines) {
        if (said == null) {
            return "";
        }
        StringBuilder clean = new StringBuilder(said.length());
        said.replace("\r\n", "\n").codePoints().forEach(c -> {
            if (c == '\n' && lines) {
                clean.append('\n');
            } else if (isWhite(c)) {
                clean.append(' ');
            } else if (!isControl(c)) {
                clean.appendCodePoint(c);
            }
        });
        return clean.toString();
    }

    private static boolean isWhite(int c) {
        return c == '\n' || c == '\r' || c == '\t' || c == 0x85 || c == 0x2028 || c == 0x2029;
    }

    private static boolean isControl(int c) {
        int type = Character.getType(c);
        return type == Character.CONTROL
                || type == Character.SURROGATE
                || c >= 0x202a && c <= 0x202e
                || c >= 0x2066 && c <= 0x2069;
    }

    private static String cut(String text, int most) {
        if (text.length() <= most) {
            return text;
        }
        int end = Character.isHighSurrogate(text.charAt(most - 1)) ? most - 1 : most;
        return text.substring(0, end) + '…';
    }
}
