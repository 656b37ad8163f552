package org.swaplane.desktop.release;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.SegmentSelection;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.desktop.theme.ScaledColumns;
import org.swaplane.lane.Release;
import org.swaplane.lane.ReleaseDifference;

/** What was released, the newest first, and what became of each file since the release before. */
final class ReleasesPane extends VBox {
    private final LaneSession session;
    private final TableView<Release> releases = new TableView<>();
    private final TableView<ReleaseDifference> differences = new TableView<>();
    private final Button open;
    private final Button receipt;
    private final Button compare;

    ReleasesPane(LaneSession session, FileOpener opener) {
        this.session = session;
        getStyleClass().add("column");
        releases.setId("receipts");
        releases.setAccessibleText(Strings.text("release.receipts"));
        releases.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        releases.setPlaceholder(Controls.quiet(Strings.text("release.no-receipts")));
        releases.getColumns()
                .addAll(List.of(
                        new WordsColumn<>(
                                "release.column.number",
                                50,
                                each -> String.valueOf(each.number()),
                                Comparator.comparing(Release::number)),
                        new WordsColumn<>(
                                "receipt.column.at",
                                120,
                                each -> Dates.minute(each.at()),
                                Comparator.comparing(Release::at)),
                        new WordsColumn<>("receipt.column.who", 100, Release::who),
                        new WordsColumn<>("release.column.place", 200, Release::place),
                        new WordsColumn<>(
                                "lanes.column.files",
                                60,
                                each -> Strings.text("lanes.number", each.files()),
                                Comparator.comparing(Release::files)),
                        new WordsColumn<>(
                                "trip.column.words",
                                70,
                                each -> Strings.text("lanes.number", each.words()),
                                Comparator.comparing(Release::words)),
                        new WordsColumn<>("receipt.column.waived", 180, Release::reason),
                        new WordsColumn<>("receipt.column.sum", 120, Release::sha256)));
        ScaledColumns.of(releases, session.person());
        releases.setItems(session.releasing().releases());
        releases.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showButtons());
        open = Controls.button("open-release", "release.open", () -> chosen().map(session.releasing()::place)
                .ifPresent(opener::open));
        receipt = Controls.button("open-receipt", "release.open-receipt", () -> chosenReceipt(opener));
        compare = Controls.button("compare-releases", "release.compare", this::compare);
        makeDifferences();
        VBox.setVgrow(releases, Priority.ALWAYS);
        VBox.setVgrow(differences, Priority.ALWAYS);
        Controls.showIf(differences, false);
        getChildren().addAll(Controls.row(open, receipt, compare), releases, differences);
        showButtons();
    }

    private void makeDifferences() {
        differences.setId("release-differences");
        differences.setAccessibleText(Strings.text("release.compare"));
        differences.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        differences.setPlaceholder(Controls.quiet(Strings.text("release.no-differences")));
        differences
                .getColumns()
                .addAll(List.of(
                        new WordsColumn<>("trip.column.file", 300, ReleaseDifference::path),
                        new WordsColumn<>(
                                "release.column.outcome",
                                120,
                                each -> Strings.text("release.outcome."
                                        + each.outcome()
                                                .name()
                                                .toLowerCase(Locale.ROOT)
                                                .replace('_', '-'))),
                        new WordsColumn<>(
                                "release.column.segments",
                                120,
                                each -> each.outcome() == ReleaseDifference.Outcome.CHANGED
                                        ? Strings.text(
                                                "lanes.number", each.segments().size())
                                        : "",
                                Comparator.comparing(each -> each.segments().size()))));
        ScaledColumns.of(differences, session.person());
        differences.setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) {
                showSegments();
            }
        });
        differences.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                showSegments();
                event.consume();
            }
        });
    }

    private void showSegments() {
        ReleaseDifference chosen = differences.getSelectionModel().getSelectedItem();
        if (chosen != null && !chosen.segments().isEmpty()) {
            session.show(new SegmentSelection(
                    session.lane().track(chosen.track()), chosen.segments(), Strings.text("release.changed-since")));
            session.viewProperty().set(ViewId.REVIEW);
        }
    }

    Optional<Release> chosen() {
        return Optional.ofNullable(releases.getSelectionModel().getSelectedItem());
    }

    void chosenReceipt(FileOpener opener) {
        chosen().map(session.releasing()::receipt).ifPresent(opener::open);
    }

    private void compare() {
        chosen().ifPresent(release -> session.releasing().compare(release, found -> {
            differences.getItems().setAll(found);
            Controls.showIf(differences, true);
        }));
    }

    private void showButtons() {
        boolean none = chosen().isEmpty();
        open.setDisable(none);
        receipt.setDisable(none);
        compare.setDisable(none || chosen().get().number() <= 1);
        Controls.showIf(differences, false);
    }
}
