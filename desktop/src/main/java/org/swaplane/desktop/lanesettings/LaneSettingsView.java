package org.swaplane.desktop.lanesettings;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.LanguageField;
import org.swaplane.desktop.text.LanguagesField;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.NewTargets;
import org.swaplane.release.Gate;

/** What holds for this lane, one line each: what it is, whether that is the default, and the way back to it. */
public final class LaneSettingsView implements View {
    public static final ViewDescriptor DESCRIPTOR =
            new ViewDescriptor(ViewId.LANE_SETTINGS, session -> 0, context -> new LaneSettingsView(context.session()));

    private static final double LABELS = 190;
    private static final double MARKS = 170;
    private static final double RESETS = 72;

    private final LaneSession session;
    private final LaneSettingsModel model;
    private final Map<LaneDetail, Line> lines = new EnumMap<>(LaneDetail.class);
    private final NewDocuments documents;
    private final VBox node;
    private Node first;
    private boolean showing;

    /** One detail: how its value is shown, and what is written about it. */
    private record Line(Runnable show, Label mark, Button reset) {}

    public LaneSettingsView(LaneSession session) {
        this.session = session;
        this.model = new LaneSettingsModel(session);
        this.documents = new NewDocuments(session);
        List<String> last = session.person().lastLanguages();
        VBox page = Controls.styled(new VBox(), "column");
        page.getChildren()
                .addAll(
                        Controls.heading("lane.section.job"),
                        grid(
                                text(LaneDetail.NAME),
                                text(LaneDetail.CLIENT),
                                text(LaneDetail.SUBJECT),
                                date(LaneDetail.DUE),
                                area(LaneDetail.INSTRUCTIONS)),
                        Controls.heading("lane.section.languages"),
                        grid(language(LaneDetail.SOURCE_LANGUAGE, last), languages(LaneDetail.TARGET_LANGUAGES, last)),
                        Controls.heading("lane.section.files"),
                        Controls.quiet(Strings.text("release.naming-hint")),
                        grid(text(LaneDetail.NAMING)),
                        Controls.heading("lane.section.release"),
                        grid(conditions()),
                        Controls.heading("lane.section.documents"),
                        Controls.quiet(Strings.text("lane.elsewhere")),
                        documents,
                        Controls.heading("lane.section.work"),
                        grid(
                                text(LaneDetail.PERSON),
                                text(LaneDetail.INITIALS),
                                choice(LaneDetail.RECORD_TIME),
                                text(LaneDetail.IDLE_LIMIT_SECONDS),
                                text(LaneDetail.EDIT_BANDS),
                                text(LaneDetail.WORD_WEIGHTS),
                                newTargets(),
                                choice(LaneDetail.REPETITIONS_FOLLOW),
                                choice(LaneDetail.NOTES_IN_FILES),
                                choice(LaneDetail.REVIEWED_WITH_ERRORS)),
                        Controls.heading("lane.section.elsewhere"),
                        Controls.row(go("lane.go.checks", ViewId.CHECKS), go("lane.go.dry-run", ViewId.DRY_RUN)));
        ScrollPane scroll = new ScrollPane(page);
        scroll.setFitToWidth(true);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        node = Controls.styled(new VBox(Controls.title("view.lane-settings"), scroll), "view");
        node.setId("lane-settings");
    }

    private Button go(String key, ViewId view) {
        return Controls.button(
                "go-" + view.name(), key, () -> session.viewProperty().set(view));
    }

    /** As wide as so many pixels where the text has its usual size. */
    private ColumnConstraints column(double width) {
        ColumnConstraints column =
                new ColumnConstraints(width * session.person().scale());
        session.person().onChange(() -> {
            double scaled = width * session.person().scale();
            column.setMinWidth(scaled);
            column.setPrefWidth(scaled);
            column.setMaxWidth(scaled);
        });
        return column;
    }

    private GridPane grid(Node[]... rows) {
        GridPane grid = Controls.styled(Controls.styled(new GridPane(), "form"), "card");
        ColumnConstraints values = new ColumnConstraints();
        values.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().setAll(column(LABELS), values, column(MARKS), column(RESETS));
        for (int i = 0; i < rows.length; i++) {
            grid.addRow(i, rows[i]);
        }
        return grid;
    }

    private static String key(LaneDetail detail) {
        return "lane.detail." + detail.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** A line of the form: what it is, its value, whether it is the default, and the way back. */
    private Node[] line(LaneDetail detail, Node value, Runnable show) {
        Label label = new Label(Strings.text(key(detail)));
        label.setLabelFor(value);
        label.setWrapText(true);
        value.setAccessibleText(Strings.text(key(detail)));
        Label mark = Controls.styled(new Label(), "caption");
        Button reset = Controls.styled(
                Controls.button(
                        "reset-" + detail.name().toLowerCase(Locale.ROOT), "lane.reset", () -> model.reset(detail)),
                "small");
        lines.put(detail, new Line(show, mark, reset));
        return new Node[] {label, value, mark, reset};
    }

    private static String id(LaneDetail detail) {
        return "lane-" + detail.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private Node[] text(LaneDetail detail) {
        TextField field = new TextField();
        field.setId(id(detail));
        first = first == null ? field : first;
        field.setOnAction(event -> keep(detail, field.getText()));
        field.focusedProperty().addListener((property, before, focused) -> {
            if (!focused) {
                keep(detail, field.getText());
            }
        });
        return line(detail, field, () -> unlessFocused(field, () -> field.setText(model.value(detail))));
    }

    private Node[] area(LaneDetail detail) {
        TextArea area = new TextArea();
        area.setId(id(detail));
        area.setPrefRowCount(3);
        area.setWrapText(true);
        area.focusedProperty().addListener((property, before, focused) -> {
            if (!focused) {
                keep(detail, area.getText());
            }
        });
        return line(detail, area, () -> unlessFocused(area, () -> area.setText(model.value(detail))));
    }

    private Node[] date(LaneDetail detail) {
        DatePicker picker = new DatePicker();
        picker.setId(id(detail));
        picker.valueProperty().addListener((property, before, now) -> keep(detail, now == null ? "" : now.toString()));
        return line(detail, picker, () -> {
            String value = model.value(detail);
            picker.setValue(value.isEmpty() ? null : LocalDate.parse(value));
        });
    }

    private Node[] newTargets() {
        ComboBox<NewTargets> choice = Choice.of(
                id(LaneDetail.NEW_TARGETS),
                List.of(NewTargets.values()),
                each -> Strings.text("lane.new-targets." + each.word()));
        choice.setOnAction(
                event -> keep(LaneDetail.NEW_TARGETS, choice.getValue().word()));
        return line(
                LaneDetail.NEW_TARGETS,
                choice,
                () -> choice.setValue(Stream.of(NewTargets.values())
                        .filter(each -> each.word().equals(model.value(LaneDetail.NEW_TARGETS)))
                        .findFirst()
                        .orElse(NewTargets.EMPTY)));
    }

    private Node[] choice(LaneDetail detail) {
        CheckBox box = new CheckBox(Strings.text(key(detail) + ".box"));
        box.setId(id(detail));
        box.setWrapText(true);
        box.selectedProperty().addListener((property, before, now) -> keep(detail, String.valueOf(now)));
        return line(detail, box, () -> box.setSelected(Boolean.parseBoolean(model.value(detail))));
    }

    /** Which conditions must be met before a release. */
    private Node[] conditions() {
        Map<String, CheckBox> boxes = new LinkedHashMap<>();
        for (String id : Gate.OPTIONAL) {
            CheckBox box = new CheckBox(Strings.text("lane.condition." + id));
            box.setId("condition-" + id);
            box.setOnAction(event -> keep(
                    LaneDetail.RELEASE_CONDITIONS,
                    Gate.OPTIONAL.stream()
                            .filter(each -> boxes.get(each).isSelected())
                            .collect(Collectors.joining(" "))));
            boxes.put(id, box);
        }
        return line(
                LaneDetail.RELEASE_CONDITIONS,
                Controls.styled(new VBox(boxes.values().toArray(Node[]::new)), "column-tight"),
                () -> boxes.forEach((id, box) -> box.setSelected(
                        session.lane().settings().releaseConditions().contains(id))));
    }

    private Node[] language(LaneDetail detail, List<String> last) {
        LanguageField field = new LanguageField(id(detail), last);
        field.onChosen(code -> keep(detail, code));
        return line(detail, field, () -> unlessFocused(field, () -> field.setCode(model.value(detail))));
    }

    private Node[] languages(LaneDetail detail, List<String> last) {
        LanguagesField field = new LanguagesField(id(detail), last);
        field.onChange(codes -> keep(detail, String.join(" ", codes)));
        return line(
                detail,
                field,
                () -> unlessFocused(
                        field.field(),
                        () -> field.setCodes(Stream.of(model.value(detail).split("\\s+"))
                                .filter(code -> !code.isEmpty())
                                .toList())));
    }

    private static void unlessFocused(Node field, Runnable show) {
        if (!field.isFocused()) {
            show.run();
        }
    }

    private void keep(LaneDetail detail, String value) {
        if (!showing && !model.set(detail, value)) {
            show(detail);
        }
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        first.requestFocus();
    }

    @Override
    public void refresh() {
        new ArrayList<>(lines.keySet()).forEach(this::show);
        documents.show();
        node.setDisable(model.isReadOnly());
    }

    private void show(LaneDetail detail) {
        showing = true;
        Line line = lines.get(detail);
        line.show().run();
        line.mark().setText(Strings.text(model.isOwn(detail) ? "lane.own" : "lane.default"));
        Controls.showIf(line.reset(), model.isOwn(detail) && detail != LaneDetail.NAME);
        showing = false;
    }
}
