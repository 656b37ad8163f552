package org.swaplane.proof;

import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;

/** Whether two streams have the same bytes, without keeping them. */
final class SameBytes {
    private static final int PIECE = 1 << 16;

    private SameBytes() {}

    static boolean in(InputStream one, InputStream other) throws IOException {
        while (true) {
            byte[] here = one.readNBytes(PIECE);
            byte[] there = other.readNBytes(PIECE);
            if (!Arrays.equals(here, there)) {
                return false;
            }
            if (here.length == 0) {
                return true;
            }
        }
    }
}
