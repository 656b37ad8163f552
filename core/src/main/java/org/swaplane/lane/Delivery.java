package org.swaplane.lane;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.proof.DocumentProof;
import org.swaplane.proof.Proof;
import org.swaplane.release.FileNaming;
import org.swaplane.release.Gate;
import org.swaplane.report.Cell;
import org.swaplane.report.Report;
import org.swaplane.report.ReportForm;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Lets a track's result go: asks the gate, writes the file, proves it, and keeps a receipt. */
public final class Delivery {
    private final Lane lane;
    private final CheckRun checks;

    public Delivery(Lane lane, CheckRun checks) {
        this.lane = lane;
        this.checks = checks;
    }

    /** The findings of a track as it stands now, set aside or not. */
    public List<Finding> findings(TrackSnapshot track, Progress progress) {
        return checks.run(track.size(), track::checked, progress);
    }

    /** How the gate stands; writes the result into a temporary file to prove it. */
    public Gate gate(TrackSnapshot track, Progress progress) throws IOException {
        int open = lane.findings()
                .of(track.track())
                .open(findings(track, progress))
                .size();
        Path trial = Files.createTempFile(lane.folder().resolve("out"), ".trial", ".tmp");
        try {
            String wrong = trial(track, trial, progress);
            return Gate.of(open, track.counts().unreviewed(), away(track.track()), dryRunPassed(track.track()), wrong)
                    .asking(lane.settings().releaseConditions());
        } finally {
            Files.deleteIfExists(trial);
        }
    }

    /** What keeps the result from being written, or what is wrong with it. */
    private String trial(TrackSnapshot track, Path path, Progress progress) throws IOException {
        try {
            return write(track, path, progress);
        } catch (CannotProceedException e) {
            return e.getMessage();
        }
    }

    private int away(Track track) {
        return (int) lane.trips().of(track).stream().filter(Trip::isAway).count();
    }

    private boolean dryRunPassed(Track track) {
        return lane.proofs()
                .lastDryRun(track)
                .filter(dryRun -> dryRun.version().equals(lane.trackStore().version(track)))
                .filter(dryRun -> dryRun.verdict() != Proof.Verdict.FAIL)
                .isPresent();
    }

    /** Writes the result and reads it again; what is wrong with it, empty when nothing is. */
    private String write(TrackSnapshot track, Path path, Progress progress) throws IOException {
        boolean withNotes = Boolean.parseBoolean(lane.settings().detail(LaneDetail.NOTES_IN_FILES));
        Map<Integer, List<Note>> notes = withNotes ? lane.notes().open(track) : Map.of();
        NewFile.write(path, true, out -> track.write(notes, out, progress));
        BilingualFile written = lane.trackStore().open(track.track(), Source.of(track.name(), path), progress);
        if (written instanceof DocumentFile document) {
            return DocumentProof.firstLost(track.units(), document.units(List.of()))
                    .map(lost -> text("gate.write-back.segment", lost))
                    .orElse("");
        }
        BilingualDocument read = written.document();
        if (read.segments().size() != track.size()) {
            return text("gate.write-back.count", track.size(), read.segments().size());
        }
        for (int i = 0; i < track.size(); i++) {
            Segment segment = read.segments().get(i);
            boolean same = segment.source().equals(track.segment(i).source())
                    && segment.target().sameAs(track.target(i))
                    && statesAgree(segment.state(), i, track);
            if (!same) {
                return text("gate.write-back.segment", segment.key());
            }
        }
        return "";
    }

    /** Where segments share one state in the file, the file says that of the least of them. */
    private static boolean statesAgree(State read, int index, TrackSnapshot track) {
        boolean alone = (index == 0 || !track.sameUnit(index - 1, index))
                && (index == track.size() - 1 || !track.sameUnit(index, index + 1));
        State kept = track.keptState(index);
        return alone ? read == kept : read.compareTo(kept) <= 0;
    }

    /** Results lie in the folders in which the client's files lay. */
    private static String folder(Track track) {
        String folder = track.plan().folder();
        return folder.isEmpty() ? "out" : "out/" + folder;
    }

    /** The name that the result will have. */
    public Path target(Track track) {
        return lane.free(folder(track), name(track, lane.settings().naming()));
    }

    /**
     * Sets the lane's pattern of names.
     *
     * @throws CannotProceedException when it gives no name for this track; the one before stays
     */
    public void setNaming(Track track, FileNaming naming) {
        name(track, naming);
        LaneWriter.await(lane.settings().setNaming(naming));
    }

    private String name(Track track, FileNaming naming) {
        return naming.name(
                track.name(),
                Map.of(
                        "source", track.summary().sourceLanguage(),
                        "target", track.summary().targetLanguage(),
                        "lane", lane.name(),
                        "initials", lane.settings().initials(),
                        "date",
                                LocalDate.ofInstant(lane.clock().instant(), ZoneOffset.UTC)
                                        .toString()));
    }

    /** Writes the file as it stands now into the lane's folder {@code preview}, over an earlier one, only to be looked at. */
    public Path preview(TrackSnapshot track, Progress progress) throws IOException {
        Path file =
                lane.folder().resolve("preview").resolve(target(track.track()).getFileName());
        Files.createDirectories(file.getParent());
        NewFile.write(file, true, out -> track.write(out, progress));
        return file;
    }

    /**
     * Writes the result and its receipt into the lane's folder {@code out}.
     *
     * @param overrideReason why it goes although the gate is open; empty when the gate holds
     * @throws CannotProceedException when the gate is open and no reason is given
     */
    public ProofStore.Receipt release(TrackSnapshot track, Gate gate, String overrideReason, Progress progress)
            throws IOException {
        if (!gate.holds() && overrideReason.isBlank()) {
            throw new CannotProceedException(track.name(), "problem.conditions-not-met");
        }
        Path file = target(track.track());
        Files.createDirectories(file.getParent());
        String wrong = write(track, file, progress);
        if (!wrong.isEmpty()) {
            Files.delete(file);
            throw new CannotProceedException(track.name(), "problem.not-released", wrong);
        }
        String sha256 = Source.of(file).sha256();
        Path receipt = lane.free("out", file.getFileName() + ".receipt.html");
        Report said = receipt(track, gate, overrideReason, file, sha256);
        NewFile.write(receipt, false, out -> ReportForm.HTML.write(said, out));
        ProofStore.Receipt result = new ProofStore.Receipt(
                lane.clock().instant(),
                lane.settings().person(),
                file.getFileName().toString(),
                sha256,
                overrideReason,
                receipt.getFileName().toString());
        lane.proofs().released(track.track(), result);
        if (!track.isDocument()) {
            rememberDelivered(track, file);
        }
        return result;
    }

    /** A bilingual file that the client edits and sends back is known again, and compared with what was delivered. */
    private void rememberDelivered(TrackSnapshot track, Path file) throws IOException {
        String client = lane.settings().detail(LaneDetail.CLIENT);
        SendRequest delivered =
                SendRequest.of(client.isEmpty() ? lane.name() : client, Purpose.DELIVERY, SendRequest.Form.FILE);
        int words = IntStream.range(0, track.size()).map(track::words).sum();
        lane.trips()
                .sent(
                        lane.trips().newCode(),
                        track.track(),
                        delivered.people().get(0),
                        delivered,
                        Source.of(file),
                        words);
    }

    private Report receipt(TrackSnapshot track, Gate gate, String overrideReason, Path file, String sha256) {
        Report.Builder report = Report.titled(
                        text("report.receipt.title", file.getFileName().toString()))
                .fact(text("report.receipt.lane"), lane.name())
                .fact(
                        text("report.receipt.at"),
                        lane.clock().instant().truncatedTo(ChronoUnit.SECONDS).toString())
                .fact(text("report.receipt.by"), lane.settings().person())
                .fact(text("report.receipt.file"), file.getFileName().toString())
                .fact("SHA-256", Cell.of(sha256, Cell.Tone.CODE))
                .fact(text("report.receipt.original"), track.name())
                .fact(text("report.receipt.original-sum"), Cell.of(track.track().sha256(), Cell.Tone.CODE))
                .fact(text("report.receipt.changed"), Cell.of(track.edits().size()));
        if (!overrideReason.isEmpty()) {
            report.fact(text("report.receipt.waived"), Cell.of(overrideReason, Cell.Tone.BAD));
        }
        report.section(Report.Section.ofTable(
                text("report.receipt.conditions"),
                List.of(text("report.receipt.condition"), text("report.receipt.state")),
                gate.conditions().stream()
                        .map(each -> List.of(
                                Cell.of(each.message()),
                                each.holds()
                                        ? Cell.of(text("report.receipt.met"), Cell.Tone.GOOD)
                                        : Cell.of(text("report.receipt.not-met"), Cell.Tone.BAD)))
                        .toList()));
        List<String> setAside = lane.findings().of(track.track()).all().stream()
                .map(each -> place(track, each) + each.message() + " (" + each.reason() + ", " + each.who() + ")")
                .toList();
        if (!setAside.isEmpty()) {
            report.section(Report.Section.ofItems(text("report.receipt.set-aside"), setAside));
        }
        return report.build();
    }

    /** Number of the segment where it was found, in this file. */
    private static String place(TrackSnapshot track, SetAside decision) {
        OptionalInt index = track.index(decision.key());
        return index.isPresent() ? index.getAsInt() + 1 + ": " : "";
    }
}
