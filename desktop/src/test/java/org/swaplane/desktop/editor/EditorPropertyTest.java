package org.swaplane.desktop.editor;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import javafx.scene.Scene;
import javafx.scene.control.IndexRange;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.StackPane;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.lifecycle.AfterContainer;
import net.jqwik.api.lifecycle.BeforeContainer;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.content.Text;
import org.swaplane.desktop.text.TextLanguage;
import org.swaplane.document.Directions;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** Whatever is done in the editor, in whatever order. */
class EditorPropertyTest {
    private static final Tag KEPT =
            new Tag(Tag.Kind.STANDALONE, "x:3", "<x id='3'/>", "", new Tag.Rights(true, false, true, true));
    private static final Content SOURCE = Content.of(
            new Tag(Tag.Kind.OPEN, "g:1", "<g id='1'>", ""),
            new Text("Pier"),
            new Tag(Tag.Kind.CLOSE, "g:1", "</g>", ""),
            new Text(" "),
            new Tag(Tag.Kind.STANDALONE, "x:2", "<x id='2'/>", ""),
            KEPT);

    private static TargetEditor editor;

    @BeforeContainer
    static void start() throws Exception {
        FxToolkit.registerPrimaryStage();
        FxToolkit.setupStage(stage -> {
            editor = new TargetEditor();
            stage.setScene(new Scene(new StackPane(editor), 400, 200));
            stage.show();
        });
    }

    @AfterContainer
    static void stop() throws Exception {
        FxToolkit.cleanupStages();
    }

    /** One thing that a person does with a part of the text, which is given in thousandths of its length. */
    record Deed(String what, int from, int to, String text) {
        void run() {
            int length = editor.getLength();
            int start = Math.min(from, to) * length / 1000;
            editor.selectRange(start, Math.max(from, to) * length / 1000);
            switch (what) {
                case "type" -> editor.replaceSelection(typed());
                case "delete" -> editor.replaceSelection("");
                case "delete before" -> editor.deletePreviousChar();
                case "delete behind" -> editor.deleteNextChar();
                case "cut" -> editor.cut();
                case "copy" -> editor.copy();
                case "paste" -> editor.paste();
                case "paste from elsewhere" -> pasteText();
                case "insert tag" -> editor.insert(missing());
                case "change case" -> editor.change(words -> words.toUpperCase(Locale.ROOT));
                case "complete" -> {
                    editor.moveTo(start);
                    editor.complete("", typed());
                }
                case "redraw" -> editor.redraw();
                case "undo" -> editor.undo();
                default -> editor.redo();
            }
        }

        /** No key types what no text should have. */
        private String typed() {
            return text.replaceAll("[\\r\\u0007\\uFFFC]", "");
        }

        private void pasteText() {
            ClipboardContent foreign = new ClipboardContent();
            foreign.putString(text);
            foreign.putHtml("<b>" + text + "</b>");
            Clipboard.getSystemClipboard().setContent(foreign);
            editor.paste();
        }
    }

    private static List<Tag> missing() {
        List<Tag> missing = new ArrayList<>(SOURCE.tags());
        editor.content().tags().forEach(missing::remove);
        return missing;
    }

    @Provide
    Arbitrary<List<Deed>> deeds() {
        Arbitrary<String> what = Arbitraries.of(
                "type",
                "type",
                "delete",
                "delete before",
                "delete behind",
                "cut",
                "copy",
                "paste",
                "paste from elsewhere",
                "insert tag",
                "change case",
                "complete",
                "redraw",
                "undo",
                "redo");
        Arbitrary<String> text = Arbitraries.of(
                "x",
                "zwei Wörter",
                "\n",
                "a\r\nb\rc",
                "\uFFFC\u0007",
                "⟦1⟧",
                "⟦/1⟧ ]",
                "🚢",
                "الميناء 14:05",
                "%d",
                "渡し船",
                "\u200F \u00A0\u00AD",
                "ﬁß");
        Arbitrary<Integer> place = Arbitraries.integers().between(0, 1000);
        return Combinators.combine(what, place, place, text)
                .as(Deed::new)
                .list()
                .ofMaxSize(25);
    }

    private static void onScreen(Consumer<Content> work) {
        try {
            WaitForAsyncUtils.asyncFx(() -> work.accept(
                            TagNotation.read("⟦1⟧Kai⟦/1⟧ um %s⟦2/⟧⟦3/⟧", SOURCE).content()))
                    .get(1, TimeUnit.MINUTES);
        } catch (java.util.concurrent.ExecutionException e) {
            if (e.getCause() instanceof AssertionError error) {
                throw error;
            }
            throw new AssertionError(e);
        } catch (Exception e) {
            throw new AssertionError(e);
        }
    }

    private static void load(String language, Content target) {
        editor.language(TextLanguage.of(language, Directions.Direction.BY_LANGUAGE));
        editor.load(SOURCE, target);
    }

    @Property(tries = 150)
    void tagsAreAlwaysSomeOfTheSourceAndWhatIsShownIsWhatIsStored(
            @ForAll("deeds") List<Deed> deeds, @ForAll boolean rightToLeft) {
        onScreen(target -> {
            load(rightToLeft ? "ar" : "de", target);
            for (Deed deed : deeds) {
                deed.run();

                Content stands = editor.content();
                List<Tag> left = new ArrayList<>(SOURCE.tags());
                assertThat(stands.tags()).allMatch(left::remove, "is a tag of the source, and there once");
                assertThat(stands.tags()).as("a tag that must stay").contains(KEPT);
                assertThat(stands.plainText()).doesNotContain("\uFFFC", "\r", "\u0007");
                assertThat(TagNotation.read(TagNotation.write(stands, SOURCE), SOURCE)
                                .content())
                        .isEqualTo(stands);
                IndexRange selection = editor.getSelection();
                assertThat(selection.getEnd()).isLessThanOrEqualTo(editor.getLength());
                editor.redraw();
                assertThat(editor.content()).as("what is drawn anew").isEqualTo(stands);
            }
        });
    }

    @Property(tries = 60)
    void everythingCanBeTakenBackAndDoneAgain(@ForAll("deeds") List<Deed> deeds, @ForAll boolean rightToLeft) {
        onScreen(target -> {
            load(rightToLeft ? "he" : "de", target);
            deeds.forEach(Deed::run);
            while (editor.isRedoAvailable()) {
                editor.redo();
            }
            Content last = editor.content();
            while (editor.isUndoAvailable()) {
                editor.undo();
            }
            assertThat(editor.content()).isEqualTo(target);
            while (editor.isRedoAvailable()) {
                editor.redo();
            }
            assertThat(editor.content()).isEqualTo(last);
            load("de", target);
        });
    }
}
