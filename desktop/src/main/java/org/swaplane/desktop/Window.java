package org.swaplane.desktop;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.Scene;
import javafx.scene.input.InputEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.StackPane;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.shell.AppCommand;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.Shell;
import org.swaplane.desktop.shell.ViewContext;
import org.swaplane.desktop.theme.Theme;

/** Puts the views, the commands and the theme of a window together. */
public final class Window {
    private static final Set<KeyCode> PLUS = Set.of(KeyCode.EQUALS, KeyCode.ADD);

    private Window() {}

    /** The window of a lane, in a program that has no window of all lanes. */
    public static Scene scene(LaneSession session, FilePicker picker, FileOpener opener) {
        return scene(session, picker, opener, Optional.empty());
    }

    /**
     * The window of a lane; files dropped on its checks that are not of the lane get a window of their own.
     *
     * @param lanes shows all lanes of the person, where there is such a window
     */
    static Scene scene(LaneSession session, FilePicker picker, FileOpener opener, Optional<Runnable> lanes) {
        Consumer<List<Path>> apart =
                files -> AdHocCheckWindow.open(files, opener, session.person(), session.background());
        return scene(session, new ViewContext(session, picker, opener, Optional.of(apart)), lanes);
    }

    /** A window for files that belong to no lane. */
    static Scene adHoc(LaneSession session, FilePicker picker, FileOpener opener) {
        return scene(session, new ViewContext(session, picker, opener, Optional.empty()), Optional.empty());
    }

    private static Scene scene(LaneSession session, ViewContext context, Optional<Runnable> lanes) {
        PersonSettings person = session.person();
        Commands commands = new Commands(person);
        Scene scene = new Scene(new StackPane(), 1280, 800);
        new Theme(scene, person);
        commands.add("dark", "", () -> true, () -> person.setDark(!person.isDark()));
        AppCommand larger = commands.add(
                "larger-text", "Shortcut+Plus", () -> true, () -> person.setFontSize(person.fontSize() + 1));
        commands.add("smaller-text", "Shortcut+Minus", () -> true, () -> person.setFontSize(person.fontSize() - 1));
        lanes.ifPresent(show -> commands.add("lanes", "Shortcut+O", () -> true, show));
        scene.setRoot(new Shell(context, Views.ALL, commands));
        commands.listenTo(scene);
        // Where the plus sign is not on a key of its own, it is on that of the equals sign; the number pad has one,
        // too.
        KeyCombination plus = KeyCombination.valueOf("Shortcut+Plus");
        boolean asUsual = larger.keys().filter(plus::equals).isPresent();
        scene.addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (asUsual && event.isShortcutDown() && PLUS.contains(event.getCode())) {
                larger.run();
                event.consume();
            }
        });
        scene.addEventFilter(InputEvent.ANY, event -> {
            if (event instanceof KeyEvent) {
                session.background().giveWay();
            }
            // A mouse that is only moved is no sign of work.
            if (event instanceof KeyEvent
                    || event instanceof ScrollEvent
                    || event.getEventType() == MouseEvent.MOUSE_PRESSED) {
                session.workTime().alive();
            }
        });
        return scene;
    }
}
