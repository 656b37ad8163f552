package org.swaplane.proof.reach;

import java.util.regex.Pattern;
import org.swaplane.content.UnspacedScript;

/** Tells texts for people from codes. */
final class Wordlike {
    private static final String UNSPACED = UnspacedScript.LETTERS;
    private static final Pattern LETTERS = Pattern.compile("\\p{L}[\\p{L}\\p{M}]|[" + UNSPACED + "]");
    private static final Pattern WORDS = Pattern.compile(
            "\\p{L}[\\p{L}\\p{M}'’]+[,:]?\\s+(?:\\p{L}\\s+)?\\p{L}[\\p{L}\\p{M}]|[" + UNSPACED + "]{2}");
    private static final Pattern CODE =
            Pattern.compile("[{}<>;=|\\\\]|\\w\\(|://|:\\s*[\\w#-]+;|^use strict$|^\\(.*\\)$");

    private static final Pattern FILE = Pattern.compile("\\s*(?:[A-Za-z]:\\\\.*|\\S+\\.\\w{2,4})\\s*");

    private Wordlike() {}

    /** Whether there is any word in what stands where people read; the name of a file is none. */
    static boolean isText(String text) {
        return LETTERS.matcher(text).find() && !FILE.matcher(text).matches();
    }

    /** Whether something that stands among codes is text all the same: words in a row, and no syntax. */
    static boolean isSentence(String text) {
        return WORDS.matcher(text).find() && !CODE.matcher(text).find();
    }
}
