package org.swaplane.cli;

import java.io.IOException;
import java.util.concurrent.Callable;
import org.swaplane.desktop.Desktop;
import org.swaplane.wording.InterfaceTranslation;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** The desktop with a fresh copy of the demo lane. */
@Command(name = "demo", description = "Opens the desktop with a fresh copy of the demo lane.")
final class DemoCommand implements Callable<Integer> {
    @Option(
            names = "--ui-language",
            paramLabel = "LANG",
            description = "Language of the interface: pseudo, to see what is clipped or not translatable.")
    private String language = "";

    @Override
    public Integer call() throws IOException {
        if (!language.isEmpty()) {
            System.setProperty(InterfaceTranslation.PROPERTY, language);
        }
        Desktop.openDemo();
        return ExitStatus.ALL_WELL;
    }
}
