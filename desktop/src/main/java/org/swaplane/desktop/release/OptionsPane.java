package org.swaplane.desktop.release;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.release.ReleaseForm;
import org.swaplane.release.ReleaseOptions;
import org.swaplane.task.CannotProceedException;

/** What the client wants to get: forms with their names and folders, language codes, and how it is packed. */
final class OptionsPane extends VBox {
    private final LaneSession session;
    private final Map<ReleaseForm, FormLine> forms = new EnumMap<>(ReleaseForm.class);
    private final TextField codes = new TextField();
    private final ComboBox<ReleaseOptions.Packing> packing;
    private final TextField packageName = new TextField();
    private final ComboBox<ReleaseOptions.Manifest> manifest;
    private final ComboBox<String> profile = new ComboBox<>();
    private final Label problem = Controls.styled(new Label(), "found");
    private boolean showing;

    private final class FormLine {
        private final CheckBox box;
        private final TextField names;
        private final TextField folders;

        FormLine(ReleaseForm form) {
            box = new CheckBox(Strings.text("release.form." + form.id()));
            box.setId("form-" + form.id());
            box.setOnAction(event -> keep());
            names = field("names-" + form.id(), "release.naming");
            folders = field("folders-" + form.id(), "release.folders");
        }

        void show(ReleaseOptions.Output output) {
            box.setSelected(output != null);
            names.setDisable(output == null);
            folders.setDisable(output == null);
            if (output != null) {
                set(names, output.names().isEmpty() ? session.releasing().naming() : output.names());
                set(folders, output.folders());
            }
        }
    }

    OptionsPane(LaneSession session) {
        this.session = session;
        getStyleClass().add("column");
        setId("release-options");
        problem.setWrapText(true);
        GridPane grid = Controls.styled(new GridPane(), "form");
        ColumnConstraints name = new ColumnConstraints();
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        wide.setPercentWidth(38);
        grid.getColumnConstraints().setAll(name, wide, wide);
        grid.addRow(
                0,
                Controls.heading("release.forms"),
                Controls.quiet(Strings.text("release.naming")),
                Controls.quiet(Strings.text("release.folders")));
        int row = 1;
        for (ReleaseForm form : ReleaseForm.values()) {
            FormLine line = new FormLine(form);
            forms.put(form, line);
            grid.addRow(row++, line.box, line.names, line.folders);
        }
        grid.getRowConstraints().forEach(each -> each.setValignment(VPos.CENTER));
        packing = Choice.of(
                "release-packing",
                List.of(ReleaseOptions.Packing.values()),
                each -> Strings.text("release.packing." + each.name().toLowerCase(Locale.ROOT)));
        manifest = Choice.of(
                "release-manifest",
                List.of(ReleaseOptions.Manifest.values()),
                each -> Strings.text("release.manifest." + each.name().toLowerCase(Locale.ROOT)));
        packing.setAccessibleText(Strings.text("release.packing"));
        manifest.setAccessibleText(Strings.text("release.manifest"));
        packing.setOnAction(event -> keep());
        manifest.setOnAction(event -> keep());
        field(packageName, "release-package", "release.package-name");
        field(codes, "release-codes", "release.codes");
        codes.setPromptText("de-DE=ger fr-FR=fre");
        HBox.setHgrow(codes, Priority.ALWAYS);
        getChildren()
                .addAll(
                        grid,
                        Controls.quiet(Strings.text("release.naming-hint")),
                        Controls.row(Controls.quiet(Strings.text("release.packing")), packing, packageName, manifest),
                        Controls.row(Controls.quiet(Strings.text("release.codes")), codes),
                        profiles(),
                        problem);
    }

    private HBox profiles() {
        profile.setId("release-profile");
        profile.setEditable(true);
        profile.setPromptText(Strings.text("release.profile-name"));
        profile.setAccessibleText(Strings.text("release.profile-name"));
        HBox row = Controls.row(
                Controls.quiet(Strings.text("release.profile")),
                profile,
                Controls.button("apply-release-profile", "release.profile.apply", this::apply),
                Controls.button("save-release-profile", "release.profile.save", this::save));
        profile.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(profile, Priority.ALWAYS);
        return row;
    }

    private void apply() {
        session.person().releaseProfile(name()).ifPresent(session.releasing()::applyProfile);
    }

    private void save() {
        if (!name().isEmpty()) {
            session.person().setReleaseProfile(name(), session.releasing().profile());
            showProfiles();
            session.notify(Notification.Tone.DONE, Strings.text("release.profile.saved", name()));
        }
    }

    private String name() {
        String typed = profile.getEditor().getText();
        return typed == null ? "" : typed.strip();
    }

    private TextField field(String id, String key) {
        return field(new TextField(), id, key);
    }

    private TextField field(TextField field, String id, String key) {
        field.setId(id);
        field.setAccessibleText(Strings.text(key));
        field.setOnAction(event -> keep());
        field.focusedProperty().addListener((property, before, focused) -> {
            if (!focused) {
                keep();
            }
        });
        return field;
    }

    private static void set(TextField field, String text) {
        if (!field.isFocused()) {
            field.setText(text);
        }
    }

    /** Shows what is set now, besides what is being typed. */
    void show() {
        ReleaseOptions options = session.releasing().options();
        showing = true;
        try {
            forms.forEach((form, line) -> line.show(options.outputs().stream()
                    .filter(each -> each.form() == form)
                    .findFirst()
                    .orElse(null)));
            set(codes, options.writtenCodes());
            set(packageName, options.packageName());
            packing.setValue(options.packing());
            manifest.setValue(options.manifest());
        } finally {
            showing = false;
        }
        problem.setText(session.releasing().planProblem());
        Controls.showIf(problem, !problem.getText().isEmpty());
        showProfiles();
    }

    private void showProfiles() {
        List<String> names = session.person().releaseProfiles();
        if (!profile.getItems().equals(names)) {
            profile.getItems().setAll(names);
        }
    }

    private void keep() {
        if (showing) {
            return;
        }
        try {
            ReleaseOptions now = typed();
            if (!now.equals(session.releasing().options())) {
                session.releasing().setOptions(now);
            }
        } catch (CannotProceedException e) {
            session.failed(e);
        }
    }

    private ReleaseOptions typed() {
        List<ReleaseOptions.Output> outputs = new ArrayList<>();
        forms.forEach((form, line) -> {
            if (line.box.isSelected()) {
                String names = line.names.getText().strip();
                boolean usual =
                        names.isEmpty() || names.equals(session.releasing().naming());
                String folders =
                        line.folders.isDisabled() && line.folders.getText().isEmpty()
                                ? "{path}"
                                : line.folders.getText().strip();
                outputs.add(new ReleaseOptions.Output(form, usual ? "" : names, folders));
            }
        });
        return session.releasing()
                .options()
                .withOutputs(outputs)
                .withCodes(codes.getText())
                .packed(packing.getValue(), packageName.getText().strip(), manifest.getValue());
    }
}
