package org.swaplane.lane;

import java.io.IOException;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.document.Proposal;
import org.swaplane.format.Source;

/** The versions of the tracks' sources, as the lane keeps them. What writes is called within a transaction. */
public final class SourceVersions {
    private static final String SELECT =
            "select number, name, sha256, added_at, outcomes from source_version where track = ?";

    private final Database database;
    private final ContentStore files;
    private final Clock clock;

    SourceVersions(Database database, ContentStore files, Clock clock) {
        this.database = database;
        this.files = files;
        this.clock = clock;
    }

    /** Those of a track, oldest first. */
    public List<SourceVersion> of(Track track) {
        return of(track.id());
    }

    private List<SourceVersion> of(long track) {
        return database.query(SourceVersions::version, SELECT + " order by number", track);
    }

    SourceVersion get(long track, int number) {
        return database.query(SourceVersions::version, SELECT + " and number = ?", track, number)
                .get(0);
    }

    private static SourceVersion version(ResultSet row) throws SQLException {
        return new SourceVersion(
                row.getInt("number"),
                row.getString("name"),
                row.getString("sha256"),
                Instant.parse(row.getString("added_at")),
                row.getString("outcomes"));
    }

    /** The file of a version as it came. */
    public Source original(SourceVersion version) {
        return files.source(version.name(), version.sha256());
    }

    /**
     * Looks whether the file of a version is still as it came.
     *
     * @throws org.swaplane.task.CannotProceedException when it is not
     */
    void requireWhole(SourceVersion version) throws IOException {
        files.requireWhole(version.name(), version.sha256());
    }

    /** Keeps the bytes of a file that may become a version. */
    Source keep(Source source) throws IOException {
        return files.source(source.name(), files.keep(source));
    }

    /** Adds a version whose bytes are kept. */
    SourceVersion add(long track, String name, String sha256, String outcomes) {
        int number = of(track).size() + 1;
        SourceVersion version = new SourceVersion(number, name, sha256, clock.instant(), outcomes);
        database.update(
                "insert into source_version (track, number, sha256, added_at, name, outcomes) values (?, ?, ?, ?, ?, ?)",
                track,
                number,
                sha256,
                version.addedAt().toString(),
                name,
                outcomes);
        return version;
    }

    /** What the translations of the version before are worth in one, by key. */
    Map<String, Proposal> proposals(long track, SourceVersion version) {
        Map<String, Proposal> proposals = new HashMap<>();
        database.query(
                row -> proposals.put(
                        row.getString(1),
                        new Proposal(
                                ContentCodec.read(row.getString(2)),
                                ContentCodec.read(row.getString(3)),
                                row.getInt(4),
                                row.getString(5))),
                "select key, source, target, score, origin from carried_proposal where track = ? and version = ?",
                track,
                version.number());
        return proposals;
    }

    void keep(long track, SourceVersion version, Map<String, Proposal> proposals) {
        database.updateAll(
                "insert into carried_proposal (track, version, key, source, target, score, origin)"
                        + " values (?, ?, ?, ?, ?, ?, ?)",
                proposals.entrySet().stream()
                        .map(each -> new Object[] {
                            track,
                            version.number(),
                            each.getKey(),
                            ContentCodec.write(each.getValue().source()),
                            ContentCodec.write(each.getValue().target()),
                            each.getValue().score(),
                            each.getValue().origin()
                        })
                        .toList());
    }
}
