package org.swaplane.desktop.board;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.swaplane.content.TagNotation;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Message;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.LanguageCode;
import org.swaplane.document.Segment;
import org.swaplane.format.FileOptions;
import org.swaplane.intake.Arrival;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.segmentation.Srx;
import org.swaplane.task.CannotProceedException;

/** What a new file does not say itself: its languages, and for a document how its text is cut, with a sample to look at. */
final class IntakeChoices extends VBox {
    private static final int SAMPLE = 8;

    private final LaneSession session;
    private final FilePicker picker;
    private final TextField source = field("intake-source-language");
    private final TextField target = field("intake-target-language");
    private final ComboBox<Cut> cut = new ComboBox<>();
    private final HBox sourceRow = Parts.row(new Label(Strings.say("intake.ask-source")), source);
    private final HBox targetRow = Parts.row(new Label(Strings.say("intake.ask-target")), target);
    private final HBox cutRow = Parts.row(new Label(Strings.say("intake.ask-cut")), cut);
    private final VBox sample = Parts.styled(new VBox(), "intake-sample");
    private FileOptions shown = FileOptions.NONE;
    private boolean showing;

    /** How a document is cut into segments. */
    private enum Cut {
        SENTENCES,
        PARAGRAPHS,
        OWN
    }

    IntakeChoices(LaneSession session, FilePicker picker) {
        this.session = session;
        this.picker = picker;
        getStyleClass().add("column");
        cut.setId("intake-cut");
        cut.getItems().setAll(Cut.values());
        cut.setConverter(new StringConverter<>() {
            @Override
            public String toString(Cut item) {
                return item == null ? "" : Strings.say("cut." + item.name().toLowerCase(Locale.ROOT));
            }

            @Override
            public Cut fromString(String text) {
                return null;
            }
        });
        cut.setValue(Cut.SENTENCES);
        cut.setOnAction(event -> cutChosen());
        source.setOnAction(event -> readAgain(shown.segmentation()));
        getChildren().addAll(Parts.row(sourceRow, targetRow, cutRow), sample);
    }

    private static TextField field(String id) {
        TextField field = new TextField();
        field.setId(id);
        field.setPrefColumnCount(6);
        field.setPromptText(Strings.say("intake.language-example"));
        return field;
    }

    /** What is asked for the files that wait, with a sample of {@code inspected} where that is a document. */
    void show(LaneSession.Intake intake, Arrival inspected) {
        showing = true;
        boolean another =
                !intake.options().equals(shown) || sample.getChildren().isEmpty();
        shown = intake.options();
        boolean anyDocument = intake.arrivals().stream().anyMatch(each -> each.role() == Arrival.Role.DOCUMENT);
        boolean namesNone = intake.arrivals().stream()
                .filter(each -> each.role().isTrack())
                .flatMap(each -> each.document().parts().stream())
                .anyMatch(part -> part.targetLanguage().isEmpty());
        showIf(sourceRow, anyDocument);
        showIf(targetRow, anyDocument || namesNone);
        showIf(cutRow, anyDocument);
        if (another) {
            source.setText(shown.sourceLanguage());
            target.setText(shown.targetLanguage());
        }
        showIf(sample, inspected.role() == Arrival.Role.DOCUMENT);
        sample.getChildren().setAll(Parts.quiet(Strings.say("intake.sample")));
        if (sample.isVisible()) {
            inspected.document().segments().stream().limit(SAMPLE).forEach(segment -> sample.getChildren()
                    .add(Parts.styled(line(segment), "intake-sample-line")));
        }
        showing = false;
    }

    private static Label line(Segment segment) {
        Label label = new Label(TagNotation.write(segment.source(), segment.source()));
        label.setWrapText(true);
        return label;
    }

    private static void showIf(Node node, boolean visible) {
        node.setVisible(visible);
        node.setManaged(visible);
    }

    private void cutChosen() {
        if (showing) {
            return;
        }
        switch (cut.getValue()) {
            case SENTENCES -> readAgain(SegmentationRules.shipped());
            case PARAGRAPHS -> readAgain(SegmentationRules.BY_PARAGRAPH);
            case OWN -> picker.chooseFiles().stream().findFirst().ifPresent(this::readOwn);
        }
    }

    private void readOwn(Path file) {
        try (InputStream in = Files.newInputStream(file)) {
            readAgain(Srx.read(file.getFileName().toString(), in));
        } catch (IOException | CannotProceedException e) {
            session.say(Message.Tone.FAILED, e.getMessage());
        }
    }

    /** Shows the sample as other rules or another language cut it. */
    private void readAgain(SegmentationRules segmentation) {
        session.readIntakeAgain(
                FileOptions.ofLanguages(code(source), code(target)).with(segmentation));
    }

    private static String code(TextField field) {
        return field.getText().strip();
    }

    /** What was chosen; empty when a language is missing or wrong, which has been said then. */
    Optional<FileOptions> chosen() {
        for (TextField field : List.of(source, target)) {
            boolean asked = field.getParent().isVisible();
            String fault = LanguageCode.fault(code(field));
            if (asked && (code(field).isEmpty() || !fault.isEmpty())) {
                session.say(Message.Tone.FAILED, fault.isEmpty() ? Strings.say("intake.language-needed") : fault);
                field.requestFocus();
                return Optional.empty();
            }
        }
        String from = sourceRow.isVisible() ? code(source) : "";
        String to = targetRow.isVisible() ? code(target) : "";
        return Optional.of(FileOptions.ofLanguages(from, to).with(shown.segmentation()));
    }
}
