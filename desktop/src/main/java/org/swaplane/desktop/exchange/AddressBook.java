package org.swaplane.desktop.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.beans.property.SimpleStringProperty;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.cell.TextFieldTableCell;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.Contact;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.theme.ScaledColumns;
import org.swaplane.exchange.Rate;

/** The people who get copies: name, mail, role, languages and rate, edited in the table. */
final class AddressBook extends VBox {
    private final PersonSettings person;
    private final Runnable changed;
    private final Label hint = Controls.quiet(Strings.text("contacts.hint"));
    private final TableView<Contact> table = new TableView<>();

    AddressBook(PersonSettings person, Runnable changed, Runnable close) {
        this.person = person;
        this.changed = changed;
        getStyleClass().add("column");
        table.setId("contacts");
        table.setEditable(true);
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        table.setPlaceholder(Controls.quiet(Strings.text("contacts.empty")));
        column(
                "contacts.name",
                Contact::name,
                (of, text) -> new Contact(text, of.mail(), of.role(), of.languages(), of.rate()));
        column(
                "contacts.mail",
                Contact::mail,
                (of, text) -> new Contact(of.name(), text, of.role(), of.languages(), of.rate()));
        column(
                "contacts.role",
                Contact::role,
                (of, text) -> new Contact(of.name(), of.mail(), text, of.languages(), of.rate()));
        column(
                "contacts.languages",
                Contact::languages,
                (of, text) -> new Contact(of.name(), of.mail(), of.role(), text, of.rate()));
        column("contacts.rate", Contact::rate, this::withRate);
        ScaledColumns.of(table, person);
        VBox.setVgrow(table, Priority.ALWAYS);
        Button remove = Controls.button("remove-contact", "contacts.remove", this::remove);
        getChildren()
                .addAll(
                        Controls.row(
                                Controls.heading("contacts.title"),
                                Controls.spacer(),
                                Controls.button("add-contact", "contacts.add", this::add),
                                remove,
                                Controls.button("close-contacts", "contacts.close", close)),
                        table,
                        hint);
    }

    private void column(String key, Function<Contact, String> value, BiFunction<Contact, String, Contact> change) {
        TableColumn<Contact, String> column = new TableColumn<>(Strings.text(key));
        column.setCellValueFactory(cell -> new SimpleStringProperty(value.apply(cell.getValue())));
        column.setCellFactory(TextFieldTableCell.forTableColumn());
        column.setOnEditCommit(event -> {
            table.getItems()
                    .set(
                            event.getTablePosition().getRow(),
                            change.apply(
                                    event.getRowValue(), event.getNewValue().strip()));
            keep();
        });
        table.getColumns().add(column);
    }

    /** A rate that cannot be read is said and not kept. */
    private Contact withRate(Contact of, String text) {
        Optional<Rate> rate = Rate.parse(text);
        boolean wrong = rate.isEmpty() && !text.isEmpty();
        hint.setText(wrong ? Strings.text("contacts.rate-fault", text) : Strings.text("contacts.hint"));
        return wrong
                ? of
                : new Contact(
                        of.name(),
                        of.mail(),
                        of.role(),
                        of.languages(),
                        rate.map(Rate::toString).orElse(""));
    }

    void show() {
        table.getItems().setAll(person.contacts());
        table.requestFocus();
    }

    private void add() {
        table.getItems().add(new Contact(Strings.text("contacts.new"), "", "", "", ""));
        int last = table.getItems().size() - 1;
        table.getSelectionModel().select(last);
        table.scrollTo(last);
        table.layout();
        table.edit(last, table.getColumns().get(0));
        keep();
    }

    private void remove() {
        table.getItems().removeAll(List.copyOf(table.getSelectionModel().getSelectedItems()));
        keep();
    }

    private void keep() {
        person.setContacts(new ArrayList<>(table.getItems()));
        changed.run();
    }
}
