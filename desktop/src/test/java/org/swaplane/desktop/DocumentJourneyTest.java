package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Source;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.task.Progress;

/** What is chosen for documents after they came to the lane, and where one is among many. */
class DocumentJourneyTest extends LaneWindow {
    private static final String MENU = "{\"a\": \"Hello {name}\", \"b\": \"The pier is closed.\"}";

    private Track document(String target) throws Exception {
        Track track = session.lane()
                .trackStore()
                .takeIn(
                        Source.of("menu.json", MENU.getBytes()),
                        FileOptions.ofLanguages("en-GB", target),
                        Progress.NONE);
        interact(() -> session.choose(track));
        waitUntil(() -> session.track() == track && session.hasSegments() && idle());
        return track;
    }

    private String outcome() {
        return lookup("#reread-outcome").queryAs(Label.class).getText();
    }

    @Test
    void howADocumentIsReadIsChangedLaterAndWhatWouldBeLostIsSaidBefore() throws Exception {
        document("de-DE");
        interact(() -> session.editing().setTarget(0, Content.of("Hallo"), StepKind.TYPED));
        interact(() -> session.editing().setTarget(1, Content.of("Der Anleger ist geschlossen."), StepKind.TYPED));
        interact(() -> session.editing().setState(1, State.REVIEWED));
        settle();

        push(KeyCode.ALT, KeyCode.DIGIT1);
        press("show-reread");
        press("reread-look");
        waitUntil(() -> !outcome().isEmpty());
        assertThat(lookup("#reread-take").query().isVisible()).isFalse();

        interact(() -> lookup("#reread-panel #placeholder-named-brace")
                .queryAs(CheckBox.class)
                .setSelected(false));
        press("reread-look");
        waitUntil(() -> outcome().contains("1: Hello"));
        assertThat(outcome()).contains("One translation");
        assertThat(now().segment(0).source().tags()).hasSize(1);

        press("reread-take");
        waitUntil(() -> idle() && now().segment(0).source().tags().isEmpty());
        assertThat(now().target(1).plainText()).isEqualTo("Der Anleger ist geschlossen.");
        assertThat(now().state(1)).isEqualTo(State.REVIEWED);
        assertThat(now().segment(0).proposals()).hasSize(1);

        push(KeyCode.CONTROL, KeyCode.Z);
        waitUntil(() -> now().segment(0).source().tags().size() == 1);
        assertThat(now().target(0).plainText()).isEqualTo("Hallo");
    }

    @Test
    void aNewVersionAndANewDocumentAreAddedTogetherInTheLanguagesOfTheLane() throws Exception {
        Track known = document("de-DE");
        Path inbox = Files.createDirectories(folder.resolve("inbox"));
        Files.writeString(inbox.resolve("menu.json"), MENU.replace("closed", "open"));
        Files.writeString(
                inbox.resolve("notice.html"), "<html lang=\"en-GB\"><body><p>A storm comes.</p></body></html>");

        interact(() -> session.intakes().receive(List.of(inbox)));
        waitUntil(() -> session.intakes().property().get() != null && idle());
        press("accept-intake");
        waitUntil(() -> session.lane().tracks().size() == 2 && idle());

        assertThat(known.version().number()).isEqualTo(2);
        assertThat(session.lane().tracks().get(1).summary().targetLanguage()).isEqualTo("de-DE");
    }

    @Test
    void theStripGoesToTheSameDocumentInTheOtherLanguage() throws Exception {
        Track german = document("de-DE");
        Track french = document("fr-FR");
        ComboBox<String> target = lookup("#strip-target").queryComboBox();
        waitUntil(target::isVisible);

        interact(() -> target.setValue("de-DE"));
        waitUntil(() -> session.track() == german);
        waitUntil(() -> lookup("#strip-track").<Track>queryComboBox().getItems().equals(List.of(german)));
        interact(() -> target.setValue("fr-FR"));
        waitUntil(() -> session.track() == french);
    }

    @Test
    void escapeShowsAllFilesAgain() throws Exception {
        document("de-DE");
        push(KeyCode.ALT, KeyCode.DIGIT1);
        push(KeyCode.CONTROL, KeyCode.F);
        write("nothing like it").push(KeyCode.ESCAPE);

        assertThat(lookup("#board-filter").queryAs(TextField.class).getText()).isEmpty();
    }
}
