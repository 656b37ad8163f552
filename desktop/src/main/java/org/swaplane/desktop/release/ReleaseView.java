package org.swaplane.desktop.release;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;
import javafx.beans.Observable;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.Releasing;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.MessageBar;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.LanguageNames;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.theme.TitleBar;
import org.swaplane.lane.Track;

/** All tracks against their conditions, what leaves in which form, and what was released. */
public final class ReleaseView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.RELEASE, session -> 0, context -> new ReleaseView(context.session(), context.opener()));

    private static final String ALL_LANGUAGES = "";
    /** Parts that scroll by themselves. */
    private static final Set<String> LISTS = Set.of("look", "releases");

    private final LaneSession session;
    private final FileOpener opener;
    private final ReleaseTable table;
    private final ConditionsPane conditions;
    private final OptionsPane options;
    private final SideBySidePane sideBySide;
    private final ReleasesPane releases;
    private final ComboBox<String> language;
    private final Label ready = Controls.quiet("");
    private final Button release;
    private final Button anyway;
    private final TextField reason = new TextField();
    private final Label empty = Controls.styled(new Label(Strings.text("release.no-tracks")), "empty");
    private final VBox node;
    private final SplitPane split;
    private final CommandMenu menu = new CommandMenu();
    private final Map<String, ToggleButton> parts = new LinkedHashMap<>();

    public ReleaseView(LaneSession session, FileOpener opener) {
        this.session = session;
        this.opener = opener;
        this.table = new ReleaseTable(session);
        this.conditions = new ConditionsPane(session);
        this.options = new OptionsPane(session);
        this.sideBySide = new SideBySidePane(session);
        this.releases = new ReleasesPane(session, opener);
        this.language = Choice.of(
                "release-language",
                List.of(ALL_LANGUAGES),
                code -> code.isEmpty() ? Strings.text("release.all-languages") : LanguageNames.withCode(code));
        language.setAccessibleText(Strings.text("release.language"));
        language.setOnAction(event -> showRows());
        ready.setWrapText(false);
        release = Controls.primary("release", "release.write", this::releaseReady);
        anyway = Controls.button("release-anyway", "release.write-anyway", this::releaseAnyway);
        reason.setId("override-reason");
        reason.setPromptText(Strings.text("release.reason"));
        reason.setAccessibleText(Strings.text("release.reason"));
        reason.textProperty().addListener((property, before, now) -> showButtons());
        HBox.setHgrow(reason, Priority.ALWAYS);
        table.getSelectionModel().getSelectedItems().addListener((Observable list) -> showSelected());
        split = Controls.styled(new SplitPane(table, detail()), "review-split");
        split.setOrientation(Orientation.VERTICAL);
        split.setDividerPosition(0, 0.45);
        VBox.setVgrow(split, Priority.ALWAYS);
        node = Controls.styled(
                new VBox(
                        new TitleBar(session.person(), "view.release", Controls.row(language, ready), release, menu),
                        Controls.row(reason, anyway),
                        empty,
                        split),
                "view");
        session.releasing().looksProperty().addListener((property, before, now) -> show());
    }

    /** Conditions, options or releases, one at a time. */
    private VBox detail() {
        ToggleGroup group = new ToggleGroup();
        Map<String, Node> contents = new LinkedHashMap<>();
        contents.put("conditions", conditions);
        contents.put("options", options);
        contents.put("look", sideBySide);
        contents.put("releases", releases);
        VBox body = new VBox();
        VBox.setVgrow(body, Priority.ALWAYS);
        HBox chooser = Controls.row();
        contents.forEach((name, content) -> {
            ToggleButton button = new ToggleButton(Strings.text("release.part." + name));
            button.setId("release-part-" + name);
            button.setToggleGroup(group);
            button.selectedProperty().addListener((property, before, chosen) -> {
                if (chosen) {
                    body.getChildren().setAll(LISTS.contains(name) ? content : scrolled(content));
                    VBox.setVgrow(body.getChildren().get(0), Priority.ALWAYS);
                }
            });
            button.setOnAction(event -> button.setSelected(true));
            parts.put(name, button);
            chooser.getChildren().add(button);
        });
        parts.get("conditions").setSelected(true);
        return Controls.styled(new VBox(chooser, body), "column");
    }

    private static ScrollPane scrolled(Node content) {
        ScrollPane pane = new ScrollPane(content);
        pane.setFitToWidth(true);
        return pane;
    }

    private List<Track> chosen() {
        return session.releasing().chosen().stream()
                .filter(row -> isInLanguage(row.track()))
                .map(Releasing.Row::track)
                .toList();
    }

    private List<Track> chosenAndReady() {
        return session.releasing().chosen().stream()
                .filter(row -> isInLanguage(row.track()) && row.isReady())
                .map(Releasing.Row::track)
                .toList();
    }

    private boolean isInLanguage(Track track) {
        String wanted = language.getValue();
        return wanted == null
                || wanted.isEmpty()
                || wanted.equals(track.summary().targetLanguage());
    }

    private void releaseReady() {
        session.releasing().release(chosenAndReady(), "");
        parts.get("releases").setSelected(true);
    }

    private void releaseAnyway() {
        session.releasing().release(chosen(), reason.getText().strip());
        reason.clear();
        parts.get("releases").setSelected(true);
    }

    @Override
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get().equals(ViewId.RELEASE) && session.track() != null;
        commands.add("release", "Alt+R", here, release::fire);
        commands.add("choose-release", "", here, table::toggleSelected);
        commands.add("open-released", "Alt+O", here, () -> releases.chosenReceipt(opener));
        commands.add("copy-released", "", here, () -> releases.chosen()
                .map(session.releasing()::place)
                .ifPresent(MessageBar::copy));
        menu.offer(commands.of(ViewId.RELEASE.name()));
        table.setContextMenu(CommandMenu.context(commands.of(ViewId.RELEASE.name())));
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        table.requestFocus();
    }

    @Override
    public void refresh() {
        session.releasing().refresh();
        show();
    }

    private void show() {
        List<String> codes = session.lane().tracks().stream()
                .map(track -> track.summary().targetLanguage())
                .distinct()
                .sorted()
                .toList();
        if (language.getItems().size() != codes.size() + 1
                || !language.getItems().containsAll(codes)) {
            language.getItems().setAll(ALL_LANGUAGES);
            language.getItems().addAll(codes);
            language.setValue(ALL_LANGUAGES);
        }
        Controls.showIf(empty, session.lane().tracks().isEmpty());
        Controls.showIf(split, !session.lane().tracks().isEmpty());
        Controls.showIf(language, codes.size() > 1);
        options.show();
        showRows();
    }

    private void showRows() {
        table.show(session.releasing().rows().stream()
                .filter(row -> isInLanguage(row.track()))
                .toList());
        showSelected();
        showButtons();
    }

    private void showSelected() {
        conditions.show(table.selected());
        sideBySide.show(table.selected());
    }

    private void showButtons() {
        int all = chosen().size();
        int free = chosenAndReady().size();
        boolean known =
                session.releasing().rows().stream().allMatch(row -> row.gate().isPresent());
        ready.setText(Strings.text(known ? "release.ready" : "release.looking", free, all));
        release.setText(Strings.text("release.write", free));
        release.setDisable(free == 0 || !session.releasing().planProblem().isEmpty());
        boolean held = known && free < all;
        Controls.showIf(reason.getParent(), held);
        anyway.setText(Strings.text("release.write-anyway", all));
        anyway.setDisable(
                reason.getText().isBlank() || !session.releasing().planProblem().isEmpty());
    }
}
