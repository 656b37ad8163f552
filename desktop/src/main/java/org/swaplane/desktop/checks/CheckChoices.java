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
import org.swaplane.check.CheckQuestion;
import org.swaplane.check.Profile;
import org.swaplane.check.Severity;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
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
        int half = 0;
        int row = 0;
        for (CheckQuestion question : CheckQuestion.values()) {
            // The first two questions at the left, the others at the right.
            if (question.ordinal() == CheckQuestion.values().length / COLUMNS) {
                half = 1;
                row = 0;
            }
            add(
                    Controls.heading("profile.question."
                            + question.name().toLowerCase(Locale.ROOT).replace('_', '-')),
                    half * 2,
                    row++,
                    2,
                    1);
            for (String id : question.checks()) {
                boxes.put(id, box(id, change));
                severities.put(id, severity(id, change));
                add(boxes.get(id), half * 2, row);
                add(severities.get(id), half * 2 + 1, row++);
            }
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
        ComboBox<String> severity =
                Choice.of("severity-" + id, List.of(USUAL, "error", "warning"), each -> words(id, each));
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

    private static String words(String check, String severity) {
        boolean usual = severity.equals(USUAL);
        String of = usual ? CheckIds.usualSeverity(check).name().toLowerCase(Locale.ROOT) : severity;
        String word = Strings.text("profile.severity." + of);
        return usual ? Strings.text("profile.severity.usual", word) : word;
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
