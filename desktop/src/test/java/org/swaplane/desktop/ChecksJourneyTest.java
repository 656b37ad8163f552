package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.swaplane.check.Finding;
import org.swaplane.desktop.editor.TargetEditor;
import org.swaplane.desktop.session.ViewId;

/** Findings worked through in the real window, by keyboard. */
class ChecksJourneyTest extends LaneWindow {
    private ListView<Finding> findings() {
        return lookup("#findings").queryListView();
    }

    private void openChecks() throws Exception {
        takeIn();
        push(KeyCode.ALT, KeyCode.DIGIT5);
        waitUntil(() -> !findings().getItems().isEmpty());
    }

    private void choose(String check) {
        Finding finding = findings().getItems().stream()
                .filter(each -> each.check().equals(check))
                .findFirst()
                .orElseThrow();
        interact(() -> findings().getSelectionModel().select(finding));
    }

    @Test
    void everyFindingIsFixedOrSetAsideWithoutTheMouse() throws Exception {
        openChecks();
        int left = findings().getItems().size();

        for (int i = 0; i < left && !session.checking().open().isEmpty(); i++) {
            Finding first = findings().getItems().get(0);
            interact(() -> findings().getSelectionModel().select(0));
            if (first.suggestion().isPresent()) {
                push(KeyCode.ALT, KeyCode.F);
            } else {
                push(KeyCode.ALT, KeyCode.A);
                write("agreed").push(KeyCode.ENTER);
            }
            assertThat(session.checking().open()).doesNotContain(first);
        }

        assertThat(session.checking().open()).isEmpty();
        assertThat(session.checking().setAside()).isNotEmpty().allMatch(aside -> aside.reason()
                .equals("agreed"));
        assertThat(now().target(4).plainText()).contains("14:05");
    }

    @Test
    void aTargetIsCorrectedInPlaceAndStaysInSightUntilItIsLeft() throws Exception {
        openChecks();
        choose("numbers");
        int segment = findings().getSelectionModel().getSelectedItem().segment();
        String before = now().target(segment).plainText();

        push(KeyCode.F2);
        write("!!");
        assertThat(now().target(segment).plainText()).isEqualTo(before + "!!");
        assertThat(lookup("#card-target").queryAs(TargetEditor.class).content().plainText())
                .isEqualTo(before + "!!");

        push(KeyCode.ESCAPE);
        assertThat(lookup("#card-target").query().isFocused()).isFalse();
        push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().target(segment).plainText()).isEqualTo(before);
    }

    @Test
    void aFindingIsOpenedInReviewAndTheListIsFoundAgainAsItWas() throws Exception {
        openChecks();
        push(KeyCode.ALT, KeyCode.DOWN);
        push(KeyCode.ALT, KeyCode.DOWN);
        Finding chosen = findings().getSelectionModel().getSelectedItem();

        push(KeyCode.ALT, KeyCode.ENTER);
        assertThat(session.viewProperty().get()).isEqualTo(ViewId.REVIEW);
        assertThat(session.currentProperty().get()).isEqualTo(chosen.segment());

        push(KeyCode.ALT, KeyCode.DIGIT5);
        assertThat(findings().getSelectionModel().getSelectedItem()).isEqualTo(chosen);
    }

    @Test
    void allFixesOfAKindAreSeenWrittenByEnterAndTakenBack() throws Exception {
        openChecks();
        choose("numbers");
        int all = session.checking().open().size();
        int fixes = session.checking().fixes("numbers").size();

        push(KeyCode.ALT, KeyCode.SHIFT, KeyCode.F);
        assertThat(lookup("#fixes").queryListView().getItems()).hasSize(fixes);
        push(KeyCode.ENTER);
        assertThat(session.checking().fixes("numbers")).isEmpty();
        assertThat(lookup("#fix-preview").query().isVisible()).isFalse();

        push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.checking().open()).hasSize(all);
        choose("numbers");
        push(KeyCode.ALT, KeyCode.SHIFT, KeyCode.F);
        push(KeyCode.ESCAPE);
        assertThat(lookup("#fix-preview").query().isVisible()).isFalse();
        assertThat(session.checking().open()).hasSize(all);
    }

    @Test
    void whatIsNotCheckedYetIsNotSaidToBeInOrder() throws Exception {
        openChecks();
        CountDownLatch held = new CountDownLatch(1);
        interact(() -> session.background().run("waiting", progress -> held.await(20, TimeUnit.SECONDS), done -> {}));

        interact(() -> session.choose(track()));
        assertThat(findings().getItems()).isEmpty();
        assertThat(lookup("#check-file").query().isVisible()).isTrue();

        held.countDown();
        waitUntil(() -> idle() && !findings().getItems().isEmpty());
    }

    @Test
    void aSettingHoldsAtOnceAndTheKeyboardStaysWhereItWas() throws Exception {
        openChecks();
        interact(() -> lookup("#check-settings").queryAs(ToggleButton.class).setSelected(true));
        CheckBox numbers = lookup("#check-numbers").queryAs(CheckBox.class);
        interact(numbers::requestFocus);

        push(KeyCode.SPACE);
        waitUntil(() -> idle()
                && session.checking().open().stream()
                        .noneMatch(each -> each.check().equals("numbers")));

        assertThat(numbers.isSelected()).isFalse();
        assertThat(numbers.isFocused()).isTrue();
    }

    @Test
    void aPatternIsTriedOnAllFilesOfTheLaneWhileItIsTyped() throws Exception {
        openChecks();
        Path other = folder.resolve("fares.csv");
        Files.writeString(other, "en-GB,de-DE\nPier 9 is closed.,Anleger 8 ist zu.\n", StandardCharsets.UTF_8);
        picked.clear();
        picked.add(other);
        push(KeyCode.ALT, KeyCode.DIGIT1);
        press("choose-files");
        waitUntil(() -> session.intakes().property().get() != null);
        press("accept-intake");
        waitUntil(() -> session.lane().tracks().size() == 2 && idle());

        push(KeyCode.ALT, KeyCode.DIGIT5);
        interact(() -> lookup("#check-settings").queryAs(ToggleButton.class).setSelected(true));
        interact(() -> lookup("#pattern-ignore-case").queryAs(CheckBox.class).setSelected(true));
        interact(() -> lookup("#pattern-source").queryAs(TextField.class).setText("pier [39]"));
        waitUntil(() -> names().contains("fares.csv") && names().contains("from client.xlf"));

        interact(() -> lookup("#pattern-source").queryAs(TextField.class).setText("pier ("));
        waitUntil(() -> names().isEmpty());
    }

    /** What stands beside the samples of a pattern. */
    private List<String> names() {
        return lookup("#patterns .preview-row .quiet").queryAllAs(Label.class).stream()
                .map(Label::getText)
                .toList();
    }

    @Test
    void aLongListIsGoneThroughByOneKey() throws Exception {
        StringBuilder table = new StringBuilder("en-GB,de-DE\n");
        IntStream.range(0, 60).forEach(i -> table.append("Pier ")
                .append(i)
                .append(",Anleger ")
                .append(i + 1)
                .append('\n'));
        Path file = Files.writeString(folder.resolve("piers.csv"), table, StandardCharsets.UTF_8);
        picked.clear();
        picked.add(file);
        openChecks();
        choose("numbers");
        int first = findings().getSelectionModel().getSelectedIndex();

        for (int i = 0; i < 59; i++) {
            push(KeyCode.ALT, KeyCode.DOWN);
        }

        assertThat(findings().getSelectionModel().getSelectedIndex()).isEqualTo(first + 59);
    }
}
