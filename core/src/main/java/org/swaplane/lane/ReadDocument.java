package org.swaplane.lane;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.swaplane.document.Counts;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.format.BilingualFile;

/** A track's file as it was read, with what is looked up in it again and again. Immutable. */
final class ReadDocument {
    private final BilingualFile file;
    private final TrackReading reading;
    private final Map<String, Integer> indexes;
    private final int[] words;
    private final List<Segment> segments;
    /** Positions by the fingerprint of the source; made when somebody asks for the first time, which takes a while. */
    private Map<String, List<Integer>> bySource;

    /** @param proposals what the lane proposes besides the file, by key */
    ReadDocument(BilingualFile file, TrackReading reading, Map<String, Proposal> proposals) {
        this.file = file;
        this.reading = reading;
        this.segments = proposals.isEmpty()
                ? file.document().segments()
                : file.document().segments().stream()
                        .map(segment -> with(segment, proposals.get(segment.key())))
                        .toList();
        this.indexes = new HashMap<>(segments.size() * 2);
        for (int i = 0; i < segments.size(); i++) {
            indexes.putIfAbsent(segments.get(i).key(), i);
        }
        this.words = segments.parallelStream()
                .mapToInt(segment -> Counts.words(segment.source().plainText()))
                .toArray();
    }

    /** The same with other proposals of the lane. */
    ReadDocument proposing(Map<String, Proposal> proposals) {
        return proposals.isEmpty() ? this : new ReadDocument(file, reading, proposals);
    }

    private static Segment with(Segment segment, Proposal proposal) {
        return proposal == null ? segment : segment.proposing(proposal);
    }

    BilingualFile file() {
        return file;
    }

    /** How it was read. */
    TrackReading reading() {
        return reading;
    }

    List<Segment> segments() {
        return segments;
    }

    /** Where the segment with this key stands; empty where there is none. */
    OptionalInt index(String key) {
        return Optional.ofNullable(indexes.get(key)).map(OptionalInt::of).orElseGet(OptionalInt::empty);
    }

    /** Words of a segment's source. */
    int words(int index) {
        return words[index];
    }

    /** Positions of all segments with the source of this one, itself among them, in the file's order. */
    synchronized List<Integer> sameSource(int index) {
        if (bySource == null) {
            bySource = IntStream.range(0, segments.size())
                    .parallel()
                    .boxed()
                    .collect(Collectors.groupingBy(
                            position -> Fingerprint.of(segments.get(position).source())));
        }
        return bySource.get(Fingerprint.of(segments.get(index).source()));
    }
}
