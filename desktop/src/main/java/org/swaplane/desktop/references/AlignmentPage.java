package org.swaplane.desktop.references;

import java.nio.file.Path;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.function.IntFunction;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.Source;
import org.swaplane.memory.AlignedDocuments;
import org.swaplane.memory.AlignedPair;
import org.swaplane.memory.PairList;

/** A finished document beside its translation: their segments in pairs, which are corrected by keys, the least certain first, and go into the memory. */
final class AlignmentPage extends VBox {
    private final LaneSession session;
    private final FilePicker picker;
    private final ListView<AlignedPair> list = new ListView<>();
    private final Label about = Controls.quiet("");
    private final Button add;
    private AlignedDocuments documents;
    private PairList pairs = new PairList(List.of());

    AlignmentPage(LaneSession session, FilePicker picker) {
        this.session = session;
        this.picker = picker;
        getStyleClass().add("column");
        setId("alignment-page");
        add = Controls.primary("add-pairs", "alignment.add", this::add);
        list.setId("aligned-pairs");
        list.setAccessibleText(Strings.text("references.alignment"));
        list.setPlaceholder(Controls.quiet(Strings.text("alignment.none")));
        list.setCellFactory(any -> new PairCell(list, () -> documents));
        VBox.setVgrow(list, Priority.ALWAYS);
        getChildren()
                .addAll(
                        Controls.wrapped(
                                Controls.button("choose-pair", "alignment.choose", this::choose),
                                edit("doubtful-pair", "alignment.doubtful", this::goToDoubtful),
                                add),
                        about,
                        list,
                        Controls.wrapped(
                                edit("confirm-pair", "alignment.confirm", () -> change(pairs::confirm, true)),
                                edit("join-pair", "alignment.join", () -> change(pairs::join, false)),
                                edit("split-pair", "alignment.split", () -> change(pairs::split, false)),
                                edit("down-pair", "alignment.down", () -> change(pairs::moveTargetDown, false)),
                                edit("up-pair", "alignment.up", () -> change(pairs::moveTargetUp, false)),
                                edit("part-pair", "alignment.part", () -> change(pairs::part, false))));
        show(0);
    }

    private Button edit(String id, String key, Runnable action) {
        return Controls.styled(Controls.button(id, key, action), "small");
    }

    /** {@code here} says whether the page is in front. */
    void addCommands(Commands commands, BooleanSupplier here) {
        commands.add("doubtful-pair", "Alt+N", here, this::goToDoubtful);
        commands.add("confirm-pair", "Alt+Enter", here, () -> change(pairs::confirm, true));
        commands.add("join-pair", "Alt+J", here, () -> change(pairs::join, false));
        commands.add("split-pair", "Alt+S", here, () -> change(pairs::split, false));
        commands.add("part-pair", "Alt+B", here, () -> change(pairs::part, false));
        commands.add("target-down", "Alt+Down", here, () -> change(pairs::moveTargetDown, false));
        commands.add("target-up", "Alt+Up", here, () -> change(pairs::moveTargetUp, false));
    }

    /** The keyboard goes to the pairs. */
    @Override
    public void requestFocus() {
        list.requestFocus();
    }

    private void choose() {
        List<Path> source = picker.chooseFiles();
        List<Path> target = source.size() == 1 ? picker.chooseFiles() : List.of();
        List<Path> both = source.size() > 1 ? source : List.of();
        if (both.size() == 2) {
            align(both.get(0), both.get(1));
        } else if (source.size() == 1 && target.size() == 1) {
            align(source.get(0), target.get(0));
        }
    }

    /** Pairs the segments of two documents in the languages of the file that is worked at. */
    void align(Path source, Path target) {
        session.memories().align(Source.of(source), Source.of(target), aligned -> {
            documents = aligned;
            pairs = new PairList(aligned.pairs());
            show(0);
            goToDoubtful();
        });
    }

    private void goToDoubtful() {
        pairs.mostDoubtful().ifPresent(this::select);
        list.requestFocus();
    }

    private void select(int at) {
        list.getSelectionModel().select(at);
        // Rows that were never laid out have no height yet.
        list.layout();
        list.scrollTo(Math.max(0, at - 1));
    }

    private void change(IntFunction<PairList> edit, boolean goOn) {
        int at = list.getSelectionModel().getSelectedIndex();
        if (at >= 0) {
            pairs = edit.apply(at);
            show(Math.min(at, pairs.pairs().size() - 1));
            if (goOn) {
                pairs.mostDoubtful().ifPresent(this::select);
            }
            list.requestFocus();
        }
    }

    private void show(int selected) {
        list.getItems().setAll(pairs.pairs());
        int whole = (int) pairs.pairs().stream().filter(AlignedPair::isPair).count();
        about.setText(
                documents == null
                        ? Strings.text("alignment.hint")
                        : Strings.text("alignment.about", whole, pairs.pairs().size() - whole, pairs.doubtful()));
        add.setDisable(whole == 0);
        if (!pairs.pairs().isEmpty()) {
            select(selected);
        }
    }

    private void add() {
        session.memories().addAligned(documents.with(pairs.pairs()), () -> {
            documents = null;
            pairs = new PairList(List.of());
            show(0);
        });
    }
}
