package org.swaplane.desktop.dryrun;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.ProofStore;
import org.swaplane.lane.Track;
import org.swaplane.proof.Proof;

/** The proofs of the track with what they found, its text before and after, and how the lane pseudo-translates. */
public final class DryRunView implements View {
    public static final ViewDescriptor DESCRIPTOR = new ViewDescriptor(
            ViewId.DRY_RUN,
            session -> session.dryRuns().waiting(),
            context -> new DryRunView(context.session(), context.picker(), context.opener()));

    private final LaneSession session;
    private final ListView<ProofEntry> entries = new ListView<>();
    private final Label summary = Controls.quiet("");
    private final DetailsPane details;
    private final PreviewPane preview = new PreviewPane();
    private final PseudoPane pseudo;
    private final Button run;
    private final Button runAll;
    private final Button save;
    private final Button report;
    private final LaneProofs lane;
    private final ToggleButton allFiles = new ToggleButton(Strings.text("dry-run.all-files"));
    private final HBox split;
    private final VBox node;
    private Track shown;
    private final CommandMenu menu = new CommandMenu();

    public DryRunView(LaneSession session, FilePicker picker, FileOpener opener) {
        this.session = session;
        this.details = new DetailsPane(session);
        this.pseudo = new PseudoPane(session);
        this.run = Controls.primary("run-dry-run", "dry-run.run", session.dryRuns()::run);
        this.runAll = Controls.button("run-all-dry-runs", "dry-run.run-all", session.dryRuns()::runAll);
        this.save = Controls.button("save-pseudo", "dry-run.save", () -> save(picker));
        this.report = Controls.button(
                "dry-run-report", "dry-run.report", () -> session.dryRuns().report(opener));
        entries.setId("proofs");
        entries.setCellFactory(list -> new ProofCell(list));
        entries.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> showEntry());
        entries.setMinWidth(350);
        entries.setMaxWidth(350);
        StackPane panes = new StackPane(details, preview, pseudo);
        HBox.setHgrow(panes, Priority.ALWAYS);
        lane = new LaneProofs(this::open);
        VBox.setVgrow(lane, Priority.ALWAYS);
        allFiles.setId("dry-run-all-files");
        allFiles.setOnAction(event -> showScope());
        split = Controls.styled(new HBox(entries, panes), "dry-run-split");
        VBox.setVgrow(split, Priority.ALWAYS);
        node = Controls.styled(
                new VBox(
                        Controls.wrapped(Controls.title("view.dry-run"), allFiles, menu, report, save, runAll, run),
                        summary,
                        lane,
                        split),
                "view");
        showScope();
    }

    /** The lane, or the file. */
    private void showScope() {
        boolean isLane = allFiles.isSelected();
        Controls.showIf(lane, isLane);
        Controls.showIf(split, !isLane);
        Controls.showIf(summary, !isLane);
        if (isLane) {
            session.dryRuns().readAll();
            showLane();
            lane.requestFocus();
        }
    }

    private void showLane() {
        lane.show(session.lane().tracks().stream().map(this::row).toList());
    }

    private LaneProofs.Row row(Track track) {
        ProofStore.Remembered dryRun = session.dryRuns().all().get(track);
        return dryRun == null
                ? new LaneProofs.Row(track, List.of(), List.of())
                : new LaneProofs.Row(
                        track,
                        dryRun.proofs(),
                        dryRun.proofs().stream().map(dryRun::verdict).toList());
    }

    private void open(Track track) {
        allFiles.setSelected(false);
        showScope();
        session.choose(track);
        entries.requestFocus();
    }

    private void save(FilePicker picker) {
        picker.chooseFolder().ifPresent(session.dryRuns()::save);
    }

    @Override
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get().equals(ViewId.DRY_RUN) && session.track() != null;
        commands.add("run-dry-run", "Alt+R", here, run::fire);
        commands.add("run-all-dry-runs", "Alt+Shift+R", here, runAll::fire);
        commands.add("all-dry-runs", "Alt+A", here, allFiles::fire);
        commands.add("save-pseudo", "", here, save::fire);
        commands.add("dry-run-report", "", here, report::fire);
        menu.offer(commands.of(ViewId.DRY_RUN.name()));
        lane.setContextMenu(CommandMenu.context(commands.of(ViewId.DRY_RUN.name())));
        entries.setContextMenu(CommandMenu.context(commands.of(ViewId.DRY_RUN.name())));
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        run.requestFocus();
    }

    @Override
    public void refresh() {
        Track track = session.track();
        List.of(run, runAll, save, report, entries).forEach(each -> each.setDisable(track == null));
        if (allFiles.isSelected()) {
            showLane();
        }
        if (track != shown) {
            shown = track;
            details.forgetPictures();
        }
        Optional<ProofStore.Remembered> last = session.dryRuns().last();
        summary.setText(track == null ? Strings.text("empty.no-track") : words(last));
        List<ProofEntry> all = new ArrayList<>();
        last.ifPresentOrElse(
                dryRun -> dryRun.proofs().forEach(proof -> all.add(ProofEntry.of(proof, dryRun))),
                () -> all.addAll(ProofEntry.notRun(
                        session.snapshot() != null && session.snapshot().isDocument())));
        all.add(ProofEntry.PREVIEW);
        all.add(ProofEntry.SETTINGS);
        int selected = all.size() == entries.getItems().size()
                ? entries.getSelectionModel().getSelectedIndex()
                : firstToLookAt(all);
        entries.getItems().setAll(all);
        entries.getSelectionModel().select(Math.max(0, selected));
        showEntry();
    }

    /** What does not hold; the texts before and after where everything does. */
    private static int firstToLookAt(List<ProofEntry> all) {
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).needsLook()) {
                return i;
            }
        }
        return all.indexOf(ProofEntry.PREVIEW);
    }

    private String words(Optional<ProofStore.Remembered> last) {
        if (last.isEmpty()) {
            return Strings.text("dry-run.never");
        }
        String verdict =
                Strings.text("dry-run.verdict." + last.get().verdict().name().toLowerCase(Locale.ROOT));
        String words = Strings.text("dry-run.last", Dates.minute(last.get().at()), verdict);
        return session.dryRuns().isCurrent() ? words : words + " " + Strings.text("dry-run.outdated");
    }

    private void showEntry() {
        ProofEntry entry = entries.getSelectionModel().getSelectedItem();
        Optional<Proof> proof = entry == null ? Optional.empty() : entry.proof();
        Controls.showIf(details, proof.isPresent());
        boolean showsTexts = entry == ProofEntry.PREVIEW || entry != null && entry.isNotRun();
        Controls.showIf(preview, showsTexts);
        Controls.showIf(pseudo, entry == ProofEntry.SETTINGS);
        proof.ifPresent(each -> details.show(each, entry.dryRun()));
        if (showsTexts) {
            preview.show(session.dryRuns().resultProperty().get());
        } else if (entry == ProofEntry.SETTINGS) {
            pseudo.show();
        }
    }
}
