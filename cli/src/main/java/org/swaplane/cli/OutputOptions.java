package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
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
                throw new CannotProceedException(out.toString(), "command.is-input");
            }
        }
        NewFile.write(out, force, writer);
    }

    /** Writes one of several pieces of OUT, which are named after it: {@code copy-1of3.docx}. */
    void write(int piece, int pieces, NewFile.Writer writer, List<Path> inputs) throws IOException {
        if (pieces == 1) {
            write(writer, inputs.toArray(Path[]::new));
            return;
        }
        String name = out.getFileName().toString();
        int dot = name.lastIndexOf('.');
        Path path = out.resolveSibling(name.substring(0, dot) + '-' + piece + "of" + pieces + name.substring(dot));
        NewFile.write(path, force, writer);
        System.err.println(path);
    }
}
