package org.swaplane.desktop.session;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import org.swaplane.check.CheckMaterial;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.check.OwnPattern;
import org.swaplane.check.Profile;
import org.swaplane.content.Content;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.lane.CheckReports;
import org.swaplane.lane.LiveFindings;
import org.swaplane.lane.SetAside;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackFindings;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** The checks of the lane's profile over the track that is shown, or the whole lane: what they found, and what people do about it. */
public final class Checking {
    private final LaneSession session;
    private final LiveFindings live;
    private Profile profile;
    /** Profiles that are being written. */
    private int beingSet;

    /** Set by the work in the background that reads the files of the profile; whatever waits behind it checks by it. */
    private volatile CheckRun checks;

    /** Whether all tracks are checked as one, and not only the one that is shown. */
    private boolean wholeLane;

    Checking(LaneSession session, Executor window) {
        this.session = session;
        this.live = new LiveFindings(session.lane(), new Listener(window));
        readProfile();
    }

    /** Brings what the checks say to the window's thread. */
    private final class Listener implements LiveFindings.Listener {
        private final Executor window;

        private Listener(Executor window) {
            this.window = window;
        }

        @Override
        public void changed(Map<Track, TrackFindings> findings) {
            window.execute(() -> session.changed(Topic.FINDINGS));
        }

        @Override
        public void outdated(List<Track> tracks) {
            window.execute(Checking.this::check);
        }

        @Override
        public void failed(Throwable failure) {
            window.execute(() -> session.failed(failure));
        }
    }

    /** Takes the lane's profile as it is now; the files that it names are read before anything else is checked. */
    void readProfile() {
        session.lane().references().setPersonWords(session.person().words());
        try {
            profile = session.lane().settings().profile();
        } catch (CannotProceedException e) {
            profile = Profile.DEFAULT;
            session.notify(Notification.Tone.FAILED, e.getMessage());
        }
        Profile asked = profile.withTerms(List.of()).withDictionaries(Map.of());
        if (asked.equals(profile)) {
            checks = CheckRun.of(profile, CheckMaterial.NONE);
            return;
        }
        // What cannot be read is said; the other checks are made all the same.
        session.background()
                .run(
                        Strings.text("task.profile"),
                        progress -> {
                            checks = CheckRun.of(asked, CheckMaterial.NONE);
                            checks = session.lane().references().checks();
                            return checks;
                        },
                        read -> session.releasing().checksChanged());
    }

    /** The checks as the profile has them. */
    public CheckRun checks() {
        return checks;
    }

    public Profile profile() {
        return profile;
    }

    /** Makes this the lane's profile, and checks everything by it as soon as it is; where it cannot be written, the one before holds. */
    public void setProfile(Profile other) {
        if (!other.equals(profile)) {
            profile = other;
            beingSet++;
            session.lane()
                    .settings()
                    .setProfile(other)
                    .whenComplete((done, failure) -> session.inWindow(() -> profileSet(failure)));
        }
    }

    private void profileSet(Throwable failure) {
        beingSet--;
        session.sayFailure(null, failure);
        // Of several in a row, the last is what holds.
        if (beingSet == 0) {
            profileChanged();
            session.changed(Topic.SETTINGS);
        }
    }

    /** Checks everything anew by what the lane's profile is now. */
    void profileChanged() {
        readProfile();
        if (session.snapshot() != null) {
            check();
        }
    }

    /** Whether words of a language are looked up in a dictionary; one for German is also for German of Switzerland. */
    public boolean hasDictionary(String language) {
        return profile.dictionaries().containsKey(language)
                || profile.dictionaries().containsKey(language.replaceFirst("-.*", ""));
    }

    /** What a word may be meant by that the dictionary does not know. */
    public void suggestions(String word, String language, Consumer<List<String>> known) {
        CheckRun current = checks;
        session.background()
                .read(
                        Strings.text("task.words"),
                        progress -> current.suggestions(word, language),
                        known,
                        session::failed);
    }

    /** Takes a word for right: in this lane, or wherever the person works. */
    public void learn(String word, boolean everywhere) {
        if (everywhere) {
            session.person().addWord(word);
            session.lane().references().setPersonWords(session.person().words());
            profileChanged();
        } else {
            List<String> keep = new ArrayList<>(profile.keep());
            keep.add(word);
            setProfile(profile.withKeep(keep));
        }
    }

    public void loadProfile(Path file) {
        session.background()
                .run(
                        Strings.text("task.profile"),
                        progress -> Profile.ofJson(file.getFileName().toString(), Files.readString(file)),
                        this::setProfile);
    }

    /** Copies a term list into the lane and checks terms by it. */
    public void addTerms(Path file) {
        session.background()
                .run(
                        Strings.text("task.profile"),
                        progress -> {
                            session.lane().references().keepTermList(Source.of(file));
                            return file;
                        },
                        kept -> profileChanged());
    }

    /** What a pattern that is tried found, and where. */
    public record Trial(TrackSnapshot track, Finding finding) {}

    /** Finds what a pattern that is no part of the profile yet would find in the lane, the track in hand first, up to so many. */
    public void tryOut(OwnPattern pattern, int most, Consumer<List<Trial>> shown) {
        List<Track> tracks = new ArrayList<>(session.lane().tracks());
        tracks.remove(session.track());
        tracks.add(0, session.track());
        session.background()
                .run(
                        Strings.text("task.try-pattern"),
                        progress -> {
                            List<Trial> trials = new ArrayList<>();
                            for (Track track : tracks) {
                                int left = most - trials.size();
                                TrackSnapshot now = track.now(progress);
                                CheckRun.found(pattern, now.size(), now::checked, left, progress)
                                        .forEach(finding -> trials.add(new Trial(now, finding)));
                            }
                            return trials;
                        },
                        shown);
    }

    public void saveProfile(Path file) {
        byte[] json = profile.toJson().getBytes(StandardCharsets.UTF_8);
        session.background()
                .run(
                        Strings.text("task.write", file.getFileName().toString()),
                        progress -> {
                            NewFile.write(file, true, out -> out.write(json));
                            return file;
                        },
                        saved -> session.written(Strings.text("checks.profile-saved", saved), saved));
    }

    /** Another track is shown; what was found in it as a part of the lane still holds. */
    void chosen() {
        if (!wholeLane) {
            live.forget();
        }
    }

    /** The track that is shown has been read. */
    void loaded() {
        if (here().isEmpty()) {
            check();
        }
    }

    /** What was found in the track that is shown; empty until it is checked, and where that was cancelled. */
    private Optional<TrackFindings> here() {
        return session.snapshot() == null
                ? Optional.empty()
                : Optional.ofNullable(live.findings().get(session.track()))
                        .filter(found -> found.fit(session.snapshot()));
    }

    /** Whether the track that is shown was checked. */
    public boolean isMade() {
        return here().isPresent();
    }

    /** Checks the track that is shown anew, or the whole lane where that is what is checked. */
    public void check() {
        Track of = session.track();
        if (of == null) {
            return;
        }
        if (wholeLane) {
            checkAll();
            return;
        }
        session.background()
                .run(
                        Strings.text("task.check", of.name()),
                        progress -> {
                            live.check(List.of(of), checks, progress);
                            return of;
                        },
                        done -> session.changed(Topic.FINDINGS));
    }

    /** Checks all files of the lane as one: also what is not the same in two of them is found then. It stays so from now on. */
    public void checkAll() {
        List<Track> tracks = session.lane().tracks();
        session.background()
                .run(
                        Strings.text("task.check-all", tracks.size()),
                        progress -> {
                            live.check(readable(tracks, progress), checks, progress);
                            return tracks;
                        },
                        done -> {
                            wholeLane = true;
                            session.changed(Topic.FINDINGS);
                        });
    }

    /** A file that cannot be read keeps the others from nothing; the board says why it cannot. */
    private static List<Track> readable(List<Track> tracks, Progress progress) {
        List<Track> readable = new ArrayList<>();
        for (Track track : tracks) {
            progress.checkCancelled();
            try {
                track.now(progress);
                readable.add(track);
            } catch (CannotProceedException e) {
                // Said at the track.
                continue;
            }
        }
        return readable;
    }

    /** The findings that are open, in the order of the file. */
    public List<Finding> open() {
        return here().map(TrackFindings::all).orElse(List.of());
    }

    /** How many are open in the track that is shown. */
    public int count() {
        return here().map(TrackFindings::count).orElse(0);
    }

    /** The open findings of one segment. */
    public List<Finding> open(int index) {
        return here().map(found -> found.at(index)).orElse(List.of());
    }

    /** How many findings are open in a file of the lane, as far as it was checked; negative where it was not. */
    public long count(Track track) {
        TrackFindings found = live.findings().get(track);
        return found == null ? -1 : found.count();
    }

    /** What was set aside that concerns the track that is shown. */
    public List<SetAside> setAside() {
        return session.track() == null
                ? List.of()
                : session.lane().findings().of(session.track()).all();
    }

    /** Waits until everything that was done is looked at; for threads that may wait. */
    public void settle() {
        live.settle();
    }

    void close() {
        live.close();
    }

    public void setAside(Finding finding, SetAside.Scope scope, String reason) {
        session.lane()
                .findings()
                .setAside(
                        session.track(),
                        finding,
                        scope,
                        reason,
                        session.lane().settings().person())
                .whenComplete(session::sayFailure);
    }

    public void revoke(String identity) {
        session.lane().findings().revoke(session.track(), identity).whenComplete(session::sayFailure);
    }

    /** What fixing all findings of a kind would write, by segment; where one segment has several, the first is fixed. */
    public Map<Integer, Content> fixes(String check) {
        Map<Integer, Content> fixes = new HashMap<>();
        open().stream().filter(finding -> finding.check().equals(check)).forEach(finding -> finding.suggestion()
                .ifPresent(fixed -> fixes.putIfAbsent(finding.segment(), fixed)));
        return new TreeMap<>(fixes);
    }

    /** Fixes all findings of a kind as one step, which can be undone. */
    public void fixAll(String check) {
        session.editing().setTargets(fixes(check), StepKind.FIXED);
    }

    /** Writes a report of the whole lane, HTML or, by its name, a workbook. */
    public void report(Path file) {
        session.background()
                .run(
                        Strings.text("task.report"),
                        progress -> {
                            new CheckReports(session.lane(), checks)
                                    .write(session.lane().tracks(), file, true, progress);
                            return file;
                        },
                        written -> session.written(Strings.text("checks.reported", written), written));
    }
}
