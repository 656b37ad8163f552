package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.convert.FileVersions;
import org.swaplane.document.Segment;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;
import org.swaplane.version.Outcome;
import org.swaplane.version.SegmentMatch;
import org.swaplane.version.VersionComparison;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** What changed between two versions of a file. */
@Command(name = "compare", description = "Says what changed between two versions of a document or bilingual file.")
final class CompareCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "OLD")
    private Path old;

    @Parameters(index = "1", paramLabel = "NEW")
    private Path now;

    @Mixin
    private ReportOptions report;

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Mixin
    private ReadingOptions reading;

    @Override
    public Integer call() throws IOException {
        report.check();
        VersionComparison comparison = new FileVersions(FormatRegistry.ofInstalled())
                .compare(Source.of(old), Source.of(now), FileOptions.NONE.with(reading.document()), Progress.NONE);
        report.write(comparison::report);
        if (json) {
            Json.print(entry(comparison));
        } else {
            print(comparison);
        }
        return comparison.isSame() ? ExitStatus.ALL_WELL : ExitStatus.FOUND_SOMETHING;
    }

    private Map<String, Object> entry(VersionComparison comparison) {
        List<Map<String, Object>> segments = new ArrayList<>();
        for (SegmentMatch match : comparison.alignment().matches()) {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("outcome", match.outcome().word());
            entry.put("old", keys(match.old(), comparison.old().segments()));
            entry.put("new", keys(match.now(), comparison.now().segments()));
            entry.put("similarity", match.similarity());
            entry.put("sourceBefore", comparison.sourceBefore(match));
            entry.put("sourceNow", comparison.sourceNow(match));
            segments.add(entry);
        }
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("old", old.toString());
        all.put("new", now.toString());
        all.put("segments", segments);
        all.put("counts", byWord(comparison.alignment().counts()));
        all.put(
                "words",
                byWord(comparison
                        .alignment()
                        .words(comparison.old().segments(), comparison.now().segments())));
        return all;
    }

    private static List<String> keys(List<Integer> indexes, List<Segment> segments) {
        return indexes.stream().map(index -> segments.get(index).key()).toList();
    }

    private static Map<String, Integer> byWord(Map<Outcome, Integer> counts) {
        Map<String, Integer> byWord = new LinkedHashMap<>();
        counts.forEach((outcome, count) -> byWord.put(outcome.word(), count));
        return byWord;
    }

    private static void print(VersionComparison comparison) {
        Map<Outcome, Integer> words = comparison
                .alignment()
                .words(comparison.old().segments(), comparison.now().segments());
        comparison
                .alignment()
                .counts()
                .forEach((outcome, count) -> System.out.println(
                        outcome.word() + ": " + count + " segments, " + words.get(outcome) + " words"));
        int others = comparison.otherTranslations().size();
        if (others > 0) {
            System.out.println("translations that differ: " + others);
        }
        for (SegmentMatch match : comparison.alignment().matches()) {
            if (match.outcome() != Outcome.UNCHANGED) {
                System.out.println();
                System.out.println(match.outcome().word() + numbers(match));
                comparison.sourceBefore(match).lines().forEach(line -> System.out.println("- " + line));
                comparison.sourceNow(match).lines().forEach(line -> System.out.println("+ " + line));
            }
        }
    }

    private static String numbers(SegmentMatch match) {
        String before = match.old().isEmpty() ? "" : " " + (match.old().get(0) + 1);
        String after = match.now().isEmpty() ? "" : " to " + (match.now().get(0) + 1);
        return before + after + (match.outcome() == Outcome.CHANGED ? " (" + match.similarity() + " %)" : "");
    }
}
