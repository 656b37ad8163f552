package org.swaplane.lane;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import org.swaplane.release.ReleaseForm;
import org.swaplane.release.ReleasedFile;

/** The lane's releases, and the conditions that somebody waived. */
public final class ReleaseStore {
    private static final String COLUMNS =
            "select number, at, who, place, sha256, files, segments, words, reason, receipt from release";

    private final Database database;
    private final Clock clock;
    private final LaneWriter writer;

    ReleaseStore(Database database, Clock clock, LaneWriter writer) {
        this.database = database;
        this.clock = clock;
        this.writer = writer;
    }

    /** A file of a release with the track that it was made of. */
    public record Entry(long track, int version, ReleasedFile file) {}

    /** Newest first. */
    public List<Release> all() {
        return database.query(ReleaseStore::release, COLUMNS + " order by number desc");
    }

    public Optional<Release> get(int number) {
        return database.query(ReleaseStore::release, COLUMNS + " where number = ?", number).stream()
                .findFirst();
    }

    /** In the order of the package. */
    public List<Entry> files(Release release) {
        return database.query(
                row -> new Entry(
                        row.getLong(1),
                        row.getInt(2),
                        new ReleasedFile(
                                row.getString(3),
                                row.getString(4),
                                ReleaseForm.of(row.getString(5)).orElse(ReleaseForm.FILE),
                                row.getString(6),
                                row.getString(7),
                                row.getInt(8),
                                row.getInt(9),
                                row.getLong(10),
                                row.getString(11))),
                "select track, version, path, original, form, source_language, target_language, segments, words, bytes,"
                        + " sha256 from release_file where release = ? order by rowid",
                release.number());
    }

    /** What was asked of its tracks, and what was not met and went all the same. */
    public List<Release.Condition> conditions(Release release) {
        return database.query(
                row -> new Release.Condition(row.getLong(1), row.getString(2), row.getInt(3) > 0, row.getString(4)),
                "select track, condition, met, reason from release_condition where release = ? order by rowid",
                release.number());
    }

    /** The last release that a track was part of. */
    public Optional<Release> last(Track track) {
        return database
                .query(
                        ReleaseStore::release,
                        COLUMNS + " where number = (select max(release) from release_file where track = ?)",
                        track.id())
                .stream()
                .findFirst();
    }

    private static Release release(ResultSet row) throws SQLException {
        return new Release(
                row.getInt(1),
                Instant.parse(row.getString(2)),
                row.getString(3),
                row.getString(4),
                row.getString(5),
                row.getInt(6),
                row.getInt(7),
                row.getInt(8),
                row.getString(9),
                row.getString(10));
    }

    int nextNumber() {
        return database.query(row -> row.getInt(1), "select coalesce(max(number), 0) + 1 from release")
                .get(0);
    }

    /** What is recorded or taken back together with a release. */
    interface Together {
        void in(LaneTransaction transaction);
    }

    void add(
            Release release,
            List<Entry> files,
            List<Release.Condition> conditions,
            Set<Track> tracks,
            Together together) {
        LaneWriter.await(writer.submit(transaction -> {
            together.in(transaction);
            database.update(
                    "insert into release values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                    release.number(),
                    release.at().toString(),
                    release.who(),
                    release.place(),
                    release.sha256(),
                    release.files(),
                    release.segments(),
                    release.words(),
                    release.reason(),
                    release.receipt());
            List<Object[]> rows = new ArrayList<>();
            for (Entry entry : files) {
                ReleasedFile file = entry.file();
                rows.add(new Object[] {
                    release.number(),
                    entry.track(),
                    entry.version(),
                    file.path(),
                    file.form().id(),
                    file.sourceLanguage(),
                    file.targetLanguage(),
                    file.segments(),
                    file.words(),
                    file.bytes(),
                    file.sha256(),
                    file.original()
                });
            }
            database.updateAll("insert into release_file values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)", rows);
            database.updateAll(
                    "insert into release_condition values (?, ?, ?, ?, ?)",
                    conditions.stream()
                            .map(each -> new Object[] {
                                release.number(), each.track(), each.id(), each.met() ? 1 : 0, each.reason()
                            })
                            .toList());
            tracks.forEach(track -> transaction.tell(listener -> listener.released(track)));
            return null;
        }));
    }

    /** Forgets a release that never came to be seen. */
    void takeBack(Release release, Set<Track> tracks, Together together) {
        LaneWriter.await(writer.submit(transaction -> {
            together.in(transaction);
            database.update("delete from release_file where release = ?", release.number());
            database.update("delete from release_condition where release = ?", release.number());
            database.update("delete from release where number = ?", release.number());
            tracks.forEach(track -> transaction.tell(listener -> listener.released(track)));
            return null;
        }));
    }

    /** By track and condition. */
    public Map<Long, Map<String, Release.Waiver>> waivers() {
        return database
                .query(
                        row -> new Release.Waiver(
                                row.getLong(1),
                                row.getString(2),
                                row.getString(3),
                                row.getString(4),
                                Instant.parse(row.getString(5))),
                        "select track, condition, reason, who, at from waiver")
                .stream()
                .collect(Collectors.groupingBy(
                        Release.Waiver::track, Collectors.toMap(Release.Waiver::condition, waiver -> waiver)));
    }

    /** Does without a condition of some tracks from now on. */
    public CompletableFuture<Void> waive(List<Track> tracks, String condition, String reason, String who) {
        String now = clock.instant().toString();
        return writer.submit(transaction -> {
            for (Track track : tracks) {
                database.update(
                        "insert or replace into waiver values (?, ?, ?, ?, ?)",
                        track.id(),
                        condition,
                        reason,
                        who,
                        now);
                transaction.tell(listener -> listener.released(track));
            }
            return null;
        });
    }

    /** Asks for it again. */
    public CompletableFuture<Void> askAgain(List<Track> tracks, String condition) {
        return writer.submit(transaction -> {
            for (Track track : tracks) {
                database.update("delete from waiver where track = ? and condition = ?", track.id(), condition);
                transaction.tell(listener -> listener.released(track));
            }
            return null;
        });
    }
}
