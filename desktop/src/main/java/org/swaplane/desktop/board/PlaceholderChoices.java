package org.swaplane.desktop.board;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.Segment;
import org.swaplane.placeholder.PlaceholderRules;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.task.CannotProceedException;

/** Which placeholders are looked for in a document; what they catch in it is shown as they are changed. */
final class PlaceholderChoices extends VBox {
    private static final int LOOKED_AT = 300;
    private static final int MOST_SHOWN = 12;

    private final Map<String, CheckBox> shipped = new LinkedHashMap<>();
    private final TextArea own = Controls.styled(new TextArea(), "code");
    private final Label caught = Controls.quiet("");
    private List<String> texts = List.of();

    PlaceholderChoices() {
        getStyleClass().add("column");
        FlowPane kinds = Controls.wrapped();
        PlaceholderRules.shippedKinds().forEach((name, example) -> {
            CheckBox box = Controls.styled(new CheckBox(example), "code");
            box.setMnemonicParsing(false);
            box.setId("placeholder-" + name);
            box.selectedProperty().addListener((property, before, on) -> preview());
            shipped.put(name, box);
            kinds.getChildren().add(box);
        });
        own.setId("placeholder-own");
        own.setPrefRowCount(2);
        own.setPromptText(Strings.text("placeholders.own-example"));
        own.textProperty().addListener((property, before, now) -> preview());
        caught.setId("placeholder-caught");
        getChildren()
                .addAll(
                        Controls.heading("placeholders.title"),
                        kinds,
                        Controls.quiet(Strings.text("placeholders.own")),
                        own,
                        caught);
    }

    void show(PlaceholderRules rules, List<Segment> segments) {
        texts = segments.stream()
                .limit(LOOKED_AT)
                .map(segment -> segment.source().withCodes())
                .toList();
        shipped.forEach((name, box) -> box.setSelected(!rules.off().contains(name)));
        own.setText(rules.own().stream()
                .map(each -> each.name() + " = " + each.pattern())
                .collect(Collectors.joining("\n")));
        preview();
    }

    PlaceholderRules rules() {
        Set<String> off = new HashSet<>();
        shipped.forEach((name, box) -> {
            if (!box.isSelected()) {
                off.add(name);
            }
        });
        List<PlaceholderRules.Own> patterns = own.getText()
                .lines()
                .map(line -> line.split("=", 2))
                .filter(pair -> pair.length == 2 && !pair[1].isBlank())
                .map(pair -> new PlaceholderRules.Own(pair[0].strip(), pair[1].strip()))
                .toList();
        return new PlaceholderRules(off, patterns);
    }

    /** What the rules would catch, or what is wrong with them. */
    private void preview() {
        PlaceholderRules rules = rules();
        String faults = rules.own().stream()
                .filter(each -> !each.fault().isEmpty())
                .map(each -> Strings.text("placeholders.fault", each.name(), each.fault()))
                .collect(Collectors.joining("\n"));
        if (!faults.isEmpty()) {
            caught.setText(faults);
            return;
        }
        try {
            Placeholders placeholders = rules.placeholders();
            Map<String, Integer> counts = new TreeMap<>();
            texts.forEach(
                    text -> placeholders.find(text).forEach(found -> counts.merge(found.written(), 1, Integer::sum)));
            String list = counts.entrySet().stream()
                    .limit(MOST_SHOWN)
                    .map(each -> Strings.text("placeholders.caught-one", each.getKey(), each.getValue()))
                    .collect(Collectors.joining("   "));
            caught.setText(
                    counts.isEmpty()
                            ? Strings.text("placeholders.none", texts.size())
                            : Strings.text("placeholders.caught", texts.size(), counts.size(), list));
        } catch (CannotProceedException e) {
            caught.setText(e.getMessage());
        }
    }
}
