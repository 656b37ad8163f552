package org.swaplane.desktop.shell;

import java.util.List;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import org.swaplane.desktop.text.Strings;

/** The one button of a view behind which all its commands stand, with their keys. */
public final class CommandMenu extends MenuButton {
    public CommandMenu() {
        this("commands-menu", "menu.commands");
    }

    /** {@code id} for tests, {@code key} of its title. */
    public CommandMenu(String id, String key) {
        super(Strings.text(key));
        setId(id);
        setMinWidth(USE_PREF_SIZE);
        setFocusTraversable(false);
    }

    /** Offers these; what cannot be done now is grey when the menu opens. */
    public void offer(List<AppCommand> commands) {
        setOnShowing(event -> getItems().setAll(items(commands)));
        getItems().setAll(items(commands));
    }

    /** Menu items that run commands. */
    public static List<MenuItem> items(List<AppCommand> commands) {
        return commands.stream().map(CommandMenu::item).toList();
    }

    /** A menu at the mouse that offers the same. */
    public static ContextMenu context(List<AppCommand> commands) {
        ContextMenu menu = new ContextMenu();
        menu.setOnShowing(event -> menu.getItems().setAll(items(commands)));
        menu.getItems().setAll(items(commands));
        return menu;
    }

    private static MenuItem item(AppCommand command) {
        MenuItem item = new MenuItem(command.words());
        // Shown only: keys are listened to by the table of commands.
        command.keys().ifPresent(keys -> item.setText(command.words() + "   " + command.keyWords()));
        item.setId("menu-" + command.id());
        item.setDisable(!command.isEnabled());
        item.setOnAction(event -> command.run());
        return item;
    }
}
