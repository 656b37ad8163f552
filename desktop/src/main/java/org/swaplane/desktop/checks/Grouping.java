package org.swaplane.desktop.checks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.swaplane.check.CheckIds;
import org.swaplane.check.Finding;
import org.swaplane.check.Severity;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Track;
import org.swaplane.wording.Wording;

/** What findings are grouped by. */
enum Grouping {
    CHECK,
    SEVERITY,
    FILE;

    /**
     * A group in the list on the left.
     *
     * @param holds which of the open findings of the track in hand are in it
     * @param track that it is about where groups are files; null otherwise
     */
    record Group(String id, String words, long count, Predicate<Finding> holds, Track track) {
        private static Group of(String id, String words, List<Finding> open, Predicate<Finding> holds) {
            return new Group(id, words, open.stream().filter(holds).count(), holds, null);
        }
    }

    static final String ALL = "all";

    List<Group> groups(LaneSession session, List<Finding> open) {
        List<Group> groups = new ArrayList<>();
        if (this == FILE) {
            for (Track track : session.lane().tracks()) {
                boolean here = track == session.track();
                long count = here ? open.size() : session.checking().count(track);
                groups.add(new Group("file-" + track.id(), track.name(), count, finding -> true, track));
            }
            return groups;
        }
        groups.add(Group.of(ALL, Strings.text("check.all"), open, finding -> true));
        if (this == SEVERITY) {
            for (Severity severity : Severity.values()) {
                String name = severity.name().toLowerCase(Locale.ROOT);
                groups.add(Group.of(
                        name,
                        Strings.text("checks.severity." + name),
                        open,
                        finding -> finding.severity() == severity));
            }
            return groups;
        }
        var counts = open.stream().collect(Collectors.groupingBy(Finding::check, TreeMap::new, Collectors.counting()));
        CheckIds.ALL.stream()
                .filter(counts::containsKey)
                .forEach(check ->
                        groups.add(Group.of(check, Wording.text("check-name." + check), open, finding -> finding.check()
                                .equals(check))));
        return groups;
    }

    static Function<Grouping, String> words() {
        return each -> Strings.text("checks.by." + each.name().toLowerCase(Locale.ROOT));
    }
}
