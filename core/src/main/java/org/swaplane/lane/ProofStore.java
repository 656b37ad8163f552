package org.swaplane.lane;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.swaplane.proof.DryRunResult;
import org.swaplane.proof.Proof;

/** The last dry run of each track, and the receipts of what was released. */
public final class ProofStore {
    private static final ObjectMapper JSON = new ObjectMapper();

    private final Database database;
    private final Clock clock;

    ProofStore(Database database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /**
     * The dry run of a track as it is remembered.
     *
     * @param version of the file and of how it was read then; see {@link Lane#version}
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

    /** Something that a person looked at and found all right, or will see to otherwise. */
    public record TickedOff(String proof, String where, String text, String reason, String who, Instant at) {
        private boolean is(Proof other, Proof.Detail detail) {
            return proof.equals(other.id()) && where.equals(detail.where()) && text.equals(detail.text());
        }
    }

    /** A file that was released. */
    public record Receipt(Instant at, String who, String file, String sha256, String overrideReason, String receipt) {}

    /** Remembers a dry run of this version of a track in place of the one before. */
    void remember(Track track, String version, DryRunResult result) {
        try {
            database.update(
                    "insert or replace into dry_run (track, at, verdict, proofs, version) values (?, ?, ?, ?, ?)",
                    track.id(),
                    clock.instant().toString(),
                    result.verdict().name(),
                    JSON.writeValueAsString(result.proofs()),
                    version);
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("a proof cannot be written", e);
        }
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
                                Instant.parse(row.getString(1)), proofs(row.getString(2)), row.getString(3), ticked),
                        "select at, proofs, version from dry_run where track = ?",
                        track.id())
                .stream()
                .findFirst();
    }

    /** Ticks details of a proof off; they stay so in later dry runs while they are the same. */
    public void tickOff(Track track, Proof proof, List<Proof.Detail> details, String reason, String who) {
        String now = clock.instant().toString();
        database.transaction(() -> {
            for (Proof.Detail detail : details) {
                database.update(
                        "insert or replace into ticked_off values (?, ?, ?, ?, ?, ?, ?)",
                        track.id(),
                        proof.id(),
                        detail.where(),
                        detail.text(),
                        reason,
                        who,
                        now);
            }
            return details;
        });
    }

    /** Takes that back. */
    public void untick(Track track, Proof proof, List<Proof.Detail> details) {
        details.forEach(detail -> database.update(
                "delete from ticked_off where track = ? and proof = ? and place = ? and words = ?",
                track.id(),
                proof.id(),
                detail.where(),
                detail.text()));
    }

    private static List<Proof> proofs(String json) {
        try {
            return JSON.readValue(json, new TypeReference<>() {});
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("the lane holds a damaged dry run: " + json, e);
        }
    }

    public void released(Track track, Receipt receipt) {
        database.update(
                "insert into receipt (track, at, who, file, sha256, override_reason, receipt) values (?, ?, ?, ?, ?, ?, ?)",
                track.id(),
                receipt.at().toString(),
                receipt.who(),
                receipt.file(),
                receipt.sha256(),
                receipt.overrideReason(),
                receipt.receipt());
    }

    /** Newest first. */
    public List<Receipt> receipts(Track track) {
        return database.query(
                row -> new Receipt(
                        Instant.parse(row.getString(1)),
                        row.getString(2),
                        row.getString(3),
                        row.getString(4),
                        row.getString(5),
                        row.getString(6)),
                "select at, who, file, sha256, override_reason, receipt from receipt where track = ? order by id desc",
                track.id());
    }
}
