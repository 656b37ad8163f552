package org.swaplane.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import org.swaplane.check.Profile;
import org.swaplane.content.TagNotation;
import org.swaplane.desktop.Window;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.task.Progress;

/**
 * Reviews two hundred segments in the real window with real keys, as somebody would who knows them, and counts the keys: chords count as one.
 * Says for each kind of work how many there were, and how many would be the fewest.
 */
public final class ReviewHour extends Application {
    private static final int PAUSE = 40;
    private static final int PATIENCE = 500;
    private static final int LOOK = 15;

    private final Map<HourFile.Task, Integer> pressed = new EnumMap<>(HourFile.Task.class);
    private final Map<HourFile.Task, Integer> segments = new EnumMap<>(HourFile.Task.class);
    private LaneSession session;
    private Robot robot;
    private int keys;

    @Override
    public void start(Stage stage) throws IOException {
        Path folder = Files.createTempDirectory("swaplane-bench");
        Lane lane = Lane.create(folder.resolve("lane"), "Hour", FormatRegistry.ofInstalled(), Clock.systemUTC());
        lane.trackStore().takeIn(source("hour.xlf", HourFile.xliff()), FileOptions.NONE, Progress.NONE);
        lane.memories().take(source("memory.tmx", HourFile.memory()), Optional.empty(), Progress.NONE);
        lane.references()
                .keepTermList(Source.of(
                        Files.writeString(folder.resolve("terms.csv"), "en,de,forbidden\nferry,Schiff,Boot\n")));
        LaneWriter.await(
                lane.settings().setProfile(lane.settings().profile().withDictionaries(Map.of("de", Profile.SHIPPED))));
        session = new LaneSession(lane, PersonSettings.none());
        session.viewProperty().set(ViewId.REVIEW);
        Scene scene = Window.scene(session, List::of, address -> {});
        stage.setScene(scene);
        stage.setMaximized(true);
        stage.show();
        stage.requestFocus();
        robot = new Robot();
        Thread reviewer = new Thread(this::review, "reviewer");
        reviewer.setDaemon(true);
        reviewer.start();
    }

    private static Source source(String name, String text) {
        return Source.of(name, text.getBytes(StandardCharsets.UTF_8));
    }

    private void review() {
        try {
            rest();
            int replacing = replace();
            List<HourFile.Row> rows = HourFile.rows();
            for (int i = 0; i < rows.size(); i++) {
                int before = keys;
                HourFile.Task task = rows.get(i).task();
                work(task);
                press(KeyCode.ENTER, KeyCode.CONTROL);
                rest();
                pressed.merge(task, keys - before, Integer::sum);
                segments.merge(task, 1, Integer::sum);
            }
            say(replacing, rows);
        } catch (RuntimeException e) {
            e.printStackTrace();
        } finally {
            Platform.exit();
        }
    }

    /** One word everywhere, before the rest. */
    private int replace() {
        press(KeyCode.F, KeyCode.CONTROL, KeyCode.SHIFT);
        type(HourFile.REPLACED);
        press(KeyCode.TAB);
        type(HourFile.BY);
        press(KeyCode.ENTER);
        rest();
        press(KeyCode.ENTER, KeyCode.CONTROL);
        rest();
        press(KeyCode.ESCAPE);
        rest();
        return keys;
    }

    private void work(HourFile.Task task) {
        switch (task) {
            case NUMBER -> press(KeyCode.F, KeyCode.ALT);
            case TAGS -> {
                press(KeyCode.LEFT, KeyCode.CONTROL, KeyCode.SHIFT);
                press(KeyCode.T, KeyCode.ALT);
            }
            case EXACT, FUZZY -> press(KeyCode.DIGIT1, KeyCode.ALT, KeyCode.SHIFT);
            case TERM -> {
                press(KeyCode.LEFT, KeyCode.CONTROL);
                press(KeyCode.LEFT, KeyCode.CONTROL, KeyCode.SHIFT);
                press(KeyCode.E, KeyCode.ALT);
                press(KeyCode.SPACE);
            }
            case SPELLING -> {
                press(KeyCode.W, KeyCode.ALT);
                read();
                press(KeyCode.ENTER);
            }
            case NOTE -> {
                press(KeyCode.O, KeyCode.ALT);
                type(HourFile.NOTE);
                press(KeyCode.ENTER);
            }
            case TYPING -> type(HourFile.TYPED);
            case NOTHING -> {}
        }
        rest();
    }

    private void type(String text) {
        text.chars()
                .forEach(each -> press(
                        each == ' '
                                ? KeyCode.SPACE
                                : KeyCode.valueOf(String.valueOf((char) each).toUpperCase(Locale.ROOT))));
    }

    private void press(KeyCode key, KeyCode... held) {
        keys++;
        onScreen(() -> {
            for (KeyCode each : held) {
                robot.keyPress(each);
            }
            robot.keyPress(key);
            robot.keyRelease(key);
            for (int i = held.length - 1; i >= 0; i--) {
                robot.keyRelease(held[i]);
            }
        });
        sleep();
    }

    /** As long as somebody looks at a list before choosing. */
    private static void read() {
        for (int i = 0; i < LOOK; i++) {
            sleep();
        }
    }

    /** Until everything that is going on is done, and has been shown. */
    private void rest() {
        for (int i = 0; i < PATIENCE; i++) {
            sleep();
            boolean[] busy = new boolean[1];
            onScreen(() -> busy[0] = session.background().busyProperty().get()
                    || !session.checking().isMade());
            if (!busy[0]) {
                sleep();
                return;
            }
        }
        throw new IllegalStateException("it never came to rest");
    }

    private static void onScreen(Runnable work) {
        CompletableFuture<Void> done = new CompletableFuture<>();
        Platform.runLater(() -> {
            work.run();
            done.complete(null);
        });
        done.join();
    }

    private static void sleep() {
        try {
            Thread.sleep(PAUSE);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private void say(int replacing, List<HourFile.Row> rows) {
        TrackSnapshot now = session.lane().tracks().get(0).now();
        int right = 0;
        int reviewed = 0;
        for (int i = 0; i < rows.size(); i++) {
            String wanted = rows.get(i).wanted().replaceFirst("<g id=\"1\">(.*)</g>", "⟦1⟧$1⟦/1⟧");
            String stands = TagNotation.write(now.target(i), now.segment(i).source());
            reviewed += now.state(i) == State.REVIEWED ? 1 : 0;
            if (stands.equals(wanted)) {
                right++;
            } else {
                System.out.println("segment " + (i + 1) + ", " + rows.get(i).task() + ": " + stands);
            }
        }
        int notes = session.lane().notes().of(now.track()).size();
        System.out.printf("%d of %d targets as wanted, %d reviewed, %d notes%n", right, rows.size(), reviewed, notes);
        int fewest = HourFile.REPLACED.length() + HourFile.BY.length() + 2;
        System.out.printf("replacing one word everywhere: %d keys, fewest %d%n", replacing, fewest);
        int all = replacing;
        for (Map.Entry<HourFile.Task, Integer> each : pressed.entrySet()) {
            int count = segments.get(each.getKey());
            System.out.printf(
                    Locale.ROOT,
                    "%s: %d segments, %.1f keys each, fewest %d%n",
                    each.getKey().name().toLowerCase(Locale.ROOT),
                    count,
                    each.getValue() / (double) count,
                    each.getKey().fewest());
            all += each.getValue();
            fewest += count * each.getKey().fewest();
        }
        System.out.printf("in all %d keys, fewest %d%n", all, fewest);
    }
}
