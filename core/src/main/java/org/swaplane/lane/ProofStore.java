package org.swaplane.lane;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.time.Clock;
import java.time.Instant;
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

    /** The dry run of a track as it is remembered. */
    public record Remembered(Instant at, Proof.Verdict verdict, List<Proof> proofs) {}

    /** A file that was released. */
    public record Receipt(Instant at, String who, String file, String sha256, String overrideReason, String receipt) {}

    public void remember(Track track, DryRunResult result) {
        try {
            database.update(
                    "insert or replace into dry_run values (?, ?, ?, ?)",
                    track.id(),
                    clock.instant().toString(),
                    result.verdict().name(),
                    JSON.writeValueAsString(result.proofs()));
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("a proof cannot be written", e);
        }
    }

    public Optional<Remembered> lastDryRun(Track track) {
        return database
                .query(
                        row -> new Remembered(
                                Instant.parse(row.getString(1)),
                                Proof.Verdict.valueOf(row.getString(2)),
                                proofs(row.getString(3))),
                        "select at, verdict, proofs from dry_run where track = ?",
                        track.id())
                .stream()
                .findFirst();
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
