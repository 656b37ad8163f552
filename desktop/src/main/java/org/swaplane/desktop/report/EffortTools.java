package org.swaplane.desktop.report;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.effort.Activity;
import org.swaplane.lane.TimeLog;

/** Time that is entered by hand: added or taken off, with a reason, and withdrawn again. */
final class EffortTools extends VBox {
    private static final double SECONDS_OF_HOUR = 3600;
    private static final BigDecimal MOST_HOURS = BigDecimal.valueOf(10_000);

    private final LaneSession session;
    private final DatePicker day = new DatePicker(LocalDate.now());
    private final TextField who = Controls.field("correction-who", "report.correction.who", 12);
    private final ComboBox<Activity> activity = Choice.of(
            "correction-activity",
            List.of(Activity.values()),
            each -> Strings.text("report.activity." + each.name().toLowerCase(Locale.ROOT)));
    private final TextField hours = Controls.field("correction-hours", "report.correction.hours", 12);
    private final TextField reason = Controls.field("correction-reason", "report.correction.reason", 20);
    private final Label wrong = Controls.styled(new Label(), "found");
    private final VBox entries = Controls.styled(new VBox(), "column-tight");
    private final VBox form;

    EffortTools(LaneSession session) {
        this.session = session;
        getStyleClass().add("column-tight");
        day.setId("correction-day");
        day.setAccessibleText(Strings.text("report.correction.day"));
        activity.setAccessibleText(Strings.text("report.correction.activity"));
        day.setPrefWidth(130);
        reason.setOnAction(event -> add());
        form = Controls.styled(
                new VBox(
                        Controls.wrapped(
                                day,
                                who,
                                activity,
                                hours,
                                reason,
                                Controls.button("add-correction", "report.correction.add", this::add)),
                        wrong,
                        entries),
                "column-tight");
        Controls.showIf(form, false);
        Controls.showIf(wrong, false);
        Button open = Controls.styled(
                Controls.button(
                        "correct-time", "report.correction.open", () -> Controls.showIf(form, !form.isVisible())),
                "small");
        getChildren().addAll(Controls.row(open), form);
    }

    private void add() {
        Optional<Duration> time = time(hours.getText());
        wrong.setText(
                time.isEmpty()
                        ? Strings.text("report.correction.wrong-hours")
                        : reason.getText().isBlank() ? Strings.text("report.correction.reason-needed") : "");
        Controls.showIf(wrong, !wrong.getText().isEmpty());
        if (wrong.getText().isEmpty()) {
            String person = who.getText().isBlank()
                    ? session.lane().settings().person()
                    : who.getText().strip();
            session.jobReporting()
                    .correct(
                            day.getValue(),
                            person,
                            activity.getValue(),
                            time.get(),
                            reason.getText().strip());
            hours.clear();
            reason.clear();
        }
    }

    /** Reads {@code 1:30}, {@code 1.5} and {@code -0,25}; empty for what is none of these, and for nothing. */
    static Optional<Duration> time(String written) {
        String text = written.strip();
        if (text.matches("-?\\d{1,4}:[0-5]\\d")) {
            String[] parts = text.replace("-", "").split(":");
            long minutes = Long.parseLong(parts[0]) * 60 + Long.parseLong(parts[1]);
            return minutes == 0
                    ? Optional.empty()
                    : Optional.of(Duration.ofMinutes(text.startsWith("-") ? -minutes : minutes));
        }
        if (!text.matches("-?\\d{1,5}([.,]\\d{1,4})?")) {
            return Optional.empty();
        }
        BigDecimal hours = new BigDecimal(text.replace(',', '.'));
        return hours.signum() == 0 || hours.abs().compareTo(MOST_HOURS) > 0
                ? Optional.empty()
                : Optional.of(Duration.ofSeconds(Math.round(hours.doubleValue() * SECONDS_OF_HOUR)));
    }

    /** Shows what was entered. */
    void refresh() {
        who.setPromptText(session.lane().settings().person());
        setDisable(session.lane().isReadOnly());
        session.background()
                .read(
                        Strings.text("task.job-report"),
                        progress -> session.lane().timeLog().corrections(),
                        read -> entries.getChildren()
                                .setAll(read.stream()
                                        .filter(each -> !each.withdrawn())
                                        .map(this::entry)
                                        .toList()),
                        session::failed);
    }

    private HBox entry(TimeLog.Correction correction) {
        Label words = new Label(Strings.text(
                "report.correction.entry",
                correction.day().toString(),
                correction.who(),
                correction.time().toSeconds() / SECONDS_OF_HOUR,
                correction.reason()));
        return Controls.row(
                words,
                Controls.styled(
                        Controls.button(
                                "withdraw-correction", "report.correction.withdraw", () -> session.jobReporting()
                                        .withdraw(correction)),
                        "small"));
    }
}
