package org.swaplane.desktop.board;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.Intakes;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Controls;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Counts;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.State;
import org.swaplane.intake.Arrival;
import org.swaplane.lane.Track;

/** What a new file is, before it is accepted. */
final class IntakePanel extends VBox {
    private static final int MOST_PROBLEMS = 20;
    private static final double DETAILS = 260;
    private static final double LEAST_DETAILS = 96;

    private final Label name = Controls.styled(new Label(), "heading");
    private final GridPane facts = Controls.styled(new GridPane(), "facts");
    private final LaneSession session;
    private final Label parts = Controls.quiet("");
    private final IntakeChoices choices;
    private final DocumentChoices document;
    private final Set<Arrival> chosen = new LinkedHashSet<>();
    private final ArrivalTable table;
    private final ScrollPane details = new ScrollPane();
    private final Label totals = Controls.quiet("");
    private final Button accept = Controls.primary("accept-intake", "intake.accept", this::accept);
    private final Button look;
    private final Button compare;
    private final Button own;
    private Intakes.Intake waiting;
    private final ForeignPanel foreign;
    private final Label problems = Controls.quiet("");

    IntakePanel(LaneSession session, FilePicker picker) {
        this.session = session;
        this.table = new ArrivalTable(chosen, session.person(), this::showAccept);
        this.foreign = new ForeignPanel(session, picker);
        this.choices = new IntakeChoices(session, picker, table::selected);
        this.document = new DocumentChoices(session);
        this.look = Controls.button("look-at-returned", "intake.look", () -> session.exchange()
                .show(table.getSelectionModel().getSelectedItem().returned().orElseThrow()));
        this.compare = Controls.button("compare-arrival", "intake.compare", () -> session.intakes()
                .compare(table.getSelectionModel().getSelectedItem()));
        this.own = Controls.button("own-file", "intake.own-file", () -> session.intakes()
                .asOwnFile(table.getSelectionModel().getSelectedItem()));
        table.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> inspect(now));
        getStyleClass().addAll("intake");
        setId("intake");
        VBox.setVgrow(table, Priority.ALWAYS);
        VBox about =
                Controls.styled(new VBox(name, facts, parts, document, choices.sample(), problems, foreign), "column");
        about.getStyleClass().add("card");
        details.setContent(about);
        details.setFitToWidth(true);
        details.setMinHeight(LEAST_DETAILS);
        VBox.setVgrow(details, Priority.ALWAYS);
        getChildren()
                .addAll(
                        table,
                        details,
                        choices,
                        totals,
                        Controls.row(
                                Controls.spacer(),
                                compare,
                                own,
                                look,
                                Controls.button("leave-intake", "intake.leave", session.intakes()::leave),
                                accept));
        problems.setId("intake-problems");
    }

    /** The keyboard goes to what is done next. */
    void focusAccept() {
        accept.requestFocus();
    }

    /** Whether nothing waits. */
    boolean isEmpty() {
        return waiting == null;
    }

    void show(Intakes.Intake intake) {
        setVisible(intake != null);
        setManaged(intake != null);
        waiting = intake;
        if (intake == null) {
            return;
        }
        int before = Math.max(0, table.getSelectionModel().getSelectedIndex());
        chosen.clear();
        intake.arrivals().stream()
                .filter(each -> ArrivalTable.isAddable(each) && each.same().isEmpty())
                .forEach(chosen::add);
        table.getItems().setAll(intake.arrivals());
        boolean several = intake.arrivals().size() > 1;
        Controls.showIf(table, several);
        details.setMaxHeight(several ? DETAILS : Double.MAX_VALUE);
        table.sort();
        table.getSelectionModel().select(Math.min(before, intake.arrivals().size() - 1));
        inspect(table.getSelectionModel().getSelectedItem());
        showAccept();
    }

    private void showAccept() {
        accept.setText(
                Strings.text(waiting.arrivals().size() > 1 ? "intake.accept-all" : "intake.accept", chosen.size()));
        accept.setDisable(chosen.isEmpty());
        totals.setText(totals());
    }

    /** How many of each kind are to be added, and how much that is. */
    private String totals() {
        Map<Arrival.Role, Long> kinds = chosen.stream()
                .collect(Collectors.groupingBy(
                        Arrival::role, () -> new EnumMap<>(Arrival.Role.class), Collectors.counting()));
        String words = Strings.text(
                "intake.totals",
                chosen.stream()
                        .flatMap(each -> each.counts().stream())
                        .mapToLong(Counts::segments)
                        .sum(),
                chosen.stream()
                        .flatMap(each -> each.counts().stream())
                        .mapToLong(Counts::words)
                        .sum());
        List<String> parts = new ArrayList<>();
        kinds.forEach((kind, count) -> parts.add(Strings.text("intake.kind", count, ArrivalTable.words(kind))));
        if (!kinds.isEmpty()) {
            parts.add(words);
        }
        missing().ifPresent(parts::add);
        return String.join(" · ", parts);
    }

    /** Which files of the lane did not come again, where others did. */
    private Optional<String> missing() {
        Set<Track> came = waiting.arrivals().stream()
                .flatMap(each -> Stream.concat(
                        each.same().stream(), each.version().stream().flatMap(version -> version.tracks().stream())))
                .collect(Collectors.toSet());
        List<Track> missing = session.lane().tracks().stream()
                .filter(track -> !came.contains(track))
                .toList();
        return came.size() < 2 || missing.isEmpty()
                ? Optional.empty()
                : Optional.of(Strings.text(
                        "intake.missing", missing.size(), missing.get(0).name()));
    }

    /** Shows one of the files that wait. */
    private void inspect(Arrival arrival) {
        if (arrival == null || waiting == null) {
            return;
        }
        boolean unreadable = arrival.role() == Arrival.Role.UNREADABLE;
        name.setText(Strings.text(
                unreadable
                        ? "intake.title-unreadable"
                        : arrival.version().isPresent() ? "intake.title-version" : "intake.title",
                arrival.source().name()));
        boolean isTrack = arrival.role().isTrack();
        List.of(facts, parts, foreign).forEach(node -> Controls.showIf(node, isTrack));
        Controls.showIf(look, arrival.role() == Arrival.Role.RETURNED);
        boolean isVersion = arrival.role() == Arrival.Role.VERSION;
        List.of(compare, own).forEach(button -> Controls.showIf(button, isVersion));
        problems.setText(
                arrival.same().isEmpty()
                        ? arrival.problem()
                        : Strings.text("intake.same", arrival.same().get(0).name()));
        choices.show(waiting, arrival);
        document.show(arrival);
        if (isVersion) {
            Controls.showIf(document, false);
            Controls.showIf(parts, true);
            parts.setText(ArrivalTable.version(arrival.version().orElseThrow()));
        }
        if (isTrack) {
            inspectDocument(arrival);
        }
    }

    private void inspectDocument(Arrival arrival) {
        BilingualDocument document = arrival.document();
        Counts counts = arrival.counts().orElseThrow();
        facts.getChildren().clear();
        fact(0, "intake.format", document.format());
        fact(0, "intake.encoding", document.encoding());
        fact(
                0,
                "intake.languages",
                Strings.text("strip.languages", named(document.sourceLanguage()), named(document.targetLanguage())));
        fact(1, "intake.units", counts.units());
        fact(1, "intake.segments", counts.segments());
        fact(1, "intake.words", counts.words());
        fact(2, "intake.locked", counts.locked());
        fact(2, "intake.prefilled", counts.prefilled());
        fact(2, "intake.untranslated", counts.states().get(State.INITIAL));
        Controls.showIf(
                parts,
                document.parts().size() > 1
                        || document.parts().stream()
                                .anyMatch(part -> !part.notes().isEmpty()));
        parts.setText(document.parts().stream().map(IntakePanel::part).collect(Collectors.joining("\n")));
        problems.setText(problems(document));
        foreign.show(document.foreign());
    }

    private static String part(Part part) {
        String line =
                Strings.text("intake.part", part.name(), named(part.sourceLanguage()), named(part.targetLanguage()));
        return part.notes().stream().map(Note::text).reduce(line, (before, note) -> before + "\n    " + note);
    }

    private static String named(String language) {
        return language.isEmpty() ? Strings.text("intake.no-language") : language;
    }

    private void accept() {
        List<Arrival> accepted =
                waiting.arrivals().stream().filter(chosen::contains).toList();
        choices.chosen(accepted).ifPresent(session.intakes()::accept);
    }

    private static String problems(BilingualDocument document) {
        if (document.problems().isEmpty()) {
            return Strings.text("intake.no-problems");
        }
        return Strings.text("intake.problems", document.problems().size()) + "\n"
                + document.problems().stream()
                        .limit(MOST_PROBLEMS)
                        .map(Problem::toString)
                        .collect(Collectors.joining("\n"));
    }

    private void fact(int column, String key, Object value) {
        int row = (int) facts.getChildren().stream()
                .filter(node -> GridPane.getColumnIndex(node) == column * 2)
                .count();
        facts.add(Controls.styled(new Label(Strings.text(key)), "quiet"), column * 2, row);
        facts.add(Controls.styled(new Label(String.valueOf(value)), "fact"), column * 2 + 1, row);
    }
}
