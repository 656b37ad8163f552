package org.swaplane.format.xliff12;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Limits;
import org.swaplane.document.Note;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class Xliff12ReaderTest {
    private static BilingualDocument read(byte[] file) throws IOException {
        return FormatRegistry.ofInstalled()
                .open(Source.of("info.xlf", file), Progress.NONE)
                .document();
    }

    private static BilingualDocument read(String body) throws IOException {
        return read(Xliff12Sample.file(body).getBytes(StandardCharsets.UTF_8));
    }

    private static Segment only(String unit) throws IOException {
        List<Segment> segments = read(unit).segments();
        assertThat(segments).isNotEmpty();
        return segments.get(0);
    }

    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {
                "-, INITIAL",
                "<target/>, INITIAL",
                "<target>x</target>, TRANSLATED",
                "<target state='new'>x</target>, INITIAL",
                "<target state='needs-translation'>x</target>, INITIAL",
                "<target state='needs-review-translation'>x</target>, TRANSLATED",
                "<target state='translated'>x</target>, TRANSLATED",
                "<target state='signed-off'>x</target>, REVIEWED",
                "<target state='final'>x</target>, FINAL",
                "<target state='x-mine'>x</target>, TRANSLATED"
            })
    void statesAreReadInTheWordsOfXliff2(String target, State state) throws IOException {
        assertThat(only("<trans-unit id='u'><source>s</source>" + (target == null ? "" : target) + "</trans-unit>")
                        .state())
                .isEqualTo(state);
    }

    @Test
    void anApprovedUnitIsReviewed() throws IOException {
        assertThat(only("<trans-unit id='u' approved='yes'><source>s</source><target>t</target></trans-unit>")
                        .state())
                .isEqualTo(State.REVIEWED);
    }

    @Test
    void theFilesOwnStateIsKept() throws IOException {
        assertThat(only("<trans-unit id='u'><source>s</source><target state='needs-l10n'>t</target></trans-unit>")
                        .nativeState())
                .isEqualTo("needs-l10n");
    }

    @Test
    void translateNoIsInheritedFromTheGroupAndCanBeLifted() throws IOException {
        List<Segment> segments = read("<group id='g' translate='no'><trans-unit id='a'><source>s</source></trans-unit>"
                        + "<trans-unit id='b' translate='yes'><source>s</source></trans-unit></group>"
                        + "<trans-unit id='c'><source>s</source></trans-unit>")
                .segments();

        assertThat(segments).extracting(Segment::locked).containsExactly(true, false, false);
    }

    @Test
    void keysAreTheFilesOwnIdsAndUniqueWhereTheFileRepeatsThem() throws IOException {
        BilingualDocument document = read(
                "<group id='g'><trans-unit id='a'><source>1</source></trans-unit></group>"
                        + "<trans-unit id='a'><source>2</source></trans-unit><trans-unit id='a'><source>3</source></trans-unit>");

        assertThat(document.segments())
                .extracting(Segment::key)
                .containsExactly("info.json/g/a", "info.json/a", "info.json/a~2");
        assertThat(document.problems()).hasSize(1);
        assertThat(document.problems().get(0).message()).isEqualTo("the unit id \"a\" occurs 2 times");
    }

    @Test
    void notesAreReadWithTheirAuthor() throws IOException {
        Segment segment =
                only("<trans-unit id='u'><source>s</source><note from='client'>mind &lt;this&gt;</note></trans-unit>");

        assertThat(segment.notes()).hasSize(1);
        assertThat(segment.notes().get(0).from()).isEqualTo("client");
        assertThat(segment.notes().get(0).text()).isEqualTo("mind <this>");
    }

    @Test
    void notesOfAGroupAndContextsBelongToItsUnitsAndNotesOfTheHeaderToTheFile() throws IOException {
        BilingualDocument document =
                read("<note>of the file</note><group id='g'><note annotates='target' priority='1'>du</note>"
                        + "<trans-unit id='u'><source>s</source><context-group><context context-type='sourcefile'>a.c</context></context-group></trans-unit>"
                        + "</group><trans-unit id='v'><source>s</source></trans-unit>");

        assertThat(document.parts().get(0).notes()).extracting(Note::text).containsExactly("of the file");
        assertThat(document.segments().get(0).notes())
                .containsExactly(
                        new Note("du", "", Note.Kind.TARGET, 1), new Note("a.c", "sourcefile", Note.Kind.CONTEXT, 0));
        assertThat(document.segments().get(1).notes()).isEmpty();
    }

    @Test
    void alternativesAreProposalsWithOriginAndScoreAndNeverTheTarget() throws IOException {
        Segment segment = only(
                "<trans-unit id='u'><source>s</source>"
                        + "<alt-trans match-quality='85.5%' origin='memory' tool-id='t'><source>so</source><target>eins</target></alt-trans>"
                        + "<alt-trans alttranstype='previous-version' match-quality='0.7'><target>zwei</target></alt-trans></trans-unit>");

        assertThat(segment.target().isEmpty()).isTrue();
        assertThat(segment.proposals())
                .containsExactly(
                        new Proposal(Content.of("so"), Content.of("eins"), 85, "memory, t"),
                        new Proposal(Content.EMPTY, Content.of("zwei"), 70, "previous-version"));
    }

    @Test
    void anAlternativeOfASegmentIsProposedThere() throws IOException {
        List<Segment> segments =
                read("<trans-unit id='u'><source>A. B.</source><seg-source><mrk mtype='seg' mid='1'>A.</mrk> "
                                + "<mrk mtype='seg' mid='2'>B.</mrk></seg-source><alt-trans mid='2'><target>Bb.</target></alt-trans></trans-unit>")
                        .segments();

        assertThat(segments).extracting(segment -> segment.proposals().size()).containsExactly(0, 1);
    }

    @Test
    void protectedTextIsOneTag() throws IOException {
        Segment segment = only(
                "<trans-unit id='u'><source>To <mrk mtype='protected'>Port <x id='1'/> Marram</mrk>!</source></trans-unit>");

        assertThat(segment.source().plainText()).isEqualTo("To !");
        assertThat(segment.source().tags()).extracting(Tag::label).containsExactly("Port  Marram");
    }

    @Test
    void limitsCountOnlyWhereTheUnitIsCharacters() throws IOException {
        assertThat(only("<trans-unit id='u' maxwidth='12' size-unit='char'><source>s</source></trans-unit>")
                        .limits()
                        .maxCharacters())
                .isEqualTo(12);
        assertThat(only("<trans-unit id='u' maxwidth='12'><source>s</source></trans-unit>")
                        .limits()
                        .maxCharacters())
                .isZero();
    }

    @Test
    void limitsInBytesAndOtherUnitsAreKeptApart() throws IOException {
        assertThat(
                        only("<trans-unit id='u' maxbytes='40' minwidth='2' maxwidth='9' size-unit='pixel'><source>s</source></trans-unit>")
                                .limits())
                .isEqualTo(new Limits(2, 9, Limits.PIXELS, 0, 40, Limits.SOME_FONT));
        assertThat(only("<trans-unit id='u' maxwidth='9' font='Sans;8;700'><source>s</source></trans-unit>")
                        .limits())
                .isEqualTo(new Limits(0, 9, Limits.PIXELS, 0, 0, "Sans;8;700"));
        assertThat(only("<trans-unit id='u' maxwidth='9' size-unit='byte'><source>s</source></trans-unit>")
                        .limits())
                .isEqualTo(new Limits(0, 0, "", 0, 9));
    }

    @Test
    void wrongLanguagesAndUnpairedCodesAreListed() throws IOException {
        BilingualDocument document =
                read(Xliff12Sample.file("<trans-unit id='u'><source>a<bpt id='1'/>b<ept id='2'/></source></trans-unit>")
                        .replace("en-GB", "en_GB")
                        .replace("de-DE", "xq-DE")
                        .getBytes(StandardCharsets.UTF_8));

        assertThat(document.problems())
                .extracting(problem -> problem.message())
                .containsExactly(
                        "\"en_GB\" is not a language code: codes have hyphens",
                        "\"xq-DE\" is not a known language",
                        "unit u has the code <ept id='2'/> without its other half");
    }

    @Test
    void severalFilesHaveTheirOwnLanguages() throws IOException {
        String file = "<xliff version='1.2'><file original='a' source-language='en' target-language='de'><body>"
                + "<trans-unit id='1'><source>s</source></trans-unit></body></file>"
                + "<file original='b' source-language='fr' target-language='it'><body>"
                + "<trans-unit id='1'><source>s</source></trans-unit></body></file></xliff>";

        BilingualDocument document = read(file.getBytes(StandardCharsets.UTF_8));

        assertThat(document.parts())
                .extracting(part -> part.sourceLanguage() + part.targetLanguage())
                .containsExactly("ende", "frit");
        assertThat(document.segments()).extracting(Segment::part).containsExactly(0, 1);
        assertThat(document.segments()).extracting(Segment::key).containsExactly("a/1", "b/1");
    }

    @Test
    void prefixedElementsAreElementsToo() throws IOException {
        String file =
                "<x:xliff version='1.2' xmlns:x='urn:oasis:names:tc:xliff:document:1.2'><x:file original='a'><x:body>"
                        + "<x:trans-unit id='1'><x:source>one <x:g id='1'>two</x:g></x:source></x:trans-unit></x:body></x:file></x:xliff>";

        assertThat(read(file.getBytes(StandardCharsets.UTF_8))
                        .segments()
                        .get(0)
                        .source()
                        .plainText())
                .isEqualTo("one two");
    }

    @Nested
    class InlineElements {
        private String written(String inline) throws IOException {
            Segment segment = only("<trans-unit id='u'><source>" + inline + "</source></trans-unit>");
            return TagNotation.write(segment.source(), segment.source());
        }

        @ParameterizedTest
        @CsvSource(quoteCharacter = '^', delimiter = '|', textBlock = """
                        a <g id="1">b</g> c                          | a ⟦1⟧b⟦/1⟧ c
                        <g id="1"><g id="2">b</g></g>                | ⟦1⟧⟦2⟧b⟦/2⟧⟦/1⟧
                        <g id="1"/>b                                 | ⟦1⟧⟦/1⟧b
                        a<x id="1"/>b<x id="2"/>                     | a⟦1/⟧b⟦2/⟧
                        <bpt id="1" rid="9">&lt;b&gt;</bpt>b<ept id="2" rid="9">x</ept> | ⟦1⟧b⟦/1⟧
                        <bx id="1"/>b<ex id="1"/>                    | ⟦1⟧b⟦/1⟧
                        <ph id="1">{0}</ph>b                         | ⟦1/⟧b
                        <ph id="1">a<sub>b</sub></ph>                | ⟦1/⟧
                        <it id="1" pos="open">&lt;i&gt;</it>b        | ⟦1/⟧b
                        <mrk mtype="term">berth</mrk>                | ⟦1⟧berth⟦/1⟧
                        a<!-- no text -->b<?nor this?>c              | abc
                        <![CDATA[5 < 6]]> &amp; &#x20AC;             | 5 < 6 & €
                        """)
        void areTagsOfTheRightKind(String inline, String expected) throws IOException {
            assertThat(written(inline)).isEqualTo(expected);
        }

        @Test
        void tagsKeepTheirCodeAndSayWhatTheyStandFor() throws IOException {
            Segment segment = only(
                    "<trans-unit id='u'><source><g id='1' ctype='bold' >b</g><ph id=\"2\">&lt;br/&gt;</ph></source></trans-unit>");

            assertThat(segment.source().tags())
                    .containsExactly(
                            new Tag(Tag.Kind.OPEN, "g:1", "<g id='1' ctype='bold' >", "bold"),
                            new Tag(Tag.Kind.CLOSE, "g:1", "</g>", ""),
                            new Tag(Tag.Kind.STANDALONE, "ph:2", "<ph id=\"2\">&lt;br/&gt;</ph>", "<br/>"));
        }
    }

    @Test
    void aFileOfManyBuffersIsReadRight() throws IOException {
        StringBuilder units = new StringBuilder();
        for (int i = 0; i < 4000; i++) {
            units.append("<trans-unit id='u")
                    .append(i)
                    .append("'><source>Überfahrt <g id='1'>Nr. ")
                    .append(i)
                    .append("</g></source><note>Notiz ")
                    .append(i)
                    .append("</note></trans-unit>\n");
        }

        List<Segment> segments = read(units.toString()).segments();

        assertThat(segments).hasSize(4000);
        for (int i = 0; i < 4000; i++) {
            assertThat(segments.get(i).source().plainText()).isEqualTo("Überfahrt Nr. " + i);
            assertThat(segments.get(i).notes().get(0).text()).isEqualTo("Notiz " + i);
        }
    }

    @Nested
    class BrokenAndHostile {
        private void refused(byte[] file, String... parts) {
            assertThatThrownBy(() -> read(file))
                    .isInstanceOf(CannotProceedException.class)
                    .message()
                    .contains(parts)
                    .doesNotContain("\n");
        }

        private void refused(String file, String... parts) {
            refused(file.getBytes(StandardCharsets.UTF_8), parts);
        }

        @Test
        void anEmptyFile() {
            refused("", "info.xlf: the file is empty. Ask the sender for it again.");
        }

        @Test
        void noXmlAtAll() {
            refused("Dear all, please find attached", "this is not a format that Swap Lane reads");
        }

        @Test
        void cutOffInTheMiddle() {
            String whole = Xliff12Sample.file("<trans-unit id='u'><source>s</source></trans-unit>");

            refused(whole.substring(0, whole.indexOf("</source>")), "info.xlf:3:", "not well-formed", "<source>\"");
        }

        @Test
        void anotherEncodingThanDeclared() {
            byte[] file = Xliff12Sample.file("<trans-unit id='u'><source>\nFähre</source></trans-unit>")
                    .getBytes(StandardCharsets.ISO_8859_1);

            refused(file, "info.xlf:4:2:", "byte 0xE4 is not UTF-8", "Correct the encoding");
        }

        @Test
        void anEncodingThatNobodyKnows() {
            refused(
                    "<?xml version='1.0' encoding='martian-7'?>"
                            + Xliff12Sample.file("").substring(38),
                    "martian-7");
        }

        @Test
        void anEntityBomb() {
            refused(
                    "<!DOCTYPE xliff [<!ENTITY a 'aaaaaaaaaa'><!ENTITY b '&a;&a;&a;&a;&a;&a;'>]>"
                            + "<xliff version='1.2'><file><body><trans-unit id='u'><source>&b;</source></trans-unit></body></file></xliff>",
                    "not well-formed");
        }

        @Test
        void anExternalEntity() {
            refused(
                    "<!DOCTYPE xliff [<!ENTITY x SYSTEM 'file:///etc/passwd'>]>"
                            + "<xliff version='1.2'><file><body><trans-unit id='u'><source>&x;</source></trans-unit></body></file></xliff>",
                    "not well-formed");
        }

        @Test
        void tenThousandLevelsOfNesting() {
            refused(Xliff12Sample.file("<group>".repeat(10_000)), "info.xlf:3:3", "not well-formed", "<group>\"");
        }

        @Test
        void anAmpersandThatIsNoReference() {
            refused(
                    Xliff12Sample.file("<trans-unit id='u'><source>Tide & time</source></trans-unit>"),
                    "info.xlf:3:",
                    "not well-formed",
                    "Tide &");
        }

        @Test
        void aNulByte() {
            refused(
                    Xliff12Sample.file("<trans-unit id='u'><source>a\0b</source></trans-unit>"),
                    "info.xlf:3:",
                    "not well-formed");
        }
    }

    @Test
    void oddStructureIsListedAndTheRestIsRead() throws IOException {
        BilingualDocument document = read(
                "<trans-unit id='a'/><trans-unit id='b'><source>s</source>"
                        + "<target>1</target><target>2</target></trans-unit><trans-unit id='c'><source>s</source><target state='odd'>t</target></trans-unit>");

        assertThat(document.segments()).hasSize(2);
        assertThat(document.problems())
                .extracting(problem -> problem.message())
                .containsExactly(
                        "unit a has no source and is left out",
                        "unit b has two targets; the first one is used",
                        "unit c has the unknown state \"odd\", read as translated");
        assertThat(document.problems()).allMatch(problem -> problem.line() == 3);
    }

    @ParameterizedTest
    @CsvSource({"windows-1252", "ISO-8859-15", "UTF-8", "windows-1251"})
    void theDeclaredEncodingIsRead(String encoding) throws IOException {
        String text = encoding.equals("windows-1251") ? "паром" : "Fähre";
        byte[] file = Xliff12Sample.file("<trans-unit id='u'><source>" + text + "</source></trans-unit>")
                .replace("UTF-8", encoding)
                .getBytes(Charset.forName(encoding));

        BilingualDocument document = read(file);

        assertThat(document.encoding()).isEqualTo(encoding);
        assertThat(document.segments().get(0).source().plainText()).isEqualTo(text);
    }
}
