package org.swaplane.desktop.review;

import java.util.List;
import java.util.function.IntConsumer;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.review.Outline;

/** What the document is made of, with how much of each waits for review; one jumps by it, and it follows where one is. */
final class OutlinePane extends VBox {
    private static final double WIDTH = 210;
    private static final double INDENT = 12;

    private final LaneSession session;
    private final IntConsumer go;
    private final ListView<Outline.Entry> list = new ListView<>();
    private TrackSnapshot shown;
    private boolean following;

    /** {@code go} leads to a segment. */
    OutlinePane(LaneSession session, IntConsumer go) {
        this.session = session;
        this.go = go;
        getStyleClass().add("column-tight");
        setPrefWidth(WIDTH);
        setMinWidth(WIDTH / 2);
        list.setId("outline");
        list.setAccessibleText(Strings.text("outline.title"));
        list.setPlaceholder(Controls.quiet(Strings.text("outline.none")));
        list.setCellFactory(any -> new EntryCell());
        list.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                goToSelected();
                event.consume();
            }
        });
        list.setOnMouseClicked(event -> goToSelected());
        VBox.setVgrow(list, Priority.ALWAYS);
        getChildren().add(list);
    }

    private void goToSelected() {
        Outline.Entry entry = list.getSelectionModel().getSelectedItem();
        if (entry != null && !following) {
            go.accept(entry.first());
        }
    }

    void begin() {
        list.requestFocus();
    }

    /** Reads the document as it stands now, where that is not what is shown. */
    void refresh() {
        TrackSnapshot now = session.snapshot();
        if (now == null || now == shown) {
            follow();
            return;
        }
        shown = now;
        session.background()
                .read(
                        Strings.text("task.outline"),
                        progress -> Outline.of(now),
                        entries -> {
                            if (now == shown && !list.getItems().equals(entries)) {
                                list.getItems().setAll(entries);
                            }
                            follow();
                        },
                        session::failed);
    }

    /** The entry that the segment in hand belongs to. */
    private void follow() {
        List<Outline.Entry> entries = list.getItems();
        int here = session.currentProperty().get();
        int at = -1;
        while (at + 1 < entries.size() && entries.get(at + 1).first() <= here) {
            at++;
        }
        following = true;
        if (at >= 0 && list.getSelectionModel().getSelectedIndex() != at) {
            list.getSelectionModel().select(at);
            list.scrollTo(Math.max(0, at - 2));
        }
        following = false;
    }

    private static final class EntryCell extends ListCell<Outline.Entry> {
        private final Label title = new Label();
        private final Label open = Controls.styled(new Label(), "quiet");
        private final HBox row = Controls.row(title, Controls.spacer(), open);

        private EntryCell() {
            setPrefWidth(0);
            open.setMinWidth(USE_PREF_SIZE);
        }

        @Override
        protected void updateItem(Outline.Entry entry, boolean empty) {
            super.updateItem(entry, empty);
            setGraphic(empty || entry == null ? null : row);
            if (!empty && entry != null) {
                title.setText(entry.title());
                open.setText(entry.open() == 0 ? "" : String.valueOf(entry.open()));
                open.setAccessibleText(Strings.text("outline.open", entry.open(), entry.segments()));
                row.setPadding(new Insets(0, 0, 0, INDENT * entry.level()));
            }
        }
    }
}
