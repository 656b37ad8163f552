package org.swaplane.lane;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.concurrent.ForkJoinPool;
import org.swaplane.check.CheckRun;
import org.swaplane.check.DocumentCheck;
import org.swaplane.check.Finding;
import org.swaplane.task.Progress;

/**
 * Tracks that are checked as one: what was found in each, and what was done to them since. Used by one thread at a time; steps may
 * come from another.
 */
final class CheckScope {
    private final List<Track> tracks;
    private final FindingStore decisions;
    private final List<TrackSnapshot> snapshots = new ArrayList<>();
    private final List<Integer> firsts = new ArrayList<>();
    private final CheckRun checks;
    private DocumentCheck check;
    private final Map<Track, Overlay<List<Finding>>> found = new HashMap<>();
    private final Map<Track, TrackFindings> open = new LinkedHashMap<>();

    /** Steps that were not looked at yet; guarded by itself. */
    private final Map<Track, Steps> waiting = new HashMap<>();

    private volatile boolean outdated;

    /** Where a track changed since it was looked at, and what it is now. */
    private static final class Steps {
        private TrackSnapshot now;
        private final TreeSet<Integer> positions = new TreeSet<>();
    }

    /** Nothing is checked yet, but steps are noted from now on. */
    CheckScope(List<Track> tracks, CheckRun checks, FindingStore decisions) {
        this.tracks = List.copyOf(tracks);
        this.checks = checks;
        this.decisions = decisions;
    }

    private int trackAt(int position) {
        int low = 0;
        int high = firsts.size() - 1;
        while (low < high) {
            int middle = (low + high + 1) / 2;
            if (firsts.get(middle) <= position) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }

    List<Track> tracks() {
        return tracks;
    }

    /** Reads the tracks where that was not done, and checks all of them as they are then. */
    void run(Progress progress, ForkJoinPool pool) {
        int size = 0;
        for (Track track : tracks) {
            progress.checkCancelled();
            TrackSnapshot snapshot = track.now(progress);
            snapshots.add(snapshot);
            firsts.add(size);
            size += snapshot.size();
            found.put(track, Overlay.over(snapshot.size()));
            open.put(track, TrackFindings.none(snapshot));
        }
        check = checks.over(size, position -> {
            int at = trackAt(position);
            return snapshots.get(at).checked(position - firsts.get(at));
        });
        Map<Integer, List<Finding>> all = new HashMap<>();
        check.run(progress, pool, all::put);
        put(all);
    }

    /** By position in the whole. */
    private void put(Map<Integer, List<Finding>> findings) {
        Map<Track, Map<Integer, List<Finding>>> byTrack = new LinkedHashMap<>();
        findings.forEach((position, here) -> {
            int at = trackAt(position);
            byTrack.computeIfAbsent(tracks.get(at), none -> new HashMap<>()).put(position - firsts.get(at), here);
        });
        byTrack.forEach((track, own) -> {
            found.put(track, found.get(track).with(own));
            Decisions decided = decisions.of(track);
            Map<Integer, List<Finding>> ownOpen = new HashMap<>();
            own.forEach((position, here) -> ownOpen.put(position, decided.open(here)));
            open.put(track, open.get(track).with(ownOpen));
        });
    }

    /** Notes a step; may be called by any thread. */
    void stepped(TrackSnapshot now, Step step) {
        if (tracks.contains(now.track())) {
            synchronized (waiting) {
                Steps steps = waiting.computeIfAbsent(now.track(), none -> new Steps());
                steps.now = now;
                steps.positions.addAll(step.positions(now));
            }
        }
    }

    /** Segments of a track count otherwise now: what was found says nothing any more. May be called by any thread. */
    void reread(Track track) {
        outdated |= tracks.contains(track);
    }

    boolean isOutdated() {
        return outdated;
    }

    /** Checks what changed, and what depends on it; whether there was any. */
    boolean follow() {
        Collection<Steps> steps;
        synchronized (waiting) {
            steps = List.copyOf(waiting.values());
            waiting.clear();
        }
        TreeSet<Integer> changed = new TreeSet<>();
        for (Steps each : steps) {
            int at = tracks.indexOf(each.now.track());
            if (each.now.read() != snapshots.get(at).read()) {
                outdated = true;
                return true;
            }
            snapshots.set(at, each.now);
            each.positions.forEach(position -> changed.add(firsts.get(at) + position));
        }
        if (!changed.isEmpty()) {
            put(check.recheck(changed));
        }
        return !steps.isEmpty();
    }

    /** Somebody set findings aside or reopened them. */
    void decided() {
        for (Track track : tracks) {
            Decisions decided = decisions.of(track);
            Map<Integer, List<Finding>> all = new HashMap<>();
            found.get(track).forEach((position, here) -> all.put(position, decided.open(here)));
            open.put(track, open.get(track).with(all));
        }
    }

    /** What is open in each track now. */
    Map<Track, TrackFindings> open() {
        return Map.copyOf(open);
    }
}
