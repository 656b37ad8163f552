package org.swaplane.cli;

import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/**
 * What goes to a terminal: in UTF-8 whatever the machine's own charset, with control characters of names and texts as the pictures that
 * Unicode has for them, so that nothing in a file steers the terminal.
 */
final class TerminalOutput extends FilterOutputStream {
    /** First two bytes of U+2400 to U+2421 in UTF-8; the third is that of U+2400 and the character. */
    private static final int[] PICTURE = {0xE2, 0x90, 0x80};

    private static final int DELETE = 0x7F;
    private static final int DELETE_PICTURE = 0xA1;
    /** Begins the second half of the control characters, U+0080 to U+009F, among others. */
    private static final int SECOND_HALF = 0xC2;

    private boolean afterSecondHalf;

    private TerminalOutput(OutputStream out) {
        super(out);
    }

    /** Takes the place of a stream of the system. */
    static PrintStream of(FileDescriptor stream) {
        return new PrintStream(new TerminalOutput(new FileOutputStream(stream)), true, StandardCharsets.UTF_8);
    }

    static OutputStream of(OutputStream out) {
        return new TerminalOutput(out);
    }

    @Override
    public void write(int each) throws IOException {
        int b = each & 0xFF;
        if (afterSecondHalf) {
            afterSecondHalf = false;
            boolean isControl = b >= 0x80 && b <= 0x9F;
            out.write(
                    isControl
                            ? new byte[] {(byte) 0xEF, (byte) 0xBF, (byte) 0xBD}
                            : new byte[] {(byte) SECOND_HALF, (byte) b});
        } else if (b == SECOND_HALF) {
            afterSecondHalf = true;
        } else if (b < ' ' && b != '\n' && b != '\r' && b != '\t' || b == DELETE) {
            out.write(PICTURE[0]);
            out.write(PICTURE[1]);
            out.write(b == DELETE ? DELETE_PICTURE : PICTURE[2] + b);
        } else {
            out.write(b);
        }
    }

    @Override
    public void write(byte[] bytes, int from, int length) throws IOException {
        int plain = from;
        for (int i = from; i < from + length; i++) {
            int b = bytes[i] & 0xFF;
            if (afterSecondHalf || b == SECOND_HALF || b == DELETE || b < ' ' && b != '\n') {
                out.write(bytes, plain, i - plain);
                write(b);
                plain = i + 1;
            }
        }
        out.write(bytes, plain, from + length - plain);
    }
}
