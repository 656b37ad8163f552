package org.swaplane.desktop.board;

import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.text.Parts;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Counts;
import org.swaplane.document.Problem;
import org.swaplane.document.State;

/** What a new file is, before it is accepted. */
final class IntakePanel extends VBox {
    private static final int MOST_PROBLEMS = 20;

    private final Label name = Parts.styled(new Label(), "heading");
    private final GridPane facts = Parts.styled(new GridPane(), "facts");
    private final Label problems = Parts.quiet("");

    IntakePanel(LaneSession session) {
        getStyleClass().addAll("card", "intake");
        setId("intake");
        getChildren()
                .addAll(
                        name,
                        facts,
                        problems,
                        Parts.row(
                                Parts.primary("accept-intake", "intake.accept", session::acceptIntake),
                                Parts.button("leave-intake", "intake.leave", session::leaveIntake)));
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
                Strings.say("strip.languages", document.sourceLanguage(), document.targetLanguage()));
        fact(1, "intake.units", counts.units());
        fact(1, "intake.segments", counts.segments());
        fact(1, "intake.words", counts.words());
        fact(2, "intake.locked", counts.locked());
        fact(2, "intake.prefilled", counts.prefilled());
        fact(2, "intake.untranslated", counts.states().get(State.INITIAL));
        problems.setText(problems(document));
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
