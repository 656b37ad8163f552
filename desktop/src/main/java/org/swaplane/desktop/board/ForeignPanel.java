package org.swaplane.desktop.board;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.ForeignItem;
import org.swaplane.extension.ExtensionRules;
import org.swaplane.extension.Meaning;
import org.swaplane.extension.Occasion;
import org.swaplane.extension.ReadingRule;
import org.swaplane.extension.WritingRule;
import org.swaplane.format.NewFile;

/** The attributes and elements of other namespaces in a file; pointing at a value makes a rule of the lane. */
final class ForeignPanel extends VBox {
    private static final int MOST_ROWS = 60;
    private static final String FILE_NAME = "foreign-attributes.json";

    private final LaneSession session;
    private final FilePicker picker;
    private final GridPane grid = Controls.styled(new GridPane(), "foreign");
    private final Label more = Controls.quiet("");

    ForeignPanel(LaneSession session, FilePicker picker) {
        this.session = session;
        this.picker = picker;
        getStyleClass().add("column");
        setId("foreign");
        getChildren()
                .addAll(
                        Controls.heading("foreign.title"),
                        Controls.quiet(Strings.text("foreign.hint")),
                        grid,
                        more,
                        Controls.row(
                                Controls.button("save-rules", "foreign.save", this::save),
                                Controls.button("load-rules", "foreign.load", this::load)));
    }

    /** Shows what occurs in a file; nothing at all when nothing does. */
    void show(List<ForeignItem> items) {
        setVisible(!items.isEmpty());
        setManaged(!items.isEmpty());
        grid.getChildren().clear();
        head();
        ExtensionRules rules = session.lane().settings().rules();
        int row = 1;
        int left = 0;
        for (ForeignItem item : items) {
            for (String value : item.values().keySet()) {
                if (row > MOST_ROWS) {
                    left++;
                } else {
                    addRow(row++, item, value, rules);
                }
            }
        }
        more.setText(left == 0 ? "" : Strings.text("foreign.more", left));
        more.setManaged(left > 0);
    }

    private void head() {
        List<String> keys =
                List.of("foreign.where", "foreign.value", "foreign.count", "foreign.means", "foreign.written");
        for (int i = 0; i < keys.size(); i++) {
            grid.add(Controls.quiet(Strings.text(keys.get(i))), i, 0);
        }
    }

    private void addRow(int row, ForeignItem item, String value, ExtensionRules rules) {
        String where = item.attribute().isEmpty()
                ? item.element()
                : Strings.text("foreign.attribute", item.attribute(), item.element());
        Label place = new Label(where);
        place.setTooltip(new Tooltip(item.namespace()));
        grid.add(place, 0, row);
        grid.add(Controls.styled(new Label(value), "code"), 1, row);
        grid.add(new Label(String.valueOf(item.values().get(value))), 2, row);
        grid.add(meaning(item, value, rules), 3, row);
        if (!item.attribute().isEmpty()) {
            grid.add(written(item, value, rules), 4, row);
        }
    }

    private ComboBox<Optional<Meaning>> meaning(ForeignItem item, String value, ExtensionRules rules) {
        Optional<ReadingRule> known = rules.reading().stream()
                .filter(rule -> rule.matches(item.namespace(), item.element(), item.attribute(), value))
                .findFirst();
        return choice(
                Meaning.values(),
                known.map(ReadingRule::meaning),
                each -> Strings.text("meaning." + each.name().toLowerCase(Locale.ROOT)),
                chosen -> {
                    ExtensionRules without = known.map(rules::without).orElse(rules);
                    session.intakes()
                            .setRules(chosen.map(each -> without.with(new ReadingRule(
                                            item.namespace(), item.element(), item.attribute(), value, each)))
                                    .orElse(without));
                });
    }

    private ComboBox<Optional<Occasion>> written(ForeignItem item, String value, ExtensionRules rules) {
        Optional<WritingRule> known = rules.writing().stream()
                .filter(rule -> rule.namespace().equals(item.namespace())
                        && rule.element().equals(item.element())
                        && rule.attribute().equals(item.attribute())
                        && rule.value().equals(value))
                .findFirst();
        return choice(
                Occasion.values(),
                known.map(WritingRule::when),
                each -> Strings.text("occasion." + each.name().toLowerCase(Locale.ROOT)),
                chosen -> {
                    ExtensionRules without = known.map(rules::without).orElse(rules);
                    session.intakes()
                            .setRules(chosen.map(each -> without.with(new WritingRule(
                                            each, item.namespace(), item.element(), item.attribute(), value)))
                                    .orElse(without));
                });
    }

    /** A choice of one of these or none. */
    private static <T> ComboBox<Optional<T>> choice(
            T[] values, Optional<T> now, Function<T, String> words, Consumer<Optional<T>> chosen) {
        ComboBox<Optional<T>> box = Controls.styled(new ComboBox<>(), "foreign-choice");
        List<Optional<T>> items = new ArrayList<>();
        items.add(Optional.empty());
        Arrays.stream(values).map(Optional::of).forEach(items::add);
        box.getItems().setAll(items);
        box.setConverter(new StringConverter<>() {
            @Override
            public String toString(Optional<T> item) {
                return item == null ? "" : item.map(words).orElse(Strings.text("foreign.nothing"));
            }

            @Override
            public Optional<T> fromString(String text) {
                return Optional.empty();
            }
        });
        box.setValue(now);
        box.setOnAction(event -> chosen.accept(box.getValue()));
        return box;
    }

    private void save() {
        String json = session.lane().settings().rules().toJson();
        picker.chooseTarget(FILE_NAME).ifPresent(path -> session.background()
                .run(
                        Strings.text("task.write", path.getFileName().toString()),
                        progress -> {
                            NewFile.write(path, true, out -> out.write(json.getBytes(StandardCharsets.UTF_8)));
                            return path;
                        },
                        written -> session.notify(
                                Notification.Tone.DONE, Strings.text("foreign.saved", written.toString()))));
    }

    /** Adds the rules of a file to those of the lane. */
    private void load() {
        for (Path path : picker.chooseFiles()) {
            String name = path.getFileName().toString();
            session.background()
                    .run(
                            Strings.text("task.read", name),
                            progress -> ExtensionRules.ofJson(name, Files.readString(path)),
                            loaded -> session.intakes()
                                    .setRules(session.lane().settings().rules().with(loaded)));
        }
    }
}
