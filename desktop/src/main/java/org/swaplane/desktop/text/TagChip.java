package org.swaplane.desktop.text;

import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import org.swaplane.content.Tag;

/** A tag as a solid chip: its number, open to the side on which its text stands; or the text that it protects. */
public final class TagChip extends Label {
    public TagChip(Tag tag, int number) {
        super(tag.isKnownByLabel() ? tag.label() : written(tag, number));
        getStyleClass()
                .addAll(
                        "tag-chip",
                        switch (tag.kind()) {
                            case OPEN -> "tag-open";
                            case CLOSE -> "tag-close";
                            case STANDALONE -> "tag-alone";
                        });
        // Thousands of chips come and go while a list scrolls, and a tooltip costs more than its chip.
        setOnMouseEntered(event -> {
            if (getTooltip() == null) {
                setTooltip(new Tooltip(tag.label().isEmpty() ? tag.code() : tag.label() + "   " + tag.code()));
            }
        });
        setAccessibleText(Strings.text("tag.accessible." + tag.kind().name().toLowerCase(Locale.ROOT), number));
        setMinSize(USE_PREF_SIZE, USE_PREF_SIZE);
    }

    /** As everywhere, without the brackets, which are drawn. */
    private static String written(Tag tag, int number) {
        return switch (tag.kind()) {
            case OPEN -> String.valueOf(number);
            case CLOSE -> "/" + number;
            case STANDALONE -> number + "/";
        };
    }
}
