package org.swaplane.memory;

import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.swaplane.content.Content;
import org.swaplane.content.Retagging;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.SegmentEdit;
import org.swaplane.task.Progress;

/**
 * Fills a document from memories before the work: in-context and exact matches become targets; fuzzy ones, and those that lack tags of their source,
 * are proposed only.
 */
public final class Filling {
    private final MemorySearch memories;
    private final Over over;

    /** Which targets may be written over; those that are reviewed, final or locked never. */
    public enum Over {
        EMPTY,
        /** Copies of the source as well. */
        COPIES,
        /** Translations as well. */
        TRANSLATED
    }

    /** Why segments were left as they are. */
    public enum Skipped {
        LOCKED,
        REVIEWED,
        TRANSLATED,
        BELOW_MIN
    }

    /**
     * What would be written.
     *
     * @param matches what each segment is filled from, by its position
     * @param filled targets by the kind of their match; proposals are not among them
     */
    public record Outcome(
            List<SegmentEdit> edits,
            Map<Integer, MemoryMatch> matches,
            Map<MemoryMatch.Kind, Integer> filled,
            Map<Skipped, Integer> skipped) {}

    /**
     * Fills from several memories, the first first.
     *
     * @param least score in percent
     */
    public Filling(List<MemoryUse> memories, int least, Over over) {
        this.memories = new MemorySearch(memories, least);
        this.over = over;
    }

    public Outcome of(BilingualDocument document, Progress progress) throws IOException {
        List<SegmentEdit> edits = new ArrayList<>();
        Map<Integer, MemoryMatch> matches = new TreeMap<>();
        Map<MemoryMatch.Kind, Integer> filled = new EnumMap<>(MemoryMatch.Kind.class);
        Map<Skipped, Integer> skipped = new EnumMap<>(Skipped.class);
        for (Skipped each : Skipped.values()) {
            skipped.put(each, 0);
        }
        List<Segment> segments = document.segments();
        List<Integer> open = IntStream.range(0, segments.size())
                .filter(i -> reason(segments.get(i)).isEmpty())
                .boxed()
                .toList();
        Map<Integer, MemoryMatch> best = memories.best(document, open, progress);
        for (int i = 0; i < segments.size(); i++) {
            Segment segment = segments.get(i);
            Optional<Skipped> reason = reason(segment);
            Optional<SegmentEdit> edit = Optional.empty();
            if (reason.isEmpty()) {
                Optional<MemoryMatch> match = Optional.ofNullable(best.get(i));
                edit = match.flatMap(found -> edit(found, segment, filled));
                if (edit.isPresent()) {
                    matches.put(i, match.get());
                }
                reason = edit.isEmpty() ? Optional.of(Skipped.BELOW_MIN) : Optional.empty();
                int index = i;
                edit.ifPresent(made -> edits.add(
                        new SegmentEdit(index, made.target(), made.state(), Optional.empty(), made.proposal())));
            }
            reason.ifPresent(each -> skipped.merge(each, 1, Integer::sum));
        }
        return new Outcome(edits, matches, filled, skipped);
    }

    private Optional<Skipped> reason(Segment segment) {
        if (segment.locked()) {
            return Optional.of(Skipped.LOCKED);
        }
        if (segment.state().compareTo(State.REVIEWED) >= 0) {
            return Optional.of(Skipped.REVIEWED);
        }
        boolean open =
                segment.target().isEmpty() || over != Over.EMPTY && segment.prefilled() || over == Over.TRANSLATED;
        return open ? Optional.empty() : Optional.of(Skipped.TRANSLATED);
    }

    private static Optional<SegmentEdit> edit(
            MemoryMatch match, Segment segment, Map<MemoryMatch.Kind, Integer> filled) {
        MemoryUnit unit = match.unit();
        if (match.kind() == MemoryMatch.Kind.FUZZY || !unit.keepsTags()) {
            Proposal proposal = new Proposal(
                    Retagging.fitted(unit.source(), unit.source(), segment.source()),
                    Retagging.fitted(unit.target(), unit.source(), segment.source()),
                    match.score(),
                    unit.origin());
            return Optional.of(
                    new SegmentEdit(0, segment.target(), segment.state(), Optional.empty(), Optional.of(proposal)));
        }
        Optional<Content> target = Retagging.of(unit.target(), unit.source(), segment.source());
        target.ifPresent(found -> filled.merge(match.kind(), 1, Integer::sum));
        return target.map(found -> new SegmentEdit(0, found, State.TRANSLATED));
    }
}
