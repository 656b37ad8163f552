package org.swaplane.desktop.release;

import java.util.List;
import java.util.function.BooleanSupplier;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Releasing;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.MessageBar;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.release.Gate;

/** The gate as a list that turns from open to held, the file that will be written, and the receipts. */
public final class ReleaseView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.RELEASE, session -> 0, context -> new ReleaseView(context.session(), context.opener()));

    private static final double WORD = 84;

    private final LaneSession session;
    private final VBox conditions = Controls.styled(new VBox(), "proofs");
    private final Label file = Controls.styled(new Label(), "code");
    private final TextField reason = new TextField();
    private final TextField naming = new TextField();
    private final Button release;
    private final ReceiptTable receipts;
    private final FileOpener opener;
    private final VBox override;
    private final VBox node;
    private final CommandMenu menu = new CommandMenu();

    public ReleaseView(LaneSession session, FileOpener opener) {
        this.session = session;
        this.opener = opener;
        this.receipts = new ReceiptTable(session.lane().folder());
        this.release = Controls.primary("release", "release.write", this::release);
        reason.setId("override-reason");
        reason.setPromptText(Strings.text("release.reason"));
        reason.setPrefWidth(420);
        reason.textProperty().addListener((property, before, now) -> showButton());
        reason.setOnAction(event -> release());
        file.setWrapText(true);
        naming.setId("naming");
        naming.setAccessibleText(Strings.text("release.naming"));
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
        override = Controls.column(Controls.quiet(Strings.text("release.override")), reason);
        VBox.setVgrow(receipts, Priority.ALWAYS);
        VBox left = Controls.styled(new VBox(Controls.heading("release.gate"), conditions), "card");
        VBox right = Controls.styled(
                new VBox(
                        Controls.heading("release.file"),
                        file,
                        Controls.row(Controls.quiet(Strings.text("release.naming")), naming),
                        Controls.quiet(Strings.text("release.naming-hint")),
                        override,
                        Controls.row(release)),
                "card");
        for (VBox side : List.of(left, right)) {
            side.setPrefWidth(100);
            HBox.setHgrow(side, Priority.ALWAYS);
        }
        node = Controls.styled(
                new VBox(
                        Controls.row(Controls.title("view.release"), Controls.spacer(), menu),
                        Controls.styled(new HBox(left, right), "dry-run-split"),
                        Controls.heading("release.receipts"),
                        receipts),
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
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get().equals(ViewId.RELEASE) && session.track() != null;
        commands.add("release", "Alt+R", here, release::fire);
        commands.add("open-released", "Alt+O", here, () -> receipts.chosen().ifPresent(opener::open));
        commands.add("copy-released", "", here, () -> receipts.chosen().ifPresent(MessageBar::copy));
        menu.offer(commands.of(ViewId.RELEASE.name()));
        receipts.setContextMenu(CommandMenu.context(commands.of(ViewId.RELEASE.name())));
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        Node where = !release.isDisabled() ? release : override.isVisible() ? reason : node;
        where.requestFocus();
    }

    @Override
    public void refresh() {
        session.releasing().refresh();
        show();
    }

    private void show() {
        Releasing.Outlook outlook = session.releasing().outlookProperty().get();
        if (session.track() == null) {
            file.setText(Strings.text("empty.no-track"));
        } else if (outlook != null) {
            file.setText(outlook.file().toString());
            receipts.show(outlook.receipts());
        }
        if (!naming.isFocused()) {
            naming.setText(session.releasing().naming());
        }
        showGate();
    }

    private void showGate() {
        conditions.getChildren().clear();
        Gate gate = session.releasing().gateProperty().get();
        if (session.track() != null && gate != null) {
            gate.conditions().forEach(condition -> conditions.getChildren().add(row(condition)));
        } else {
            conditions.getChildren().add(Controls.quiet(Strings.text("release.asking")));
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
        release.setText(Strings.text(gate == null || gate.holds() ? "release.write" : "release.write-anyway"));
    }

    private HBox row(Gate.Condition condition) {
        Label word = Controls.styled(new Label(Strings.text(condition.holds() ? "gate.held" : "gate.open")), "verdict");
        word.getStyleClass().add(condition.holds() ? "verdict-pass" : "verdict-fail");
        word.setMinWidth(Region.USE_PREF_SIZE);
        word.setPrefWidth(WORD);
        Label message = new Label(condition.message());
        message.setWrapText(true);
        HBox row = Controls.styled(new HBox(word, message), "proof");
        row.setId("gate-" + condition.id());
        if (!condition.holds()) {
            ViewId where = where(condition.id());
            Button show = Controls.button("show-" + condition.id(), "release.show", () -> session.viewProperty()
                    .set(where));
            row.getChildren().add(Controls.styled(show, "small"));
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
}
