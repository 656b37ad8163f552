package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.jobreport.Figures;
import org.swaplane.jobreport.ReportPart;
import org.swaplane.lane.QualityError;

/** Errors are marked with three keys, and the report speaks of them, of time and of changes; by keyboard. */
class ReportJourneyTest extends LaneWindow {
    @BeforeEach
    void takeInTheFile() throws Exception {
        takeIn();
    }

    private void part(ReportPart part) throws Exception {
        interact(() -> parts().getSelectionModel().select(part));
        waitUntil(() -> idle()
                && !list().getItems().isEmpty()
                && list().getItems().get(0).part() == part);
    }

    @SuppressWarnings("unchecked")
    private ListView<ReportPart> parts() {
        return lookup("#report-parts").queryAs(ListView.class);
    }

    @SuppressWarnings("unchecked")
    private ListView<Figures> list() {
        return lookup("#report-figures").queryAs(ListView.class);
    }

    @Test
    void anErrorIsMarkedWithThreeKeysAndCounted() throws Exception {
        push(KeyCode.ALT, KeyCode.DIGIT4);
        waitUntil(this::idle);
        interact(() -> session.currentProperty().set(1));
        waitUntil(this::idle);
        String target = now().target(1).plainText();
        push(KeyCode.F9);
        push(KeyCode.DIGIT2);
        push(KeyCode.DIGIT3);
        waitUntil(() ->
                idle() && !session.evaluating().errors(now().segment(1).key()).isEmpty());
        QualityError error = session.evaluating().errors(now().segment(1).key()).get(0);
        assertThat(error.judgement().category()).isEqualTo("accuracy");
        assertThat(error.judgement().severity()).isEqualTo("major");
        assertThat(now().target(1).plainText()).isEqualTo(target);

        push(KeyCode.ALT, KeyCode.DIGIT8);
        assertThat(session.viewProperty().get()).isEqualTo(ViewId.REPORT);
        part(ReportPart.QUALITY);
        interact(() -> list().getSelectionModel().select(1));
        waitUntil(this::idle);
        assertThat(list().getSelectionModel().getSelectedItem().section().rows())
                .singleElement()
                .satisfies(row -> assertThat(row.get(0).text()).isEqualTo("Accuracy"));
    }

    @Test
    void timeIsPausedAndEnteredByHandWithAReason() throws Exception {
        push(KeyCode.ALT, KeyCode.DIGIT8);
        part(ReportPart.EFFORT);
        push(KeyCode.ALT, KeyCode.P);
        assertThat(lookup("#work-time").queryAs(Button.class).getText()).isEqualTo("Time paused");
        push(KeyCode.ALT, KeyCode.P);

        press("correct-time");
        interact(() -> lookup("#correction-hours").queryAs(TextField.class).setText("1:30"));
        press("add-correction");
        assertThat(lookup(".found").queryAllAs(Label.class))
                .anyMatch(label -> label.isVisible() && label.getText().startsWith("Give a reason"));
        interact(() -> lookup("#correction-reason").queryAs(TextField.class).setText("call"));
        press("add-correction");
        waitUntil(() -> idle()
                && list().getItems().stream()
                        .anyMatch(each -> each.section().heading().equals("Time entered by hand")));
    }
}
