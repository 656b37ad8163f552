package org.swaplane.desktop.board;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.LanguageField;
import org.swaplane.desktop.text.LanguageNames;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.theme.TitleBar;
import org.swaplane.lane.Track;

/** Every track of the lane, what is done with several of them, and the place to drop whatever arrives. */
public final class BoardView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.BOARD, session -> 0, context -> new BoardView(context.session(), context.picker()));

    /** Whoever leafs through the rows does not want each file to be read. */
    private static final Duration LEAFING = Duration.millis(250);

    private static final String GROUPED = "board.group";

    private final LaneSession session;
    private final BoardModel model;
    private final BoardTable table;
    private final TrackPanel panel;
    private final TextField filter = new TextField();
    private final ComboBox<BoardModel.Group> group = Choice.of(
            "board-group",
            List.of(BoardModel.Group.values()),
            each -> Strings.text("board.group." + each.name().toLowerCase(Locale.ROOT)));
    private final Label totals = Controls.quiet("");
    private final Label empty = Controls.styled(Controls.quiet(Strings.text("board.drop")), "empty");
    private final Label selected = Controls.whole(new Label());
    private final DatePicker due = new DatePicker();
    private final LanguageField language;
    private final FlowPane bulk;
    private final CommandMenu menu = new CommandMenu();
    private final IntakePanel intake;
    private final Button choose;
    private Track followed;
    private final ScrollPane reread = new ScrollPane();
    private final PauseTransition chosenLater = new PauseTransition(LEAFING);
    private final VBox node;

    public BoardView(LaneSession session, FilePicker picker) {
        this.session = session;
        this.model = new BoardModel(session);
        this.table = new BoardTable(session, this::goOn);
        this.panel = new TrackPanel(session, picker, this::askHowToRead);
        this.intake = new IntakePanel(session, picker);
        this.choose = Controls.button("choose-files", "board.choose", () -> receive(picker));
        filter.setId("board-filter");
        filter.setPromptText(Strings.text("board.filter"));
        filter.textProperty().addListener((property, before, now) -> {
            model.filter(now);
            refresh();
        });
        filter.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                filter.clear();
                table.requestFocus();
            }
        });
        group.setAccessibleText(Strings.text("board.group-by"));
        String lane = session.lane().settings().id();
        String grouped = session.person().choice(lane, GROUPED);
        Arrays.stream(BoardModel.Group.values())
                .filter(each -> each.name().equals(grouped))
                .findFirst()
                .ifPresent(each -> {
                    group.setValue(each);
                    model.group(each);
                });
        group.setOnAction(event -> {
            model.group(group.getValue());
            session.person().setChoice(lane, GROUPED, group.getValue().name());
            refresh();
        });
        totals.setWrapText(false);
        totals.setMinWidth(0);
        HBox.setHgrow(totals, Priority.ALWAYS);
        table.getSelectionModel().getSelectedItems().addListener((javafx.beans.Observable list) -> selectionChanged());
        chosenLater.setOnFinished(event -> choose());
        reread.setFitToWidth(true);
        Controls.showIf(reread, false);
        List.of(table, intake, reread).forEach(each -> VBox.setVgrow(each, Priority.ALWAYS));
        language = new LanguageField("board-language", session.person().lastLanguages());
        bulk = bulk();
        TitleBar bar = new TitleBar(session.person(), "view.board", Controls.row(filter, group, totals), choose, menu);
        node = Controls.styled(new VBox(bar, empty, intake, table, bulk, panel, reread), "view");
        session.intakes().property().addListener((property, before, now) -> showIntake());
        showIntake();
    }

    /** The document's choices take the room of the list until they are made or left. */
    private void askHowToRead(Track track) {
        reread.setContent(new RereadPanel(session, track, this::leaveReread));
        Controls.showIf(reread, true);
        showIntake();
        reread.getContent().requestFocus();
    }

    private void leaveReread() {
        session.sourceUpdates().dismiss();
        Controls.showIf(reread, false);
        showIntake();
    }

    /** What can be done with all that are selected. */
    private FlowPane bulk() {
        language.setPrefColumnCount(12);
        language.setPromptText(Strings.text("board.add-language"));
        language.setAccessibleText(Strings.text("board.add-language"));
        language.onChosen(this::addLanguage);
        due.setId("board-due");
        due.setPromptText(Strings.text("board.due"));
        due.setAccessibleText(Strings.text("board.due"));
        due.setOnAction(event -> setDue());
        return Controls.wrapped(
                selected,
                Controls.button("bulk-dry-run", "board.bulk.dry-run", () -> session.dryRuns()
                        .run(tracks())),
                Controls.button("bulk-send", "board.bulk.send", this::send),
                Controls.button("bulk-release", "board.bulk.release", () -> session.releasing()
                        .releaseReady(tracks())),
                due,
                language,
                Controls.button("bulk-remove", "board.bulk.remove", () -> session.removal()
                        .remove(tracks())));
    }

    private void addLanguage(String code) {
        if (LanguageNames.codes().contains(code) && !tracks().isEmpty()) {
            language.setCode("");
            session.intakes().addLanguage(tracks(), code);
        }
    }

    private List<Track> tracks() {
        return table.selectedRows().stream().map(BoardModel.Row::track).toList();
    }

    private void setDue() {
        if (due.getValue() != null && !tracks().isEmpty()) {
            session.setDue(tracks(), Optional.of(due.getValue()));
        }
    }

    private void clearDue() {
        due.setValue(null);
        session.setDue(tracks(), Optional.empty());
    }

    private void send() {
        session.exchange().choose(tracks());
        session.viewProperty().set(ViewId.EXCHANGE);
    }

    private void goOn(BoardModel.Row row) {
        if (session.track() != row.track()) {
            session.choose(row.track());
        }
        session.viewProperty().set(row.next());
        if (row.next().equals(ViewId.DRY_RUN)) {
            session.dryRuns().run();
        }
    }

    private void selectionChanged() {
        if (table.isFilling()) {
            return;
        }
        showSelection();
        if (table.selectedRows().size() == 1) {
            chosenLater.playFromStart();
        }
    }

    private void choose() {
        List<BoardModel.Row> rows = table.selectedRows();
        // Where somebody went to another track elsewhere meanwhile, the table does not know it yet.
        boolean asFollowed = session.track() == followed;
        if (rows.size() == 1 && asFollowed && rows.get(0).track() != session.track()) {
            followed = rows.get(0).track();
            session.choose(followed);
        }
    }

    private void showSelection() {
        List<BoardModel.Row> rows = table.selectedRows();
        panel.show(rows.size() == 1 && intake.isEmpty() && !reread.isVisible() ? rows.get(0) : null);
        Controls.showIf(bulk, !rows.isEmpty() && intake.isEmpty() && !reread.isVisible());
        BoardModel.Totals of = BoardModel.totals(rows);
        selected.setText(Strings.text("board.selected", of.files(), of.words()));
        List<Optional<LocalDate>> dates =
                rows.stream().map(row -> row.track().plan().due()).distinct().toList();
        due.setOnAction(null);
        due.setValue(dates.size() == 1 ? dates.get(0).orElse(null) : null);
        due.setOnAction(event -> setDue());
    }

    /** What waits to be added needs the room; the tracks come back when it is decided on. */
    private void showIntake() {
        intake.show(session.intakes().property().get());
        refresh();
        Platform.runLater(intake.isEmpty() ? this::focus : intake::focusAccept);
    }

    private void receive(FilePicker from) {
        List<Path> files = from.chooseFiles();
        if (!files.isEmpty()) {
            session.intakes().receive(files);
        }
    }

    @Override
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get().equals(ViewId.BOARD);
        BooleanSupplier some = () -> here.getAsBoolean() && !tracks().isEmpty();
        commands.add("board-filter", "Shortcut+F", here, filter::requestFocus);
        commands.add(
                "next-step", "Alt+Enter", some, () -> goOn(table.selectedRows().get(0)));
        commands.add("bulk-dry-run", "", some, () -> session.dryRuns().run(tracks()));
        commands.add("bulk-send", "", some, this::send);
        commands.add("bulk-release", "", some, () -> session.releasing().releaseReady(tracks()));
        commands.add("bulk-due", "", some, due::requestFocus);
        commands.add("bulk-no-due", "", some, this::clearDue);
        commands.add("bulk-remove", "", some, () -> session.removal().remove(tracks()));
        commands.add(
                "bring-back", "", () -> here.getAsBoolean() && session.removal().isPossible(), () -> session.removal()
                        .bringBack());
        menu.offer(commands.of(ViewId.BOARD.name()));
        table.setContextMenu(CommandMenu.context(commands.of(ViewId.BOARD.name())));
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        if (session.lane().tracks().isEmpty()) {
            choose.requestFocus();
        } else {
            table.requestFocus();
        }
    }

    @Override
    public void refresh() {
        boolean none = session.lane().tracks().isEmpty();
        Controls.showIf(empty, none && intake.isEmpty());
        Controls.showIf(table, !none && intake.isEmpty() && !reread.isVisible());
        table.show(model.groups());
        BoardModel.Totals all = BoardModel.totals(model.rows());
        totals.setText(
                none
                        ? ""
                        : Strings.text(
                                "board.totals", all.files(), all.away(), all.overdue(), all.reviewed(), all.words()));
        if (session.track() != null && (table.selectedRows().isEmpty() || session.track() != followed)) {
            // Somebody went to another track elsewhere: what was about to be chosen here is out of date.
            chosenLater.stop();
            table.select(session.track());
            followed = session.track();
        }
        showSelection();
    }
}
