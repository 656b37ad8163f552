package org.swaplane.lane;

import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.version.CarryOver;
import org.swaplane.version.Outcome;
import org.swaplane.version.VersionAlignment;
import org.swaplane.version.VersionComparison;

/**
 * Lets another version of a source take the place of the one that is worked at: one that the client sent, an earlier one, or the same file
 * read by other choices. Each is one step, which can be undone.
 */
public final class VersionUpdate {
    private final Lane lane;

    public VersionUpdate(Lane lane) {
        this.lane = lane;
    }

    /**
     * How it is done; what a person chose last holds for the lane.
     *
     * @param lock whether what was translated and is unchanged in its place is locked
     */
    public record Choices(boolean lock, CarryOver.Wins wins) {
        public static final Choices DEFAULT = new Choices(false, CarryOver.Wins.OURS);
    }

    /** What would come of it; nothing has changed yet. */
    public static final class Preview {
        private final TrackSnapshot before;
        private final Source kept;
        private final ReadDocument read;
        private final VersionAlignment alignment;
        private final Map<String, Value> earlier;

        private Preview(
                TrackSnapshot before,
                Source kept,
                ReadDocument read,
                VersionAlignment alignment,
                Map<String, Value> earlier) {
            this.before = before;
            this.kept = kept;
            this.read = read;
            this.alignment = alignment;
            this.earlier = earlier;
        }

        public Track track() {
            return before.track();
        }

        /** The track as it stands. */
        public TrackSnapshot before() {
            return before;
        }

        /** The segments of the new version. */
        public List<Segment> segments() {
            return read.segments();
        }

        public String name() {
            return kept.name();
        }

        /** Both versions, the old one with its translations as the track stood when this was made. */
        public VersionComparison comparison() {
            return new VersionComparison(
                    before.track().version().name(),
                    name(),
                    before.current(),
                    read.file().document(),
                    alignment);
        }

        public VersionAlignment alignment() {
            return alignment;
        }

        /** Translated segments, by index in the track as it stands, that no new one is the same as. */
        public List<Integer> lost() {
            return alignment.matches().stream()
                    .filter(match -> match.outcome() != Outcome.UNCHANGED && match.outcome() != Outcome.MOVED)
                    .flatMap(match -> match.old().stream())
                    .filter(i -> !before.target(i).isEmpty()
                            && !before.segment(i)
                                    .with(before.target(i), before.state(i))
                                    .prefilled())
                    .toList();
        }
    }

    /** Reads a file as a new version of a track. */
    public Preview of(Track track, Source source, Progress progress) throws IOException {
        return read(
                track, lane.trackStore().versions().keep(source), options(track).withEncoding(""), progress);
    }

    /** The same of an earlier version; what was translated there and is not here comes back. */
    public Preview of(Track track, SourceVersion version, Progress progress) throws IOException {
        Preview there = read(
                track,
                lane.trackStore().versions().original(version),
                options(track).withEncoding(""),
                progress);
        return new Preview(
                there.before,
                there.kept,
                there.read,
                there.alignment,
                track.journal().replay(version.number()));
    }

    /** Reads a track's document by other choices. */
    public Preview of(Track track, DocumentOptions choices, Progress progress) throws IOException {
        return read(track, lane.trackStore().original(track), choices, progress);
    }

    /** Two versions of a track, the one that is worked at with its translations. */
    public VersionComparison compare(Track track, SourceVersion one, SourceVersion other, Progress progress)
            throws IOException {
        return VersionComparison.of(
                one.name(), other.name(), document(track, one, progress), document(track, other, progress), progress);
    }

    /** A track at two moments: its sources, translations and states. One before it was received is taken for that. */
    public VersionComparison compare(Track track, Moment one, Moment other, Progress progress) throws IOException {
        return VersionComparison.of(
                one.name(), other.name(), document(track, one, progress), document(track, other, progress), progress);
    }

    /**
     * A moment of a track.
     *
     * @param name as people are told it
     */
    public record Moment(String name, Instant at) {}

    private BilingualDocument document(Track track, Moment moment, Progress progress) throws IOException {
        List<SourceVersion> versions = lane.trackStore().versions().of(track);
        SourceVersion then = versions.stream()
                .filter(version -> !version.addedAt().isAfter(moment.at()))
                .reduce(versions.get(0), (earlier, later) -> later);
        return document(track, then, moment.at(), progress);
    }

    private BilingualDocument document(Track track, SourceVersion version, Progress progress) throws IOException {
        return version.number() == track.version().number()
                ? track.now(progress).current()
                : document(track, version, Instant.MAX, progress);
    }

    private BilingualDocument document(Track track, SourceVersion version, Instant moment, Progress progress)
            throws IOException {
        DocumentOptions options = version.number() == track.version().number()
                ? options(track)
                : DocumentOptions.ofJson(track.name(), track.journal().optionsOf(version.number()));
        BilingualDocument read = lane.trackStore()
                .readBy(track, version, options, progress)
                .file()
                .document();
        Map<String, Value> values = track.journal().replay(version.number(), moment);
        return new BilingualDocument(
                read.format(),
                read.encoding(),
                read.parts(),
                read.segments().stream()
                        .map(segment -> values.containsKey(segment.key())
                                ? segment.with(
                                        values.get(segment.key()).target(),
                                        values.get(segment.key()).state())
                                : segment)
                        .toList(),
                read.problems(),
                read.foreign());
    }

    /** How a track's document is read. */
    public DocumentOptions options(Track track) {
        return DocumentOptions.ofJson(track.name(), track.reading().options());
    }

    private Preview read(Track track, Source kept, DocumentOptions options, Progress progress) throws IOException {
        TrackSnapshot before = track.now(progress);
        SourceVersion version =
                new SourceVersion(0, kept.name(), kept.sha256(), lane.clock().instant(), "");
        ReadDocument read = lane.trackStore().readBy(track, version, options.uncut(), progress);
        if (!options.cuts().isEmpty()) {
            DocumentOptions cut = cutAsBefore(before, options, read);
            read = lane.trackStore().readBy(track, version, cut, progress);
        }
        if (before.isDocument() != read.file() instanceof org.swaplane.format.DocumentFile) {
            throw new CannotProceedException(kept.name(), "problem.other-kind-of-version", track.name());
        }
        return new Preview(
                before,
                kept,
                read,
                VersionAlignment.of(before.document(), read.file().document(), progress),
                Map.of());
    }

    /** Units that a reviewer cut are cut again where their text is the same, whatever their place is now. */
    private static DocumentOptions cutAsBefore(TrackSnapshot before, DocumentOptions options, ReadDocument read) {
        Map<String, String> texts = unitTexts(before.read().segments());
        Map<String, String> units = new HashMap<>();
        unitTexts(read.segments()).forEach((unit, text) -> units.putIfAbsent(text, unit));
        DocumentOptions cut = options.uncut();
        for (Map.Entry<String, List<Integer>> each : options.cuts().entrySet()) {
            String unit = units.get(texts.getOrDefault(each.getKey(), ""));
            if (unit != null) {
                cut = cut.withCut(unit, each.getValue());
            }
        }
        return cut;
    }

    private static Map<String, String> unitTexts(List<Segment> segments) {
        return segments.stream()
                .collect(Collectors.toMap(
                        Segment::unit,
                        segment -> segment.source().plainText().strip(),
                        (one, other) -> one + other,
                        LinkedHashMap::new));
    }

    private static List<CarryOver.Carried> carry(TrackSnapshot before, Preview preview, CarryOver.Wins wins) {
        List<Segment> old = IntStream.range(0, before.size())
                .mapToObj(i -> before.segment(i).with(before.target(i), before.state(i)))
                .toList();
        return new CarryOver(preview.alignment, old, preview.read.segments(), wins)
                .all(before.track().version().name());
    }

    /**
     * Makes the new version the one that is worked at; what was edited since it was looked at is carried over as it is now.
     *
     * @throws CannotProceedException when the track is in another version or read in another way by now
     */
    public TrackSnapshot take(Preview preview, Choices choices) {
        Track track = preview.track();
        String optionsBefore = preview.before.read().reading().options();
        int versionBefore = preview.before.track().version().number();
        return LaneWriter.await(lane.writer()
                .submit(
                        transaction -> {
                            track.refuseHandedOver();
                            boolean asItWas = track.reading().options().equals(optionsBefore)
                                    && track.version().number() == versionBefore;
                            if (!asItWas) {
                                throw new CannotProceedException(track.name(), "problem.resegmented-meanwhile");
                            }
                            return take(preview, choices, transaction);
                        },
                        track));
    }

    private TrackSnapshot take(Preview preview, Choices choices, LaneTransaction transaction) throws IOException {
        Track track = preview.track();
        TrackSnapshot now = transaction.now(track);
        List<CarryOver.Carried> carried = carry(now, preview, choices.wins());
        SourceVersion before = track.version();
        String outcomes = preview.alignment.counts().entrySet().stream()
                .filter(each -> each.getValue() > 0)
                .map(each -> each.getKey().word() + ' ' + each.getValue())
                .collect(Collectors.joining(" "));
        SourceVersion version =
                lane.trackStore().versions().add(track.id(), preview.kept.name(), preview.kept.sha256(), outcomes);
        String optionsBefore = track.reading().options();
        String options = preview.read.reading().options();
        lane.writer().writer(track).endStep(transaction);
        List<Change> changes = changes(now, preview, carried, choices);
        track.journal()
                .append(
                        version.number(),
                        StepKind.NEW_VERSION,
                        lane.settings().person(),
                        "",
                        Optional.empty(),
                        changes,
                        Optional.of(new Journal.Reading(optionsBefore, options, before.number(), version.number())));
        carryWhatIsKnown(track, version, preview, carried, now, transaction);
        lane.trackStore().keepOptions(track, options, transaction);
        lane.trackStore().keepVersion(track, version, transaction);
        ReadDocument read = preview.read.proposing(lane.trackStore().versions().proposals(track.id(), version));
        TrackSnapshot again = TrackSnapshot.of(track, read, track.journal().replay(version.number()));
        lane.trackStore().describe(track, again);
        transaction.set(again);
        transaction.tell(listener -> listener.reread(again));
        return again;
    }

    private static List<Change> changes(
            TrackSnapshot now, Preview preview, List<CarryOver.Carried> carried, Choices choices) {
        List<Segment> segments = preview.read.segments();
        boolean canLock = preview.read.file().canLock();
        List<Boolean> locks = new ArrayList<>();
        for (CarryOver.Carried each : carried) {
            locks.add(canLock && locksAfter(each, now, choices));
        }
        List<Change> changes = new ArrayList<>();
        for (CarryOver.Carried each : carried) {
            Segment segment = segments.get(each.now());
            boolean locked = segment.locked() || wholeUnit(segments, each.now(), locks);
            Value earlier = preview.earlier.get(segment.key());
            Value after = each.target().isEmpty() && earlier != null
                    ? earlier
                    : new Value(each.target(), each.state(), locked, origin(now, each, segment));
            Value base = new Value(segment.target(), segment.state(), segment.locked());
            boolean known = each.old() >= 0 && !now.value(each.old()).target().isEmpty();
            if (known || !after.equals(base)) {
                changes.add(new Change(
                        segment.key(),
                        each.old() < 0 ? "" : now.keyAt(each.old()),
                        each.old() < 0 ? base : now.value(each.old()),
                        after,
                        preview.read.words(each.now())));
            }
        }
        return changes;
    }

    /** A target that goes along keeps where it came from. */
    private static Origin origin(TrackSnapshot now, CarryOver.Carried each, Segment segment) {
        if (each.target().isEmpty() || each.target().equals(segment.target())) {
            return Origin.RECEIVED;
        }
        boolean same = each.old() >= 0 && each.target().sameAs(now.target(each.old()));
        return same ? now.value(each.old()).origin() : Origin.of(StepKind.NEW_VERSION);
    }

    private static boolean locksAfter(CarryOver.Carried each, TrackSnapshot now, Choices choices) {
        if (each.kind() != CarryOver.Kind.CARRIED) {
            return false;
        }
        boolean wasLocked = now.value(each.old()).locked();
        return wasLocked || choices.lock() && each.state().compareTo(State.TRANSLATED) >= 0;
    }

    /** A file can lock a unit as a whole only. */
    private static boolean wholeUnit(List<Segment> segments, int index, List<Boolean> locks) {
        if (!locks.get(index)) {
            return false;
        }
        int first = index;
        while (first > 0 && segments.get(first - 1).isOfSameUnit(segments.get(index))) {
            first--;
        }
        for (int i = first; i < segments.size() && segments.get(i).isOfSameUnit(segments.get(index)); i++) {
            if (!locks.get(i)) {
                return false;
            }
        }
        return true;
    }

    /** Proposals, remarks and decisions go along with the segments that they are about. */
    private void carryWhatIsKnown(
            Track track,
            SourceVersion version,
            Preview preview,
            List<CarryOver.Carried> carried,
            TrackSnapshot now,
            LaneTransaction transaction) {
        Map<String, Proposal> proposals = new LinkedHashMap<>();
        Map<String, String> keys = new HashMap<>();
        for (CarryOver.Carried each : carried) {
            String key = preview.read.segments().get(each.now()).key();
            each.proposal().ifPresent(proposal -> proposals.put(key, proposal));
            if (each.old() >= 0) {
                keys.putIfAbsent(now.keyAt(each.old()), key);
            }
        }
        lane.trackStore().versions().keep(track.id(), version, proposals);
        lane.trips().carryRemarks(track, version, keys);
        lane.notes().carry(track, version, keys);
        lane.findings().carry(track, keys, transaction);
    }
}
