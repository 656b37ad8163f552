package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.memory.AnalysisReport;
import org.swaplane.memory.MemoryUse;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.memory.WordAnalysis;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Words by band. */
@Command(name = "analyze", description = "Counts words by band: repetitions, and matches of memories.")
final class AnalyzeCommand implements Callable<Integer> {
    @Parameters(arity = "1..*", paramLabel = "FILE")
    private List<Path> files;

    @Option(names = "--memory", arity = "1..*", paramLabel = "MEMORY", description = "The first has priority.")
    private List<Path> memories = List.of();

    @Mixin
    private ReportOptions report;

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Override
    public Integer call() throws IOException {
        report.check();
        List<TranslationMemory> open = new ArrayList<>();
        Map<String, Map<WordAnalysis.Band, WordAnalysis.Amount>> amounts = new LinkedHashMap<>();
        try {
            for (Path memory : memories) {
                open.add(TranslationMemory.open(memory));
            }
            WordAnalysis analysis = new WordAnalysis(MemoryUse.of(open));
            for (Path file : files) {
                amounts.put(
                        file.toString(),
                        analysis.next(
                                        FormatRegistry.ofInstalled()
                                                .open(Source.of(file), Progress.NONE)
                                                .document(),
                                        Progress.NONE)
                                .amounts());
            }
        } finally {
            for (TranslationMemory each : open) {
                each.close();
            }
        }
        Map<WordAnalysis.Band, WordAnalysis.Amount> total = total(amounts);
        report.write(() -> AnalysisReport.of(amounts, total));
        if (json) {
            List<Map<String, Object>> entries = new ArrayList<>();
            amounts.forEach((path, bands) -> {
                Map<String, Object> entry = new LinkedHashMap<>();
                entry.put("path", path);
                entry.putAll(entry(bands));
                entries.add(entry);
            });
            Json.print(Map.of("files", entries, "total", entry(total)));
        } else {
            total.forEach((band, amount) -> System.out.println(
                    band.word() + ": " + amount.segments() + " segments, " + amount.words() + " words"));
        }
        return ExitStatus.ALL_WELL;
    }

    private static Map<WordAnalysis.Band, WordAnalysis.Amount> total(
            Map<String, Map<WordAnalysis.Band, WordAnalysis.Amount>> amounts) {
        Map<WordAnalysis.Band, WordAnalysis.Amount> total = new EnumMap<>(WordAnalysis.Band.class);
        amounts.values()
                .forEach(each -> each.forEach((band, amount) -> total.merge(band, amount, WordAnalysis.Amount::plus)));
        return total;
    }

    private static Map<String, Object> entry(Map<WordAnalysis.Band, WordAnalysis.Amount> amounts) {
        Map<String, Object> bands = new LinkedHashMap<>();
        Map<String, Object> apart = new LinkedHashMap<>();
        WordAnalysis.Amount sum = WordAnalysis.Amount.NOTHING;
        for (Map.Entry<WordAnalysis.Band, WordAnalysis.Amount> each : amounts.entrySet()) {
            (each.getKey().isWork() ? bands : apart).put(each.getKey().word(), numbers(each.getValue()));
            sum = each.getKey().isWork() ? sum.plus(each.getValue()) : sum;
        }
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("bands", bands);
        entry.putAll(apart);
        entry.put("total", numbers(sum));
        return entry;
    }

    private static Map<String, Integer> numbers(WordAnalysis.Amount amount) {
        Map<String, Integer> numbers = new LinkedHashMap<>();
        numbers.put("segments", amount.segments());
        numbers.put("words", amount.words());
        numbers.put("characters", amount.characters());
        return numbers;
    }
}
