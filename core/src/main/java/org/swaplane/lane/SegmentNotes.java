package org.swaplane.lane;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.swaplane.document.Note;

/** Notes and bookmarks that people here made at segments; they follow their segments into new versions. What was read is held in memory. */
public final class SegmentNotes implements TrackStore.PositionalData {
    private static final String INSERT =
            "insert into note (uid, track, version, key, span_start, span_end, author, at, text, answers)"
                    + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)";

    private final Database database;
    private final Clock clock;
    private final LaneWriter writer;
    private final Map<Long, List<OwnNote>> notes = new ConcurrentHashMap<>();
    private final Map<Long, Set<String>> bookmarks = new ConcurrentHashMap<>();

    SegmentNotes(Database database, Clock clock, LaneWriter writer) {
        this.database = database;
        this.clock = clock;
        this.writer = writer;
    }

    /** The notes at segments of a track, oldest first. */
    public List<OwnNote> of(Track track) {
        return notes.computeIfAbsent(
                track.id(),
                id -> List.copyOf(database.query(
                        row -> new OwnNote(
                                row.getString("uid"),
                                row.getString("key"),
                                row.getInt("span_start"),
                                row.getInt("span_end"),
                                row.getString("author"),
                                Instant.parse(row.getString("at")),
                                row.getString("text"),
                                row.getBoolean("settled"),
                                row.getString("answers")),
                        "select * from note where track = ? and version = ? order by id",
                        id,
                        track.version().number())));
    }

    /** The notes of a track that are not settled, signed, by the positions of their segments. */
    Map<Integer, List<Note>> open(TrackSnapshot now) {
        Map<String, List<Note>> byKey = of(now.track()).stream()
                .filter(note -> !note.settled())
                .collect(Collectors.groupingBy(
                        OwnNote::key,
                        Collectors.mapping(note -> new Note(note.text(), note.author()), Collectors.toList())));
        Map<Integer, List<Note>> byPosition = new TreeMap<>();
        for (int i = 0; i < now.size() && !byKey.isEmpty(); i++) {
            List<Note> here = byKey.get(now.segment(i).key());
            if (here != null) {
                byPosition.put(i, here);
            }
        }
        return byPosition;
    }

    /** Keys of the segments with a bookmark. */
    public Set<String> bookmarks(Track track) {
        return bookmarks.computeIfAbsent(
                track.id(),
                id -> Set.copyOf(database.query(
                        row -> row.getString(1),
                        "select key from bookmark where track = ? and version = ?",
                        id,
                        track.version().number())));
    }

    /** Adds a note; {@code start} is -1, like {@code end}, for the whole segment. */
    public CompletableFuture<Void> add(Track track, String key, int start, int end, String text, String author) {
        return change(track, () -> insert(track, key, start, end, text, author, ""));
    }

    public CompletableFuture<Void> answer(Track track, OwnNote note, String text, String author) {
        return change(track, () -> insert(track, note.key(), -1, -1, text, author, note.id()));
    }

    private void insert(Track track, String key, int start, int end, String text, String author, String answers) {
        database.update(
                INSERT,
                UUID.randomUUID().toString(),
                track.id(),
                track.version().number(),
                key,
                start,
                end,
                author,
                clock.instant().toString(),
                text,
                answers);
    }

    /** Says that a note is done with, or not any more; its answers as well. */
    public CompletableFuture<Void> settle(Track track, OwnNote note, boolean settled) {
        return change(
                track,
                () -> database.update(
                        "update note set settled = ? where uid = ? or answers = ?", settled, note.id(), note.id()));
    }

    /** Takes a note away, with its answers. */
    public CompletableFuture<Void> remove(Track track, OwnNote note) {
        return change(
                track, () -> database.update("delete from note where uid = ? or answers = ?", note.id(), note.id()));
    }

    /** Sets a bookmark, or takes it away. */
    public CompletableFuture<Void> toggleBookmark(Track track, String key) {
        return change(track, () -> {
            int version = track.version().number();
            if (bookmarks(track).contains(key)) {
                database.update(
                        "delete from bookmark where track = ? and version = ? and key = ?", track.id(), version, key);
            } else {
                database.update("insert or ignore into bookmark values (?, ?, ?)", track.id(), version, key);
            }
        });
    }

    private CompletableFuture<Void> change(Track track, Runnable change) {
        return writer.submit(transaction -> {
            change.run();
            transaction.afterwards(() -> versionChanged(track));
            transaction.tell(listener -> listener.noted(track));
            return null;
        });
    }

    /** Notes were always kept by keys. */
    @Override
    public boolean isByPosition(Track track) {
        return false;
    }

    @Override
    public void useKeys(TrackSnapshot snapshot) {
        // There is nothing to change.
    }

    @Override
    public void versionChanged(Track track) {
        notes.remove(track.id());
        bookmarks.remove(track.id());
    }

    /** Has notes and bookmarks follow their segments into another version; within a transaction. */
    void carry(Track track, SourceVersion version, Map<String, String> keys) {
        int before = track.version().number();
        database.updateAll(
                "insert into note (uid, track, version, key, span_start, span_end, author, at, text, settled, answers)"
                        + " select uid, track, ?, ?, span_start, span_end, author, at, text, settled, answers from note"
                        + " where track = ? and version = ? and key = ? order by id",
                of(track).stream()
                        .map(OwnNote::key)
                        .distinct()
                        .filter(keys::containsKey)
                        .map(key -> new Object[] {version.number(), keys.get(key), track.id(), before, key})
                        .toList());
        database.updateAll(
                "insert or ignore into bookmark values (?, ?, ?)",
                bookmarks(track).stream()
                        .filter(keys::containsKey)
                        .map(key -> new Object[] {track.id(), version.number(), keys.get(key)})
                        .toList());
    }
}
