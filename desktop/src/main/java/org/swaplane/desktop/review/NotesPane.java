package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.OwnNote;
import org.swaplane.lane.TrackSnapshot;

/** What people here noted at the segment in hand, with answers; notes are added, settled and taken away. */
final class NotesPane extends VBox {
    private static final int LINES = 3;

    private final LaneSession session;
    private final Runnable back;
    private final VBox entries = Controls.styled(new VBox(), "column-tight");
    private final TextArea text = new TextArea();
    private final VBox form;
    private String key = "";
    private List<String> several = List.of();
    private OwnNote answered;
    private int start = -1;
    private int end = -1;

    /** {@code back} is where the keyboard goes afterwards. */
    NotesPane(LaneSession session, Runnable back) {
        this.session = session;
        this.back = back;
        getStyleClass().add("column-tight");
        setId("own-notes");
        text.setId("note-text");
        text.setWrapText(true);
        text.setPrefRowCount(LINES);
        text.setAccessibleText(Strings.text("notes.text"));
        text.setPromptText(Strings.text("notes.text"));
        text.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER && !event.isShiftDown()) {
                save();
                event.consume();
            } else if (event.getCode() == KeyCode.ENTER) {
                text.insertText(text.getCaretPosition(), "\n");
                event.consume();
            } else if (event.getCode() == KeyCode.ESCAPE) {
                close();
                event.consume();
            }
        });
        form = Controls.styled(
                new VBox(
                        text,
                        Controls.wrapped(
                                Controls.button("save-note", "notes.save", this::save),
                                Controls.button("cancel-note", "terms.cancel", this::close))),
                "column-tight");
        Controls.showIf(form, false);
        getChildren()
                .addAll(
                        entries,
                        Controls.styled(Controls.button("add-note", "notes.add", () -> open(-1, -1)), "small"),
                        form);
    }

    /** Whether somebody is writing a note, so that keys belong to it. */
    boolean isWriting() {
        return text.isFocused();
    }

    void show(TrackSnapshot track, int segment) {
        String now = track.segment(segment).key();
        if (!now.equals(key)) {
            // What was being written is kept, whatever made somebody leave.
            keep();
            Controls.showIf(form, false);
        }
        key = now;
        List<Node> nodes = new ArrayList<>();
        List<OwnNote> all = session.annotations().of(now);
        String target = track.target(segment).plainText();
        for (OwnNote note : all) {
            if (!note.isAnswer()) {
                nodes.add(entry(note, target, all));
            }
        }
        entries.getChildren().setAll(nodes);
    }

    private VBox entry(OwnNote note, String target, List<OwnNote> all) {
        VBox entry = Controls.styled(new VBox(), "entry");
        entry.getChildren().add(Controls.quiet(caption(note)));
        if (note.hasSpan() && note.end() <= target.length()) {
            entry.getChildren()
                    .add(Controls.quiet(Strings.text("notes.about", target.substring(note.start(), note.end()))));
        }
        entry.getChildren().add(wrapped(note.text()));
        all.stream().filter(each -> each.answers().equals(note.id())).forEach(answer -> {
            entry.getChildren().add(Controls.quiet(caption(answer)));
            entry.getChildren().add(wrapped(answer.text()));
        });
        if (!session.lane().isReadOnly()) {
            entry.getChildren()
                    .add(Controls.wrapped(
                            small("answer-note", "notes.answer", () -> answer(note)),
                            small(
                                    "settle-note",
                                    note.settled() ? "notes.reopen" : "notes.settle",
                                    () -> session.annotations().settle(note, !note.settled())),
                            small("remove-note", "notes.remove", () -> session.annotations()
                                    .remove(note))));
        }
        return entry;
    }

    private static Button small(String id, String key, Runnable action) {
        return Controls.styled(Controls.button(id, key, action), "small");
    }

    private static Label wrapped(String text) {
        Label label = new Label(text);
        label.setWrapText(true);
        return label;
    }

    private static String caption(OwnNote note) {
        String caption = note.author() + " · " + Dates.minute(note.at());
        return note.settled() && !note.isAnswer() ? Strings.text("notes.settled", caption) : caption;
    }

    /** Opens the form for a note about a part of the target; -1 for all of it. */
    void open(int from, int to) {
        start = from;
        end = to;
        several = List.of();
        answered = null;
        text.setPromptText(Strings.text("notes.text"));
        text.clear();
        Controls.showIf(form, true);
        text.requestFocus();
    }

    /** Opens the form for a note that is made at each of several segments. */
    void openFor(List<String> keys) {
        open(-1, -1);
        several = List.copyOf(keys);
        text.setPromptText(Strings.text("notes.text-several", keys.size()));
    }

    private void answer(OwnNote note) {
        open(-1, -1);
        answered = note;
    }

    private void close() {
        text.clear();
        Controls.showIf(form, false);
        back.run();
    }

    private void save() {
        keep();
        close();
    }

    private void keep() {
        String written = text.getText().strip();
        if (!written.isEmpty() && form.isVisible()) {
            if (!several.isEmpty()) {
                several.forEach(each -> session.annotations().add(each, -1, -1, written));
            } else if (answered == null) {
                session.annotations().add(key, start, end, written);
            } else {
                session.annotations().answer(answered, written);
            }
        }
        text.clear();
    }
}
