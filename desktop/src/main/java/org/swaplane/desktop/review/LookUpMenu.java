package org.swaplane.desktop.review;

import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Strings;

/** Opens selected text at addresses of the person's choice in the browser; the first time in a lane, it is said that text leaves the machine. */
final class LookUpMenu {
    private static final String ALLOWED = "lookup.allowed";

    private final LaneSession session;
    private final FileOpener opener;
    private final ContextMenu menu = new ContextMenu();

    LookUpMenu(LaneSession session, FileOpener opener) {
        this.session = session;
        this.opener = opener;
        menu.setId("look-up-menu");
    }

    /** An address with the text and the languages of a segment in it. */
    static URI address(String template, String text, String source, String target) {
        return URI.create(template.strip()
                .replace("{text}", encoded(text))
                .replace("{source}", encoded(source))
                .replace("{target}", encoded(target)));
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    /** Offers the places; opens the only one at once. */
    void open(Node at, double x, double y, String text, int index) {
        List<String> templates = session.person().lookups();
        if (templates.isEmpty()) {
            session.notify(Notification.Tone.DONE, Strings.text("look-up.none"));
        } else if (text.isBlank()) {
            session.notify(Notification.Tone.DONE, Strings.text("look-up.nothing-selected"));
        } else if (templates.size() == 1) {
            show(templates.get(0), text, index);
        } else {
            menu.getItems()
                    .setAll(templates.stream()
                            .map(template -> item(template, text, index))
                            .toList());
            menu.show(at, x, y);
        }
    }

    private MenuItem item(String template, String text, int index) {
        MenuItem item = new MenuItem(template.strip());
        item.setMnemonicParsing(false);
        item.setOnAction(event -> show(template, text, index));
        return item;
    }

    private void show(String template, String text, int index) {
        String lane = session.lane().settings().id();
        if (session.person().choice(lane, ALLOWED).isEmpty()) {
            session.person().setChoice(lane, ALLOWED, "said");
            session.notify(Notification.Tone.FAILED, Strings.text("look-up.warning", template.strip()));
            return;
        }
        try {
            opener.open(address(
                    template,
                    text,
                    session.snapshot().sourceLanguage(index),
                    session.snapshot().targetLanguage(index)));
        } catch (IllegalArgumentException e) {
            session.notify(Notification.Tone.FAILED, Strings.text("look-up.no-address", template.strip()));
        }
    }
}
