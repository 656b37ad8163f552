package org.swaplane.format.subtitles;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.swaplane.check.CheckRun;
import org.swaplane.check.CheckedSegment;
import org.swaplane.check.Finding;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;
import org.swaplane.format.DocumentSample;

class SubtitlesFormatTest {
    private static final String FILM =
            "1\r\n00:00:01,000 --> 00:00:03,000\r\nThe ferry leaves.\r\nNow!\r\n\r\n2\r\n00:00:04,000 --> 00:00:05,000\r\n<i>All aboard</i>\r\n";

    @Test
    void aCueIsAUnitWithItsTimeAndItsLines() throws IOException {
        DocumentSample film = DocumentSample.of("film.srt", FILM);

        assertThat(film.extracted()).containsExactly("1: The ferry leaves.\nNow!", "2: ⟦1⟧All aboard⟦/1⟧");
        assertThat(film.open().document().segments().get(0).notes())
                .extracting(Note::text)
                .containsExactly("00:00:01,000 --> 00:00:03,000");
    }

    @Test
    void whoSpeaksAndHowItLooksAreTags() throws IOException {
        String film = "WEBVTT\n\n00:01.000 --> 00:03.000\n<v.loud Mate>All <c.red>aboard</c> <00:02.000>now {\\an8}\n";

        assertThat(DocumentSample.of("film.vtt", film).extracted())
                .containsExactly("1: ⟦1/⟧All ⟦2⟧aboard⟦/2⟧ ⟦3/⟧now ⟦4/⟧");
    }

    @Test
    void timesStayAndLinesAreWrittenAsTheFileWritesThem() throws IOException {
        assertThat(DocumentSample.of("film.srt", FILM).translated(text -> text.replace("Now!", "Jetzt!")))
                .isEqualTo(FILM.replace("Now!", "Jetzt!"));
    }

    @Test
    void aLineThatDoesNotFitTheScreenIsFound() throws IOException {
        Segment segment =
                DocumentSample.of("film.srt", FILM).open().document().segments().get(0);
        Content target = Content.of("Die Fähre fährt jetzt ab.\nSie fährt heute aber nicht nach Gullwick weiter.");

        List<Finding> findings = CheckRun.ofAllChecks().run(new CheckedSegment(0, segment, target, "en-GB", "de-DE"));

        assertThat(findings).extracting(Finding::message).containsExactly("A line has 48 characters; up to 42 fit");
        assertThat(findings.get(0).target()).containsExactly(new Span(26, 74));
    }
}
