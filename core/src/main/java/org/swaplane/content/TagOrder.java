package org.swaplane.content;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.regex.Pattern;

/** Whether the tags of a content stand in an order that a file can hold: pairs open before they close, and do not overlap. */
public final class TagOrder {
    /** A start tag alone; a tag that carries its own end, such as {@code <bpt>…</bpt>}, may stand anywhere. */
    private static final Pattern START_TAG = Pattern.compile("<[^/!?][^<>]*[^/<>]>|<[^/!?]>");

    private TagOrder() {}

    /** Whether every pair opens, holds what it holds, and closes. */
    public static boolean isNested(Content content) {
        return isNested(content.tags());
    }

    private static boolean isNested(List<Tag> tags) {
        Deque<String> open = new ArrayDeque<>();
        for (Tag tag : tags) {
            switch (tag.kind()) {
                case OPEN -> open.push(tag.id());
                case CLOSE -> {
                    if (open.isEmpty() || !open.pop().equals(tag.id())) {
                        return false;
                    }
                }
                case STANDALONE -> {}
            }
        }
        return open.isEmpty();
    }

    /** Whether a file can be written with it and stay well-formed: the elements among its pairs are nested. */
    public static boolean isWritable(Content content) {
        List<Tag> elements = new ArrayList<>();
        for (Tag tag : content.tags()) {
            boolean opens =
                    tag.kind() == Tag.Kind.OPEN && START_TAG.matcher(tag.code()).matches();
            boolean closes = tag.kind() == Tag.Kind.CLOSE && tag.code().startsWith("</");
            if (opens || closes) {
                elements.add(tag);
            }
        }
        return isNested(elements);
    }

    /** Whether the tags that the file wants in their order (XLIFF 2.1, section 4.3.1, canReorder) stand in it. */
    public static boolean keepsFixedOrder(Content target, Content source) {
        return fixed(source).equals(fixed(target));
    }

    private static List<String> fixed(Content content) {
        return content.tags().stream()
                .filter(tag -> !tag.rights().reorder())
                .map(tag -> tag.kind() + tag.id())
                .toList();
    }
}
