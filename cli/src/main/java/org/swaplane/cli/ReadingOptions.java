package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.EncodedText;
import org.swaplane.format.Source;
import picocli.CommandLine.Option;

/** How documents are read, shared by all commands that read them. */
final class ReadingOptions {
    @Option(
            names = "--reading",
            paramLabel = "JSON",
            description = "A file that says how documents are read: texts, placeholders, encoding (docs/guide.md).")
    private Path options;

    @Option(names = "--its-rules", paramLabel = "FILE", description = "ITS 2.0 rules for XML that holds none.")
    private Path itsRules;

    DocumentOptions document() throws IOException {
        DocumentOptions read = options == null
                ? DocumentOptions.DEFAULT
                : DocumentOptions.ofJson(options.toString(), Files.readString(options));
        return itsRules == null
                ? read
                : read.withItsRules(EncodedText.of(Source.of(itsRules)).readAll());
    }
}
