package org.swaplane.desktop.release;

import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.TableView;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.lane.ProofStore;

/** What was released of a track, the newest first: when, what, by whom, and with which conditions waived. */
final class ReceiptTable extends TableView<ProofStore.Receipt> {
    private final Path lane;

    ReceiptTable(Path lane) {
        this.lane = lane;
        setId("receipts");
        setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        setPlaceholder(Controls.quiet(Strings.text("release.no-receipts")));
        getColumns()
                .add(new WordsColumn<>(
                        "receipt.column.at",
                        130,
                        each -> Dates.minute(each.at()),
                        Comparator.comparing(ProofStore.Receipt::at)));
        getColumns().add(new WordsColumn<>("trip.column.file", 260, ProofStore.Receipt::file));
        getColumns().add(new WordsColumn<>("receipt.column.who", 120, ProofStore.Receipt::who));
        getColumns().add(new WordsColumn<>("receipt.column.waived", 220, ProofStore.Receipt::overrideReason));
        getColumns().add(new WordsColumn<>("receipt.column.sum", 260, ProofStore.Receipt::sha256));
    }

    void show(List<ProofStore.Receipt> receipts) {
        if (!getItems().equals(receipts)) {
            getItems().setAll(receipts);
            getSelectionModel().selectFirst();
        }
    }

    /** The chosen receipt as a page. */
    Optional<Path> chosen() {
        return Optional.ofNullable(getSelectionModel().getSelectedItem())
                .map(receipt -> lane.resolve("out").resolve(receipt.receipt()));
    }
}
