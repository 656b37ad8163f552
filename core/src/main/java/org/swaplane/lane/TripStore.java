package org.swaplane.lane;

import java.io.IOException;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.swaplane.format.Source;

/** The trips of a lane, and the copies that crossed. */
public final class TripStore {
    private final Database database;
    private final KeptFiles files;
    private final Clock clock;

    TripStore(Database database, KeptFiles files, Clock clock) {
        this.database = database;
        this.files = files;
        this.clock = clock;
    }

    /** All trips, oldest first. */
    public List<Trip> all() {
        return database.query(TripStore::trip, "select * from trip order by sent_at, code");
    }

    public Optional<Trip> find(String code) {
        return database.query(TripStore::trip, "select * from trip where code = ?", code).stream()
                .findFirst();
    }

    /** Remembers that a copy went out, and keeps its bytes. */
    public Trip sent(String code, Track track, String person, Purpose purpose, Source copy) throws IOException {
        String sha256 = files.keep(copy);
        database.update(
                "insert into trip (code, track, person, purpose, sent_at, sent_name, sent_sha256) values (?, ?, ?, ?, ?, ?, ?)",
                code,
                track.id(),
                person,
                purpose.name(),
                clock.instant().toString(),
                copy.name(),
                sha256);
        return find(code).orElseThrow();
    }

    /** The copy as it went out. */
    public Source sentCopy(Trip trip) {
        return files.source(trip.sentName(), trip.sentSha256());
    }

    /** Remembers that a copy came back, and keeps its bytes; a later return of the same trip takes the place of the earlier. */
    public void cameBack(Trip trip, Source copy, int changesTaken, String report) throws IOException {
        String sha256 = files.keep(copy);
        database.update(
                "update trip set back_at = ?, back_name = ?, back_sha256 = ?, changes_taken = ?, report = ? where code = ?",
                clock.instant().toString(),
                copy.name(),
                sha256,
                changesTaken,
                report,
                trip.code());
    }

    /** Adds remarks that came back; the same remark is not added twice. */
    public void addRemarks(long track, List<SegmentRemark> remarks) {
        List<SegmentRemark> known = remarks(track);
        database.updateAll(
                "insert into remark (track, segment, author, date, text, trip) values (?, ?, ?, ?, ?, ?)",
                remarks.stream()
                        .filter(remark -> !known.contains(remark))
                        .map(remark -> new Object[] {
                            track, remark.segment(), remark.author(), remark.date(), remark.text(), remark.trip()
                        })
                        .toList());
    }

    public List<SegmentRemark> remarks(long track) {
        return database.query(
                row -> new SegmentRemark(
                        row.getInt(1), row.getString(2), row.getString(3), row.getString(4), row.getString(5)),
                "select segment, author, date, text, trip from remark where track = ? order by id",
                track);
    }

    private static Trip trip(ResultSet row) throws SQLException {
        Optional<Trip.Back> back = row.getString("back_at").isEmpty()
                ? Optional.empty()
                : Optional.of(new Trip.Back(
                        Instant.parse(row.getString("back_at")),
                        row.getString("back_name"),
                        row.getString("back_sha256"),
                        row.getInt("changes_taken"),
                        row.getString("report")));
        return new Trip(
                row.getString("code"),
                row.getLong("track"),
                row.getString("person"),
                Purpose.valueOf(row.getString("purpose")),
                Instant.parse(row.getString("sent_at")),
                row.getString("sent_name"),
                row.getString("sent_sha256"),
                back);
    }
}
