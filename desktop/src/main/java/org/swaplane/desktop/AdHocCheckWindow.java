package org.swaplane.desktop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.stage.Stage;
import org.swaplane.desktop.session.Background;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.Intakes;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.TemporaryFolder;
import org.swaplane.intake.Arrival;
import org.swaplane.lane.Lane;
import org.swaplane.task.Closing;

/** A window for files that belong to no lane: they are checked, mended at the place, and saved where the user wants them. */
final class AdHocCheckWindow {
    private final LaneSession session;
    private final TemporaryFolder folder;
    private final Stage stage = new Stage();

    private AdHocCheckWindow(LaneSession session, TemporaryFolder folder) {
        this.session = session;
        this.folder = folder;
    }

    /** Opens a window on these files, over a lane of their own that is made in this background. */
    static void open(List<Path> files, FileOpener opener, PersonSettings person, Background background) {
        background.run(
                Strings.text("task.read", files.get(0).getFileName().toString()),
                progress -> LaneOfItsOwn.make(),
                made -> new AdHocCheckWindow(new LaneSession(made.lane(), person), made.folder()).show(files, opener));
    }

    private record LaneOfItsOwn(Lane lane, TemporaryFolder folder) {
        static LaneOfItsOwn make() throws IOException {
            TemporaryFolder folder = TemporaryFolder.make();
            try {
                Lane lane = Lane.create(
                        folder.path().resolve("lane"),
                        Strings.text("apart.name"),
                        FormatRegistry.ofInstalled(),
                        Clock.systemDefaultZone());
                return new LaneOfItsOwn(lane, folder);
            } catch (IOException | RuntimeException e) {
                Closing.after(e, folder);
                throw e;
            }
        }
    }

    private void show(List<Path> files, FileOpener opener) {
        stage.setScene(Window.adHoc(session, new DialogPicker(stage, session.person()), opener));
        stage.setTitle(Strings.text("app.title", session.lane().name()));
        WindowPlace.fresh(stage);
        UncaughtFailures.goTo(stage, session::failed);
        new WindowClosing(stage, session, this::unsaved, () -> {}, this::delete);
        session.intakes().property().addListener((property, before, now) -> takeIn(now));
        stage.show();
        session.intakes().receive(files);
    }

    /** What says its languages itself needs no question; for the rest the intake panel asks. */
    private void takeIn(Intakes.Intake intake) {
        if (intake == null) {
            // What arrives shows the board first.
            Platform.runLater(() -> session.viewProperty().set(ViewId.CHECKS));
        } else if (intake.arrivals().stream().allMatch(AdHocCheckWindow::isComplete)) {
            session.intakes().accept(intake.arrivals());
        }
    }

    private static boolean isComplete(Arrival arrival) {
        return arrival.role().isTrack()
                && !arrival.document().sourceLanguage().isEmpty()
                && !arrival.document().targetLanguage().isEmpty();
    }

    /** Edits that were not saved are gone with the window. */
    private Optional<String> unsaved() {
        return session.lane().tracks().stream().allMatch(session.saving()::isSaved)
                ? Optional.empty()
                : Optional.of(Strings.text("apart.unsaved"));
    }

    /** The lane of its own goes with the window. */
    private CompletableFuture<Void> delete() {
        return CompletableFuture.runAsync(() -> {
            try {
                folder.close();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }
}
