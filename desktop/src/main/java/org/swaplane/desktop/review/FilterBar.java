package org.swaplane.desktop.review;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import org.swaplane.check.CheckIds;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.SegmentSelection;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.review.SegmentFilter;

/** What the list of segments is narrowed down by: words, a part of the file, a filter, and what a figure elsewhere led to. */
final class FilterBar extends HBox {
    private static final String FILTERED = "review.filter";
    private static final double WORDS = 160;

    private final LaneSession session;
    private final ReviewModel model;
    private final Runnable listed;
    private final Runnable back;
    private final TextField text = new TextField();
    private final ComboBox<String> part = new ComboBox<>();
    private final ComboBox<NamedFilter> filter;
    private final FilterPanel panel;
    private final ToggleButton more = new ToggleButton(Strings.text("filter.more"));
    private final Label count = Controls.quiet("");
    /** What the list is narrowed down to by a figure elsewhere; pressed, it is all again. */
    private final Button selection = Controls.button("review-selection", "review.selection", this::forgetSelection);

    private boolean choosing;
    private boolean hidden;

    /**
     * @param listed told when other segments are listed
     * @param back where the keyboard goes afterwards
     */
    FilterBar(LaneSession session, ReviewModel model, Runnable listed, Runnable back) {
        this.session = session;
        this.model = model;
        this.listed = listed;
        this.back = back;
        this.filter = Choice.of("review-filter", NamedFilter.all(session.person()), NamedFilter::name);
        this.panel = new FilterPanel(session.person(), List.copyOf(CheckIds.ALL), this::applyOwn);
        getStyleClass().add("row");
        filter.setValue(rememberedFilter());
        filter.setAccessibleText(Strings.text("review.filter"));
        panel.show(filter.getValue().filter());
        model.filter(filter.getValue().filter(), -1, "", () -> {});
        filter.setOnAction(event -> chooseFilter());
        more.setId("more-filters");
        more.setFocusTraversable(false);
        Controls.showIf(panel, false);
        more.selectedProperty().addListener((property, before, open) -> {
            Controls.showIf(panel, open);
            if (open) {
                panel.begin();
            }
        });
        part.setId("review-part");
        part.setPrefWidth(WORDS);
        part.setAccessibleText(Strings.text("review.parts"));
        part.setOnAction(event -> apply());
        text.setId("review-text");
        text.setPromptText(Strings.text("review.text"));
        text.setPrefWidth(WORDS);
        text.setOnAction(event -> back.run());
        text.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                clear();
                event.consume();
            }
        });
        text.textProperty().addListener((property, before, now) -> apply());
        HBox.setHgrow(text, Priority.ALWAYS);
        count.setWrapText(false);
        getChildren()
                .addAll(text, Controls.whole(selection), Controls.whole(count), part, filter, Controls.whole(more));
        session.selectionProperty().addListener((property, before, now) -> selectionChanged());
        showSelection();
    }

    /** All that can be filtered and sorted by, below the bar. */
    Node panel() {
        return panel;
    }

    void focusText() {
        text.requestFocus();
    }

    void togglePanel() {
        more.setSelected(!more.isSelected());
    }

    /** While somebody reads, there is nothing to filter. */
    void showUnless(boolean reading) {
        hidden = reading;
        List.of(text, filter, more, count).forEach(each -> Controls.showIf(each, !reading));
        Controls.showIf(panel, !reading && more.isSelected());
        showSelection();
    }

    /** Everything is listed again; the segment that was current stays so. */
    void clear() {
        forgetSelection();
        text.clear();
        filter.setValue(filter.getItems().get(0));
        back.run();
    }

    private void forgetSelection() {
        session.selectionProperty().set(null);
    }

    private void selectionChanged() {
        text.clear();
        filter.setValue(filter.getItems().get(0));
        apply();
        back.run();
    }

    private void showSelection() {
        SegmentSelection chosen = session.selectionProperty().get();
        boolean here = chosen != null && chosen.track() == session.track();
        Controls.showIf(selection, here && !hidden);
        if (here) {
            selection.setText(Strings.text("review.selection", chosen.words()));
        }
    }

    private NamedFilter rememberedFilter() {
        String written = session.person().choice(session.lane().settings().id(), FILTERED);
        return NamedFilter.of(SegmentFilter.ofJson(written).orElse(SegmentFilter.ALL), session.person());
    }

    private void chooseFilter() {
        if (filter.getValue() != null && !choosing) {
            panel.show(filter.getValue().filter());
            apply();
        }
    }

    /** A filter of several conditions, which may have a name by now, or none any more. */
    private void applyOwn(SegmentFilter own) {
        choosing = true;
        filter.getItems().setAll(NamedFilter.all(session.person()));
        filter.setValue(NamedFilter.of(own, session.person()));
        choosing = false;
        panel.show(own);
        apply();
    }

    private void apply() {
        SegmentFilter chosen = filter.getValue().filter();
        session.person().setChoice(session.lane().settings().id(), FILTERED, chosen.toJson());
        model.filter(chosen, part.getSelectionModel().getSelectedIndex() - 1, text.getText(), listed);
    }

    /** How many are listed, and how many of them are selected. */
    void refresh() {
        int chosen = model.chosen().size();
        count.setText(
                chosen == 0
                        ? Strings.text("review.listed", model.listed().size())
                        : Strings.text("review.listed-chosen", model.listed().size(), chosen));
        showSelection();
    }

    /** The files within the file, where there are several. */
    void listParts(BilingualDocument document) {
        List<Part> parts = document == null ? List.of() : document.parts();
        part.getItems().setAll(Strings.text("review.all-parts"));
        parts.forEach(each -> part.getItems().add(Strings.text("review.part", each.name(), each.targetLanguage())));
        part.getSelectionModel().select(0);
        Controls.showIf(part, parts.size() > 1);
    }
}
