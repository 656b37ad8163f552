package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.swaplane.convert.Conversion;
import org.swaplane.convert.CopyConversion;
import org.swaplane.convert.CopyOptions;
import org.swaplane.exchange.DueTime;
import org.swaplane.exchange.RowSelection;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewCopyFormat;
import org.swaplane.reviewcopy.ReviewCopyFormats;
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
    @Parameters(arity = "1..*", paramLabel = "IN", description = "One file; several for one review copy.")
    private List<Path> in;

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

    @Option(
            names = "--select",
            paramLabel = "SELECTION",
            description = "What of it goes into a review copy: rows:10-40, state:initial,translated, findings, changed,"
                    + " words:500; joined by + where all must hold.")
    private String select = "";

    @Option(names = "--to", paramLabel = "NAME", description = "Whom a review copy is for.")
    private String recipient = "";

    @Option(names = "--due", paramLabel = "DATE", description = "Until when a review copy is wanted: 2026-12-04.")
    private String due = "";

    @Option(names = "--instructions", paramLabel = "FILE", description = "A text that stands on top of a review copy.")
    private Path instructions;

    private Optional<Conversion.XliffVersion> xliff() {
        return switch (oldXliff && version.isEmpty() ? "1.2" : version) {
            case "" -> Optional.empty();
            case "1.2" -> Optional.of(Conversion.XliffVersion.V1_2);
            case "2.1" -> Optional.of(Conversion.XliffVersion.V2_1);
            default -> throw new CannotProceedException("--xliff", "command.xliff-version", version);
        };
    }

    @Override
    public Integer call() throws IOException {
        FileOptions options =
                FileOptions.ofLanguages(sourceLanguage, targetLanguage).with(reading.document());
        if (Conversion.isCopy(in, output.path())) {
            return writeCopies(options);
        }
        refuseWithoutCopy();
        Conversion conversion = new Conversion(FormatRegistry.ofInstalled(), options, xliff());
        output.write(conversion.writer(in.get(0), output.path(), Progress.NONE), in.get(0));
        return ExitStatus.ALL_WELL;
    }

    private int writeCopies(FileOptions options) throws IOException {
        ReviewCopyFormat format = ReviewCopyFormats.ofInstalled()
                .byExtension(Conversion.extension(output.path()))
                .orElseThrow();
        CopyOptions copy = new CopyOptions(
                select.isEmpty() ? RowSelection.ALL : RowSelection.parse(select), recipient, date(), said(), 0);
        List<ReviewCopy> copies = new CopyConversion(FormatRegistry.ofInstalled(), options, copy)
                .copies(in, format.mostRows(), Progress.NONE);
        for (int i = 0; i < copies.size(); i++) {
            ReviewCopy one = copies.get(i);
            output.write(i + 1, copies.size(), bytes -> format.write(one, bytes), in);
        }
        return ExitStatus.ALL_WELL;
    }

    private void refuseWithoutCopy() {
        boolean ofCopy = !select.isEmpty() || !recipient.isEmpty() || !due.isEmpty() || instructions != null;
        if (in.size() > 1 || ofCopy) {
            throw new CannotProceedException(
                    output.path().toString(),
                    in.size() > 1 ? "command.several-need-copy" : "command.options-of-copies");
        }
    }

    /** A date with or without a time, as it was given. */
    private String date() {
        if (!due.isEmpty() && DueTime.parse(due).isEmpty()) {
            throw new CannotProceedException("--due", "command.no-date", due);
        }
        return due;
    }

    private List<String> said() throws IOException {
        if (instructions == null) {
            return List.of();
        }
        return EncodedText.of(Source.of(instructions))
                .readAll()
                .lines()
                .filter(line -> !line.isBlank())
                .toList();
    }
}
