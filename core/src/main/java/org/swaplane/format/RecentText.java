package org.swaplane.format;

import java.io.IOException;
import java.io.Reader;
import java.util.Arrays;

/** Passes characters on to a parser and keeps the recent ones, so that what stood at an offset can be looked at raw. */
public final class RecentText extends Reader {
    /** A unit longer than this is not a text that anybody translates. */
    private static final int MOST_KEPT = 64 << 20;

    private final Reader in;
    private char[] kept = new char[1 << 17];
    private int length;
    private long keptFrom;

    public RecentText(Reader in) {
        this.in = in;
    }

    @Override
    public int read(char[] target, int offset, int count) throws IOException {
        int read = in.read(target, offset, count);
        if (read > 0) {
            makeRoom(read);
            System.arraycopy(target, offset, kept, length, read);
            length += read;
        }
        return read;
    }

    private void makeRoom(int more) throws IOException {
        if (length + more > MOST_KEPT) {
            throw new IOException("one unit is longer than " + MOST_KEPT + " characters");
        }
        if (length + more > kept.length) {
            kept = Arrays.copyOf(kept, Math.max(kept.length * 2, length + more));
        }
    }

    /** The characters {@code [start, end)}, which must not have been forgotten. */
    public String text(long start, long end) {
        return new String(kept, (int) (start - keptFrom), (int) (end - start));
    }

    /** Up to {@code most} characters before {@code offset} that are still kept, on one line; for messages. */
    String before(long offset, int most) {
        int end = (int) Math.max(0, Math.min(length, offset - keptFrom));
        int start = Math.max(0, end - most);
        return new String(kept, start, end - start)
                .replaceAll("[\\s\\p{Cc}]+", " ")
                .strip();
    }

    /** Nothing before {@code offset} will be asked for any more. */
    public void forgetBefore(long offset) {
        int forgotten = (int) (offset - keptFrom);
        // Moving the rest costs; do it seldom.
        if (forgotten > length / 2 && forgotten > 1 << 16) {
            System.arraycopy(kept, forgotten, kept, 0, length - forgotten);
            length -= forgotten;
            keptFrom = offset;
        }
    }

    @Override
    public void close() throws IOException {
        in.close();
    }
}
