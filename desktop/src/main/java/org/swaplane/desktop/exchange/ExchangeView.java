package org.swaplane.desktop.exchange;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.Trip;

/** Copies out, copies back, and the list of all trips. */
public final class ExchangeView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.EXCHANGE,
            session -> session.lane().trips().away(),
            context -> new ExchangeView(context.session(), context.picker()));

    private final LaneSession session;
    private final TextField person = new TextField();
    private final ComboBox<Purpose> purpose = new ComboBox<>();
    private final ComboBox<CopyExport.Form> form = new ComboBox<>();
    private final Button send;
    private final Label away = Parts.quiet("");
    private final VBox trips = Parts.styled(new VBox(), "column");
    private final ReturnPanel returned;
    private final VBox desk;
    private final VBox node;

    public ExchangeView(LaneSession session, FilePicker picker) {
        this.session = session;
        this.returned = new ReturnPanel(session);
        this.send = Parts.primary("send-out", "exchange.send", this::sendOut);
        person.setId("send-person");
        person.setAccessibleText(Strings.say("exchange.person"));
        person.setOnAction(event -> sendOut());
        purpose.setId("send-purpose");
        purpose.getItems().setAll(Purpose.values());
        purpose.setCellFactory(list -> new PurposeCell());
        purpose.setButtonCell(new PurposeCell());
        purpose.setValue(Purpose.REVIEW);
        form.setId("send-form");
        form.setCellFactory(list -> new FormCell());
        form.setButtonCell(new FormCell());
        VBox out = card(
                Parts.heading("exchange.out"),
                Parts.quiet(Strings.say("exchange.out.hint")),
                Parts.row(Parts.whole(new Label(Strings.say("exchange.person"))), person, Parts.whole(purpose)),
                Parts.row(Parts.whole(form), send),
                away);
        VBox back = card(
                Parts.heading("exchange.back"),
                Parts.quiet(Strings.say("exchange.back.hint")),
                Parts.row(Parts.button("choose-returned", "exchange.choose", () -> receive(picker.chooseFiles()))));
        HBox both = Parts.row(out, back);
        HBox.setHgrow(out, Priority.ALWAYS);
        HBox.setHgrow(back, Priority.ALWAYS);
        both.setFillHeight(true);
        ScrollPane scroll = new ScrollPane(trips);
        scroll.setFitToWidth(true);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        desk = Parts.styled(new VBox(both, Parts.heading("exchange.trips"), scroll), "column");
        VBox.setVgrow(desk, Priority.ALWAYS);
        VBox.setVgrow(returned, Priority.ALWAYS);
        node = Parts.styled(new VBox(Parts.title("view.exchange"), desk, returned), "view");
        session.exchange().returnedProperty().addListener((property, before, now) -> showReturned());
        showReturned();
    }

    private static VBox card(Node... parts) {
        VBox card = Parts.styled(new VBox(parts), "card");
        card.setPrefWidth(100);
        return card;
    }

    private void sendOut() {
        if (person.getText().isBlank()) {
            session.notify(Notification.Tone.FAILED, Strings.say("exchange.person-needed"));
            person.requestFocus();
            return;
        }
        session.exchange().send(person.getText().strip(), purpose.getValue(), form.getValue());
        person.clear();
    }

    private void receive(List<Path> files) {
        if (!files.isEmpty()) {
            session.intakes().receive(files);
        }
    }

    private void showReturned() {
        boolean there = session.exchange().returnedProperty().get() != null;
        desk.setVisible(!there);
        desk.setManaged(!there);
        returned.show(session.exchange().returnedProperty().get());
        refresh();
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        if (session.exchange().returnedProperty().get() == null) {
            person.requestFocus();
        } else {
            returned.focusFirst();
        }
    }

    @Override
    public void refresh() {
        send.setDisable(session.snapshot() == null);
        offerForms();
        showAway();
        trips.getChildren().clear();
        List<Trip> all = session.lane().trips().all();
        if (all.isEmpty()) {
            trips.getChildren().add(Parts.quiet(Strings.say("exchange.no-trips")));
        }
        for (int i = all.size() - 1; i >= 0; i--) {
            trips.getChildren().add(row(all.get(i)));
        }
    }

    private HBox row(Trip trip) {
        Label where = Parts.styled(
                new Label(Strings.say(trip.back().isEmpty() ? "trip.away" : "trip.back")),
                trip.back().isEmpty() ? "trip-away" : "trip-back");
        String file = session.lane().track(trip.track()).name();
        String purposeWord = purposeWord(trip.purpose());
        Label sent = new Label(Strings.say("trip.sent", file, trip.person(), purposeWord, Dates.minute(trip.sentAt())));
        Label back = Parts.quiet(trip.back()
                .map(each -> Strings.say("trip.came-back", Dates.minute(each.at()), each.name(), each.changesTaken()))
                .orElse(Strings.say("trip.copy", trip.sentName())));
        Label code = Parts.styled(new Label(trip.code()), "code");
        HBox row = Parts.styled(
                new HBox(where, Parts.styled(new VBox(sent, back), "column-tight"), Parts.spacer(), code), "trip");
        return row;
    }

    /** A second copy of the same rows is easily sent by mistake. */
    private void showAway() {
        List<Trip> out =
                session.track() == null ? List.of() : session.exchange().away(session.track());
        if (!out.isEmpty()) {
            Trip newest = out.get(out.size() - 1);
            away.setText(Strings.say("exchange.away-already", out.size(), newest.person(), Dates.day(newest.sentAt())));
        }
        Parts.showIf(away, !out.isEmpty());
    }

    /** A bilingual file goes as it is; of a document, a bilingual file is made. */
    private void offerForms() {
        List<CopyExport.Form> forms =
                new ArrayList<>(List.of(CopyExport.Form.REVIEW_COPY, CopyExport.Form.BILINGUAL_FILE));
        if (session.snapshot() != null && session.snapshot().isDocument()) {
            forms.add(CopyExport.Form.XLIFF_12);
        }
        if (!form.getItems().equals(forms)) {
            form.getItems().setAll(forms);
            form.setValue(CopyExport.Form.REVIEW_COPY);
        }
    }

    private String formWord(CopyExport.Form each) {
        boolean document = session.snapshot() != null && session.snapshot().isDocument();
        return Strings.say(
                switch (each) {
                    case REVIEW_COPY -> "form.review-copy";
                    case BILINGUAL_FILE -> document ? "form.xliff" : "form.bilingual-file";
                    case XLIFF_12 -> "form.xliff-12";
                });
    }

    private static String purposeWord(Purpose purpose) {
        return Strings.say("purpose." + purpose.name().toLowerCase(Locale.ROOT));
    }

    private final class FormCell extends ListCell<CopyExport.Form> {
        @Override
        protected void updateItem(CopyExport.Form form, boolean empty) {
            super.updateItem(form, empty);
            setText(empty || form == null ? "" : formWord(form));
        }
    }

    private static final class PurposeCell extends ListCell<Purpose> {
        @Override
        protected void updateItem(Purpose purpose, boolean empty) {
            super.updateItem(purpose, empty);
            setText(empty ? "" : purposeWord(purpose));
        }
    }
}
