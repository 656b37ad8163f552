package org.swaplane.content;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The numbers by which people know the tags of a segment: counted in source order, both halves of a pair sharing one, the
 * same in the target. A tag that the source does not have gets a number above all of the source's.
 */
public final class TagNumbers {
    private static final int FEW = 8;

    private final List<Tag> tags;
    private final List<Key> keys;
    private final Map<Key, Integer> numbers;
    private final Map<Map.Entry<Tag.Kind, Integer>, Tag> byNumber = new HashMap<>(0);

    /** A file may repeat an id; the n-th opening tag then belongs to the n-th closing one. */
    private record Key(String id, int occurrence) {}

    private TagNumbers(List<Tag> tags) {
        this.tags = tags;
        this.keys = keys(tags);
        this.numbers = new HashMap<>(2 * keys.size());
        keys.forEach(key -> numbers.putIfAbsent(key, numbers.size() + 1));
    }

    public static TagNumbers of(Content source) {
        return new TagNumbers(source.tags());
    }

    /** The numbers of the tags of {@code content}, in its order. */
    public List<Integer> in(Content content) {
        List<Integer> result = new ArrayList<>();
        Map<Key, Integer> unknown = new HashMap<>(0);
        for (Key key : keys(content.tags())) {
            Integer number = numbers.get(key);
            result.add(
                    number != null
                            ? number
                            : unknown.computeIfAbsent(key, each -> numbers.size() + unknown.size() + 1));
        }
        return result;
    }

    /** The source's tag of this kind and number. */
    public Optional<Tag> tag(Tag.Kind kind, int number) {
        if (byNumber.isEmpty()) {
            for (int i = 0; i < tags.size(); i++) {
                byNumber.put(Map.entry(tags.get(i).kind(), numbers.get(keys.get(i))), tags.get(i));
            }
        }
        return Optional.ofNullable(byNumber.get(Map.entry(kind, number)));
    }

    /** The token for a tag of this kind and number: {@code ⟦1⟧}, {@code ⟦/1⟧} or {@code ⟦1/⟧}. */
    static String written(Tag.Kind kind, int number) {
        return switch (kind) {
            case OPEN -> "⟦" + number + "⟧";
            case CLOSE -> "⟦/" + number + "⟧";
            case STANDALONE -> "⟦" + number + "/⟧";
        };
    }

    private static List<Key> keys(List<Tag> tags) {
        List<Key> keys = new ArrayList<>(tags.size());
        Map<Map.Entry<Tag.Kind, String>, Integer> seen = tags.size() > FEW ? new HashMap<>() : Map.of();
        for (int i = 0; i < tags.size(); i++) {
            Tag tag = tags.get(i);
            int occurrence = tags.size() > FEW
                    ? seen.merge(Map.entry(tag.kind(), tag.id()), 1, Integer::sum)
                    : 1 + before(tags, i);
            keys.add(new Key(tag.id(), occurrence));
        }
        return keys;
    }

    /** How many of the few tags before are like this one. */
    private static int before(List<Tag> tags, int index) {
        int before = 0;
        for (int i = 0; i < index; i++) {
            if (tags.get(i).kind() == tags.get(index).kind()
                    && tags.get(i).id().equals(tags.get(index).id())) {
                before++;
            }
        }
        return before;
    }
}
