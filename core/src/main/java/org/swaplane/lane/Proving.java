package org.swaplane.lane;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.swaplane.format.NewFile;
import org.swaplane.proof.DryRun;
import org.swaplane.proof.DryRunResult;
import org.swaplane.proof.Proof;
import org.swaplane.report.Cell;
import org.swaplane.report.Report;
import org.swaplane.report.ReportForm;
import org.swaplane.task.Progress;

/** The dry runs of a lane's tracks, by its settings; the pseudo-translated files lie in its folder {@code dry-run}. */
public final class Proving {
    private final Lane lane;

    public Proving(Lane lane) {
        this.lane = lane;
    }

    /** Runs every proof over a track and remembers what came out. */
    public DryRunResult run(Track track, Progress progress) throws IOException {
        Path output = file(track);
        Files.createDirectories(output.getParent());
        String version = lane.trackStore().version(track);
        DryRunResult result = new DryRun(lane.formats(), lane.settings().pseudo())
                .run(lane.trackStore().original(track), lane.trackStore().options(track), output, progress);
        lane.proofs().remember(track, version, result);
        return result;
    }

    /** Where the pseudo-translated file of a track lies. */
    public Path file(Track track) {
        return lane.folder()
                .resolve("dry-run")
                .resolve(String.valueOf(track.id()))
                .resolve(track.name());
    }

    /** Whether the last dry run was of the file as it is read now. */
    public boolean isCurrent(Track track) {
        return lane.proofs()
                .verdict(track)
                .filter(dryRun -> dryRun.version().equals(lane.trackStore().version(track)))
                .isPresent();
    }

    /** Copies the pseudo-translated files into a folder, under the names that results would have; returns how many there were. */
    public int saveTo(Path folder) throws IOException {
        int saved = 0;
        for (Track track : lane.tracks()) {
            Path file = file(track);
            if (Files.exists(file)) {
                String name = track.name();
                Path free = folder.resolve(name);
                for (int i = 2; Files.exists(free); i++) {
                    free = folder.resolve(i + "_" + name);
                }
                NewFile.write(free, false, out -> Files.copy(file, out));
                saved++;
            }
        }
        return saved;
    }

    /** Writes what all dry runs of the lane proved as HTML into its folder {@code reports}. */
    public Path report() throws IOException {
        Report.Builder report =
                Report.titled(text("report.dry-run.title", lane.name())).line(text("report.dry-run.what"));
        int missing = 0;
        for (Track track : lane.tracks()) {
            Optional<ProofStore.Remembered> last = lane.proofs().lastDryRun(track);
            if (last.isEmpty()) {
                missing++;
            } else {
                add(track, last.get(), report);
            }
        }
        if (missing > 0) {
            report.line(text("report.dry-run.missing", missing));
        }
        Report said = report.build();
        Path file = lane.free("reports", "dry-run.html");
        NewFile.write(file, false, out -> ReportForm.HTML.write(said, out));
        return file;
    }

    private static void add(Track track, ProofStore.Remembered dryRun, Report.Builder report) {
        report.section(new Report.Section(
                text("report.dry-run.file", track.name(), word(dryRun.verdict())),
                2,
                List.of(dryRun.at().toString()),
                List.of(),
                List.of(text("report.dry-run.verdict"), text("report.dry-run.proof")),
                dryRun.proofs().stream()
                        .map(proof -> List.of(Cell.of(word(dryRun.verdict(proof))), Cell.of(proof.message())))
                        .toList()));
        for (Proof proof : dryRun.proofs()) {
            if (!proof.details().isEmpty()) {
                report.section(new Report.Section(
                        proof.message(),
                        3,
                        List.of(),
                        List.of(),
                        List.of(
                                text("report.dry-run.where"),
                                text("report.dry-run.found"),
                                text("report.dry-run.looked-at")),
                        details(dryRun, proof)));
            }
        }
    }

    private static String word(Proof.Verdict verdict) {
        return text("verdict." + verdict.name().toLowerCase(Locale.ROOT));
    }

    private static List<List<Cell>> details(ProofStore.Remembered dryRun, Proof proof) {
        return proof.details().stream()
                .map(detail -> List.of(
                        Cell.of(detail.where(), Cell.Tone.CODE),
                        Cell.of(detail.text()),
                        Cell.of(dryRun.tick(proof, detail)
                                .map(tick -> text("proof.looked-at", tick.who(), tick.reason()))
                                .orElse(""))))
                .toList();
    }
}
