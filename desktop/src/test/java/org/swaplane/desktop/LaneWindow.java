package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.Button;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.demo.DemoLane;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;

/** A window over a new lane for a test, and what a client sends: {@code picked} is what the chooser of files gives. */
abstract class LaneWindow extends ApplicationTest {
    static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:30:00Z"), ZoneOffset.UTC);

    @TempDir
    private static Path folders;

    final List<Path> opened = new ArrayList<>();
    final List<Path> picked = new ArrayList<>();
    Path folder;
    LaneSession session;

    @Override
    public void start(Stage stage) throws IOException {
        folder = Files.createTempDirectory(folders, "lane");
        // The window's thread must not wait for a disk, not even here.
        Lane lane = CompletableFuture.supplyAsync(() -> create(folder)).join();
        session = new LaneSession(lane);
        stage.setScene(Window.scene(session, () -> List.copyOf(picked), address -> opened.add(Path.of(address))));
        stage.show();
    }

    private static Lane create(Path folder) {
        try {
            Lane lane = Lane.create(folder, "Marram Sound Ferries", FormatRegistry.ofInstalled(), DAY);
            LaneWriter.await(lane.settings().set("person", "Mara Lind"));
            return lane;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @BeforeEach
    void aFileFromTheClient() throws IOException {
        picked.add(Files.write(folder.resolve("from client.xlf"), DemoLane.file()));
    }

    @AfterEach
    void closeWindow() throws Exception {
        FxToolkit.cleanupStages();
        WaitForAsyncUtils.asyncFx(session::close).get().get(60, TimeUnit.SECONDS);
    }

    final void waitUntil(Callable<Boolean> condition) throws Exception {
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, condition);
        WaitForAsyncUtils.waitForFxEvents();
    }

    final void press(String id) {
        Button button = lookup("#" + id).queryAs(Button.class);
        assertThat(button.isDisabled()).as(id + " is disabled").isFalse();
        interact(button::fire);
        settle();
    }

    /** Runs a command by the menu of the view in front. */
    final void menu(String command) {
        menu("commands-menu", command);
    }

    /** Runs a command by one of the menus. */
    final void menu(String id, String command) {
        MenuButton menu = lookup("#" + id).queryAs(MenuButton.class);
        interact(() -> {
            menu.show();
            menu.getItems().stream()
                    .filter(item -> ("menu-" + command).equals(item.getId()))
                    .forEach(MenuItem::fire);
            menu.hide();
        });
        settle();
    }

    final boolean idle() {
        return !session.background().busyProperty().get() && session.editing().isSaved();
    }

    /** Until everything that was done is written, and looked at by the checks. */
    final void settle() {
        try {
            WaitForAsyncUtils.waitForFxEvents();
            waitUntil(() -> session.editing().isSaved());
            session.checking().settle();
            WaitForAsyncUtils.waitForFxEvents();
        } catch (Exception e) {
            throw new AssertionError("what was done is not written", e);
        }
    }

    @Override
    public FxRobot push(KeyCode... keys) {
        super.push(keys);
        settle();
        return this;
    }

    @Override
    public FxRobot write(String text) {
        super.write(text);
        settle();
        return this;
    }

    final Track track() {
        return session.track();
    }

    final TrackSnapshot now() {
        return session.snapshot();
    }

    final void takeIn() throws Exception {
        accept();
        waitUntil(() -> track() != null && !session.checking().open().isEmpty());
    }

    /** Takes in what is picked, whether the checks find anything in it or not. */
    final void accept() throws Exception {
        press("choose-files");
        waitUntil(() -> session.intakes().property().get() != null);
        press("accept-intake");
        waitUntil(() -> session.hasSegments() && idle());
    }
}
