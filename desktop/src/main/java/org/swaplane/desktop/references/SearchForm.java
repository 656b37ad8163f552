package org.swaplane.desktop.references;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.memory.MemoryQuery;

/** What is searched for: words on one side, and on demand how they are meant and which units are looked at. */
final class SearchForm extends VBox {
    private final TextField words = new TextField();
    private final ComboBox<MemoryQuery.Side> side =
            choice("find-side", List.of(MemoryQuery.Side.values()), "references.in.");
    private final ComboBox<MemoryQuery.Mode> mode =
            choice("find-mode", List.of(MemoryQuery.Mode.values()), "references.mode.");
    private final ComboBox<MemoryQuery.Kind> kind =
            choice("find-kind", List.of(MemoryQuery.Kind.values()), "references.kind.");
    private final CheckBox matchCase = new CheckBox(Strings.text("references.match-case"));
    private final TextField who = new TextField();
    private final TextField since = new TextField();
    private final Consumer<MemoryQuery> search;

    /** {@code search} is told what to look for. */
    SearchForm(Consumer<MemoryQuery> search) {
        this.search = search;
        getStyleClass().add("column-tight");
        words.setId("find-words");
        words.setPromptText(Strings.text("references.words"));
        words.setAccessibleText(Strings.text("references.words"));
        words.setOnAction(event -> find());
        HBox.setHgrow(words, Priority.ALWAYS);
        side.setAccessibleText(Strings.text("references.side"));
        mode.setAccessibleText(Strings.text("references.mode"));
        kind.setAccessibleText(Strings.text("references.kind"));
        matchCase.setId("find-case");
        field(who, "find-who", "references.who");
        field(since, "find-since", "references.since");
        for (ComboBox<?> each : List.of(side, mode, kind)) {
            each.setOnAction(event -> find());
        }
        ToggleButton more = new ToggleButton(Strings.text("references.more"));
        more.setId("find-more");
        Node options = Controls.wrapped(mode, matchCase, kind, who, since);
        Controls.showIf(options, false);
        more.selectedProperty().addListener((property, before, open) -> Controls.showIf(options, open));
        getChildren()
                .addAll(
                        Controls.row(
                                words,
                                side,
                                Controls.whole(Controls.button("find", "references.find", this::find)),
                                Controls.whole(more)),
                        options);
    }

    private void field(TextField field, String id, String key) {
        field.setId(id);
        field.setPrefColumnCount(9);
        field.setPromptText(Strings.text(key));
        field.setAccessibleText(Strings.text(key));
        field.setOnAction(event -> find());
    }

    private static <T extends Enum<T>> ComboBox<T> choice(String id, List<T> values, String key) {
        return Choice.of(
                id,
                values,
                each -> Strings.text(key + each.name().toLowerCase(Locale.ROOT).replace('_', '-')));
    }

    /** Searches for a text as it stands. */
    void seek(String text) {
        words.setText(text.strip());
        find();
    }

    void begin() {
        words.requestFocus();
    }

    MemoryQuery query() {
        return new MemoryQuery(
                words.getText(),
                side.getValue(),
                mode.getValue(),
                matchCase.isSelected(),
                kind.getValue(),
                who.getText(),
                since.getText());
    }

    /** Without a text all units of a kind or of somebody are meant; without anything nothing is. */
    void find() {
        MemoryQuery query = query();
        boolean nothing = query.text().isBlank()
                && query.kind() == MemoryQuery.Kind.ALL
                && query.who().isBlank()
                && query.since().isBlank();
        if (!nothing) {
            search.accept(query);
        }
    }
}
