package org.swaplane.format;

import java.nio.charset.CharsetEncoder;
import org.swaplane.task.CannotProceedException;

/** How a kind of file writes characters that its encoding lacks. */
public enum CharacterEscapes {
    /** {@code &#8364;}; some characters cannot stand in XML at all. */
    XML {
        @Override
        String escape(int c) {
            return "&#" + c + ';';
        }

        /** XML 1.0, production [2] Char. */
        @Override
        boolean allows(int c) {
            return c == '\t'
                    || c == '\n'
                    || c == '\r'
                    || c >= 0x20 && c <= 0xD7FF
                    || c >= 0xE000 && c <= 0xFFFD
                    || c >= 0x10000;
        }
    },

    /** {@code \u20AC}, a surrogate pair as two. */
    BACKSLASH_U {
        @Override
        String escape(int c) {
            StringBuilder escaped = new StringBuilder();
            for (char unit : Character.toChars(c)) {
                escaped.append(String.format("\\u%04X", (int) unit));
            }
            return escaped.toString();
        }
    },

    /** There is no way. */
    NONE {
        @Override
        String escape(int c) {
            return "";
        }
    };

    /** The character in other characters; empty where there is no way. */
    abstract String escape(int c);

    boolean allows(int c) {
        return true;
    }

    /**
     * The text with everything escaped that {@code encoder} lacks.
     *
     * @param file its name, for the message
     * @param segment key of the segment that holds the text, for the message
     * @throws CannotProceedException when a character cannot be written at all
     */
    final String escaped(String text, CharsetEncoder encoder, String file, String segment) {
        if (isPlain(text) && encoder.charset().name().startsWith("UTF-")) {
            return text;
        }
        text.codePoints().filter(c -> !allows(c)).findFirst().ifPresent(c -> {
            throw refused(c, "XML", file, segment);
        });
        if (encoder.canEncode(text)) {
            return text;
        }
        StringBuilder writable = new StringBuilder(text.length());
        text.codePoints().forEach(c -> {
            if (encoder.canEncode(Character.toString(c))) {
                writable.appendCodePoint(c);
            } else if (escape(c).isEmpty()) {
                throw refused(c, encoder.charset().name(), file, segment);
            } else {
                writable.append(escape(c));
            }
        });
        return writable.toString();
    }

    /** Whether there is nothing in it but what every Unicode encoding and every format can hold; nearly all texts are so. */
    private static boolean isPlain(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c < 0x20 && c != '\t' && c != '\n' && c != '\r' || c >= 0xD800) {
                return false;
            }
        }
        return true;
    }

    private static CannotProceedException refused(int c, String lacking, String file, String segment) {
        return new CannotProceedException(file, "problem.character", segment, String.format("U+%04X", c), lacking);
    }
}
