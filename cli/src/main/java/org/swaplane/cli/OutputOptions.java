package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.swaplane.format.NewFile;
import org.swaplane.task.CannotProceedException;
import picocli.CommandLine.Option;

/** Where a command writes its result, shared by all that do. */
final class OutputOptions {
    @Option(names = "-o", required = true, paramLabel = "OUT", description = "The file to write.")
    private Path out;

    @Option(names = "--force", description = "Replace OUT when it exists.")
    private boolean force;

    Path path() {
        return out;
    }

    /** Writes OUT whole or not at all; never over one of the inputs. */
    void write(NewFile.Writer writer, Path... inputs) throws IOException {
        for (Path input : inputs) {
            if (Files.exists(out) && Files.isSameFile(out, input)) {
                throw new CannotProceedException(
                        out.toString(), "this is the input, which is never changed", "choose another name");
            }
        }
        NewFile.write(out, force, writer);
    }
}
