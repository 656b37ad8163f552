package org.swaplane.desktop;

import java.nio.file.Path;
import java.util.Optional;

public final class Desktop {
    public static void openDemo() {}
    public static void open(Optional<Path> lane) {}
    public static void takePictures(Path folder) {}
}
