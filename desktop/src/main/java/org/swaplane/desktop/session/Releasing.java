package org.swaplane.desktop.session;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.Packaging;
import org.swaplane.lane.Release;
import org.swaplane.lane.ReleaseConditions;
import org.swaplane.lane.ReleaseDifference;
import org.swaplane.lane.ReleaseStore;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.release.Gate;
import org.swaplane.release.PagePictures;
import org.swaplane.release.ReleaseOptions;
import org.swaplane.task.CancelledException;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** How every track stands against the conditions of its release, what a release would write, and what was released. */
public final class Releasing {
    /** So long one look may take before what it found is shown. */
    private static final long LOOK_NANOS = 700_000_000;

    private final LaneSession session;
    private final ReleaseConditions conditions;
    private final ObservableList<Row> rows = FXCollections.observableArrayList();
    private final ObservableList<Release> releases = FXCollections.observableArrayList();
    /** Tracks that somebody took out of the next release. */
    private final Set<Track> leftOut = new HashSet<>();

    private Map<Track, List<String>> plan = Map.of();
    private String planProblem = "";
    private boolean looking;
    private boolean lookAgain;
    /** Counts the looks whose result is shown. */
    private final ReadOnlyIntegerWrapper looks = new ReadOnlyIntegerWrapper();

    /**
     * A track and its conditions.
     *
     * @param gate empty until it was looked at
     * @param waivers by condition
     */
    public record Row(Track track, Optional<Gate> gate, Map<String, Release.Waiver> waivers) {
        /** What is not met and not waived. */
        public List<Gate.Condition> open() {
            return gate.map(each -> each.open(waivers.keySet())).orElse(List.of());
        }

        public boolean isReady() {
            return gate.isPresent() && open().isEmpty();
        }
    }

    /** What one look brings: some gates, the waivers, the files that would be written, and the releases. */
    private record Look(
            Map<Track, Gate> gates,
            boolean all,
            Map<Long, Map<String, Release.Waiver>> waivers,
            Map<Track, List<String>> plan,
            String planProblem,
            List<Release> releases,
            Optional<Exception> failure) {}

    Releasing(LaneSession session) {
        this.session = session;
        this.conditions =
                new ReleaseConditions(session.lane(), () -> session.checking().checks());
    }

    /** One for each track, in the order of the board. */
    public ObservableList<Row> rows() {
        return rows;
    }

    /** Changes whenever something is known anew. */
    public ReadOnlyIntegerProperty looksProperty() {
        return looks.getReadOnlyProperty();
    }

    /** Newest first. */
    public ObservableList<Release> releases() {
        return releases;
    }

    /** Paths of the files that a release of all chosen tracks would have, by track. */
    public List<String> planned(Track track) {
        return plan.getOrDefault(track, List.of());
    }

    /** Why no release can be made with these patterns; empty where it can. */
    public String planProblem() {
        return planProblem;
    }

    /** Whether a track is part of the next release. */
    public boolean isChosen(Track track) {
        return !leftOut.contains(track);
    }

    public void choose(List<Track> tracks, boolean chosen) {
        if (chosen) {
            tracks.forEach(leftOut::remove);
        } else {
            leftOut.addAll(tracks);
        }
        refresh();
    }

    /** Those that are part of the next release. */
    public List<Row> chosen() {
        return rows.stream().filter(row -> isChosen(row.track())).toList();
    }

    ReleaseConditions conditions() {
        return conditions;
    }

    void checksChanged() {
        conditions.checksChanged();
    }

    void close() {
        conditions.close();
    }

    /** Looks at all tracks about which something is not known; while it is looking already, once more after that. */
    public void refresh() {
        if (looking) {
            lookAgain = true;
            return;
        }
        looking = true;
        List<Track> tracks = session.lane().tracks();
        List<Track> chosen = tracks.stream().filter(this::isChosen).toList();
        session.background()
                .look(
                        Strings.text("task.gates"),
                        progress -> look(tracks, chosen, progress),
                        look -> {
                            looking = false;
                            look.failure().ifPresent(session::failed);
                            show(tracks, look);
                            if (lookAgain || !look.all()) {
                                lookAgain = false;
                                refresh();
                            }
                        },
                        () -> looking = false);
        if (!rows.stream().map(Row::track).toList().equals(tracks)) {
            show(tracks, Map.of(), null);
        }
    }

    /** Ends with what it has when it is cancelled or something goes wrong. */
    private Look look(List<Track> tracks, List<Track> chosen, Progress progress) {
        Map<Track, List<String>> paths = new HashMap<>();
        String problem = "";
        try {
            new Packaging(session.lane(), conditions)
                    .plan(chosen, session.lane().settings().releaseOptions())
                    .forEach(each -> paths.computeIfAbsent(each.track(), none -> new ArrayList<>())
                            .add(each.path()));
        } catch (CannotProceedException e) {
            problem = e.getMessage();
        }
        Map<Track, Gate> gates = new LinkedHashMap<>();
        long end = System.nanoTime() + LOOK_NANOS;
        boolean all = true;
        Optional<Exception> failure = Optional.empty();
        try {
            for (int i = 0; i < tracks.size() && !progress.cancelled(); i++) {
                progress.at(i, tracks.size());
                if (System.nanoTime() > end && !conditions.knows(tracks.get(i))) {
                    all = false;
                } else {
                    gates.put(tracks.get(i), conditions.of(tracks.get(i), progress));
                }
            }
        } catch (CancelledException e) {
            all = true;
        } catch (IOException | CannotProceedException e) {
            failure = Optional.of(e);
        }
        ReleaseStore store = session.lane().releases();
        return new Look(
                gates,
                all || failure.isPresent() || progress.cancelled(),
                store.waivers(),
                paths,
                problem,
                store.all(),
                failure);
    }

    private void show(List<Track> tracks, Look look) {
        plan = look.plan();
        planProblem = look.planProblem();
        show(tracks, look.gates(), look.waivers());
        if (!releases.equals(look.releases())) {
            releases.setAll(look.releases());
        }
        looks.set(looks.get() + 1);
    }

    private void show(List<Track> tracks, Map<Track, Gate> gates, Map<Long, Map<String, Release.Waiver>> waivers) {
        Map<Track, Row> before = new HashMap<>();
        rows.forEach(row -> before.put(row.track(), row));
        List<Row> now = tracks.stream()
                .map(track -> new Row(
                        track,
                        Optional.ofNullable(gates.get(track))
                                .or(() -> Optional.ofNullable(before.get(track)).flatMap(Row::gate)),
                        waivers == null
                                ? Optional.ofNullable(before.get(track))
                                        .map(Row::waivers)
                                        .orElse(Map.of())
                                : waivers.getOrDefault(track.id(), Map.of())))
                .toList();
        if (!rows.equals(now)) {
            rows.setAll(now);
        }
    }

    /** What the client wants to get. */
    public ReleaseOptions options() {
        return session.lane().settings().releaseOptions();
    }

    /** Sets what the client wants to get, unless a pattern gives no name, which is said then. */
    public void setOptions(ReleaseOptions options) {
        session.background()
                .run(
                        Strings.text("task.naming"),
                        progress -> session.lane()
                                .settings()
                                .setReleaseOptions(options)
                                .join(),
                        done -> refresh());
    }

    /** The lane's conditions and options, as a person keeps them for other lanes. */
    public String profile() {
        return session.lane().settings().detail(LaneDetail.RELEASE_CONDITIONS)
                + '\n'
                + options().toJson();
    }

    /** Works by conditions and options that were kept. */
    public void applyProfile(String profile) {
        int end = profile.indexOf('\n');
        session.background()
                .run(
                        Strings.text("task.naming"),
                        progress -> {
                            session.lane()
                                    .settings()
                                    .setReleaseOptions(ReleaseOptions.parse(profile.substring(end + 1)))
                                    .join();
                            return session.lane()
                                    .settings()
                                    .set(LaneDetail.RELEASE_CONDITIONS, profile.substring(0, end))
                                    .join();
                        },
                        done -> refresh());
    }

    /** The pattern of names that the lane uses where a form has none of its own. */
    public String naming() {
        return session.lane().settings().naming().pattern();
    }

    /** Does without a condition of tracks, or asks for it again where there is no reason. */
    public void waive(List<Track> tracks, String condition, String reason) {
        ReleaseStore store = session.lane().releases();
        String person = session.editing().person();
        session.background()
                .run(
                        Strings.text("task.waive"),
                        progress -> (reason.isEmpty()
                                        ? store.askAgain(tracks, condition)
                                        : store.waive(tracks, condition, reason, person))
                                .join(),
                        done -> refresh());
    }

    /** Releases these in one step; {@code reason} waives what is not met. */
    public void release(List<Track> tracks, String reason) {
        session.background()
                .run(
                        Strings.text("task.release", tracks.size()),
                        progress ->
                                new Packaging(session.lane(), conditions).release(tracks, options(), reason, progress),
                        release -> {
                            session.written(
                                    Strings.text("release.done", release.number(), release.files(), release.place()),
                                    place(release));
                            refresh();
                        });
    }

    /** Releases all of these whose conditions are met in one step, and says which are not. */
    public void releaseReady(List<Track> tracks) {
        Packaging packaging = new Packaging(session.lane(), conditions);
        session.background()
                .run(
                        Strings.text("task.release", tracks.size()),
                        progress -> {
                            List<Track> held =
                                    List.copyOf(packaging.open(tracks, progress).keySet());
                            List<Track> ready = tracks.stream()
                                    .filter(track -> !held.contains(track))
                                    .toList();
                            if (!ready.isEmpty()) {
                                packaging.release(ready, options(), "", progress);
                            }
                            return held;
                        },
                        held -> sayHeld(tracks.size() - held.size(), held));
    }

    private void sayHeld(int released, List<Track> held) {
        List<String> names = held.stream()
                .map(track -> Strings.text(
                        "track.in-language", track.name(), track.summary().targetLanguage()))
                .toList();
        session.notify(
                held.isEmpty() ? Notification.Tone.DONE : Notification.Tone.FAILED,
                held.isEmpty()
                        ? Strings.text("release.done-all", released)
                        : Strings.text("release.held-back", released, held.size(), Strings.few(names, ", ")));
    }

    /** The zip or the folder of a release. */
    public Path place(Release release) {
        return session.lane().folder().resolve("out").resolve(release.place());
    }

    /** The page that says what was released. */
    public Path receipt(Release release) {
        return session.lane().folder().resolve("out").resolve(release.receipt());
    }

    /** Compares a release with the one before it. */
    public void compare(Release release, Consumer<List<ReleaseDifference>> done) {
        Optional<Release> earlier = releases.stream()
                .filter(each -> each.number() < release.number())
                .findFirst();
        session.background()
                .read(
                        Strings.text("task.compare-releases"),
                        progress -> earlier.isEmpty()
                                ? List.<ReleaseDifference>of()
                                : ReleaseDifference.between(session.lane(), earlier.get(), release),
                        done,
                        session::failed);
    }

    /**
     * A document before it goes, beside its original.
     *
     * @param original its pages as pictures; none where no program here can render them
     * @param originalText its paragraphs, where there are no pictures
     */
    public record SideBySide(
            List<Path> original, List<Path> translated, List<String> originalText, List<String> translatedText) {}

    /** Renders both as pages, or reads both as text. */
    public void look(Track track, Consumer<SideBySide> done) {
        session.background()
                .run(Strings.text("task.pages", track.name()), progress -> sideBySide(track, progress), done);
    }

    private SideBySide sideBySide(Track track, Progress progress) throws IOException {
        TrackSnapshot of = track.now(progress);
        if (of.isDocument() && PagePictures.program().isPresent()) {
            try {
                Packaging packaging = new Packaging(session.lane(), conditions);
                Path folder = session.lane().folder().resolve("preview");
                List<Path> original =
                        PagePictures.of(packaging.original(of), folder.resolve("pages-original"), progress);
                List<Path> translated =
                        PagePictures.of(packaging.preview(of, progress), folder.resolve("pages-translated"), progress);
                return new SideBySide(original, translated, List.of(), List.of());
            } catch (CannotProceedException e) {
                // Then as text.
            }
        }
        List<String> original = new ArrayList<>();
        List<String> translated = new ArrayList<>();
        for (int i = 0; i < of.size(); i++) {
            original.add(of.segment(i).source().plainText());
            translated.add(of.target(i).plainText());
        }
        return new SideBySide(List.of(), List.of(), original, translated);
    }

    /** Writes the file as it stands now into the lane's folder {@code preview}, and opens it. */
    public void openTarget(FileOpener opener) {
        TrackSnapshot of = session.snapshot();
        Packaging packaging = new Packaging(session.lane(), conditions);
        session.background()
                .run(Strings.text("task.write", of.name()), progress -> packaging.preview(of, progress), written -> {
                    opener.open(written);
                    session.notify(Notification.Tone.DONE, Strings.text("reading.opened", written.toString()));
                });
    }
}
