package org.swaplane.desktop.dryrun;

import java.util.List;
import java.util.Locale;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.Segment;
import org.swaplane.lane.ProofStore;
import org.swaplane.proof.Proof;

/** The proofs of the track, and its text before and after pseudo-translation. */
public final class DryRunView implements View {
    private final LaneSession session;
    private final VBox proofs = Parts.styled(new VBox(), "proofs");
    private final Label summary = Parts.quiet("");
    private final ListView<Segment> preview = new ListView<>();
    private final Button run;
    private final VBox node;

    public DryRunView(LaneSession session) {
        this.session = session;
        this.run = Parts.primary("run-dry-run", "dry-run.run", session::runDryRun);
        preview.setId("dry-run-preview");
        preview.setCellFactory(list -> new PreviewCell());
        preview.setPlaceholder(Parts.quiet(Strings.say("dry-run.no-preview")));
        VBox.setVgrow(preview, Priority.ALWAYS);
        HBox columns = Parts.styled(new HBox(column("dry-run.before"), column("dry-run.after")), "preview-head");
        node = Parts.styled(
                new VBox(
                        Parts.row(Parts.title("view.dry-run"), Parts.spacer(), run),
                        summary,
                        proofs,
                        Parts.heading("dry-run.preview"),
                        columns,
                        preview),
                "view");
    }

    private static Label column(String key) {
        Label label = Parts.styled(new Label(Strings.say(key)), "quiet");
        label.setMaxWidth(Double.MAX_VALUE);
        label.setPrefWidth(100);
        HBox.setHgrow(label, Priority.ALWAYS);
        return label;
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        run.requestFocus();
    }

    @Override
    public void refresh() {
        run.setDisable(session.track() == null);
        proofs.getChildren().clear();
        if (session.track() == null) {
            summary.setText(Strings.say("empty.no-track"));
            return;
        }
        var last = session.lane().proofs().lastDryRun(session.track());
        summary.setText(last.map(DryRunView::words).orElse(Strings.say("dry-run.never")));
        last.ifPresent(
                dryRun -> dryRun.proofs().forEach(proof -> proofs.getChildren().add(row(proof))));
        var result = session.dryRunProperty().get();
        preview.getItems().setAll(result == null ? List.of() : result.pseudo().segments());
    }

    private static String words(ProofStore.Remembered dryRun) {
        String verdict =
                Strings.say("dry-run.verdict." + dryRun.verdict().name().toLowerCase(Locale.ROOT));
        return Strings.say("dry-run.last", Dates.minute(dryRun.at()), verdict);
    }

    private static HBox row(Proof proof) {
        String verdict = proof.verdict().name().toLowerCase(Locale.ROOT);
        Label word = Parts.styled(new Label(Strings.say("verdict." + verdict)), "verdict");
        word.getStyleClass().add("verdict-" + verdict);
        VBox words = Parts.styled(new VBox(new Label(proof.message())), "column-tight");
        proof.details().stream().limit(10).forEach(detail -> words.getChildren().add(Parts.quiet(detail.text())));
        HBox row = Parts.styled(new HBox(word, words), "proof");
        row.setId("proof-" + proof.id());
        return row;
    }

    private final class PreviewCell extends ListCell<Segment> {
        private final ContentFlow before = new ContentFlow();
        private final ContentFlow after = new ContentFlow();
        private final HBox columns = Parts.styled(new HBox(before, after), "preview-row");

        PreviewCell() {
            before.setPrefWidth(100);
            after.setPrefWidth(100);
            HBox.setHgrow(before, Priority.ALWAYS);
            HBox.setHgrow(after, Priority.ALWAYS);
            prefWidthProperty().bind(preview.widthProperty().subtract(24));
        }

        @Override
        protected void updateItem(Segment segment, boolean empty) {
            super.updateItem(segment, empty);
            setGraphic(empty ? null : columns);
            if (!empty) {
                TagNumbers numbers = TagNumbers.of(segment.source());
                before.show(segment.source(), numbers, List.of());
                after.show(segment.target(), numbers, List.of());
            }
        }
    }
}
