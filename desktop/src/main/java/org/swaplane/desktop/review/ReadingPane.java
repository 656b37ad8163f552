package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.content.Content;
import org.swaplane.desktop.editor.TargetEditor;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;

/**
 * The document as it reads, paragraph by paragraph, beside its source: what will be delivered, without tags. A paragraph becomes editors in its
 * place when somebody wants to change it.
 */
final class ReadingPane extends VBox {
    private static final PseudoClass HEADING = PseudoClass.getPseudoClass("heading");
    private static final PseudoClass ITEM = PseudoClass.getPseudoClass("item");

    private final LaneSession session;
    private final ParagraphEditor editor;
    private final ListView<Paragraph> list = new ListView<>();
    private final ComboBox<Mode> mode = Choice.of(
            "reading-mode",
            List.of(Mode.values()),
            each -> Strings.text("reading.mode." + each.name().toLowerCase(Locale.ROOT)));

    /** Which texts are read. */
    private enum Mode {
        BOTH,
        TARGET,
        SOURCE
    }

    /**
     * One unit of the document.
     *
     * @param first index of its first segment
     */
    private record Paragraph(int first, List<Segment> segments) {}

    ReadingPane(LaneSession session) {
        this.session = session;
        this.editor = new ParagraphEditor(session, this::stopEditing);
        getStyleClass().add("column");
        list.setId("reading");
        list.setCellFactory(view -> new ParagraphCell());
        list.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER && !editor.isEditing()) {
                editSelected();
                event.consume();
            }
        });
        list.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> {
            if (now != null && editor.isEditing() && now.first() != editor.first()) {
                Platform.runLater(this::stopEditing);
            }
        });
        VBox.setVgrow(list, Priority.ALWAYS);
        mode.setAccessibleText(Strings.text("reading.mode"));
        mode.setOnAction(event -> list.refresh());
        getChildren().addAll(Controls.row(mode, Controls.quiet(Strings.text("reading.hint"))), list);
    }

    /** Reads the track as it stands now; the paragraph of the segment in hand is selected. */
    void show(TrackSnapshot track) {
        editor.end();
        int inHand = session.currentProperty().get();
        session.background()
                .run(Strings.text("task.read", track.name()), progress -> paragraphs(track.current()), all -> {
                    list.getItems().setAll(all);
                    int at = 0;
                    while (at + 1 < all.size() && all.get(at + 1).first() <= inHand) {
                        at++;
                    }
                    list.getSelectionModel().select(at);
                    list.scrollTo(Math.max(0, at - 2));
                    list.requestFocus();
                });
    }

    private static List<Paragraph> paragraphs(BilingualDocument document) {
        List<Paragraph> paragraphs = new ArrayList<>();
        int first = 0;
        for (int part = 0; part < document.parts().size(); part++) {
            for (List<Segment> unit : document.units(part)) {
                paragraphs.add(new Paragraph(first, unit));
                first += unit.size();
            }
        }
        return paragraphs;
    }

    private void editSelected() {
        Paragraph selected = list.getSelectionModel().getSelectedItem();
        if (selected != null) {
            if (mode.getValue() == Mode.SOURCE) {
                mode.setValue(Mode.BOTH);
            }
            editor.begin(selected.first(), selected.segments().size());
            list.refresh();
        }
    }

    /** The editor of the paragraph that somebody is typing into. */
    Optional<TargetEditor> editorWithKeyboard() {
        return editor.withKeyboard();
    }

    /** Ends editing, where that goes on. */
    void stopEditing() {
        if (editor.isEditing()) {
            int first = editor.first();
            editor.end();
            readAnew(first);
            list.requestFocus();
        }
    }

    /** Shows the paragraph of a segment as it stands now. */
    private void readAnew(int index) {
        int at = position(index);
        if (at < 0) {
            return;
        }
        TrackSnapshot track = session.snapshot();
        Paragraph before = list.getItems().get(at);
        Paragraph now = new Paragraph(
                before.first(),
                IntStream.range(
                                before.first(),
                                before.first() + before.segments().size())
                        .mapToObj(i -> track.segment(i).with(track.target(i), track.state(i)))
                        .toList());
        if (!now.equals(before)) {
            list.getItems().set(at, now);
        }
    }

    /** Where the paragraph of a segment stands; negative where it is not listed. */
    private int position(int index) {
        int from = 0;
        int to = list.getItems().size() - 1;
        while (from < to) {
            int middle = (from + to + 1) / 2;
            if (list.getItems().get(middle).first() <= index) {
                from = middle;
            } else {
                to = middle - 1;
            }
        }
        return list.getItems().isEmpty() ? -1 : from;
    }

    /** Something has changed at the segment in hand. */
    void follow() {
        if (!editor.isEditing() && session.hasSegments()) {
            readAnew(session.currentProperty().get());
        }
    }

    /** The first segment of the paragraph that is selected, or the one that is edited. */
    OptionalInt current() {
        if (editor.isEditing()) {
            return OptionalInt.of(editor.current());
        }
        Paragraph selected = list.getSelectionModel().getSelectedItem();
        return selected == null ? OptionalInt.empty() : OptionalInt.of(selected.first());
    }

    /** Marks the paragraph as reviewed and goes on to the next one. */
    void reviewed() {
        stopEditing();
        Paragraph selected = list.getSelectionModel().getSelectedItem();
        if (selected != null) {
            int first = selected.first();
            TrackSnapshot track = session.snapshot();
            Map<Integer, Value> edits = new HashMap<>();
            IntStream.range(first, first + selected.segments().size())
                    .filter(i -> !track.segment(i).locked() && !track.target(i).isEmpty() && !track.isUntranslated(i))
                    .forEach(i -> edits.put(i, new Value(track.target(i), State.REVIEWED)));
            session.editing().apply(StepKind.STATE_SET, edits);
            readAnew(first);
            list.getSelectionModel().selectNext();
            list.scrollTo(Math.max(0, list.getSelectionModel().getSelectedIndex() - 2));
        }
    }

    private final class ParagraphCell extends ListCell<Paragraph> {
        private final Label place = Controls.styled(new Label(), "reading-place");
        private final ResolvedText source = new ResolvedText();
        private final ResolvedText target = new ResolvedText();
        private final GridPane row = Controls.styled(new GridPane(), "reading-row");

        private ParagraphCell() {
            ColumnConstraints narrow = new ColumnConstraints(150, 150, 150);
            ColumnConstraints wide = new ColumnConstraints();
            wide.setPercentWidth(42);
            row.getColumnConstraints().addAll(narrow, wide, wide);
            row.addRow(0, place, source, target);
            // As wide as the list, so that long texts wrap.
            setPrefWidth(0);
            addEventFilter(MouseEvent.MOUSE_CLICKED, event -> {
                if (event.getClickCount() == 2 && !editor.isEditing()) {
                    editSelected();
                    event.consume();
                }
            });
        }

        @Override
        protected void updateItem(Paragraph paragraph, boolean empty) {
            super.updateItem(paragraph, empty);
            setText(null);
            setGraphic(empty || paragraph == null ? null : row);
            if (empty || paragraph == null) {
                return;
            }
            Controls.showIf(source, mode.getValue() != Mode.TARGET);
            Controls.showIf(target, mode.getValue() != Mode.SOURCE);
            boolean alone = mode.getValue() != Mode.BOTH;
            boolean edited = editor.isEditing() && editor.first() == paragraph.first();
            Node now = edited ? editor : target;
            row.getChildren().setAll(place, source, now);
            GridPane.setRowIndex(now, 0);
            GridPane.setColumnIndex(now, alone ? 1 : 2);
            GridPane.setColumnSpan(now, alone ? 2 : 1);
            GridPane.setColumnSpan(source, alone ? 2 : 1);
            String unit = paragraph.segments().get(0).unit();
            row.pseudoClassStateChanged(HEADING, unit.matches("(?:h[1-6]|heading(?:-[1-6])?|title) \\d+"));
            row.pseudoClassStateChanged(ITEM, unit.matches("(?:li|item) \\d+"));
            int index = paragraph.first();
            place.setText(paragraph.segments().get(0).unit());
            TextLanguage.of(
                            session.snapshot().sourceLanguage(index),
                            session.directions(index).source())
                    .apply(source);
            TextLanguage.of(
                            session.snapshot().targetLanguage(index),
                            session.directions(index).target())
                    .apply(target);
            source.clear();
            target.clear();
            for (Segment segment : paragraph.segments()) {
                boolean missing = segment.target().isEmpty();
                source.add(segment.source(), false);
                source.add(Content.of(" "), false);
                target.add(missing ? segment.source() : segment.target(), missing);
                target.add(Content.of(" "), false);
            }
        }
    }
}
