package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.Lane;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;

/** A window that is asked to close goes when everything is written, and stays over what cannot be. */
class WindowClosingTest extends ApplicationTest {
    private static final int SEGMENT = 4;

    @TempDir
    private static Path folders;

    private Path folder;
    private LaneSession session;
    private Stage window;
    private WindowClosing closing;
    private final List<Throwable> told = new ArrayList<>();

    @Override
    public void start(Stage stage) throws IOException {
        folder = Files.createTempDirectory(folders, "lane").resolve("lane");
        Lane lane = CompletableFuture.supplyAsync(this::create).join();
        session = new LaneSession(lane);
        window = new Stage();
        window.setScene(new Scene(new Label("Marram Sound Ferries"), 300, 200));
        closing = new WindowClosing(
                window, session, Optional::empty, () -> {}, () -> CompletableFuture.completedFuture(null));
        UncaughtFailures.goTo(stage, told::add);
        stage.setScene(new Scene(new Label("All lanes"), 300, 200));
        stage.show();
        window.show();
    }

    private Lane create() {
        try {
            return DemoLane.create(folder, LaneWindow.DAY);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @BeforeEach
    void readTheFile() throws Exception {
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> session.hasSegments());
    }

    @AfterEach
    void close() throws Exception {
        interact(() -> {
            session.editing().abandon();
            window.hide();
        });
        closing.gone().get(60, TimeUnit.SECONDS);
    }

    private void askToClose() {
        interact(() -> window.fireEvent(new WindowEvent(window, WindowEvent.WINDOW_CLOSE_REQUEST)));
    }

    private void type(String text) {
        interact(() -> session.editing().type(SEGMENT, Content.of(text)));
    }

    private String written() throws IOException {
        try (Lane lane = Lane.open(folder, FormatRegistry.ofInstalled(), LaneWindow.DAY)) {
            return lane.tracks().get(0).now().target(SEGMENT).plainText();
        }
    }

    @Test
    void whatWasTypedLastIsWrittenBeforeTheWindowGoesAndTheLaneIsFreeThen() throws Exception {
        interact(() -> {
            session.editing().type(SEGMENT, Content.of("typed"));
            session.editing().type(SEGMENT, Content.of("typed last"));
            window.fireEvent(new WindowEvent(window, WindowEvent.WINDOW_CLOSE_REQUEST));
            assertThat(window.isShowing()).isTrue();
        });

        closing.gone().get(60, TimeUnit.SECONDS);

        assertThat(window.isShowing()).isFalse();
        assertThat(written()).isEqualTo("typed last");
    }

    @Test
    void overWhatCannotBeWrittenItStaysAndASecondTimeItGoes() throws Exception {
        Path away = folder.resolveSibling("away");
        Files.move(folder, away);
        type("typed without a disk");
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> session.editing().isFailing());

        askToClose();
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(window.isShowing()).isTrue();
        assertThat(closing.isEnding()).isFalse();
        assertThat(session.messageProperty().get().text()).startsWith("Not everything is saved");

        Files.move(away, folder);
        askToClose();
        closing.gone().get(60, TimeUnit.SECONDS);
        assertThat(window.isShowing()).isFalse();
    }

    @Test
    void whatIsWrittenAgainAfterAWarningIsNotLost() throws Exception {
        Path away = folder.resolveSibling("away");
        Files.move(folder, away);
        type("typed without a disk");
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> session.editing().isFailing());
        askToClose();
        Files.move(away, folder);
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> session.editing().isSaved());

        askToClose();
        closing.gone().get(60, TimeUnit.SECONDS);

        assertThat(written()).isEqualTo("typed without a disk");
    }

    @Test
    void aFailureThatNobodyCaughtIsToldToAWindowThatIsOpen() throws Exception {
        Stage newest = WaitForAsyncUtils.asyncFx(() -> new Stage()).get();
        List<Throwable> toldToNewest = new ArrayList<>();
        interact(() -> {
            UncaughtFailures.goTo(newest, toldToNewest::add);
            newest.show();
            newest.close();
        });

        interact(() -> UncaughtFailures.say(new IllegalStateException("nobody caught it")));

        assertThat(toldToNewest).isEmpty();
        assertThat(told).extracting(Throwable::getMessage).containsExactly("nobody caught it");
    }
}
