package org.swaplane.desktop.report;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SplitPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.JobReporting;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewContext;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.LanguageNames;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.theme.TitleBar;
import org.swaplane.jobreport.Figures;
import org.swaplane.jobreport.ReportPart;
import org.swaplane.jobreport.ReportProfile;
import org.swaplane.lane.Track;
import org.swaplane.report.Report;

/** What the job took, what was changed, how good it is, what it costs: figures with charts that lead to their segments. */
public final class ReportView implements View {
    public static final ViewDescriptor DESCRIPTOR =
            new ViewDescriptor(ViewId.REPORT, session -> 0, context -> new ReportView(context));

    private static final double LIST = 216;
    /** Height of a line of a list with text of the usual size. */
    private static final double ROW = 38;

    private static final int LEAST_ROWS = 4;

    private static final String CLIENT = "client";
    private static final String INTERNAL = "internal";
    /** Numbers and dates are written as in these; words where there are some. */
    private static final List<String> LANGUAGES =
            List.of("en", "de", "ar", "cs", "da", "es", "fr", "it", "ja", "nl", "pl", "pt", "sv", "zh");

    private final LaneSession session;
    private final JobReporting reporting;
    private final FilePicker picker;
    private final ListView<ReportPart> parts = new ListView<>();
    private final ListView<Figures> list = new ListView<>();
    private final VBox left = Controls.styled(new VBox(), "column-tight");
    private final ComboBox<String> language = Choice.of(
            "report-language",
            List.of(""),
            code -> code.isEmpty() ? Strings.text("report.all-languages") : LanguageNames.withCode(code));
    private final DatePicker from = new DatePicker();
    private final DatePicker to = new DatePicker();
    private final ComboBox<String> reader = Choice.of(
            "report-profile", List.of(INTERNAL, CLIENT), profile -> Strings.text("report.profile." + profile));
    private final ComboBox<String> written = Choice.of("report-written", LANGUAGES, LanguageNames::withCode);
    private final Label heading = Controls.styled(new Label(), "heading");
    private final Label line = Controls.quiet("");
    private final ChartPane chart;
    private final FiguresTable table = new FiguresTable(this::showSegments);
    private final Map<ReportPart, Node> tools = new EnumMap<>(ReportPart.class);
    private final VBox toolPlace = new VBox();
    private final EffortTools effortTools;
    private final AmountTools amountTools;
    private final QualityTools qualityTools;
    private final CommandMenu menu = new CommandMenu();
    private final Button export;
    private final VBox node;
    private boolean showing;
    private JobReporting.Shown drawn;
    private ReportPart drawnPart;

    public ReportView(ViewContext context) {
        this.session = context.session();
        this.reporting = session.jobReporting();
        this.picker = context.picker();
        this.chart = new ChartPane(session.person(), this::showSegments);
        this.effortTools = new EffortTools(session);
        this.amountTools = new AmountTools(session, picker);
        this.qualityTools = new QualityTools(session, picker);
        tools.put(ReportPart.EFFORT, effortTools);
        tools.put(ReportPart.AMOUNTS, amountTools);
        tools.put(ReportPart.QUALITY, qualityTools);
        export = Controls.primary("export-report", "report.export", this::export);
        makeScope();
        makeLists();
        line.setWrapText(true);
        VBox.setVgrow(table, Priority.ALWAYS);
        table.setMinHeight(150);
        VBox detail = Controls.styled(new VBox(heading, line, chart, toolPlace, table), "column");
        ScrollPane scroll = new ScrollPane(detail);
        scroll.setFitToWidth(true);
        scroll.setFitToHeight(true);
        left.getChildren().addAll(parts, list);
        VBox.setVgrow(list, Priority.ALWAYS);
        SplitPane split = Controls.styled(new SplitPane(left, scroll), "review-split");
        split.setDividerPosition(0, 0.2);
        SplitPane.setResizableWithParent(left, false);
        VBox.setVgrow(split, Priority.ALWAYS);
        node = Controls.styled(
                new VBox(
                        new TitleBar(
                                session.person(),
                                "view.report",
                                Controls.wrapped(language, from, to, reader, written),
                                export,
                                menu),
                        split),
                "view");
        reporting.shownProperty().addListener((property, before, now) -> show());
    }

    private void makeScope() {
        language.setAccessibleText(Strings.text("report.scope"));
        language.setOnAction(event -> {
            if (!showing && language.getValue() != null) {
                reporting.setScope(reporting.scopeProperty().get().ofLanguage(language.getValue()));
            }
        });
        makeDate(from, "report.from");
        makeDate(to, "report.to");
        reader.setAccessibleText(Strings.text("report.profile"));
        written.setAccessibleText(Strings.text("report.language"));
        String own = Strings.locale().getLanguage();
        written.setValue(LANGUAGES.contains(own) ? own : LANGUAGES.get(0));
    }

    private void makeDate(DatePicker date, String key) {
        date.setId(key.replace('.', '-'));
        date.setPromptText(Strings.text(key));
        date.setAccessibleText(Strings.text(key));
        date.setOnAction(event -> {
            if (!showing) {
                Optional<LocalDate> begin = Optional.ofNullable(from.getValue());
                Optional<LocalDate> end = Optional.ofNullable(to.getValue());
                reporting.setScope(reporting.scopeProperty().get().during(begin, end));
            }
        });
    }

    private void makeLists() {
        parts.setId("report-parts");
        parts.setAccessibleText(Strings.text("report.parts"));
        parts.getItems().setAll(ReportPart.values());
        parts.setCellFactory(any -> new NamedCell<>(part -> Strings.text("report.part." + part.word())));
        size();
        session.person().onChange(this::size);
        parts.getSelectionModel().select(reporting.part());
        parts.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> {
            if (now != null && !showing) {
                reporting.show(now);
                show();
            }
        });
        list.setId("report-figures");
        list.setAccessibleText(Strings.text("report.figures"));
        list.setPlaceholder(Controls.quiet(Strings.text("report.counting")));
        list.setCellFactory(any -> new NamedCell<>(figures -> figures.section().heading()));
        list.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showFigures(now));
    }

    /** All parts are seen at once, and all fields as wide as their words. */
    private void size() {
        double height = ReportPart.values().length * ROW * session.person().scale() + 8;
        parts.setPrefHeight(height);
        // Large text leaves room for the figures, too.
        double least = LEAST_ROWS * ROW * session.person().scale();
        parts.setMinHeight(Math.min(height, least));
        list.setMinHeight(least);
        left.setMinWidth(LIST * session.person().scale());
        language.setPrefWidth(150 * session.person().scale());
        reader.setPrefWidth(150 * session.person().scale());
        written.setPrefWidth(120 * session.person().scale());
        from.setPrefWidth(118 * session.person().scale());
        to.setPrefWidth(118 * session.person().scale());
    }

    /** A line of a list. */
    private static final class NamedCell<T> extends ListCell<T> {
        private final Function<T, String> name;

        private NamedCell(Function<T, String> name) {
            this.name = name;
        }

        @Override
        protected void updateItem(T item, boolean empty) {
            super.updateItem(item, empty);
            setText(empty || item == null ? null : name.apply(item));
        }
    }

    private void show() {
        JobReporting.Shown shown = reporting.shownProperty().get();
        showing = true;
        List<String> languages = new ArrayList<>(List.of(""));
        session.lane().tracks().stream()
                .map(track -> track.summary().targetLanguage())
                .filter(code -> !code.isEmpty())
                .distinct()
                .sorted()
                .forEach(languages::add);
        if (!language.getItems().equals(languages)) {
            language.getItems().setAll(languages);
        }
        language.setValue(reporting.scopeProperty().get().language());
        showing = false;
        if (shown == drawn && reporting.part() == drawnPart) {
            // What somebody selected and sorted stays.
            return;
        }
        drawn = shown;
        drawnPart = reporting.part();
        boolean counted = shown != null && shown.part() == reporting.part();
        Node tool = tools.get(reporting.part());
        toolPlace.getChildren().setAll(tool == null ? List.of() : List.of(tool));
        effortTools.refresh();
        amountTools.refresh();
        qualityTools.refresh();
        int at = Math.max(0, list.getSelectionModel().getSelectedIndex());
        List<Figures> figures = counted ? shown.figures() : List.of();
        boolean samePart = !list.getItems().isEmpty()
                && !figures.isEmpty()
                && list.getItems().get(0).part() == figures.get(0).part();
        list.getItems().setAll(figures);
        list.getSelectionModel().select(samePart && at < figures.size() ? at : 0);
        if (figures.isEmpty()) {
            showFigures(null);
        }
    }

    private void showFigures(Figures figures) {
        Controls.showIf(chart, figures != null && figures.section().chart().isPresent());
        Controls.showIf(table, figures != null);
        if (figures == null) {
            heading.setText("");
            line.setText("");
            return;
        }
        Report.Section section = figures.section();
        heading.setText(section.heading());
        line.setText(String.join(" ", section.lines()));
        Controls.showIf(line, !section.lines().isEmpty());
        section.chart().ifPresent(chart::show);
        table.show(section, session.person().scale());
    }

    private void showSegments(int row) {
        Figures figures = list.getSelectionModel().getSelectedItem();
        if (figures == null || row >= figures.segments().size()) {
            return;
        }
        reporting
                .segments(figures, row, figures.section().heading())
                .ifPresentOrElse(
                        session::show,
                        () -> session.notify(Notification.Tone.DONE, Strings.text("report.no-segments")));
    }

    private void export() {
        Optional<Path> file = picker.chooseTarget(Strings.text("report.file-name"));
        ReportProfile profile = reader.getValue().equals(CLIENT) ? ReportProfile.CLIENT : ReportProfile.INTERNAL;
        file.ifPresent(path -> reporting.export(path, profile, Locale.forLanguageTag(written.getValue())));
    }

    private void scopeToTrack() {
        Optional<Track> track = Optional.ofNullable(session.track());
        boolean narrowed = reporting.scopeProperty().get().track().isPresent();
        reporting.setScope(reporting.scopeProperty().get().ofTrack(narrowed ? Optional.empty() : track));
    }

    @Override
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get().equals(ViewId.REPORT);
        commands.add("export-report", "Alt+X", here, this::export);
        commands.add("report-track", "Alt+T", here, this::scopeToTrack);
        commands.add("report-segments", "Alt+O", here, () -> Optional.ofNullable(
                        table.getSelectionModel().getSelectedItem())
                .filter(row -> !row.isSum())
                .ifPresent(row -> showSegments(row.number())));
        commands.add("report-again", "F5", here, () -> {
            reporting.outdate();
            reporting.refresh();
        });
        commands.add("pause-time", "Alt+P", here, session.workTime()::togglePause);
        menu.offer(commands.of(ViewId.REPORT.name()));
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        parts.requestFocus();
    }

    @Override
    public void refresh() {
        export.setDisable(session.lane().tracks().isEmpty());
        reporting.refresh();
        show();
    }
}
