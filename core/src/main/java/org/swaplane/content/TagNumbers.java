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
    private final Map<String, Integer> numbers = new HashMap<>();
    private final Map<String, Tag> sourceTags = new HashMap<>();

    private TagNumbers() {}

    public static TagNumbers of(Content source) {
        TagNumbers result = new TagNumbers();
        List<String> keys = keys(source);
        List<Tag> tags = source.tags();
        for (int i = 0; i < tags.size(); i++) {
            int number = result.numbers.computeIfAbsent(keys.get(i), key -> result.numbers.size() + 1);
            result.sourceTags.put(written(tags.get(i).kind(), number), tags.get(i));
        }
        return result;
    }

    /** The numbers of the tags of {@code content}, in its order. */
    public List<Integer> in(Content content) {
        Map<String, Integer> extended = new HashMap<>(numbers);
        List<Integer> result = new ArrayList<>();
        for (String key : keys(content)) {
            result.add(extended.computeIfAbsent(key, unknown -> extended.size() + 1));
        }
        return result;
    }

    /** The source's tag of this kind and number. */
    public Optional<Tag> tag(Tag.Kind kind, int number) {
        return Optional.ofNullable(sourceTags.get(written(kind, number)));
    }

    /** The token for a tag of this kind and number: {@code ⟦1⟧}, {@code ⟦/1⟧} or {@code ⟦1/⟧}. */
    static String written(Tag.Kind kind, int number) {
        return switch (kind) {
            case OPEN -> "⟦" + number + "⟧";
            case CLOSE -> "⟦/" + number + "⟧";
            case STANDALONE -> "⟦" + number + "/⟧";
        };
    }

    /** A file may repeat an id; the n-th opening tag then belongs to the n-th closing one. */
    private static List<String> keys(Content content) {
        Map<String, Integer> seen = new HashMap<>();
        List<String> keys = new ArrayList<>();
        for (Tag tag : content.tags()) {
            int occurrence = seen.merge(tag.kind() + tag.id(), 1, Integer::sum);
            keys.add(tag.id() + '#' + occurrence);
        }
        return keys;
    }
}
