package org.swaplane.lane;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.content.TagOrder;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.draft.DraftService;
import org.swaplane.task.CancelledException;
import org.swaplane.task.Progress;

/**
 * Has a draft service translate the open segments of a track that have no target. What has arrived stands in the lane before more is asked for;
 * a draft stays in the state initial until somebody edits or reviews it.
 */
public final class Drafting {
    private static final int AT_ONCE = 10;

    /** So many portions in a row without an answer, and no more are asked for. */
    private static final int PATIENCE = 3;

    private final Lane lane;
    private final DraftService service;

    public Drafting(Lane lane, DraftService service) {
        this.lane = lane;
        this.service = service;
    }

    /**
     * What became of it.
     *
     * @param failed segments that the service did not answer for; asking again asks for these
     * @param unusable drafts whose tags are not those of the source, or without text
     * @param problem what the service said last where it failed, empty otherwise
     * @param cancelled whether somebody ended it early
     */
    public record Outcome(int drafted, int failed, int unusable, String problem, boolean cancelled) {}

    /** Segments that a draft would be a target for. */
    public static List<Integer> open(TrackSnapshot track) {
        return IntStream.range(0, track.size())
                .filter(index -> !track.value(index).locked()
                        && track.target(index).isEmpty()
                        && !track.segment(index).source().plainText().isBlank())
                .boxed()
                .toList();
    }

    /**
     * Drafts all that is open.
     *
     * @throws org.swaplane.task.CannotProceedException when the service refuses; what it did before stays
     */
    public Outcome all(TrackSnapshot track, String who, Progress progress) {
        List<Integer> open = open(track);
        int drafted = 0;
        int unusable = 0;
        int failed = 0;
        int inARow = 0;
        String problem = "";
        for (int at = 0; at < open.size(); at += AT_ONCE) {
            List<Integer> portion = open.subList(at, Math.min(at + AT_ONCE, open.size()));
            progress.at(at, open.size());
            try {
                progress.checkCancelled();
                Map<Integer, Value> drafts = drafts(track, portion, progress);
                unusable += portion.size() - drafts.size();
                drafted += write(track, drafts, who);
                inARow = 0;
            } catch (CancelledException e) {
                return new Outcome(drafted, failed, unusable, problem, true);
            } catch (IOException e) {
                problem = String.valueOf(e.getMessage());
                failed += portion.size();
                if (++inARow == PATIENCE) {
                    failed += open.size() - at - portion.size();
                    break;
                }
            }
        }
        return new Outcome(drafted, failed, unusable, problem, false);
    }

    private int write(TrackSnapshot track, Map<Integer, Value> drafts, String who) {
        EditOutcome written =
                LaneWriter.await(lane.writer().edit(EditRequest.of(track, StepKind.DRAFTED, who, drafts)));
        return drafts.size() - written.conflicts().size();
    }

    /**
     * A draft for one segment, which is written nowhere.
     *
     * @return empty where the service has none that could be a target
     * @throws IOException when it does not answer
     */
    public Optional<Value> one(TrackSnapshot track, int index, Progress progress) throws IOException {
        return Optional.ofNullable(drafts(track, List.of(index), progress).get(index));
    }

    /** Of segments that may be in several languages, as parts of one file are. */
    private Map<Integer, Value> drafts(TrackSnapshot track, List<Integer> segments, Progress progress)
            throws IOException {
        Map<Integer, Value> values = new HashMap<>();
        Map<List<String>, List<Integer>> byLanguages = new HashMap<>();
        segments.forEach(index -> byLanguages
                .computeIfAbsent(
                        List.of(track.sourceLanguage(index), track.targetLanguage(index)), any -> new ArrayList<>())
                .add(index));
        for (Map.Entry<List<String>, List<Integer>> each : byLanguages.entrySet()) {
            List<String> texts = each.getValue().stream()
                    .map(index -> track.segment(index).source())
                    .map(source -> TagNotation.write(source, source))
                    .toList();
            List<String> drafts =
                    service.draft(texts, each.getKey().get(0), each.getKey().get(1), progress);
            for (int i = 0; i < drafts.size(); i++) {
                int index = each.getValue().get(i);
                usable(drafts.get(i), track.segment(index)).ifPresent(target -> values.put(index, value(target)));
            }
        }
        return values;
    }

    private Value value(Content target) {
        return new Value(target, State.INITIAL).from(Origin.draft(service.name()));
    }

    /** Only text that a file can hold, with each tag of the source once and in legal order. */
    private static Optional<Content> usable(String draft, Segment segment) {
        Content source = segment.source();
        TagNotation.Reading reading = TagNotation.read(draft, source);
        Content target = reading.content();
        boolean text =
                !target.plainText().isBlank() && target.plainText().codePoints().noneMatch(Drafting::isControl);
        boolean tags = reading.damages().isEmpty()
                && target.tags().size() == source.tags().size()
                && source.tags().stream().allMatch(tag -> target.tags().stream().anyMatch(tag::matches))
                && TagOrder.isWritable(target)
                && TagOrder.keepsFixedOrder(target, source);
        return text && tags ? Optional.of(target) : Optional.empty();
    }

    private static boolean isControl(int c) {
        return Character.isISOControl(c) && c != '\n' && c != '\t' || c == 0xFFFE || c == 0xFFFF;
    }

    /** Takes out the drafts that nobody has edited or reviewed, as one step; returns how many there were. */
    public static int clear(Lane lane, TrackSnapshot track, String who) {
        Map<Integer, Value> emptied = new HashMap<>();
        for (int i = 0; i < track.size(); i++) {
            if (track.value(i).isDraft() && !track.value(i).locked()) {
                emptied.put(i, Value.written(Content.EMPTY));
            }
        }
        LaneWriter.await(lane.writer().edit(EditRequest.of(track, StepKind.CLEARED, who, emptied)));
        return emptied.size();
    }
}
