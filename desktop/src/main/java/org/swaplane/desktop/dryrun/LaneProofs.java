package org.swaplane.desktop.dryrun;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.Label;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableRow;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.lane.Track;
import org.swaplane.proof.Proof;

/** The dry runs of the whole lane: files down, proofs across, the worst files first. */
final class LaneProofs extends TableView<LaneProofs.Row> {
    /** Both ways back to the client stand in one column: a file has one of them. */
    private static final List<String> PROOFS = List.of(
            "identity",
            "survival",
            "second-reader",
            "only-targets",
            "reach",
            "pictures",
            "growth",
            "characters",
            "structure");

    private static final String RETURN = "return";
    private static final double PROOF = 92;

    /** A file, and how each of its proofs ended by id; nothing where it was not run. */
    record Row(Track track, List<Proof> proofs, List<Proof.Verdict> verdicts) {
        private Optional<Proof.Verdict> verdict(String id) {
            for (int i = 0; i < proofs.size(); i++) {
                String own = proofs.get(i).id();
                if (own.equals(id) || id.equals("only-targets") && own.equals(RETURN)) {
                    return Optional.of(verdicts.get(i));
                }
            }
            return Optional.empty();
        }

        private int worst() {
            return verdicts.stream().mapToInt(Enum::ordinal).max().orElse(-1);
        }
    }

    /** {@code open} is given the file that somebody wants to look at. */
    LaneProofs(Consumer<Track> open) {
        setId("lane-proofs");
        setPlaceholder(Controls.quiet(Strings.text("empty.no-track")));
        getColumns().add(new WordsColumn<>("trip.column.file", 150, row -> row.track()
                .name()));
        getColumns().add(new WordsColumn<>("dry-run.column.language", 70, row -> row.track()
                .summary()
                .targetLanguage()));
        PROOFS.forEach(id -> getColumns().add(column(id)));
        setRowFactory(table -> {
            TableRow<Row> row = new TableRow<>();
            row.setOnMouseClicked(event -> {
                if (event.getClickCount() == 2 && !row.isEmpty()) {
                    open.accept(row.getItem().track());
                }
            });
            return row;
        });
        setOnKeyPressed(event -> {
            Row row = getSelectionModel().getSelectedItem();
            if (event.getCode() == KeyCode.ENTER && row != null) {
                open.accept(row.track());
                event.consume();
            }
        });
    }

    private TableColumn<Row, Optional<Proof.Verdict>> column(String id) {
        TableColumn<Row, Optional<Proof.Verdict>> column = new TableColumn<>();
        Label head = new Label(Strings.text("proof." + id));
        head.setWrapText(true);
        head.getStyleClass().add("column-head");
        head.setMaxWidth(PROOF - 8);
        column.setGraphic(head);
        column.setPrefWidth(PROOF);
        column.setComparator(
                Comparator.comparing(verdict -> verdict.map(Enum::ordinal).orElse(-1)));
        column.setCellValueFactory(
                row -> new ReadOnlyObjectWrapper<>(row.getValue().verdict(id)));
        column.setCellFactory(any -> new VerdictCell());
        return column;
    }

    /** Keeps the row that is selected. */
    void show(List<Row> rows) {
        Row selected = getSelectionModel().getSelectedItem();
        getItems()
                .setAll(rows.stream()
                        .sorted(Comparator.comparingInt(Row::worst).reversed())
                        .toList());
        sort();
        getItems().stream()
                .filter(row -> selected != null && row.track() == selected.track())
                .findFirst()
                .ifPresentOrElse(
                        getSelectionModel()::select, () -> getSelectionModel().selectFirst());
    }

    private static final class VerdictCell extends TableCell<Row, Optional<Proof.Verdict>> {
        @Override
        protected void updateItem(Optional<Proof.Verdict> verdict, boolean empty) {
            super.updateItem(verdict, empty);
            getStyleClass().removeIf(each -> each.startsWith("verdict"));
            setText(
                    empty || verdict == null
                            ? null
                            : verdict.map(VerdictCell::words).orElse("–"));
            if (!empty && verdict != null) {
                verdict.ifPresent(each -> getStyleClass().addAll("verdict", ProofCell.style(each)));
            }
        }

        private static String words(Proof.Verdict verdict) {
            return Strings.text("verdict." + verdict.name().toLowerCase(Locale.ROOT));
        }
    }
}
