package org.swaplane.desktop.board;

import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.FilePicker;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Counts;
import org.swaplane.document.Note;
import org.swaplane.document.Part;
import org.swaplane.document.Problem;
import org.swaplane.document.State;

/** What a new file is, before it is accepted. */
final class IntakePanel extends VBox {
    private static final int MOST_PROBLEMS = 20;

    private final Label name = Parts.styled(new Label(), "heading");
    private final GridPane facts = Parts.styled(new GridPane(), "facts");
    private final LaneSession session;
    private final Label parts = Parts.quiet("");
    private final IntakeChoices choices;
    private final ForeignPanel foreign;
    private final Label problems = Parts.quiet("");

    IntakePanel(LaneSession session, FilePicker picker) {
        this.session = session;
        this.foreign = new ForeignPanel(session, picker);
        this.choices = new IntakeChoices(session, picker);
        getStyleClass().addAll("card", "intake");
        setId("intake");
        getChildren()
                .addAll(
                        name,
                        facts,
                        parts,
                        choices,
                        Parts.row(
                                Parts.primary("accept-intake", "intake.accept", this::accept),
                                Parts.button("leave-intake", "intake.leave", session::leaveIntake)),
                        problems,
                        foreign);
        problems.setId("intake-problems");
    }

    void show(LaneSession.Intake intake) {
        setVisible(intake != null);
        setManaged(intake != null);
        if (intake == null) {
            return;
        }
        BilingualDocument document = intake.document();
        Counts counts = intake.counts();
        name.setText(Strings.say("intake.title", intake.source().name()));
        facts.getChildren().clear();
        fact(0, "intake.format", document.format());
        fact(0, "intake.encoding", document.encoding());
        fact(
                0,
                "intake.languages",
                Strings.say("strip.languages", named(document.sourceLanguage()), named(document.targetLanguage())));
        fact(1, "intake.units", counts.units());
        fact(1, "intake.segments", counts.segments());
        fact(1, "intake.words", counts.words());
        fact(2, "intake.locked", counts.locked());
        fact(2, "intake.prefilled", counts.prefilled());
        fact(2, "intake.untranslated", counts.states().get(State.INITIAL));
        showIf(
                parts,
                document.parts().size() > 1
                        || document.parts().stream()
                                .anyMatch(part -> !part.notes().isEmpty()));
        parts.setText(document.parts().stream().map(IntakePanel::part).collect(Collectors.joining("\n")));
        choices.show(intake);
        problems.setText(problems(document));
        foreign.show(document.foreign());
    }

    private static void showIf(Node node, boolean visible) {
        node.setVisible(visible);
        node.setManaged(visible);
    }

    private static String part(Part part) {
        String line =
                Strings.say("intake.part", part.name(), named(part.sourceLanguage()), named(part.targetLanguage()));
        return part.notes().stream().map(Note::text).reduce(line, (before, note) -> before + "\n    " + note);
    }

    private static String named(String language) {
        return language.isEmpty() ? Strings.say("intake.no-language") : language;
    }

    private void accept() {
        choices.chosen().ifPresent(session::acceptIntake);
    }

    private static String problems(BilingualDocument document) {
        if (document.problems().isEmpty()) {
            return Strings.say("intake.no-problems");
        }
        return Strings.say("intake.problems", document.problems().size()) + "\n"
                + document.problems().stream()
                        .limit(MOST_PROBLEMS)
                        .map(Problem::toString)
                        .collect(Collectors.joining("\n"));
    }

    private void fact(int column, String key, Object value) {
        int row = (int) facts.getChildren().stream()
                .filter(node -> GridPane.getColumnIndex(node) == column * 2)
                .count();
        facts.add(Parts.styled(new Label(Strings.say(key)), "quiet"), column * 2, row);
        facts.add(Parts.styled(new Label(String.valueOf(value)), "fact"), column * 2 + 1, row);
    }
}
