package org.swaplane.content;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

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

    /** A pair of tags by its id and how many of that id stand before it, with the places of its halves among the tags. */
    private record Pair(String name, int opens, int closes) {
        boolean crosses(Pair other) {
            return first() < other.first() && other.first() < last() && last() < other.last();
        }

        private int first() {
            return Math.min(opens, closes);
        }

        private int last() {
            return Math.max(opens, closes);
        }
    }

    private static List<Pair> pairs(Content content) {
        Map<String, Integer> opens = new LinkedHashMap<>();
        Map<String, Integer> closes = new HashMap<>();
        Map<String, Integer> seen = new HashMap<>();
        List<Tag> tags = content.tags();
        for (int i = 0; i < tags.size(); i++) {
            Tag tag = tags.get(i);
            if (tag.kind() != Tag.Kind.STANDALONE) {
                int before = seen.merge(tag.kind() + tag.id(), 1, Integer::sum) - 1;
                (tag.kind() == Tag.Kind.OPEN ? opens : closes).put(tag.id() + ' ' + before, i);
            }
        }
        return opens.keySet().stream()
                .filter(closes::containsKey)
                .map(name -> new Pair(name, opens.get(name), closes.get(name)))
                .toList();
    }

    /** The pairs that close before they open. */
    public static Set<String> reversed(Content content) {
        return pairs(content).stream()
                .filter(pair -> pair.closes() < pair.opens())
                .map(Pair::name)
                .collect(Collectors.toSet());
    }

    /** The pairs that overlap, two and two. */
    public static Set<Set<String>> overlapping(Content content) {
        if (isNested(content)) {
            return Set.of();
        }
        List<Pair> pairs = pairs(content);
        Set<Set<String>> found = new HashSet<>();
        for (Pair one : pairs) {
            pairs.stream().filter(one::crosses).forEach(other -> found.add(Set.of(one.name(), other.name())));
        }
        return found;
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

    /** Whether both have the same tags, each as often, in whatever order. */
    public static boolean sameTags(Content one, Content other) {
        List<Tag> left = new ArrayList<>(other.tags());
        for (Tag tag : one.tags()) {
            Optional<Tag> counterpart = left.stream().filter(tag::matches).findFirst();
            if (counterpart.isEmpty()) {
                return false;
            }
            left.remove(counterpart.get());
        }
        return left.isEmpty();
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
