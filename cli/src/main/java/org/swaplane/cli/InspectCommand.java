package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Counts;
import org.swaplane.document.Problem;
import org.swaplane.document.State;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** What each file is. */
@Command(
        name = "inspect",
        description = "Says what each file is: format, languages, segments, words, states, problems.")
final class InspectCommand implements Callable<Integer> {
    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Parameters(arity = "1..*", paramLabel = "FILE")
    private List<Path> files;

    @Override
    public Integer call() throws IOException {
        List<Map<String, Object>> reports = new ArrayList<>();
        int status = ExitStatus.ALL_WELL;
        for (Path file : files) {
            Map<String, Object> report = new LinkedHashMap<>();
            report.put("path", file.toString());
            try {
                BilingualDocument document = FormatRegistry.ofInstalled()
                        .open(Source.of(file), Progress.NONE)
                        .document();
                describe(document, report);
                status = Math.max(
                        status, document.problems().isEmpty() ? ExitStatus.ALL_WELL : ExitStatus.FOUND_SOMETHING);
            } catch (CannotProceedException | IOException e) {
                report.put("error", SwapLane.message(e));
                System.err.println("swaplane: " + SwapLane.message(e));
                status = ExitStatus.COULD_NOT_RUN;
            }
            reports.add(report);
        }
        if (json) {
            Json.print(Map.of("files", reports));
        } else {
            reports.stream().filter(report -> !report.containsKey("error")).forEach(InspectCommand::print);
        }
        return status;
    }

    private static void describe(BilingualDocument document, Map<String, Object> report) {
        Counts counts = Counts.of(document.segments());
        Map<String, Integer> states = new LinkedHashMap<>();
        for (State state : State.values()) {
            states.put(state.name().toLowerCase(Locale.ROOT), counts.states().get(state));
        }
        report.put("format", document.format());
        report.put("encoding", document.encoding());
        report.put("sourceLanguage", document.sourceLanguage());
        report.put("targetLanguage", document.targetLanguage());
        report.put("units", counts.units());
        report.put("segments", counts.segments());
        report.put("words", counts.words());
        report.put("characters", counts.characters());
        report.put("tags", counts.tags());
        report.put("locked", counts.locked());
        report.put("states", states);
        report.put("prefilled", counts.prefilled());
        report.put(
                "problems", document.problems().stream().map(Problem::toString).toList());
    }

    private static void print(Map<String, Object> report) {
        report.forEach((key, value) -> System.out.printf(Locale.ROOT, "%-15s %s%n", key, value));
        System.out.println();
    }
}
