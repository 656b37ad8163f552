package org.swaplane.cli;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.swaplane.exchange.FileExchange;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.format.table.DocxReviewCopy;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

/** From one format into another. */
@Command(name = "convert", description = "Converts by content and extension: XLIFF to a review copy (DOCX).")
final class ConvertCommand implements Callable<Integer> {
    @Parameters(paramLabel = "IN")
    private Path in;

    @Mixin
    private OutputOptions output;

    @Override
    public Integer call() throws IOException {
        Source source = Source.of(in);
        BilingualFile file = FormatRegistry.ofInstalled().open(source, Progress.NONE);
        String extension = extension(output.path());
        if (extension.equals("docx")) {
            var copy = FileExchange.copy(source.name(), source.sha256(), file.document());
            output.write(out -> DocxReviewCopy.write(copy, out), in);
        } else if (extension.equals(extension(in))) {
            output.write(
                    out -> {
                        try (InputStream bytes = source.open()) {
                            bytes.transferTo(out);
                        }
                    },
                    in);
        } else {
            throw new CannotProceedException(
                    output.path().toString(),
                    "there is no way from " + file.document().format() + " to this extension",
                    "use .docx");
        }
        return ExitStatus.ALL_WELL;
    }

    private static String extension(Path path) {
        String name = path.getFileName().toString().toLowerCase(Locale.ROOT);
        return name.substring(name.lastIndexOf('.') + 1);
    }
}
