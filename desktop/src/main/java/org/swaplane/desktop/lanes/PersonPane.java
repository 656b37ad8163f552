package org.swaplane.desktop.lanes;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.PasswordField;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.LanguageField;
import org.swaplane.desktop.text.LanguagesField;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.LanguageCode;
import org.swaplane.lane.Initials;

/** What holds for the person in all lanes. Each is kept as soon as it is set; lanes that are there do not change by it. */
public final class PersonPane extends VBox {
    private static final int LOOKUPS = 3;

    private final PersonSettings settings;
    private final TextField name = new TextField();
    private final TextField initials = new TextField();
    private final LanguageField source;
    private final LanguagesField targets;
    private final PersonKeys keys;
    private final CheckBox dark = new CheckBox(Strings.text("person.dark"));
    private final Spinner<Integer> size = new Spinner<>(10, 24, 13);
    private final ComboBox<String> language = Choice.of(
            "person-language",
            List.of("", "en", "de"),
            code -> Strings.text(code.isEmpty() ? "person.language.system" : "person.language." + code));
    private final TextField folder = new TextField();
    private final TextArea lookups = new TextArea();
    private final TextField draftAddress = new TextField();
    private final PasswordField draftKey = new PasswordField();
    private boolean showing;

    public PersonPane(PersonSettings settings, FilePicker picker) {
        this.settings = settings;
        this.source = new LanguageField("person-source", settings.lastLanguages());
        this.targets = new LanguagesField("person-targets", settings.lastLanguages());
        this.keys = new PersonKeys(settings, picker);
        getStyleClass().addAll("card", "person");
        setId("person-pane");
        name.setId("person-name");
        initials.setId("person-initials");
        folder.setId("person-folder");
        lookups.setId("person-lookups");
        lookups.setPrefRowCount(LOOKUPS);
        lookups.setPromptText(Strings.text("person.lookups.example"));
        lookups.setAccessibleText(Strings.text("person.lookups"));
        lookups.textProperty()
                .addListener((property, before, now) ->
                        unlessShowing(() -> settings.setLookups(now.lines().toList())));
        draftAddress.setId("person-draft-address");
        draftAddress.setPromptText(Strings.text("person.draft-address.hint"));
        draftKey.setId("person-draft-key");
        draftAddress
                .textProperty()
                .addListener((property, before, now) -> unlessShowing(() -> settings.setDraftAddress(now)));
        draftKey.textProperty().addListener((property, before, now) -> unlessShowing(() -> settings.setDraftKey(now)));
        size.setEditable(true);
        size.setMaxWidth(Double.MAX_VALUE);
        language.setMaxWidth(Double.MAX_VALUE);
        dark.setId("person-dark");
        name.textProperty()
                .addListener((property, before, now) -> unlessShowing(() -> {
                    boolean derived = settings.initials().equals(Initials.of(settings.name()));
                    settings.setName(now);
                    if (derived) {
                        settings.setInitials("");
                        showInitials();
                    }
                }));
        initials.textProperty().addListener((property, before, now) -> unlessShowing(() -> settings.setInitials(now)));
        source.onChosen(code -> unlessShowing(
                () -> settings.setDefaultSource(LanguageCode.fault(code).isEmpty() ? code : "")));
        targets.onChange(codes -> unlessShowing(() -> settings.setDefaultTargets(codes)));
        dark.selectedProperty().addListener((property, before, now) -> unlessShowing(() -> settings.setDark(now)));
        size.valueProperty().addListener((property, before, now) -> unlessShowing(() -> settings.setFontSize(now)));
        language.setOnAction(event -> unlessShowing(() -> settings.setInterfaceLanguage(language.getValue())));
        folder.setOnAction(event -> keepFolder());
        folder.focusedProperty().addListener((property, before, focused) -> {
            if (!focused) {
                keepFolder();
            }
        });
        getChildren()
                .addAll(
                        Controls.heading("person.title"),
                        Controls.quiet(Strings.text("person.hint")),
                        field("person.name", name),
                        field("person.initials", initials),
                        field("person.language", language),
                        Controls.quiet(Strings.text("person.language.hint")),
                        dark,
                        field("person.font-size", size),
                        field("person.folder", folder),
                        Controls.heading("person.languages"),
                        Controls.quiet(Strings.text("person.languages.hint")),
                        field("lanes.source", source),
                        field("lanes.targets", targets),
                        Controls.heading("person.lookups"),
                        Controls.quiet(Strings.text("person.lookups.hint")),
                        lookups,
                        Controls.heading("person.drafts"),
                        Controls.quiet(Strings.text("person.drafts.hint")),
                        field("person.draft-address", draftAddress),
                        field("person.draft-key", draftKey),
                        keys);
    }

    private void keepFolder() {
        unlessShowing(() -> {
            if (!folder.getText().isBlank()) {
                settings.setLanesFolder(java.nio.file.Path.of(folder.getText().strip()));
            }
        });
    }

    private void unlessShowing(Runnable change) {
        if (!showing) {
            change.run();
        }
    }

    private static VBox field(String key, Node node) {
        Label label = Controls.styled(new Label(Strings.text(key)), "quiet");
        label.setLabelFor(node);
        node.setAccessibleText(Strings.text(key));
        return Controls.styled(new VBox(label, node), "column-tight");
    }

    void show() {
        showing = true;
        name.setText(settings.name());
        showInitials();
        dark.setSelected(settings.isDark());
        size.getValueFactory().setValue(settings.fontSize());
        language.setValue(settings.interfaceLanguage());
        folder.setText(settings.lanesFolder().toString());
        source.setCode(settings.chosenSource());
        targets.setCodes(settings.chosenTargets());
        lookups.setText(String.join("\n", settings.lookups()));
        draftAddress.setText(settings.draftAddress());
        draftKey.setText(settings.draftKey());
        keys.show();
        showing = false;
    }

    void begin() {
        name.requestFocus();
    }

    private void showInitials() {
        boolean before = showing;
        showing = true;
        initials.setText(settings.initials());
        showing = before;
    }
}
