package org.swaplane.format.xliff12;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Text;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.Rewriting;
import org.swaplane.format.SegmentEdit;

class SubFlowsTest {
    private static final String SOURCE =
            "<source>See <ph id='1'>a title=\"<sub>The &amp; pier</sub>\" alt=\"<sub>Picture</sub>\" id=\"<sub/>\"</ph> now</source>";
    private static final String TARGET =
            "<target>Sieh &#x6A;etzt <ph id='1'>a title=\"<sub>Der Pier</sub>\" alt=\"<sub>Bild</sub>\"</ph></target>";

    private static Rewriting unit(String inner) {
        return Rewriting.of(Xliff12Sample.file("<trans-unit id='u'>" + inner + "</trans-unit>"));
    }

    private static Content parent(Rewriting file) throws IOException {
        List<Run> runs = file.document().segments().get(0).source().runs();
        return Content.of(new Text("Jetzt "), runs.get(1));
    }

    @Test
    void areSegmentsOfTheirOwnBehindTheOneThatHoldsThem() throws IOException {
        List<Segment> segments = unit(SOURCE + TARGET).document().segments();

        assertThat(segments)
                .extracting(segment ->
                        segment.source().plainText() + "|" + segment.target().plainText())
                .containsExactly("See  now|Sieh jetzt ", "The & pier|Der Pier", "Picture|Bild");
        assertThat(segments).extracting(Segment::unit).containsOnly("u");
    }

    @Test
    void oneIsWrittenInsideTheTagAndNothingElseChanges() throws IOException {
        assertThat(unit(SOURCE + TARGET).write(Rewriting.translated(1, "Kai & Pier")))
                .isEqualTo(unit(SOURCE + TARGET).file().replace("Der Pier", "Kai &amp; Pier"));
    }

    @Test
    void oneThatIsASingleTagInTheTargetIsOpened() throws IOException {
        Rewriting file = unit(SOURCE + TARGET.replace("<sub>Der Pier</sub>", "<sub/>"));

        assertThat(file.write(Rewriting.translated(1, "Kai")))
                .isEqualTo(file.file().replace("title=\"<sub/>", "title=\"<sub>Kai</sub>"));
    }

    @Test
    void oneIsWrittenWithANewTargetAroundIt() throws IOException {
        Rewriting file = unit(SOURCE);
        SegmentEdit around = new SegmentEdit(0, parent(file), State.TRANSLATED);

        String written = file.write(around, Rewriting.translated(1, "Der Pier"), Rewriting.translated(2, "Bild"));

        assertThat(written)
                .contains(
                        "Jetzt <ph id='1'>a title=\"<sub>Der Pier</sub>\" alt=\"<sub>Bild</sub>\" id=\"<sub/>\"</ph>");
        assertThat(Rewriting.of(written).document().segments())
                .extracting(segment -> segment.target().plainText())
                .containsExactly("Jetzt ", "Der Pier", "Bild");
    }

    @Test
    void aTagTakenFromTheSourceDoesNotBringItsSourceTextAlong() throws IOException {
        Rewriting file = unit(SOURCE + TARGET);

        String written = file.write(new SegmentEdit(0, parent(file), State.TRANSLATED), Rewriting.translated(2, ""));

        assertThat(written).contains("Jetzt <ph id='1'>a title=\"<sub>Der Pier</sub>\" alt=\"<sub></sub>\" id=");
    }

    @Test
    void theUnitIsAsFarAsItsLeastText() throws IOException {
        Rewriting file = unit(SOURCE.replace(" alt=\"<sub>Picture</sub>\"", ""));
        SegmentEdit around = new SegmentEdit(0, parent(file), State.FINAL);

        assertThat(file.write(around, Rewriting.translated(1, "Pier")))
                .doesNotContain("state=")
                .doesNotContain("approved");
        assertThat(file.write(around, new SegmentEdit(1, Content.of("Pier"), State.FINAL)))
                .contains("<target state=\"final\">");
    }
}
