package org.swaplane.desktop;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Scene;
import javafx.scene.input.InputEvent;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.Shell;
import org.swaplane.desktop.shell.ViewContext;
import org.swaplane.desktop.theme.Theme;

/** Puts the views, the commands and the theme of a window together. */
public final class Window {
    private Window() {}

    /** The window of a lane; files dropped on its checks that are not of the lane get a window of their own. */
    public static Scene scene(LaneSession session, FilePicker picker, FileOpener opener) {
        return scene(session, picker, opener, Optional.of(files -> Apart.open(files, opener, session)));
    }

    /** A window for files that belong to no lane. */
    static Scene apart(LaneSession session, FilePicker picker, FileOpener opener) {
        return scene(session, picker, opener, Optional.empty());
    }

    private static Scene scene(
            LaneSession session, FilePicker picker, FileOpener opener, Optional<Consumer<List<Path>>> apart) {
        ViewContext context = new ViewContext(session, picker, opener, apart);
        Commands commands = new Commands();
        Scene scene = new Scene(new StackPane(), 1280, 800);
        Theme theme = new Theme(scene);
        Runnable toggleDark =
                () -> theme.darkProperty().set(!theme.darkProperty().get());
        scene.setRoot(new Shell(context, Views.ALL, commands, toggleDark));
        commands.listenTo(scene);
        scene.addEventFilter(InputEvent.ANY, event -> {
            if (event instanceof KeyEvent) {
                session.background().giveWay();
            }
            if (session.viewProperty().get().equals(ViewId.REVIEW)) {
                session.editing().alive();
            }
        });
        return scene;
    }
}
