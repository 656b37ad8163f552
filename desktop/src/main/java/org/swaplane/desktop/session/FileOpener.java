package org.swaplane.desktop.session;

import java.nio.file.Path;

/** Opens a file in the program that the desktop has for its kind. */
public interface FileOpener {
    void open(Path file);
}
