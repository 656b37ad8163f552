package org.swaplane.desktop.desk;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.beans.Observable;
import javafx.geometry.Orientation;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desktop.session.DeskWork;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.desktop.theme.ScaledColumns;
import org.swaplane.desktop.theme.TitleBar;
import org.swaplane.lane.DeskJob;

/** The client's desk: tasks to accept, download, return and hand over, and what it says of what came back. */
public final class DeskView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.DESK, session -> session.deskWork().waiting(), context -> new DeskView(context.session()));

    private static final String EXAMPLE = "http://127.0.0.1:8484";

    private final LaneSession session;
    private final TextField address = new TextField();
    private final Label unreachable = Controls.styled(new Label(), "found");
    private final Label hint = Controls.quiet(Strings.text("desk.no-address"));
    private final TaskTable tasks;
    private final Label title = Controls.styled(new Label(), "heading");
    private final Label about = Controls.quiet("");
    private final Label instructions = new Label();
    private final DownloadForm download = new DownloadForm();
    private final Button accept;
    private final Button fetch;
    private final Button giveBack;
    private final Button handOver;
    private final TextField reason = new TextField();
    private final TableView<DeskJob.Problem> problems = new TableView<>();
    private final ListView<String> history = new ListView<>();
    private final VBox node;
    private final VBox detail;
    private final CommandMenu menu = new CommandMenu();

    public DeskView(LaneSession session) {
        this.session = session;
        this.tasks = new TaskTable(session);
        address.setId("desk-address");
        address.setPromptText(EXAMPLE);
        address.setAccessibleText(Strings.text("desk.address"));
        address.setOnAction(
                event -> session.deskWork().setAddress(address.getText().strip()));
        HBox.setHgrow(address, Priority.ALWAYS);
        unreachable.setWrapText(true);
        accept = Controls.primary("desk-accept", "desk.accept", () -> chosen().ifPresent(
                        row -> session.deskWork().accept(row.task())));
        fetch = Controls.primary("desk-fetch", "desk.fetch", () -> job().ifPresent(
                        job -> session.deskWork().fetch(job, download.options())));
        giveBack = Controls.primary("desk-return", "desk.return", this::giveBack);
        handOver = Controls.primary(
                "desk-hand-over", "desk.hand-over", () -> job().ifPresent(session.deskWork()::handOver));
        reason.setId("desk-reason");
        reason.setPromptText(Strings.text("release.reason"));
        reason.setAccessibleText(Strings.text("release.reason"));
        HBox.setHgrow(reason, Priority.ALWAYS);
        reason.textProperty().addListener((property, before, now) -> showButtons());
        about.setWrapText(true);
        instructions.setWrapText(true);
        makeProblems();
        history.setId("desk-history");
        history.setAccessibleText(Strings.text("desk.history"));
        history.setPlaceholder(Controls.quiet(Strings.text("desk.no-history")));
        VBox.setVgrow(problems, Priority.ALWAYS);
        VBox.setVgrow(history, Priority.ALWAYS);
        detail = Controls.styled(
                new VBox(
                        title,
                        about,
                        instructions,
                        download,
                        Controls.row(accept, fetch, reason, giveBack, handOver),
                        problems,
                        history),
                "column");
        SplitPane split = Controls.styled(new SplitPane(tasks, detail), "review-split");
        split.setOrientation(Orientation.VERTICAL);
        split.setDividerPosition(0, 0.35);
        VBox.setVgrow(split, Priority.ALWAYS);
        Button refresh = Controls.button("desk-refresh", "desk.refresh", session.deskWork()::refresh);
        node = Controls.styled(
                new VBox(new TitleBar(session.person(), "view.desk", address, refresh, menu), hint, unreachable, split),
                "view");
        tasks.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showChosen());
        session.deskWork().rows().addListener((Observable list) -> show());
        session.deskWork().problemProperty().addListener((property, before, now) -> show());
        session.releasing().looksProperty().addListener((property, before, now) -> showButtons());
    }

    private void makeProblems() {
        problems.setId("desk-problems");
        problems.setAccessibleText(Strings.text("desk.problems"));
        problems.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        problems.getColumns()
                .addAll(List.of(
                        new WordsColumn<>(
                                "desk.column.kind",
                                120,
                                each -> Strings.text(
                                        "desk.kind." + each.kind().name().toLowerCase(Locale.ROOT))),
                        new WordsColumn<>("trip.column.file", 240, DeskJob.Problem::file),
                        new WordsColumn<>("desk.column.segment", 180, DeskJob.Problem::key),
                        new WordsColumn<>(
                                "desk.column.message",
                                320,
                                DeskJob.Problem::message,
                                Comparator.comparing(DeskJob.Problem::message))));
        ScaledColumns.of(problems, session.person());
        problems.setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) {
                showProblem();
            }
        });
        problems.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ENTER) {
                showProblem();
                event.consume();
            }
        });
    }

    private void showProblem() {
        Optional.ofNullable(problems.getSelectionModel().getSelectedItem()).ifPresent(session.deskWork()::show);
    }

    private void giveBack() {
        job().ifPresent(job -> session.deskWork().giveBack(job, reason.getText().strip()));
        reason.clear();
    }

    private Optional<DeskWork.Row> chosen() {
        return Optional.ofNullable(tasks.getSelectionModel().getSelectedItem());
    }

    private Optional<DeskJob> job() {
        return chosen().flatMap(DeskWork.Row::job);
    }

    @Override
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get().equals(ViewId.DESK);
        commands.add("desk-accept", "Alt+A", here, accept::fire);
        commands.add("desk-fetch", "Alt+L", here, fetch::fire);
        commands.add("desk-return", "Alt+R", here, giveBack::fire);
        commands.add("desk-hand-over", "Alt+H", here, handOver::fire);
        commands.add("desk-problem", "Alt+O", here, this::showProblem);
        commands.add("desk-refresh", "F5", here, session.deskWork()::refresh);
        menu.offer(commands.of(ViewId.DESK.name()));
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        if (session.deskWork().address().isEmpty()) {
            address.requestFocus();
        } else {
            tasks.requestFocus();
        }
    }

    @Override
    public void refresh() {
        session.deskWork().refresh();
        if (!session.lane().tracks().isEmpty()) {
            session.releasing().refresh();
        }
        show();
    }

    private void show() {
        if (!address.isFocused()) {
            address.setText(session.deskWork().address());
        }
        String problem = session.deskWork().problemProperty().get();
        boolean none = session.deskWork().address().isEmpty();
        unreachable.setText(problem);
        Controls.showIf(hint, none);
        Controls.showIf(unreachable, !none && !problem.isEmpty());
        tasks.show(session.deskWork().rows());
        showChosen();
    }

    private void showChosen() {
        Controls.showIf(detail, chosen().isPresent());
        chosen().ifPresent(row -> {
            if (!title.getText().equals(row.task().title())) {
                download.begin(row.job().flatMap(DeskJob::form).orElse(DownloadOptions.Form.ORIGINAL));
            }
            title.setText(row.task().title());
            about.setText(Strings.text(
                    "desk.about",
                    row.task().id(),
                    row.task().version(),
                    TaskTable.state(row),
                    Strings.few(
                            row.task().files().stream().map(file -> file.path()).toList(), ", ")));
            instructions.setText(row.task().instructions());
            Controls.showIf(instructions, !row.task().instructions().isEmpty());
            List<DeskJob.Problem> found = row.job().map(DeskJob::problems).orElse(List.of());
            if (!problems.getItems().equals(found)) {
                problems.getItems().setAll(found);
                problems.getSelectionModel().selectFirst();
            }
            Controls.showIf(problems, !found.isEmpty());
            history.getItems()
                    .setAll(row.history().stream()
                            .map(event -> Strings.text(
                                    "desk.event."
                                            + event.kind()
                                                    .name()
                                                    .toLowerCase(Locale.ROOT)
                                                    .replace('_', '-'),
                                    Dates.minute(event.at()),
                                    event.who(),
                                    event.detail()))
                            .toList());
        });
        showButtons();
    }

    /** Whoever accepted a task may do so again, for another lane. */
    private boolean mayAccept(DeskWork.Row row) {
        return row.task().person().isEmpty()
                || row.task().person().equals(session.lane().settings().person());
    }

    /** One next step: the others are not shown. */
    private void showButtons() {
        Optional<DeskJob> job = job();
        boolean readOnly = session.lane().isReadOnly();
        boolean open = job.isPresent() && !job.get().isClosed() && !readOnly;
        boolean here = open && job.get().isHere();
        boolean ready = here && session.deskWork().isReady(job.get());
        boolean accepted = here && !job.get().accepted().isEmpty();
        Controls.showIf(
                accept,
                job.isEmpty() && !readOnly && chosen().filter(this::mayAccept).isPresent());
        Controls.showIf(download, open);
        Controls.showIf(fetch, open);
        fetch.setText(Strings.text(here ? "desk.fetch-again" : "desk.fetch"));
        fetch.getStyleClass().remove("accent");
        if (!here) {
            fetch.getStyleClass().add("accent");
        }
        Controls.showIf(giveBack, here);
        Controls.showIf(reason, here && !ready);
        giveBack.setDisable(!ready && reason.getText().isBlank());
        Controls.showIf(handOver, accepted);
    }
}
