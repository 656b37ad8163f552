package org.swaplane.format;

import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.CodingErrorAction;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/** Decodes without replacing anything: bytes that the encoding does not allow end the reading with their line and column. */
final class StrictReader extends Reader {
    private static final int BUFFER = 1 << 16;

    private final InputStream in;
    private final CharsetDecoder decoder;
    private final String name;
    private final ByteBuffer bytes = ByteBuffer.allocate(BUFFER).limit(0);
    private int line = 1;
    private int column = 1;
    private boolean ended;

    StrictReader(InputStream in, Charset charset, String name) {
        this.in = in;
        this.name = name;
        this.decoder = charset.newDecoder()
                .onMalformedInput(CodingErrorAction.REPORT)
                .onUnmappableCharacter(CodingErrorAction.REPORT);
    }

    @Override
    public int read(char[] target, int offset, int length) throws IOException {
        if (length == 0) {
            return 0;
        }
        CharBuffer out = CharBuffer.wrap(target, offset, length);
        while (out.position() == 0) {
            CoderResult result = decoder.decode(bytes, out, ended);
            if (result.isError() && out.position() == 0) {
                throw malformed(bytes.get(bytes.position()) & 0xFF);
            }
            if (out.position() == 0 && result.isUnderflow()) {
                if (ended) {
                    return -1;
                }
                fill();
            } else if (out.position() == 0 && result.isOverflow()) {
                // One slot does not hold a surrogate pair; Woodstox and our copier always ask for many.
                throw new IOException("a read of one character is too short");
            }
        }
        count(target, offset, out.position());
        return out.position();
    }

    private void fill() throws IOException {
        bytes.compact();
        int read = in.read(bytes.array(), bytes.position(), bytes.remaining());
        bytes.position(bytes.position() + Math.max(0, read)).flip();
        ended = read < 0;
    }

    private void count(char[] chars, int offset, int length) {
        int afterBreak = offset;
        for (int i = offset; i < offset + length; i++) {
            if (chars[i] == '\n') {
                line++;
                column = 1;
                afterBreak = i + 1;
            }
        }
        column += offset + length - afterBreak;
    }

    private CannotProceedException malformed(int value) {
        return new CannotProceedException(
                new CannotProceedException.Place(name, line, column),
                Phrase.of(
                        "problem.byte",
                        String.format("0x%02X", value),
                        decoder.charset().name()),
                null);
    }

    @Override
    public void close() throws IOException {
        in.close();
    }
}
