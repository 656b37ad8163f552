package org.swaplane.format;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Reader;
import java.io.Writer;
import java.nio.charset.CharsetEncoder;
import java.util.Comparator;
import java.util.List;
import org.swaplane.task.Progress;

/** Copies a text as it is, with splices put in; streams, and keeps nothing but the piece in hand. */
public final class SplicedCopy {
    private static final int CHUNK = 1 << 16;

    private final EncodedText original;
    private final CharacterEscapes escapes;
    private final Writer out;
    private final CharsetEncoder encoder;
    private final char[] chunk = new char[CHUNK];
    private long at;

    private SplicedCopy(EncodedText original, CharacterEscapes escapes, OutputStream out) {
        this.escapes = escapes;
        this.original = original;
        // One encoder writes, another one is asked what it can hold: the two must not get into each other's way.
        this.out = new OutputStreamWriter(out, original.encoding().charset().newEncoder());
        this.encoder = original.encoding().charset().newEncoder();
    }

    /** Writes the copy of an XML file. Splices may come in any order but must not overlap. */
    public static void write(EncodedText original, List<Splice> splices, OutputStream out, Progress progress)
            throws IOException {
        write(original, splices, CharacterEscapes.XML, out, progress);
    }

    /** The same for a file in which characters are escaped in another way. */
    public static void write(
            EncodedText original, List<Splice> splices, CharacterEscapes escapes, OutputStream out, Progress progress)
            throws IOException {
        List<Splice> inOrder = splices.stream()
                .sorted(Comparator.comparingLong(Splice::start).thenComparingLong(Splice::end))
                .toList();
        SplicedCopy copy = new SplicedCopy(original, escapes, out);
        out.write(original.byteOrderMark());
        try (Reader in = original.open()) {
            long done = 0;
            for (Splice splice : inOrder) {
                copy.copy(in, splice.start() - copy.at);
                String before = copy.take(in, splice.end() - splice.start());
                copy.encode(splice.change().apply(before), splice.what());
                progress.checkCancelled();
                progress.at(++done, inOrder.size());
            }
            copy.copy(in, Long.MAX_VALUE);
            copy.out.flush();
        }
    }

    private void copy(Reader in, long length) throws IOException {
        if (length < 0) {
            throw new IllegalArgumentException("two splices overlap at " + at);
        }
        long left = length;
        while (left > 0) {
            int read = in.read(chunk, 0, (int) Math.min(left, chunk.length));
            if (read < 0) {
                return;
            }
            // Unchanged characters came from this encoding, so it has them; the reader never cuts a surrogate pair.
            out.write(chunk, 0, read);
            left -= read;
            at += read;
        }
    }

    private String take(Reader in, long length) throws IOException {
        StringBuilder taken = new StringBuilder();
        while (taken.length() < length) {
            int read = in.read(chunk, 0, (int) Math.min(length - taken.length(), chunk.length));
            if (read < 0) {
                break;
            }
            taken.append(chunk, 0, read);
        }
        at += taken.length();
        return taken.toString();
    }

    private void encode(String text, String what) throws IOException {
        out.write(escapes.escaped(text, encoder, original.source().name(), what));
    }
}
