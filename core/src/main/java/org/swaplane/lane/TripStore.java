package org.swaplane.lane;

import java.io.IOException;
import java.lang.ref.SoftReference;
import java.security.SecureRandom;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import org.swaplane.document.BilingualDocument;
import org.swaplane.exchange.DueTime;
import org.swaplane.exchange.Rate;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedRow;
import org.swaplane.reviewcopy.ReviewCopyFormats;
import org.swaplane.task.Parallel;
import org.swaplane.task.Progress;

/** The trips of a lane, the copies that crossed, and the remarks that came back. What was written is held in memory as well. */
public final class TripStore implements TrackStore.PositionalData {
    private static final String CODE_ALPHABET = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
    private static final int CODE_LENGTH = 5;

    private final Database database;
    private final ContentStore files;
    private final Clock clock;
    private final LaneWriter writer;
    private final Map<String, SoftReference<BilingualDocument>> sentDocuments = new ConcurrentHashMap<>();
    private final Map<String, SoftReference<List<ReturnedRow>>> sentRows = new ConcurrentHashMap<>();
    private final Map<Long, List<SegmentRemark>> remarks = new ConcurrentHashMap<>();
    private volatile List<Trip> trips;

    TripStore(Database database, ContentStore files, Clock clock, LaneWriter writer) {
        this.database = database;
        this.files = files;
        this.clock = clock;
        this.writer = writer;
        readTrips();
        database.query(row -> row.getLong(1), "select distinct track from remark")
                .forEach(this::readRemarks);
    }

    private void readTrips() {
        trips = List.copyOf(
                database.query(TripStore::trip, "select * from trip order by " + SqlInstant.of("sent_at") + ", code"));
    }

    private void readRemarks(long track) {
        remarks.put(
                track,
                database.query(
                        row -> new SegmentRemark(
                                row.getString(1),
                                row.getString(2),
                                row.getString(3),
                                row.getString(4),
                                row.getString(5)),
                        "select key, author, date, text, trip from remark"
                                + " where track = ? and version = (select version from track where id = remark.track)"
                                + " order by id",
                        track));
    }

    /** All trips, oldest first. */
    public List<Trip> all() {
        return trips;
    }

    /** Those of one track, oldest first. */
    public List<Trip> of(Track track) {
        return trips.stream().filter(trip -> trip.track() == track.id()).toList();
    }

    /** Whether a copy of a track is still away. */
    public boolean isAway(Track track) {
        return of(track).stream().anyMatch(Trip::isAway);
    }

    /** How many copies are away. */
    public int away() {
        return (int) trips.stream().filter(Trip::isAway).count();
    }

    public Optional<Trip> find(String code) {
        return trips.stream().filter(trip -> trip.code().equals(code)).findFirst();
    }

    /** A code for a new trip, in letters and digits that people do not mistake for each other. */
    public String newCode() {
        SecureRandom random = new SecureRandom();
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < CODE_LENGTH; i++) {
            code.append(CODE_ALPHABET.charAt(random.nextInt(CODE_ALPHABET.length())));
        }
        return code.toString();
    }

    /**
     * A copy that goes out.
     *
     * @param words of the sources in it
     */
    record Sending(String code, Track track, String person, SendRequest request, Source copy, int words) {}

    /** Remembers that a copy went out, and keeps its bytes. */
    Trip sent(Sending sending) throws IOException {
        return sent(List.of(sending)).get(0);
    }

    /** The same of several at once. */
    List<Trip> sent(List<Sending> all) throws IOException {
        List<Trip> trips = kept(all);
        LaneWriter.await(writer.submit(transaction -> {
            sent(trips, transaction);
            return null;
        }));
        return trips;
    }

    /** Keeps the bytes of copies, before it is remembered that they went out. */
    List<Trip> kept(List<Sending> all) throws IOException {
        return Parallel.map(all, this::trip, Progress.NONE);
    }

    /** Remembers copies whose bytes were kept, as a part of another change. */
    void sent(List<Trip> trips, LaneTransaction transaction) {
        for (Trip trip : trips) {
            insert(trip);
            record(trip.code(), trip.person(), TripEvent.Kind.SENT, trip.sentName());
            transaction.tell(listener -> listener.tripChanged(trip));
        }
        transaction.afterwards(this::readTrips);
    }

    /** Forgets copies that never went out, as a part of another change. */
    void takeBack(List<Trip> trips, LaneTransaction transaction) {
        for (Trip trip : trips) {
            database.update("delete from trip_event where trip = ?", trip.code());
            database.update("delete from trip where code = ?", trip.code());
            transaction.tell(listener -> listener.tripChanged(trip));
        }
        transaction.afterwards(this::readTrips);
    }

    private Trip trip(Sending sending) throws IOException {
        return new Trip(
                sending.code(),
                sending.track().id(),
                sending.person(),
                sending.request().purpose(),
                clock.instant(),
                sending.copy().name(),
                files.keep(sending.copy()),
                sending.request().due(),
                sending.words(),
                Optional.empty(),
                false,
                sending.track().version().number(),
                Optional.ofNullable(sending.request().rates().get(sending.person())));
    }

    private void insert(Trip trip) {
        database.update(
                "insert into trip (code, track, person, purpose, sent_at, sent_name, sent_sha256, due, words, version, rate)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                trip.code(),
                trip.track(),
                trip.person(),
                trip.purpose().name(),
                trip.sentAt().toString(),
                trip.sentName(),
                trip.sentSha256(),
                trip.due().map(DueTime::toString).orElse(""),
                trip.words(),
                trip.version(),
                trip.rate().map(Rate::toString).orElse(""));
    }

    /** Has a copy not waited for any more. */
    public CompletableFuture<Void> withdraw(Trip trip) {
        return writer.submit(transaction -> {
            database.update("update trip set withdrawn = 1 where code = ?", trip.code());
            record(trip.code(), trip.person(), TripEvent.Kind.WITHDRAWN, "");
            changed(trip, transaction);
            return null;
        });
    }

    /** Remembers that the recipient was reminded. */
    public CompletableFuture<Void> reminded(Trip trip) {
        return writer.submit(transaction -> {
            record(trip.code(), trip.person(), TripEvent.Kind.REMINDED, "");
            changed(trip, transaction);
            return null;
        });
    }

    private void record(String trip, String who, TripEvent.Kind kind, String detail) {
        database.update(
                "insert into trip_event (trip, at, who, kind, detail) values (?, ?, ?, ?, ?)",
                trip,
                clock.instant().toString(),
                who,
                kind.name(),
                detail);
    }

    /** All that happened to the trips of the lane, oldest first. */
    public List<TripEvent> events() {
        return database.query(
                row -> new TripEvent(
                        row.getString(1),
                        Instant.parse(row.getString(2)),
                        row.getString(3),
                        TripEvent.Kind.valueOf(row.getString(4)),
                        row.getString(5)),
                "select trip, at, who, kind, detail from trip_event order by " + SqlInstant.of("at") + ", id");
    }

    private void changed(Trip trip, LaneTransaction transaction) {
        transaction.afterwards(this::readTrips);
        transaction.tell(listener -> listener.tripChanged(trip));
    }

    /** The copy as it went out. */
    public Source sentCopy(Trip trip) {
        return files.source(trip.sentName(), trip.sentSha256());
    }

    /** Whether a trip went out as a review copy, and not as the file itself; looked at once. */
    boolean isReviewCopy(Trip trip, ReviewCopyFormats formats) throws IOException {
        return !sentRows(trip, formats).isEmpty();
    }

    /** The rows of a review copy that went out; none of the file itself. Read once as long as there is memory for it. */
    List<ReturnedRow> sentRows(Trip trip, ReviewCopyFormats formats) throws IOException {
        SoftReference<List<ReturnedRow>> known = sentRows.get(trip.code());
        List<ReturnedRow> rows = known == null ? null : known.get();
        if (rows == null) {
            rows = formats.find(sentCopy(trip)).map(ReturnedCopy::rows).orElse(List.of());
            sentRows.put(trip.code(), new SoftReference<>(rows));
        }
        return rows;
    }

    /** Reads a bilingual copy that went out. */
    interface CopyReader {
        BilingualDocument read(Source copy, Progress progress) throws IOException;
    }

    /** The copy that went out as it reads; read once as long as there is memory for it. */
    BilingualDocument sentDocument(Trip trip, CopyReader reader, Progress progress) throws IOException {
        SoftReference<BilingualDocument> known = sentDocuments.get(trip.code());
        BilingualDocument document = known == null ? null : known.get();
        if (document == null) {
            document = reader.read(sentCopy(trip), progress);
            sentDocuments.put(trip.code(), new SoftReference<>(document));
        }
        return document;
    }

    /** The copy that came back of a trip. */
    Source returnedCopy(Trip trip) {
        Trip.Back back = trip.back().orElseThrow();
        return files.source(back.name(), back.sha256());
    }

    /** Keeps the bytes of a copy that came back; returns their SHA-256. */
    String keep(Source copy) throws IOException {
        return files.keep(copy);
    }

    /**
     * Remembers that a copy came back, and its remarks, as a part of taking it; a later return of the same trip takes the place of the
     * earlier.
     */
    void cameBack(
            Trip trip,
            String name,
            String sha256,
            int changesTaken,
            String report,
            List<SegmentRemark> brought,
            LaneTransaction transaction) {
        Trip.Back back = new Trip.Back(clock.instant(), name, sha256, changesTaken, report);
        database.update(
                "update trip set back_at = ?, back_name = ?, back_sha256 = ?, changes_taken = ?, report = ? where code = ?",
                back.at().toString(),
                name,
                sha256,
                changesTaken,
                report,
                trip.code());
        record(trip.code(), trip.person(), TripEvent.Kind.RETURNED, name);
        record(trip.code(), trip.person(), TripEvent.Kind.ACCEPTED, String.valueOf(changesTaken));
        List<SegmentRemark> known = new ArrayList<>(remarks(trip.track()));
        List<Object[]> rows = new ArrayList<>();
        for (SegmentRemark remark : brought) {
            if (!known.contains(remark)) {
                known.add(remark);
                rows.add(new Object[] {
                    trip.track(), remark.key(), remark.author(), remark.date(), remark.text(), remark.trip()
                });
            }
        }
        database.updateAll(
                "insert into remark (track, key, author, date, text, trip, version)"
                        + " values (?, ?, ?, ?, ?, ?, (select version from track where id = ?1))",
                rows);
        transaction.afterwards(() -> readRemarks(trip.track()));
        changed(trip.with(back), transaction);
    }

    /** The remarks about segments of a track, oldest first. */
    public List<SegmentRemark> remarks(long track) {
        return remarks.getOrDefault(track, List.of());
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
                DueTime.parse(row.getString("due")),
                row.getInt("words"),
                back,
                row.getInt("withdrawn") != 0,
                row.getInt("version"),
                Rate.parse(row.getString("rate")));
    }

    @Override
    public void versionChanged(Track track) {
        readRemarks(track.id());
    }

    /** Has remarks follow their segments into another version; within a transaction. */
    void carryRemarks(Track track, SourceVersion version, Map<String, String> keys) {
        database.updateAll(
                "insert into remark (track, key, author, date, text, trip, version)"
                        + " select track, ?, author, date, text, trip, ? from remark"
                        + " where track = ? and key = ? and version = ?",
                remarks(track.id()).stream()
                        .map(SegmentRemark::key)
                        .distinct()
                        .filter(key -> key.isEmpty() || keys.containsKey(key))
                        .map(key -> new Object[] {
                            key.isEmpty() ? key : keys.get(key),
                            version.number(),
                            track.id(),
                            key,
                            track.version().number()
                        })
                        .toList());
    }

    @Override
    public boolean isByPosition(Track track) {
        return !database.query(
                        row -> 1, "select 1 from remark where track = ? and position is not null limit 1", track.id())
                .isEmpty();
    }

    @Override
    public void useKeys(TrackSnapshot snapshot) {
        long track = snapshot.track().id();
        List<Integer> positions = database.query(
                row -> row.getInt(1),
                "select distinct position from remark where track = ? and position is not null",
                track);
        for (int position : positions) {
            database.update(
                    "update remark set key = ?, position = null where track = ? and position = ?",
                    snapshot.keyAt(position),
                    track,
                    position);
        }
        readRemarks(track);
    }
}
