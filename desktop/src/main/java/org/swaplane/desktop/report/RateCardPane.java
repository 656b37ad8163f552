package org.swaplane.desktop.report;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.effort.Activity;
import org.swaplane.format.NewFile;
import org.swaplane.lane.LaneDetail;
import org.swaplane.rates.RateCard;
import org.swaplane.task.CannotProceedException;

/** The rate cards of a lane: which there are, and what the chosen one says. The person keeps cards for other lanes. */
final class RateCardPane extends VBox {
    private static final String NEW = "";

    private final LaneSession session;
    private final FilePicker picker;
    private final ListView<RateCard> cards = new ListView<>();
    private final ComboBox<RateCard> kept;
    private final TextField name = Controls.field("card-name", "report.cards.name", 14);
    private final TextField source = Controls.field("card-source", "report.cards.source", 6);
    private final TextField target = Controls.field("card-target", "report.cards.target", 6);
    private final TextField currency = Controls.field("card-currency", "report.cards.currency", 5);
    private final TextField minimum = Controls.field("card-minimum", "report.cards.minimum", 6);
    private final TextField adjustments = Controls.field("card-adjustments", "report.cards.adjustments", 22);
    private final TableView<RateCard.Entry> entries = new TableView<>();
    private final ComboBox<Activity> activity = Choice.of(
            "entry-activity",
            List.of(Activity.values()),
            each -> Strings.text("report.activity." + each.name().toLowerCase(Locale.ROOT)));
    private final ComboBox<RateCard.Unit> unit = Choice.of(
            "entry-unit",
            List.of(RateCard.Unit.values()),
            each -> Strings.text("report.cards.unit." + each.name().toLowerCase(Locale.ROOT)));
    private final TextField amount = Controls.field("entry-amount", "report.cards.amount", 6);
    private final TextField bands = Controls.field("entry-bands", "report.cards.bands", 18);
    private final TextField recipient = Controls.field("entry-recipient", "report.cards.recipient", 10);
    private final TextField pace = Controls.field("entry-pace", "report.cards.pace", 9);
    private final CheckBox billable = new CheckBox(Strings.text("report.cards.billable"));
    private final Label wrong = Controls.styled(new Label(), "found");
    private boolean showing;

    RateCardPane(LaneSession session, FilePicker picker) {
        this.session = session;
        this.picker = picker;
        this.kept = Choice.of("kept-cards", List.of(), RateCardPane::words);
        getStyleClass().addAll("column-tight", "card");
        setId("rate-cards");
        kept.setPromptText(Strings.text("report.cards.kept"));
        kept.setAccessibleText(Strings.text("report.cards.kept"));
        kept.setOnAction(event ->
                Optional.ofNullable(kept.getValue()).filter(card -> !showing).ifPresent(this::copy));
        cards.setId("lane-cards");
        cards.setAccessibleText(Strings.text("report.cards.open"));
        cards.setPlaceholder(Controls.quiet(Strings.text("report.cards.none")));
        cards.setCellFactory(any -> new ReportCell());
        cards.setPrefSize(190, 190);
        cards.setMinWidth(150);
        cards.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showCard(now));
        makeEntries();
        billable.setSelected(true);
        billable.setId("entry-billable");
        wrong.setWrapText(true);
        Controls.showIf(wrong, false);
        VBox card = Controls.styled(
                new VBox(
                        Controls.wrapped(
                                name,
                                source,
                                target,
                                currency,
                                minimum,
                                adjustments,
                                Controls.small("keep-card", "report.cards.set", this::set)),
                        entries,
                        Controls.wrapped(
                                activity,
                                unit,
                                amount,
                                bands,
                                recipient,
                                pace,
                                billable,
                                Controls.small("add-entry", "report.cards.add-entry", this::addEntry),
                                Controls.small("remove-entry", "report.cards.remove-entry", this::removeEntry)),
                        wrong),
                "column-tight");
        HBox.setHgrow(card, Priority.ALWAYS);
        VBox list = Controls.styled(
                new VBox(
                        cards,
                        Controls.wrapped(
                                Controls.small("new-card", "report.cards.new", this::create),
                                Controls.small("remove-card", "report.cards.remove", this::remove),
                                Controls.small("keep-for-others", "report.cards.keep", this::keepForOthers),
                                Controls.small("export-cards", "report.cards.export", this::export),
                                Controls.small("import-cards", "report.cards.import", this::importFile)),
                        kept),
                "column-tight");
        list.setPrefWidth(230);
        list.setMinWidth(180);
        HBox both = Controls.row(list, card);
        both.setAlignment(Pos.TOP_LEFT);
        getChildren().add(both);
    }

    private static final class ReportCell extends ListCell<RateCard> {
        @Override
        protected void updateItem(RateCard card, boolean empty) {
            super.updateItem(card, empty);
            setText(empty || card == null ? null : words(card));
        }
    }

    private static String words(RateCard card) {
        String pair = card.source().isEmpty() && card.target().isEmpty()
                ? Strings.text("report.cards.every-pair")
                : Strings.text("strip.languages", card.source(), card.target());
        return Strings.text(
                "report.cards.words", card.name(), pair, card.currency().getCurrencyCode());
    }

    private void makeEntries() {
        entries.setId("card-entries");
        entries.setAccessibleText(Strings.text("report.cards.entries"));
        entries.setPlaceholder(Controls.quiet(Strings.text("report.cards.no-entries")));
        entries.setPrefHeight(180);
        entries.setMinHeight(90);
        entries.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        entries.getColumns()
                .addAll(List.of(
                        new WordsColumn<>(
                                "report.correction.activity",
                                100,
                                each -> Strings.text("report.activity."
                                        + each.activity().name().toLowerCase(Locale.ROOT))),
                        new WordsColumn<>(
                                "report.cards.amount",
                                90,
                                each -> each.amount().toPlainString() + " / "
                                        + Strings.text("report.cards.unit."
                                                + each.unit().name().toLowerCase(Locale.ROOT))),
                        new WordsColumn<>("report.cards.column.bands", 150, RateCardPane::written),
                        new WordsColumn<>("report.cards.recipient", 100, RateCard.Entry::recipient),
                        new WordsColumn<>(
                                "report.cards.billable",
                                70,
                                each -> Strings.text(each.billable() ? "report.yes" : "report.no"))));
    }

    private static String written(RateCard.Entry entry) {
        return entry.byBand().entrySet().stream()
                .map(each -> each.getKey() + '=' + each.getValue().toPlainString())
                .collect(Collectors.joining(" "));
    }

    /** Shows the cards of the lane; what is chosen stays so. */
    void refresh() {
        showing = true;
        List<RateCard> all = session.jobReporting().cards();
        if (!cards.getItems().equals(all)) {
            int at = Math.max(0, cards.getSelectionModel().getSelectedIndex());
            cards.getItems().setAll(all);
            cards.getSelectionModel().select(Math.min(at, all.size() - 1));
        }
        String client = session.lane().settings().detail(LaneDetail.CLIENT);
        // Those for the client of this lane come first.
        kept.getItems()
                .setAll(session.jobReporting().kept().stream()
                        .sorted(Comparator.comparing(card -> !card.client().equals(client)))
                        .toList());
        kept.setValue(null);
        Controls.showIf(kept, !kept.getItems().isEmpty());
        showing = false;
    }

    private void showCard(RateCard card) {
        name.setText(card == null ? NEW : card.name());
        source.setText(card == null ? NEW : card.source());
        target.setText(card == null ? NEW : card.target());
        currency.setText(card == null ? NEW : card.currency().getCurrencyCode());
        minimum.setText(
                card == null || card.minimum().signum() == 0
                        ? NEW
                        : card.minimum().toPlainString());
        adjustments.setText(
                card == null
                        ? NEW
                        : card.adjustments().stream()
                                .map(each -> each.name() + ' ' + each.percent().toPlainString())
                                .collect(Collectors.joining("; ")));
        entries.getItems().setAll(card == null ? List.of() : card.entries());
    }

    private Optional<RateCard> chosen() {
        return Optional.ofNullable(cards.getSelectionModel().getSelectedItem());
    }

    private void create() {
        List<RateCard> all = new ArrayList<>(cards.getItems());
        all.add(new RateCard(
                Strings.text("report.cards.untitled", all.size() + 1),
                session.lane().settings().detail(LaneDetail.CLIENT),
                "",
                "",
                Currency.getInstance("EUR"),
                List.of(),
                BigDecimal.ZERO,
                List.of()));
        keep(all, all.size() - 1);
    }

    private void copy(RateCard card) {
        List<RateCard> all = new ArrayList<>(cards.getItems());
        all.add(card);
        keep(all, all.size() - 1);
    }

    private void keep(List<RateCard> all, int chosen) {
        session.jobReporting().setCards(all);
        cards.getItems().setAll(all);
        cards.getSelectionModel().select(chosen);
    }

    private void replace(RateCard card) {
        int at = cards.getSelectionModel().getSelectedIndex();
        List<RateCard> all = new ArrayList<>(cards.getItems());
        all.set(at, card);
        keep(all, at);
    }

    private void remove() {
        chosen().ifPresent(card -> {
            int at = cards.getSelectionModel().getSelectedIndex();
            List<RateCard> all = new ArrayList<>(cards.getItems());
            all.remove(at);
            keep(all, Math.min(at, all.size() - 1));
        });
    }

    private void keepForOthers() {
        chosen().ifPresent(card -> {
            List<RateCard> all = new ArrayList<>(session.jobReporting().kept());
            all.removeIf(each -> each.name().equals(card.name()));
            all.add(card);
            session.jobReporting().keep(all);
            session.notify(Notification.Tone.DONE, Strings.text("report.cards.is-kept", card.name()));
            refresh();
        });
    }

    private void say(String key, Object... arguments) {
        wrong.setText(key.isEmpty() ? "" : Strings.text(key, arguments));
        Controls.showIf(wrong, !key.isEmpty());
    }

    private void set() {
        if (chosen().isEmpty()) {
            return;
        }
        Optional<Currency> money = currency(currency.getText());
        Optional<BigDecimal> least =
                minimum.getText().isBlank() ? Optional.of(BigDecimal.ZERO) : number(minimum.getText());
        Optional<List<RateCard.Adjustment>> changed = adjustments(adjustments.getText());
        if (money.isEmpty()) {
            say("report.cards.wrong-currency", currency.getText());
        } else if (least.isEmpty() || least.get().signum() < 0) {
            say("report.cards.wrong-amount", minimum.getText());
        } else if (changed.isEmpty()) {
            say("report.cards.wrong-adjustments", adjustments.getText());
        } else {
            say("");
            replace(new RateCard(
                    name.getText().strip(),
                    chosen().get().client(),
                    source.getText().strip(),
                    target.getText().strip(),
                    money.get(),
                    entries.getItems(),
                    least.get(),
                    changed.get()));
        }
    }

    static Optional<Currency> currency(String code) {
        try {
            return Optional.of(Currency.getInstance(code.strip().toUpperCase(Locale.ROOT)));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** A decimal number, with a point or a comma. */
    static Optional<BigDecimal> number(String written) {
        String text = written.strip().replace(',', '.');
        return text.matches("-?\\d{1,9}(\\.\\d{1,6})?") ? Optional.of(new BigDecimal(text)) : Optional.empty();
    }

    /** Reads {@code Express 25; Volume -5}; empty where a part has no percentage. */
    static Optional<List<RateCard.Adjustment>> adjustments(String written) {
        List<RateCard.Adjustment> all = new ArrayList<>();
        for (String part : written.split(";")) {
            if (part.isBlank()) {
                continue;
            }
            int space = part.strip().lastIndexOf(' ');
            Optional<BigDecimal> percent =
                    number(part.strip().substring(space + 1).replace("%", ""));
            if (space < 1 || percent.isEmpty()) {
                return Optional.empty();
            }
            all.add(new RateCard.Adjustment(part.strip().substring(0, space).strip(), percent.get()));
        }
        return Optional.of(all);
    }

    /** Reads {@code 100=0.03 95-99=0.05}; empty where a part has no amount. */
    static Optional<Map<String, BigDecimal>> bands(String written) {
        Map<String, BigDecimal> all = new LinkedHashMap<>();
        for (String part : written.strip().split("[\\s;]+")) {
            if (part.isEmpty()) {
                continue;
            }
            String[] sides = part.split("=", 2);
            Optional<BigDecimal> each = sides.length < 2 ? Optional.empty() : number(sides[1]);
            if (each.isEmpty() || each.get().signum() < 0) {
                return Optional.empty();
            }
            all.put(sides[0], each.get());
        }
        return Optional.of(all);
    }

    private void addEntry() {
        if (chosen().isEmpty()) {
            create();
        }
        Optional<BigDecimal> rate = number(amount.getText());
        Optional<Map<String, BigDecimal>> byBand = bands(bands.getText());
        Optional<BigDecimal> words = pace.getText().isBlank() ? Optional.of(BigDecimal.ZERO) : number(pace.getText());
        if (rate.isEmpty() || rate.get().signum() < 0) {
            say("report.cards.wrong-amount", amount.getText());
        } else if (byBand.isEmpty()) {
            say("report.cards.wrong-bands", bands.getText());
        } else if (words.isEmpty() || words.get().signum() < 0) {
            say("report.cards.wrong-amount", pace.getText());
        } else {
            say("");
            entries.getItems()
                    .add(new RateCard.Entry(
                            activity.getValue(),
                            recipient.getText().strip(),
                            unit.getValue(),
                            rate.get(),
                            byBand.get(),
                            billable.isSelected(),
                            words.get().intValue()));
            amount.clear();
            bands.clear();
            set();
        }
    }

    private void removeEntry() {
        int at = entries.getSelectionModel().getSelectedIndex();
        if (at >= 0) {
            entries.getItems().remove(at);
            set();
        }
    }

    private void export() {
        List<RateCard> all = List.copyOf(cards.getItems());
        picker.chooseTarget(Strings.text("report.cards.file-name")).ifPresent(file -> session.background()
                .run(
                        Strings.text("task.write", file.getFileName().toString()),
                        progress -> {
                            NewFile.write(
                                    file,
                                    true,
                                    out -> out.write(RateCard.toJson(all).getBytes(StandardCharsets.UTF_8)));
                            return file;
                        },
                        written -> session.written(Strings.text("report.written", written), written)));
    }

    private void importFile() {
        List<Path> files = picker.chooseFiles();
        if (files.isEmpty()) {
            return;
        }
        session.background()
                .run(
                        Strings.text("task.read", files.get(0).getFileName().toString()),
                        progress -> read(files.get(0)),
                        read -> {
                            List<RateCard> all = new ArrayList<>(cards.getItems());
                            all.addAll(read);
                            keep(all, all.size() - 1);
                        });
    }

    private static List<RateCard> read(Path file) {
        try {
            return RateCard.parse(Files.readString(file));
        } catch (IOException e) {
            throw new CannotProceedException(file.toString(), "problem.rate-cards", e.getMessage());
        }
    }
}
