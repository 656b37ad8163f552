package org.swaplane.segmentation;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.content.Run;

/**
 * A content in segments, with the white space around them, which is nobody's to translate.
 *
 * @param between white space before the first segment, between two, and after the last; one more than there are segments
 */
public record SplitContent(List<Content> segments, List<String> between) {
    public SplitContent {
        segments = List.copyOf(segments);
        between = List.copyOf(between);
    }

    /** The whole content with these in place of its segments. */
    public Content with(List<Content> others) {
        List<Run> runs = new ArrayList<>();
        for (int i = 0; i < others.size(); i++) {
            runs.addAll(Content.of(between.get(i)).runs());
            runs.addAll(others.get(i).runs());
        }
        runs.addAll(Content.of(between.get(others.size())).runs());
        return new Content(runs);
    }

    public Content whole() {
        return with(segments);
    }
}
