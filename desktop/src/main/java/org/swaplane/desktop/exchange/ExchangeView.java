package org.swaplane.desktop.exchange;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.MessageBar;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Trip;

/** Copies out, copies back, and the list of all trips. */
public final class ExchangeView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.EXCHANGE,
            session -> session.lane().trips().away(),
            context -> new ExchangeView(context.session(), context.picker(), context.opener()));

    private final LaneSession session;
    private final SendForm out;
    private final Button choose;
    private final TripTable trips;
    private final Button openFolder;
    private final Button copyPath;
    private final Button withdraw;
    private final VBox history;
    private final AddressBook contacts;
    private final ReturnPanel returned;
    private final HBox desk;
    private final VBox node;
    private final FileOpener opener;
    private final CommandMenu menu = new CommandMenu();

    public ExchangeView(LaneSession session, FilePicker picker, FileOpener opener) {
        this.session = session;
        this.opener = opener;
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
        this.out = new SendForm(session);
        VBox back = card(
                Controls.heading("exchange.back"),
                Controls.quiet(Strings.text("exchange.back.hint")),
                Controls.row(choose));
        VBox left = Controls.column(out, back);
        ScrollPane form = new ScrollPane(left);
        form.setFitToWidth(true);
        form.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        form.setFocusTraversable(false);
        form.getStyleClass().add("exchange-form");
        VBox.setVgrow(trips, Priority.ALWAYS);
        history = Controls.column(
                Controls.wrapped(
                        Controls.heading("exchange.trips"),
                        Controls.button("open-contacts", "contacts.open", this::openContacts),
                        openFolder,
                        copyPath,
                        withdraw),
                trips);
        contacts = new AddressBook(session.person(), out::refresh, this::closeContacts);
        Controls.showIf(contacts, false);
        for (VBox each : List.of(history, contacts)) {
            VBox.setVgrow(each, Priority.ALWAYS);
        }
        VBox right = new VBox(history, contacts);
        HBox.setHgrow(right, Priority.ALWAYS);
        desk = Controls.styled(new HBox(form, right), "dry-run-split");
        VBox.setVgrow(desk, Priority.ALWAYS);
        VBox.setVgrow(returned, Priority.ALWAYS);
        node = Controls.styled(
                new VBox(Controls.row(Controls.title("view.exchange"), Controls.spacer(), menu), desk, returned),
                "view");
        session.exchange().returnedProperty().addListener((property, before, now) -> showReturned());
        showReturned();
    }

    private void openContacts() {
        Controls.showIf(history, false);
        Controls.showIf(contacts, true);
        contacts.show();
    }

    private void closeContacts() {
        Controls.showIf(contacts, false);
        Controls.showIf(history, true);
        out.focusFirst();
    }

    private static VBox card(Node... parts) {
        VBox card = Controls.styled(new VBox(parts), "card");
        card.setPrefWidth(100);
        return card;
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
        commands.add("send-copy", "", () -> here.getAsBoolean() && session.snapshot() != null, out.button()::fire);
        commands.add("choose-returned", "Alt+O", here, choose::fire);
        BooleanSupplier isBack =
                () -> onTrip.getAsBoolean() && chosenTrip().back().isPresent();
        commands.add("trip-again", "", isBack, () -> session.exchange().lookAgain(chosenTrip()));
        commands.add("trip-answer", "", isBack, () -> session.exchange().answer(chosenTrip()));
        commands.add("contacts", "", here, this::openContacts);
        commands.add("trip-folder", "", onTrip, openFolder::fire);
        commands.add("trip-path", "", onTrip, copyPath::fire);
        commands.add(
                "trip-reminded", "", () -> onTrip.getAsBoolean() && chosenTrip().isAway(), () -> session.exchange()
                        .reminded(chosenTrip()));
        commands.add("trip-mail", "", onTrip, () -> session.exchange().mail(chosenTrip(), opener));
        commands.add("trip-log", "", here, () -> session.exchange().report(opener));
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
            out.focusFirst();
        } else {
            returned.focusFirst();
        }
    }

    @Override
    public void refresh() {
        out.refresh();
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
}
