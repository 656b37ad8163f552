package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.swaplane.convert.Merge;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

/** The target document from the original document and its translated bilingual file. */
@Command(name = "merge", description = "Writes the target document from a document and its translated bilingual file.")
final class MergeCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "DOCUMENT")
    private Path document;

    @Parameters(index = "1", paramLabel = "BILINGUAL")
    private Path bilingual;

    @Mixin
    private OutputOptions output;

    @Mixin
    private ReadingOptions reading;

    @Override
    public Integer call() throws IOException {
        Merge merge = new Merge(
                FormatRegistry.ofInstalled(),
                Source.of(document),
                reading.document(),
                Source.of(bilingual),
                Progress.NONE);
        output.write(merge::write, document, bilingual);
        merge.problems().forEach(System.out::println);
        return merge.problems().isEmpty() ? ExitStatus.ALL_WELL : ExitStatus.FOUND_SOMETHING;
    }
}
