package org.swaplane.desktop.review;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.Segment;

/** The client's pictures that the segment in hand names; each opens in the program for pictures. */
final class PicturesPane extends VBox {
    private static final double WIDTH = 216;

    private final LaneSession session;
    private final FileOpener opener;
    private final Runnable changed;
    private Segment asked;

    /** {@code changed} is run when there are some, or none any more. */
    PicturesPane(LaneSession session, FileOpener opener, Runnable changed) {
        this.session = session;
        this.opener = opener;
        this.changed = changed;
        getStyleClass().add("column-tight");
        setId("pictures");
    }

    boolean isEmpty() {
        return getChildren().isEmpty();
    }

    void show(Segment segment) {
        if (segment.equals(asked)) {
            return;
        }
        asked = segment;
        session.background()
                .read(
                        Strings.text("task.history"),
                        progress -> session.lane().references().pictures().of(segment),
                        files -> {
                            if (segment.equals(asked)) {
                                fill(files);
                            }
                        },
                        session::failed);
    }

    private void fill(List<Path> files) {
        getChildren().setAll(files.stream().map(this::picture).toList());
        changed.run();
    }

    private Button picture(Path file) {
        ImageView view = new ImageView(new Image(file.toUri().toString(), 2 * WIDTH, 0, true, true, true));
        view.setPreserveRatio(true);
        view.setFitWidth(WIDTH);
        String name = file.getFileName().toString();
        Button button = Controls.styled(new Button(name, view), "picture");
        button.setAccessibleText(Strings.text("side.picture", name));
        button.setOnAction(event -> opener.open(file));
        return button;
    }
}
