package org.swaplane.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.prefs.Preferences;
import javafx.application.Application;
import org.swaplane.demo.DemoLane;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneInUseException;

/** Starts the desktop. Each of these returns when its window is closed; one start for each process. */
public final class Desktop {
    private static final String LAST = "last-lane";

    private Desktop() {}

    /** With a fresh copy of the demo lane. */
    public static void openDemo() throws IOException {
        Path folder = Files.createTempDirectory("swaplane-demo");
        System.err.println("swaplane: the demo lane is in " + folder);
        SwapLaneApplication.start(DemoLane.createWithReturnedCopy(folder, Clock.systemUTC()), Optional.empty());
    }

    /** With a lane: the given one, made when its folder holds none; else that of last time; else a new one in the home folder. */
    public static void open(Optional<Path> lane) throws IOException {
        Preferences remembered = Preferences.userNodeForPackage(Desktop.class);
        Path home = Path.of(System.getProperty("user.home"), "Swap Lane");
        Path folder = lane.orElseGet(() -> Path.of(remembered.get(LAST, home.toString())))
                .toAbsolutePath();
        remembered.put(LAST, folder.toString());
        try {
            SwapLaneApplication.start(openOrCreate(folder), Optional.empty());
        } catch (LaneInUseException e) {
            SwapLaneApplication.start(
                    Lane.openForReading(folder, FormatRegistry.ofInstalled(), Clock.systemUTC()),
                    Optional.of(e.holder()));
        }
    }

    private static Lane openOrCreate(Path folder) throws IOException {
        FormatRegistry formats = FormatRegistry.ofInstalled();
        if (Lane.isIn(folder)) {
            return Lane.open(folder, formats, Clock.systemUTC());
        }
        Files.createDirectories(folder);
        return Lane.create(folder, folder.getFileName().toString(), formats, Clock.systemUTC());
    }

    /** Goes through the demo lane and leaves a PNG of each main view in {@code folder}. */
    public static void takePictures(Path folder) {
        PictureTour.into(folder);
        Application.launch(PictureTour.class);
    }
}
