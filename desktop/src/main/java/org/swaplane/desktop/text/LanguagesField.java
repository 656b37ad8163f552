package org.swaplane.desktop.text;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import org.swaplane.document.LanguageCode;

/** Several languages: those that are chosen, each with a button that takes it away, and a field for one more. */
public final class LanguagesField extends FlowPane {
    private final LanguageField another;
    private final Set<String> codes = new LinkedHashSet<>();
    private Consumer<List<String>> changed = all -> {};

    public LanguagesField(String id, List<String> last) {
        another = new LanguageField(id, last);
        getStyleClass().add("languages-field");
        another.onChosen(this::add);
        show();
    }

    /** Told all codes whenever they change. */
    public void onChange(Consumer<List<String>> listener) {
        changed = listener;
    }

    public void setCodes(List<String> all) {
        codes.clear();
        codes.addAll(all);
        show();
    }

    /** What is chosen, and what stands in the field and was not confirmed. */
    public List<String> codes() {
        Set<String> all = new LinkedHashSet<>(codes);
        another.chosenCode().ifPresent(all::add);
        return List.copyOf(all);
    }

    private void add(String code) {
        if (!LanguageCode.fault(code).isEmpty()) {
            // What is no language stays in the field, to be corrected.
            return;
        }
        if (!code.isEmpty() && codes.add(code)) {
            another.setCode("");
            show();
            changed.accept(codes());
        } else {
            another.setCode("");
        }
    }

    private void remove(String code) {
        codes.remove(code);
        show();
        changed.accept(codes());
    }

    private void show() {
        getChildren().clear();
        for (String code : codes) {
            Button chip = new Button(Strings.text("language.remove", LanguageNames.withCode(code)));
            chip.getStyleClass().addAll("small", "language-chip");
            chip.setAccessibleText(Strings.text("language.remove-accessible", LanguageNames.withCode(code)));
            chip.setOnAction(event -> remove(code));
            getChildren().add(chip);
        }
        getChildren().add(another);
    }

    public LanguageField field() {
        return another;
    }
}
