package org.swaplane.desktop.review;

import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;

/** Where a segment of a document is cut: its source with a cursor to split it at, and a way to join it with the next. */
final class CutPanel extends VBox {
    private final LaneSession session;
    private final TextArea source = new TextArea();
    private int index;

    CutPanel(LaneSession session) {
        this.session = session;
        getStyleClass().add("column");
        source.setId("cut-source");
        source.setAccessibleText(Strings.text("cut.source"));
        source.setEditable(false);
        source.setWrapText(true);
        source.setPrefRowCount(3);
        source.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                split();
                event.consume();
            }
        });
        getChildren()
                .addAll(
                        Controls.heading("cut.title"),
                        source,
                        Controls.button("split-segment", "cut.split", this::split),
                        Controls.button("join-segment", "cut.join", this::join));
    }

    void show(int segment) {
        index = segment;
        source.setText(session.snapshot().segment(segment).source().plainText());
    }

    /** To the cursor, which Enter splits at. */
    void focusSource() {
        source.requestFocus();
    }

    void join() {
        session.editing().join(index);
    }

    private void split() {
        session.editing().split(index, source.getCaretPosition());
    }
}
