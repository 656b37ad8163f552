package org.swaplane.lane;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.Retagging;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.exchange.ReturnReading;
import org.swaplane.exchange.RowChange;
import org.swaplane.exchange.RowRemark;
import org.swaplane.exchange.StructureProblem;
import org.swaplane.format.DocumentOptions;
import org.swaplane.task.Progress;
import org.swaplane.version.Outcome;
import org.swaplane.version.SegmentMatch;
import org.swaplane.version.VersionAlignment;

/**
 * Our side of a trip: the segments as they were in the version of the source that went out. What comes back is compared with those and brought
 * over to the version that is worked at by the alignment of both; what no longer fits is named.
 */
final class TripSide {
    private static final int GONE = -1;

    private final TrackSnapshot now;
    private final List<Segment> then;
    /** Where the segments of then stand now; empty where the version is the same. */
    private final Optional<int[]> places;

    private TripSide(TrackSnapshot now, List<Segment> then, Optional<int[]> places) {
        this.now = now;
        this.then = then;
        this.places = places;
    }

    static TripSide of(Lane lane, Trip trip, TrackSnapshot now) throws IOException {
        Track track = now.track();
        if (trip.version() == track.version().number()) {
            return new TripSide(now, List.of(), Optional.empty());
        }
        SourceVersion version = lane.trackStore().versions().get(track.id(), trip.version());
        DocumentOptions options =
                DocumentOptions.ofJson(track.name(), track.journal().optionsOf(version.number()));
        BilingualDocument then = lane.trackStore()
                .readBy(track, version, options, Progress.NONE)
                .file()
                .document();
        int[] places = new int[then.segments().size()];
        Arrays.fill(places, GONE);
        for (SegmentMatch match :
                VersionAlignment.of(then, now.document(), Progress.NONE).matches()) {
            if (match.outcome() == Outcome.UNCHANGED || match.outcome() == Outcome.MOVED) {
                places[match.old().get(0)] = match.now().get(0);
            }
        }
        return new TripSide(now, then.segments(), Optional.of(places));
    }

    int size() {
        return places.isEmpty() ? now.size() : then.size();
    }

    /** A segment as it was sent. */
    Segment segment(int index) {
        return places.isEmpty() ? now.segment(index) : then.get(index);
    }

    /** What stands in its place now, with the tags that it was sent with; what the file held then where it is no more. */
    Content target(int index) {
        if (places.isEmpty()) {
            return now.target(index);
        }
        int place = places.get()[index];
        return place == GONE
                ? then.get(index).target()
                : Retagging.fitted(
                        now.target(place),
                        now.segment(place).source(),
                        then.get(index).source());
    }

    /** What came back, as it concerns the version that is worked at. */
    ReturnReading broughtOver(ReturnReading reading) {
        if (places.isEmpty()) {
            return reading;
        }
        List<StructureProblem> problems = new ArrayList<>(reading.problems());
        List<RowChange> changes = new ArrayList<>();
        for (RowChange change : reading.changes()) {
            Optional<RowChange> brought = broughtOver(change);
            brought.ifPresent(changes::add);
            if (brought.isEmpty()) {
                problems.add(new StructureProblem(
                        StructureProblem.Kind.SOURCE_CHANGED,
                        change.number(),
                        text(
                                "return.outdated",
                                change.number(),
                                change.segment().source().plainText(),
                                change.returned())));
            }
        }
        List<RowRemark> remarks = reading.remarks().stream()
                .map(remark -> new RowRemark(
                        remark.index() == RowRemark.NO_SEGMENT || places.get()[remark.index()] == GONE
                                ? RowRemark.NO_SEGMENT
                                : places.get()[remark.index()],
                        remark.remark()))
                .toList();
        return new ReturnReading(problems, changes, remarks, reading.untouched());
    }

    /** It may have been locked since. */
    private static List<StructureProblem> problems(RowChange change, Segment segment) {
        List<StructureProblem> problems = new ArrayList<>(change.problems());
        if (segment.locked()) {
            problems.add(new StructureProblem(
                    StructureProblem.Kind.LOCKED_CHANGED,
                    change.number(),
                    text("return.locked-changed", change.number())));
        }
        return problems;
    }

    private Optional<RowChange> broughtOver(RowChange change) {
        int place = places.orElseThrow()[change.index()];
        if (place == GONE) {
            return Optional.empty();
        }
        Segment segment = now.segment(place);
        Content source = change.segment().source();
        return Retagging.of(change.answer(), source, segment.source())
                .map(answer -> new RowChange(
                        change.number(),
                        place,
                        segment,
                        change.what(),
                        change.sent(),
                        change.returned(),
                        answer,
                        change.repaired().flatMap(repaired -> Retagging.of(repaired, source, segment.source())),
                        now.target(place),
                        change.revision(),
                        change.state(),
                        problems(change, segment)));
    }
}
