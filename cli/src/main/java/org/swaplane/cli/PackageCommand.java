package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.check.CheckRun;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.NewFile;
import org.swaplane.lane.Lane;
import org.swaplane.lane.Packaging;
import org.swaplane.lane.Release;
import org.swaplane.lane.ReleaseConditions;
import org.swaplane.lane.ReleaseStore;
import org.swaplane.lane.Track;
import org.swaplane.release.Gate;
import org.swaplane.release.ReleaseForm;
import org.swaplane.release.ReleaseOptions;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Releases the files of a lane in one package. */
@Command(
        name = "package",
        description = "Releases files of a lane: writes, proves and packs them by the lane's release options."
                + " Where conditions are not met, it lists them and writes nothing.")
final class PackageCommand implements Callable<Integer> {
    @Parameters(paramLabel = "LANE", description = "The folder of the lane.")
    private Path folder;

    @Option(names = "-o", paramLabel = "OUT.zip", description = "Also copy the zip to this place.")
    private Path out;

    @Option(names = "--target", split = ",", paramLabel = "LANG", description = "Only files in these languages.")
    private List<String> languages = List.of();

    @Option(
            names = "--file",
            split = ",",
            paramLabel = "NAME",
            description = "Only these files, by name or folder/name.")
    private List<String> names = List.of();

    @Option(names = "--form", split = ",", paramLabel = "FORM", description = "file, xliff, table, text")
    private List<String> forms = List.of();

    @Option(names = "--naming", paramLabel = "PATTERN", description = "Pattern of file names: {name}_{target}.{ext}")
    private String naming;

    @Option(names = "--folders", paramLabel = "PATTERN", description = "Pattern of folders: {path}, {target}/{path}")
    private String folders;

    @Option(names = "--codes", paramLabel = "CODES", description = "The client's language codes: de-DE=ger,fr-FR=fre")
    private String codes;

    @Option(names = "--zip", description = "Pack the files into a zip, also where the lane asks for a folder.")
    private boolean zip;

    @Option(names = "--manifest", paramLabel = "FORM", description = "none, csv or json")
    private ReleaseOptions.Manifest manifest;

    @Option(names = "--reason", paramLabel = "TEXT", description = "Why conditions that are not met may be waived.")
    private String reason = "";

    @Option(names = "--force", description = "Replace OUT.zip when it exists.")
    private boolean force;

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Override
    public Integer call() throws IOException {
        if (out != null && Files.exists(out) && !force) {
            throw new CannotProceedException(out.toString(), "problem.file-exists");
        }
        try (Lane lane = Lane.open(folder, FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            CheckRun checks = lane.references().checks();
            ReleaseConditions conditions = new ReleaseConditions(lane, () -> checks);
            List<Track> tracks = lane.tracks().stream().filter(this::isChosen).toList();
            ReleaseOptions options = options(lane.settings().releaseOptions());
            Packaging packaging = new Packaging(lane, conditions);
            packaging.plan(tracks, options);
            Map<Track, List<Gate.Condition>> open = packaging.open(tracks, Progress.NONE);
            if (!open.isEmpty() && reason.isBlank()) {
                reportOpen(open);
                return ExitStatus.FOUND_SOMETHING;
            }
            Release release = packaging.release(tracks, options, open.isEmpty() ? "" : reason, Progress.NONE);
            Path place = lane.folder().resolve("out").resolve(release.place());
            if (out != null) {
                NewFile.write(out, force, bytes -> Files.copy(place, bytes));
            }
            report(release, lane.releases().files(release), place, open);
            return ExitStatus.ALL_WELL;
        }
    }

    private boolean isChosen(Track track) {
        String path =
                track.plan().folder().isEmpty() ? track.name() : track.plan().folder() + '/' + track.name();
        return (languages.isEmpty() || languages.contains(track.summary().targetLanguage()))
                && (names.isEmpty() || names.contains(track.name()) || names.contains(path));
    }

    private ReleaseOptions options(ReleaseOptions lane) {
        List<ReleaseOptions.Output> outputs = new ArrayList<>(lane.outputs());
        if (!forms.isEmpty()) {
            outputs.clear();
            for (String form : forms) {
                ReleaseForm known = ReleaseForm.of(form.toLowerCase(Locale.ROOT))
                        .orElseThrow(() -> new CannotProceedException("--form", "command.release-form", form));
                outputs.add(new ReleaseOptions.Output(known, "", "{path}"));
            }
        }
        outputs.replaceAll(each -> new ReleaseOptions.Output(
                each.form(), naming == null ? each.names() : naming, folders == null ? each.folders() : folders));
        ReleaseOptions chosen = lane.withOutputs(outputs)
                .packed(
                        zip || out != null ? ReleaseOptions.Packing.ZIP : lane.packing(),
                        lane.packageName(),
                        manifest == null ? lane.manifest() : manifest);
        return codes == null ? chosen : chosen.withCodes(codes);
    }

    private void reportOpen(Map<Track, List<Gate.Condition>> open) throws IOException {
        if (json) {
            Json.print(Map.of("released", false, "open", entries(open)));
            return;
        }
        open.forEach((track, conditions) -> conditions.forEach(condition -> System.out.println(
                track.name() + " (" + track.summary().targetLanguage() + "): " + condition.message())));
    }

    private static List<Map<String, Object>> entries(Map<Track, List<Gate.Condition>> open) {
        List<Map<String, Object>> entries = new ArrayList<>();
        open.forEach((track, conditions) -> conditions.forEach(condition -> {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("file", track.name());
            entry.put("folder", track.plan().folder());
            entry.put("target", track.summary().targetLanguage());
            entry.put("condition", condition.id());
            entry.put("message", condition.message());
            entries.add(entry);
        }));
        return entries;
    }

    private void report(
            Release release, List<ReleaseStore.Entry> files, Path place, Map<Track, List<Gate.Condition>> waived)
            throws IOException {
        if (!json) {
            System.out.println(place);
            files.forEach(each -> System.out.println("  " + each.file().path()));
            return;
        }
        Map<String, Object> report = new LinkedHashMap<>();
        report.put("released", true);
        report.put("release", release.number());
        report.put("place", place.toString());
        report.put("sha256", release.sha256().isEmpty() ? null : release.sha256());
        report.put("files", files.stream().map(each -> entry(each)).toList());
        report.put("waived", entries(waived));
        Json.print(report);
    }

    private static Map<String, Object> entry(ReleaseStore.Entry entry) {
        Map<String, Object> values = new LinkedHashMap<>();
        values.put("path", entry.file().path());
        values.put("original", entry.file().original());
        values.put("form", entry.file().form().id());
        values.put("target", entry.file().targetLanguage());
        values.put("segments", entry.file().segments());
        values.put("words", entry.file().words());
        values.put("sha256", entry.file().sha256());
        return values;
    }
}
