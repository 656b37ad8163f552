package org.swaplane.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Text;

/**
 * Line breaks at the edges of a text, with the white space around them: they belong to the file, never stand in a cell, and are put back
 * around what comes home.
 */
record EdgeBreaks(String before, String after) {
    private static final EdgeBreaks NONE = new EdgeBreaks("", "");
    private static final Pattern BEFORE = Pattern.compile("^\\s*[\\n\\r]\\s*");
    private static final Pattern AFTER = Pattern.compile("\\s*[\\n\\r]\\s*$");

    /** Those of a text in tag notation. */
    static EdgeBreaks of(String written) {
        // Nearly all texts are one line.
        if (written.indexOf('\n') < 0 && written.indexOf('\r') < 0) {
            return NONE;
        }
        Matcher before = BEFORE.matcher(written);
        String first = before.find() ? before.group() : "";
        Matcher after = AFTER.matcher(written.substring(first.length()));
        return new EdgeBreaks(first, after.find() ? after.group() : "");
    }

    /** The text without them. */
    static String without(String written) {
        EdgeBreaks edges = of(written);
        return edges.before.isEmpty() && edges.after.isEmpty()
                ? written
                : written.substring(edges.before.length(), written.length() - edges.after.length());
    }

    /** A content with them around it; nothing stays nothing. */
    Content around(Content content) {
        if (content.isEmpty() || before.isEmpty() && after.isEmpty()) {
            return content;
        }
        List<Run> runs = new ArrayList<>();
        runs.add(new Text(before));
        runs.addAll(content.runs());
        runs.add(new Text(after));
        return new Content(runs);
    }
}
