package org.swaplane.lane;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.swaplane.document.State;

/** The steps of one track in the lane's database: written at once, undone and redone in order, read again after a restart. */
final class Journal {
    private static final String STEP_COLUMNS = "id, kind, who, at, trip";

    private static final String VALUES =
            "target_before, state_before, locked_before, target_after, state_after, locked_after";

    private final Database database;
    private final long track;
    private final Clock clock;

    Journal(Database database, long track, Clock clock) {
        this.database = database;
        this.track = track;
        this.clock = clock;
    }

    /** Commits a step; what had been undone before it cannot be redone any more. */
    Step append(StepKind kind, String who, String trip, List<Change> changes, List<String> keys) {
        return database.transaction(() -> {
            database.update("update step set undone = 2 where track = ? and undone = 1", track);
            Instant at = clock.instant();
            long id = database.update(
                    "insert into step (track, kind, who, at, trip) values (?, ?, ?, ?, ?)",
                    track,
                    kind.name(),
                    who,
                    at.toString(),
                    trip);
            insertChanges(id, changes, keys);
            return new Step(id, kind, who, at, trip, changes);
        });
    }

    /**
     * Counts the segments anew after some were joined or split; to be called within a transaction.
     *
     * @param first of the segments that are no more
     * @param count of those
     * @param instead how many stand in their place
     * @param changes what these hold, in a step that cannot be undone
     */
    void recut(int first, int count, int instead, String who, List<Change> changes, List<String> keys) {
        // None of what was undone can be done again: it may be about segments that are no more.
        database.update("update step set undone = 2 where track = ? and undone = 1", track);
        for (String table : List.of("change", "remark", "set_aside")) {
            String own = table.equals("change") ? "step in (select id from step where track = ?)" : "track = ?";
            int gone = table.equals("change") ? -1 : first;
            database.update(
                    "update " + table + " set segment = ? where segment >= ? and segment < ? and " + own,
                    gone,
                    first,
                    first + count,
                    track);
            database.update(
                    "update " + table + " set segment = segment + ? where segment >= ? and " + own,
                    instead - count,
                    first + count,
                    track);
        }
        long step = database.update(
                "insert into step (track, kind, who, at, trip) values (?, ?, ?, ?, '')",
                track,
                StepKind.RECUT.name(),
                who,
                clock.instant().toString());
        insertChanges(step, changes, keys);
    }

    private void insertChanges(long step, List<Change> changes, List<String> keys) {
        List<Object[]> rows = new java.util.ArrayList<>();
        for (int i = 0; i < changes.size(); i++) {
            Change change = changes.get(i);
            rows.add(new Object[] {
                step,
                change.segment(),
                keys.get(i),
                ContentCodec.write(change.before().target()),
                change.before().state().name(),
                ContentCodec.write(change.after().target()),
                change.after().state().name(),
                change.before().locked(),
                change.after().locked()
            });
        }
        database.updateAll("insert into change values (?, ?, ?, ?, ?, ?, ?, ?, ?)", rows);
    }

    /** Lets the newest step end in another value: typing goes on in the same visit to a segment. */
    void amend(Step step, Value after) {
        database.update(
                "update change set target_after = ?, state_after = ? where step = ?",
                ContentCodec.write(after.target()),
                after.state().name(),
                step.id());
    }

    /** Marks the newest step as undone and returns it. */
    Optional<Step> undo() {
        return mark("undone = 0 and kind <> 'RECUT'", "desc", 1);
    }

    /** Takes the mark off the step that was undone last and returns it. */
    Optional<Step> redo() {
        return mark("undone = 1", "asc", 0);
    }

    private Optional<Step> mark(String which, String order, int undone) {
        return database.transaction(() -> {
            Optional<Step> step = peek(which, order);
            step.ifPresent(found -> database.update("update step set undone = ? where id = ?", undone, found.id()));
            return step;
        });
    }

    private Optional<Step> peek(String which, String order) {
        return database
                .query(
                        this::step,
                        "select " + STEP_COLUMNS + " from step where track = ? and " + which + " order by id " + order
                                + " limit 1",
                        track)
                .stream()
                .findFirst();
    }

    private Step step(ResultSet row) throws SQLException {
        long id = row.getLong(1);
        List<Change> changes = database.query(
                Journal::change, "select segment, " + VALUES + " from change where step = ? order by rowid", id);
        return new Step(
                id,
                StepKind.valueOf(row.getString(2)),
                row.getString(3),
                Instant.parse(row.getString(4)),
                row.getString(5),
                changes);
    }

    private static Change change(ResultSet row) throws SQLException {
        return new Change(row.getInt(1), value(row, 2), value(row, 5));
    }

    private static Value value(ResultSet row, int column) throws SQLException {
        return new Value(
                ContentCodec.read(row.getString(column)),
                State.valueOf(row.getString(column + 1)),
                row.getBoolean(column + 2));
    }

    /** Every change that holds, oldest first. */
    void replay(Consumer<Change> consumer) {
        database.query(
                        Journal::change,
                        "select segment, " + VALUES + " from change"
                                + " join step on step.id = change.step where track = ? and undone = 0"
                                + " order by step.id, change.rowid",
                        track)
                .forEach(consumer);
    }

    /** What happened to one segment, newest first. */
    List<HistoryEntry> history(int segment) {
        return database.query(
                row -> new HistoryEntry(
                        StepKind.valueOf(row.getString(1)),
                        row.getString(2),
                        Instant.parse(row.getString(3)),
                        row.getString(4),
                        value(row, 5),
                        value(row, 8),
                        row.getInt(11) > 0),
                "select kind, who, at, trip, " + VALUES + ", undone from change"
                        + " join step on step.id = change.step where track = ? and segment = ? order by step.id desc",
                track,
                segment);
    }
}
