package org.swaplane.lane;

import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.swaplane.check.Finding;

/** The findings that people set aside. */
public final class FindingStore {
    /** Decisions made in this track, in other versions of its file, and for the whole lane. */
    private static final String CONCERNED =
            "(track = ? or track in (select id from track where name = ?) or identity like 'texts:%')";

    private final Database database;
    private final Clock clock;

    FindingStore(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    public void setAside(Track track, Finding finding, SetAside.Scope scope, String reason, String who) {
        database.update(
                "insert or replace into set_aside values (?, ?, ?, ?, ?, ?, ?, ?)",
                track.id(),
                scope.identity(finding),
                finding.segment(),
                finding.check(),
                finding.message(),
                reason,
                who,
                clock.instant().toString());
    }

    /** Lets the finding come back, wherever it was set aside. */
    public void revoke(Track track, String identity) {
        database.update(
                "delete from set_aside where identity = ? and " + CONCERNED, identity, track.id(), track.name());
    }

    /** What was set aside that concerns a track: in it, in an earlier version of its file, or everywhere. */
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
                "select identity, segment, check_id, message, reason, who, at from set_aside where " + CONCERNED
                        + " order by segment",
                track.id(),
                track.name());
    }

    /** The findings that nobody set aside. */
    public List<Finding> open(Track track, List<Finding> findings) {
        Map<String, SetAside> aside = byIdentity(track);
        return findings.stream()
                .filter(finding -> decision(finding, aside).isEmpty())
                .toList();
    }

    /** What was decided about findings that are set aside, by finding. */
    public Map<Finding, SetAside> decided(Track track, List<Finding> findings) {
        Map<String, SetAside> aside = byIdentity(track);
        Map<Finding, SetAside> decided = new LinkedHashMap<>();
        findings.forEach(finding -> decision(finding, aside).ifPresent(each -> decided.put(finding, each)));
        return decided;
    }

    private Map<String, SetAside> byIdentity(Track track) {
        return all(track).stream().collect(Collectors.toMap(SetAside::identity, each -> each, (one, other) -> one));
    }

    private static Optional<SetAside> decision(Finding finding, Map<String, SetAside> aside) {
        if (aside.isEmpty()) {
            return Optional.empty();
        }
        return Stream.concat(
                        Arrays.stream(SetAside.Scope.values()).map(scope -> scope.identity(finding)),
                        Stream.of(finding.identity()))
                .map(aside::get)
                .filter(Objects::nonNull)
                .findFirst();
    }
}
