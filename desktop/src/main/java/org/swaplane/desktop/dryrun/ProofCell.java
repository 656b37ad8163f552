package org.swaplane.desktop.dryrun;

import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.proof.Proof;

/** A proof by its name, with its verdict and how much waits there. */
final class ProofCell extends ListCell<ProofEntry> {
    private static final List<Proof.Verdict> VERDICTS = List.of(Proof.Verdict.values());

    private static final double VERDICT = 140;

    private final Label name = Controls.styled(new Label(), "proof-name");
    private final Label verdict = Controls.styled(new Label(), "verdict");
    private final HBox row = Controls.styled(new HBox(name, verdict), "proof");

    ProofCell(ListView<ProofEntry> list) {
        HBox.setHgrow(name, Priority.ALWAYS);
        name.setMaxWidth(Double.MAX_VALUE);
        verdict.setMinWidth(Region.USE_PREF_SIZE);
        name.setWrapText(true);
        name.prefWidthProperty().bind(list.widthProperty().subtract(VERDICT));
        prefWidthProperty().bind(list.widthProperty().subtract(24));
    }

    @Override
    protected void updateItem(ProofEntry entry, boolean empty) {
        super.updateItem(entry, empty);
        setGraphic(empty ? null : row);
        VERDICTS.forEach(each -> verdict.getStyleClass().remove(style(each)));
        if (empty) {
            return;
        }
        name.setText(entry.words());
        verdict.setText(entry.isNotRun() ? Strings.text("verdict.not-run") : "");
        entry.proof().ifPresent(proof -> {
            Proof.Verdict now = entry.dryRun().verdict(proof);
            int open = entry.dryRun().open(proof).size();
            String word = Strings.text("verdict." + now.name().toLowerCase(Locale.ROOT));
            verdict.setText(now == Proof.Verdict.PASS ? word : Strings.text("verdict.of", word, open));
            verdict.getStyleClass().add(style(now));
        });
    }

    static String style(Proof.Verdict verdict) {
        return "verdict-" + verdict.name().toLowerCase(Locale.ROOT);
    }
}
