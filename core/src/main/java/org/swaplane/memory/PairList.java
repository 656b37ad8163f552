package org.swaplane.memory;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The pairs of two documents in the order of the first one, as somebody corrects them. Every segment stands in one pair and keeps its place
 * among those of its side, whatever is done. What was corrected is certain.
 */
public record PairList(List<AlignedPair> pairs) {
    private static final double CERTAIN = 1;
    /** Below it somebody should look. */
    private static final double DOUBTFUL = 0.75;

    public PairList {
        pairs = List.copyOf(pairs);
    }

    /** Makes one pair of a pair and the next one. */
    public PairList join(int at) {
        if (at < 0 || at + 1 >= pairs.size()) {
            return this;
        }
        AlignedPair one = pairs.get(at);
        AlignedPair other = pairs.get(at + 1);
        return replace(
                at,
                2,
                List.of(certain(together(one.source(), other.source()), together(one.target(), other.target()))));
    }

    /** Puts the first segment of each side into a pair of their own. */
    public PairList split(int at) {
        AlignedPair pair = pairs.get(at);
        if (pair.source().size() < 2 && pair.target().size() < 2) {
            return this;
        }
        return replace(
                at,
                1,
                List.of(
                        certain(first(pair.source()), first(pair.target())),
                        certain(withoutFirst(pair.source()), withoutFirst(pair.target()))));
    }

    /** Parts the two sides: neither has a counterpart. */
    public PairList part(int at) {
        AlignedPair pair = pairs.get(at);
        return pair.isPair()
                ? replace(at, 1, List.of(certain(pair.source(), List.of()), certain(List.of(), pair.target())))
                : this;
    }

    /** Moves the last target segment of a pair to the next one. */
    public PairList moveTargetDown(int at) {
        AlignedPair pair = pairs.get(at);
        if (pair.target().isEmpty() || at + 1 >= pairs.size()) {
            return this;
        }
        AlignedPair next = pairs.get(at + 1);
        int last = pair.target().size() - 1;
        return replace(
                at,
                2,
                List.of(
                        certain(pair.source(), pair.target().subList(0, last)),
                        certain(next.source(), together(List.of(pair.target().get(last)), next.target()))));
    }

    /** Moves the first target segment of a pair to the one before. */
    public PairList moveTargetUp(int at) {
        AlignedPair pair = pairs.get(at);
        if (pair.target().isEmpty() || at < 1) {
            return this;
        }
        AlignedPair before = pairs.get(at - 1);
        return replace(
                at - 1,
                2,
                List.of(
                        certain(before.source(), together(before.target(), first(pair.target()))),
                        certain(pair.source(), withoutFirst(pair.target()))));
    }

    /** Says that a pair is right. */
    public PairList confirm(int at) {
        AlignedPair pair = pairs.get(at);
        return replace(at, 1, List.of(certain(pair.source(), pair.target())));
    }

    /** The pair that is the least certain, of those that somebody should look at. */
    public Optional<Integer> mostDoubtful() {
        return IntStream.range(0, pairs.size())
                .boxed()
                .filter(at -> pairs.get(at).confidence() < DOUBTFUL)
                .min(Comparator.comparingDouble(at -> pairs.get(at).confidence()));
    }

    public int doubtful() {
        return (int) pairs.stream().filter(pair -> pair.confidence() < DOUBTFUL).count();
    }

    private PairList replace(int at, int count, List<AlignedPair> by) {
        List<AlignedPair> all = new ArrayList<>(pairs);
        all.subList(at, at + count).clear();
        all.addAll(
                at,
                by.stream()
                        .filter(pair ->
                                !pair.source().isEmpty() || !pair.target().isEmpty())
                        .toList());
        return new PairList(all);
    }

    private static AlignedPair certain(List<Integer> source, List<Integer> target) {
        return new AlignedPair(source, target, CERTAIN);
    }

    private static List<Integer> together(List<Integer> one, List<Integer> other) {
        List<Integer> all = new ArrayList<>(one);
        all.addAll(other);
        return all;
    }

    private static List<Integer> first(List<Integer> all) {
        return all.isEmpty() ? List.of() : all.subList(0, 1);
    }

    private static List<Integer> withoutFirst(List<Integer> all) {
        return all.isEmpty() ? List.of() : all.subList(1, all.size());
    }
}
