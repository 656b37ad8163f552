package org.swaplane.desktop.checks;

import java.io.File;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.check.Finding;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.SetAside;

/** Findings: groups on the left, the list in the middle, the two texts below; or the lane's profile of checks. */
public final class ChecksView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.CHECKS,
            session -> session.checking().count(),
            context -> new ChecksView(context.session(), context.picker(), context.apart()));

    private static final String ASIDE = "set-aside";
    private static final double GROUPS = 230;
    /** Findings that stay in sight above the one in hand. */
    private static final int ROWS_BEFORE = 3;

    private final LaneSession session;
    private final ComboBox<Grouping> grouping =
            Choice.of("finding-grouping", List.of(Grouping.values()), Grouping.words());
    private final ListView<Grouping.Group> groups = new ListView<>();
    private final ListView<Finding> findings = new ListView<>();
    private final ListView<SetAside> aside = new ListView<>();
    private final ToggleButton settings = new ToggleButton(Strings.text("checks.settings"));
    private final Label none = Controls.quiet(Strings.text("checks.none"));
    private final VBox unchecked;
    private final Button revoke;
    private final FindingCard card;
    private final FixPreview preview;
    private final ProfilePane profile;
    private final HBox lists;
    private final VBox node;
    private boolean refreshing;
    private final CommandMenu menu = new CommandMenu();

    /** {@code apart} opens other files in a window of their own; empty in such a window, where they can be saved. */
    public ChecksView(LaneSession session, FilePicker picker, Optional<Consumer<List<Path>>> apart) {
        this.session = session;
        this.card = new FindingCard(
                session, this::openInReview, this::previewFixes, findings::requestFocus, this::showFinding);
        this.preview = new FixPreview(session, this::showFindings);
        this.profile = new ProfilePane(session, picker);
        this.revoke = Controls.button("revoke", "checks.revoke", this::revoke);
        groups.setId("finding-groups");
        groups.setCellFactory(list -> new GroupCell());
        groups.setPrefWidth(GROUPS);
        groups.setMinWidth(GROUPS);
        groups.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> groupChosen(now));
        findings.setId("findings");
        findings.setCellFactory(list -> new FindingCell(session));
        unchecked = Controls.styled(
                new VBox(
                        Controls.quiet(Strings.text("checks.unchecked")),
                        Controls.button("check-file", "checks.check-file", session.checking()::check)),
                "placeholder");
        findings.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showFinding());
        aside.setId("findings-aside");
        aside.setCellFactory(list -> new AsideCell(session));
        aside.setPlaceholder(Controls.quiet(Strings.text("checks.none-aside")));
        grouping.setOnAction(event -> refresh());
        settings.setId("check-settings");
        settings.selectedProperty().addListener((property, before, now) -> refresh());
        for (Node each : List.of(findings, aside, preview)) {
            HBox.setHgrow(each, Priority.ALWAYS);
        }
        lists = Controls.styled(new HBox(groups, findings, aside, preview), "row");
        VBox.setVgrow(lists, Priority.ALWAYS);
        VBox.setVgrow(profile, Priority.ALWAYS);
        Controls.showIf(preview, false);
        node = Controls.styled(
                new VBox(
                        Controls.wrapped(
                                Controls.title("view.checks"),
                                grouping,
                                menu,
                                revoke,
                                apart.map(open -> Controls.button(
                                                "check-others",
                                                "checks.others",
                                                () -> openApart(picker.chooseFiles(), open)))
                                        .orElseGet(
                                                () -> Controls.button("save-file", "checks.save", () -> save(picker))),
                                Controls.button("check-all-files", "checks.all-files", session.checking()::checkAll),
                                Controls.button("check-report", "checks.report", () -> picker.chooseTarget(
                                                Strings.text("checks.report-name"))
                                        .ifPresent(session.checking()::report)),
                                settings),
                        lists,
                        card,
                        profile),
                "view");
        apart.ifPresent(this::takeDropped);
    }

    /** What is dropped here is checked apart; dropped on any other view it is taken into the lane. */
    private void takeDropped(Consumer<List<Path>> open) {
        node.setOnDragOver(event -> {
            if (event.getDragboard().hasFiles()) {
                event.acceptTransferModes(TransferMode.COPY);
            }
            event.consume();
        });
        node.setOnDragDropped(event -> {
            openApart(event.getDragboard().getFiles().stream().map(File::toPath).toList(), open);
            event.setDropCompleted(true);
            event.consume();
        });
    }

    private static void openApart(List<Path> files, Consumer<List<Path>> open) {
        if (!files.isEmpty()) {
            open.accept(files);
        }
    }

    private void save(FilePicker picker) {
        if (session.snapshot() != null) {
            picker.chooseTarget(session.track().name()).ifPresent(session.saving()::save);
        }
    }

    /** Adds what the keys do here to the table. */
    @Override
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get().equals(ViewId.CHECKS) && session.hasSegments();
        commands.add("fix-finding", "Alt+F", here, card::fix);
        commands.add("edit-finding", "F2", here, card::edit);
        commands.add("fix-findings", "Alt+Shift+F", here, this::previewFixes);
        commands.add("next-finding", "Alt+Down", here, () -> move(1));
        commands.add("previous-finding", "Alt+Up", here, () -> move(-1));
        commands.add("aside-finding", "Alt+A", here, card::askForReason);
        commands.add("open-finding", "Alt+Enter", here, this::openInReview);
        commands.add("check-settings", "Alt+S", here, settings::fire);
        menu.offer(commands.of(ViewId.CHECKS.name()));
        findings.setContextMenu(CommandMenu.context(commands.of(ViewId.CHECKS.name())));
    }

    private void move(int by) {
        int at = findings.getSelectionModel().getSelectedIndex() + by;
        if (at >= 0 && at < findings.getItems().size()) {
            findings.getSelectionModel().select(at);
            findings.scrollTo(Math.max(0, at - ROWS_BEFORE));
        }
    }

    private Finding chosen() {
        return findings.getSelectionModel().getSelectedItem();
    }

    private void revoke() {
        SetAside one = aside.getSelectionModel().getSelectedItem();
        if (one != null) {
            session.checking().revoke(one.identity());
        }
    }

    private void openInReview() {
        if (chosen() != null) {
            session.currentProperty().set(chosen().segment());
            session.viewProperty().set(ViewId.REVIEW);
        }
    }

    /** Shows what fixing all findings like the chosen one would write. */
    private void previewFixes() {
        if (chosen() != null && session.checking().fixes(chosen().check()).size() > 1) {
            Controls.showIf(preview, true);
            preview.show(chosen().check());
            Controls.showIf(findings, false);
            Controls.showIf(card, false);
        }
    }

    private void showFindings() {
        Controls.showIf(preview, false);
        refresh();
        findings.requestFocus();
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        findings.requestFocus();
    }

    @Override
    public void refresh() {
        boolean asks = settings.isSelected();
        Controls.showIf(lists, !asks);
        Controls.showIf(grouping, !asks);
        Controls.showIf(profile, asks);
        if (asks) {
            Controls.showIf(card, false);
            Controls.showIf(revoke, false);
            profile.show();
            return;
        }
        refreshing = true;
        Grouping.Group before = groups.getSelectionModel().getSelectedItem();
        List<Grouping.Group> all = new ArrayList<>(
                grouping.getValue().groups(session, session.checking().open()));
        long setAside = session.checking().setAside().size();
        all.add(new Grouping.Group(ASIDE, Strings.text("check.set-aside"), setAside, finding -> false, null));
        groups.getItems().setAll(all);
        int at = 0;
        for (int i = 0; i < all.size(); i++) {
            boolean same = before != null && all.get(i).id().equals(before.id());
            boolean here = all.get(i).track() != null && all.get(i).track() == session.track();
            at = same && all.get(i).track() == null || here ? i : at;
        }
        groups.getSelectionModel().select(at);
        refreshing = false;
        showGroup();
    }

    private void groupChosen(Grouping.Group group) {
        if (refreshing || group == null) {
            return;
        }
        Controls.showIf(preview, false);
        if (group.track() != null && group.track() != session.track()) {
            session.choose(group.track());
        } else {
            showGroup();
        }
    }

    private void showGroup() {
        Grouping.Group group = groups.getSelectionModel().getSelectedItem();
        boolean isAside = group != null && group.id().equals(ASIDE);
        boolean previews = preview.isVisible() && preview.isStillAsked();
        Controls.showIf(preview, previews);
        Controls.showIf(findings, !isAside && !previews);
        Controls.showIf(aside, isAside);
        Controls.showIf(card, !isAside && !previews);
        Controls.showIf(revoke, isAside);
        if (session.snapshot() == null || group == null) {
            return;
        }
        findings.setPlaceholder(session.checking().isMade() ? none : unchecked);
        aside.getItems().setAll(session.checking().setAside());
        int at = Math.max(0, findings.getSelectionModel().getSelectedIndex());
        List<Finding> shown = session.checking().open().stream()
                .filter(group.holds())
                .sorted(Comparator.comparing(Finding::severity))
                .toList();
        if (!shown.equals(findings.getItems())) {
            findings.getItems().setAll(shown);
            findings.getSelectionModel().select(Math.min(at, shown.size() - 1));
        }
        showFinding();
    }

    private void showFinding() {
        Finding finding = chosen();
        int fixes =
                finding == null ? 0 : session.checking().fixes(finding.check()).size();
        card.show(finding, fixes);
    }

    private static final class GroupCell extends ListCell<Grouping.Group> {
        @Override
        protected void updateItem(Grouping.Group group, boolean empty) {
            super.updateItem(group, empty);
            setWrapText(true);
            setPrefWidth(GROUPS - 24);
            setText(empty ? "" : group.words() + "  " + (group.count() < 0 ? "–" : group.count()));
        }
    }
}
