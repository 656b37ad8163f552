package org.swaplane.format;

import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import org.swaplane.task.CannotProceedException;

/** A text file as characters, each of which can be found again by its offset (UTF-16 units after the byte order mark). */
public final class EncodedText {
    private static final int HEAD = 8192;

    private final Source source;
    private final TextEncoding encoding;

    private EncodedText(Source source, TextEncoding encoding) {
        this.source = source;
        this.encoding = encoding;
    }

    /** Finds the encoding out. */
    public static EncodedText of(Source source) throws IOException {
        try (InputStream in = source.open()) {
            TextEncoding encoding = TextEncoding.detect(in.readNBytes(HEAD));
            if (!encoding.unknown().isEmpty()) {
                throw new CannotProceedException(
                        new CannotProceedException.Place(source.name(), 1, 1),
                        "the encoding '" + encoding.unknown() + "' is not known",
                        "correct the XML declaration, or save the file as UTF-8",
                        null);
            }
            return new EncodedText(source, encoding);
        }
    }

    public Source source() {
        return source;
    }

    public TextEncoding encoding() {
        return encoding;
    }

    /** The byte order mark, or nothing. */
    public byte[] byteOrderMark() throws IOException {
        try (InputStream in = source.open()) {
            return in.readNBytes(encoding.bom());
        }
    }

    /** A reader after the byte order mark that refuses bytes that the encoding does not allow, naming their line. */
    public Reader open() throws IOException {
        InputStream in = source.open();
        in.skipNBytes(encoding.bom());
        return new StrictReader(in, encoding.charset(), source.name());
    }
}
