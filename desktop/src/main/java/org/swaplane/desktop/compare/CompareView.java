package org.swaplane.desktop.compare;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.SourceVersion;
import org.swaplane.lane.Track;
import org.swaplane.lane.VersionUpdate;
import org.swaplane.version.CarryOver;
import org.swaplane.version.Outcome;
import org.swaplane.version.SegmentMatch;
import org.swaplane.version.VersionComparison;

/** Two versions of a source in two columns, with our translation beside them; the newer one can be taken. */
public final class CompareView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.COMPARE, session -> 0, context -> new CompareView(context.session(), context.picker()));

    private static final double ROOM_BESIDE = 40;
    private static final double DAY = 140;
    private static final int ROWS_BEFORE = 2;

    private final LaneSession session;
    private final ComboBox<SourceVersion> one = versionBox("compare-one");
    private final ComboBox<SourceVersion> other = versionBox("compare-other");
    private final ComboBox<CompareFilter> filter =
            Choice.of("compare-filter", List.of(CompareFilter.values()), each -> Strings.text(each.key()));
    private final DatePicker dayOne = new DatePicker();
    private final DatePicker dayOther = new DatePicker();
    private final Label counts = Controls.quiet("");
    private final ListView<SegmentMatch> rows = new ListView<>();
    private final CheckBox lock = new CheckBox(Strings.text("compare.lock"));
    private final ComboBox<CarryOver.Wins> wins = Choice.of(
            "compare-wins",
            List.of(CarryOver.Wins.values()),
            each -> Strings.text("compare.wins." + each.name().toLowerCase(Locale.ROOT)));
    private final Button take = Controls.primary("take-version", "compare.take", this::take);
    private final Button report;
    private final Button compareFile;
    private final HBox taking;
    private final CommandMenu menu = new CommandMenu();
    private final VBox node;
    private Track shown;
    private boolean filling;

    public CompareView(LaneSession session, FilePicker picker) {
        this.session = session;
        filter.setAccessibleText(Strings.text("compare.filter"));
        filter.setOnAction(event -> list(Optional.of(filter.getValue())));
        rows.setId("compare-rows");
        rows.setCellFactory(list -> new MatchCell());
        VBox.setVgrow(rows, Priority.ALWAYS);
        lock.setId("compare-lock");
        wins.setAccessibleText(Strings.text("compare.wins"));
        compareFile = Controls.button("compare-file", "compare.file", () -> picker.chooseFiles().stream()
                .findFirst()
                .filter(file -> session.track() != null)
                .ifPresent(file -> session.sourceUpdates().look(session.track(), file)));
        report = Controls.button(
                "compare-report", "compare.report", () -> picker.chooseTarget(Strings.text("compare.report-name"))
                        .ifPresent(session.sourceUpdates()::report));
        for (DatePicker day : List.of(dayOne, dayOther)) {
            day.setPrefWidth(DAY);
            day.setOnAction(event -> compareDays());
        }
        dayOne.setId("compare-day-one");
        dayOne.setAccessibleText(Strings.text("compare.day-one"));
        dayOther.setId("compare-day-other");
        dayOther.setAccessibleText(Strings.text("compare.day-other"));
        one.setOnAction(event -> compareChosen());
        other.setOnAction(event -> compareChosen());
        taking = Controls.row(take, lock, wins);
        counts.setWrapText(true);
        node = Controls.styled(
                new VBox(
                        Controls.row(Controls.title("view.compare"), filter, Controls.spacer(), menu),
                        Controls.styled(
                                new FlowPane(
                                        Controls.row(
                                                new Label(Strings.text("compare.one")),
                                                one,
                                                new Label(Strings.text("compare.other")),
                                                other),
                                        compareFile,
                                        report,
                                        Controls.row(
                                                new Label(Strings.text("compare.day-one")),
                                                dayOne,
                                                new Label(Strings.text("compare.day-other")),
                                                dayOther)),
                                "wrapped-row"),
                        counts,
                        rows,
                        taking),
                "view");
        session.sourceUpdates().comparisonProperty().addListener((property, before, now) -> showComparison(now));
        session.sourceUpdates().previewProperty().addListener((property, before, now) -> showTaking());
        showTaking();
        showComparison(null);
    }

    private ComboBox<SourceVersion> versionBox(String id) {
        ComboBox<SourceVersion> box = Choice.of(id, List.of(), CompareView::words);
        box.setPrefWidth(240);
        box.setAccessibleText(Strings.text(id.equals("compare-one") ? "compare.one" : "compare.other"));
        return box;
    }

    private static String words(SourceVersion version) {
        return version == null
                ? ""
                : Strings.text("compare.version", version.number(), version.name(), Dates.day(version.addedAt()));
    }

    @Override
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get().equals(ViewId.COMPARE) && session.track() != null;
        BooleanSupplier takeable = () ->
                here.getAsBoolean() && session.sourceUpdates().previewProperty().get() != null;
        commands.add("compare-next", "Alt+Down", here, () -> move(1));
        commands.add("compare-previous", "Alt+Up", here, () -> move(-1));
        commands.add("compare-file", "Alt+O", here, compareFile::fire);
        commands.add("take-version", "", takeable, this::take);
        commands.add(
                "compare-report",
                "",
                () -> here.getAsBoolean()
                        && session.sourceUpdates().comparisonProperty().get() != null,
                report::fire);
        menu.offer(commands.of(ViewId.COMPARE.name()));
        rows.setContextMenu(CommandMenu.context(commands.of(ViewId.COMPARE.name())));
    }

    private void move(int by) {
        int at = rows.getSelectionModel().getSelectedIndex() + by;
        if (at >= 0 && at < rows.getItems().size()) {
            rows.getSelectionModel().select(at);
            rows.scrollTo(Math.max(0, at - ROWS_BEFORE));
        }
    }

    private void compareChosen() {
        if (!filling && one.getValue() != null && other.getValue() != null && session.track() != null) {
            session.sourceUpdates().compare(session.track(), one.getValue(), other.getValue());
        }
    }

    private void compareDays() {
        if (dayOne.getValue() != null && session.track() != null) {
            LocalDate today = LocalDate.now();
            session.sourceUpdates()
                    .compare(
                            session.track(),
                            dayOne.getValue(),
                            dayOther.getValue() == null ? today : dayOther.getValue());
        }
    }

    private void take() {
        VersionUpdate.Choices choices = new VersionUpdate.Choices(lock.isSelected(), wins.getValue());
        session.sourceUpdates().setChoices(choices);
        session.sourceUpdates().take(choices);
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        rows.requestFocus();
    }

    @Override
    public void refresh() {
        Track track = session.track();
        if (track == null) {
            return;
        }
        VersionUpdate.Preview preview =
                session.sourceUpdates().previewProperty().get();
        boolean another = shown != track
                || one.getValue() == null
                || one.getItems().stream()
                        .noneMatch(each -> each.number() == track.version().number());
        if (preview != null && preview.track() != track || preview == null && shown != track) {
            session.sourceUpdates().dismiss();
        }
        shown = track;
        if (another) {
            session.sourceUpdates().versions(track, this::fill);
        }
    }

    private void fill(List<SourceVersion> versions) {
        filling = true;
        one.getItems().setAll(versions);
        other.getItems().setAll(versions);
        Optional<SourceVersion> current = shown == null
                ? Optional.empty()
                : versions.stream()
                        .filter(each -> each.number() == shown.version().number())
                        .findFirst();
        boolean nothingYet = session.sourceUpdates().comparisonProperty().get() == null;
        Optional<SourceVersion> before = nothingYet
                ? current.flatMap(now -> versions.stream()
                        .filter(each -> each.number() == now.number() - 1)
                        .findFirst())
                : Optional.empty();
        // What the last version brought is mostly what is asked for.
        one.setValue(before.or(() -> current).orElse(null));
        other.setValue(before.flatMap(each -> current).orElse(null));
        filling = false;
        showComparison(session.sourceUpdates().comparisonProperty().get());
        compareChosen();
    }

    private void showTaking() {
        VersionUpdate.Preview preview =
                session.sourceUpdates().previewProperty().get();
        Controls.showIf(taking, preview != null && !session.lane().isReadOnly());
        if (preview != null) {
            VersionUpdate.Choices choices = session.sourceUpdates().choices();
            lock.setSelected(choices.lock());
            lock.setDisable(!preview.before().canLock());
            wins.setValue(choices.wins());
            take.setText(Strings.text("compare.take-named", preview.name()));
        }
    }

    private void showComparison(VersionComparison comparison) {
        report.setDisable(comparison == null);
        filter.setDisable(comparison == null);
        if (comparison == null) {
            counts.setText("");
            rows.getItems().clear();
            rows.setPlaceholder(
                    Controls.quiet(Strings.text(session.track() == null ? "empty.no-track" : "compare.empty")));
            return;
        }
        Map<Outcome, Integer> segments = comparison.alignment().counts();
        counts.setText(Strings.text("compare.between", comparison.oldName(), comparison.nowName()) + " "
                + segments.entrySet().stream()
                        .filter(each -> each.getValue() > 0)
                        .map(each -> Strings.text(
                                "compare.count",
                                each.getValue(),
                                Strings.text("outcome." + each.getKey().word())))
                        .collect(Collectors.joining(" · ")));
        rows.setPlaceholder(Controls.quiet(Strings.text("compare.none")));
        list(Optional.empty());
        Platform.runLater(rows::requestFocus);
    }

    /** Lists what a filter holds; without a filter, those that show what there is to see. */
    private void list(Optional<CompareFilter> wanted) {
        VersionComparison comparison =
                session.sourceUpdates().comparisonProperty().get();
        if (comparison == null || filling) {
            return;
        }
        session.background()
                .read(
                        Strings.text("task.compare", comparison.nowName()),
                        progress -> Listed.of(comparison, wanted),
                        listed -> show(comparison, listed),
                        session::failed);
    }

    private void show(VersionComparison meant, Listed listed) {
        if (meant == session.sourceUpdates().comparisonProperty().get()) {
            filling = true;
            filter.setValue(listed.filter());
            filling = false;
            rows.getItems().setAll(listed.matches());
            rows.getSelectionModel().selectFirst();
        }
    }

    private record Listed(CompareFilter filter, List<SegmentMatch> matches) {
        static Listed of(VersionComparison comparison, Optional<CompareFilter> wanted) {
            CompareFilter filter = wanted.orElseGet(
                    () -> comparison.isOfTranslationsOnly() ? CompareFilter.TRANSLATIONS : CompareFilter.CHANGES);
            return new Listed(
                    filter,
                    comparison.alignment().matches().stream()
                            .filter(match -> filter.holds(match, comparison))
                            .toList());
        }
    }

    private final class MatchCell extends ListCell<SegmentMatch> {
        private final CompareRow row = new CompareRow(rows.widthProperty().subtract(ROOM_BESIDE));

        MatchCell() {
            prefWidthProperty().bind(rows.widthProperty().subtract(24));
        }

        @Override
        protected void updateItem(SegmentMatch match, boolean empty) {
            super.updateItem(match, empty);
            VersionComparison comparison =
                    session.sourceUpdates().comparisonProperty().get();
            boolean there = !empty && match != null && comparison != null;
            setGraphic(there ? row : null);
            if (there) {
                if (filter.getValue() == CompareFilter.TRANSLATIONS) {
                    row.showTranslations(match, comparison);
                } else {
                    row.show(match, comparison);
                }
            }
        }
    }
}
