package org.swaplane.format;

import com.ibm.icu.text.CharsetDetector;
import com.ibm.icu.text.CharsetMatch;
import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.StringWriter;
import java.io.Writer;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.regex.Pattern;
import org.swaplane.task.CannotProceedException;

/** A text file as characters, each of which can be found again by its offset (UTF-16 units after the byte order mark). */
public final class EncodedText {
    private static final int HEAD = 8192;
    private static final int SAMPLE = 1 << 16;
    private static final int LEAST_EVIDENCE = 12;
    private static final int LEAST_CONFIDENCE = 20;
    private static final Pattern LATIN =
            Pattern.compile("ISO-8859-[1-4]|ISO-8859-9|ISO-8859-1[0-6]|windows-125[0247]|IBM.*");
    private static final int LONGEST = 64 << 20;

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

    /** The same file in an encoding that is known from elsewhere. */
    public static EncodedText of(Source source, TextEncoding encoding) {
        return new EncodedText(source, encoding);
    }

    /** The same, unless somebody overruled the encoding of a document. */
    public static EncodedText guessed(Source source, FileOptions options, Charset otherwise) throws IOException {
        String overruled = options.document().encoding();
        return overruled.isEmpty()
                ? guessed(source, otherwise)
                : of(source, TextEncoding.of(Charset.forName(overruled)));
    }

    /**
     * A text that says nothing of its encoding: by its byte order mark, else UTF-8 if it is valid as such, else by the statistics of its
     * bytes where they are clear, else {@code otherwise}.
     */
    public static EncodedText guessed(Source source, Charset otherwise) throws IOException {
        byte[] head;
        try (InputStream in = source.open()) {
            head = in.readNBytes(4);
        }
        Optional<TextEncoding> marked = TextEncoding.marked(head);
        if (marked.isPresent()) {
            return of(source, marked.get());
        }
        EncodedText utf8 = of(source, TextEncoding.of(StandardCharsets.UTF_8));
        try (Reader reader = utf8.open()) {
            reader.transferTo(Writer.nullWriter());
            return utf8;
        } catch (CannotProceedException e) {
            return of(source, TextEncoding.of(detected(source).orElse(otherwise)));
        }
    }

    /** Only for encodings of other scripts, and of enough characters: those of Latin letters cannot be told apart in a short text. */
    private static Optional<Charset> detected(Source source) throws IOException {
        byte[] sample;
        try (InputStream in = source.open()) {
            sample = in.readNBytes(SAMPLE);
        }
        int others = 0;
        for (byte each : sample) {
            others += each < 0 ? 1 : 0;
        }
        CharsetMatch match = new CharsetDetector().setText(sample).detect();
        boolean clear = others >= LEAST_EVIDENCE
                && match != null
                && match.getConfidence() >= LEAST_CONFIDENCE
                && !LATIN.matcher(match.getName()).matches();
        return clear && Charset.isSupported(match.getName())
                ? Optional.of(Charset.forName(match.getName()))
                : Optional.empty();
    }

    /**
     * All of it.
     *
     * @throws CannotProceedException when it is longer than any text that people translate
     */
    public String readAll() throws IOException {
        StringWriter all = new StringWriter();
        char[] chunk = new char[1 << 14];
        try (Reader reader = open()) {
            for (int read = reader.read(chunk); read >= 0; read = reader.read(chunk)) {
                all.write(chunk, 0, read);
                if (all.getBuffer().length() > LONGEST) {
                    throw new CannotProceedException(
                            source.name(), "the document is longer than " + LONGEST + " characters", "split it");
                }
            }
        }
        return all.toString();
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
