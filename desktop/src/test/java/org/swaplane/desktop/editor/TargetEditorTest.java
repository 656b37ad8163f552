package org.swaplane.desktop.editor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Locale;
import javafx.geometry.Bounds;
import javafx.scene.Scene;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.content.Text;
import org.swaplane.desktop.text.Invisibles;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Directions;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;

class TargetEditorTest extends ApplicationTest {
    private static final Content SOURCE = Content.of(
            new Tag(Tag.Kind.OPEN, "g:1", "<g id='1'>", ""),
            new Text("Pier"),
            new Tag(Tag.Kind.CLOSE, "g:1", "</g>", ""),
            new Tag(Tag.Kind.STANDALONE, "x:2", "<x id='2'/>", ""));

    /** Narrower than any letter but an i. */
    private static final double LETTER = 6;

    /** The caret before a Latin word in right-to-left text may stand before the space, where the toolkit draws it. */
    private static final double SPACE = 8;

    private TargetEditor editor;

    @Override
    public void start(Stage stage) {
        editor = new TargetEditor();
        stage.setScene(new Scene(new StackPane(editor), 400, 200));
        stage.show();
    }

    private Content load(String written) {
        Content target = TagNotation.read(written, SOURCE).content();
        interact(() -> {
            editor.load(SOURCE, target);
            editor.requestFocus();
        });
        return target;
    }

    private String written() {
        return TagNotation.write(editor.content(), SOURCE);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "Kai",
                "⟦1⟧Kai⟦/1⟧",
                "⟦1⟧⟦/1⟧⟦2/⟧",
                "eins\nzwei\n",
                "\n⟦2/⟧\n",
                "⟦1⟧a\nb⟦/1⟧ 🚢 عبّارة 渡し船",
                "  Rand  "
            })
    void whatIsLoadedStandsThere(String target) {
        Content content = load(target);

        assertThat(editor.content()).isEqualTo(content);
    }

    @Test
    void aPairThatIsMissingGoesAroundTheSelectionInOneStep() {
        load("Zum Kai drei");

        interact(() -> {
            editor.selectRange(4, 7);
            editor.insert(SOURCE.tags());
        });
        assertThat(written()).isEqualTo("Zum ⟦1⟧Kai⟦/1⟧ drei");

        interact(editor::undo);
        assertThat(written()).isEqualTo("Zum Kai drei");
    }

    @Test
    void wordsAreChangedAndCompletedAroundTheirTags() {
        load("zum ⟦1⟧kai⟦/1⟧ drei");

        interact(() -> {
            editor.selectAll();
            editor.change(text -> text.toUpperCase(Locale.ROOT));
        });
        assertThat(written()).isEqualTo("ZUM ⟦1⟧KAI⟦/1⟧ DREI");
        interact(editor::undo);
        assertThat(written()).isEqualTo("zum ⟦1⟧kai⟦/1⟧ drei");

        interact(() -> {
            editor.moveTo(editor.getLength());
            editor.complete("drei", "dreizehn");
        });
        assertThat(written()).isEqualTo("zum ⟦1⟧kai⟦/1⟧ dreizehn");
        assertThat(editor.beforeCaret()).isEqualTo("zum kai dreizehn");
    }

    @Test
    void signsForInvisibleCharactersAreNoPartOfTheText() {
        Content content = load("Pier\u00A03 und\t4");

        interact(() -> {
            Invisibles.shownProperty().set(true);
            editor.redraw();
        });
        assertThat(editor.content()).isEqualTo(content);
        interact(() -> {
            editor.moveTo(editor.getLength());
            editor.insertText(editor.getLength(), " x");
            Invisibles.shownProperty().set(false);
            editor.redraw();
        });
        assertThat(editor.content().plainText()).isEqualTo("Pier\u00A03 und\t4 x");
    }

    @Test
    void aTagThatStandsAloneLeavesTheSelectedWordsAlone() {
        load("Kai drei");

        interact(() -> {
            editor.selectRange(0, 3);
            editor.insert(List.of(SOURCE.tags().get(2)));
        });

        assertThat(written()).isEqualTo("Kai⟦2/⟧ drei");
    }

    @Test
    void itStaysAsHighAsItsTextWhenPartsAreMarked() {
        load("Die Überfahrt dauert 55 Minuten, im Winter auch 1 Stunde und 10 Minuten und manchmal noch länger");
        WaitForAsyncUtils.waitForFxEvents();
        double height = editor.getPrefHeight();

        interact(() -> editor.mark(List.of(new Span(4, 13))));
        WaitForAsyncUtils.waitForFxEvents();
        sleep(200);

        assertThat(editor.getPrefHeight()).isEqualTo(height).isGreaterThan(40);
    }

    @Test
    void tabTypesNothing() {
        load("Kai");

        push(KeyCode.TAB);

        assertThat(written()).isEqualTo("Kai");
    }

    @Test
    void typedTextGoesBetweenTheTags() {
        load("⟦1⟧Kai⟦/1⟧");

        push(KeyCode.LEFT);
        write("!");

        assertThat(written()).isEqualTo("⟦1⟧Kai!⟦/1⟧");
    }

    @Test
    void aTagIsDeletedAsAWhole() {
        load("Kai⟦2/⟧");

        push(KeyCode.BACK_SPACE);

        assertThat(written()).isEqualTo("Kai");
    }

    @Test
    void aTagIsPutInAtTheCaret() {
        load("Kai 3");
        interact(() -> editor.moveTo(3));

        interact(() -> editor.insert(List.of(SOURCE.tags().get(2))));

        assertThat(written()).isEqualTo("Kai⟦2/⟧ 3");
    }

    @ParameterizedTest
    @ValueSource(strings = {"ar", "he", "de"})
    void theCaretStandsWhereTheMouseHitsTheText(String language) {
        interact(() -> editor.language(TextLanguage.of(language, Directions.Direction.BY_LANGUAGE)));
        load(
                language.equals("de")
                        ? "Fähre nach Skarn"
                        : language.equals("ar") ? "العبّارة إلى الميناء." : "המעבורת לנמל.");

        for (int place : List.of(0, 3, editor.getLength())) {
            interact(() -> editor.moveTo(place));
            WaitForAsyncUtils.waitForFxEvents();
            Bounds caret = editor.screenToLocal(editor.getCaretBounds().orElseThrow());

            assertThat(editor.hit(caret.getCenterX(), caret.getCenterY()).getInsertionIndex())
                    .isEqualTo(place);
            boolean right = caret.getCenterX() > editor.getWidth() / 2;
            if (place == 0) {
                assertThat(right).isEqualTo(!language.equals("de"));
            }
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "ar|تغادر العبّارة Marram Sound ⟦1⟧الميناء⟦/1⟧ في 14:05 اليوم⟦2/⟧.",
                "he|המעבורת Skarn יוצאת ב-06:40 מ⟦1⟧הנמל⟦/1⟧ (רציף 3).",
                "fa|کشتی Marram Sound در ساعت ۱۴:۰۵ از ⟦1⟧اسکله⟦/1⟧ حرکت می‌کند⟦2/⟧",
                "ja|フェリー「Skarn」は14:05に⟦1⟧埠頭⟦/1⟧を出ます⟦2/⟧。"
            })
    void inMixedTextEveryPlaceIsHitWhereItsCaretStands(String language, String written) {
        interact(() -> editor.language(TextLanguage.of(language, Directions.Direction.BY_LANGUAGE)));
        load(written);

        interact(() -> {
            for (int place = 0; place <= editor.getLength(); place++) {
                Bounds caret = caretAt(place);
                int hit = editor.hit(caret.getCenterX(), caret.getCenterY()).getInsertionIndex();
                // Where the direction changes, or between a tag and a letter, two places are shown side by side.
                assertThat(caretAt(hit).getCenterX())
                        .as("hit %d for %d", hit, place)
                        .isCloseTo(caret.getCenterX(), within(LETTER));
            }
        });
        int at = editor.getText().indexOf("Sound") < 0
                ? editor.getText().indexOf("Skarn")
                : editor.getText().indexOf("Sound");
        double[] ends = new double[2];
        interact(() -> {
            ends[0] = caretAt(at).getCenterX();
            ends[1] = caretAt(at + 5).getCenterX();
            editor.selectRange(at, at + 5);
        });
        WaitForAsyncUtils.waitForFxEvents();
        Bounds selected = editor.screenToLocal(editor.getSelectionBounds().orElseThrow());
        assertThat(selected.getWidth()).as("as wide as the word").isLessThan(90);
        assertThat(ends[0]).isBetween(selected.getMinX() - SPACE, selected.getMaxX() + SPACE);
        assertThat(ends[1]).isBetween(selected.getMinX() - SPACE, selected.getMaxX() + SPACE);
    }

    private Bounds caretAt(int place) {
        editor.moveTo(place);
        editor.layout();
        return editor.screenToLocal(editor.getCaretBounds().orElseThrow());
    }

    @Test
    void aPlaceholderInRightToLeftTextIsOnePieceThatIsReadAsItIsWritten() {
        interact(() -> editor.language(TextLanguage.of("ar", Directions.Direction.BY_LANGUAGE)));
        Content content = load("بقي %d مقاعد في {ship}\n⟦1⟧%s⟦/1⟧");

        assertThat(editor.content()).isEqualTo(content);
        push(KeyCode.LEFT);
        push(KeyCode.BACK_SPACE);
        assertThat(written()).doesNotContain("%s").contains("%d", "{ship}");
        interact(editor::undo);
        assertThat(editor.content()).isEqualTo(content);
    }

    @Test
    void whatIsCutIsPastedWithItsTags() {
        Content content = load("⟦1⟧Kai⟦/1⟧ drei⟦2/⟧");

        interact(() -> {
            editor.selectRange(0, 5);
            editor.cut();
        });
        assertThat(written()).isEqualTo(" drei⟦2/⟧");

        interact(() -> {
            editor.moveTo(0);
            editor.paste();
        });
        assertThat(editor.content()).isEqualTo(content);
    }

    @Test
    void aTagThatStandsThereIsNotPastedTwice() {
        load("⟦1⟧Kai⟦/1⟧");

        interact(() -> {
            editor.selectAll();
            editor.copy();
            editor.moveTo(editor.getLength());
            editor.paste();
        });

        assertThat(written()).isEqualTo("⟦1⟧Kai⟦/1⟧Kai");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"'a\r\nb'|'a\nb'", "a\u0007b\uFFFCc|abc", "⟦1⟧ ist Text|⟦⟦1⟧⟧ ist Text"})
    void textOfOtherProgramsIsPastedAsText(String foreign, String expected) {
        load("");

        interact(() -> {
            ClipboardContent clipboard = new ClipboardContent();
            clipboard.putString(foreign);
            Clipboard.getSystemClipboard().setContent(clipboard);
            editor.paste();
        });

        assertThat(written()).isEqualTo(expected);
    }

    @Test
    void aDeletedTagComesBackWhenThatIsTakenBack() {
        Content content = load("Kai⟦2/⟧ drei");

        interact(() -> {
            editor.selectRange(2, 6);
            editor.replaceSelection("");
        });
        assertThat(written()).isEqualTo("Karei");
        interact(editor::undo);
        assertThat(editor.content()).isEqualTo(content);
        interact(editor::redo);
        assertThat(written()).isEqualTo("Karei");
    }
}
