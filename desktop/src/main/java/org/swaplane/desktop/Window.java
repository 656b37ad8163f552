package org.swaplane.desktop;

import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Scene;
import javafx.scene.input.InputEvent;
import javafx.scene.layout.StackPane;
import org.swaplane.desktop.board.BoardView;
import org.swaplane.desktop.checks.ChecksView;
import org.swaplane.desktop.dryrun.DryRunView;
import org.swaplane.desktop.exchange.ExchangeView;
import org.swaplane.desktop.release.ReleaseView;
import org.swaplane.desktop.review.ReviewView;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.Shell;
import org.swaplane.desktop.shell.View;
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
        ReviewView review = new ReviewView(session, opener);
        ChecksView checks = new ChecksView(session, picker, apart);
        Map<ViewId, View> views = new EnumMap<>(ViewId.class);
        views.put(ViewId.BOARD, new BoardView(session, picker));
        views.put(ViewId.DRY_RUN, new DryRunView(session, picker, opener));
        views.put(ViewId.EXCHANGE, new ExchangeView(session, picker));
        views.put(ViewId.REVIEW, review);
        views.put(ViewId.CHECKS, checks);
        views.put(ViewId.RELEASE, new ReleaseView(session));
        Commands commands = new Commands();
        review.addCommands(commands);
        checks.addCommands(commands);
        Scene scene = new Scene(new StackPane(), 1280, 800);
        Theme theme = new Theme(scene);
        Runnable toggleDark =
                () -> theme.darkProperty().set(!theme.darkProperty().get());
        scene.setRoot(new Shell(session, commands, views, toggleDark));
        commands.listenTo(scene);
        scene.addEventFilter(InputEvent.ANY, event -> {
            if (session.viewProperty().get() == ViewId.REVIEW) {
                session.editing().alive();
            }
        });
        return scene;
    }
}
