package org.swaplane.format.xliff12;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

class SegmentedUnitTest {
    private static final String SOURCE =
            "<source>One. Two.</source>\n  <seg-source><mrk mtype=\"seg\" mid=\"1\">One.</mrk> "
                    + "<g id=\"1\"><mrk mtype='seg' mid='2'>Two.</mrk></g></seg-source>";
    private static final String TARGET =
            "\n  <target state=\"translated\"><mrk mtype=\"seg\" mid=\"1\">Eins.</mrk> <g id=\"1\"><mrk mtype='seg' mid='2'><![CDATA[Zwei.]]></mrk></g></target>";

    private static BilingualFile open(String target) throws IOException {
        String file = Xliff12Sample.file("<trans-unit id='u'>\n  " + SOURCE + target + "\n</trans-unit>");
        return new Xliff12Format()
                .read(Source.of("info.xlf", file.getBytes(StandardCharsets.UTF_8)), FileOptions.NONE, Progress.NONE);
    }

    /** What stands behind the seg-source after the edits. */
    private static String edited(String target, SegmentEdit... edits) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        open(target).write(List.of(edits), out, Progress.NONE);
        String written = out.toString(StandardCharsets.UTF_8);
        int start = written.indexOf("</seg-source>") + "</seg-source>".length();
        return written.substring(start, written.indexOf("\n</trans-unit>"));
    }

    private static SegmentEdit edit(int segment, String text, State state) {
        return new SegmentEdit(segment, Content.of(text), state);
    }

    @Test
    void theSegmentsAreTheFilesOwn() throws IOException {
        BilingualDocument document = open(TARGET).document();

        assertThat(document.segments())
                .extracting(each -> each.source().plainText())
                .containsExactly("One.", "Two.");
        assertThat(document.segments())
                .extracting(each -> each.target().plainText())
                .containsExactly("Eins.", "Zwei.");
        assertThat(document.segments()).extracting(Segment::key).containsExactly("info.json/u/1", "info.json/u/2");
        assertThat(document.segments()).extracting(Segment::unit).containsOnly("u");
        assertThat(document.problems()).isEmpty();
    }

    @Test
    void oneChangedSegmentLeavesTheOtherToTheByte() throws IOException {
        assertThat(edited(TARGET, edit(0, "Eins!", State.TRANSLATED))).isEqualTo(TARGET.replace("Eins.", "Eins!"));
    }

    @Test
    void theStateOfTheUnitIsThatOfItsLeastSegment() throws IOException {
        assertThat(edited(TARGET, edit(0, "Eins.", State.REVIEWED))).isEqualTo(TARGET);
        assertThat(edited(TARGET, edit(0, "Eins.", State.REVIEWED), edit(1, "Zwei.", State.REVIEWED)))
                .isEqualTo(TARGET.replace("\"translated\"", "\"signed-off\""));
    }

    @Test
    void aMissingTargetIsMadeInTheFrameOfTheSource() throws IOException {
        assertThat(edited("", edit(0, "Eins.", State.TRANSLATED), edit(1, "Zwei.", State.TRANSLATED)))
                .isEqualTo(TARGET.replace("<![CDATA[Zwei.]]>", "Zwei."));
    }

    @Test
    void anEmptyTargetIsFilledInTheFrameOfTheSource() throws IOException {
        assertThat(edited("\n  <target/>", edit(1, "Zwei.", State.TRANSLATED)))
                .isEqualTo(
                        "\n  <target><mrk mtype=\"seg\" mid=\"1\"></mrk> <g id=\"1\"><mrk mtype='seg' mid='2'>Zwei.</mrk></g></target>");
    }

    @Test
    void aMissingSegmentIsPutInBehindTheOneBeforeIt() throws IOException {
        String target = "\n  <target><mrk mtype='seg' mid='1'>Eins.</mrk></target>";
        String flat = SOURCE.replace("<g id=\"1\">", "").replace("</g>", "");
        String file = Xliff12Sample.file("<trans-unit id='u'>" + flat + target + "</trans-unit>");
        ByteArrayOutputStream out = new ByteArrayOutputStream();

        new Xliff12Format()
                .read(Source.of("info.xlf", file.getBytes(StandardCharsets.UTF_8)), FileOptions.NONE, Progress.NONE)
                .write(List.of(edit(1, "Zwei.", State.TRANSLATED)), out, Progress.NONE);

        assertThat(out.toString(StandardCharsets.UTF_8))
                .contains("<target><mrk mtype='seg' mid='1'>Eins.</mrk> <mrk mtype='seg' mid='2'>Zwei.</mrk></target>");
    }

    @Test
    void aTargetWithAnotherSegmentationIsSaidAndLeftAlone() throws IOException {
        BilingualDocument document = open("<target>Eins. Zwei.</target>").document();

        assertThat(document.segments()).allMatch(Segment::locked);
        assertThat(document.problems())
                .extracting(problem -> problem.message())
                .containsExactly("unit u has a segmented source and a target that is not; it is locked");
    }
}
