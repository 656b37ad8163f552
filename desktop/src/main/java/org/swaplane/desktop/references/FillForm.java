package org.swaplane.desktop.references;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.MemoryFill;
import org.swaplane.memory.Filling;

/** Fills the file from the memories: says first how much that would be. */
final class FillForm extends VBox {
    private static final List<Integer> LEAST = List.of(100, 99, 98, 97, 95);

    private final LaneSession session;
    private final ComboBox<Filling.Over> over = Choice.of(
            "fill-over",
            List.of(Filling.Over.values()),
            each -> Strings.text("fill.over." + each.name().toLowerCase(Locale.ROOT)));
    private final ComboBox<Integer> least =
            Choice.of("fill-least", LEAST, score -> Strings.text("side.proposal-score", score));
    private final CheckBox lock = new CheckBox(Strings.text("fill.lock"));
    private final Button preview = Controls.button("fill-preview", "fill.preview", this::preview);
    private final Button fill;
    private final Label outcome = Controls.quiet("");

    FillForm(LaneSession session) {
        this.session = session;
        getStyleClass().add("card");
        over.setAccessibleText(Strings.text("fill.over"));
        least.setAccessibleText(Strings.text("fill.least"));
        lock.setId("fill-lock");
        lock.setWrapText(true);
        fill = Controls.primary("fill", "fill.take", session.memories()::fill);
        outcome.setId("fill-outcome");
        outcome.setMinHeight(Region.USE_PREF_SIZE);
        over.setOnAction(event -> session.memories().forgetPlan());
        least.setOnAction(event -> session.memories().forgetPlan());
        lock.setOnAction(event -> session.memories().forgetPlan());
        getChildren()
                .addAll(
                        Controls.heading("fill.title"),
                        Controls.wrapped(new Label(Strings.text("fill.over")), over),
                        Controls.wrapped(new Label(Strings.text("fill.least")), least),
                        lock,
                        outcome,
                        Controls.row(preview, fill));
        session.memories().planProperty().addListener((property, before, now) -> showPlan(now));
        showPlan(null);
    }

    void begin() {
        over.requestFocus();
    }

    void preview() {
        if (session.hasSegments()) {
            session.memories().plan(new MemoryFill.Choices(least.getValue(), over.getValue(), lock.isSelected()));
        }
    }

    void refresh() {
        preview.setDisable(!session.hasSegments() || session.lane().isReadOnly());
        MemoryFill.Plan plan = session.memories().planProperty().get();
        if (plan != null && plan.made().track() != session.track()) {
            session.memories().forgetPlan();
        }
    }

    private void showPlan(MemoryFill.Plan plan) {
        fill.setDisable(plan == null || plan.values().isEmpty());
        if (plan == null) {
            outcome.setText(Strings.text("fill.hint"));
            return;
        }
        String kinds = plan.filled().entrySet().stream()
                .map(each ->
                        Strings.text("fill.kind." + each.getKey().name().toLowerCase(Locale.ROOT), each.getValue()))
                .collect(Collectors.joining(" · "));
        String left = plan.skipped().entrySet().stream()
                .filter(each -> each.getValue() > 0)
                .map(each -> Strings.text(
                        "fill.left."
                                + each.getKey().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                        each.getValue()))
                .collect(Collectors.joining(" · "));
        outcome.setText(Strings.text("fill.would", plan.values().size(), plan.words())
                + (kinds.isEmpty() ? "" : "\n" + kinds)
                + (left.isEmpty() ? "" : "\n" + Strings.text("fill.left", left)));
    }
}
