package org.swaplane.proof.reach;

import java.io.IOException;
import java.nio.charset.Charset;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Source;

/** Pieces of a plain text file that are text: its lines, and in a table its cells. */
final class LineTexts {
    private static final Charset USUAL = Charset.forName("windows-1252");
    private static final Pattern COMMENT = Pattern.compile("^\\s*(?:[#!](?=[^#])|//|NOTE\\b).*");
    private static final Pattern CELLS = Pattern.compile("[\\t;,|]");

    private static final Pattern CODE_BLOCK = Pattern.compile(
            "(?ms)^[ \\t>]*(```|~~~).*?^[ \\t>]*\\1|<!--.*?-->|^\\s*\\[[^\\]\\n]*\\]:.*?$|`[^`\\n]*`|^(?: {4}|\\t).*?$|^[ \\t>]*(?:```|~~~).*");

    private LineTexts() {}

    static List<FoundText> find(String format, Source source, FileOptions options) throws IOException {
        List<FoundText> found = new ArrayList<>();
        String all = EncodedText.guessed(source, options).readAll();
        String[] lines = (format.equals("markdown") ? withoutCode(all) : all).split("\\R", -1);
        for (int i = 0; i < lines.length; i++) {
            if (!COMMENT.matcher(lines[i]).matches()) {
                String[] pieces = format.equals("delimited-text") ? CELLS.split(lines[i]) : new String[] {lines[i]};
                for (String piece : pieces) {
                    if (Wordlike.isSentence(piece)) {
                        found.add(new FoundText(String.valueOf(i + 1), FoundText.Kind.EXCLUDED, piece.strip()));
                    }
                }
            }
        }
        return found;
    }

    /** The same lines, empty where code or comments of Markdown stand. */
    private static String withoutCode(String text) {
        return CODE_BLOCK.matcher(text).replaceAll(block -> "\n"
                .repeat((int) block.group().chars().filter(c -> c == '\n').count()));
    }
}
