package org.swaplane.lane;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.swaplane.release.ReleasedFile;

/**
 * What became of one file between two releases.
 *
 * @param segments keys of those whose target or state was changed in between, where both releases have the file
 */
public record ReleaseDifference(String path, long track, Outcome outcome, Set<String> segments) {
    public enum Outcome {
        SAME,
        CHANGED,
        ADDED,
        LEFT_OUT
    }

    /** The files of the later release, then those that only the earlier one has. */
    public static List<ReleaseDifference> between(Lane lane, Release earlier, Release later) {
        Map<String, ReleaseStore.Entry> before = lane.releases().files(earlier).stream()
                .collect(Collectors.toMap(ReleaseDifference::identity, Function.identity(), (one, other) -> one));
        List<ReleaseDifference> all = new ArrayList<>();
        for (ReleaseStore.Entry now : lane.releases().files(later)) {
            ReleaseStore.Entry was = before.remove(identity(now));
            ReleasedFile file = now.file();
            if (was == null) {
                all.add(new ReleaseDifference(file.path(), now.track(), Outcome.ADDED, Set.of()));
            } else if (was.file().sha256().equals(file.sha256())) {
                all.add(new ReleaseDifference(file.path(), now.track(), Outcome.SAME, Set.of()));
            } else {
                Set<String> changed = lane.track(now.track()).changedBetween(earlier.at(), later.at());
                all.add(new ReleaseDifference(file.path(), now.track(), Outcome.CHANGED, new TreeSet<>(changed)));
            }
        }
        before.values()
                .forEach(each ->
                        all.add(new ReleaseDifference(each.file().path(), each.track(), Outcome.LEFT_OUT, Set.of())));
        return all;
    }

    /** A file is the same one whatever it was called. */
    private static String identity(ReleaseStore.Entry entry) {
        return entry.track() + "/" + entry.file().form();
    }
}
