package org.swaplane.check;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.function.BiPredicate;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNumbers;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.placeholder.Placeholders.Found;

/**
 * Every tag, placeholder and number of a source linked to its counterpart in the target.
 *
 * @param links of counterparts, as indexes into {@code source} and {@code target}
 */
public record Pairing(List<Item> source, List<Item> target, List<Link> links) {
    public Pairing {
        source = List.copyOf(source);
        target = List.copyOf(target);
        links = List.copyOf(links);
    }

    public enum Kind {
        TAG,
        PLACEHOLDER,
        NUMBER
    }

    /**
     * One thing that must have a counterpart; for a tag {@code written} is its number with {@code /} as in tag notation.
     *
     * @param settled whether it has one: in a link, or in a writing that is no item, such as a number in words
     */
    public record Item(Kind kind, String written, boolean settled) {}

    public record Link(int source, int target) {}

    /** Pairs the two texts of a segment. */
    public static Pairing of(CheckedSegment segment) {
        Builder builder = new Builder();
        TagNumbers numbers = TagNumbers.of(segment.source());
        builder.add(
                Kind.TAG,
                segment.source().tags(),
                segment.target().tags(),
                Tag::matches,
                labels(numbers, segment.source()),
                labels(numbers, segment.target()));
        Placeholders placeholders = new Placeholders();
        String source = segment.sourceText();
        String target = segment.targetText();
        List<Found> inSource = placeholders.find(source);
        List<Found> inTarget = placeholders.find(target);
        builder.add(
                Kind.PLACEHOLDER,
                inSource,
                inTarget,
                (one, other) -> one.written().equals(other.written()),
                inSource.stream().map(Found::written).toList(),
                inTarget.stream().map(Found::written).toList());
        builder.add(NumberMatching.of(segment, placeholders));
        return new Pairing(builder.source, builder.target, builder.links);
    }

    public boolean isEmpty() {
        return source.isEmpty() && target.isEmpty();
    }

    private static List<String> labels(TagNumbers numbers, Content content) {
        Iterator<Integer> number = numbers.in(content).iterator();
        return content.tags().stream()
                .map(tag -> switch (tag.kind()) {
                    case OPEN -> number.next() + "";
                    case CLOSE -> "/" + number.next();
                    case STANDALONE -> number.next() + "/";
                })
                .toList();
    }

    private static final class Builder {
        private final List<Item> source = new ArrayList<>();
        private final List<Item> target = new ArrayList<>();
        private final List<Link> links = new ArrayList<>();

        private <T> void add(
                Kind kind,
                List<T> inSource,
                List<T> inTarget,
                BiPredicate<T, T> matches,
                List<String> sourceLabels,
                List<String> targetLabels) {
            boolean[] found = new boolean[inSource.size()];
            boolean[] used = new boolean[inTarget.size()];
            for (int i = 0; i < inSource.size(); i++) {
                for (int j = 0; j < inTarget.size(); j++) {
                    if (!used[j] && matches.test(inSource.get(i), inTarget.get(j))) {
                        used[j] = true;
                        found[i] = true;
                        links.add(new Link(source.size() + i, target.size() + j));
                        break;
                    }
                }
            }
            for (int i = 0; i < found.length; i++) {
                source.add(new Item(kind, sourceLabels.get(i), found[i]));
            }
            for (int i = 0; i < used.length; i++) {
                target.add(new Item(kind, targetLabels.get(i), used[i]));
            }
        }

        private void add(NumberMatching numbers) {
            int firstSource = source.size();
            int firstTarget = target.size();
            numbers.source()
                    .forEach(each -> source.add(new Item(
                            Kind.NUMBER, each.written(), !numbers.missing().contains(each))));
            numbers.target()
                    .forEach(each -> target.add(new Item(
                            Kind.NUMBER, each.written(), !numbers.added().contains(each))));
            numbers.pairs()
                    .forEach(pair -> links.add(new Link(
                            firstSource + numbers.source().indexOf(pair.source()),
                            firstTarget + numbers.target().indexOf(pair.target()))));
        }
    }
}
