package org.swaplane.cli;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.swaplane.desktop.Desktop;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Pictures of the main views over the demo lane. */
@Command(
        name = "screenshots",
        description = "Runs the desktop over the demo lane and renews the pictures of the main views.")
final class ScreenshotsCommand implements Callable<Integer> {
    @Option(
            names = "--folder",
            defaultValue = "docs/screenshots",
            description = "Where the pictures go (default: ${DEFAULT-VALUE}).")
    private Path folder;

    @Override
    public Integer call() {
        Desktop.takePictures(folder);
        return ExitStatus.ALL_WELL;
    }
}
