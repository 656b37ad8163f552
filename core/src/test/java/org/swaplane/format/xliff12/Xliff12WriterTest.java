package org.swaplane.format.xliff12;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class Xliff12WriterTest {
    private static BilingualFile read(byte[] file) throws IOException {
        return new Xliff12Format().read(Source.of("info.xlf", file), FileOptions.NONE, Progress.NONE);
    }

    private static String write(byte[] file, SegmentEdit edit, Charset charset) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        read(file).write(List.of(edit), out, Progress.NONE);
        return out.toString(charset);
    }

    private static String edited(String unit, String target, State state) throws IOException {
        byte[] file = Xliff12Sample.file(unit).getBytes(StandardCharsets.UTF_8);
        String written = write(file, new SegmentEdit(0, Content.of(target), state), StandardCharsets.UTF_8);
        String frame = Xliff12Sample.file("");
        int start = frame.indexOf("</body>");
        return written.substring(start, written.length() - (frame.length() - start));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '^', textBlock = """
                    <trans-unit id="u"><source>s</source><target>old</target></trans-unit>                            | TRANSLATED | <trans-unit id="u"><source>s</source><target>new</target></trans-unit>
                    <trans-unit id="u"><source>s</source><target  state='new' >old</target></trans-unit>              | TRANSLATED | <trans-unit id="u"><source>s</source><target  state='translated' >new</target></trans-unit>
                    <trans-unit id="u"><source>s</source><target>old</target></trans-unit>                            | REVIEWED   | <trans-unit id="u" approved="yes"><source>s</source><target state="signed-off">new</target></trans-unit>
                    <trans-unit id="u" approved='no' ><source>s</source><target>old</target></trans-unit>             | FINAL      | <trans-unit id="u" approved='yes' ><source>s</source><target state="final">new</target></trans-unit>
                    <trans-unit id="u" approved="yes"><source>s</source><target>old</target></trans-unit>             | TRANSLATED | <trans-unit id="u" approved="no"><source>s</source><target state="translated">new</target></trans-unit>
                    <trans-unit id="u"><source>s</source><target/></trans-unit>                                       | TRANSLATED | <trans-unit id="u"><source>s</source><target state="translated">new</target></trans-unit>
                    <trans-unit id="u"><source>s</source></trans-unit>                                                | TRANSLATED | <trans-unit id="u"><source>s</source><target>new</target></trans-unit>
                    <trans-unit id="u"><source>s</source></trans-unit>                                                | INITIAL    | <trans-unit id="u"><source>s</source><target state="new">new</target></trans-unit>
                    <trans-unit id="u"><source>s</source><target><![CDATA[old]]></target><note>n</note></trans-unit>  | TRANSLATED | <trans-unit id="u"><source>s</source><target>new</target><note>n</note></trans-unit>
                    """)
    void onlyTheTargetAndItsStateChange(String before, State state, String after) throws IOException {
        assertThat(edited(before, "new", state)).isEqualTo(after);
    }

    @Test
    void aMissingTargetIsPutInWithTheIndentationOfItsSource() throws IOException {
        String unit = "<trans-unit id='u'>\n\t  <source>s</source>\n\t  <note>n</note>\n</trans-unit>";

        assertThat(edited(unit, "neu", State.TRANSLATED))
                .isEqualTo(
                        "<trans-unit id='u'>\n\t  <source>s</source>\n\t  <target>neu</target>\n\t  <note>n</note>\n</trans-unit>");
    }

    @Test
    void aStateAloneLeavesTheTextToTheByte() throws IOException {
        String unit = "<trans-unit id='u'><source>s</source><target><![CDATA[a & b]]>&#x20AC;</target></trans-unit>";

        assertThat(edited(unit, "a & b€", State.FINAL))
                .isEqualTo(
                        "<trans-unit id='u' approved=\"yes\"><source>s</source><target state=\"final\"><![CDATA[a & b]]>&#x20AC;</target></trans-unit>");
    }

    @Test
    void whatWasFinalAndIsEditedIsApprovedAsReviewed() throws IOException {
        String unit = "<trans-unit id='u'><source>s</source><target state=\"final\">a</target></trans-unit>";

        assertThat(edited(unit, "b", State.REVIEWED))
                .isEqualTo(
                        "<trans-unit id='u' approved=\"yes\"><source>s</source><target state=\"signed-off\">b</target></trans-unit>");
    }

    @Test
    void pairsThatDoNotNestAreRefusedWithTheSegmentNamed() throws IOException {
        byte[] file = Xliff12Sample.file("<trans-unit id='u'><source><g id='1'>a</g></source></trans-unit>")
                .getBytes(StandardCharsets.UTF_8);
        Content source = read(file).document().segments().get(0).source();
        Content reversed = new Content(List.of(
                source.runs().get(2), source.runs().get(1), source.runs().get(0)));

        assertThatThrownBy(() -> write(file, new SegmentEdit(0, reversed, State.TRANSLATED), StandardCharsets.UTF_8))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("the tags of segment info.json/u close before they open");
    }

    @Test
    void tagsAreWrittenAsTheFileWritesThem() throws IOException {
        String unit = "<trans-unit id='u'><source><g id='1' c=\"x\" />a<x id='2'  /></source></trans-unit>";
        byte[] file = Xliff12Sample.file(unit).getBytes(StandardCharsets.UTF_8);
        Content source = read(file).document().segments().get(0).source();

        String written = write(file, new SegmentEdit(0, source, State.TRANSLATED), StandardCharsets.UTF_8);

        assertThat(written).contains("<target><g id='1' c=\"x\"></g>a<x id='2'  /></target>");
    }

    @Test
    void whatTheEncodingLacksIsWrittenAsReference() throws IOException {
        byte[] file = Xliff12Sample.file("<trans-unit id='u'><source>s</source></trans-unit>")
                .replace("UTF-8", "windows-1252")
                .getBytes(Charset.forName("windows-1252"));

        String written = write(
                file, new SegmentEdit(0, Content.of("Łódź 🚢 ä"), State.TRANSLATED), Charset.forName("windows-1252"));

        assertThat(written).contains("<target>&#321;ód&#378; &#128674; ä</target>");
    }

    @Test
    void whatXmlCannotHoldIsRefusedWithTheSegmentNamed() {
        assertThatThrownBy(() ->
                        edited("<trans-unit id='u'><source>s</source></trans-unit>", "a\u0001b", State.TRANSLATED))
                .isInstanceOf(CannotProceedException.class)
                .hasMessage(
                        "info.xlf: segment info.json/u holds the character U+0001, which XML cannot hold. Take it out of the target.");
    }

    @Test
    void lineEndsAreThoseOfTheFile() throws IOException {
        byte[] file = Xliff12Sample.file("<trans-unit id='u'>\n<source>s</source></trans-unit>")
                .replace("\n", "\r\n")
                .getBytes(StandardCharsets.UTF_8);

        String written = write(file, new SegmentEdit(0, Content.of("a\nb"), State.TRANSLATED), StandardCharsets.UTF_8);

        assertThat(written).contains("\r\n<target>a\r\nb</target>");
    }
}
