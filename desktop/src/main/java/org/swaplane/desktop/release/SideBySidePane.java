package org.swaplane.desktop.release;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Releasing;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Track;

/** A document before it goes, beside its original: pages as pictures where they can be rendered, else its text. */
final class SideBySidePane extends VBox {
    private static final double EDGES = 40;

    private final LaneSession session;
    private final Label title = Controls.styled(new Label(), "heading");
    private final ListView<Line> lines = new ListView<>();
    private final Button show;
    private Track chosen;

    /** What stands beside each other: two pages, or two paragraphs. */
    private record Line(
            Optional<Path> original, Optional<Path> translated, String originalText, String translatedText) {}

    SideBySidePane(LaneSession session) {
        this.session = session;
        getStyleClass().add("column");
        show = Controls.button("show-side-by-side", "release.look", this::look);
        lines.setId("side-by-side");
        lines.setAccessibleText(Strings.text("release.look"));
        lines.setPlaceholder(Controls.quiet(Strings.text("release.look-hint")));
        lines.setCellFactory(list -> new LineCell());
        VBox.setVgrow(lines, Priority.ALWAYS);
        getChildren().addAll(Controls.row(title, show), lines);
    }

    void show(List<Releasing.Row> rows) {
        Track track = rows.isEmpty() ? null : rows.get(0).track();
        if (track != chosen) {
            chosen = track;
            lines.getItems().clear();
        }
        title.setText(track == null ? "" : track.name());
        show.setDisable(track == null);
    }

    private void look() {
        Track of = chosen;
        session.releasing().look(of, both -> {
            if (of == chosen) {
                lines.getItems().setAll(lines(both));
            }
        });
    }

    private static List<Line> lines(Releasing.SideBySide both) {
        int pages = Math.max(both.original().size(), both.translated().size());
        int texts = both.originalText().size();
        return IntStream.range(0, Math.max(pages, texts))
                .mapToObj(i -> new Line(
                        page(both.original(), i),
                        page(both.translated(), i),
                        i < texts ? both.originalText().get(i) : "",
                        i < texts ? both.translatedText().get(i) : ""))
                .toList();
    }

    private static Optional<Path> page(List<Path> pages, int index) {
        return index < pages.size() ? Optional.of(pages.get(index)) : Optional.empty();
    }

    private final class LineCell extends ListCell<Line> {
        @Override
        protected void updateItem(Line line, boolean empty) {
            super.updateItem(line, empty);
            setText(null);
            setPrefWidth(0);
            setGraphic(
                    empty || line == null
                            ? null
                            : new HBox(
                                    side(line.original(), line.originalText()),
                                    side(line.translated(), line.translatedText())));
        }

        private Node side(Optional<Path> page, String text) {
            double width = (lines.getWidth() - EDGES) / 2;
            if (page.isPresent()) {
                ImageView view = new ImageView(new Image(page.get().toUri().toString(), true));
                view.setPreserveRatio(true);
                view.setFitWidth(width);
                return view;
            }
            Label label = new Label(text);
            label.setWrapText(true);
            label.setPrefWidth(width);
            return label;
        }
    }
}
