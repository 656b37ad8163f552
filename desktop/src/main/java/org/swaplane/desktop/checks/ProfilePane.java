package org.swaplane.desktop.checks;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.swaplane.check.Profile;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.spelling.Dictionary;

/** Which checks the lane makes, and how. What is changed holds at once. */
final class ProfilePane extends ScrollPane {
    private final LaneSession session;
    private final FilePicker picker;
    private final CheckChoices checks = new CheckChoices(this::change);
    private final TextField most = number("growth-most");
    private final TextField least = number("growth-least");
    private final CheckBox letterCase = new CheckBox(Strings.text("profile.case"));
    private final CheckBox tags = new CheckBox(Strings.text("profile.tags"));
    private final CheckBox numbers = new CheckBox(Strings.text("profile.numbers"));
    private final VBox terms = Controls.column();
    private final TextArea keep = new TextArea();
    private final VBox dictionaries = Controls.column();
    private final TextField language = number("dictionary-language");
    private final Button shipped = Controls.button("use-shipped", "profile.use-shipped", this::useShipped);
    private final PatternsPane patterns;
    private boolean showing;

    ProfilePane(LaneSession session, FilePicker picker) {
        this.session = session;
        this.picker = picker;
        this.patterns = new PatternsPane(session, own -> change(profile -> profile.withPatterns(own)));
        setId("profile");
        setFitToWidth(true);
        keep.setId("keep-as-is");
        keep.setPrefRowCount(3);
        keep.focusedProperty().addListener((property, before, focused) -> {
            if (!focused) {
                change(profile -> profile.withKeep(keep.getText()
                        .lines()
                        .map(String::strip)
                        .filter(line -> !line.isEmpty())
                        .toList()));
            }
        });
        for (TextField field : List.of(most, least)) {
            field.setOnAction(event -> growthTyped());
            field.focusedProperty().addListener((property, before, focused) -> growthTyped());
        }
        for (CheckBox box : List.of(letterCase, tags, numbers)) {
            box.setOnAction(event -> change(profile -> profile.with(
                    new Profile.Consistency(letterCase.isSelected(), tags.isSelected(), numbers.isSelected()))));
        }
        language.setPromptText(Strings.text("intake.language-example"));
        language.textProperty().addListener((property, before, typed) -> shipped.setDisable(!isShipped(typed.strip())));
        setContent(Controls.styled(
                new VBox(
                        Controls.row(
                                Controls.button("load-profile", "profile.load", () -> picker.chooseFiles().stream()
                                        .findFirst()
                                        .ifPresent(session.checking()::loadProfile)),
                                Controls.button("save-profile", "profile.save", () -> picker.chooseTarget(
                                                Strings.text("profile.file-name"))
                                        .ifPresent(session.checking()::saveProfile))),
                        checks,
                        Controls.heading("profile.growth"),
                        wrapped(
                                new Label(Strings.text("profile.most")),
                                most,
                                new Label(Strings.text("profile.least")),
                                least),
                        Controls.heading("profile.consistency"),
                        wrapped(letterCase, tags, numbers),
                        Controls.heading("profile.terms"),
                        Controls.quiet(Strings.text("profile.terms-explained")),
                        terms,
                        Controls.row(Controls.button("add-terms", "profile.add-terms", this::addTerms)),
                        Controls.heading("profile.keep"),
                        keep,
                        Controls.heading("profile.dictionaries"),
                        Controls.quiet(Strings.text("profile.dictionaries-explained")),
                        dictionaries,
                        wrapped(
                                language,
                                shipped,
                                Controls.button("add-dictionary", "profile.add-dictionary", this::addDictionary)),
                        patterns),
                "profile"));
    }

    private static TextField number(String id) {
        TextField field = new TextField();
        field.setId(id);
        field.setPrefColumnCount(5);
        return field;
    }

    private static FlowPane wrapped(Node... nodes) {
        return Controls.wrapped(nodes);
    }

    void show() {
        Profile profile = session.checking().profile();
        showing = true;
        checks.show(profile);
        most.setText(String.valueOf(profile.growth().most()));
        least.setText(String.valueOf(profile.growth().least()));
        letterCase.setSelected(profile.consistency().letterCase());
        tags.setSelected(profile.consistency().tags());
        numbers.setSelected(profile.consistency().numbers());
        keep.setText(String.join("\n", profile.keep()));
        terms.getChildren()
                .setAll(profile.terms().stream()
                        .map(name -> removable(name, all -> all.withTerms(without(all.terms(), name))))
                        .toList());
        dictionaries
                .getChildren()
                .setAll(new TreeMap<>(profile.dictionaries())
                        .entrySet().stream()
                                .map(each -> removable(each.getKey() + "   " + called(each.getValue()), all -> {
                                    Map<String, String> left = new TreeMap<>(all.dictionaries());
                                    left.remove(each.getKey());
                                    return all.withDictionaries(left);
                                }))
                                .toList());
        patterns.show(profile.patterns());
        if (language.getText().isEmpty()
                && session.snapshot() != null
                && session.snapshot().size() > 0) {
            language.setText(session.snapshot().targetLanguage(0));
        }
        shipped.setDisable(!isShipped(language.getText().strip()));
        showing = false;
    }

    private static List<String> without(List<String> all, String one) {
        return all.stream().filter(each -> !each.equals(one)).toList();
    }

    private Node removable(String words, UnaryOperator<Profile> removed) {
        return Controls.row(new Label(words), Controls.button("remove", "profile.remove", () -> change(removed)));
    }

    private void growthTyped() {
        try {
            double longest = Double.parseDouble(most.getText().strip().replace(',', '.'));
            double shortest = Double.parseDouble(least.getText().strip().replace(',', '.'));
            change(profile -> profile.with(new Profile.Growth(longest, shortest)));
        } catch (NumberFormatException e) {
            // What is no number stays as it was; the field shows that.
            Profile.Growth growth = session.checking().profile().growth();
            most.setText(String.valueOf(growth.most()));
            least.setText(String.valueOf(growth.least()));
        }
    }

    private void addTerms() {
        picker.chooseFiles().forEach(session.checking()::addTerms);
    }

    private void addDictionary() {
        if (language.getText().isBlank()) {
            language.requestFocus();
            return;
        }
        picker.chooseFiles().stream().findFirst().map(Path::toString).ifPresent(this::spellBy);
    }

    private void useShipped() {
        spellBy(Profile.SHIPPED);
    }

    private void spellBy(String dictionary) {
        change(profile -> {
            Map<String, String> all = new TreeMap<>(profile.dictionaries());
            all.put(language.getText().strip(), dictionary);
            return profile.withDictionaries(all);
        });
    }

    private static boolean isShipped(String language) {
        return !language.isEmpty() && Dictionary.isShipped(language);
    }

    private static String called(String dictionary) {
        return dictionary.equals(Profile.SHIPPED) ? Strings.text("profile.shipped") : dictionary;
    }

    private void change(UnaryOperator<Profile> how) {
        if (!showing) {
            session.checking().setProfile(how.apply(session.checking().profile()));
            show();
        }
    }
}
