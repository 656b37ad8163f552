package org.swaplane.desktop.release;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Releasing;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Release;
import org.swaplane.lane.Track;
import org.swaplane.release.Gate;

/** The conditions of the track that is selected, each leading to what is open; they can be waived for all that are selected. */
final class ConditionsPane extends VBox {
    private static final double WORD = 84;

    private final LaneSession session;
    private final Label title = Controls.styled(new Label(), "heading");
    private final Label paths = Controls.styled(new Label(), "code");
    private final VBox conditions = Controls.styled(new VBox(), "proofs");
    private final TextField reason = new TextField();
    private List<Releasing.Row> shown = List.of();

    ConditionsPane(LaneSession session) {
        this.session = session;
        getStyleClass().add("column");
        setId("release-conditions");
        paths.setWrapText(true);
        title.setWrapText(true);
        reason.setId("waive-reason");
        reason.setPromptText(Strings.text("release.waive-reason"));
        reason.setAccessibleText(Strings.text("release.waive-reason"));
        reason.textProperty().addListener((property, before, now) -> showButtons());
        getChildren().addAll(title, paths, conditions, reason);
    }

    /** @param rows those that are selected; the first is shown */
    void show(List<Releasing.Row> rows) {
        shown = rows;
        conditions.getChildren().clear();
        Controls.showIf(reason, false);
        if (rows.isEmpty()) {
            title.setText(Strings.text("release.gate"));
            paths.setText("");
            return;
        }
        Releasing.Row row = rows.get(0);
        title.setText(rows.size() == 1 ? row.track().name() : Strings.text("release.selected", rows.size()));
        paths.setText(
                session.releasing().isChosen(row.track())
                        ? String.join("\n", session.releasing().planned(row.track()))
                        : Strings.text("release.left-out"));
        if (row.gate().isEmpty()) {
            conditions.getChildren().add(Controls.quiet(Strings.text("release.asking")));
            return;
        }
        Gate gate = row.gate().get();
        gate.conditions().forEach(condition -> conditions.getChildren().add(line(row, condition)));
        gate.remarks().forEach(remark -> conditions.getChildren().add(Controls.quiet(remark)));
        Controls.showIf(reason, !gate.holds());
        showButtons();
    }

    private VBox line(Releasing.Row row, Gate.Condition condition) {
        Release.Waiver waiver = row.waivers().get(condition.id());
        boolean waived = waiver != null && !condition.holds();
        Label word = Controls.styled(
                new Label(Strings.text(condition.holds() ? "gate.held" : waived ? "gate.waived" : "gate.open")),
                "verdict");
        word.getStyleClass().add(condition.holds() ? "verdict-pass" : waived ? "verdict-warn" : "verdict-fail");
        word.setMinWidth(Region.USE_PREF_SIZE);
        word.setPrefWidth(WORD * session.person().scale());
        Label message = new Label(condition.message());
        message.setWrapText(true);
        HBox.setHgrow(message, Priority.SOMETIMES);
        HBox line = Controls.styled(new HBox(word, message), "proof");
        line.setId("gate-" + condition.id());
        VBox whole = Controls.styled(new VBox(line), "column-tight");
        if (!condition.holds()) {
            line.getChildren().add(show(row.track(), condition.id()));
            if (waived) {
                line.getChildren().add(small("ask-" + condition.id(), "release.ask-again", () -> session.releasing()
                        .waive(tracks(), condition.id(), "")));
                whole.getChildren()
                        .add(Controls.quiet(Strings.text(
                                "release.waived-by", waiver.who(), Dates.minute(waiver.at()), waiver.reason())));
            } else {
                Button waive = small("waive-" + condition.id(), "release.waive", () -> waive(condition.id()));
                waive.getStyleClass().add("needs-reason");
                line.getChildren().add(waive);
            }
        }
        return whole;
    }

    private static Button small(String id, String key, Runnable action) {
        return Controls.styled(Controls.button(id, key, action), "small");
    }

    private Button show(Track track, String condition) {
        return small("show-" + condition, "release.show", () -> {
            session.choose(track);
            session.viewProperty().set(where(condition));
        });
    }

    private void waive(String condition) {
        session.releasing().waive(tracks(), condition, reason.getText().strip());
        reason.clear();
    }

    private List<Track> tracks() {
        return shown.stream().map(Releasing.Row::track).toList();
    }

    private void showButtons() {
        lookupAll(".needs-reason")
                .forEach(each -> each.setDisable(reason.getText().isBlank()));
    }

    private static ViewId where(String condition) {
        return switch (condition) {
            case "dry-run" -> ViewId.DRY_RUN;
            case "away" -> ViewId.EXCHANGE;
            case "quality" -> ViewId.REPORT;
            case "findings", "errors", "spelling" -> ViewId.CHECKS;
            default -> ViewId.REVIEW;
        };
    }
}
