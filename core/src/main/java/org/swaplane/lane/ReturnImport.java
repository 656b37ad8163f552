package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;
import org.swaplane.content.Retagging;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.exchange.NewFindings;
import org.swaplane.exchange.ReturnReader;
import org.swaplane.exchange.ReturnReading;
import org.swaplane.exchange.ReturnReport;
import org.swaplane.exchange.ReturnedBilingual;
import org.swaplane.exchange.RowChange;
import org.swaplane.exchange.RowRemark;
import org.swaplane.exchange.SentRow;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.NewFile;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.report.Report;
import org.swaplane.report.ReportForm;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedRow;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Recognises a copy that came back, and takes of it what a person decides on. */
public final class ReturnImport {
    private static final double MOST_OF_IT = 0.5;
    /** What a recipient can read; tables alone would lack the remarks. */
    private static final List<ReportForm> REPORTS = List.of(ReportForm.HTML, ReportForm.DOCX, ReportForm.XLSX);

    private final Lane lane;
    private final OtherLanes others;

    public ReturnImport(Lane lane) {
        this(lane, OtherLanes.NONE);
    }

    /** @param others where a copy may belong that this lane did not send */
    public ReturnImport(Lane lane, OtherLanes others) {
        this.lane = lane;
        this.others = others;
    }

    /**
     * A copy that was recognised by what is inside, with everything that it says.
     *
     * @param newFindings by the number of a row, what the checks would find in its returned target and do not find now
     */
    public record Recognised(
            Source copy,
            Trip trip,
            TrackSnapshot compared,
            ReturnReading reading,
            Map<Integer, List<Finding>> newFindings) {
        public Track track() {
            return compared.track();
        }

        /** Whether a change can be accepted without a person's look: nothing about it is doubtful, and it brings no new finding. */
        public boolean isSafe(RowChange change) {
            return change.safe() && !newFindings.containsKey(change.number());
        }
    }

    private Recognised recognised(Source copy, Trip trip, TrackSnapshot now, ReturnReading reading) throws IOException {
        NewFindings findings = new NewFindings(lane.references().checks(), now::checked);
        return new Recognised(copy, trip, now, reading, findings.of(reading));
    }

    /**
     * What became of it.
     *
     * @param conflicts rows that were not taken, since their segments were changed after the copy was read
     */
    public record Taken(Optional<Step> step, List<Conflict> conflicts, Path report) {}

    /**
     * Reads a copy wherever it lies and whatever it is called. Changes nothing.
     *
     * @throws CannotProceedException when it is none of this lane's
     */
    public Recognised read(Source copy) throws IOException {
        return recognised(copy, lane.copies().read(copy));
    }

    /**
     * Reads again what came back of a trip, to accept later what was left.
     *
     * @throws CannotProceedException when it cannot be recognised any more
     */
    public Recognised again(Trip trip, Progress progress) throws IOException {
        Source copy = lane.trips().returnedCopy(trip);
        Optional<ReturnedCopy> returned = lane.copies().find(copy);
        if (returned.isPresent()) {
            return recognisedAll(copy, returned.get()).stream()
                    .filter(each -> each.trip().equals(trip))
                    .findFirst()
                    .orElseThrow(() -> new CannotProceedException(copy.name(), "problem.no-review-copy"));
        }
        Track track = lane.track(trip.track());
        return recognise(copy, lane.trackStore().openCopy(track, copy, progress).document(), progress)
                .orElseThrow(() -> new CannotProceedException(copy.name(), "problem.no-review-copy"));
    }

    /** What others answered in the same segments, by index in the track as it stands. */
    public Map<Integer, List<OtherAnswer>> others(Recognised recognised, Progress progress) throws IOException {
        Set<Integer> here =
                recognised.reading().changes().stream().map(RowChange::index).collect(Collectors.toSet());
        Map<Integer, List<OtherAnswer>> others = new HashMap<>();
        for (Trip trip : lane.trips().of(recognised.track())) {
            if (trip.back().isPresent() && !trip.code().equals(recognised.trip().code())) {
                progress.checkCancelled();
                again(trip, progress).reading().changes().stream()
                        .filter(change -> here.contains(change.index()))
                        .forEach(change -> others.computeIfAbsent(change.index(), index -> new ArrayList<>())
                                .add(new OtherAnswer(trip.person(), change.returned())));
            }
        }
        return others;
    }

    /**
     * Writes the bilingual file that came back once more, with what stands in the lane now: what was accepted is as it came back, and what was
     * not is ours again. Everything else of it stays as it is.
     *
     * @throws CannotProceedException when it is a review copy, or has other segments than the file that was sent
     */
    public Path answer(Recognised recognised, Progress progress) throws IOException {
        Track track = recognised.track();
        TrackSnapshot now = track.now(progress);
        BilingualFile file = lane.trackStore().openCopy(track, recognised.copy(), progress);
        List<Segment> theirs = file.document().segments();
        boolean fits = theirs.size() == now.size()
                && IntStream.range(0, now.size())
                        .allMatch(i -> Fingerprint.of(theirs.get(i).source())
                                .equals(Fingerprint.of(now.segment(i).source())));
        if (!fits) {
            throw new CannotProceedException(recognised.copy().name(), "problem.no-answer");
        }
        List<SegmentEdit> edits = new ArrayList<>();
        for (int i = 0; i < now.size(); i++) {
            Segment there = theirs.get(i);
            Optional<Content> ours = Retagging.of(now.target(i), now.segment(i).source(), there.source());
            boolean differs = ours.isPresent() && !ours.get().sameAs(there.target());
            if (differs && !there.locked()) {
                edits.add(new SegmentEdit(i, ours.get(), now.state(i), Optional.empty()));
            }
        }
        Path out = lane.free("sent", recognised.copy().name());
        NewFile.write(out, false, stream -> file.write(edits, stream, progress));
        return out;
    }

    /** Another person's answer in the same segment, in tag notation. */
    public record OtherAnswer(String person, String returned) {}

    /** The same of a copy that was read already. */
    public Recognised recognised(Source copy, ReturnedCopy returned) throws IOException {
        return recognisedAll(copy, returned).get(0);
    }

    /** The same for each of the tracks that a copy was made of. */
    public List<Recognised> recognisedAll(Source copy, ReturnedCopy returned) throws IOException {
        List<Recognised> all = new ArrayList<>();
        Map<String, Trip> known = new LinkedHashMap<>();
        for (String code : returned.trips()) {
            lane.trips().find(code).ifPresent(trip -> known.put(code, trip));
        }
        for (Map.Entry<String, Trip> each : known.entrySet()) {
            Trip trip = each.getValue();
            TrackSnapshot now = lane.track(trip.track()).now();
            TripSide side = TripSide.of(lane, trip, now);
            ReturnedCopy own = returned.of(each.getKey(), known.keySet());
            ReturnReading reading = ReturnReader.read(own, each.getKey(), sentRows(trip, side));
            all.add(recognised(copy, trip, now, side.broughtOver(reading)));
        }
        if (all.isEmpty()) {
            throw notOurs(copy, returned.trip().orElseThrow());
        }
        return all;
    }

    private CannotProceedException notOurs(Source copy, String trip) {
        return others.sender(trip, lane.formats(), lane.clock())
                .map(name -> new CannotProceedException(copy.name(), "problem.copy-of-named-lane", name))
                .orElseGet(() -> new CannotProceedException(copy.name(), "problem.trip-of-other-lane", trip));
    }

    /**
     * Whether a bilingual file is one that went out from here: most of its segments have the keys of one that was sent. Those that are
     * still away come first.
     *
     * @param document the file as it was read
     */
    public Optional<Recognised> recognise(Source copy, BilingualDocument document, Progress progress)
            throws IOException {
        List<Trip> trips = new ArrayList<>(lane.trips().all());
        Collections.reverse(trips);
        trips.sort(Comparator.comparing(trip -> trip.back().isPresent()));
        for (Trip trip : trips) {
            Track track = lane.track(trip.track());
            if (lane.trips().isReviewCopy(trip, lane.copies())) {
                continue;
            }
            BilingualDocument sent = lane.trips()
                    .sentDocument(
                            trip,
                            (source, reading) -> lane.trackStore()
                                    .openCopy(track, source, reading)
                                    .document(),
                            progress);
            if (!sent.format().equals(document.format())) {
                continue;
            }
            TrackSnapshot now = track.now(progress);
            TripSide side = TripSide.of(lane, trip, now);
            if (sent.segments().size() == side.size()) {
                ReturnedBilingual back = new ReturnedBilingual(
                        document,
                        trip.code(),
                        sentRows(sent, side),
                        now.document().parts().stream()
                                .map(part -> part.targetLanguage())
                                .toList());
                if (back.recognised() >= MOST_OF_IT) {
                    return Optional.of(recognised(copy, trip, now, side.broughtOver(back.read())));
                }
            }
        }
        return Optional.empty();
    }

    private static List<SentRow> sentRows(BilingualDocument sent, TripSide track) {
        List<SentRow> rows = new ArrayList<>();
        for (int i = 0; i < track.size(); i++) {
            Segment there = sent.segments().get(i);
            // A document has other ids than the XLIFF file that was made of it, and the same order.
            Segment segment =
                    track.segment(i).knownAs(there.key(), there.unit()).withMore(there.notes());
            String target = TagNotation.write(there.target(), there.source());
            rows.add(new SentRow(i + 1, i, segment, target, there.state(), track.target(i), List.of()));
        }
        return rows;
    }

    /** What was sent is read from the very copy that went out. */
    private List<SentRow> sentRows(Trip trip, TripSide track) throws IOException {
        Map<Integer, ReturnedRow> sent = lane.trips().sentRows(trip, lane.copies()).stream()
                .filter(row -> row.code()
                        .filter(code -> code.trip().equals(trip.code()))
                        .isPresent())
                .collect(Collectors.toMap(row -> row.code().orElseThrow().number(), row -> row));
        List<SentRow> rows = new ArrayList<>();
        sent.forEach((number, row) -> {
            // A document that was cut anew since may have fewer segments; what is gone comes back as unknown.
            if (number > track.size()) {
                return;
            }
            rows.add(new SentRow(
                    number,
                    number - 1,
                    track.segment(number - 1),
                    row.target(),
                    track.segment(number - 1).state(),
                    track.target(number - 1),
                    row.remarks().stream().map(Remark::text).toList()));
        });
        return rows;
    }

    /**
     * Takes changes in one step that can be undone, keeps the remarks, and writes the report. All of it happens or, where one of it
     * fails, nothing does. A segment that was changed since the copy was read is left as it is, and said.
     *
     * @param rows numbers of the rows to take; one that cannot be taken is refused
     */
    public Taken take(Recognised recognised, Set<Integer> rows) throws IOException {
        return take(recognised, rows, Map.of());
    }

    /**
     * The same with some answers put into other words.
     *
     * @param worded what is taken instead of the answer, by the number of the row
     */
    public Taken take(Recognised recognised, Set<Integer> rows, Map<Integer, Content> worded) throws IOException {
        Trip trip = recognised.trip();
        EditRequest request = EditRequest.of(
                        recognised.compared(), StepKind.TAKEN, who(recognised), edits(recognised, rows, worded))
                .ofTrip(trip.code());
        String sha256 = lane.trips().keep(recognised.copy());
        Path report = lane.free("reports", "return-" + trip.code() + ".html");
        Map<ReportForm, Path> drafts = drafts(report);
        try {
            Taken taken = LaneWriter.await(lane.writer()
                    .submit(
                            transaction -> {
                                EditOutcome outcome = lane.writer().edit(request, transaction);
                                Set<Integer> done = withoutConflicts(recognised, rows, outcome.conflicts());
                                writeReport(recognised, done, drafts);
                                lane.trips()
                                        .cameBack(
                                                trip,
                                                recognised.copy().name(),
                                                sha256,
                                                done.size(),
                                                report.getFileName().toString(),
                                                remarks(recognised),
                                                transaction);
                                return new Taken(outcome.step(), outcome.conflicts(), report);
                            },
                            recognised.track()));
            for (Map.Entry<ReportForm, Path> draft : drafts.entrySet()) {
                Files.move(draft.getValue(), inForm(report, draft.getKey()), StandardCopyOption.REPLACE_EXISTING);
            }
            return taken;
        } finally {
            for (Path draft : drafts.values()) {
                Files.deleteIfExists(draft);
            }
        }
    }

    private static Map<Integer, Value> edits(Recognised recognised, Set<Integer> rows, Map<Integer, Content> worded) {
        State state = recognised.trip().purpose().after();
        Map<Integer, Value> edits = new HashMap<>();
        for (RowChange change : recognised.reading().changes()) {
            if (rows.contains(change.number())) {
                Content applicable = change.applicable()
                        .orElseThrow(() -> new CannotProceedException(
                                recognised.copy().name(), "problem.row-not-accepted", change.number()));
                Content answer = worded.getOrDefault(change.number(), applicable);
                State after = change.isOfStateOnly() ? change.state().orElse(state) : state;
                edits.put(
                        change.index(),
                        new Value(answer, change.leavesOpen(answer) ? State.INITIAL : after)
                                .from(new Origin(
                                        Origin.Kind.RETURNED,
                                        -1,
                                        recognised.trip().code())));
            }
        }
        return edits;
    }

    private static Set<Integer> withoutConflicts(Recognised recognised, Set<Integer> rows, List<Conflict> conflicts) {
        Set<String> left =
                conflicts.stream().map(conflict -> conflict.wanted().key()).collect(Collectors.toSet());
        return recognised.reading().changes().stream()
                .filter(change -> rows.contains(change.number()))
                .filter(change -> !left.contains(recognised.compared().keyAt(change.index())))
                .map(RowChange::number)
                .collect(Collectors.toSet());
    }

    /** The reports until what they say is written: all of them appear, or none. */
    private static Map<ReportForm, Path> drafts(Path report) {
        Map<ReportForm, Path> drafts = new EnumMap<>(ReportForm.class);
        for (ReportForm form : REPORTS) {
            Path there = inForm(report, form);
            drafts.put(form, there.resolveSibling('.' + there.getFileName().toString() + ".draft"));
        }
        return drafts;
    }

    private static Path inForm(Path page, ReportForm form) {
        String name = page.getFileName().toString();
        return page.resolveSibling(name.substring(0, name.lastIndexOf('.') + 1) + form.extension());
    }

    private void writeReport(Recognised recognised, Set<Integer> rows, Map<ReportForm, Path> drafts)
            throws IOException {
        Report said = report(recognised).of(recognised.reading(), rows);
        for (Map.Entry<ReportForm, Path> draft : drafts.entrySet()) {
            NewFile.write(draft.getValue(), true, out -> draft.getKey().write(said, out));
        }
    }

    /** The reviewer who signed the tracked changes, where there is one; else the person it was sent to. */
    private static String who(Recognised recognised) {
        List<String> authors = recognised.reading().changes().stream()
                .flatMap(change -> change.revision().stream())
                .map(revision -> revision.author())
                .filter(author -> !author.isBlank())
                .distinct()
                .toList();
        return authors.size() == 1 ? authors.get(0) : recognised.trip().person();
    }

    private static List<SegmentRemark> remarks(Recognised recognised) {
        return recognised.reading().remarks().stream()
                .map(each -> new SegmentRemark(
                        each.index() == RowRemark.NO_SEGMENT
                                ? ""
                                : recognised.compared().keyAt(each.index()),
                        each.remark().author().isEmpty()
                                ? recognised.trip().person()
                                : each.remark().author(),
                        each.remark().date(),
                        each.remark().text(),
                        recognised.trip().code()))
                .toList();
    }

    private ReturnReport report(Recognised recognised) {
        Trip trip = recognised.trip();
        return new ReturnReport(
                recognised.track().name(),
                trip.person(),
                trip.code(),
                trip.sentAt().truncatedTo(ChronoUnit.SECONDS).toString(),
                lane.clock().instant().truncatedTo(ChronoUnit.SECONDS).toString());
    }
}
