package org.swaplane.desktop.dryrun;

import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.ProofStore;
import org.swaplane.proof.Proof;

/** One place that a proof points at, with its picture if it is one, and what a person said of it. */
final class DetailCell extends ListCell<Proof.Detail> {
    static final double THUMBNAIL = 72;

    /** Room for a picture and for what was said of it. */
    private static final double BESIDE = 340;

    private static final PseudoClass LOOKED_AT = PseudoClass.getPseudoClass("looked-at");

    private final Map<String, Image> pictures;
    private final Function<Proof.Detail, Optional<ProofStore.TickedOff>> ticked;
    private final ImageView picture = new ImageView();
    private final StackPane frame = Controls.styled(new StackPane(picture), "thumbnail");
    private final Label where = Controls.styled(new Label(), "code");
    private final Label text = new Label();
    private final Label looked = Controls.quiet("");
    private final HBox row = Controls.styled(new HBox(), "detail");

    DetailCell(
            ListView<Proof.Detail> list,
            Map<String, Image> pictures,
            Function<Proof.Detail, Optional<ProofStore.TickedOff>> ticked) {
        this.pictures = pictures;
        this.ticked = ticked;
        text.setWrapText(true);
        where.setWrapText(true);
        looked.setMinWidth(160);
        looked.setMaxWidth(220);
        frame.setMinSize(THUMBNAIL, THUMBNAIL);
        VBox words = Controls.styled(new VBox(where, text), "column-tight");
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMinWidth(0);
        words.prefWidthProperty().bind(list.widthProperty().subtract(BESIDE));
        row.getChildren().addAll(frame, words, looked);
        prefWidthProperty().bind(list.widthProperty().subtract(24));
    }

    @Override
    protected void updateItem(Proof.Detail detail, boolean empty) {
        super.updateItem(detail, empty);
        setGraphic(empty ? null : row);
        pseudoClassStateChanged(LOOKED_AT, false);
        if (empty) {
            return;
        }
        where.setText(detail.where());
        Controls.showIf(where, !detail.where().isEmpty());
        text.setText(detail.text());
        Controls.showIf(frame, pictures.containsKey(detail.where()));
        picture.setImage(pictures.get(detail.where()));
        Optional<ProofStore.TickedOff> tick = ticked.apply(detail);
        looked.setText(tick.map(each -> Strings.text("dry-run.looked-at", each.who(), each.reason()))
                .orElse(""));
        Controls.showIf(looked, tick.isPresent());
        pseudoClassStateChanged(LOOKED_AT, tick.isPresent());
    }
}
