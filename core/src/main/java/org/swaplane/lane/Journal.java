package org.swaplane.lane;

import com.ibm.icu.lang.UCharacter;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.text.Normalizer;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.swaplane.document.State;
import org.swaplane.effort.Visit;

/**
 * The steps of one track in the lane's database, by the keys of its segments: written at once, undone and redone in order, read again
 * after a restart. All that writes is called within a transaction.
 */
final class Journal {
    private static final String STEP_COLUMNS = "id, kind, who, at, trip";

    private static final String VALUES =
            "target_before, state_before, locked_before, origin_before, target_after, state_after, locked_after, origin_after";

    private final Database database;
    private final long track;
    private final Clock clock;

    Journal(Database database, long track, Clock clock) {
        this.database = database;
        this.track = track;
        this.clock = clock;
    }

    /** How a track was read before a step and after it, for one that changed its segments: options, and numbers of versions. */
    record Reading(String before, String after, int versionBefore, int versionAfter) {}

    /** Adds a step; what had been undone before it cannot be redone any more. */
    Step append(int version, StepKind kind, String who, String trip, Optional<Long> visit, List<Change> changes) {
        return append(version, kind, who, trip, visit, changes, Optional.empty());
    }

    Step append(
            int version,
            StepKind kind,
            String who,
            String trip,
            Optional<Long> visit,
            List<Change> changes,
            Optional<Reading> reading) {
        database.update("update step set undone = 2 where track = ? and undone = 1", track);
        Instant at = clock.instant();
        long id = database.update(
                "insert into step (track, kind, who, at, trip, version, visit, options_before, options_after, version_before)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                track,
                kind.name(),
                who,
                at.toString(),
                trip,
                version,
                visit.orElse(null),
                reading.map(Reading::before).orElse(null),
                reading.map(Reading::after).orElse(null),
                reading.map(Reading::versionBefore).orElse(null));
        database.updateAll(
                "insert into change (step, key, key_before, " + VALUES
                        + ", words) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                changes.stream()
                        .map(change -> new Object[] {
                            id,
                            change.key(),
                            change.keyBefore().equals(change.key()) ? null : change.keyBefore(),
                            ContentCodec.write(change.before().target()),
                            change.before().state().name(),
                            change.before().locked(),
                            change.before().origin().written(),
                            ContentCodec.write(change.after().target()),
                            change.after().state().name(),
                            change.after().locked(),
                            change.after().origin().written(),
                            change.words()
                        })
                        .toList());
        return new Step(id, kind, who, at, trip, changes);
    }

    /** Lets a step of one segment end in another value: typing goes on in the same visit. */
    Step amend(Step step, Value after) {
        Change change = step.changes().get(0);
        database.update(
                "update change set target_after = ?, state_after = ?, origin_after = ? where step = ?",
                ContentCodec.write(after.target()),
                after.state().name(),
                after.origin().written(),
                step.id());
        return new Step(
                step.id(),
                step.kind(),
                step.who(),
                step.at(),
                step.trip(),
                List.of(new Change(change.key(), change.before(), after, change.words())));
    }

    /**
     * Notes a visit to a segment, or how it went on; returns its id.
     *
     * @param words of its source; -1 where they are not known
     * @param empty whether it had no target when the visit began; empty where that is not known
     */
    long visited(
            int version,
            Optional<Long> known,
            String key,
            int words,
            Optional<Boolean> empty,
            String who,
            Visit visit) {
        if (known.isPresent()) {
            database.update(
                    "update visit set ended_at = ?, active_ms = ? where id = ?",
                    visit.ended().toString(),
                    visit.active().toMillis(),
                    known.get());
            return known.get();
        }
        return database.update(
                "insert into visit (track, version, key, who, began_at, ended_at, active_ms, words, target_empty)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?)",
                track,
                version,
                key,
                who,
                visit.began().toString(),
                visit.ended().toString(),
                visit.active().toMillis(),
                words,
                empty.map(each -> each ? 1 : 0).orElse(-1));
    }

    /** A step that can be undone or redone, and how the track is read without it or with it. */
    record Undoable(Step step, Optional<Reading> reading) {}

    /** The steps that hold, newest first, so many. */
    List<Undoable> newest(int most) {
        return undoable("undone = 0", "desc", most);
    }

    /** The step that was undone last. */
    Optional<Undoable> undoneLast() {
        return undoable("undone = 1", "asc", 1).stream().findFirst();
    }

    private List<Undoable> undoable(String which, String order, int most) {
        return database.query(
                row -> new Undoable(step(row), reading(row)),
                "select " + STEP_COLUMNS
                        + ", options_before, options_after, version, version_before from step where track = ? and "
                        + which + " order by id " + order + " limit " + most,
                track);
    }

    private static Optional<Reading> reading(ResultSet row) throws SQLException {
        String before = row.getString("options_before");
        int after = row.getInt("version");
        int versionBefore = row.getInt("version_before");
        return before == null
                ? Optional.empty()
                : Optional.of(new Reading(
                        before, row.getString("options_after"), versionBefore == 0 ? after : versionBefore, after));
    }

    void markUndone(Step step) {
        database.update(
                "update step set undone = 1, undone_at = ? where id = ?",
                clock.instant().toString(),
                step.id());
    }

    void markRedone(Step step) {
        database.update("update step set undone = 0, undone_at = '' where id = ?", step.id());
    }

    private Step step(ResultSet row) throws SQLException {
        long id = row.getLong(1);
        List<Change> changes = database.query(
                Journal::change, "select key, " + VALUES + " from change where step = ? order by rowid", id);
        return new Step(
                id,
                StepKind.valueOf(row.getString(2)),
                row.getString(3),
                Instant.parse(row.getString(4)),
                row.getString(5),
                changes);
    }

    private static Change change(ResultSet row) throws SQLException {
        return new Change(row.getString(1), value(row, 2), value(row, 6));
    }

    private static Value value(ResultSet row, int column) throws SQLException {
        return new Value(
                ContentCodec.read(row.getString(column)),
                State.valueOf(row.getString(column + 1)),
                row.getBoolean(column + 2),
                Origin.of(row.getString(column + 3)));
    }

    /** How the document was read when a version of before was left. */
    String optionsOf(int version) {
        return database.query(
                        row -> row.getString(1),
                        "select options_before from step where track = ? and kind = ? and version_before = ?"
                                + " order by id desc limit 1",
                        track,
                        StepKind.NEW_VERSION.name(),
                        version)
                .get(0);
    }

    /** What each segment of a version that was ever changed holds, by its key. */
    Map<String, Value> replay(int version) {
        return replay(version, Instant.MAX);
    }

    /** The same as it was at a moment, of what holds today. */
    Map<String, Value> replay(int version, Instant moment) {
        Map<String, Value> values = new LinkedHashMap<>();
        // Of the rows of a group, SQLite takes those columns that stand in the row with the greatest one.
        database.query(
                row -> values.put(row.getString(1), value(row, 2)),
                "select key, target_after, state_after, locked_after, origin_after, max(change.rowid) from change"
                        + " join step on step.id = change.step where track = ? and version = ? and undone = 0 and "
                        + SqlInstant.of("at") + " <= ?"
                        + " group by key",
                track,
                version,
                SqlInstant.value(moment));
        return values;
    }

    /** Whether a lane of an earlier version counted this track's segments. */
    boolean isByPosition() {
        return !database.query(
                        row -> 1,
                        "select 1 from change where position is not null"
                                + " and step in (select id from step where track = ?) limit 1",
                        track)
                .isEmpty();
    }

    /** Gives what was counted the keys of the segments that it was about; a negative position was that of a segment which is no more. */
    void useKeys(List<String> keys) {
        List<Integer> positions = database.query(
                row -> row.getInt(1),
                "select distinct position from change where position is not null"
                        + " and step in (select id from step where track = ?)",
                track);
        Map<Integer, String> byPosition = new HashMap<>();
        positions.forEach(position ->
                byPosition.put(position, position >= 0 && position < keys.size() ? keys.get(position) : ""));
        database.updateAll(
                "update change set key = ?, position = null where position = ?"
                        + " and step in (select id from step where track = ?)",
                byPosition.entrySet().stream()
                        .map(entry -> new Object[] {entry.getValue(), entry.getKey(), track})
                        .toList());
    }

    /** What happened to one segment, newest first, through the versions that it was carried over from. */
    List<HistoryEntry> history(int version, String key) {
        List<HistoryEntry> all = new ArrayList<>();
        String known = key;
        for (int number = version; number > 0 && !known.isEmpty(); ) {
            List<Place> earlier = new ArrayList<>(1);
            all.addAll(database.query(
                    row -> {
                        if (row.getString("kind").equals(StepKind.NEW_VERSION.name())) {
                            earlier.add(new Place(row.getInt("version_before"), row.getString("key_before")));
                        }
                        return entry(row);
                    },
                    "select kind, who, at, trip, " + VALUES + ", undone, version_before,"
                            + " coalesce(key_before, key) key_before from change join step on step.id = change.step"
                            + " where track = ? and version = ? and key = ? order by step.id desc",
                    track,
                    number,
                    known));
            if (earlier.isEmpty()) {
                break;
            }
            number = earlier.get(0).version();
            known = earlier.get(0).key();
        }
        return all;
    }

    /** What happened to many segments of one version, each newest first; the journal of the track is gone through once. */
    Map<String, List<HistoryEntry>> histories(int version, Set<String> keys) {
        Map<String, List<HistoryEntry>> all = new HashMap<>();
        database.each(
                row -> {
                    String key = row.getString("key");
                    if (keys.contains(key)) {
                        all.computeIfAbsent(key, any -> new ArrayList<>(2)).add(0, entry(row));
                    }
                },
                "select kind, who, at, trip, " + VALUES + ", undone, key from step join change on change.step = step.id"
                        + " where track = ? and undone = 0 and version = ? order by step.id, change.rowid",
                track,
                version);
        return all;
    }

    /** Code of the trip that brought the text of a segment last, of those that these codes name; segments without are left out. */
    Map<String, String> broughtBy(int version, Set<String> codes) {
        Map<String, String> trips = new HashMap<>();
        database.each(
                row -> {
                    if (codes.contains(row.getString(2))) {
                        trips.put(row.getString(1), row.getString(2));
                    }
                },
                "select key, trip from step join change on change.step = step.id"
                        + " where track = ? and undone = 0 and version = ? and trip <> '' order by step.id",
                track,
                version);
        return trips;
    }

    /** Where a segment stood in an earlier version; an empty key for one that is new. */
    private record Place(int version, String key) {}

    private static HistoryEntry entry(ResultSet row) throws SQLException {
        return new HistoryEntry(
                StepKind.valueOf(row.getString("kind")),
                row.getString("who"),
                Instant.parse(row.getString("at")),
                row.getString("trip"),
                value(row, 5),
                value(row, 9),
                row.getInt("undone") > 0);
    }

    /** Keys of the segments of a version that were changed after a moment. */
    Set<String> changedSince(int version, Instant moment) {
        return Set.copyOf(database.query(
                row -> row.getString(1),
                "select distinct key from change join step on step.id = change.step"
                        + " where track = ? and version = ? and undone = 0 and " + SqlInstant.of("at") + " > ?",
                track,
                version,
                SqlInstant.value(moment)));
    }

    /** Keys of the segments of a version whose target or state was changed after a moment, until another. */
    Set<String> changedBetween(int version, Instant after, Instant until) {
        return Set.copyOf(database.query(
                row -> row.getString(1),
                "select distinct key from change join step on step.id = change.step"
                        + " where track = ? and version = ? and undone = 0 and " + SqlInstant.of("at") + " > ? and "
                        + SqlInstant.of("at") + " <= ?"
                        + " and (target_before <> target_after or state_before <> state_after)",
                track,
                version,
                SqlInstant.value(after),
                SqlInstant.value(until)));
    }

    /** Keys of the segments of a version whose text was last written, and last approved, by one and the same person. */
    Set<String> approvedAlone(int version) {
        return Set.copyOf(database.query(
                row -> row.getString(1),
                "with here as (select change.rowid id, key, who, target_before, target_after, state_before, state_after"
                        + " from change join step on step.id = change.step"
                        + " where track = ? and version = ? and undone = 0),"
                        + " written as (select key, who, max(id) from here where target_before <> target_after group by key),"
                        + " approved as (select key, who, max(id) from here where state_after in ('REVIEWED', 'FINAL')"
                        + " group by key)"
                        + " select written.key from written join approved on written.key = approved.key"
                        + " and written.who = approved.who",
                track,
                version));
    }

    /** Keys of the segments of a version that somebody changed, by a part of the name. */
    Set<String> changedBy(int version, String who) {
        String wanted = folded(who.strip());
        Set<String> keys = new HashSet<>();
        // The database folds the case of ASCII letters only.
        database.query(
                row -> folded(row.getString(2)).contains(wanted) && keys.add(row.getString(1)),
                "select distinct key, who from change join step on step.id = change.step"
                        + " where track = ? and version = ? and undone = 0",
                track,
                version);
        return Set.copyOf(keys);
    }

    private static String folded(String name) {
        return UCharacter.foldCase(Normalizer.normalize(name, Normalizer.Form.NFC), true);
    }

    /** How often and how long somebody was at a segment, oldest first. */
    List<Visit> visits(int version, String key) {
        return database.query(
                row -> new Visit(
                        row.getLong(1),
                        Instant.parse(row.getString(2)),
                        Instant.parse(row.getString(3)),
                        java.time.Duration.ofMillis(row.getLong(4))),
                "select id, began_at, ended_at, active_ms from visit where track = ? and version = ? and key = ? order by id",
                track,
                version,
                key);
    }
}
