package org.swaplane.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.check.CheckedSegment;
import org.swaplane.content.Content;
import org.swaplane.document.Lock;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.document.State;

class SourceElementsTest {
    private static List<String> missing(String source, String target, String language) {
        Segment segment = new Segment(
                "k", 0, "u", Content.of(source), Content.EMPTY, State.INITIAL, "", Lock.NONE, SegmentMetadata.NOTHING);
        return SourceElements.missing(new CheckedSegment(0, segment, Content.of(target), "en-GB", language));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
            The {line} to Gullwick costs 1,250.50 | -              | de-DE | {line};Gullwick;1.250,50
            The {line} to Gullwick costs 1,250.50 | nach Gullwick  | de-DE | {line};1.250,50
            Leaves at 14:05 from pier 3           | um 14:05       | de-DE | 3
            Leaves at 14:05                       | -              | da-DK | 14.05
            From 03/04/2026                       | -              | de-DE | 03.04.2026
            Pier 3 and pier 3                     | Anleger 3      | de-DE | 3
            From Port Marram to Nethersay         | -              | fr-FR | Port Marram;Nethersay
            Open                                  | -              | de-DE | -
            """)
    void whatTheTargetLacksComesInItsNotation(String source, String target, String language, String expected) {
        List<String> wanted =
                expected == null ? List.of() : Stream.of(expected.split(";")).toList();

        assertThat(missing(source, target == null ? "" : target, language)).isEqualTo(wanted);
    }
}
