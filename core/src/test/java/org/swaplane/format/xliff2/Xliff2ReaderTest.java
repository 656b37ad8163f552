package org.swaplane.format.xliff2;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Rewriting;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

class Xliff2ReaderTest {
    private static final String HEAD =
            "<xliff version='2.1' xmlns='urn:oasis:names:tc:xliff:document:2.0' srcLang='en-GB' trgLang='de-DE'>"
                    + "<file id='f1'>";

    private static BilingualFile open(String body) throws IOException {
        byte[] file = (HEAD + body + "</file></xliff>").getBytes(StandardCharsets.UTF_8);
        return FormatRegistry.ofInstalled().open(Source.of("info.xlf", file), Progress.NONE);
    }

    private static BilingualDocument read(String body) throws IOException {
        return open(body).document();
    }

    private static String edited(String unit, String target, State state) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        open(unit).write(List.of(new SegmentEdit(0, Content.of(target), state)), out, Progress.NONE);
        String written = out.toString(StandardCharsets.UTF_8);
        return written.substring(HEAD.length(), written.length() - "</file></xliff>".length());
    }

    @Test
    void segmentsOfAUnitAreSegmentsOfTheirOwn() throws IOException {
        BilingualDocument document = read("<group id='g'><unit id='u'><segment id='a'><source>One.</source></segment>"
                + "<ignorable><source> </source></ignorable><segment><source>Two.</source></segment></unit></group>");

        assertThat(document.format()).isEqualTo("xliff-2.1");
        assertThat(document.sourceLanguage()).isEqualTo("en-GB");
        assertThat(document.segments()).extracting(Segment::key).containsExactly("f1/g/u/a", "f1/g/u/2");
        assertThat(document.segments()).extracting(Segment::unit).containsExactly("u", "u");
    }

    @ParameterizedTest
    @CsvSource({
        "'', <target>t</target>, INITIAL",
        "state='translated', <target>t</target>, TRANSLATED",
        "state='reviewed', <target>t</target>, REVIEWED",
        "state='final', <target>t</target>, FINAL",
        "state='final', '', INITIAL"
    })
    void statesAreThoseOfTheStandard(String attribute, String target, State state) throws IOException {
        assertThat(read("<unit id='u'><segment " + attribute + "><source>s</source>" + target + "</segment></unit>")
                        .segments())
                .extracting(Segment::state)
                .containsExactly(state);
    }

    @Test
    void translateIsInherited() throws IOException {
        assertThat(read("<group id='g' translate='no'><unit id='a'><segment><source>s</source></segment></unit>"
                                + "<unit id='b' translate='yes'><segment><source>s</source></segment></unit></group>")
                        .segments())
                .extracting(Segment::locked)
                .containsExactly(true, false);
    }

    @ParameterizedTest
    @CsvSource(quoteCharacter = '^', delimiter = '|', textBlock = """
                    a <pc id="1">b</pc>                          | a ⟦1⟧b⟦/1⟧
                    <ph id="1"/>b<ph id="2"/>                    | ⟦1/⟧b⟦2/⟧
                    <sc id="1"/>b<ec startRef="1"/>              | ⟦1⟧b⟦/1⟧
                    <sc id="1"/><pc id="2">b<ec startRef="1"/></pc> | ⟦1⟧⟦2⟧b⟦/1⟧⟦/2⟧
                    <mrk id="m" type="term">b</mrk>              | ⟦1⟧b⟦/1⟧
                    <sm id="m"/>b<em startRef="m"/>              | ⟦1⟧b⟦/1⟧
                    a<cp hex="001A"/>                            | a⟦1/⟧
                    """)
    void inlineElementsAreTagsOfTheRightKind(String inline, String expected) throws IOException {
        Content source = read("<unit id='u'><segment><source>" + inline + "</source></segment></unit>")
                .segments()
                .get(0)
                .source();

        assertThat(TagNotation.write(source, source)).isEqualTo(expected);
    }

    @Test
    void originalDataSaysWhatATagStandsFor() throws IOException {
        Segment segment =
                read("<unit id='u'><originalData><data id='d1'>&lt;b></data><data id='d2'>&lt;/b></data></originalData>"
                                + "<segment><source><pc id='1' dataRefStart='d1' dataRefEnd='d2'>x</pc><ph id='2' equiv='{0}'/></source></segment></unit>")
                        .segments()
                        .get(0);

        assertThat(segment.source().tags()).extracting(Tag::label).containsExactly("<b>", "</b>", "{0}");
    }

    @Test
    void notesAndSizeRestrictionBelongToTheUnit() throws IOException {
        Segment segment =
                read("<unit id='u' xmlns:s='urn:oasis:names:tc:xliff:sizerestriction:2.0' s:sizeRestriction='2,12'>"
                                + "<notes><note category='client'>short!</note></notes><segment><source>s</source></segment></unit>")
                        .segments()
                        .get(0);

        assertThat(segment.limits().maxCharacters()).isEqualTo(12);
        assertThat(segment.notes())
                .extracting(note -> note.from() + ": " + note.text())
                .containsExactly("client: short!");
    }

    @Test
    void modulesThatHelpAreReadForTheSegmentThatTheySpeakOf() throws IOException {
        List<Segment> segments = read("<unit id='u' xmlns:m='urn:oasis:names:tc:xliff:matches:2.0'"
                        + " xmlns:g='urn:oasis:names:tc:xliff:glossary:2.0' xmlns:d='urn:oasis:names:tc:xliff:metadata:2.0'>"
                        + "<m:matches><m:match ref='#b' matchQuality='0.5' origin='old'><source>x</source><target>y</target></m:match>"
                        + "<m:match ref='#m1' similarity='99.9'><source>x</source><target>z</target></m:match></m:matches>"
                        + "<g:glossary><g:glossEntry><g:term>pier</g:term><g:translation>Steg</g:translation></g:glossEntry></g:glossary>"
                        + "<d:metadata><d:metaGroup><d:meta type='key'>a.b</d:meta></d:metaGroup></d:metadata>"
                        + "<segment id='a'><source><mrk id='m1' type='mtc:match'>s</mrk></source></segment>"
                        + "<segment id='b'><source>t</source></segment></unit>")
                .segments();

        assertThat(segments.get(0).proposals()).containsExactly(new Proposal(Content.of("x"), Content.of("z"), 99, ""));
        assertThat(segments.get(1).proposals())
                .containsExactly(new Proposal(Content.of("x"), Content.of("y"), 0, "old"));
        assertThat(segments.get(0).notes())
                .containsExactly(
                        new Note("pier = Steg", "", Note.Kind.TERM, 0), new Note("a.b", "key", Note.Kind.CONTEXT, 0));
    }

    @Test
    void tagsSayWhatMayBeDoneWithThem() throws IOException {
        List<Tag> tags = read("<unit id='u'><segment><source><ph id='1' canDelete='no' canCopy='no'/>"
                        + "<ph id='2' canReorder='firstNo'/><mrk id='m' translate='no'>Port Marram</mrk></source></segment></unit>")
                .segments()
                .get(0)
                .source()
                .tags();

        assertThat(tags)
                .extracting(Tag::rights)
                .containsExactly(
                        new Tag.Rights(false, false, true, true),
                        new Tag.Rights(true, true, false, true),
                        Tag.Rights.ALL);
        assertThat(tags.get(2).label()).isEqualTo("Port Marram");
    }

    @Test
    void textBetweenTheHalvesOfAProtectingMarkIsOneTag() throws IOException {
        Segment segment =
                read("<unit id='u'><segment><source>To <sm id='m' translate='no'/>Port &amp; <ph id='1'/>Marram<em startRef='m'/>!"
                                + "<sm id='n' translate='no'/>open</source></segment></unit>")
                        .segments()
                        .get(0);

        assertThat(segment.source().plainText()).isEqualTo("To !open");
        assertThat(segment.source().tags().get(0).label()).isEqualTo("Port & Marram");
        assertThat(segment.source().tags().get(0).code())
                .isEqualTo("<sm id='m' translate='no'/>Port &amp; <ph id='1'/>Marram<em startRef='m'/>");
    }

    @Test
    void aSpanMayReachFromOneSegmentIntoTheNextAndNoFurther() throws IOException {
        String spanning =
                "<segment><source>a<sc id='1'/>b</source></segment><segment><source>c<ec startRef='1'/></source></segment>";

        assertThat(read("<unit id='u'>" + spanning + "</unit>").problems()).isEmpty();
        assertThat(read("<unit id='u'>" + spanning.replace("<ec startRef='1'/>", "") + "</unit>")
                        .problems())
                .extracting(problem -> problem.message())
                .containsExactly("unit u has the spanning code 1 without its other half");
    }

    @Test
    void aUnitIsLockedAndUnlockedAsAWhole() throws IOException {
        Rewriting file =
                Rewriting.of(HEAD + "<unit id='u' ><segment><source>s</source></segment></unit></file></xliff>");
        SegmentEdit lock = new SegmentEdit(0, Content.EMPTY, State.INITIAL, Optional.of(true));

        String locked = file.write(lock);

        assertThat(locked).contains("<unit id='u' translate=\"no\" ><segment><source>s</source></segment></unit>");
        assertThat(Rewriting.of(locked).write(new SegmentEdit(0, Content.EMPTY, State.INITIAL, Optional.of(false))))
                .contains("<unit id='u' translate=\"yes\" >");
    }

    @Test
    void aMissingTargetLanguageIsTheOneThatTheLaneKnows() throws IOException {
        Rewriting file = Rewriting.of(
                        (HEAD + "<unit id='u'><segment><source>s</source></segment></unit></file></xliff>")
                                .replace(" trgLang='de-DE'", ""))
                .with(FileOptions.ofLanguages("", "nl"));

        assertThat(file.document().targetLanguage()).isEqualTo("nl");
        assertThat(file.write(Rewriting.translated(0, "t"))).contains(" srcLang='en-GB' trgLang=\"nl\">");
        assertThat(file.write()).isEqualTo(file.file());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '^', textBlock = """
                    <unit id="u"><segment><source>s</source></segment></unit> | TRANSLATED | <unit id="u"><segment state="translated"><source>s</source><target>new</target></segment></unit>
                    <unit id="u"><segment state="final" subState="x:y"><source>s</source><target>t</target></segment></unit> | REVIEWED | <unit id="u"><segment state="reviewed"><source>s</source><target>new</target></segment></unit>
                    <unit id="u"><segment state='final'  subState="x:y"><source>s</source><target>t</target></segment></unit> | FINAL | <unit id="u"><segment state='final'  subState="x:y"><source>s</source><target>new</target></segment></unit>
                    <unit id="u"><segment id="1"><source>s</source><target order="2"/></segment></unit> | INITIAL | <unit id="u"><segment id="1"><source>s</source><target order="2">new</target></segment></unit>
                    """)
    void onlyTheTargetAndTheStateChange(String before, State state, String after) throws IOException {
        assertThat(edited(before, "new", state)).isEqualTo(after);
    }

    @Test
    void oddStructureIsListed() throws IOException {
        BilingualDocument document =
                read("<unit id='a'/><unit id='b'><segment id='1'><target>t</target></segment></unit>"
                        + "<unit id='c'><segment state='odd'><source>s</source><target>t</target></segment></unit>"
                        + "<unit id='c'><segment id='2'><source>s</source></segment></unit>");

        assertThat(document.problems())
                .extracting(problem -> problem.message())
                .containsExactly(
                        "unit a has no segment",
                        "segment 1 of unit b has no source and is left out",
                        "unit b has no segment",
                        "unit c has the unknown state \"odd\", read as initial",
                        "the unit id \"c\" occurs again in its file");
    }
}
