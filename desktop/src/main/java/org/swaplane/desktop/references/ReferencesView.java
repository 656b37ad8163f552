package org.swaplane.desktop.references;

import java.util.List;
import java.util.function.BooleanSupplier;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FileOpener;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.ReferenceLibrary;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.CommandMenu;
import org.swaplane.desktop.shell.Commands;
import org.swaplane.desktop.shell.View;
import org.swaplane.desktop.shell.ViewContext;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.ReferenceHit;
import org.swaplane.memory.MemoryQuery;

/** What is known: search in all memories, the memories themselves, terms, alignment, and what is prepared from them. */
public final class ReferencesView implements View {
    public static final ViewDescriptor DESCRIPTOR =
            new ViewDescriptor(ViewId.REFERENCES, session -> 0, ReferencesView::new);

    private final LaneSession session;
    private final SearchForm search;
    private final UnitEditor editor;
    private final TermsPage terms;
    private final ToggleButton translationsShown;
    private final AlignmentPage alignment;
    private final ToggleButton termsShown;
    private final ToggleButton alignmentShown;
    private final Label count = Controls.quiet("");
    private final WordHits hits = new WordHits();
    private final ListView<ReferenceHit> found = new ListView<>();
    private final MemoryList memories;
    private final ReferenceList files;
    private final PreparationPage preparation;
    private final ToggleButton preparationShown;
    private final CommandMenu menu = new CommandMenu();
    private final VBox node;
    private final FileOpener opener;
    private String file = "";

    private ReferencesView(ViewContext context) {
        this.session = context.session();
        this.opener = context.opener();
        memories = new MemoryList(session, context.picker());
        files = new ReferenceList(session, context.picker(), this::findAgain, this::narrow);
        search = new SearchForm(this::find);
        found.setId("found-units");
        found.setAccessibleText(Strings.text("references.found-list"));
        found.setPlaceholder(Controls.quiet(Strings.text("references.hint")));
        found.setCellFactory(list -> new FoundCell(found, hits));
        found.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        found.setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) {
                showPlace();
            }
        });
        editor = new UnitEditor(session, context.picker(), found, this::findAgain);
        VBox.setVgrow(found, Priority.ALWAYS);
        terms = new TermsPage(session, context.picker());
        ToggleGroup pages = new ToggleGroup();
        translationsShown = page("show-translations", "references.translations", pages);
        termsShown = page("show-terms", "references.terms", pages);
        alignment = new AlignmentPage(session, context.picker());
        alignmentShown = page("show-alignment", "references.alignment", pages);
        preparation = new PreparationPage(session, context.picker());
        preparationShown = page("show-preparation", "references.preparation", pages);
        VBox translations = Controls.column(search, count, found, editor);
        ScrollPane prepared = new ScrollPane(preparation);
        prepared.setFitToWidth(true);
        prepared.setFitToHeight(true);
        prepared.setFocusTraversable(false);
        for (Node each : List.of(translations, terms, alignment, prepared)) {
            VBox.setVgrow(each, Priority.ALWAYS);
        }
        ScrollPane right = new ScrollPane(Controls.column(files, memories));
        right.setFitToWidth(true);
        right.setFocusTraversable(false);
        right.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        right.getStyleClass().add("reference-side");
        pages.selectedToggleProperty().addListener((property, before, now) -> {
            if (now == null) {
                before.setSelected(true);
            }
            Controls.showIf(translations, translationsShown.isSelected());
            Controls.showIf(terms, termsShown.isSelected());
            Controls.showIf(alignment, alignmentShown.isSelected());
            Controls.showIf(prepared, preparationShown.isSelected());
            Controls.showIf(right, !preparationShown.isSelected());
            refresh();
            focus();
        });
        translationsShown.setSelected(true);
        VBox left = Controls.column(
                Controls.row(translationsShown, termsShown, alignmentShown, preparationShown),
                translations,
                terms,
                alignment,
                prepared);
        HBox.setHgrow(left, Priority.ALWAYS);
        HBox body = Controls.styled(new HBox(left, right), "dry-run-split");
        VBox.setVgrow(body, Priority.ALWAYS);
        node = Controls.styled(
                new VBox(Controls.row(Controls.title("view.references"), Controls.spacer(), menu), body), "view");
        Controls.showIf(count, false);
        session.soughtProperty().addListener((property, before, now) -> seek(now));
    }

    private static ToggleButton page(String id, String key, ToggleGroup pages) {
        ToggleButton button = new ToggleButton(Strings.text(key));
        button.setId(id);
        button.setToggleGroup(pages);
        return button;
    }

    /** Searches for what was selected elsewhere. */
    private void seek(String text) {
        if (!text.isBlank()) {
            translationsShown.setSelected(true);
            search.seek(text);
        }
    }

    private void find(MemoryQuery query) {
        hits.search(query);
        session.library().find(query, file, units -> {
            found.setPlaceholder(Controls.quiet(
                    query.text().isBlank()
                            ? Strings.text("references.none-such")
                            : Strings.text("references.nothing", query.text().strip())));
            found.getItems().setAll(units);
            count.setText(
                    units.size() < ReferenceLibrary.MOST_FOUND
                            ? Strings.text("references.found", units.size())
                            : Strings.text("references.found-first", units.size()));
            Controls.showIf(count, !units.isEmpty());
            editor.show();
        });
    }

    /** Searches one file only, or all again. */
    private void narrow(String name) {
        file = name;
        search.find();
    }

    private void showPlace() {
        ReferenceHit hit = found.getSelectionModel().getSelectedItem();
        if (hit != null) {
            session.library().show(hit, opener);
        }
    }

    private void findAgain() {
        search.find();
        files.refresh();
        memories.refresh();
        editor.show();
    }

    @Override
    public void addCommands(Commands commands) {
        BooleanSupplier here = () -> session.viewProperty().get().equals(ViewId.REFERENCES);
        BooleanSupplier withSegments = () -> here.getAsBoolean() && session.hasSegments();
        commands.add("find-words", "Shortcut+F", here, this::focus);
        commands.add("show-terms", "Alt+T", here, () -> termsShown.setSelected(true));
        commands.add("show-alignment", "Alt+L", here, () -> alignmentShown.setSelected(true));
        commands.add("show-translations", "Alt+R", here, () -> translationsShown.setSelected(true));
        commands.add("import-memory", "Alt+O", here, files::add);
        commands.add("show-place", "Alt+G", here, this::showPlace);
        commands.add("show-preparation", "Alt+E", here, () -> preparationShown.setSelected(true));
        commands.add("preview-fill", "Alt+P", withSegments, () -> {
            preparationShown.setSelected(true);
            preparation.previewFill();
        });
        commands.add("analyze-language", "Alt+A", withSegments, () -> {
            preparationShown.setSelected(true);
            preparation.analyze();
        });
        alignment.addCommands(commands, () -> here.getAsBoolean() && alignmentShown.isSelected());
        menu.offer(commands.of(ViewId.REFERENCES.name()));
    }

    @Override
    public Parent node() {
        return node;
    }

    @Override
    public void focus() {
        if (termsShown.isSelected()) {
            terms.refresh();
            terms.requestFocus();
        } else if (alignmentShown.isSelected()) {
            alignment.requestFocus();
        } else if (preparationShown.isSelected()) {
            preparation.requestFocus();
        } else {
            search.begin();
        }
    }

    @Override
    public void refresh() {
        files.refresh();
        memories.refresh();
        if (preparationShown.isSelected()) {
            preparation.refresh();
        }
        if (termsShown.isSelected()) {
            terms.refresh();
        }
    }
}
