package org.swaplane.format;

import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.StringWriter;
import java.io.Writer;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/** A text file as characters, each of which can be found again by its offset (UTF-16 units after the byte order mark). */
public final class EncodedText {
    private static final int HEAD = 8192;
    private static final int SAMPLE = 1 << 16;
    private static final int LONGEST = 64 << 20;

    private final Source source;
    private final TextEncoding encoding;
    private final String doubt;

    private EncodedText(Source source, TextEncoding encoding) {
        this(source, encoding, "");
    }

    private EncodedText(Source source, TextEncoding encoding, String doubt) {
        this.source = source;
        this.encoding = encoding;
        this.doubt = doubt;
    }

    /** Finds the encoding out. */
    public static EncodedText of(Source source) throws IOException {
        try (InputStream in = source.open()) {
            TextEncoding encoding = TextEncoding.detect(in.readNBytes(HEAD));
            if (!encoding.unknown().isEmpty()) {
                throw new CannotProceedException(
                        new CannotProceedException.Place(source.name(), 1, 1),
                        Phrase.of("problem.encoding-unknown", encoding.unknown()),
                        null);
            }
            return new EncodedText(source, encoding);
        }
    }

    /** The same file in an encoding that is known from elsewhere. */
    public static EncodedText of(Source source, TextEncoding encoding) {
        return new EncodedText(source, encoding);
    }

    /**
     * A text that says nothing of its encoding: by its byte order mark, else UTF-8 if it is valid as such, else by what its bytes look
     * like in the source language; see {@link EncodingGuess}. Unless somebody overruled it.
     */
    public static EncodedText guessed(Source source, FileOptions options) throws IOException {
        String overruled = options.document().encoding();
        if (!overruled.isEmpty()) {
            return of(source, TextEncoding.of(Charset.forName(overruled)));
        }
        byte[] sample;
        try (InputStream in = source.open()) {
            sample = in.readNBytes(SAMPLE);
        }
        Optional<TextEncoding> marked = TextEncoding.marked(sample);
        if (marked.isPresent()) {
            return of(source, marked.get());
        }
        Optional<Charset> told = EncodingGuess.toldByItsBytes(sample);
        if (told.isPresent()) {
            return of(source, TextEncoding.of(told.get()));
        }
        EncodedText utf8 = of(source, TextEncoding.of(StandardCharsets.UTF_8));
        try (Reader reader = utf8.open()) {
            reader.transferTo(Writer.nullWriter());
            return utf8;
        } catch (CannotProceedException e) {
            return bestGuess(source, sample, options.sourceLanguage());
        }
    }

    /** UTF-8 if it is valid as such, or has a byte order mark; else what the standard of its format says that it is. */
    public static EncodedText utf8Or(Charset standard, Source source, FileOptions options) throws IOException {
        EncodedText text = guessed(source, options);
        boolean said =
                !options.document().encoding().isEmpty() || text.encoding().bom() > 0;
        return said || text.encoding().charset().equals(StandardCharsets.UTF_8)
                ? text
                : of(source, TextEncoding.of(standard));
    }

    /** The best that all of the text can be read in. */
    private static EncodedText bestGuess(Source source, byte[] sample, String language) throws IOException {
        EncodingGuess guess = EncodingGuess.of(sample, language);
        CannotProceedException first = null;
        for (EncodingGuess.Candidate candidate : guess.candidates()) {
            EncodedText text =
                    new EncodedText(source, TextEncoding.of(candidate.charset()), guess.isSure() ? "" : guess.doubt());
            try (Reader reader = text.open()) {
                reader.transferTo(Writer.nullWriter());
                return text;
            } catch (CannotProceedException e) {
                first = first == null ? e : first;
            }
        }
        throw new CannotProceedException(
                new CannotProceedException.Place(source.name(), 0, 0), Phrase.of("problem.encoding-unclear"), first);
    }

    /** Why the encoding is only a guess, with what the text would be in others; empty where it is no guess, or a sure one. */
    public String doubt() {
        return doubt;
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
                    throw new CannotProceedException(source.name(), "problem.document-too-long", LONGEST);
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
