package org.swaplane.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import javafx.util.Duration;
import org.swaplane.check.Profile;
import org.swaplane.desktop.Window;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneWriter;
import org.swaplane.task.Progress;

/**
 * Types into the real window over a large file, with memory, terms, spelling and checks on: the time from a key to the end of the layout that
 * shows it, and from the key that changes the segment.
 */
public final class TypingRun extends Application {
    private static final double NANOS_PER_MILLI = 1e6;
    private static final double NINETY_FIVE = 0.95;
    private static final int PAUSE = 60;
    private static final int MEMORY = 20_000;
    private static final String LETTERS = "abend fahren wir nach gullwick ";

    private LaneSession session;
    private Scene scene;
    private final List<Double> letters = new ArrayList<>();
    private final List<Double> changes = new ArrayList<>();
    private int typed;
    private int changed;

    private int argument(int index, int otherwise) {
        List<String> all = getParameters().getRaw();
        return index < all.size() ? Integer.parseInt(all.get(index)) : otherwise;
    }

    @Override
    public void start(Stage stage) throws IOException {
        Path folder = Files.createTempDirectory("swaplane-bench");
        Lane lane = Lane.create(folder.resolve("lane"), "Bench", FormatRegistry.ofInstalled(), Clock.systemUTC());
        Path file = GeneratedFile.XLIFF_12.write(argument(0, 100_000));
        Path memory = folder.resolve("memory.tmx");
        GeneratedFile.TMX.write(memory, 1, MEMORY);
        Path terms =
                Files.writeString(folder.resolve("terms.csv"), "en,de,forbidden\nferry,Fähre,Boot\nluggage,Gepäck,\n");
        lane.trackStore().takeIn(Source.of(file), FileOptions.NONE, Progress.NONE);
        lane.memories().take(Source.of(memory), Optional.empty(), Progress.NONE);
        lane.references().keepTermList(Source.of(terms));
        LaneWriter.await(
                lane.settings().setProfile(lane.settings().profile().withDictionaries(Map.of("de", Profile.SHIPPED))));
        session = new LaneSession(lane, PersonSettings.none());
        session.viewProperty().set(ViewId.REVIEW);
        scene = Window.scene(session, List::of, address -> {});
        stage.setScene(scene);
        stage.show();
        whenIdle(() -> {
            session.currentProperty().set(argument(0, 100_000) / 2);
            whenIdle(this::type);
        });
    }

    private static void later(Runnable next) {
        PauseTransition pause = new PauseTransition(Duration.millis(PAUSE));
        pause.setOnFinished(event -> next.run());
        pause.play();
    }

    private void whenIdle(Runnable next) {
        later(() -> {
            if (session.background().busyProperty().get() || !session.checking().isMade()) {
                whenIdle(next);
            } else {
                later(next);
            }
        });
    }

    /** One letter after the other, faster than people type. */
    private void type() {
        if (typed == argument(1, 300)) {
            change();
            return;
        }
        String letter = LETTERS.substring(typed % LETTERS.length(), typed % LETTERS.length() + 1);
        typed++;
        measured(letters, this::type, editor -> {
            fire(editor, KeyEvent.KEY_PRESSED, "", KeyCode.UNDEFINED, false);
            fire(editor, KeyEvent.KEY_TYPED, letter, KeyCode.UNDEFINED, false);
        });
    }

    private void change() {
        if (changed == argument(2, 100)) {
            say("letter", letters);
            say("segment", changes);
            session.close();
            Platform.exit();
            return;
        }
        changed++;
        measured(changes, this::change, editor -> fire(editor, KeyEvent.KEY_PRESSED, "", KeyCode.DOWN, true));
    }

    private interface Key {
        void press(Node editor);
    }

    private void measured(List<Double> times, Runnable next, Key key) {
        long begin = System.nanoTime();
        Runnable[] drawn = new Runnable[1];
        drawn[0] = () -> {
            scene.removePostLayoutPulseListener(drawn[0]);
            times.add((System.nanoTime() - begin) / NANOS_PER_MILLI);
            later(next);
        };
        key.press(scene.getFocusOwner());
        scene.addPostLayoutPulseListener(drawn[0]);
        Platform.requestNextPulse();
    }

    private static void fire(Node at, EventType<KeyEvent> type, String letter, KeyCode code, boolean alt) {
        Event.fireEvent(at, new KeyEvent(type, letter, letter, code, false, false, alt, false));
    }

    private static void say(String what, List<Double> times) {
        double[] sorted =
                times.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        System.out.printf(
                Locale.ROOT,
                "%s: %d, median %.1f ms, 95 %% %.1f ms, longest %.1f ms%n",
                what,
                sorted.length,
                sorted[sorted.length / 2],
                sorted[(int) (sorted.length * NINETY_FIVE)],
                Arrays.stream(sorted).max().orElse(0));
    }
}
