package org.swaplane.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.fxmisc.flowless.VirtualFlow;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.swaplane.desktop.session.ViewId;
import org.swaplane.document.State;

/** Hours of typing in short: no letter is lost, and none is added. */
class TypingJourneyTest extends LaneWindow {
    private static final int SEGMENTS = 260;

    @BeforeEach
    void aLongFile() throws Exception {
        picked.clear();
        picked.add(Files.writeString(folder.resolve("long.xlf"), file()));
        accept();
        interact(() -> session.viewProperty().set(ViewId.REVIEW));
        settle();
    }

    private static String file() throws IOException {
        String units = IntStream.range(0, SEGMENTS)
                .mapToObj(i -> """
                        <trans-unit id="u%d"><source>Sailing %d leaves from pier %d.</source>\
                        <target>Die Fahrt %d beginnt an Pier %d und</target></trans-unit>
                        """.formatted(i, i, i, i, i))
                .collect(Collectors.joining());
        return """
                <xliff xmlns="urn:oasis:names:tc:xliff:document:1.2" version="1.2">\
                <file original="a" source-language="en" target-language="de" datatype="x-text"><body>
                %s</body></file></xliff>
                """.formatted(units);
    }

    /** As a window system sends it: pressed, typed, released, at whatever has the keyboard. */
    private void key(KeyCode code, String character, boolean control, boolean alt) {
        interact(() -> {
            send(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, control, alt, false));
            send(new KeyEvent(KeyEvent.KEY_TYPED, character, "", KeyCode.UNDEFINED, false, control, alt, false));
            send(new KeyEvent(KeyEvent.KEY_RELEASED, "", "", code, false, control, alt, false));
        });
    }

    private void send(KeyEvent event) {
        Node owner = listWindows().get(0).getScene().getFocusOwner();
        Event.fireEvent(owner == null ? listWindows().get(0).getScene() : owner, event);
    }

    private void type(String text) {
        text.chars()
                .forEach(c -> key(
                        KeyCode.getKeyCode(String.valueOf((char) c).toUpperCase(Locale.ROOT)),
                        String.valueOf((char) c),
                        false,
                        false));
    }

    @Test
    void aHundredSegmentsInARowKeepEveryLetter() {
        for (int i = 0; i < 100; i++) {
            type("xyz");
            key(KeyCode.ENTER, "\r", true, false);
        }
        settle();

        List<String> wanted = IntStream.range(0, 100)
                .mapToObj(i -> "Die Fahrt %d beginnt an Pier %d undxyz".formatted(i, i))
                .toList();
        assertThat(IntStream.range(0, 100).mapToObj(i -> now().target(i).plainText()))
                .containsExactlyElementsOf(wanted);
        assertThat(now().counts().segments(State.REVIEWED)).isEqualTo(100);
    }

    @Test
    void whatIsTypedWhileTheRowIsScrolledAwayStandsInIt() {
        type("a");
        interact(() -> ((VirtualFlow<?, ?>) lookup("#segments").query()).show(200));
        waitForFrames();

        type("bcd");
        settle();

        assertThat(now().target(0).plainText()).endsWith("undabcd");
        assertThat(focusOwner().getId()).isEqualTo("target-editor");
    }

    @Test
    void aParagraphIsEditedInItsPlaceWhileReading() throws Exception {
        key(KeyCode.R, "", false, true);
        settle();
        key(KeyCode.DOWN, "", false, false);
        key(KeyCode.ENTER, "\r", false, false);
        settle();
        assertThat(focusOwner().getId()).isEqualTo("paragraph-target-1");

        type("weiter");
        // Commands of the list mean no hidden row.
        key(KeyCode.C, "", false, true);
        key(KeyCode.ENTER, "\r", true, false);
        settle();

        assertThat(now().target(1).plainText()).isEqualTo("Die Fahrt 1 beginnt an Pier 1 undweiter");
        assertThat(now().state(1)).isEqualTo(State.REVIEWED);
        assertThat(now().target(0).plainText()).isEqualTo("Die Fahrt 0 beginnt an Pier 0 und");
        key(KeyCode.Z, "", true, false);
        key(KeyCode.Z, "", true, false);
        settle();
        assertThat(now().target(1).plainText()).isEqualTo("Die Fahrt 1 beginnt an Pier 1 und");
        assertThat(((ListView<?>) lookup("#reading").query()).getItems().get(1).toString())
                .doesNotContain("undweiter");
        key(KeyCode.R, "", false, true);
        settle();
        assertThat(session.currentProperty().get()).isEqualTo(2);
    }

    private void waitForFrames() {
        for (int i = 0; i < 5; i++) {
            interact(() -> {});
            sleep(30);
        }
    }

    @Test
    void theCurrentSegmentHasWhatComesNextInSight() {
        for (int i = 0; i < 15; i++) {
            key(KeyCode.ENTER, "\r", true, false);
        }
        settle();
        waitForFrames();

        Node list = lookup("#segments").query();
        Node editor = lookup("#target-editor").query();
        Bounds seen = list.localToScene(list.getLayoutBounds());
        Bounds at = editor.localToScene(editor.getLayoutBounds());
        assertThat(at.getMinY()).isBetween(seen.getMinY(), seen.getMinY() + seen.getHeight() / 2);
        assertThat(at.getMaxY()).isLessThan(seen.getMaxY() - 40);
    }

    private Node focusOwner() {
        return listWindows().get(0).getScene().getFocusOwner();
    }

    @Test
    void aCommandTypesNothing() {
        String before = now().target(0).plainText();
        for (KeyCode code : List.of(KeyCode.F, KeyCode.P, KeyCode.DIGIT4)) {
            key(code, code.getChar().toLowerCase(Locale.ROOT), false, true);
        }
        settle();

        assertThat(now().target(0).plainText()).isEqualTo(before);
    }

    @Test
    void aJumpByTheSearchLeavesTheKeyboardInTheTarget() {
        key(KeyCode.K, "\u000b", true, false);
        interact(() -> lookup("#palette-query").queryAs(TextField.class).setText("sailing 150 "));
        settle();
        waitForFrames();
        key(KeyCode.ENTER, "\r", false, false);
        waitForFrames();

        type("q");
        settle();

        assertThat(now().target(150).plainText()).endsWith("undq");
    }

    @Test
    void afterTheFilterAMoveGoesToTheTarget() {
        key(KeyCode.F, "\u0006", true, false);
        interact(() -> lookup("#review-text").queryAs(TextField.class).setText("pier 15"));
        settle();
        key(KeyCode.DOWN, "", false, true);
        waitForFrames();

        type("q");
        settle();

        assertThat(now().target(150).plainText()).endsWith("undq");
    }

    @Test
    void whatIsTypedIntoThePaletteNeverFallsIntoARowThatComesToBeDrawnMeanwhile() {
        key(KeyCode.K, "\u000b", true, false);
        // As a row does that is built late.
        interact(() -> lookup("#review-text").query().requestFocus());

        assertThat(lookup("#palette-query").query().isFocused()).isTrue();
        key(KeyCode.ESCAPE, "", false, false);
        waitForFrames();
        assertThat(lookup("#palette-query").query().isFocused()).isFalse();
    }
}
