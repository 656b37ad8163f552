package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.swaplane.document.BilingualDocument;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Files that a command reports on one by one: one that cannot be read does not keep the others from being read. */
final class FileReports {
    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Parameters(arity = "1..*", paramLabel = "FILE")
    private List<Path> files;

    /** Says what there is to say of a file, and whether something was found. */
    interface Reporter {
        boolean report(Path file, Map<String, Object> report) throws IOException;
    }

    /** The same of a file that is read as it is. */
    interface DocumentReporter {
        boolean report(Path file, BilingualDocument document, Map<String, Object> report) throws IOException;
    }

    /** The names of the files, for a title. */
    String names() {
        return files.stream().map(file -> file.getFileName().toString()).collect(Collectors.joining(", "));
    }

    List<Path> paths() {
        return files;
    }

    boolean json() {
        return json;
    }

    /** Reads every file and reports on it; returns the exit status. */
    int runOnDocuments(DocumentReporter reporter) throws IOException {
        return run((file, report) -> {
            BilingualDocument document = FormatRegistry.ofInstalled()
                    .open(Source.of(file), Progress.NONE)
                    .document();
            return reporter.report(file, document, report);
        });
    }

    /** Reports on every file; returns the exit status. */
    int run(Reporter reporter) throws IOException {
        List<Map<String, Object>> reports = new ArrayList<>();
        int status = ExitStatus.ALL_WELL;
        for (Path file : files) {
            Map<String, Object> report = new LinkedHashMap<>();
            report.put("path", file.toString());
            try {
                boolean found = reporter.report(file, report);
                status = Math.max(status, found ? ExitStatus.FOUND_SOMETHING : ExitStatus.ALL_WELL);
            } catch (CannotProceedException | IOException e) {
                report.put("error", SwapLane.message(e));
                System.err.println("swaplane: " + SwapLane.message(e));
                status = ExitStatus.COULD_NOT_RUN;
            }
            reports.add(report);
        }
        if (json) {
            Json.print(Map.of("files", reports));
        }
        return status;
    }
}
