package org.swaplane.desktop.session;

import java.nio.file.Path;
import java.util.List;

/** Lets the user choose files; a test chooses by itself. */
public interface FilePicker {
    /** The files chosen, none when the user thought better of it. */
    List<Path> chooseFiles();
}
