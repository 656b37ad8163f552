package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.memory.Filling;
import org.swaplane.memory.MemoryMatch;
import org.swaplane.memory.MemoryUse;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Fills a bilingual file from memories. */
@Command(name = "fill", description = "Fills a bilingual file from memories; fuzzy matches are proposed only.")
final class FillCommand implements Callable<Integer> {
    private static final int LEAST_MIN = 50;

    @Parameters(paramLabel = "FILE")
    private Path file;

    @Option(
            names = "--memory",
            required = true,
            arity = "1..*",
            paramLabel = "MEMORY",
            description = "The first has priority.")
    private List<Path> memories;

    @Option(names = "--min", defaultValue = "100", paramLabel = "N", description = "Least score.")
    private int least;

    @Option(names = "--over", defaultValue = "empty", paramLabel = "WHAT", description = "empty, copies or translated")
    private Over over;

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Mixin
    private OutputOptions output;

    /** What may be written over; the names are those of the option's values. */
    enum Over {
        empty,
        copies,
        translated
    }

    @Override
    public Integer call() throws IOException {
        MemoryCommand.requireMin(least, LEAST_MIN);
        BilingualFile read = FormatRegistry.ofInstalled().open(Source.of(file), Progress.NONE);
        if (read instanceof DocumentFile) {
            throw new CannotProceedException(file.toString(), "command.no-target-to-check");
        }
        List<TranslationMemory> open = new ArrayList<>();
        try {
            for (Path memory : memories) {
                open.add(TranslationMemory.open(memory));
            }
            Filling.Outcome outcome = new Filling(
                            MemoryUse.of(open),
                            least,
                            Filling.Over.valueOf(over.name().toUpperCase(Locale.ROOT)))
                    .of(read.document(), Progress.NONE);
            output.write(out -> read.write(outcome.edits(), out, Progress.NONE), file);
            report(outcome);
        } finally {
            for (TranslationMemory each : open) {
                each.close();
            }
        }
        return ExitStatus.ALL_WELL;
    }

    private void report(Filling.Outcome outcome) throws IOException {
        Map<String, Integer> byKind = new LinkedHashMap<>();
        for (MemoryMatch.Kind kind : MemoryMatch.Kind.values()) {
            byKind.put(kind.name().toLowerCase(Locale.ROOT), outcome.filled().getOrDefault(kind, 0));
        }
        Map<String, Integer> skipped = new LinkedHashMap<>();
        skipped.put("locked", outcome.skipped().get(Filling.Skipped.LOCKED));
        skipped.put("reviewed", outcome.skipped().get(Filling.Skipped.REVIEWED));
        skipped.put("translated", outcome.skipped().get(Filling.Skipped.TRANSLATED));
        skipped.put("belowMin", outcome.skipped().get(Filling.Skipped.BELOW_MIN));
        int filled = byKind.values().stream().mapToInt(Integer::intValue).sum();
        if (json) {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("filled", filled);
            entry.put("byKind", byKind);
            entry.put("skipped", skipped);
            Json.print(entry);
        } else {
            System.out.println("filled: " + filled);
            skipped.forEach((reason, count) -> System.out.println("skipped, " + reason + ": " + count));
        }
    }
}
