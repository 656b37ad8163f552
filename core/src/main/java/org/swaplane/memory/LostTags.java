package org.swaplane.memory;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.content.TagOrder;
import org.swaplane.document.Problem;
import org.swaplane.wording.Phrase;

/** Counts the translations of a file whose targets do not have the tags of their sources. */
final class LostTags {
    private static final int SHOWN = 60;

    private int count;
    private String first = "";

    void look(Content source, Content target) {
        if (!(source.tags().isEmpty() && target.tags().isEmpty()) && !TagOrder.sameTags(target, source)) {
            count++;
            if (first.isEmpty()) {
                String text = source.plainText();
                first = text.codePointCount(0, text.length()) <= SHOWN
                        ? text
                        : text.substring(0, text.offsetByCodePoints(0, SHOWN)) + "…";
            }
        }
    }

    /** The problems of the file with one more that says how many there are. */
    List<Problem> after(List<Problem> problems) {
        if (count == 0) {
            return problems;
        }
        List<Problem> all = new ArrayList<>(problems);
        all.add(new Problem(0, 0, Phrase.of("memory.lost-tags", count, first)));
        return all;
    }
}
