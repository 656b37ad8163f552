package org.swaplane.desktop.text;

import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.VBox;

/** How many words are reviewed, in numbers and as a bar. */
public final class ReviewedWords extends VBox {
    private final Label words = Controls.styled(new Label(), "caption");
    private final ProgressBar bar = new ProgressBar();

    public ReviewedWords() {
        getStyleClass().add("board-file");
        bar.setMaxWidth(Double.MAX_VALUE);
        getChildren().addAll(words, bar);
    }

    public void show(long reviewed, long all) {
        words.setText(Strings.text("board.words", reviewed, all));
        bar.setProgress(all == 0 ? 0 : (double) reviewed / all);
    }
}
