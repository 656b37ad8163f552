package org.swaplane.effort;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Ranges of similarity, from the same to the least alike.
 *
 * @param floors the least percent of each, falling, the last one 0
 */
public record Bands(List<Integer> floors) {
    private static final int MOST = 100;
    public static final Bands DEFAULT = new Bands(List.of(100, 95, 85, 75, 50, 0));

    public Bands {
        floors = List.copyOf(floors);
    }

    /** Reads {@code 100 95 85 75 50 0}; empty for what does not fall from at most 100 to 0. */
    public static Optional<Bands> parse(String written) {
        List<Integer> floors;
        try {
            floors = Stream.of(written.strip().split("[\\s,;]+"))
                    .map(Integer::valueOf)
                    .toList();
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
        boolean falls = IntStream.range(1, floors.size()).allMatch(i -> floors.get(i) < floors.get(i - 1));
        return falls && floors.get(0) <= MOST && floors.get(floors.size() - 1) == 0
                ? Optional.of(new Bands(floors))
                : Optional.empty();
    }

    /** The band of a similarity in percent, by its place in the list. */
    public int of(int similarity) {
        for (int i = 0; i < floors.size(); i++) {
            if (similarity >= floors.get(i)) {
                return i;
            }
        }
        throw new IllegalArgumentException("a similarity of " + similarity + " percent");
    }

    /** {@code 85-94}, and {@code 100} for a band of one. */
    public String name(int band) {
        int floor = floors.get(band);
        int ceiling = band == 0 ? MOST : floors.get(band - 1) - 1;
        return floor == ceiling ? String.valueOf(floor) : floor + "-" + ceiling;
    }

    public List<String> names() {
        return IntStream.range(0, floors.size()).mapToObj(this::name).toList();
    }

    /** As {@link #parse} reads it. */
    @Override
    public String toString() {
        return floors.stream().map(String::valueOf).collect(Collectors.joining(" "));
    }
}
