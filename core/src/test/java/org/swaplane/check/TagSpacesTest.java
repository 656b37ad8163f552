package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.aSegment;
import static org.swaplane.document.SegmentBuilder.content;

import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TagSpacesTest {
    private static Optional<Finding> find(String language, String source, String target) {
        return TagSpaces.find(
                aSegment().source("en", source).target(language, target).checked());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Press <1>Start</1> now.     | Jetzt<1>Start</1> drücken.     | Jetzt <1>Start</1> drücken.
            Press <1>Start</1> now.     | Den <1>Start</1>jetzt.         | Den <1>Start</1> jetzt.
            Press <1>Start</1>.         | Bitte <1> Start</1>.           | Bitte <1>Start</1>.
            Press <1>Start</1>.         | Bitte<1> Start</1>.            | Bitte <1>Start</1>.
            Press <1>Start</1> now.     | Den <1>Start </1>jetzt.        | Den <1>Start</1> jetzt.
            Press <1>Start</1>.         | <1>Start </1>.                 | <1>Start</1>.
            """)
    void aSpaceThatWasLostOrMovedInsideIsMended(String source, String target, String mended) {
        Finding finding = find("de", source, target).orElseThrow();

        assertThat(finding.severity()).isEqualTo(Severity.WARNING);
        assertThat(finding.suggestion()).contains(content(mended));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            de | Press <1>Start</1> now.      | Jetzt <1>Start</1> drücken.
            de | Ferry <1>timetable</1>       | <1>Fährfahr</1>-Plan
            de | The <1>upper </1>deck        | Das <1>obere </1>Deck
            hu | At <1>Gullwick</1>           | <1>Gullwick</1>-nál
            ja | Press <1>Start</1> now.      | 今すぐ<1>スタート</1>を押します
            ko | Press <1>Start</1> now.      | <1>시작</1>을 누르세요
            de | A<1/>B                       | A<1/>B
            """)
    void whatTheSourceOrTheLanguageHasSoIsSilent(String language, String source, String target) {
        assertThat(find(language, source, target)).isEmpty();
    }
}
