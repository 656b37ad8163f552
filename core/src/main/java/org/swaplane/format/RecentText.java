package org.swaplane.format;

import java.io.IOException;
import java.io.Reader;

/** Passes characters on to a parser and keeps the recent ones, so that what stood at an offset can be looked at raw. */
public final class RecentText extends Reader {
    /** A unit longer than this is not a text that anybody translates. */
    private static final int MOST_KEPT = 64 << 20;

    private final Reader in;
    private final StringBuilder kept = new StringBuilder();
    private long keptFrom;

    public RecentText(Reader in) {
        this.in = in;
    }

    @Override
    public int read(char[] target, int offset, int length) throws IOException {
        int read = in.read(target, offset, length);
        if (read > 0) {
            if (kept.length() > MOST_KEPT) {
                throw new IOException("one unit is longer than " + MOST_KEPT + " characters");
            }
            kept.append(target, offset, read);
        }
        return read;
    }

    /** The characters {@code [start, end)}, which must not have been forgotten. */
    public String text(long start, long end) {
        return kept.substring((int) (start - keptFrom), (int) (end - keptFrom));
    }

    /** Nothing before {@code offset} will be asked for any more. */
    public void forgetBefore(long offset) {
        // Moving the rest costs; do it seldom.
        if (offset - keptFrom > kept.length() / 2 && offset - keptFrom > 1 << 16) {
            kept.delete(0, (int) (offset - keptFrom));
            keptFrom = offset;
        }
    }

    @Override
    public void close() throws IOException {
        in.close();
    }
}
