package org.swaplane.desktop.exchange;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.MessageBar;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.Track;
import org.swaplane.lane.Trip;

/** Copies out, copies back, and the list of all trips. */
public final class ExchangeView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.EXCHANGE,
            session -> session.lane().trips().away(),
            context -> new ExchangeView(context.session(), context.picker(), context.opener()));

    private static final double FORM = 340;

    private final LaneSession session;
    private final TextField person = new TextField();
    private final ComboBox<Purpose> purpose = new ComboBox<>();
    private final ComboBox<CopyExport.Form> form = new ComboBox<>();
    private final Button send;
    private final Button choose;
    private final Label away = Controls.quiet("");
    private final Label files = Controls.quiet("");
    private final TripTable trips;
    private final Button openFolder;
    private final Button copyPath;
    private final Button withdraw;
    private final ReturnPanel returned;
    private final HBox desk;
    private final VBox node;
    private final CommandMenu menu = new CommandMenu();

    public ExchangeView(LaneSession session, FilePicker picker, FileOpener opener) {
        this.session = session;
        this.returned = new ReturnPanel(session);
        this.trips = new TripTable(session);
        this.openFolder = Controls.button("trip-folder", "message.open-folder", () -> sentFile()
                .ifPresent(file -> opener.open(file.getParent())));
        this.copyPath = Controls.button(
                "trip-path", "message.copy-path", () -> sentFile().ifPresent(MessageBar::copy));
        this.withdraw = Controls.button("trip-withdraw", "exchange.withdraw", this::withdraw);
        trips.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showTripCommands());
        showTripCommands();
        this.choose = Controls.button("choose-returned", "exchange.choose", () -> receive(picker.chooseFiles()));
        this.send = Controls.primary("send-out", "exchange.send", this::sendOut);
        person.setId("send-person");
        person.setAccessibleText(Strings.text("exchange.person"));
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
                Controls.heading("exchange.out"),
                Controls.quiet(Strings.text("exchange.out.hint")),
                Controls.row(Controls.whole(new Label(Strings.text("exchange.person"))), person),
                Controls.row(purpose, form),
                files,
                Controls.row(send),
                away);
        for (ComboBox<?> box : List.of(purpose, form)) {
            box.setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(box, Priority.ALWAYS);
        }
        HBox.setHgrow(person, Priority.ALWAYS);
        VBox back = card(
                Controls.heading("exchange.back"),
                Controls.quiet(Strings.text("exchange.back.hint")),
                Controls.row(choose));
        VBox left = Controls.column(out, back);
        left.setPrefWidth(FORM);
        left.setMinWidth(FORM);
        VBox.setVgrow(trips, Priority.ALWAYS);
        VBox right = Controls.column(
                Controls.row(Controls.heading("exchange.trips"), Controls.spacer(), openFolder, copyPath, withdraw),
                trips);
        HBox.setHgrow(right, Priority.ALWAYS);
        desk = Controls.styled(new HBox(left, right), "dry-run-split");
        VBox.setVgrow(desk, Priority.ALWAYS);
        VBox.setVgrow(returned, Priority.ALWAYS);
        node = Controls.styled(
                new VBox(Controls.row(Controls.title("view.exchange"), Controls.spacer(), menu), desk, returned),
                "view");
        session.exchange().returnedProperty().addListener((property, before, now) -> showReturned());
        showReturned();
    }

    private static VBox card(Node... parts) {
        VBox card = Controls.styled(new VBox(parts), "card");
        card.setPrefWidth(100);
        return card;
    }

    private void sendOut() {
        if (person.getText().isBlank()) {
            session.notify(Notification.Tone.FAILED, Strings.text("exchange.person-needed"));
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
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get().equals(ViewId.EXCHANGE);
        BooleanSupplier onTrip = () -> here.getAsBoolean() && chosenTrip() != null;
        commands.add("send-copy", "", () -> here.getAsBoolean() && session.snapshot() != null, send::fire);
        commands.add("choose-returned", "Alt+O", here, choose::fire);
        commands.add("trip-folder", "", onTrip, openFolder::fire);
        commands.add("trip-path", "", onTrip, copyPath::fire);
        commands.add(
                "trip-withdraw", "", () -> onTrip.getAsBoolean() && chosenTrip().isAway(), withdraw::fire);
        menu.offer(commands.of(ViewId.EXCHANGE.name()));
        trips.setContextMenu(CommandMenu.context(commands.of(ViewId.EXCHANGE.name())));
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
        List<Track> chosen = session.exchange().chosen();
        files.setText(
                chosen.isEmpty()
                        ? Strings.text("empty.no-track")
                        : Strings.text(
                                "exchange.of", chosen.size(), chosen.get(0).name()));
        trips.show(session.lane().trips().all());
        showTripCommands();
    }

    private Trip chosenTrip() {
        return trips.getSelectionModel().getSelectedItem();
    }

    private void showTripCommands() {
        Trip trip = chosenTrip();
        openFolder.setDisable(trip == null);
        copyPath.setDisable(trip == null);
        withdraw.setDisable(trip == null || !trip.isAway());
    }

    /** Where the chosen copy was written. */
    private Optional<Path> sentFile() {
        return Optional.ofNullable(chosenTrip())
                .map(trip -> session.lane().folder().resolve("sent").resolve(trip.sentName()));
    }

    private void withdraw() {
        session.exchange().withdraw(chosenTrip());
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
        return Strings.text(
                switch (each) {
                    case REVIEW_COPY -> "form.review-copy";
                    case BILINGUAL_FILE -> document ? "form.xliff" : "form.bilingual-file";
                    case XLIFF_12 -> "form.xliff-12";
                });
    }

    private static String purposeWord(Purpose purpose) {
        return Strings.text("purpose." + purpose.name().toLowerCase(Locale.ROOT));
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
