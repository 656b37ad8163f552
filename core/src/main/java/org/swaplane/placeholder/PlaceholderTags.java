package org.swaplane.placeholder;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;

/** Makes the placeholders in the text of a document tags, so that nobody damages them; elements in the text become pairs. */
public final class PlaceholderTags {
    private final Placeholders placeholders;

    public PlaceholderTags(Placeholders placeholders) {
        this.placeholders = placeholders;
    }

    /** The text with tags; the code of each is the placeholder as it is written. */
    public Content tagged(String text) {
        List<Run> runs = new ArrayList<>();
        Deque<Integer> open = new ArrayDeque<>();
        int at = 0;
        for (Placeholders.Found found : placeholders.find(text)) {
            runs.add(new Text(text.substring(at, found.start())));
            addTag(runs, found.written(), open);
            at = found.end();
        }
        runs.add(new Text(text.substring(at)));
        return new Content(runs);
    }

    /** A closing element makes a pair with the last open one of its name. */
    private static void addTag(List<Run> runs, String written, Deque<Integer> open) {
        String id = Tag.PLACEHOLDER + written;
        Tag alone = new Tag(Tag.Kind.STANDALONE, id, written, written);
        if (written.startsWith("</")) {
            String name = elementName(written);
            while (!open.isEmpty()) {
                Tag opening = (Tag) runs.get(open.peek());
                if (elementName(opening.code()).equals(name)) {
                    runs.set(open.pop(), new Tag(Tag.Kind.OPEN, opening.id(), opening.code(), opening.label()));
                    runs.add(new Tag(Tag.Kind.CLOSE, opening.id(), written, written));
                    return;
                }
                open.pop();
            }
        } else if (written.startsWith("<") && !written.endsWith("/>")) {
            open.push(runs.size());
        }
        runs.add(alone);
    }

    private static String elementName(String written) {
        return written.replaceFirst("^</?([a-zA-Z][\\w-]*).*", "$1");
    }
}
