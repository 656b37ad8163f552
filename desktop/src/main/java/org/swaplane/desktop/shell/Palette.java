package org.swaplane.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.TrackSnapshot;

/** Search over everything: all commands, and all segments by their texts. */
final class Palette extends StackPane {
    private static final int MOST_SEGMENTS = 50;
    private static final int MOST_FILES = 20;

    private final TextField query = new TextField();
    private final ListView<Entry> list = new ListView<>();
    private final Commands commands;
    private final LaneSession session;
    private final Runnable closed;
    /** So many searches were begun; only the last one is shown. */
    private long searches;

    /** A line of the palette. */
    private record Entry(String words, String hint, Runnable action) {}

    /** {@code closed} gives the keyboard back to the view in front. */
    Palette(Commands commands, LaneSession session, Runnable closed) {
        this.closed = closed;
        this.commands = commands;
        this.session = session;
        getStyleClass().add("overlay");
        setId("palette");
        query.setId("palette-query");
        query.setPromptText(Strings.text("palette.prompt"));
        list.setFocusTraversable(false);
        list.setCellFactory(view -> new EntryCell());
        VBox box = Controls.styled(new VBox(query, list), "palette");
        box.setMaxSize(640, 420);
        getChildren().add(box);
        FocusTrap.keepIn(this, query);
        query.textProperty().addListener((property, before, now) -> search(now));
        query.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        list.setOnMouseClicked(event -> runChosen());
        setOnMouseClicked(event -> {
            if (event.getTarget() == this) {
                close();
            }
        });
        close();
    }

    void open() {
        setVisible(true);
        query.clear();
        search("");
        query.requestFocus();
    }

    void close() {
        setVisible(false);
    }

    private void keyPressed(KeyEvent event) {
        KeyCode code = event.getCode();
        int chosen = list.getSelectionModel().getSelectedIndex();
        if (code == KeyCode.ESCAPE) {
            close();
            closed.run();
        } else if (code == KeyCode.ENTER) {
            runChosen();
        } else if (code == KeyCode.DOWN || code == KeyCode.UP) {
            list.getSelectionModel().select(Math.max(0, chosen + (code == KeyCode.DOWN ? 1 : -1)));
            list.scrollTo(list.getSelectionModel().getSelectedIndex());
        } else {
            return;
        }
        event.consume();
    }

    private void runChosen() {
        Entry entry = list.getSelectionModel().getSelectedItem();
        if (entry != null) {
            close();
            closed.run();
            entry.action().run();
        }
    }

    private void search(String text) {
        String wanted = text.strip().toLowerCase(Locale.ROOT);
        List<Entry> found = new ArrayList<>();
        for (AppCommand command : commands.all()) {
            if (command.isEnabled() && command.words().toLowerCase(Locale.ROOT).contains(wanted)) {
                found.add(new Entry(command.words(), command.keyWords(), command::run));
            }
        }
        if (!wanted.isEmpty()) {
            segmentNumber(wanted).ifPresent(found::add);
            found.addAll(files(wanted));
        }
        list.getItems().setAll(found);
        list.getSelectionModel().selectFirst();
        searches++;
        if (!wanted.isEmpty() && session.hasSegments()) {
            long search = searches;
            TrackSnapshot track = session.snapshot();
            session.background()
                    .read(
                            Strings.text("task.search"),
                            progress -> segments(wanted, track),
                            segments -> {
                                if (search == searches) {
                                    list.getItems().addAll(segments);
                                    if (list.getSelectionModel().isEmpty()) {
                                        list.getSelectionModel().selectFirst();
                                    }
                                }
                            },
                            session::failed);
        }
    }

    private Optional<Entry> segmentNumber(String wanted) {
        if (!session.hasSegments() || !wanted.matches("\\d{1,9}")) {
            return Optional.empty();
        }
        int index = Integer.parseInt(wanted) - 1;
        return index < 0 || index >= session.snapshot().size()
                ? Optional.empty()
                : Optional.of(new Entry(Strings.text("palette.segment", wanted), "", () -> go(index)));
    }

    private List<Entry> files(String wanted) {
        return session.lane().tracks().stream()
                .filter(track -> track.name().toLowerCase(Locale.ROOT).contains(wanted))
                .limit(MOST_FILES)
                .map(track -> new Entry(track.name(), track.summary().targetLanguage(), () -> session.choose(track)))
                .toList();
    }

    private void go(int index) {
        session.currentProperty().set(index);
        session.viewProperty().set(ViewId.REVIEW);
    }

    private List<Entry> segments(String wanted, TrackSnapshot track) {
        List<Entry> found = new ArrayList<>();
        for (int i = 0; i < track.size() && found.size() < MOST_SEGMENTS; i++) {
            String source = track.segment(i).source().plainText();
            String target = track.target(i).plainText();
            boolean inSource = source.toLowerCase(Locale.ROOT).contains(wanted);
            boolean isKey = track.segment(i).key().toLowerCase(Locale.ROOT).endsWith(wanted);
            if (inSource || isKey || target.toLowerCase(Locale.ROOT).contains(wanted)) {
                int index = i;
                found.add(new Entry(inSource ? source : target, String.valueOf(i + 1), () -> go(index)));
            }
        }
        return found;
    }

    private static final class EntryCell extends ListCell<Entry> {
        private final Label words = new Label();
        private final Label hint = Controls.styled(new Label(), "quiet");
        private final HBox line = new HBox(8, words, Controls.spacer(), hint);

        EntryCell() {
            setPrefWidth(0);
            hint.setMinWidth(USE_PREF_SIZE);
        }

        @Override
        protected void updateItem(Entry entry, boolean empty) {
            super.updateItem(entry, empty);
            setGraphic(empty ? null : line);
            if (!empty) {
                words.setText(entry.words().replace('\n', ' '));
                hint.setText(entry.hint());
            }
        }
    }
}
