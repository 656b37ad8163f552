package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.swaplane.convert.Conversion;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.task.CannotProceedException;
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

    @Option(
            names = "--xliff",
            paramLabel = "VERSION",
            description =
                    "Version of XLIFF that is written: 1.2 or 2.1. Without it, 2.1, and an XLIFF file stays as it is.")
    private String version = "";

    @Option(names = "--old-xliff", description = "The same as --xliff 1.2.")
    private boolean oldXliff;

    private Optional<Conversion.XliffVersion> xliff() {
        return switch (oldXliff && version.isEmpty() ? "1.2" : version) {
            case "" -> Optional.empty();
            case "1.2" -> Optional.of(Conversion.XliffVersion.V1_2);
            case "2.1" -> Optional.of(Conversion.XliffVersion.V2_1);
            default ->
                throw new CannotProceedException(
                        "--xliff", "'" + version + "' is no version that is written", "give 1.2 or 2.1");
        };
    }

    @Override
    public Integer call() throws IOException {
        FileOptions options =
                FileOptions.ofLanguages(sourceLanguage, targetLanguage).with(reading.document());
        Conversion conversion = new Conversion(FormatRegistry.ofInstalled(), options, xliff());
        output.write(conversion.writer(in, output.path(), Progress.NONE), in);
        return ExitStatus.ALL_WELL;
    }
}
