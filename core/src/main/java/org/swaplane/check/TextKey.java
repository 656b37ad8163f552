package org.swaplane.check;

import com.ibm.icu.text.Normalizer2;

/** A number for a text that is the same for the same text only, as far as anybody will ever see: 64 bits, FNV-1a. */
final class TextKey {
    private static final long START = 0xcbf29ce484222325L;
    private static final long PRIME = 0x100000001b3L;
    private static final char FIRST_COMBINING = '\u0300';

    private TextKey() {}

    /** Of the text in normal form C, with each run of white space counted as one blank; never 0. */
    static long of(String text) {
        boolean plain = text.chars().allMatch(c -> c < FIRST_COMBINING);
        String normal = plain ? text : Normalizer2.getNFCInstance().normalize(text);
        long key = START;
        boolean blank = false;
        for (int i = 0; i < normal.length(); i++) {
            char c = normal.charAt(i);
            if (Character.isWhitespace(c) || Character.isSpaceChar(c)) {
                blank = true;
            } else {
                if (blank) {
                    key = (key ^ ' ') * PRIME;
                    blank = false;
                }
                key = (key ^ c) * PRIME;
            }
        }
        return key == 0 ? 1 : key;
    }
}
