package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.swaplane.desktop.Desktop;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** The desktop. */
@Command(name = "open", description = "Opens the desktop, with LANE or with the list of all lanes.")
final class OpenCommand implements Callable<Integer> {
    @Parameters(
            arity = "0..1",
            paramLabel = "LANE",
            description = "The folder of a lane, or a file in it; a new lane is made where there is none.")
    private Optional<Path> lane;

    @Override
    public Integer call() throws IOException {
        Desktop.open(lane);
        return ExitStatus.ALL_WELL;
    }
}
