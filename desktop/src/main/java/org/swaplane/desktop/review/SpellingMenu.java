package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.swaplane.check.Finding;
import org.swaplane.compare.Span;
import org.swaplane.desktop.editor.TargetEditor;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.SetAside;
import org.swaplane.lane.StepKind;

/** What can be done about a word that the dictionary does not know: other words, or taking it for right. */
final class SpellingMenu {
    private static final int MOST = 7;

    private final LaneSession session;
    private final TargetEditor editor;
    private final ContextMenu menu = new ContextMenu();
    private boolean moved;

    SpellingMenu(LaneSession session, TargetEditor editor) {
        this.session = session;
        this.editor = editor;
        menu.setId("spelling-menu");
        menu.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    }

    /** Opens at the word at the caret, or at the first one that is not known; says so where there is none. */
    void open(int index) {
        String language = session.snapshot().targetLanguage(index);
        if (!session.checking().hasDictionary(language)) {
            session.notify(Notification.Tone.DONE, Strings.text("spelling.no-dictionary", language));
            return;
        }
        Optional<Finding> meant = meant(index);
        if (meant.isEmpty()) {
            session.notify(Notification.Tone.DONE, Strings.text("spelling.none"));
            return;
        }
        Span span = meant.get().target().get(0);
        String word = session.snapshot().target(index).plainText().substring(span.start(), span.end());
        session.checking().suggestions(word, language, words -> {
            if (editor.getScene() != null && index == session.currentProperty().get()) {
                fill(index, meant.get(), word, words);
                Bounds caret = editor.getCaretBounds().orElseGet(() -> editor.localToScreen(editor.getBoundsInLocal()));
                menu.show(editor, caret.getMinX(), caret.getMaxY());
                moved = false;
            }
        });
    }

    /** The return key takes the first word, unless somebody went to another one: the toolkit chooses one by itself only now and then. */
    private void pressed(KeyEvent event) {
        if (event.getCode() == KeyCode.UP || event.getCode() == KeyCode.DOWN) {
            moved = true;
        } else if (event.getCode() == KeyCode.ENTER
                && !moved
                && !menu.getItems().get(0).isDisable()) {
            menu.hide();
            menu.getItems().get(0).fire();
            event.consume();
        }
    }

    private Optional<Finding> meant(int index) {
        int caret = editor.beforeCaret().length();
        int length = session.snapshot().target(index).plainText().length();
        List<Finding> all = session.checking().open(index).stream()
                .filter(finding ->
                        finding.check().equals("spelling") && !finding.target().isEmpty())
                .filter(finding -> finding.target().get(0).end() <= length)
                .toList();
        return all.stream()
                .filter(finding -> finding.target().get(0).start() <= caret
                        && caret <= finding.target().get(0).end())
                .findFirst()
                .or(() -> all.stream().findFirst());
    }

    private void fill(int index, Finding finding, String word, List<String> words) {
        List<MenuItem> items = new ArrayList<>();
        Span span = finding.target().get(0);
        for (String each : words.subList(0, Math.min(MOST, words.size()))) {
            items.add(item(each, () -> session.editing()
                    .setTarget(
                            index,
                            session.snapshot().target(index).replaceText(span.start(), span.end(), each),
                            StepKind.FIXED)));
        }
        if (items.isEmpty()) {
            MenuItem nothing = new MenuItem(Strings.text("spelling.nothing", word));
            nothing.setDisable(true);
            items.add(nothing);
        }
        items.add(new SeparatorMenuItem());
        items.add(item(
                Strings.text("spelling.lane", word), () -> session.checking().learn(word, false)));
        items.add(item(
                Strings.text("spelling.person", word), () -> session.checking().learn(word, true)));
        items.add(item(Strings.text("spelling.here"), () -> session.checking()
                .setAside(finding, SetAside.Scope.FINDING, Strings.text("spelling.reason"))));
        menu.getItems().setAll(items);
    }

    private MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setMnemonicParsing(false);
        item.setOnAction(event -> {
            action.run();
            editor.requestFocus();
        });
        return item;
    }
}
