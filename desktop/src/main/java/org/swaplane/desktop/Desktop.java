package org.swaplane.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import javafx.application.Application;
import org.swaplane.demo.DemoLane;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.Lane;

/** Starts the desktop. Each of these returns when its window is closed; one start for each process. */
public final class Desktop {
    private Desktop() {}

    /** With a fresh copy of the demo lane. */
    public static void openDemo() throws IOException {
        Path folder = Files.createTempDirectory("swaplane-demo");
        System.err.println("swaplane: the demo lane is in " + folder);
        Lane lane = DemoLane.createWithReturnedCopy(folder, Clock.systemUTC());
        SwapLaneApplication.start(Optional.of(new LaneWindows.Opened(lane, Optional.empty())));
    }

    /** With the list of all lanes, or with a lane: the given one, by its folder or a file in it, made when the folder holds none. */
    public static void open(Optional<Path> lane) throws IOException {
        if (lane.isEmpty()) {
            SwapLaneApplication.start(Optional.empty());
            return;
        }
        Path folder = LaneWindows.folderOf(lane.get());
        SwapLaneApplication.start(Optional.of(
                Lane.isIn(folder)
                        ? LaneWindows.openLane(folder)
                        : new LaneWindows.Opened(create(folder), Optional.empty())));
    }

    private static Lane create(Path folder) throws IOException {
        Files.createDirectories(folder);
        return Lane.create(folder, folder.getFileName().toString(), FormatRegistry.ofInstalled(), Clock.systemUTC());
    }

    /** Goes through the demo lane and leaves a PNG of each main view in {@code folder}. */
    public static void takePictures(Path folder) {
        PictureTour.into(folder);
        Application.launch(PictureTour.class);
    }
}
