package org.swaplane.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.swaplane.desktop.Window;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.Lane;
import org.swaplane.lane.Track;
import org.swaplane.task.Progress;

/**
 * A lane as large as real ones: {@code LaneBench FOLDER FILES SEGMENTS}. The lane is made in the folder when none is there. Needs a
 * display; prints how long the window takes, how long a track, how long a key while everything is checked, and the heap.
 */
final class LaneBench {
    private static final int KEYS = 150;
    private static final long BETWEEN_KEYS_MILLIS = 60;

    private final Lane lane;
    private LaneSession session;
    private Scene scene;

    private LaneBench(Lane lane) {
        this.lane = lane;
    }

    public static void main(String[] arguments) throws Exception {
        Path folder = Path.of(arguments[0]);
        if (!Lane.isIn(folder)) {
            make(folder, Integer.parseInt(arguments[1]), Integer.parseInt(arguments[2]));
            System.out.println("the lane is made; start again to measure it");
            return;
        }
        Lane lane = Lane.open(folder, FormatRegistry.ofInstalled(), Clock.systemUTC());
        new LaneBench(lane).run();
        System.exit(0);
    }

    private static void make(Path folder, int files, int segments) throws IOException {
        Path drafts = Files.createTempDirectory("swaplane-bench");
        try (Lane lane = Lane.create(folder, "Marram Sound Ferries", FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            int each = segments / files;
            for (int i = 0; i < files; i++) {
                Path file = drafts.resolve(String.format("timetable-%03d.xlf", i));
                GeneratedFile.XLIFF_12.write(file, i * each, each);
                lane.trackStore()
                        .takeIn(Source.of(file), FileOptions.NONE, Progress.NONE)
                        .unload();
                Files.delete(file);
            }
        }
        try (Stream<Path> left = Files.list(drafts)) {
            left.forEach(LaneBench::delete);
        }
        Files.delete(drafts);
    }

    private static void delete(Path path) {
        try {
            Files.delete(path);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void run() throws Exception {
        long started = ManagementFactory.getRuntimeMXBean().getStartTime();
        Platform.startup(() -> {});
        CountDownLatch drawn = new CountDownLatch(1);
        on(() -> {
            session = new LaneSession(lane);
            scene = Window.scene(session, List::of, file -> {});
            Stage stage = new Stage();
            stage.setScene(scene);
            stage.setWidth(1280);
            stage.setHeight(800);
            scene.addPostLayoutPulseListener(drawn::countDown);
            stage.show();
            return null;
        });
        drawn.await();
        print("window, after the start of the machine", System.currentTimeMillis() - started, "ms");

        Track chosen = lane.tracks().get(lane.tracks().size() / 2);
        long before = System.nanoTime();
        on(() -> {
            session.choose(chosen);
            session.viewProperty().set(ViewId.REVIEW);
            return null;
        });
        until(() -> session.snapshot() != null && session.track() == chosen && editor() != null);
        print("first track, until its editor is there", (System.nanoTime() - before) / 1_000_000, "ms");
        until(() -> !session.background().busyProperty().get());

        List<Double> nothing = type("");
        print("the window drawn without a key, 95 of 100", nothing.get(nothing.size() * 95 / 100), "ms");
        List<Double> alone = type("x");
        print("a key to the screen while nothing else runs, 95 of 100", alone.get(alone.size() * 95 / 100), "ms");
        on(() -> {
            session.checking().checkAll();
            return null;
        });
        List<Double> keys = type("x");
        print("a key to the screen while all is checked, 95 of 100", keys.get(keys.size() * 95 / 100), "ms");
        print("  the same, half of them", keys.get(keys.size() / 2), "ms");
        before = System.nanoTime();
        until(() -> !session.background().busyProperty().get());
        print("checks of the lane went on for", (System.nanoTime() - before) / 1_000_000, "ms");
        for (int i = 0; i < 3; i++) {
            System.gc();
            Thread.sleep(200);
        }
        Runtime runtime = Runtime.getRuntime();
        print("heap, all tracks read and checked", (runtime.totalMemory() - runtime.freeMemory()) >> 20, "MB");
        session.close();
    }

    /** How long it takes from a letter to the layout of the next frame; no letter, no change: what the machine takes for itself. */
    private List<Double> type(String letter) throws Exception {
        List<Double> millis = new ArrayList<>();
        for (int i = 0; i < KEYS; i++) {
            CountDownLatch shown = new CountDownLatch(1);
            long before = System.nanoTime();
            on(() -> {
                Runnable[] listener = new Runnable[1];
                listener[0] = () -> {
                    scene.removePostLayoutPulseListener(listener[0]);
                    shown.countDown();
                };
                scene.addPostLayoutPulseListener(listener[0]);
                Node editor = editor();
                editor.requestFocus();
                if (!letter.isEmpty()) {
                    editor.fireEvent(new KeyEvent(
                            KeyEvent.KEY_TYPED, letter, letter, KeyCode.UNDEFINED, false, false, false, false));
                }
                Platform.requestNextPulse();
                return null;
            });
            shown.await();
            millis.add((System.nanoTime() - before) / 1_000_000.0);
            Thread.sleep(BETWEEN_KEYS_MILLIS);
        }
        Collections.sort(millis);
        return millis;
    }

    private Node editor() {
        return scene.lookup("#target-editor");
    }

    private static <T> T on(Callable<T> work) throws Exception {
        FutureTask<T> task = new FutureTask<>(work);
        Platform.runLater(task);
        return task.get();
    }

    private static void until(Callable<Boolean> condition) throws Exception {
        while (!on(condition)) {
            Thread.sleep(5);
        }
    }

    private static void print(String what, Number value, String unit) {
        System.out.printf("%-55s %8.1f %s%n", what, value.doubleValue(), unit);
    }
}
