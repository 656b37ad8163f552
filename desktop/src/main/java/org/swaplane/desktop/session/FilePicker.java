package org.swaplane.desktop.session;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Lets the user choose files; a test chooses by itself. */
public interface FilePicker {
    /** The files chosen, none when the user thought better of it. */
    List<Path> chooseFiles();

    /** A folder to put files into; empty when the user thought better of it. */
    default Optional<Path> chooseFolder() {
        return Optional.empty();
    }

    /** Where to save a file that is suggested to be called {@code name}; empty when the user thought better of it. */
    default Optional<Path> chooseTarget(String name) {
        return Optional.empty();
    }
}
