package org.swaplane.desktop.report;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.ThreadLocalRandom;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.Evaluating;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.JobReporting;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.NewFile;
import org.swaplane.lane.Evaluation;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.QualityError;
import org.swaplane.lane.Track;
import org.swaplane.quality.QualityScheme;

/** Evaluations: begun over everything or a sample, the answers of translators, arbitration, and the end. */
final class QualityTools extends VBox {
    private static final long MOST_SEED = 1_000_000;

    private final LaneSession session;
    private final FilePicker picker;
    private final TextField name = Controls.field("evaluation-name", "quality.name", 14);
    private final TextField words = Controls.field("evaluation-words", "quality.sample-words", 10);
    private final TextField seed = Controls.field("evaluation-seed", "quality.seed", 8);
    private final CheckBox blind = new CheckBox(Strings.text("quality.blind"));
    private final Label wrong = Controls.styled(new Label(), "found");
    private final VBox form;
    private final VBox answers = Controls.styled(new VBox(), "column-tight");
    private final ComboBox<QualityError> errors;
    private final TextField who = Controls.field("answer-who", "quality.answered-by", 12);
    private final TextField reason = Controls.field("answer-reason", "quality.answer-reason", 20);
    private final Button close;
    private final Button sample;

    QualityTools(LaneSession session, FilePicker picker) {
        this.session = session;
        this.picker = picker;
        getStyleClass().add("column-tight");
        errors = Choice.of("answered-error", List.of(), this::words);
        errors.setPromptText(Strings.text("quality.choose-error"));
        errors.setAccessibleText(Strings.text("quality.choose-error"));
        errors.setMaxWidth(420);
        seed.setText(String.valueOf(ThreadLocalRandom.current().nextLong(MOST_SEED)));
        blind.setId("evaluation-blind");
        Controls.showIf(wrong, false);
        form = Controls.styled(
                new VBox(
                        Controls.wrapped(
                                name,
                                words,
                                seed,
                                blind,
                                Controls.button("begin-evaluation", "quality.begin", this::begin)),
                        wrong),
                "column-tight");
        Controls.showIf(form, false);
        answers.getChildren()
                .add(Controls.wrapped(
                        errors,
                        who,
                        reason,
                        Controls.small("accept-error", "quality.accept", () -> answer(QualityError.Answer.ACCEPTED)),
                        Controls.small("reject-error", "quality.reject", () -> answer(QualityError.Answer.REJECTED)),
                        Controls.small("uphold-error", "quality.uphold", () -> decide(QualityError.Decision.UPHELD)),
                        Controls.small(
                                "dismiss-error", "quality.dismiss", () -> decide(QualityError.Decision.DISMISSED)),
                        Controls.small("remove-error", "quality.remove", this::remove)));
        close = Controls.small("close-evaluation", "quality.close", session.evaluating()::close);
        sample = Controls.small("show-sample", "quality.show-sample", session.evaluating()::showSample);
        getChildren()
                .addAll(
                        Controls.wrapped(
                                Controls.small(
                                        "new-evaluation",
                                        "quality.new",
                                        () -> Controls.showIf(form, !form.isVisible())),
                                sample,
                                close,
                                Controls.small("export-scheme", "quality.export-scheme", this::exportScheme),
                                Controls.small("import-scheme", "quality.import-scheme", this::importScheme)),
                        form,
                        answers);
        setDisable(session.lane().isReadOnly());
        session.evaluating().stateProperty().addListener((property, before, now) -> refresh());
    }

    private String words(QualityError error) {
        QualityScheme scheme = session.evaluating().stateProperty().get().scheme();
        return Strings.text(
                "quality.error-words",
                scheme.categoryName(error.judgement().category()),
                scheme.severityName(error.judgement().severity()),
                error.marked().isEmpty() ? error.key() : error.marked());
    }

    void refresh() {
        Evaluating.State state = session.evaluating().stateProperty().get();
        Controls.showIf(close, state.evaluation().isPresent());
        Controls.showIf(sample, state.evaluation().filter(Evaluation::isSample).isPresent());
        state.evaluation().ifPresentOrElse(this::readErrors, () -> Controls.showIf(answers, false));
    }

    private void readErrors(Evaluation evaluation) {
        session.background()
                .read(
                        Strings.text("task.errors"),
                        progress -> session.lane().quality().errors(evaluation),
                        read -> {
                            long chosen = errors.getValue() == null
                                    ? -1
                                    : errors.getValue().id();
                            errors.getItems().setAll(read);
                            errors.setValue(read.stream()
                                    .filter(error -> error.id() == chosen)
                                    .findFirst()
                                    .orElse(read.isEmpty() ? null : read.get(0)));
                            Controls.showIf(answers, !read.isEmpty());
                        },
                        session::failed);
    }

    private void begin() {
        JobReporting.Scope scope = session.jobReporting().scopeProperty().get();
        List<Track> tracks = session.lane().tracks().stream()
                .filter(track -> scope.track()
                        .map(track::equals)
                        .orElse(scope.language().isEmpty()
                                || track.summary().targetLanguage().equals(scope.language())))
                .toList();
        Optional<Long> sampleWords = words.getText().isBlank() ? Optional.of(0L) : whole(words.getText());
        Optional<Long> drawn = whole(seed.getText());
        wrong.setText(sampleWords.isEmpty() || drawn.isEmpty() ? Strings.text("quality.wrong-number") : "");
        Controls.showIf(wrong, !wrong.getText().isEmpty());
        if (wrong.getText().isEmpty()) {
            session.evaluating()
                    .begin(name.getText().strip(), tracks, sampleWords.get(), drawn.get(), blind.isSelected());
            Controls.showIf(form, false);
        }
    }

    private static Optional<Long> whole(String written) {
        return written.strip().matches("\\d{1,9}") ? Optional.of(Long.valueOf(written.strip())) : Optional.empty();
    }

    private void answer(QualityError.Answer answer) {
        if (answer == QualityError.Answer.REJECTED && reason.getText().isBlank()) {
            reason.requestFocus();
            return;
        }
        Optional.ofNullable(errors.getValue()).ifPresent(error -> session.evaluating()
                .answer(error, answer, reason.getText().strip(), who.getText().strip()));
        reason.clear();
    }

    private void decide(QualityError.Decision decision) {
        Optional.ofNullable(errors.getValue())
                .ifPresent(error -> session.evaluating().decide(error, decision));
    }

    private void remove() {
        Optional.ofNullable(errors.getValue()).ifPresent(session.evaluating()::remove);
    }

    private void exportScheme() {
        QualityScheme scheme = session.evaluating().stateProperty().get().scheme();
        picker.chooseTarget(scheme.name().toLowerCase(Locale.ROOT) + ".json").ifPresent(file -> session.background()
                .run(
                        Strings.text("task.write", file.getFileName().toString()),
                        progress -> {
                            NewFile.write(
                                    file, true, out -> out.write(scheme.toJson().getBytes(StandardCharsets.UTF_8)));
                            return file;
                        },
                        written -> session.written(Strings.text("report.written", written), written)));
    }

    /** From the next evaluation on; the one that goes on keeps its scheme. */
    private void importScheme() {
        List<Path> files = picker.chooseFiles();
        if (!files.isEmpty()) {
            session.background()
                    .run(
                            Strings.text("task.read", files.get(0).getFileName().toString()),
                            progress -> {
                                QualityScheme scheme = QualityScheme.parse(
                                        Files.readString(files.get(0)),
                                        files.get(0).toString());
                                LaneWriter.await(
                                        session.lane().settings().set(LaneDetail.QUALITY_SCHEME, scheme.toJson()));
                                return scheme;
                            },
                            scheme -> session.evaluating().load());
        }
    }
}
