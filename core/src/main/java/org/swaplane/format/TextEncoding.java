package org.swaplane.format;

import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How the characters of an XML file are encoded (XML 1.0, appendix F).
 *
 * @param bom number of bytes of the byte order mark, 0 without one
 * @param unknown the declared name that this machine does not know, empty otherwise
 */
public record TextEncoding(Charset charset, int bom, String unknown) {
    private static final Pattern DECLARED =
            Pattern.compile("^\\s*<\\?xml[^>]*?encoding\\s*=\\s*[\"']([A-Za-z0-9._:-]+)[\"']");

    /** Without a byte order mark. */
    public static TextEncoding of(Charset charset) {
        return new TextEncoding(charset, 0, "");
    }

    /** The encoding that a byte order mark says, if there is one. */
    public static Optional<TextEncoding> marked(byte[] head) {
        TextEncoding found = detect(head);
        return found.bom() > 0 ? Optional.of(found) : Optional.empty();
    }

    static TextEncoding detect(byte[] head) {
        if (startsWith(head, 0xEF, 0xBB, 0xBF)) {
            return new TextEncoding(StandardCharsets.UTF_8, 3, "");
        }
        if (startsWith(head, 0xFE, 0xFF)) {
            return new TextEncoding(StandardCharsets.UTF_16BE, 2, "");
        }
        if (startsWith(head, 0xFF, 0xFE)) {
            return new TextEncoding(StandardCharsets.UTF_16LE, 2, "");
        }
        if (startsWith(head, 0, '<')) {
            return new TextEncoding(StandardCharsets.UTF_16BE, 0, "");
        }
        if (startsWith(head, '<', 0)) {
            return new TextEncoding(StandardCharsets.UTF_16LE, 0, "");
        }
        return declared(new String(head, StandardCharsets.ISO_8859_1));
    }

    private static TextEncoding declared(String head) {
        Matcher matcher = DECLARED.matcher(head);
        if (!matcher.find()) {
            return new TextEncoding(StandardCharsets.UTF_8, 0, "");
        }
        try {
            Charset charset = Charset.forName(matcher.group(1));
            // Declared in single bytes, so it cannot be what it says.
            return new TextEncoding(charset.name().startsWith("UTF-16") ? StandardCharsets.UTF_8 : charset, 0, "");
        } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
            return new TextEncoding(StandardCharsets.UTF_8, 0, matcher.group(1));
        }
    }

    private static boolean startsWith(byte[] head, int... expected) {
        for (int i = 0; i < expected.length; i++) {
            if (i >= head.length || (head[i] & 0xFF) != expected[i]) {
                return false;
            }
        }
        return true;
    }

    /** Name for people: {@code UTF-8}, or {@code UTF-8+BOM}. */
    public String label() {
        return bom > 0 ? charset.name() + "+BOM" : charset.name();
    }
}
