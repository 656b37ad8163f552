package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.check.CheckMaterial;
import org.swaplane.check.CheckRun;
import org.swaplane.check.CheckedFiles;
import org.swaplane.check.Finding;
import org.swaplane.check.Profile;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.report.CheckReport;
import org.swaplane.report.ReportForm;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** The checks over bilingual files. */
@Command(name = "check", description = "Checks bilingual files: tags, placeholders, numbers, untranslated.")
final class CheckCommand implements Callable<Integer> {
    @Mixin
    private FileReports files;

    @Option(
            names = "--profile",
            paramLabel = "FILE",
            description = "Which checks are made, and how: JSON as the window saves it.")
    private Path profile;

    @Option(
            names = "--report",
            paramLabel = "OUT",
            description = "Also writes a report: OUT ends with .html, .docx or .xlsx.")
    private Path report;

    @Option(
            names = "--each",
            description =
                    "Look at each file alone; without it, inconsistencies are found across all files of a language pair.")
    private boolean each;

    @Option(names = "--force", description = "Replace OUT when it exists.")
    private boolean force;

    private CheckRun checks;
    private int segments;
    private final List<CheckReport.Line> lines = new ArrayList<>();

    @Override
    public Integer call() throws IOException {
        checks = profile == null ? CheckRun.ofAllChecks() : ofProfile();
        if (report != null) {
            ReportForm.require(report);
        }
        Map<Path, CheckedFile> together = each ? Map.of() : checkTogether();
        int status = files.run((file, entry) -> {
            CheckedFile checked = together.get(file);
            return report(file, checked != null ? checked : checkAlone(file), entry);
        });
        if (report != null) {
            ReportForm.write(new CheckReport(files.names(), segments, lines, List.of()).report(), report, force);
        }
        return status;
    }

    /** One of several files that were checked together, with what was found in it. */
    private record CheckedFile(
            List<Path> paths, List<BilingualDocument> documents, int index, List<CheckedFiles.Located> findings) {
        BilingualDocument document() {
            return documents.get(index);
        }
    }

    private CheckedFile checkAlone(Path file) throws IOException {
        List<BilingualDocument> alone = List.of(bilingual(Source.of(file)));
        return new CheckedFile(
                List.of(file),
                alone,
                0,
                CheckedFiles.check(checks, alone, Progress.NONE).get(0));
    }

    /** One that cannot be read is left out here, and said in its turn. */
    private Map<Path, CheckedFile> checkTogether() {
        List<Path> paths = new ArrayList<>();
        List<BilingualDocument> documents = new ArrayList<>();
        for (Path file : files.paths()) {
            try {
                documents.add(bilingual(Source.of(file)));
                paths.add(file);
            } catch (CannotProceedException | IOException e) {
                continue;
            }
        }
        List<List<CheckedFiles.Located>> findings = CheckedFiles.check(checks, documents, Progress.NONE);
        Map<Path, CheckedFile> checked = new HashMap<>();
        for (int i = 0; i < documents.size(); i++) {
            checked.put(paths.get(i), new CheckedFile(paths, documents, i, findings.get(i)));
        }
        return checked;
    }

    /** What stands in two languages; a document in one has nothing to compare. */
    private static BilingualDocument bilingual(Source source) throws IOException {
        BilingualFile file = FormatRegistry.ofInstalled().open(source, Progress.NONE);
        if (file instanceof DocumentFile) {
            throw new CannotProceedException(source.name(), "command.no-target-to-check");
        }
        if (file.document().segments().isEmpty()) {
            throw new CannotProceedException(source.name(), "command.no-pairs-to-check");
        }
        return file.document();
    }

    /** Paths in a profile are relative to it. */
    private CheckRun ofProfile() throws IOException {
        Profile read = Profile.ofJson(
                profile.toString(), EncodedText.of(Source.of(profile)).readAll());
        return CheckRun.of(
                read, CheckMaterial.read(read, profile.toAbsolutePath().getParent()));
    }

    private boolean report(Path file, CheckedFile checked, Map<String, Object> report) {
        BilingualDocument document = checked.document();
        List<Finding> findings =
                checked.findings().stream().map(CheckedFiles.Located::finding).toList();
        segments += document.segments().size();
        if (this.report != null) {
            findings.forEach(finding -> lines.add(line(file, finding, document)));
        }
        report.put("format", document.format());
        report.put("sourceLanguage", document.sourceLanguage());
        report.put("targetLanguage", document.targetLanguage());
        report.put("segments", document.segments().size());
        report.put(
                "findings",
                checked.findings().stream()
                        .map(located -> entry(located, checked))
                        .toList());
        if (!files.json()) {
            findings.forEach(finding -> System.out.printf(
                    Locale.ROOT, "%s: %s: %s [%s]%n", file, finding.unit(), finding.message(), finding.check()));
        }
        return !findings.isEmpty();
    }

    private static CheckReport.Line line(Path file, Finding finding, BilingualDocument document) {
        Segment segment = document.segments().get(finding.segment());
        return new CheckReport.Line(
                file.getFileName().toString(),
                finding.segment() + 1,
                finding,
                segment.source().plainText(),
                segment.target().plainText(),
                finding.suggestion()
                        .map(fixed -> TagNotation.write(fixed, segment.source()))
                        .orElse(""),
                "");
    }

    private static Map<String, Object> entry(CheckedFiles.Located located, CheckedFile checked) {
        Finding finding = located.finding();
        BilingualDocument document = checked.document();
        var source = document.segments().get(finding.segment()).source();
        Map<String, Object> entry = FindingEntry.of(finding, source);
        if (!located.others().isEmpty()) {
            entry.put(
                    "in",
                    located.others().stream()
                            .map(place -> place(place, checked))
                            .toList());
        }
        return entry;
    }

    private static Map<String, String> place(CheckedFiles.Place place, CheckedFile checked) {
        Segment segment = checked.documents().get(place.file()).segments().get(place.segment());
        return Map.of("path", checked.paths().get(place.file()).toString(), "segment", segment.key());
    }
}
