package org.swaplane.lane;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.check.Severity;
import org.swaplane.document.State;
import org.swaplane.proof.Proof;
import org.swaplane.proof.Safeguards;
import org.swaplane.release.Gate;
import org.swaplane.release.ReleaseForm;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/**
 * How tracks stand against what their release asks for. What was found out of a track is kept until something happens to it, so
 * that a table of hundreds costs once.
 */
public final class ReleaseConditions implements LaneListener, AutoCloseable {
    private final Lane lane;
    private final Supplier<CheckRun> checks;
    private final TrackOutput output;
    private final Map<Track, Gate> known = new ConcurrentHashMap<>();
    /** Counts what happened to each track, and to all of them. */
    private final Map<Track, AtomicLong> changes = new ConcurrentHashMap<>();

    private final AtomicLong changesOfAll = new AtomicLong();

    /** Listens until it is closed. */
    public ReleaseConditions(Lane lane, Supplier<CheckRun> checks) {
        this.lane = lane;
        this.checks = checks;
        this.output = new TrackOutput(lane);
        lane.writer().listen(this);
    }

    /** The findings of a track as it stands now, set aside or not. */
    public List<Finding> findings(TrackSnapshot track, Progress progress) {
        return checks.get().run(track.size(), track::checked, progress);
    }

    /** The conditions of a track as it stands now. */
    public Gate of(Track track, Progress progress) throws IOException {
        Gate before = known.get(track);
        if (before != null) {
            return before;
        }
        long at = changes(track);
        Gate gate = read(track, progress);
        known.put(track, gate);
        if (changes(track) != at) {
            known.remove(track);
        }
        return gate;
    }

    /** A file that cannot be read keeps back itself only. */
    private Gate read(Track track, Progress progress) throws IOException {
        try {
            return of(track.now(progress), progress);
        } catch (CannotProceedException e) {
            return new Gate(List.of(Gate.Condition.right("write-back", e.getMessage())), List.of());
        }
    }

    /** Whether a track was looked at since something happened to it. */
    public boolean knows(Track track) {
        return known.containsKey(track);
    }

    /** How much has happened to a track; the same as long as nothing does. */
    long changes(Track track) {
        return changesOfAll.get()
                + changes.computeIfAbsent(track, none -> new AtomicLong()).get();
    }

    /** Looks at a track at one moment; writes the result into a temporary file to prove it. */
    public Gate of(TrackSnapshot track, Progress progress) throws IOException {
        Set<String> required = lane.settings().releaseConditions();
        List<Finding> open = required.stream().anyMatch(Set.of("errors", "findings", "spelling")::contains)
                ? lane.findings().of(track.track()).open(findings(track, progress))
                : List.of();
        List<Gate.Condition> conditions = new ArrayList<>();
        for (String id : Gate.OPTIONAL) {
            if (required.contains(id)) {
                conditions.add(condition(id, track, open));
            }
        }
        addResult(track, conditions, progress);
        Set<Safeguards> safeguards = output.safeguards(track);
        if (safeguards.contains(Safeguards.SIGNATURE)) {
            conditions.add(Gate.Condition.of("signature", false));
        }
        List<String> remarks = safeguards.stream()
                .filter(each -> each != Safeguards.SIGNATURE)
                .map(each -> text("gate.remark." + each.name().toLowerCase(Locale.ROOT)))
                .toList();
        return new Gate(conditions, remarks);
    }

    private void addResult(TrackSnapshot track, List<Gate.Condition> conditions, Progress progress) throws IOException {
        Path trial = Files.createTempFile(lane.folder().resolve("out"), ".trial", ".tmp");
        try {
            String wrong = output.write(track, ReleaseForm.FILE, trial, progress);
            conditions.add(Gate.Condition.right("write-back", wrong));
            if (track.isDocument()) {
                conditions.add(Gate.Condition.right("structure", output.structure(track, trial)));
            }
        } catch (CannotProceedException e) {
            conditions.add(Gate.Condition.right("write-back", e.getMessage()));
        } finally {
            Files.deleteIfExists(trial);
        }
    }

    private Gate.Condition condition(String id, TrackSnapshot track, List<Finding> open) {
        return switch (id) {
            case "dry-run" -> Gate.Condition.of(id, dryRunPassed(track.track()));
            case "away" ->
                Gate.Condition.none(id, (int) lane.trips().of(track.track()).stream()
                        .filter(Trip::isAway)
                        .count());
            case "errors" ->
                Gate.Condition.none(id, (int) open.stream()
                        .filter(each -> each.severity() == Severity.ERROR)
                        .count());
            case "findings" -> Gate.Condition.none(id, open.size());
            case "spelling" ->
                Gate.Condition.none(id, (int) open.stream()
                        .filter(each -> each.check().equals("spelling"))
                        .count());
            case "translated" -> Gate.Condition.none(id, unlocked(track, State.TRANSLATED));
            case "reviewed" -> Gate.Condition.none(id, unlocked(track, State.REVIEWED));
            case "final" -> Gate.Condition.none(id, unlocked(track, State.FINAL));
            case "second-person" -> Gate.Condition.none(id, approvedAlone(track));
            case "quality" -> Gate.Condition.of(id, lane.quality().isPassed(track.track(), lane.tracks()));
            default -> throw new IllegalArgumentException(id);
        };
    }

    /** Segments that have not come as far as this state; locked ones are nobody's work, unless they have no translation. */
    private static int unlocked(TrackSnapshot track, State least) {
        int count = 0;
        for (int i = 0; i < track.size(); i++) {
            boolean nobodysWork = track.value(i).locked() && !track.isUntranslated(i);
            if (!nobodysWork && track.state(i).compareTo(least) < 0) {
                count++;
            }
        }
        return count;
    }

    /** Segments whose text and whose approval are the same person's. */
    private static int approvedAlone(TrackSnapshot track) {
        return (int) track.track().approvedAlone().stream()
                .map(track::index)
                .filter(index -> index.isPresent()
                        && !track.value(index.getAsInt()).locked()
                        && track.state(index.getAsInt()).compareTo(State.REVIEWED) >= 0)
                .count();
    }

    /** What needed a look has been looked at, and nothing failed. */
    private boolean dryRunPassed(Track track) {
        return lane.proofs()
                .lastDryRun(track)
                .filter(dryRun -> dryRun.version().equals(lane.trackStore().version(track)))
                .filter(dryRun -> dryRun.verdict() == Proof.Verdict.PASS)
                .isPresent();
    }

    private void happened(Track track) {
        changes.computeIfAbsent(track, none -> new AtomicLong()).incrementAndGet();
        known.remove(track);
    }

    private void happenedToAll() {
        changesOfAll.incrementAndGet();
        known.clear();
    }

    /** Other checks, dictionaries or terms are in use from now on. */
    public void checksChanged() {
        happenedToAll();
    }

    @Override
    public void stepped(TrackSnapshot now, Step step) {
        happened(now.track());
    }

    @Override
    public void reread(TrackSnapshot now) {
        happened(now.track());
    }

    @Override
    public void tripChanged(Trip trip) {
        // What was delivered is not away.
        if (trip.purpose() != Purpose.DELIVERY) {
            happened(lane.track(trip.track()));
        }
    }

    @Override
    public void noted(Track track) {
        happened(track);
    }

    @Override
    public void decided() {
        happenedToAll();
    }

    @Override
    public void proven(Track track) {
        happened(track);
    }

    @Override
    public void settingChanged(String key) {
        happenedToAll();
    }

    @Override
    public void close() {
        lane.writer().forget(this);
    }
}
