package org.swaplane.desktop.dryrun;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.swaplane.content.Content;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Directions;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.placeholder.Placeholders;
import org.swaplane.pseudo.PseudoScript;
import org.swaplane.pseudo.PseudoSettings;
import org.swaplane.pseudo.PseudoTranslator;

/** How the lane pseudo-translates, with a preview on its own texts. */
final class PseudoPane extends VBox {
    private static final int SHOWN = 4;
    private static final List<Integer> GROWTHS = List.of(PseudoSettings.BY_LENGTH, 0, 20, 30, 50, 100, 200);

    private final LaneSession session;
    private final ComboBox<PseudoScript> script = Choice.of(
            "pseudo-script",
            List.of(PseudoScript.values()),
            each -> Strings.text(
                    "pseudo.script." + each.name().toLowerCase(Locale.ROOT).replace('_', '-')));
    private final ComboBox<Integer> growth = Choice.of("pseudo-growth", GROWTHS, PseudoPane::words);
    private final TextField begin = mark("pseudo-begin");
    private final TextField end = mark("pseudo-end");
    private final CheckBox numbered = box("pseudo-numbered", "pseudo.numbered");
    private final CheckBox addresses = box("pseudo-addresses", "pseudo.addresses");
    private final CheckBox accessKeys = box("pseudo-access-keys", "pseudo.access-keys");
    private final VBox preview = Controls.styled(new VBox(), "column");
    private boolean showing;

    PseudoPane(LaneSession session) {
        this.session = session;
        getStyleClass().add("column");
        FlowPane choices = Controls.styled(
                new FlowPane(
                        labelled("pseudo.script", script),
                        labelled("pseudo.growth", growth),
                        labelled("pseudo.begin", begin),
                        labelled("pseudo.end", end)),
                "wrapped-row");
        FlowPane boxes = Controls.wrapped(numbered, addresses, accessKeys);
        script.setOnAction(event -> changed());
        growth.setOnAction(event -> changed());
        List.of(begin, end).forEach(field -> field.textProperty().addListener((property, before, now) -> changed()));
        List.of(numbered, addresses, accessKeys)
                .forEach(box -> box.selectedProperty().addListener((property, before, now) -> changed()));
        getChildren()
                .addAll(
                        Controls.heading("pseudo.title"),
                        Controls.quiet(Strings.text("pseudo.explained")),
                        choices,
                        boxes,
                        Controls.heading("pseudo.preview"),
                        preview);
    }

    private static String words(int growth) {
        return growth == PseudoSettings.BY_LENGTH
                ? Strings.text("pseudo.by-length")
                : Strings.text("pseudo.percent", growth);
    }

    private static TextField mark(String id) {
        TextField field = new TextField();
        field.setId(id);
        field.setPrefColumnCount(4);
        return field;
    }

    private static CheckBox box(String id, String key) {
        CheckBox box = new CheckBox(Strings.text(key));
        box.setId(id);
        box.setMnemonicParsing(false);
        return box;
    }

    private static VBox labelled(String key, javafx.scene.Node node) {
        return Controls.styled(new VBox(Controls.quiet(Strings.text(key)), node), "column-tight");
    }

    void show() {
        PseudoSettings settings = session.dryRuns().settings();
        showing = true;
        script.setValue(settings.script());
        growth.setValue(settings.growth());
        begin.setText(settings.begin());
        end.setText(settings.end());
        numbered.setSelected(settings.numbered());
        addresses.setSelected(settings.addresses());
        accessKeys.setSelected(settings.accessKeys());
        showing = false;
        showPreview(settings);
    }

    private void changed() {
        if (!showing) {
            PseudoSettings settings = new PseudoSettings(
                    script.getValue(),
                    growth.getValue(),
                    begin.getText(),
                    end.getText(),
                    numbered.isSelected(),
                    addresses.isSelected(),
                    accessKeys.isSelected());
            session.dryRuns().set(settings);
            showPreview(settings);
        }
    }

    /** The first texts of the track, with tags and placeholders if there are any. */
    private void showPreview(PseudoSettings settings) {
        preview.getChildren().clear();
        TrackSnapshot track = session.snapshot();
        if (track == null) {
            return;
        }
        PseudoTranslator pseudo = new PseudoTranslator(new Placeholders(), settings, StandardCharsets.UTF_8);
        String language = settings.script() == PseudoScript.RIGHT_TO_LEFT ? "he" : "";
        track.document().segments().stream()
                .map(segment -> segment.source())
                .filter(source -> source.plainText().length() > 3)
                .distinct()
                .limit(200)
                .sorted((one, other) -> other.tags().size() - one.tags().size())
                .limit(SHOWN)
                .forEach(source -> {
                    Content translated =
                            pseudo.translate(source, preview.getChildren().size());
                    ContentFlow before = new ContentFlow();
                    before.show(source, TagNumbers.of(source), List.of());
                    ContentFlow after = new ContentFlow();
                    TextLanguage.of(language, Directions.Direction.BY_LANGUAGE).apply(after);
                    after.show(translated, TagNumbers.of(source), List.of());
                    preview.getChildren().add(Controls.styled(new VBox(before, after), "card"));
                });
    }
}
