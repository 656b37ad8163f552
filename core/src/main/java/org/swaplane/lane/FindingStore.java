package org.swaplane.lane;

import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.check.LegacyIdentity;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/** The findings that people set aside. They are held in memory, so that asking for them waits for nothing. */
public final class FindingStore implements TrackStore.PositionalData {
    private final Database database;
    private final Clock clock;
    private final LaneWriter writer;
    private final References references;
    private final Map<Track, Decisions> byTrack = new ConcurrentHashMap<>();
    private volatile List<Stored> stored;

    /** A decision, and where it was made. */
    private record Stored(long track, String file, SetAside decision) {
        private boolean concerns(Track other) {
            return track == other.id()
                    || file.equals(other.name())
                    || decision.identity().startsWith(SetAside.Scope.EVERYWHERE);
        }
    }

    FindingStore(Database database, Clock clock, LaneWriter writer, References references) {
        this.references = references;
        this.database = database;
        this.clock = clock;
        this.writer = writer;
        read();
    }

    private void read() {
        stored = List.copyOf(database.query(
                row -> new Stored(
                        row.getLong("track"),
                        row.getString("name"),
                        new SetAside(
                                row.getString("identity"),
                                row.getString("key"),
                                row.getString("check_id"),
                                row.getString("message") == null
                                        ? Phrase.ofWritten(row.getString("rule"), row.getString("arguments"))
                                        : Phrase.verbatim(row.getString("message")),
                                row.getString("reason"),
                                row.getString("who"),
                                Instant.parse(row.getString("at")))),
                "select set_aside.*, name from set_aside join track on track.id = set_aside.track order by "
                        + SqlInstant.of("at") + ", identity"));
        byTrack.clear();
    }

    /** What was decided about findings of a track. */
    public Decisions of(Track track) {
        return byTrack.computeIfAbsent(
                track,
                asked -> new Decisions(stored.stream()
                        .filter(each -> each.concerns(asked))
                        .map(Stored::decision)
                        .toList()));
    }

    public CompletableFuture<Void> setAside(
            Track track, Finding finding, SetAside.Scope scope, String reason, String who) {
        return writer.submit(transaction -> {
            insert(track.id(), scope.identity(finding), finding, reason, who, clock.instant());
            changed(transaction);
            return null;
        });
    }

    private void insert(long track, String identity, Finding finding, String reason, String who, Instant at) {
        database.update(
                "insert or replace into set_aside (track, identity, key, check_id, rule, arguments, reason, who, at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?)",
                track,
                identity,
                finding.key(),
                finding.check(),
                finding.phrase().key(),
                finding.phrase().writtenArguments(),
                reason,
                who,
                at.toString());
    }

    /** Lets the finding come back, wherever it was set aside. */
    public CompletableFuture<Void> revoke(Track track, String identity) {
        return writer.submit(transaction -> {
            stored.stream()
                    .filter(each ->
                            each.concerns(track) && each.decision().identity().equals(identity))
                    .forEach(each -> database.update(
                            "delete from set_aside where track = ? and identity = ?", each.track(), identity));
            changed(transaction);
            return null;
        });
    }

    /** Has decisions about single segments follow them into another version; within a transaction. */
    void carry(Track track, Map<String, String> keys, LaneTransaction transaction) {
        for (Stored each : List.copyOf(stored)) {
            SetAside decision = each.decision();
            String key = keys.getOrDefault(decision.key(), decision.key());
            if (each.track() == track.id() && !key.equals(decision.key())) {
                String identity = decision.scope() == SetAside.Scope.FINDING
                        ? decision.identity()
                                        .substring(
                                                0,
                                                decision.identity().length()
                                                        - decision.key().length())
                                + key
                        : decision.identity();
                database.update(
                        "insert or ignore into set_aside (track, identity, key, check_id, rule, arguments, reason, who, at)"
                                + " select track, ?, ?, check_id, rule, arguments, reason, who, at from set_aside"
                                + " where track = ? and identity = ?",
                        identity,
                        key,
                        track.id(),
                        decision.identity());
            }
        }
        changed(transaction);
    }

    private void changed(LaneTransaction transaction) {
        transaction.afterwards(this::read);
        transaction.tell(LaneListener::decided);
    }

    @Override
    public boolean isByPosition(Track track) {
        return !database.query(
                        row -> 1,
                        "select 1 from set_aside where track = ? and position is not null limit 1",
                        track.id())
                .isEmpty();
    }

    /** A decision of an earlier version, whose identity was made of the sentence that was shown. */
    private record Earlier(
            String identity, String check, int position, String message, String reason, String who, String at) {}

    private CheckRun checks() {
        try {
            return references.checks();
        } catch (CannotProceedException | IOException e) {
            // A term list that is missing must not keep the lane from opening; its findings are not found then.
            return CheckRun.ofAllChecks();
        }
    }

    /** Finds what the decisions of an earlier version were about, and keeps them by what they are known by now. */
    @Override
    public void useKeys(TrackSnapshot snapshot) {
        long track = snapshot.track().id();
        List<Earlier> earlier = database.query(
                row -> new Earlier(
                        row.getString("identity"),
                        row.getString("check_id"),
                        row.getInt("position"),
                        row.getString("message"),
                        row.getString("reason"),
                        row.getString("who"),
                        row.getString("at")),
                "select * from set_aside where track = ? and position is not null",
                track);
        if (earlier.isEmpty()) {
            return;
        }
        LegacyIdentity found = LegacyIdentity.over(checks(), snapshot.size(), snapshot::checked);
        for (Earlier each : earlier) {
            Optional<Finding> finding = found.find(each.check(), each.position(), each.message());
            boolean ofTexts = SetAside.Scope.of(each.identity()) != SetAside.Scope.KIND;
            if (finding.isPresent()
                    && (!ofTexts || each.identity().contains(found.identity(finding.get(), each.message())))) {
                database.update("delete from set_aside where track = ? and identity = ?", track, each.identity());
                insert(
                        track,
                        SetAside.Scope.of(each.identity()).identity(finding.get()),
                        finding.get(),
                        each.reason(),
                        each.who(),
                        Instant.parse(each.at()));
            } else {
                // The texts are others now: it is shown as it was, and holds for nothing that is there.
                database.update(
                        "update set_aside set key = ?, position = null where track = ? and identity = ?",
                        snapshot.keyAt(each.position()),
                        track,
                        each.identity());
            }
        }
        read();
    }
}
