package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.swaplane.convert.Conversion;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** From one format into another. */
@Command(
        name = "convert",
        description =
                "Converts by content and extension: XLIFF, TMX and delimited text into each other or into a review copy.")
final class ConvertCommand implements Callable<Integer> {
    @Parameters(paramLabel = "IN")
    private Path in;

    @Mixin
    private OutputOptions output;

    @Mixin
    private ReadingOptions reading;

    @Option(
            names = "--source",
            paramLabel = "LANG",
            description = "Source language, where IN does not say or has several.")
    private String sourceLanguage = "";

    @Option(
            names = "--target",
            paramLabel = "LANG",
            description = "Target language, where IN does not say or has several.")
    private String targetLanguage = "";

    @Option(names = "--old-xliff", description = "Writes XLIFF 1.2 instead of 2.1, for tools that know no newer one.")
    private boolean oldXliff;

    @Override
    public Integer call() throws IOException {
        FileOptions options =
                FileOptions.ofLanguages(sourceLanguage, targetLanguage).with(reading.document());
        Conversion conversion = new Conversion(FormatRegistry.ofInstalled(), options, oldXliff);
        output.write(conversion.writer(in, output.path(), Progress.NONE), in);
        return ExitStatus.ALL_WELL;
    }
}
