package org.swaplane.cli;

import java.io.IOException;
import java.util.concurrent.Callable;
import org.swaplane.desktop.Desktop;
import picocli.CommandLine.Command;

/** The desktop with a fresh copy of the demo lane. */
@Command(name = "demo", description = "Opens the desktop with a fresh copy of the demo lane.")
final class DemoCommand implements Callable<Integer> {
    @Override
    public Integer call() throws IOException {
        Desktop.openDemo();
        return ExitStatus.ALL_WELL;
    }
}
