package org.swaplane.lane;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.swaplane.format.NewFile;
import org.swaplane.proof.DryRun;
import org.swaplane.proof.DryRunResult;
import org.swaplane.proof.Proof;
import org.swaplane.report.HtmlReport;
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
        List<Map<String, Object>> files = new ArrayList<>();
        for (Track track : lane.tracks()) {
            Optional<ProofStore.Remembered> last = lane.proofs().lastDryRun(track);
            last.ifPresent(dryRun -> files.add(entry(track, dryRun)));
        }
        Map<String, Object> model = new LinkedHashMap<>();
        model.put("lane", lane.name());
        model.put("files", files);
        model.put("missing", lane.tracks().size() - files.size());
        String html = HtmlReport.render("dry-run", model);
        Path report = lane.free("reports", "dry-run.html");
        NewFile.write(report, false, out -> out.write(html.getBytes(StandardCharsets.UTF_8)));
        return report;
    }

    private static Map<String, Object> entry(Track track, ProofStore.Remembered dryRun) {
        return Map.of(
                "name", track.name(),
                "at", dryRun.at().toString(),
                "verdict", word(dryRun.verdict()),
                "proofs",
                        dryRun.proofs().stream()
                                .map(proof -> Map.of(
                                        "message", proof.message(),
                                        "verdict", word(dryRun.verdict(proof)),
                                        "details", details(dryRun, proof)))
                                .toList());
    }

    private static String word(Proof.Verdict verdict) {
        return text("verdict." + verdict.name().toLowerCase(Locale.ROOT));
    }

    private static List<Map<String, Object>> details(ProofStore.Remembered dryRun, Proof proof) {
        return proof.details().stream()
                .map(detail -> Map.<String, Object>of(
                        "where",
                        detail.where(),
                        "text",
                        detail.text(),
                        "looked",
                        dryRun.tick(proof, detail)
                                .map(tick -> text("proof.looked-at", tick.who(), tick.reason()))
                                .orElse("")))
                .toList();
    }
}
