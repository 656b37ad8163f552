package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Counts;
import org.swaplane.document.Problem;
import org.swaplane.document.State;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

/** What each file is. */
@Command(
        name = "inspect",
        description = "Says what each file is: format, languages, segments, words, states, problems.")
final class InspectCommand implements Callable<Integer> {
    @Mixin
    private FileReports files;

    @Override
    public Integer call() throws IOException {
        return files.runOnDocuments(this::describe);
    }

    private boolean describe(Path file, BilingualDocument document, Map<String, Object> report) {
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
        if (!files.json()) {
            print(report);
        }
        return !document.problems().isEmpty();
    }

    private static void print(Map<String, Object> report) {
        report.forEach((key, value) -> System.out.printf(Locale.ROOT, "%-15s %s%n", key, value));
        System.out.println();
    }
}
