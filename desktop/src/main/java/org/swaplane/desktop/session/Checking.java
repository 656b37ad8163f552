package org.swaplane.desktop.session;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.swaplane.check.CheckMaterial;
import org.swaplane.check.CheckRun;
import org.swaplane.check.DocumentCheck;
import org.swaplane.check.Finding;
import org.swaplane.check.OwnPattern;
import org.swaplane.check.Profile;
import org.swaplane.content.Content;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.lane.CheckReports;
import org.swaplane.lane.SetAside;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** The checks of the lane's profile over the track in hand: what they found, and what people do about it. */
public final class Checking {
    private final LaneSession session;
    private final Map<Integer, List<Finding>> findings = new TreeMap<>();
    private Profile profile;
    /** Set by the work in the background that reads the files of the profile; whatever waits behind it checks by it. */
    private volatile CheckRun checks;

    private Optional<DocumentCheck> document = Optional.empty();
    /** Asked for by many views after each change; null when it must be found out anew. */
    private List<Finding> open;
    /** What was found in each file when all were checked as one, by track. */
    private Map<Long, List<Finding>> everywhere = Map.of();

    /** What was found when a track was chosen. */
    record Prepared(DocumentCheck document, Map<Integer, List<Finding>> findings) {}

    Checking(LaneSession session) {
        this.session = session;
        readProfile();
    }

    /** Takes the lane's profile as it is now; the files that it names are read before anything else is checked. */
    void readProfile() {
        try {
            profile = session.lane().profile();
        } catch (CannotProceedException e) {
            profile = Profile.DEFAULT;
            session.say(Message.Tone.FAILED, e.getMessage());
        }
        Profile asked = profile.withTerms(List.of()).withDictionaries(Map.of());
        if (asked.equals(profile)) {
            checks = CheckRun.of(profile, CheckMaterial.NONE);
            return;
        }
        // What cannot be read is said; the other checks are made all the same.
        session.background()
                .run(
                        Strings.say("task.profile"),
                        progress -> {
                            checks = CheckRun.of(asked, CheckMaterial.NONE);
                            checks = session.lane().checks();
                            return checks;
                        },
                        read -> {});
    }

    /** The checks as the profile has them. */
    public CheckRun checks() {
        return checks;
    }

    public Profile profile() {
        return profile;
    }

    /** Makes this the lane's profile and checks everything by it. */
    public void setProfile(Profile other) {
        if (!other.equals(profile)) {
            session.lane().setProfile(other);
            profileChanged();
        }
    }

    /** Checks everything anew by what the lane's profile is now. */
    void profileChanged() {
        readProfile();
        everywhere = Map.of();
        if (session.track() != null) {
            session.check(session.track());
        }
    }

    public void loadProfile(Path file) {
        session.background()
                .run(
                        Strings.say("task.profile"),
                        progress -> Profile.ofJson(file.getFileName().toString(), Files.readString(file)),
                        this::setProfile);
    }

    /** Copies a term list into the lane and checks terms by it. */
    public void addTerms(Path file) {
        session.background()
                .run(
                        Strings.say("task.profile"),
                        progress -> {
                            session.lane().keepTermList(Source.of(file));
                            return file;
                        },
                        kept -> profileChanged());
    }

    /** What a pattern that is tried found, and where. */
    public record Trial(Track track, Finding finding) {}

    /** Finds what a pattern that is no part of the profile yet would find in the lane, the track in hand first, up to so many. */
    public void tryOut(OwnPattern pattern, int most, Consumer<List<Trial>> shown) {
        List<Track> tracks = new ArrayList<>(session.lane().tracks());
        tracks.remove(session.track());
        tracks.add(0, session.track());
        session.background()
                .run(
                        Strings.say("task.try-pattern"),
                        progress -> {
                            List<Trial> trials = new ArrayList<>();
                            for (Track track : tracks) {
                                int left = most - trials.size();
                                CheckRun.found(pattern, track.size(), track::checked, left, progress)
                                        .forEach(finding -> trials.add(new Trial(track, finding)));
                            }
                            return trials;
                        },
                        shown);
    }

    public void saveProfile(Path file) {
        byte[] json = profile.toJson().getBytes(StandardCharsets.UTF_8);
        session.background()
                .run(
                        Strings.say("task.write", file.getFileName().toString()),
                        progress -> {
                            NewFile.write(file, true, out -> out.write(json));
                            return file;
                        },
                        saved -> session.say(Message.Tone.DONE, Strings.say("checks.profile-saved", saved)));
    }

    void forget() {
        open = null;
        findings.clear();
        document = Optional.empty();
    }

    Prepared prepare(Track track, Progress progress) {
        DocumentCheck whole = checks.over(track.size(), track::checked);
        Map<Integer, List<Finding>> found = new TreeMap<>();
        whole.run(progress, found::put);
        return new Prepared(whole, found);
    }

    void show(Prepared prepared) {
        open = null;
        document = Optional.of(prepared.document());
        findings.clear();
        findings.putAll(prepared.findings());
        addAcrossFiles();
    }

    /** What is not the same as in another file is found only when all are checked as one. */
    private void addAcrossFiles() {
        open = null;
        everywhere.getOrDefault(session.track().id(), List.of()).stream()
                .filter(finding -> finding.check().startsWith("inconsistent"))
                .forEach(finding -> {
                    List<Finding> here = new ArrayList<>(findings.getOrDefault(finding.segment(), List.of()));
                    if (!here.contains(finding)) {
                        here.add(finding);
                        findings.put(finding.segment(), here);
                    }
                });
    }

    /** Checks segments again that changed, and all that depend on them. */
    void again(Track of, Collection<Integer> segments) {
        if (of != session.track()) {
            return;
        }
        open = null;
        document.map(whole -> whole.again(segments))
                .ifPresent(again -> again.forEach((index, found) -> {
                    if (found.isEmpty()) {
                        findings.remove(index);
                    } else {
                        findings.put(index, found);
                    }
                }));
    }

    /** Whether the track in hand was checked; not before the first time, and not where that was cancelled. */
    public boolean isMade() {
        return document.isPresent();
    }

    /** Checks the track in hand anew. */
    public void check() {
        session.check(session.track());
    }

    /** The findings that are open, in the order of the file. */
    public List<Finding> open() {
        if (session.track() == null) {
            return List.of();
        }
        if (open == null) {
            List<Finding> all = findings.values().stream().flatMap(List::stream).toList();
            open = session.lane().findings().open(session.track(), all);
        }
        return open;
    }

    /** The open findings of one segment. */
    public List<Finding> open(int index) {
        List<Finding> here = findings.getOrDefault(index, List.of());
        return here.isEmpty() ? here : session.lane().findings().open(session.track(), here);
    }

    /** How many findings are open in a file of the lane, as far as all were checked; negative where they were not. */
    public long countElsewhere(Track track) {
        List<Finding> found = everywhere.get(track.id());
        return found == null ? -1 : session.lane().findings().open(track, found).size();
    }

    /** Checks all files of the lane as one: also what is not the same in two of them is found then. */
    public void checkAll() {
        List<Track> tracks = session.lane().tracks();
        session.background()
                .run(Strings.say("task.check-all", tracks.size()), progress -> all(tracks, progress), found -> {
                    everywhere = found;
                    if (session.track() != null) {
                        addAcrossFiles();
                    }
                    session.changed();
                });
    }

    private Map<Long, List<Finding>> all(List<Track> tracks, Progress progress) {
        List<Integer> firsts = new ArrayList<>();
        int size = 0;
        for (Track track : tracks) {
            firsts.add(size);
            size += track.size();
        }
        Map<Long, List<Finding>> found = new HashMap<>();
        tracks.forEach(track -> found.put(track.id(), new ArrayList<>()));
        checks.over(size, position -> {
                    int at = trackAt(firsts, position);
                    return tracks.get(at).checked(position - firsts.get(at));
                })
                .run(progress, (position, here) -> found.get(
                                tracks.get(trackAt(firsts, position)).id())
                        .addAll(here));
        return found;
    }

    private static int trackAt(List<Integer> firsts, int position) {
        int at = firsts.size() - 1;
        while (firsts.get(at) > position) {
            at--;
        }
        return at;
    }

    public void setAside(Finding finding, SetAside.Scope scope, String reason) {
        open = null;
        session.lane()
                .findings()
                .setAside(
                        session.track(), finding, scope, reason, session.lane().person());
        session.changed();
    }

    public void revoke(String identity) {
        open = null;
        session.lane().findings().revoke(session.track(), identity);
        session.changed();
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
                        Strings.say("task.report"),
                        progress -> {
                            new CheckReports(session.lane(), checks)
                                    .write(session.lane().tracks(), file, true, progress);
                            return file;
                        },
                        written -> session.say(Message.Tone.DONE, Strings.say("checks.reported", written)));
    }
}
