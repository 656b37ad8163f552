package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.proof.DryRun;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Pseudo-translates a file into the same format. */
@Command(name = "pseudo", description = "Pseudo-translates a file into the same format.")
final class PseudoCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE")
    private Path file;

    @Mixin
    private OutputOptions output;

    @Mixin
    private ReadingOptions reading;

    @Option(names = "--target", paramLabel = "LANG", description = "Target language, where FILE does not name one.")
    private String targetLanguage = "";

    @Override
    public Integer call() throws IOException {
        FormatRegistry formats = FormatRegistry.ofInstalled();
        BilingualFile bilingual = formats.open(
                Source.of(file), FileOptions.ofLanguages("", targetLanguage).with(reading.document()), Progress.NONE);
        var edits = DryRun.withDefaults(formats).pseudoEdits(bilingual.document());
        output.write(out -> bilingual.write(edits, out, Progress.NONE), file);
        return ExitStatus.ALL_WELL;
    }
}
