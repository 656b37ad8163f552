package org.swaplane.desktop.exchange;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.State;
import org.swaplane.exchange.DueTime;
import org.swaplane.exchange.RowSelection;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.SendRequest;
import org.swaplane.lane.Track;
import org.swaplane.lane.Trip;
import org.swaplane.task.CannotProceedException;

/** What goes out, to whom, in which form, and until when. */
final class SendForm extends VBox {
    private static final int CONTEXT = 2;
    private static final int FEW_LINES = 2;

    private final LaneSession session;
    private final ComboBox<String> people = new ComboBox<>();
    private final ComboBox<Purpose> purpose = Choice.of("send-purpose", Purpose.OF_COPIES, SendForm::purposeWord);
    private final ComboBox<SendRequest.Form> form;
    private final ComboBox<What> what = Choice.of(
            "send-what",
            List.of(What.values()),
            each -> Strings.text("exchange.what." + each.name().toLowerCase(Locale.ROOT)));
    private final TextField words = new TextField("500");
    private final DatePicker due = new DatePicker();
    private final TextField time = new TextField();
    private final TextArea instructions = new TextArea();
    private final CheckBox packed = new CheckBox(Strings.text("exchange.packed"));
    private final CheckBox unlocked = new CheckBox(Strings.text("exchange.unlocked"));
    private final CheckBox notes = new CheckBox(Strings.text("exchange.notes"));
    private final CheckBox once = new CheckBox(Strings.text("exchange.once"));
    private final CheckBox together = new CheckBox(Strings.text("exchange.together"));
    private final Label files = Controls.styled(new Label(), "heading");
    private final Label away = Controls.quiet("");
    private final Label languages = Controls.quiet("");
    private final Button send;

    /** Which segments go. */
    private enum What {
        ALL,
        OPEN,
        FINDINGS,
        WORDS,
        ROWS,
        /** Those that Review lists. */
        LISTED,
        /** Those with a translation of an earlier source. */
        CHANGED,
        /** Those that were edited after the last copy went out. */
        SINCE_TRIP
    }

    SendForm(LaneSession session) {
        this.session = session;
        getStyleClass().add("card");
        send = Controls.primary("send-out", "exchange.send", this::send);
        people.setId("send-person");
        people.setEditable(true);
        people.setMaxWidth(Double.MAX_VALUE);
        people.setPromptText(Strings.text("exchange.people-hint"));
        people.setAccessibleText(Strings.text("exchange.person"));
        // The box keeps the key for itself otherwise.
        people.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            boolean plain = !event.isShortcutDown() && !event.isAltDown() && !event.isShiftDown();
            if (event.getCode() == KeyCode.ENTER && plain && !people.isShowing() && !send.isDisabled()) {
                send();
                event.consume();
            }
        });
        form = Choice.of("send-form", List.of(SendRequest.Form.DOCX), this::formWord);
        form.setAccessibleText(Strings.text("exchange.form"));
        purpose.setAccessibleText(Strings.text("exchange.purpose"));
        purpose.setValue(Purpose.REVIEW);
        what.setAccessibleText(Strings.text("exchange.what"));
        what.setOnAction(event -> showWords());
        words.setId("send-words");
        words.setPrefColumnCount(5);
        words.setAccessibleText(Strings.text("exchange.what.words"));
        due.setId("send-due");
        due.setMaxWidth(Double.MAX_VALUE);
        due.getEditor().setAccessibleText(Strings.text("exchange.due"));
        time.setId("send-time");
        time.getStyleClass().add("time-field");
        time.setPromptText(Strings.text("exchange.time"));
        time.setAccessibleText(Strings.text("exchange.time"));
        people.getEditor().textProperty().addListener((property, before, now) -> showLanguages());
        people.setOnAction(event -> showLanguages());
        instructions.setId("send-instructions");
        instructions.setPrefRowCount(FEW_LINES);
        instructions.setWrapText(true);
        instructions.setPromptText(Strings.text("exchange.instructions"));
        instructions.setAccessibleText(Strings.text("exchange.instructions"));
        unlocked.setId("send-unlocked");
        once.setId("send-once");
        notes.setId("send-notes");
        together.setId("send-together");
        packed.setId("send-packed");
        away.setWrapText(true);
        away.setMinHeight(USE_PREF_SIZE);
        languages.setId("send-languages");
        languages.setWrapText(true);
        languages.setMinHeight(USE_PREF_SIZE);
        files.setWrapText(true);
        getChildren()
                .addAll(
                        files,
                        line("exchange.person", people),
                        languages,
                        line("exchange.purpose", purpose),
                        line("exchange.form", form),
                        line("exchange.what", what, words),
                        line("exchange.due", due, time),
                        instructions,
                        Controls.wrapped(unlocked, once, notes),
                        together,
                        packed,
                        Controls.row(send, new InstructionTemplates(session.person(), instructions)),
                        away);
        showWords();
    }

    private static HBox line(String key, Node... controls) {
        Label label = Controls.whole(new Label(Strings.text(key)));
        label.getStyleClass().add("form-label");
        HBox line = Controls.row(label);
        line.getChildren().addAll(controls);
        HBox.setHgrow(controls[0], Priority.ALWAYS);
        if (controls[0] instanceof ComboBox<?> box) {
            box.setMaxWidth(Double.MAX_VALUE);
        }
        return line;
    }

    private void showWords() {
        boolean rows = what.getValue() == What.ROWS;
        Controls.showIf(words, what.getValue() == What.WORDS || rows);
        words.setText(rows ? "1-100" : "500");
        words.setAccessibleText(Strings.text(rows ? "exchange.rows" : "exchange.what.words"));
    }

    Button button() {
        return send;
    }

    void focusFirst() {
        people.requestFocus();
    }

    private static String purposeWord(Purpose purpose) {
        return Strings.text("purpose." + purpose.name().toLowerCase(Locale.ROOT));
    }

    private String formWord(SendRequest.Form each) {
        boolean document = session.snapshot() != null && session.snapshot().isDocument();
        if (each.isReviewCopy()) {
            return Strings.text("form.review-copy", each.id().toUpperCase(Locale.ROOT));
        }
        return Strings.text(
                each.equals(SendRequest.Form.XLIFF_12)
                        ? "form.xliff-12"
                        : document ? "form.xliff" : "form.bilingual-file");
    }

    private List<String> names() {
        return Stream.of(people.getEditor().getText().split(";"))
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .distinct()
                .toList();
    }

    private void send() {
        List<String> names = names();
        if (names.isEmpty()) {
            session.notify(Notification.Tone.FAILED, Strings.text("exchange.person-needed"));
            people.requestFocus();
            return;
        }
        Optional<RowSelection> selection = selection();
        if (selection.isEmpty()) {
            session.notify(
                    Notification.Tone.FAILED,
                    Strings.text(what.getValue() == What.ROWS ? "exchange.rows-needed" : "exchange.words-needed"));
            words.requestFocus();
            return;
        }
        Optional<DueTime> wanted = wanted();
        if (due.getValue() != null && wanted.isEmpty()) {
            session.notify(Notification.Tone.FAILED, Strings.text("exchange.time-needed", time.getText()));
            time.requestFocus();
            return;
        }
        session.exchange()
                .send(
                        new SendRequest(
                                names,
                                purpose.getValue(),
                                form.getValue(),
                                selection.get().with(beyond()),
                                wanted,
                                session.exchange().rates(names),
                                instructions
                                        .getText()
                                        .lines()
                                        .filter(line -> !line.isBlank())
                                        .toList(),
                                CONTEXT,
                                together.isSelected(),
                                notes.isSelected()),
                        packed.isSelected(),
                        what.getValue() == What.SINCE_TRIP);
        people.getEditor().clear();
        people.setValue(null);
    }

    /** Until when it is wanted; empty where no day is chosen, or the time is none. */
    private Optional<DueTime> wanted() {
        String hour = time.getText().strip();
        return Optional.ofNullable(due.getValue())
                .flatMap(day -> DueTime.parse(
                        hour.isEmpty()
                                ? day.toString()
                                : day + " " + (hour.matches("\\d:\\d\\d") ? "0" + hour : hour)));
    }

    private Optional<RowSelection> selection() {
        Set<State> open = EnumSet.of(State.INITIAL, State.TRANSLATED);
        return switch (what.getValue()) {
            case ALL -> Optional.of(RowSelection.ALL);
            case OPEN -> Optional.of(new RowSelection(List.of(), open, false, false, Optional.empty()));
            case ROWS -> rows();
            case LISTED, SINCE_TRIP -> Optional.of(RowSelection.ALL);
            case CHANGED -> Optional.of(new RowSelection(List.of(), Set.of(), false, true, Optional.empty()));
            case FINDINGS -> Optional.of(new RowSelection(List.of(), Set.of(), true, false, Optional.empty()));
            case WORDS ->
                words.getText().strip().matches("[1-9]\\d{0,6}")
                        ? Optional.of(new RowSelection(
                                List.of(),
                                Set.of(),
                                false,
                                false,
                                Optional.of(Integer.valueOf(words.getText().strip()))))
                        : Optional.empty();
        };
    }

    private Optional<RowSelection> rows() {
        try {
            return Optional.of(RowSelection.parse("rows:" + words.getText().replace(" ", "")));
        } catch (CannotProceedException e) {
            return Optional.empty();
        }
    }

    private RowSelection.Beyond beyond() {
        Optional<Set<String>> keys = what.getValue() == What.LISTED
                ? session.listed().map(positions -> positions.stream()
                        .map(position -> session.snapshot().segment(position).key())
                        .collect(Collectors.toSet()))
                : Optional.empty();
        return new RowSelection.Beyond(!unlocked.isSelected(), !once.isSelected(), keys);
    }

    void refresh() {
        send.setDisable(session.snapshot() == null);
        offerForms();
        List<Track> chosen = session.exchange().chosen();
        Controls.showIf(together, chosen.size() > 1);
        files.setText(
                chosen.isEmpty()
                        ? Strings.text("empty.no-track")
                        : Strings.text(
                                "exchange.of", chosen.size(), chosen.get(0).name()));
        List<String> known = session.exchange().people();
        if (!people.getItems().equals(known)) {
            String typed = people.getEditor().getText();
            people.getItems().setAll(known);
            people.getEditor().setText(typed);
        }
        showAway();
        showLanguages();
    }

    /** A copy in a language that somebody does not work into is easily sent by mistake. */
    private void showLanguages() {
        List<String> others = session.exchange().ofOtherLanguages(names());
        languages.setText(Strings.text("exchange.other-languages", String.join(", ", others), others.size()));
        Controls.showIf(languages, !others.isEmpty());
    }

    /** A second copy of the same rows is easily sent by mistake. */
    private void showAway() {
        List<Trip> out =
                session.track() == null ? List.of() : session.exchange().away(session.track());
        if (!out.isEmpty()) {
            Trip newest = out.get(out.size() - 1);
            away.setText(
                    Strings.text("exchange.away-already", out.size(), newest.person(), Dates.day(newest.sentAt())));
        }
        Controls.showIf(away, !out.isEmpty());
    }

    /** A bilingual file goes as it is; of a document, a bilingual file is made. */
    private void offerForms() {
        List<SendRequest.Form> forms = new ArrayList<>();
        session.lane().copies().all().forEach(each -> forms.add(new SendRequest.Form(each.extension())));
        forms.add(SendRequest.Form.FILE);
        if (session.snapshot() != null && session.snapshot().isDocument()) {
            forms.add(SendRequest.Form.XLIFF_12);
        }
        if (!form.getItems().equals(forms)) {
            SendRequest.Form before = form.getValue();
            form.getItems().setAll(forms);
            form.setValue(forms.contains(before) ? before : SendRequest.Form.DOCX);
        }
    }
}
