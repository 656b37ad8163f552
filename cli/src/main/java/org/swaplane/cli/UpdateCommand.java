package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.convert.FileVersions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;
import org.swaplane.version.CarryOver;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Carries translations over to a new version. */
@Command(
        name = "update",
        description = "Carries the translations of a bilingual file over to a new version of it or of its document.")
final class UpdateCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "TRANSLATED")
    private Path translated;

    @Parameters(index = "1", paramLabel = "NEW")
    private Path now;

    @Option(names = "--lock", description = "Lock what is unchanged and translated.")
    private boolean lock;

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Mixin
    private OutputOptions output;

    @Override
    public Integer call() throws IOException {
        FileVersions.Updated updated = new FileVersions(FormatRegistry.ofInstalled())
                .update(Source.of(translated), Source.of(now), lock, Progress.NONE);
        output.write(updated.writer(), translated, now);
        Map<String, Integer> counts = new LinkedHashMap<>();
        counts.put("carried", updated.counts().get(CarryOver.Kind.CARRIED));
        counts.put("carriedMoved", updated.counts().get(CarryOver.Kind.CARRIED_MOVED));
        counts.put("proposed", updated.counts().get(CarryOver.Kind.PROPOSED));
        counts.put("left", updated.counts().get(CarryOver.Kind.LEFT));
        counts.put("resegmented", updated.counts().get(CarryOver.Kind.RESEGMENTED));
        if (json) {
            Json.print(counts);
        } else {
            counts.forEach((name, count) -> System.out.println(name + ": " + count));
        }
        return ExitStatus.ALL_WELL;
    }
}
