package org.swaplane.desktop.board;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.swaplane.content.TagNotation;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.Intakes;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.LanguageField;
import org.swaplane.desktop.text.LanguagesField;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.LanguageCode;
import org.swaplane.document.Segment;
import org.swaplane.format.FileOptions;
import org.swaplane.intake.Arrival;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.segmentation.Srx;

/** What a new file does not say itself: its languages, and for a document how its text is cut, with a sample to look at. */
final class IntakeChoices extends VBox {
    private static final int SAMPLE = 8;

    private final LaneSession session;
    private final FilePicker picker;
    private final LanguageField source;
    private final LanguagesField targets;
    private final ComboBox<Cut> cut = Choice.of(
            "intake-cut",
            List.of(Cut.values()),
            each -> Strings.text("cut." + each.name().toLowerCase(Locale.ROOT)));
    private final CheckBox onlyThis = new CheckBox(Strings.text("intake.only-this"));
    private final HBox sourceRow;
    private final HBox targetRow;
    private final HBox cutRow = Controls.row(new Label(Strings.text("intake.ask-cut")), cut);
    private final VBox sample = Controls.styled(new VBox(), "intake-sample");
    private final Supplier<Set<Arrival>> selected;
    private List<String> shown = List.of();
    private Arrival inspected;
    private boolean showing;

    /** How a document is cut into segments. */
    private enum Cut {
        SENTENCES,
        PARAGRAPHS,
        OWN
    }

    /** {@code selected} are the files of the table that a choice is about, where they are several. */
    IntakeChoices(LaneSession session, FilePicker picker, Supplier<Set<Arrival>> selected) {
        this.session = session;
        this.picker = picker;
        this.selected = selected;
        List<String> last = session.person().lastLanguages();
        source = new LanguageField("intake-source-language", last);
        targets = new LanguagesField("intake-target-language", last);
        sourceRow = Controls.row(new Label(Strings.text("intake.ask-source")), source);
        targetRow = Controls.row(new Label(Strings.text("intake.ask-target")), targets);
        getStyleClass().add("column");
        cut.setOnAction(event -> cutChosen());
        onlyThis.setId("intake-only-this");
        source.onChosen(code -> readInLanguages());
        targets.onChange(codes -> readInLanguages());
        getChildren().add(Controls.wrapped(sourceRow, targetRow, cutRow, onlyThis));
    }

    /** How the file in hand is cut. */
    Node sample() {
        return sample;
    }

    /** What is asked for the files that wait, with a sample of {@code arrival} where that is a document. */
    void show(Intakes.Intake intake, Arrival arrival) {
        showing = true;
        boolean another = inspected == null || !inspected.source().equals(arrival.source());
        inspected = arrival;
        boolean anyDocument = intake.arrivals().stream().anyMatch(each -> each.role() == Arrival.Role.DOCUMENT);
        boolean namesNone = intake.arrivals().stream().anyMatch(IntakeChoices::namesNoTarget);
        Controls.showIf(sourceRow, anyDocument);
        Controls.showIf(targetRow, anyDocument || namesNone);
        Controls.showIf(cutRow, anyDocument);
        Controls.showIf(onlyThis, intake.arrivals().size() > 1 && (anyDocument || namesNone));
        // A new version goes by its track; the languages asked for are those of the files that become tracks.
        boolean asked = !source.code().isEmpty() && !targets.codes().isEmpty();
        Optional<Arrival> track = arrival.role().isTrack()
                ? Optional.of(arrival)
                : intake.arrivals().stream()
                        .filter(each -> each.role().isTrack() && !asked)
                        .findFirst();
        track.ifPresent(each -> {
            source.setCode(each.document().sourceLanguage());
            if (another || targets.codes().isEmpty()) {
                targets.setCodes(targetsOf(each));
            }
            cut.setValue(cutOf(each.options().segmentation()));
        });
        shown = typed();
        if (another) {
            onlyThis.setSelected(false);
        }
        showSample(arrival);
        showing = false;
    }

    /** A document goes into all languages of the lane, if its first is among them. */
    private List<String> targetsOf(Arrival arrival) {
        String own = arrival.document().targetLanguage();
        List<String> ofLane = session.lane().settings().targetLanguages();
        return arrival.role() == Arrival.Role.DOCUMENT && (own.isEmpty() || ofLane.contains(own))
                ? ofLane
                : own.isEmpty() ? List.of() : List.of(own);
    }

    private static Cut cutOf(SegmentationRules rules) {
        return rules.equals(SegmentationRules.BY_PARAGRAPH)
                ? Cut.PARAGRAPHS
                : rules.equals(SegmentationRules.shipped()) ? Cut.SENTENCES : Cut.OWN;
    }

    private static boolean namesNoTarget(Arrival arrival) {
        return arrival.role().isTrack()
                && arrival.document().parts().stream()
                        .anyMatch(part -> part.targetLanguage().isEmpty());
    }

    private void showSample(Arrival arrival) {
        Controls.showIf(sample, arrival.role() == Arrival.Role.DOCUMENT);
        sample.getChildren().setAll(Controls.quiet(Strings.text("intake.sample")));
        if (sample.isVisible()) {
            arrival.document().segments().stream().limit(SAMPLE).forEach(segment -> sample.getChildren()
                    .add(Controls.styled(line(segment), "intake-sample-line")));
        }
    }

    private static Node line(Segment segment) {
        Label label = new Label(TagNotation.write(segment.source(), segment.source()));
        label.setWrapText(true);
        return label;
    }

    private void cutChosen() {
        if (showing) {
            return;
        }
        switch (cut.getValue()) {
            case SENTENCES -> cutBy(SegmentationRules.shipped());
            case PARAGRAPHS -> cutBy(SegmentationRules.BY_PARAGRAPH);
            case OWN -> picker.chooseFiles().stream().findFirst().ifPresent(this::readOwn);
        }
    }

    private void readOwn(Path file) {
        session.background()
                .run(
                        Strings.text("task.read", file.getFileName().toString()),
                        progress -> {
                            try (InputStream in = Files.newInputStream(file)) {
                                return Srx.read(file.getFileName().toString(), in);
                            } catch (IOException e) {
                                throw new IOException(file.getFileName() + ": " + e.getMessage(), e);
                            }
                        },
                        this::cutBy);
    }

    /** Shows the sample as other rules cut it. */
    private void cutBy(SegmentationRules segmentation) {
        session.intakes().readAgain(meant(), how -> how.with(segmentation));
    }

    /** Reads again in the languages that were typed, if they are others and can be. */
    private void readInLanguages() {
        if (inspected != null
                && !showing
                && !typed().equals(shown)
                && typedFault().isEmpty()) {
            shown = typed();
            session.intakes().readAgain(meant(), how -> how.inLanguages(source.code(), target()));
        }
    }

    /** The files that a choice is about: those that are selected, where they are several. */
    private Predicate<Arrival> meant() {
        Set<Arrival> several = selected.get();
        if (onlyThis.isSelected()) {
            return arrival -> several.size() > 1 ? several.contains(arrival) : arrival == inspected;
        }
        return arrival -> arrival.role() == Arrival.Role.DOCUMENT || namesNoTarget(arrival);
    }

    /** How a file is read in the languages that were typed; a language that it states itself needs not be said. */
    private FileOptions in(Arrival arrival, String target) {
        boolean same = arrival.document().sourceLanguage().equals(source.code())
                && arrival.document().targetLanguage().equals(target);
        return same ? arrival.options() : arrival.options().inLanguages(source.code(), target);
    }

    /** The language in which the files that wait are read. */
    private String target() {
        return targets.codes().stream().findFirst().orElse("");
    }

    private List<String> typed() {
        return List.of(source.code(), target());
    }

    private String typedFault() {
        return LanguageCode.fault(source.code())
                + targets.codes().stream()
                        .map(LanguageCode::fault)
                        .filter(fault -> !fault.isEmpty())
                        .map(fault -> " " + fault)
                        .collect(Collectors.joining());
    }

    /** A document becomes a track for each target language, a bilingual file that names none for the first. */
    private Stream<Arrival> inAllTargets(Arrival arrival) {
        if (!arrival.role().isTrack() || !meant().test(arrival)) {
            return Stream.of(arrival);
        }
        List<String> wanted = targets.codes();
        boolean severalTimes = arrival.role() == Arrival.Role.DOCUMENT && wanted.size() > 1;
        return severalTimes
                ? wanted.stream().map(target -> arrival.with(in(arrival, target)))
                : Stream.of(arrival.with(in(arrival, target())));
    }

    /** These files as they shall be taken in; empty when a language is missing or wrong, which has been said then. */
    Optional<List<Arrival>> chosen(List<Arrival> accepted) {
        String fault = typedFault();
        List<Arrival> ready = accepted.stream().flatMap(this::inAllTargets).toList();
        Optional<Arrival> speechless =
                ready.stream().filter(IntakeChoices::lacksLanguage).findFirst();
        if (fault.isEmpty() && speechless.isEmpty()) {
            return Optional.of(ready);
        }
        session.notify(
                Notification.Tone.FAILED,
                fault.isEmpty()
                        ? Strings.text(
                                "intake.language-needed",
                                speechless.get().source().name())
                        : fault);
        (source.code().isEmpty() && sourceRow.isVisible() ? source : targets.field()).requestFocus();
        return Optional.empty();
    }

    private static boolean lacksLanguage(Arrival arrival) {
        FileOptions options = arrival.options();
        boolean noTarget = namesNoTarget(arrival) && options.targetLanguage().isEmpty();
        boolean noSource = arrival.role() == Arrival.Role.DOCUMENT
                && arrival.document().sourceLanguage().isEmpty()
                && options.sourceLanguage().isEmpty();
        return noTarget || noSource;
    }
}
