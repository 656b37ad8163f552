package org.swaplane.lane;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.swaplane.check.Finding;

/** The findings that people set aside. */
public final class FindingStore {
    private final Database database;
    private final Clock clock;

    FindingStore(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    public void setAside(Track track, Finding finding, String reason, String who) {
        database.update(
                "insert or replace into set_aside values (?, ?, ?, ?, ?, ?, ?, ?)",
                track.id(),
                finding.identity(),
                finding.segment(),
                finding.check(),
                finding.message(),
                reason,
                who,
                clock.instant().toString());
    }

    /** Lets the finding come back. */
    public void revoke(Track track, String identity) {
        database.update("delete from set_aside where track = ? and identity = ?", track.id(), identity);
    }

    public List<SetAside> all(Track track) {
        return database.query(
                row -> new SetAside(
                        row.getString(1),
                        row.getInt(2),
                        row.getString(3),
                        row.getString(4),
                        row.getString(5),
                        row.getString(6),
                        Instant.parse(row.getString(7))),
                "select identity, segment, check_id, message, reason, who, at from set_aside where track = ? order by segment",
                track.id());
    }

    /** The findings that nobody set aside. */
    public List<Finding> open(Track track, List<Finding> findings) {
        Set<String> aside = all(track).stream().map(SetAside::identity).collect(Collectors.toSet());
        return findings.stream()
                .filter(finding -> !aside.contains(finding.identity()))
                .toList();
    }
}
