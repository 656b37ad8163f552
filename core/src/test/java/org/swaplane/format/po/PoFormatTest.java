package org.swaplane.format.po;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

class PoFormatTest {
    private static final String HEADER =
            "# Ferries\nmsgid \"\"\nmsgstr \"\"\n\"Language: de_AT\\n\"\n\"Content-Type: text/plain; charset=UTF-8\\n\"\n\n";
    private static final String PLURAL =
            "#. seats on board\n#: board.c:12\n#, c-format, fuzzy\nmsgctxt \"board\"\nmsgid \"%d seat\"\nmsgid_plural \"%d seats\"\nmsgstr[0] \"%d Platz\"\nmsgstr[1] \"\"\n\n";
    private static final String LONG = "msgid \"\"\n\"Two \\\"lines\\\"\\n\"\n\"here\"\nmsgstr \"\"\n\n";
    private static final String OBSOLETE = "#~ msgid \"gone\"\n#~ msgstr \"weg\"\n";

    private static BilingualFile open(String text) throws IOException {
        Source source = Source.of("board.po", text.getBytes(StandardCharsets.UTF_8));
        return FormatRegistry.ofInstalled().open(source, FileOptions.ofLanguages("en", ""), Progress.NONE);
    }

    private static String written(String text, SegmentEdit... edits) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        open(text).write(List.of(edits), out, Progress.NONE);
        return out.toString(StandardCharsets.UTF_8);
    }

    @Test
    void messagesAndTheirPluralFormsAreSegments() throws IOException {
        BilingualDocument document = open(HEADER + PLURAL + LONG + OBSOLETE).document();

        assertThat(document.targetLanguage()).isEqualTo("de-AT");
        assertThat(document.segments())
                .extracting(segment -> segment.key() + " = " + TagNotation.write(segment.source(), segment.source()))
                .containsExactly(
                        "board|%d seat/0 = ⟦1/⟧ seat",
                        "board|%d seat/1 = ⟦1/⟧ seats", "Two \"lines\"\nhere = Two \"lines\"\nhere");
        assertThat(document.segments()).extracting(Segment::state).containsOnly(State.INITIAL);
        assertThat(document.segments().get(0).notes())
                .extracting(Note::text)
                .containsExactly("board", "seats on board", "board.c:12");
    }

    @Test
    void aTranslationIsWrittenInPlaceAndIsNoGuessAnyMore() throws IOException {
        Content two = Content.of("Zwei \"Zeilen\"\nhier\\");

        assertThat(written(
                        HEADER + PLURAL + LONG,
                        new SegmentEdit(1, Content.of("%d Plätze"), State.REVIEWED),
                        new SegmentEdit(2, two, State.TRANSLATED)))
                .isEqualTo(HEADER
                        + PLURAL.replace(", fuzzy", "").replace("msgstr[1] \"\"", "msgstr[1] \"%d Plätze\"")
                        + LONG.replace("msgstr \"\"", "msgstr \"\"\n\"Zwei \\\"Zeilen\\\"\\n\"\n\"hier\\\\\""));
    }

    @Test
    void aLineBreakAtTheEndBelongsToTheFileAndIsNotLost() throws IOException {
        String file = HEADER + "msgid \"Cast off\\n\"\nmsgstr \"Ablegen\\n\"\n";

        assertThat(open(file).document().segments().get(0).source().plainText()).isEqualTo("Cast off");
        assertThat(open(file).document().segments().get(0).target().plainText()).isEqualTo("Ablegen");
        assertThat(written(file, new SegmentEdit(0, Content.of("Leinen los"), State.TRANSLATED)))
                .endsWith("msgstr \"Leinen los\\n\"\n");
    }

    @Test
    void theHeaderSaysTheEncodingAndAnEmptyLanguageSaysNothing() throws IOException {
        String file = "msgid \"\"\nmsgstr \"\"\n\"Language: \\n\"\n\"MIME-Version: 1.0\\n\"\n"
                + "\"Content-Type: text/plain; charset=KOI8-R\\n\"\n\nmsgid \"Ferry\"\nmsgstr \"Паром\"\n";
        Source source = Source.of("board.po", file.getBytes(java.nio.charset.Charset.forName("KOI8-R")));

        BilingualDocument document = FormatRegistry.ofInstalled()
                .open(source, FileOptions.ofLanguages("en", "ru"), Progress.NONE)
                .document();

        assertThat(document.segments().get(0).target().plainText()).isEqualTo("Паром");
        assertThat(document.targetLanguage()).isEqualTo("ru");
    }

    @Property
    void anUntouchedCatalogueIsTheSameAndAChangedOneReadsBack(
            @ForAll("entries") List<String> entries, @ForAll("targets") String target) throws IOException {
        String file = HEADER + String.join("", entries) + "msgid \"last\"\nmsgstr \"zuletzt\"\n";
        int last = open(file).document().segments().size() - 1;

        String written = written(file, new SegmentEdit(last, Content.of(target), State.TRANSLATED));

        assertThat(written(file)).isEqualTo(file);
        assertThat(open(written).document().segments().get(last).target().withCodes())
                .isEqualTo(target);
        assertThat(written).startsWith(file.substring(0, file.lastIndexOf("msgstr")));
    }

    @Provide
    Arbitrary<List<String>> entries() {
        return Arbitraries.of(
                        PLURAL, LONG, OBSOLETE, "msgid \"a\\tb\"\nmsgstr \"\\\\n\"\n", "\n", "#| msgid \"before\"\n")
                .list()
                .ofMaxSize(6);
    }

    @Provide
    Arbitrary<String> targets() {
        return Arbitraries.of("neu", "a\nb", "\n", "a\n", "\\n", "\\\\n\nx", "\"", "%s {0}", "\t", "");
    }
}
