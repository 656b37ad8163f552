package org.swaplane.desktop.session;

import java.net.URI;
import java.nio.file.Path;

/** Opens a file, a page or a mail in the program that the desktop has for its kind. */
public interface FileOpener {
    void open(URI address);

    default void open(Path file) {
        open(file.toUri());
    }
}
