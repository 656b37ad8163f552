package org.swaplane.desktop.references;

import java.util.Locale;
import java.util.Map;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.memory.WordAnalysis;

/** The bands of a file side by side, each as wide as its share of the words; what is least known is darkest. */
final class BandBar extends HBox {
    private static final double WIDTH = 74;
    private static final double HEIGHT = 12;

    BandBar(Map<WordAnalysis.Band, WordAnalysis.Amount> amounts) {
        getStyleClass().add("band-bar");
        setMaxHeight(HEIGHT);
        double all =
                amounts.values().stream().mapToInt(WordAnalysis.Amount::words).sum();
        amounts.forEach((band, amount) -> {
            if (amount.words() > 0) {
                Region part = Controls.styled(new Region(), "band");
                part.getStyleClass()
                        .add("band-" + band.name().toLowerCase(Locale.ROOT).replace('_', '-'));
                double width = Math.max(1, WIDTH * amount.words() / all);
                part.setMinWidth(width);
                part.setMaxWidth(width);
                part.setMinHeight(HEIGHT);
                Tooltip.install(part, new Tooltip(Strings.text("analysis.share", name(band), amount.words())));
                getChildren().add(part);
            }
        });
    }

    /** How a band is called. */
    static String name(WordAnalysis.Band band) {
        return Strings.text("analysis.band." + band.word().toLowerCase(Locale.ROOT));
    }
}
