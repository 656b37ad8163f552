package org.swaplane.desktop.references;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Choice;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.desktop.text.WordsColumn;
import org.swaplane.desktop.theme.ScaledColumns;
import org.swaplane.lane.LaneTerms;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermCandidates;

/** The terms of the lane's lists in the languages of the file, and words that may be terms; those of the lane's own list are changed here. */
final class TermsPage extends VBox {
    private static final String DIVIDER = "; ";

    private final LaneSession session;
    private final FilePicker picker;
    private final TextField filter = new TextField();
    private final ComboBox<What> what = Choice.of(
            "terms-what",
            List.of(What.values()),
            each -> Strings.text("terms.what." + each.name().toLowerCase(Locale.ROOT)));
    private final TableView<Row> table = new TableView<>();
    private final Label about = Controls.quiet("");
    private final TextField targets = new TextField();
    private final TextField forbidden = new TextField();
    private final TextField explanation = new TextField();
    private final Button save = Controls.button("save-listed-term", "terms.keep", this::save);
    private final Button remove = Controls.button("remove-term", "terms.remove", this::remove);
    private final Button export = Controls.button("export-terms", "terms.export", this::export);
    private List<Row> all = List.of();

    /** What is listed. */
    private enum What {
        TERMS,
        CANDIDATES
    }

    /** A term of a list, or what may become one; {@code count} says how often that stands in the lane's files. */
    record Row(String source, LaneTerms.Listed listed, int count) {
        String preferred() {
            return listed == null ? "" : String.join(DIVIDER, listed.term().preferred());
        }

        String forbidden() {
            return listed == null ? "" : String.join(DIVIDER, listed.term().forbidden());
        }

        String origin() {
            return listed == null
                    ? Strings.text("terms.count", count)
                    : listed.own() ? Strings.text("terms.own") : listed.list();
        }

        String explanation() {
            return listed == null ? "" : listed.term().explanation();
        }

        private boolean has(String words) {
            return Stream.of(source, preferred(), forbidden(), explanation())
                    .anyMatch(text -> text.toLowerCase(Locale.ROOT).contains(words));
        }
    }

    TermsPage(LaneSession session, FilePicker picker) {
        this.session = session;
        this.picker = picker;
        getStyleClass().add("column");
        setId("terms-page");
        field(filter, "filter-terms", "terms.filter");
        field(targets, "term-targets", "terms.preferred");
        field(forbidden, "term-not", "terms.forbidden-words");
        field(explanation, "term-explained", "terms.explanation");
        HBox.setHgrow(filter, Priority.ALWAYS);
        HBox.setHgrow(targets, Priority.ALWAYS);
        HBox.setHgrow(forbidden, Priority.ALWAYS);
        filter.textProperty().addListener((property, before, now) -> list());
        what.setAccessibleText(Strings.text("terms.what"));
        what.setOnAction(event -> refresh());
        table.setId("listed-terms");
        table.setAccessibleText(Strings.text("side.terms"));
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        table.setPlaceholder(Controls.quiet(Strings.text("terms.none")));
        table.getColumns()
                .addAll(List.of(
                        new WordsColumn<>("terms.column.source", 170, Row::source),
                        new WordsColumn<>("terms.column.target", 170, Row::preferred),
                        new WordsColumn<>("terms.column.forbidden", 130, Row::forbidden),
                        new WordsColumn<>("terms.explanation", 150, Row::explanation),
                        new WordsColumn<>("terms.column.list", 120, Row::origin)));
        ScaledColumns.of(table, session.person());
        table.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> show(now));
        VBox.setVgrow(table, Priority.ALWAYS);
        targets.setOnAction(event -> save());
        VBox form = Controls.styled(
                new VBox(about, Controls.row(targets, forbidden), explanation, Controls.row(save, remove)),
                "column-tight");
        form.getStyleClass().add("card");
        getChildren().addAll(Controls.row(filter, what, export), table, form);
        show(null);
    }

    private static void field(TextField field, String id, String key) {
        field.setId(id);
        field.setPromptText(Strings.text(key));
        field.setAccessibleText(Strings.text(key));
    }

    /** The keyboard goes to what narrows the list. */
    @Override
    public void requestFocus() {
        filter.requestFocus();
    }

    /** Looks into the lists again. */
    void refresh() {
        export.setDisable(session.track() == null || what.getValue() != What.TERMS);
        if (session.track() == null) {
            all = List.of();
            list();
        } else if (what.getValue() == What.TERMS) {
            session.vocabulary()
                    .all(terms -> keep(terms.stream()
                            .map(each -> new Row(each.term().source(), each, 0))
                            .toList()));
        } else {
            session.vocabulary()
                    .candidates(candidates ->
                            keep(candidates.stream().map(TermsPage::row).toList()));
        }
    }

    private static Row row(TermCandidates.Candidate candidate) {
        return new Row(candidate.text(), null, candidate.count());
    }

    private void keep(List<Row> rows) {
        all = rows;
        list();
    }

    private void list() {
        String words = filter.getText().strip().toLowerCase(Locale.ROOT);
        table.getItems().setAll(all.stream().filter(row -> row.has(words)).toList());
        table.getSelectionModel().selectFirst();
    }

    private void show(Row row) {
        boolean editable = row != null
                && !session.lane().isReadOnly()
                && (row.listed() == null || row.listed().own());
        about.setText(
                row == null
                        ? Strings.text("terms.choose")
                        : editable ? row.source() : Strings.text("terms.of-client", row.source(), row.origin()));
        targets.setText(row == null ? "" : row.preferred());
        forbidden.setText(row == null ? "" : row.forbidden());
        explanation.setText(row == null ? "" : row.explanation());
        explanation.setDisable(!editable);
        targets.setDisable(!editable);
        forbidden.setDisable(!editable);
        save.setDisable(!editable);
        remove.setDisable(!editable || row.listed() == null);
    }

    private static List<String> wordings(TextField field) {
        return Stream.of(field.getText().split(";"))
                .map(String::strip)
                .filter(text -> !text.isEmpty())
                .distinct()
                .toList();
    }

    private void save() {
        Row row = table.getSelectionModel().getSelectedItem();
        List<String> preferred = wordings(targets);
        List<String> not = wordings(forbidden);
        if (row != null && !save.isDisabled() && !(preferred.isEmpty() && not.isEmpty())) {
            String said = explanation.getText().strip();
            session.vocabulary().keep(row.listed(), new Term(row.source(), preferred, not, said), this::refresh);
        }
    }

    private void remove() {
        Row row = table.getSelectionModel().getSelectedItem();
        if (row != null && row.listed() != null) {
            session.vocabulary().keep(row.listed(), new Term(row.source(), List.of(), List.of()), this::refresh);
        }
    }

    private void export() {
        List<Term> terms = all.stream().map(row -> row.listed().term()).toList();
        picker.chooseTarget("terms.tbx")
                .ifPresent((Path file) -> session.vocabulary().export(terms, file));
    }
}
