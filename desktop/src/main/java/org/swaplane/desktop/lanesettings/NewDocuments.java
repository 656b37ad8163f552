package org.swaplane.desktop.lanesettings;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.DocumentOptions;
import org.swaplane.segmentation.SegmentationRules;

/** How the next documents of the lane are cut and read where it is not as by default, with the way back. */
final class NewDocuments extends VBox {
    private final LaneSession session;

    NewDocuments(LaneSession session) {
        this.session = session;
        getStyleClass().addAll("card", "column-tight");
        setId("new-documents");
    }

    void show() {
        session.background()
                .read(
                        Strings.text("task.lanes"),
                        progress -> session.lane().trackStore().newSegmentation(),
                        this::show,
                        session::failed);
    }

    private void show(SegmentationRules segmentation) {
        List<Node> rows = new ArrayList<>();
        if (!segmentation.equals(SegmentationRules.shipped())) {
            String into = segmentation.equals(SegmentationRules.BY_PARAGRAPH) ? "cut.paragraphs" : "lane.cut-own";
            rows.add(row(
                    "segmentation",
                    Strings.text("lane.documents.segmentation", Strings.text(into)),
                    () -> session.intakes().forgetSegmentation(this::show)));
        }
        session.lane()
                .settings()
                .ownDocumentOptions()
                .forEach((format, options) -> rows.add(row(
                        format, Strings.text("lane.documents.format", format, words(options)), () -> session.intakes()
                                .forgetOptions(format, this::show))));
        if (rows.isEmpty()) {
            rows.add(Controls.quiet(Strings.text("lane.documents.default")));
        }
        getChildren().setAll(rows);
    }

    private static Node row(String id, String words, Runnable reset) {
        Label label = new Label(words);
        label.setWrapText(true);
        Button button = Controls.styled(Controls.button("reset-document-" + id, "lane.reset", reset), "small");
        return Controls.row(label, Controls.spacer(), button);
    }

    /** What is otherwise than by default. */
    private static String words(DocumentOptions options) {
        List<String> parts = new ArrayList<>();
        DocumentOptions standard = DocumentOptions.DEFAULT;
        if (!options.extras().isEmpty()) {
            parts.add(options.extras().stream()
                    .map(extra -> Strings.text("extra." + extra.name().toLowerCase(Locale.ROOT)))
                    .sorted()
                    .collect(Collectors.joining(", ")));
        }
        if (!options.selection().equals(standard.selection())) {
            parts.add(Strings.text("document.selection"));
        }
        if (!options.placeholders().equals(standard.placeholders())) {
            parts.add(Strings.text("placeholders.title"));
        }
        if (!options.fonts().isEmpty()) {
            parts.add(Strings.text("document.fonts"));
        }
        if (!options.itsRules().isEmpty()) {
            parts.add(Strings.text("document.its-rules"));
        }
        return String.join(" · ", parts);
    }
}
