package org.swaplane.desktop.checks;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.GridPane;
import org.swaplane.check.CheckIds;
import org.swaplane.check.Profile;
import org.swaplane.check.Severity;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Strings;
import org.swaplane.wording.Wording;

/** Which checks are made, and how severe what they find is. */
final class CheckChoices extends GridPane {
    private static final int COLUMNS = 2;
    private static final String USUAL = "usual";

    private final Map<String, CheckBox> boxes = new HashMap<>();
    private final Map<String, ComboBox<String>> severities = new HashMap<>();

    CheckChoices(Consumer<UnaryOperator<Profile>> change) {
        getStyleClass().add("profile-checks");
        int rows = (CheckIds.ALL.size() + COLUMNS - 1) / COLUMNS;
        for (int i = 0; i < CheckIds.ALL.size(); i++) {
            String id = CheckIds.ALL.get(i);
            boxes.put(id, box(id, change));
            severities.put(id, severity(id, change));
            add(boxes.get(id), i / rows * 2, i % rows);
            add(severities.get(id), i / rows * 2 + 1, i % rows);
        }
    }

    private static CheckBox box(String id, Consumer<UnaryOperator<Profile>> change) {
        CheckBox box = new CheckBox(Wording.text("check-name." + id));
        box.setId("check-" + id);
        box.setMnemonicParsing(false);
        box.setOnAction(event -> change.accept(profile -> {
            Set<String> off = new TreeSet<>(profile.off());
            if (box.isSelected()) {
                off.remove(id);
            } else {
                off.add(id);
            }
            return profile.withOff(off);
        }));
        return box;
    }

    private static ComboBox<String> severity(String id, Consumer<UnaryOperator<Profile>> change) {
        ComboBox<String> severity = Choice.of(
                "severity-" + id, List.of(USUAL, "error", "warning"), each -> Strings.text("profile.severity." + each));
        severity.setOnAction(event -> change.accept(profile -> {
            Map<String, Severity> set = new TreeMap<>(profile.severities());
            set.remove(id);
            if (!severity.getValue().equals(USUAL)) {
                set.put(id, Severity.valueOf(severity.getValue().toUpperCase(Locale.ROOT)));
            }
            return profile.withSeverities(set);
        }));
        return severity;
    }

    /** Shows what the profile says; the controls stay, and with them the focus. */
    void show(Profile profile) {
        boxes.forEach((id, box) -> box.setSelected(!profile.off().contains(id)));
        severities.forEach((id, severity) -> {
            Severity set = profile.severities().get(id);
            severity.setValue(set == null ? USUAL : set.name().toLowerCase(Locale.ROOT));
        });
    }
}
