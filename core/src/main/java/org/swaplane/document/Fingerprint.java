package org.swaplane.document;

import com.ibm.icu.text.Normalizer2;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;

/** Recognising the same source again: a hash of its text with tags as numbered symbols, after NFC and folded white space. */
public final class Fingerprint {
    private static final Pattern WHITE_SPACE = Pattern.compile("\\p{IsWhite_Space}+");

    /** Below it, NFC changes nothing (UAX #15, quick check). */
    private static final char FIRST_COMBINING = '\u0300';

    private static final char NEXT_LINE = '\u0085';
    private static final char NO_BREAK_SPACE = '\u00A0';
    private static final char TAG_BRACKETS = '⟦';

    private Fingerprint() {}

    /** 16 hexadecimal digits. */
    public static String of(Content source) {
        return ofWritten(TagNotation.write(source, source));
    }

    /** The same for a source that already is written with {@link TagNotation}. */
    public static String ofWritten(String source) {
        String folded = isFolded(source)
                ? source
                : WHITE_SPACE
                        .matcher(Normalizer2.getNFCInstance().normalize(source))
                        .replaceAll(" ")
                        .strip();
        return sha256(folded.getBytes(StandardCharsets.UTF_8)).substring(0, 16);
    }

    /** Whether folding changes nothing: most texts of many languages are so, and folding takes longer than looking. */
    private static boolean isFolded(String text) {
        char before = ' ';
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            boolean plain = c > ' ' && c < FIRST_COMBINING && c != NEXT_LINE && c != NO_BREAK_SPACE
                    || c >= TAG_BRACKETS && c <= TAG_BRACKETS + 1;
            if (!plain && (c != ' ' || before == ' ')) {
                return false;
            }
            before = c;
        }
        return before != ' ' || text.isEmpty();
    }

    /** SHA-256 as 64 hexadecimal digits. */
    public static String sha256(byte[] bytes) {
        return HexFormat.of().formatHex(newSha256().digest(bytes));
    }

    /** The same of all bytes of a stream, which is not closed. */
    public static String sha256(InputStream in) throws IOException {
        DigestInputStream digested = new DigestInputStream(in, newSha256());
        digested.transferTo(OutputStream.nullOutputStream());
        return HexFormat.of().formatHex(digested.getMessageDigest().digest());
    }

    public static MessageDigest newSha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new AssertionError("every Java runtime has SHA-256", e);
        }
    }
}
