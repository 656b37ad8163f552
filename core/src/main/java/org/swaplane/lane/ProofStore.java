package org.swaplane.lane;

import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import org.swaplane.proof.DryRunResult;
import org.swaplane.proof.Proof;

/** The last dry run of each track. */
public final class ProofStore {
    private final Database database;
    private final Clock clock;
    private final LaneWriter writer;
    /** The verdict of each track's last dry run, without what it found. */
    private final Map<Long, Verdict> verdicts = new ConcurrentHashMap<>();

    ProofStore(Database database, Clock clock, LaneWriter writer) {
        this.database = database;
        this.clock = clock;
        this.writer = writer;
        database.query(
                row -> verdicts.put(
                        row.getLong(1),
                        new Verdict(
                                Instant.parse(row.getString(2)),
                                Proof.Verdict.valueOf(row.getString(3)),
                                row.getString(4))),
                "select track, at, verdict, version from dry_run");
    }

    /**
     * How the last dry run of a track ended, nothing being looked at since.
     *
     * @param version of the file and of how it was read then; see {@link TrackStore#version}
     */
    public record Verdict(Instant at, Proof.Verdict verdict, String version) {}

    /** That of a track, which waits for nothing; empty where none was made. */
    public Optional<Verdict> verdict(Track track) {
        return Optional.ofNullable(verdicts.get(track.id()));
    }

    /**
     * The dry run of a track as it is remembered.
     *
     * @param version of the file and of how it was read then; see {@link TrackStore#version}
     */
    public record Remembered(Instant at, List<Proof> proofs, String version, List<TickedOff> ticked) {
        /** What nobody has ticked off yet. */
        public List<Proof.Detail> open(Proof proof) {
            return proof.details().stream()
                    .filter(detail -> tick(proof, detail).isEmpty())
                    .toList();
        }

        public Optional<TickedOff> tick(Proof proof, Proof.Detail detail) {
            return ticked.stream().filter(each -> each.is(proof, detail)).findFirst();
        }

        /** A proof that asked for a look holds when everything was looked at. */
        public Proof.Verdict verdict(Proof proof) {
            boolean looked =
                    proof.verdict() == Proof.Verdict.WARN && open(proof).isEmpty();
            return looked ? Proof.Verdict.PASS : proof.verdict();
        }

        /** The worst of all verdicts. */
        public Proof.Verdict verdict() {
            return proofs.stream()
                    .map(this::verdict)
                    .max(Comparator.naturalOrder())
                    .orElse(Proof.Verdict.PASS);
        }
    }

    /**
     * Something that a person looked at and found all right, or will see to otherwise.
     *
     * @param what what was there, by key and arguments; in lanes of earlier versions the displayed sentence
     */
    public record TickedOff(String proof, String where, String what, String reason, String who, Instant at) {
        private boolean is(Proof other, Proof.Detail detail) {
            return proof.equals(other.id())
                    && where.equals(detail.where())
                    && (what.equals(identity(detail)) || what.equals(detail.text()));
        }
    }

    private static String identity(Proof.Detail detail) {
        return detail.phrase().key() + detail.phrase().writtenArguments();
    }

    /** Remembers a dry run of this version of a track in place of the one before. */
    void remember(Track track, String version, DryRunResult result) {
        String proofs = ProofCodec.write(result.proofs());
        Verdict verdict = new Verdict(clock.instant(), result.verdict(), version);
        LaneWriter.await(writer.submit(transaction -> {
            database.update(
                    "insert or replace into dry_run (track, at, verdict, proofs, version) values (?, ?, ?, ?, ?)",
                    track.id(),
                    verdict.at().toString(),
                    verdict.verdict().name(),
                    proofs,
                    version);
            transaction.afterwards(() -> verdicts.put(track.id(), verdict));
            transaction.tell(listener -> listener.proven(track));
            return null;
        }));
    }

    public Optional<Remembered> lastDryRun(Track track) {
        List<TickedOff> ticked = database.query(
                row -> new TickedOff(
                        row.getString(1),
                        row.getString(2),
                        row.getString(3),
                        row.getString(4),
                        row.getString(5),
                        Instant.parse(row.getString(6))),
                "select proof, place, words, reason, who, at from ticked_off where track = ?",
                track.id());
        return database
                .query(
                        row -> new Remembered(
                                Instant.parse(row.getString(1)),
                                ProofCodec.read(row.getString(2)),
                                row.getString(3),
                                ticked),
                        "select at, proofs, version from dry_run where track = ?",
                        track.id())
                .stream()
                .findFirst();
    }

    /** Those of several tracks, as far as they were made. */
    public Map<Track, Remembered> lastDryRuns(List<Track> tracks) {
        Map<Track, Remembered> all = new LinkedHashMap<>();
        tracks.forEach(
                track -> verdict(track).flatMap(made -> lastDryRun(track)).ifPresent(dryRun -> all.put(track, dryRun)));
        return all;
    }

    /** Ticks details of a proof off; they stay so in later dry runs while they are the same. */
    public CompletableFuture<Void> tickOff(
            Track track, Proof proof, List<Proof.Detail> details, String reason, String who) {
        String now = clock.instant().toString();
        return writer.submit(transaction -> {
            for (Proof.Detail detail : details) {
                database.update(
                        "insert or replace into ticked_off values (?, ?, ?, ?, ?, ?, ?)",
                        track.id(),
                        proof.id(),
                        detail.where(),
                        identity(detail),
                        reason,
                        who,
                        now);
            }
            transaction.tell(listener -> listener.proven(track));
            return null;
        });
    }

    /** Takes that back. */
    public CompletableFuture<Void> untick(Track track, Proof proof, List<Proof.Detail> details) {
        return writer.submit(transaction -> {
            details.forEach(detail -> database.update(
                    "delete from ticked_off where track = ? and proof = ? and place = ? and words in (?, ?)",
                    track.id(),
                    proof.id(),
                    detail.where(),
                    identity(detail),
                    detail.text()));
            transaction.tell(listener -> listener.proven(track));
            return null;
        });
    }
}
