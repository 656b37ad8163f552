package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.aSegment;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HollowPairsTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Press <1>Start</1> now. | Jetzt Start drücken<1></1>. | true
            Press <1>Start</1> now. | Jetzt <1>Start</1> drücken. | false
            See <1></1> below.      | Siehe <1></1> unten.        | false
            At <1><2/></1> dock     | Am <1><2/></1> Kai          | false
            At <1><2/></1> dock     | Am <2/><1></1> Kai          | true
            """)
    void aPairAroundNothingIsFoundWhereTheSourcesHoldsSomething(String source, String target, boolean found) {
        var finding = HollowPairs.find(
                aSegment().source("en", source).target("de", target).checked());

        assertThat(finding.isPresent()).isEqualTo(found);
    }
}
