package org.swaplane.desktop.checks;

import java.util.List;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.swaplane.compare.TextDifference;
import org.swaplane.content.Content;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.wording.Wording;

/** What fixing all findings of a kind would write, before it is written. */
final class FixPreview extends VBox {
    private static final double ROOM_BESIDE = 120;

    private final LaneSession session;
    private final Label title = Controls.styled(new Label(), "heading");
    private final ListView<Map.Entry<Integer, Content>> fixes = new ListView<>();
    private final Button write;
    private String check = "";

    FixPreview(LaneSession session, Runnable done) {
        this.session = session;
        getStyleClass().add("column");
        setId("fix-preview");
        fixes.setId("fixes");
        fixes.setCellFactory(list -> new FixCell());
        VBox.setVgrow(fixes, Priority.ALWAYS);
        write = Controls.primary("write-fixes", "checks.write-fixes", () -> {
            session.checking().fixAll(check);
            done.run();
        });
        addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                done.run();
                event.consume();
            }
        });
        getChildren()
                .addAll(title, fixes, Controls.row(write, Controls.button("leave-fixes", "checks.leave-fixes", done)));
    }

    /** Shows the fixes of a check; the preview must be visible, since it takes the focus. */
    void show(String of) {
        check = of;
        title.setText(Strings.text("checks.fixes-title", Wording.text("check-name." + of)));
        fill(session.checking().fixes(of));
        write.requestFocus();
    }

    /** Shows what there is to fix after an edit or an undo; false when there is nothing any more. */
    boolean isStillAsked() {
        Map<Integer, Content> all = session.checking().fixes(check);
        fill(all);
        return !all.isEmpty();
    }

    private void fill(Map<Integer, Content> all) {
        write.setText(Strings.text("checks.write-fixes", all.size()));
        fixes.getItems().setAll(List.copyOf(all.entrySet()));
    }

    private final class FixCell extends ListCell<Map.Entry<Integer, Content>> {
        private final Label number = Controls.styled(new Label(), "row-number");
        private final ContentFlow before = new ContentFlow();
        private final ContentFlow after = new ContentFlow();
        private final HBox line = Controls.styled(new HBox(number, before, after), "preview-row");

        FixCell() {
            number.setMinWidth(44);
            // The same width when the height is asked for as when it is drawn.
            List.of(before, after).forEach(column -> {
                column.prefWidthProperty()
                        .bind(fixes.widthProperty().subtract(ROOM_BESIDE).divide(2));
                column.setMinWidth(Region.USE_PREF_SIZE);
                column.setMaxWidth(Region.USE_PREF_SIZE);
            });
        }

        @Override
        protected void updateItem(Map.Entry<Integer, Content> fix, boolean empty) {
            super.updateItem(fix, empty);
            setGraphic(empty ? null : line);
            if (!empty) {
                TagNumbers numbers =
                        TagNumbers.of(session.snapshot().segment(fix.getKey()).source());
                Content now = session.snapshot().target(fix.getKey());
                TextDifference difference =
                        TextDifference.between(now.plainText(), fix.getValue().plainText());
                number.setText(String.valueOf(fix.getKey() + 1));
                before.show(now, numbers, difference.before());
                after.show(fix.getValue(), numbers, difference.after());
            }
        }
    }
}
