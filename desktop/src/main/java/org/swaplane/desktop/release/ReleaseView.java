package org.swaplane.desktop.release;

import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Releasing;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.ProofStore;
import org.swaplane.release.Gate;

/** The gate as a list that turns from open to held, the file that will be written, and the receipts. */
public final class ReleaseView implements View {
    public static final ViewDescriptor DESCRIPTOR =
            new ViewDescriptor(ViewId.RELEASE, session -> 0, context -> new ReleaseView(context.session()));

    private final LaneSession session;
    private final VBox conditions = Parts.styled(new VBox(), "proofs");
    private final Label file = Parts.styled(new Label(), "code");
    private final TextField reason = new TextField();
    private final TextField naming = new TextField();
    private final Button release;
    private final VBox receipts = Parts.styled(new VBox(), "column");
    private final HBox override;
    private final VBox node;

    public ReleaseView(LaneSession session) {
        this.session = session;
        this.release = Parts.primary("release", "release.write", this::release);
        reason.setId("override-reason");
        reason.setPromptText(Strings.say("release.reason"));
        reason.setPrefWidth(420);
        reason.textProperty().addListener((property, before, now) -> showButton());
        reason.setOnAction(event -> release());
        file.setWrapText(true);
        naming.setId("naming");
        naming.setPrefWidth(260);
        naming.setOnAction(
                event -> session.releasing().setNaming(naming.getText().strip()));
        naming.focusedProperty().addListener((property, before, focused) -> {
            if (!focused
                    && session.track() != null
                    && !naming.getText().strip().equals(session.releasing().naming())) {
                session.releasing().setNaming(naming.getText().strip());
            }
        });
        override = Parts.row(Parts.quiet(Strings.say("release.override")), reason);
        ScrollPane scroll = new ScrollPane(receipts);
        scroll.setFitToWidth(true);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        node = Parts.styled(
                new VBox(
                        Parts.title("view.release"),
                        Parts.heading("release.gate"),
                        conditions,
                        Parts.styled(
                                new VBox(
                                        Parts.heading("release.file"),
                                        file,
                                        Parts.row(
                                                Parts.quiet(Strings.say("release.naming")),
                                                naming,
                                                Parts.quiet(Strings.say("release.naming-hint"))),
                                        override,
                                        Parts.row(release)),
                                "card"),
                        Parts.heading("release.receipts"),
                        scroll),
                "view");
        session.releasing().gateProperty().addListener((property, before, now) -> show());
        session.releasing().outlookProperty().addListener((property, before, now) -> show());
    }

    private void release() {
        Gate gate = session.releasing().gateProperty().get();
        if (gate != null && (gate.holds() || !reason.getText().isBlank())) {
            session.releasing().release(gate.holds() ? "" : reason.getText().strip());
            reason.clear();
        }
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        (release.isDisabled() ? reason : release).requestFocus();
    }

    @Override
    public void refresh() {
        session.releasing().refresh();
        show();
    }

    private void show() {
        receipts.getChildren().clear();
        Releasing.Outlook outlook = session.releasing().outlookProperty().get();
        if (session.track() == null) {
            file.setText(Strings.say("empty.no-track"));
        } else if (outlook != null) {
            file.setText(outlook.file().toString());
            outlook.receipts().forEach(each -> receipts.getChildren().add(row(each)));
        }
        if (!naming.isFocused()) {
            naming.setText(session.releasing().naming());
        }
        if (receipts.getChildren().isEmpty()) {
            receipts.getChildren().add(Parts.quiet(Strings.say("release.no-receipts")));
        }
        showGate();
    }

    private void showGate() {
        conditions.getChildren().clear();
        Gate gate = session.releasing().gateProperty().get();
        if (session.track() != null && gate != null) {
            gate.conditions().forEach(condition -> conditions.getChildren().add(row(condition)));
        } else {
            conditions.getChildren().add(Parts.quiet(Strings.say("release.asking")));
        }
        boolean open = gate != null && !gate.holds();
        override.setVisible(open);
        override.setManaged(open);
        showButton();
    }

    private void showButton() {
        Gate gate = session.releasing().gateProperty().get();
        release.setDisable(session.track() == null
                || gate == null
                || !gate.holds() && reason.getText().isBlank());
        release.setText(Strings.say(gate == null || gate.holds() ? "release.write" : "release.write-anyway"));
    }

    private HBox row(Gate.Condition condition) {
        Label word = Parts.styled(new Label(Strings.say(condition.holds() ? "gate.held" : "gate.open")), "verdict");
        word.getStyleClass().add(condition.holds() ? "verdict-pass" : "verdict-fail");
        Label message = new Label(condition.message());
        HBox row = Parts.styled(new HBox(word, message, Parts.spacer()), "proof");
        row.setId("gate-" + condition.id());
        if (!condition.holds()) {
            ViewId where = where(condition.id());
            Button show = Parts.button("show-" + condition.id(), "release.show", () -> session.viewProperty()
                    .set(where));
            row.getChildren().add(Parts.styled(show, "small"));
        }
        return row;
    }

    private static ViewId where(String condition) {
        return switch (condition) {
            case "dry-run" -> ViewId.DRY_RUN;
            case "away" -> ViewId.EXCHANGE;
            case "findings" -> ViewId.CHECKS;
            default -> ViewId.REVIEW;
        };
    }

    private static HBox row(ProofStore.Receipt receipt) {
        Label what =
                new Label(Strings.say("release.receipt", receipt.file(), receipt.who(), Dates.minute(receipt.at())));
        Label sum = Parts.styled(new Label("SHA-256 " + receipt.sha256()), "code");
        VBox lines = Parts.styled(new VBox(what, sum), "column-tight");
        if (!receipt.overrideReason().isEmpty()) {
            lines.getChildren().add(Parts.quiet(Strings.say("release.overridden", receipt.overrideReason())));
        }
        return Parts.styled(new HBox(lines), "trip");
    }
}
