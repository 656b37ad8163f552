package org.swaplane.desktop.review;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import org.swaplane.compare.Span;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermIndex;

/** The terms of the source, with what they are called in the target and what they must not be called; a form for one more. */
final class TermsPane extends VBox {
    /** So many terms at once help; more of them are shown when asked for. */
    private static final int MOST = 12;

    private final LaneSession session;
    private final Consumer<String> insert;
    private final Runnable back;
    private final Consumer<List<Span>> marked;
    private final VBox entries = Controls.styled(new VBox(), "column-tight");
    private final TextField source = field("term-source", "terms.source");
    private final TextField target = field("term-target", "terms.target");
    private final TextField explanation = field("term-explanation", "terms.explanation");
    private final CheckBox forbidden = new CheckBox(Strings.text("terms.forbidden"));
    private final VBox form;
    private int most = MOST;
    private int index = -1;
    private List<String> offered = List.of();
    private boolean isKnown;
    /** The target into which a term was asked for before the terms were known. */
    private Optional<String> wanted = Optional.empty();

    /** {@code insert} puts words into the target, where the keyboard goes {@code back} to; {@code marked} is told where terms stand in the source. */
    TermsPane(LaneSession session, Consumer<String> insert, Consumer<List<Span>> marked, Runnable back) {
        this.session = session;
        this.back = back;
        this.marked = marked;
        this.insert = insert;
        getStyleClass().add("column");
        setId("terms");
        forbidden.setId("term-forbidden");
        forbidden.setWrapText(true);
        target.setOnAction(event -> add());
        explanation.setOnAction(event -> add());
        form = Controls.styled(
                new VBox(
                        source,
                        target,
                        explanation,
                        forbidden,
                        Controls.wrapped(
                                Controls.button("save-term", "terms.save", this::add),
                                Controls.button("cancel-term", "terms.cancel", this::close))),
                "column-tight");
        Button open = Controls.styled(Controls.button("add-term", "terms.add", () -> open("", "")), "small");
        getChildren().addAll(entries, open, form);
        showForm(false);
    }

    private static TextField field(String id, String key) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(Strings.text(key));
        field.setAccessibleText(Strings.text(key));
        return field;
    }

    private void showForm(boolean shows) {
        Controls.showIf(form, shows);
    }

    void show(TrackSnapshot track, int segment) {
        if (segment != index) {
            most = MOST;
            entries.getChildren().clear();
            showForm(false);
            offered = List.of();
            isKnown = false;
            wanted = Optional.empty();
        }
        index = segment;
        session.vocabulary().lookup(track, segment, found -> {
            if (segment == index && track.track() == session.track()) {
                marked.accept(found.stream()
                        .map(each -> new Span(each.start(), each.end()))
                        .toList());
                fill(found);
            }
        });
    }

    private void fill(List<TermIndex.Found> found) {
        Map<String, Term> terms = new LinkedHashMap<>();
        found.forEach(each -> terms.putIfAbsent(each.term().source(), each.term()));
        List<Node> nodes = new ArrayList<>();
        List<String> wordings = new ArrayList<>();
        List<Term> all = List.copyOf(terms.values());
        for (Term term : all.subList(0, Math.min(most, all.size()))) {
            List<Node> row = new ArrayList<>();
            row.add(new Label(term.source()));
            for (String wording : term.preferred()) {
                wordings.add(wording);
                Button take = new Button(wording);
                take.setMnemonicParsing(false);
                take.setOnAction(event -> insert.accept(wording));
                row.add(Controls.styled(take, "small"));
            }
            if (!term.forbidden().isEmpty()) {
                row.add(Controls.styled(
                        new Label(Strings.text("terms.not", String.join(", ", term.forbidden()))), "stop-text"));
            }
            nodes.add(Controls.wrapped(row.toArray(Node[]::new)));
            if (!term.explanation().isEmpty()) {
                nodes.add(Controls.quiet(term.explanation()));
            }
        }
        if (all.size() > most) {
            Button more = new Button(Strings.text("terms.more", all.size() - most));
            more.setOnAction(event -> {
                most = Integer.MAX_VALUE;
                fill(found);
            });
            nodes.add(Controls.styled(more, "small"));
        }
        if (nodes.isEmpty()) {
            nodes.add(Controls.quiet(Strings.text("side.no-terms")));
        }
        offered = wordings;
        isKnown = true;
        Optional<String> asked = wanted;
        wanted = Optional.empty();
        asked.ifPresent(this::insertNext);
        entries.getChildren().setAll(nodes);
    }

    /** What the terms of the source are called in the target. */
    List<String> wordings() {
        return offered;
    }

    /** Puts the first term into the target that does not stand in it yet. */
    void insertNext(String written) {
        if (!isKnown) {
            // Hands are faster than a look into long lists: it is put in as soon as it is there.
            wanted = Optional.of(written);
            return;
        }
        offered.stream()
                .filter(wording -> !written.contains(wording))
                .findFirst()
                .ifPresent(insert);
    }

    /** Opens the form, with what was selected. */
    void open(String sourceWords, String targetWords) {
        source.setText(sourceWords);
        target.setText(targetWords);
        explanation.clear();
        forbidden.setSelected(false);
        showForm(true);
        source.requestFocus();
    }

    private void close() {
        showForm(false);
        back.run();
    }

    private void add() {
        String from = source.getText().strip();
        String to = target.getText().strip();
        if (!from.isEmpty() && !to.isEmpty() && index >= 0) {
            int segment = index;
            List<String> targets = List.of(to);
            Term term = new Term(
                    from,
                    forbidden.isSelected() ? List.of() : targets,
                    forbidden.isSelected() ? targets : List.of(),
                    explanation.getText().strip());
            session.vocabulary().add(segment, term, () -> {
                close();
                if (session.hasSegments() && segment == index) {
                    show(session.snapshot(), segment);
                }
            });
        }
    }
}
