package org.swaplane.desktop.exchange;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.binding.DoubleExpression;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import org.swaplane.check.Finding;
import org.swaplane.compare.TextDifference;
import org.swaplane.content.Content;
import org.swaplane.content.TagNumbers;
import org.swaplane.desktop.text.ContentFlow;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.exchange.RowChange;
import org.swaplane.exchange.RowRemark;
import org.swaplane.exchange.StructureProblem;
import org.swaplane.lane.ReturnImport;
import org.swaplane.reviewcopy.Revision;

/** One change that came back: source, and the three texts with what differs marked. */
final class ChangeRow extends GridPane {
    private static final double GAP = 12;

    private final Label number = Controls.styled(new Label(), "row-number");
    private final ContentFlow source = new ContentFlow();
    private final ContentFlow sent = new ContentFlow();
    private final ContentFlow returned = new ContentFlow();
    private final ContentFlow now = new ContentFlow();
    private final ContentFlow repaired = new ContentFlow();
    private final Label remarked = Controls.quiet("");
    private final ContentFlow instead = new ContentFlow();
    private final VBox others = Controls.styled(new VBox(), "column-tight");
    private final Label by = Controls.quiet("");
    private final Label problems = Controls.styled(new Label(), "stop-text");
    private final ToggleButton take = new ToggleButton();
    private final ToggleButton keep = new ToggleButton(Strings.text("return.keeping"));
    private final Label cannot = Controls.quiet(Strings.text("return.cannot"));
    private RowChange shown;

    /** {@code width} is what it has from edge to edge. */
    ChangeRow(DoubleExpression width, BiConsumer<RowChange, Boolean> decide) {
        getStyleClass().add("change-row");
        setHgap(GAP);
        ColumnConstraints narrow = new ColumnConstraints(40);
        ColumnConstraints button = new ColumnConstraints(32
                + Controls.widest(Stream.of("return.cannot", "return.keeping", "return.mended", "return.taking")
                        .map(Strings::text)
                        .toList()));
        // The same width when the height is asked for as when it is drawn.
        ColumnConstraints wide = new ColumnConstraints();
        wide.setMinWidth(USE_PREF_SIZE);
        wide.setMaxWidth(USE_PREF_SIZE);
        wide.prefWidthProperty()
                .bind(width.subtract(narrow.getPrefWidth() + button.getPrefWidth() + 4 * GAP)
                        .divide(3));
        getColumnConstraints().setAll(narrow, wide, wide, wide, button);
        problems.setWrapText(true);
        by.setMinHeight(USE_PREF_SIZE);
        problems.setMinHeight(USE_PREF_SIZE);
        for (ToggleButton part : List.of(take, keep)) {
            part.setMaxWidth(Double.MAX_VALUE);
            part.setFocusTraversable(false);
        }
        take.setOnAction(event -> decide.accept(shown, true));
        keep.setOnAction(event -> decide.accept(shown, false));
        cannot.setWrapText(true);
        VBox decision = Controls.styled(new VBox(take, keep, cannot), "decision");
        addRow(
                0,
                number,
                text("return.source", source),
                text("return.sent", sent),
                text("return.returned", returned),
                decision);
        add(text("return.now", now), 2, 1);
        add(
                Controls.styled(
                        new VBox(
                                by,
                                text("return.repaired", repaired),
                                text("return.worded", instead),
                                others,
                                problems,
                                remarked),
                        "column-tight"),
                3,
                1);
        remarked.setMinHeight(USE_PREF_SIZE);
        GridPane.setValignment(number, VPos.TOP);
        GridPane.setValignment(decision, VPos.TOP);
    }

    private static VBox text(String key, ContentFlow flow) {
        VBox box = Controls.styled(
                new VBox(Controls.styled(new Label(Strings.text(key)), "caption"), flow), "column-tight");
        box.setAlignment(Pos.TOP_LEFT);
        return box;
    }

    /**
     * Shows a change.
     *
     * @param brought what the checks would find in it and do not find now
     * @param recipient who got the copy
     */
    void show(RowChange change, List<Finding> brought, List<RowRemark> remarks, String recipient, boolean taken) {
        shown = change;
        number.setText(String.valueOf(change.number()));
        TagNumbers numbers = TagNumbers.of(change.segment().source());
        source.show(change.segment().source(), numbers, List.of());
        TextDifference difference = TextDifference.between(change.sent(), change.returned());
        sent.showWritten(change.segment().source(), change.sent(), difference.before());
        returned.showWritten(change.segment().source(), change.returned(), difference.after());
        boolean conflict = change.what() == RowChange.Case.CONFLICT;
        Controls.showIf(now.getParent(), conflict);
        if (conflict) {
            String written = change.nowWritten();
            now.showWritten(
                    change.segment().source(),
                    written,
                    TextDifference.between(written, change.returned()).before());
        }
        boolean mends = change.problems().stream().anyMatch(each -> each.kind() == StructureProblem.Kind.TAGS_DAMAGED)
                && change.repaired().isPresent();
        Controls.showIf(repaired.getParent(), mends);
        change.repaired().filter(text -> mends).ifPresent(text -> repaired.show(text, numbers, List.of()));
        remarked.setText(
                remarks.stream().map(each -> words(each, recipient, false)).collect(Collectors.joining("\n")));
        Controls.showIf(remarked, !remarks.isEmpty());
        by.setText(Strings.text("return.case."
                        + change.what().name().toLowerCase(Locale.ROOT).replace('_', '-'))
                + change.revision()
                        .map(Revision::author)
                        .map(author -> ", " + author)
                        .orElse("")
                + change.state()
                        .map(state ->
                                ", " + Strings.text("state." + state.name().toLowerCase(Locale.ROOT)))
                        .orElse(""));
        problems.setText(Stream.concat(
                        change.problems().stream().map(StructureProblem::message),
                        brought.stream().map(each -> Strings.text("return.brings", each.message())))
                .collect(Collectors.joining("\n")));
        Controls.showIf(problems, !problems.getText().isEmpty());
        boolean possible = change.applicable().isPresent();
        Controls.showIf(take, possible);
        Controls.showIf(keep, possible);
        Controls.showIf(cannot, !possible);
        take.setSelected(taken);
        keep.setSelected(!taken);
        take.setText(Strings.text(mends ? "return.mended" : "return.taking"));
    }

    /** What other people answered in the same segment, side by side with this one. */
    void showOthers(List<ReturnImport.OtherAnswer> answers) {
        others.getChildren()
                .setAll(answers.stream()
                        .map(answer -> {
                            ContentFlow flow = new ContentFlow();
                            flow.showWritten(
                                    shown.segment().source(),
                                    answer.returned(),
                                    TextDifference.between(shown.returned(), answer.returned())
                                            .after());
                            return (Node) Controls.styled(
                                    new VBox(
                                            Controls.styled(
                                                    new Label(Strings.text("return.also-from", answer.person())),
                                                    "caption"),
                                            flow),
                                    "column-tight");
                        })
                        .toList());
        Controls.showIf(others, !answers.isEmpty());
    }

    /** The words that are taken instead of the answer. */
    void showWorded(Optional<Content> words) {
        Controls.showIf(instead.getParent(), words.isPresent());
        words.ifPresent(
                content -> instead.show(content, TagNumbers.of(shown.segment().source()), List.of()));
    }

    /** A remark in words, with the number of its row where {@code withRow}; one that is not signed is the recipient's. */
    static String words(RowRemark remark, String recipient, boolean withRow) {
        String author =
                remark.remark().author().isBlank() ? recipient : remark.remark().author();
        String key = withRow && remark.index() != RowRemark.NO_SEGMENT ? "return.remark-in-row" : "return.remark";
        return Strings.text(key, author, remark.remark().text(), remark.index() + 1);
    }
}
