package org.swaplane.lane;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.swaplane.document.Counts;
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
}
