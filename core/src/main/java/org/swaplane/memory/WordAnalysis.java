package org.swaplane.memory;

import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Counts;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.task.Progress;

/**
 * How much work several files are: words by band. A segment counts once, in the first band that applies; the first occurrence of a text counts
 * by its match, later ones as repetitions. Locked and translated segments are counted apart.
 */
public final class WordAnalysis {
    /** Fuzzy bands always reach down to it. */
    private static final int LEAST = 50;

    private final MemorySearch memories;
    private final Set<String> inEarlierFiles = new HashSet<>();

    /** Where a segment is counted, in the order in which bands apply. */
    public enum Band {
        CONTEXT("context"),
        REPETITION("repetition"),
        CROSS_FILE_REPETITION("crossFileRepetition"),
        EXACT("100"),
        FROM_95("95-99"),
        FROM_85("85-94"),
        FROM_75("75-84"),
        FROM_50("50-74"),
        NONE("none"),
        /** Apart from the bands. */
        LOCKED("locked"),
        TRANSLATED("translated");

        private final String word;

        Band(String word) {
            this.word = word;
        }

        /** As the command line writes it. */
        public String word() {
            return word;
        }

        /** Whether it is one of the bands that add up to the total. */
        public boolean isWork() {
            return this != LOCKED && this != TRANSLATED;
        }

        /** The band of a match with this score; of none where it is too far off. */
        public static Band ofScore(int score) {
            return score < LEAST ? NONE : of(score);
        }

        private static Band of(int score) {
            return score >= 100
                    ? EXACT
                    : score >= 95 ? FROM_95 : score >= 85 ? FROM_85 : score >= 75 ? FROM_75 : FROM_50;
        }
    }

    /** What is in a band; characters are code points. */
    public record Amount(int segments, int words, int characters) {
        public static final Amount NOTHING = new Amount(0, 0, 0);

        private static Amount of(Segment segment) {
            String text = segment.source().plainText();
            return new Amount(1, Counts.words(text), text.codePointCount(0, text.length()));
        }

        public Amount plus(Amount other) {
            return new Amount(segments + other.segments, words + other.words, characters + other.characters);
        }
    }

    /**
     * The words of one file.
     *
     * @param bands where each segment is counted, in their order
     */
    public record FileWords(Map<Band, Amount> amounts, List<Band> bands) {
        public FileWords {
            bands = List.copyOf(bands);
        }
    }

    public WordAnalysis(List<MemoryUse> memories) {
        this.memories = new MemorySearch(memories, LEAST);
    }

    /** Counts the next file; what repeats in it from earlier ones is a repetition across files. */
    public FileWords next(BilingualDocument document, Progress progress) throws IOException {
        Map<Band, Amount> amounts = new EnumMap<>(Band.class);
        for (Band band : Band.values()) {
            amounts.put(band, Amount.NOTHING);
        }
        Set<String> here = new HashSet<>();
        List<Band> bands = new ArrayList<>();
        List<Segment> segments = document.segments();
        List<Integer> open = IntStream.range(0, segments.size())
                .filter(i -> !segments.get(i).locked() && !isTranslated(segments.get(i)))
                .boxed()
                .toList();
        Map<Integer, MemoryMatch> best = memories.best(document, open, progress);
        for (int i = 0; i < segments.size(); i++) {
            Segment segment = segments.get(i);
            Band band = band(segment, Optional.ofNullable(best.get(i)), here);
            bands.add(band);
            amounts.merge(band, Amount.of(segment), Amount::plus);
        }
        inEarlierFiles.addAll(here);
        return new FileWords(amounts, bands);
    }

    /** A target in the state initial, such as a draft, is none yet. */
    private static boolean isTranslated(Segment segment) {
        return segment.state() != State.INITIAL && !segment.target().isEmpty() && !segment.prefilled();
    }

    private Band band(Segment segment, Optional<MemoryMatch> match, Set<String> here) {
        if (segment.locked()) {
            return Band.LOCKED;
        }
        if (isTranslated(segment)) {
            return Band.TRANSLATED;
        }
        boolean first = here.add(Fingerprint.of(segment.source()));
        if (match.filter(found -> found.kind() == MemoryMatch.Kind.CONTEXT).isPresent()) {
            return Band.CONTEXT;
        }
        if (!first) {
            return Band.REPETITION;
        }
        if (inEarlierFiles.contains(Fingerprint.of(segment.source()))) {
            return Band.CROSS_FILE_REPETITION;
        }
        return match.map(found -> Band.of(found.score())).orElse(Band.NONE);
    }
}
