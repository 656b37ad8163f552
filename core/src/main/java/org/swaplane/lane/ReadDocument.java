package org.swaplane.lane;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.swaplane.document.Counts;
import org.swaplane.document.Segment;
import org.swaplane.format.BilingualFile;

/** A track's file as it was read, with what is looked up in it again and again. Immutable. */
final class ReadDocument {
    private final BilingualFile file;
    private final TrackReading reading;
    private final Map<String, Integer> indexes;
    private final int[] words;

    ReadDocument(BilingualFile file, TrackReading reading) {
        this.file = file;
        this.reading = reading;
        List<Segment> segments = segments();
        this.indexes = new HashMap<>(segments.size() * 2);
        for (int i = 0; i < segments.size(); i++) {
            indexes.putIfAbsent(segments.get(i).key(), i);
        }
        this.words = segments.parallelStream()
                .mapToInt(segment -> Counts.words(segment.source().plainText()))
                .toArray();
    }

    BilingualFile file() {
        return file;
    }

    /** How it was read. */
    TrackReading reading() {
        return reading;
    }

    List<Segment> segments() {
        return file.document().segments();
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
