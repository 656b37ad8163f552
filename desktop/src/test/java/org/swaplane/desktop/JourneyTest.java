package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.Test;
import org.swaplane.check.Finding;
import org.swaplane.demo.DemoLane;
import org.swaplane.demo.DemoReviewer;
import org.swaplane.desktop.session.Releasing;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.desktop.shell.ViewDescriptor;
import org.swaplane.document.State;
import org.swaplane.lane.SetAside;
import org.swaplane.lane.Track;
import org.swaplane.proof.Proof;
import org.testfx.util.WaitForAsyncUtils;

/** The whole job in the real window, with the keyboard where there is a key for it. */
class JourneyTest extends LaneWindow {
    private Path sendOut() throws Exception {
        push(KeyCode.ALT, KeyCode.DIGIT3);
        clickOn("#send-person").write(DemoReviewer.NAME);
        press("send-out");
        waitUntil(() -> !session.lane().trips().all().isEmpty() && idle());
        return folder.resolve("sent").resolve("from client_review.docx");
    }

    private void bringBack(Path copy) throws Exception {
        picked.clear();
        picked.add(copy);
        press("choose-returned");
        waitUntil(() -> session.exchange().returnedProperty().get() != null);
    }

    private void setAsideAllThatIsLeft() throws Exception {
        ListView<Finding> findings = lookup("#findings").queryListView();
        while (!session.checking().open().isEmpty()) {
            interact(() -> findings.getSelectionModel().select(0));
            interact(() -> lookup("#aside-reason").queryAs(TextField.class).setText("agreed with the client"));
            press("set-aside");
        }
    }

    @Test
    void theWholeJobFromTheClientsFileToTheReceipt() throws Exception {
        takeIn();
        assertThat(track().name()).isEqualTo("from client.xlf");

        push(KeyCode.ALT, KeyCode.DIGIT2);
        press("run-dry-run");
        waitUntil(() -> session.dryRuns().resultProperty().get() != null);
        assertThat(lookup(".verdict-pass").queryAll()).hasSize(9);

        Path sent = sendOut();
        Path answered = folder.resolve("scan (7).docx");
        DemoReviewer.answer(sent, answered, DAY.instant());
        bringBack(answered);
        assertThat(lookup("#take-changes").queryAs(Button.class).getText()).isEqualTo("Accept 7 changes");
        press("take-changes");
        waitUntil(() -> now().state(4) == State.REVIEWED);
        assertThat(now().target(4).plainText()).contains("14:05");
        assertThat(folder.resolve("reports")).isDirectoryContaining("glob:**.html");

        push(KeyCode.ALT, KeyCode.DIGIT4);
        reviewEverything();

        push(KeyCode.ALT, KeyCode.DIGIT5);
        int before = session.checking().open().size();
        interact(() -> lookup("#findings").queryListView().getSelectionModel().select(1));
        push(KeyCode.ALT, KeyCode.F);
        assertThat(session.checking().open()).hasSizeLessThan(before);
        setAsideAllThatIsLeft();
        push(KeyCode.ALT, KeyCode.DIGIT4);
        reviewEverything();

        push(KeyCode.ALT, KeyCode.DIGIT6);
        waitUntil(() -> session.releasing().rows().stream().allMatch(Releasing.Row::isReady) && idle());
        press("release");
        waitUntil(() -> !session.releasing().releases().isEmpty());
        assertThat(folder.resolve("out").resolve("release-1").resolve("from client_de-DE.xlf"))
                .content()
                .contains("um 14:05 Uhr an Pier 3");
    }

    private void reviewEverything() {
        interact(() -> session.currentProperty().set(0));
        for (int i = 0; i <= now().size(); i++) {
            push(KeyCode.CONTROL, KeyCode.ENTER);
        }
        assertThat(now().counts().segments(State.TRANSLATED)).isZero();
    }

    @Test
    void checksAreSetFixedTogetherAndSetAsideForAKind() throws Exception {
        takeIn();
        push(KeyCode.ALT, KeyCode.DIGIT5);
        interact(() -> lookup("#check-settings").queryAs(ToggleButton.class).setSelected(true));
        interact(() -> lookup("#check-empty-target").queryAs(CheckBox.class).fire());
        waitUntil(() -> idle()
                && session.checking().open().stream()
                        .noneMatch(each -> each.check().equals("empty-target")));
        interact(() -> lookup("#check-settings").queryAs(ToggleButton.class).setSelected(false));

        ListView<Finding> findings = lookup("#findings").queryListView();
        Finding number = findings.getItems().stream()
                .filter(each -> each.check().equals("numbers"))
                .findFirst()
                .orElseThrow();
        interact(() -> findings.getSelectionModel().select(number));
        push(KeyCode.ALT, KeyCode.SHIFT, KeyCode.F);
        assertThat(lookup("#fixes").queryListView().getItems()).hasSizeGreaterThan(1);
        press("write-fixes");
        assertThat(session.checking().fixes("numbers")).isEmpty();
        push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(session.checking().fixes("numbers")).isNotEmpty();

        Finding same = session.checking().open().stream()
                .filter(each -> each.check().equals("same-as-source"))
                .findFirst()
                .orElseThrow();
        interact(() -> session.checking().setAside(same, SetAside.Scope.KIND, "names"));
        settle();
        assertThat(session.checking().open()).noneMatch(each -> each.check().equals("same-as-source"));
    }

    @Test
    void aFileIsSavedWhereTheUserWantsItAndTheWholeLaneIsCheckedAsOne() throws Exception {
        takeIn();
        Path saved = folder.resolve("elsewhere.xlf");
        interact(() -> session.editing()
                .fix(session.checking().open().stream()
                        .filter(each -> each.suggestion().isPresent())
                        .findFirst()
                        .orElseThrow()));
        assertThat(session.saving().isSaved(track())).isFalse();

        interact(() -> session.saving().save(saved));
        waitUntil(() -> session.saving().isSaved(track()));
        assertThat(saved).content().contains("um 14:05 Uhr an Pier 3");

        int open = session.checking().open().size();
        interact(() -> session.checking().checkAll());
        waitUntil(() -> session.checking().count(track()) == open);
    }

    @Test
    void typingUndoAndTagsWorkFromTheKeyboard() throws Exception {
        takeIn();
        push(KeyCode.ALT, KeyCode.DIGIT4);
        interact(() -> session.currentProperty().set(7));
        WaitForAsyncUtils.waitForFxEvents();

        push(KeyCode.ALT, KeyCode.T);
        write("neu.");
        push(KeyCode.ALT, KeyCode.T);

        assertThat(now().target(7).tags()).hasSize(2);
        assertThat(now().target(7).plainText()).endsWith("ein.neu.");
        assertThat(session.checking().open(7)).isEmpty();
        push(KeyCode.ALT, KeyCode.DOWN);
        assertThat(session.currentProperty().get()).isEqualTo(8);
        push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().target(7)).isEqualTo(now().segment(7).target());
        assertThat(session.currentProperty().get()).isEqualTo(7);
        push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        assertThat(now().target(7).plainText()).endsWith("ein.neu.");
    }

    @Test
    void lockedSegmentsCannotBeTypedInto() throws Exception {
        takeIn();
        push(KeyCode.ALT, KeyCode.DIGIT4);
        interact(() -> session.currentProperty().set(27));
        WaitForAsyncUtils.waitForFxEvents();

        write("EUR");
        push(KeyCode.CONTROL, KeyCode.ENTER);

        assertThat(now().edits()).isEmpty();
    }

    @Test
    void aReviewedSegmentCanBeTakenBack() throws Exception {
        takeIn();
        push(KeyCode.ALT, KeyCode.DIGIT4);

        push(KeyCode.CONTROL, KeyCode.ENTER);
        assertThat(now().state(0)).isEqualTo(State.REVIEWED);
        push(KeyCode.ALT, KeyCode.UP);
        push(KeyCode.ALT, KeyCode.U);

        assertThat(now().state(0)).isEqualTo(State.TRANSLATED);
    }

    @Test
    void theListCanBeNarrowedDownByWords() throws Exception {
        takeIn();
        push(KeyCode.ALT, KeyCode.DIGIT4);

        push(KeyCode.CONTROL, KeyCode.F);
        write("ferry");
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(lookup("#review-text").queryAs(TextField.class).getText()).isEqualTo("ferry");
        assertThat(lookup(".segment-row").match(Node::isVisible).queryAll()).hasSize(3);
        assertThat(now().edits()).isEmpty();
    }

    @Test
    void thePaletteGoesAnywhere() throws Exception {
        takeIn();

        push(KeyCode.CONTROL, KeyCode.K);
        write("muster");
        push(KeyCode.ENTER);

        assertThat(session.viewProperty().get()).isEqualTo(ViewId.REVIEW);
        assertThat(now().segment(session.currentProperty().get()).unit()).isEqualTo("ob.muster");
    }

    @Test
    void brokenFilesGiveOneClearLineAndLeaveTheLaneAsItWas() throws Exception {
        String sound = new String(DemoLane.file(), StandardCharsets.UTF_8);
        List<String> broken = List.of("no xml", sound.substring(0, 4000), "PK\u0003\u0004 not a zip", "");

        for (int i = 0; i < broken.size(); i++) {
            Path file = Files.write(
                    folder.resolve("broken" + i + ".xlf"), broken.get(i).getBytes(StandardCharsets.ISO_8859_1));
            interact(() -> session.intakes().receive(List.of(file)));
            waitUntil(() -> session.intakes().property().get() != null && idle());

            assertThat(lookup("#intake-problems").queryAs(Label.class).getText())
                    .startsWith("broken" + i + ".xlf")
                    .contains(". ")
                    .doesNotContain("\n");
            assertThat(lookup("#accept-intake").queryAs(Button.class).isDisabled())
                    .isTrue();
            press("leave-intake");
        }
        assertThat(session.lane().tracks()).isEmpty();
    }

    private int waitingSegments(String name) {
        return session.intakes().property().get().arrivals().stream()
                .filter(each -> each.source().name().equals(name))
                .mapToInt(each -> each.document().segments().size())
                .sum();
    }

    @Test
    void aFolderOfDocumentsIsLookedAtCutAndTakenInAtOnce() throws Exception {
        Path inbox = DemoLane.writeDocuments(folder.resolve("inbox"));
        Files.writeString(inbox.resolve("cut off.json"), "{");
        picked.clear();
        picked.add(inbox);

        press("choose-files");
        waitUntil(() -> session.intakes().property().get() != null);
        press("accept-intake");
        assertThat(session.messageProperty().get().text()).contains("languages");
        interact(
                () -> lookup("#intake-source-language").queryAs(TextField.class).setText("en-GB"));
        interact(() -> {
            TextField target = lookup("#intake-target-language").queryAs(TextField.class);
            target.setText("de-DE");
            Event.fireEvent(
                    target, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.ENTER, false, false, false, false));
        });
        waitUntil(this::idle);
        interact(() -> lookup("#intake-cut").queryComboBox().getSelectionModel().select(1));
        waitUntil(this::idle);
        int units = waitingSegments("app.json");
        interact(() -> lookup("#document-more").queryAs(ToggleButton.class).setSelected(true));
        interact(() -> lookup("#document-selection").queryAs(TextArea.class).setText("-/**/title"));
        interact(() -> lookup("#placeholder-own").queryAs(TextArea.class).setText("pier = [Pp]ier \\d"));
        assertThat(lookup("#placeholder-caught").queryAs(Label.class).getText()).contains("Pier 3");
        press("read-again");
        waitUntil(this::idle);
        assertThat(waitingSegments("app.json")).isLessThan(units);
        press("accept-intake");
        waitUntil(() -> session.lane().tracks().size() == 4 && track() != null && idle());

        assertThat(session.lane().tracks())
                .extracting(each -> each.now().isDocument())
                .containsOnly(true);
        int page = session.lane().tracks().stream().map(Track::name).toList().indexOf("timetable.html");
        interact(
                () -> lookup("#strip-track").queryComboBox().getSelectionModel().select(page));
        waitUntil(this::idle);
        assertThat(track().name()).isEqualTo("timetable.html");
        assertThat(now().document().targetLanguage()).isEqualTo("de-DE");
        assertThat(now().document().segments())
                .noneMatch(segment -> segment.key().contains("/"));
        interact(() -> session.viewProperty().set(ViewId.REVIEW));
        int size = now().size();
        waitUntil(() -> lookup("#cut-source").tryQuery().isPresent());
        interact(() -> lookup("#cut-source").queryAs(TextArea.class).positionCaret(9));
        press("split-segment");
        waitUntil(() -> idle() && now().size() == size + 1);
        waitUntil(() -> lookup("#cut-source").tryQuery().isPresent());
        press("join-segment");
        waitUntil(() -> idle() && now().size() == size);
        interact(() -> lookup("#read-through").queryAs(ToggleButton.class).fire());
        waitUntil(() -> idle() && !lookup("#reading").queryListView().getItems().isEmpty());
        menu("open-target");
        waitUntil(() -> !opened.isEmpty());
        assertThat(opened.get(0)).exists().hasParent(session.lane().folder().resolve("preview"));
        interact(() -> session.viewProperty().set(ViewId.DRY_RUN));
        press("run-dry-run");
        waitUntil(() -> session.dryRuns().resultProperty().get() != null);
        assertThat(session.dryRuns().last().orElseThrow().verdict()).isEqualTo(Proof.Verdict.WARN);
        interact(() -> lookup("#proofs").queryListView().getSelectionModel().select(5));
        waitUntil(() ->
                idle() && lookup("#proof-details").queryListView().getItems().size() == 1);
        press("no-text");
        waitUntil(this::idle);
        assertThat(session.dryRuns().last().orElseThrow().verdict()).isEqualTo(Proof.Verdict.PASS);
        press("dry-run-report");
        waitUntil(() -> idle() && opened.size() == 2);
        assertThat(opened.get(1)).exists();
    }

    @Test
    void everyViewStandsInLightAndDarkWithoutAnEmptyLane() throws Exception {
        takeIn();
        for (ViewDescriptor view : Views.ALL) {
            interact(() -> session.viewProperty().set(view.id()));
            menu("window-menu", "dark");
            assertThat(lookup(".view-title").queryAll()).hasSize(1);
        }
    }

    @Test
    void everyViewStandsInALaneWithoutAFile() {
        for (ViewDescriptor view : Views.ALL) {
            interact(() -> session.viewProperty().set(view.id()));
            push(KeyCode.CONTROL, KeyCode.ENTER);
            push(KeyCode.CONTROL, KeyCode.Z);
        }

        assertThat(session.messageProperty().get()).isNull();
    }
}
