package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.memory.AlignedDocuments;
import org.swaplane.memory.AlignedPair;
import org.swaplane.memory.MemoryTransfer;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Makes a memory out of a finished document and its translation. */
@Command(name = "align", description = "Pairs the segments of two finished documents and writes them as TMX.")
final class AlignCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "SOURCE")
    private Path source;

    @Parameters(index = "1", paramLabel = "TARGET")
    private Path target;

    @Option(names = "--source", required = true, paramLabel = "LANG")
    private String sourceLanguage;

    @Option(names = "--target", required = true, paramLabel = "LANG")
    private String targetLanguage;

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Mixin
    private OutputOptions output;

    @Override
    public Integer call() throws IOException {
        AlignedDocuments aligned = AlignedDocuments.of(
                Source.of(source),
                Source.of(target),
                sourceLanguage,
                targetLanguage,
                FormatRegistry.ofInstalled(),
                Progress.NONE);
        output.write(out -> MemoryTransfer.write(aligned.units(), out), source, target);
        if (json) {
            Json.print(Map.of(
                    "pairs", aligned.pairs().stream().map(AlignCommand::entry).toList()));
        } else {
            long pairs = aligned.pairs().stream().filter(AlignedPair::isPair).count();
            System.out.println(
                    pairs + " pairs, " + (aligned.pairs().size() - pairs) + " segments without a counterpart");
        }
        return ExitStatus.ALL_WELL;
    }

    private static Map<String, Object> entry(AlignedPair pair) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("source", fromOne(pair.source()));
        entry.put("target", fromOne(pair.target()));
        entry.put("confidence", pair.confidence());
        return entry;
    }

    private static List<Integer> fromOne(List<Integer> positions) {
        return positions.stream().map(position -> position + 1).toList();
    }
}
