package org.swaplane.desktop.lanes;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.LanguageField;
import org.swaplane.desktop.text.LanguagesField;
import org.swaplane.desktop.text.Strings;

/** What is asked for a new lane; the rest is as in another one, or by default. */
final class NewLaneForm extends VBox {
    private final LanesModel model;
    private final TextField name = new TextField();
    private final TextField client = new TextField();
    private final TextField folder = new TextField();
    private final LanguageField source;
    private final LanguagesField targets;
    private final DatePicker due = new DatePicker();
    private final ComboBox<LanesModel.Row> asIn = new ComboBox<>();
    private boolean ownFolder;
    private boolean naming;

    NewLaneForm(LanesModel model, FilePicker picker, Runnable hide) {
        this.model = model;
        List<String> last = model.person().lastLanguages();
        source = new LanguageField("new-source", last);
        targets = new LanguagesField("new-targets", last);
        getStyleClass().addAll("card", "new-lane");
        setId("new-lane-form");
        name.setId("new-name");
        client.setId("new-client");
        folder.setId("new-folder");
        due.setId("new-due");
        asIn.setId("new-as-in");
        asIn.setMaxWidth(Double.MAX_VALUE);
        due.setMaxWidth(Double.MAX_VALUE);
        asIn.setConverter(new StringConverter<>() {
            @Override
            public String toString(LanesModel.Row row) {
                return row == null ? Strings.text("lanes.as-default") : row.name();
            }

            @Override
            public LanesModel.Row fromString(String text) {
                return null;
            }
        });
        model.onCreated(hide);
        name.textProperty().addListener((property, before, now) -> suggestFolder(now));
        folder.textProperty().addListener((property, before, now) -> ownFolder |= !naming);
        Button browse = Controls.button("new-browse", "lanes.browse", () -> picker.chooseFolder()
                .ifPresent((Path chosen) -> folder.setText(chosen.toString())));
        getChildren()
                .addAll(
                        Controls.heading("lanes.new-title"),
                        field("lanes.name", name),
                        field("lanes.client", client),
                        field("lanes.source", source),
                        field("lanes.targets", targets),
                        field("lanes.due", due),
                        field("lanes.as-in", asIn),
                        field("lanes.folder", folder),
                        Controls.row(browse),
                        Controls.row(
                                Controls.primary("create-lane", "lanes.create", this::create),
                                Controls.button("cancel-lane", "lanes.cancel", hide)));
    }

    private static VBox field(String key, Node node) {
        Label label = Controls.styled(new Label(Strings.text(key)), "quiet");
        label.setLabelFor(node);
        if (node.getAccessibleText() == null) {
            node.setAccessibleText(Strings.text(key));
        }
        return Controls.styled(new VBox(label, node), "column-tight");
    }

    /** Begins anew, with the settings of a lane where one is given. */
    void show(LanesModel.Row other) {
        name.clear();
        client.clear();
        ownFolder = false;
        source.setCode(other == null ? model.person().defaultSource() : sourceOf(other));
        targets.setCodes(
                other == null
                        ? model.person().defaultTargets()
                        : other.overview().map(lane -> lane.languages()).orElse(List.of()));
        due.setValue(null);
        List<LanesModel.Row> lanes = new ArrayList<>();
        lanes.add(null);
        lanes.addAll(model.rows());
        asIn.getItems().setAll(lanes);
        asIn.setValue(other);
        if (other != null) {
            client.setText(other.overview().map(lane -> lane.client()).orElse(""));
        }
    }

    private static String sourceOf(LanesModel.Row row) {
        return row.overview().map(lane -> lane.sourceLanguage()).orElse("");
    }

    void begin() {
        name.requestFocus();
    }

    private void suggestFolder(String words) {
        if (!ownFolder) {
            naming = true;
            String safe = words.strip().replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]+", "-");
            folder.setText(
                    safe.isEmpty()
                            ? ""
                            : model.person().lanesFolder().resolve(safe).toString());
            naming = false;
        }
    }

    private void create() {
        model.create(new LanesModel.NewLane(
                name.getText(),
                client.getText(),
                folder.getText().isBlank()
                        ? model.person().lanesFolder()
                        : Path.of(folder.getText().strip()),
                source.code(),
                targets.codes(),
                Optional.ofNullable(due.getValue()),
                Optional.ofNullable(asIn.getValue()).map(LanesModel.Row::folder)));
    }
}
