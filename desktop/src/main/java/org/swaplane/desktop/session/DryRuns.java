package org.swaplane.desktop.session;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.Source;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.ProofStore;
import org.swaplane.lane.Proving;
import org.swaplane.lane.Track;
import org.swaplane.proof.DryRunResult;
import org.swaplane.proof.Proof;
import org.swaplane.proof.reach.Pictures;
import org.swaplane.pseudo.PseudoSettings;
import org.swaplane.task.Progress;

/** Dry runs of the lane's tracks, and what people say of their findings. */
public final class DryRuns {
    private final LaneSession session;
    private final Proving proving;
    /** As the lane remembers it; read in the background when the track is chosen and when it changes. */
    private Optional<ProofStore.Remembered> last = Optional.empty();

    /** Of the tracks whose dry runs were asked for as a whole. */
    private Map<Track, ProofStore.Remembered> all = Map.of();

    private final ReadOnlyObjectWrapper<DryRunResult> result = new ReadOnlyObjectWrapper<>();

    DryRuns(LaneSession session) {
        this.session = session;
        this.proving = new Proving(session.lane());
    }

    /** How many places of the last dry run wait for a look. */
    public int waiting() {
        return last().map(dryRun -> dryRun.proofs().stream()
                        .filter(proof -> dryRun.verdict(proof) != Proof.Verdict.PASS)
                        .mapToInt(proof -> Math.max(1, dryRun.open(proof).size()))
                        .sum())
                .orElse(0);
    }

    /** What the last dry run of the track gave in this session; null before. */
    public ReadOnlyObjectProperty<DryRunResult> resultProperty() {
        return result.getReadOnlyProperty();
    }

    /** The track is another one. */
    void chosen() {
        last = Optional.empty();
        result.set(null);
        read();
    }

    /** A dry run was made, or looked at. */
    void proven(Track track) {
        if (!all.isEmpty()) {
            readAll();
        }
        if (track == session.track()) {
            read();
        }
    }

    private void read() {
        Track of = session.track();
        session.background()
                .read(
                        Strings.text("task.read", of.name()),
                        progress -> session.lane().proofs().lastDryRun(of),
                        read -> {
                            if (session.track() == of) {
                                last = read;
                                session.changed(Topic.PROOFS);
                            }
                        },
                        session::failed);
    }

    /** Reads the dry runs of all tracks, for {@link #all}. */
    public void readAll() {
        List<Track> tracks = session.lane().tracks();
        session.background()
                .read(
                        Strings.text("task.dry-runs"),
                        progress -> session.lane().proofs().lastDryRuns(tracks),
                        read -> {
                            if (!all.equals(read)) {
                                all = read;
                                session.changed(Topic.PROOFS);
                            }
                        },
                        session::failed);
    }

    /** The dry runs of all tracks as {@link #readAll} found them last. */
    public Map<Track, ProofStore.Remembered> all() {
        return all;
    }

    /** The dry run of the track as it is remembered; empty until it is read. */
    public Optional<ProofStore.Remembered> last() {
        return last;
    }

    /** Whether that was of the file as it is read now. */
    public boolean isCurrent() {
        return proving.isCurrent(session.track());
    }

    /** Runs it over the track. */
    public void run() {
        Track of = session.track();
        session.background()
                .run(Strings.text("task.dry-run", of.name()), progress -> proving.run(of, progress), proven -> {
                    if (session.track() == of) {
                        result.set(proven);
                    }
                    say(of, proven);
                });
    }

    /** Where somebody else is looking, it is said that the dry run is done. */
    private void say(Track of, DryRunResult proven) {
        boolean passed = proven.verdict() == Proof.Verdict.PASS;
        session.notify(
                passed ? Notification.Tone.DONE : Notification.Tone.FAILED,
                Strings.text("dry-run.done." + proven.verdict().name().toLowerCase(Locale.ROOT), of.name()));
    }

    /** Runs it over all tracks, one after the other. */
    public void runAll() {
        run(session.lane().tracks());
    }

    /** Runs it over several tracks, one after the other. */
    public void run(List<Track> tracks) {
        Track shown = session.track();
        session.background().run(Strings.text("task.dry-runs"), progress -> provenAll(tracks, shown, progress), all -> {
            if (session.track() == shown) {
                all.ofShown().ifPresent(result::set);
            }
            session.notify(
                    all.failed() == 0 ? Notification.Tone.DONE : Notification.Tone.FAILED,
                    Strings.text("dry-run.done-all", tracks.size(), all.warned(), all.failed()));
        });
    }

    /** What came of several dry runs: the result of the track that is shown, and how many need a look. */
    private record ProvenAll(Optional<DryRunResult> ofShown, int warned, int failed) {}

    private ProvenAll provenAll(List<Track> tracks, Track shown, Progress progress) throws IOException {
        Optional<DryRunResult> ofShown = Optional.empty();
        int warned = 0;
        int failed = 0;
        for (Track track : tracks) {
            progress.checkCancelled();
            DryRunResult proven = proving.run(track, progress);
            warned += proven.verdict() == Proof.Verdict.WARN ? 1 : 0;
            failed += proven.verdict() == Proof.Verdict.FAIL ? 1 : 0;
            ofShown = track == shown ? Optional.of(proven) : ofShown;
        }
        return new ProvenAll(ofShown, warned, failed);
    }

    public void tickOff(Proof proof, List<Proof.Detail> details, String reason) {
        session.lane()
                .proofs()
                .tickOff(
                        session.track(),
                        proof,
                        details,
                        reason,
                        session.lane().settings().person())
                .whenComplete(session::sayFailure);
    }

    public void untick(Proof proof, List<Proof.Detail> details) {
        session.lane().proofs().untick(session.track(), proof, details).whenComplete(session::sayFailure);
    }

    public PseudoSettings settings() {
        return session.lane().settings().pseudo();
    }

    public void set(PseudoSettings settings) {
        // What runs next runs by it, so that it waits its turn with that.
        session.background()
                .run(
                        Strings.text("task.settings"),
                        progress -> LaneWriter.await(session.lane().settings().setPseudo(settings)),
                        done -> {});
    }

    /** Writes the report on all dry runs and opens it. */
    public void report(FileOpener opener) {
        session.background().run(Strings.text("task.report"), progress -> proving.report(), opener::open);
    }

    /** Puts the pseudo-translated files of the lane into a folder. */
    public void save(Path folder) {
        session.background()
                .run(
                        Strings.text("task.save-pseudo"),
                        progress -> proving.saveTo(Files.createDirectories(folder)),
                        saved -> session.notify(Notification.Tone.DONE, Strings.text("dry-run.saved", saved, folder)));
    }

    /** Reads the pictures of these names out of the track's file, in the background. */
    public void readPictures(Set<String> names, Consumer<Map<String, byte[]>> then) {
        Source original = session.lane().trackStore().original(session.track());
        session.background().run(Strings.text("task.pictures"), progress -> Pictures.bytes(original, names), then);
    }
}
