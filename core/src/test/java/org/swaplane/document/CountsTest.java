package org.swaplane.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.aSegment;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CountsTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    The ferry leaves at 14:05.     | 6
                    Wi-Fi on deck 2                | 5
                    … – !                          | 0
                    3.50                           | 1
                    don't                          | 1
                    """)
    void aRunWithALetterOrDigitCountsOnce(String text, int words) {
        assertThat(Counts.words(text)).isEqualTo(words);
    }

    @Test
    void tagsAreCountedApart() {
        Counts counts =
                Counts.of(List.of(aSegment().source("<1>two words</1> <2/>").build()));

        assertThat(counts.words()).isEqualTo(2);
        assertThat(counts.tags()).isEqualTo(3);
    }

    @Test
    void lockedAndPrefilledAndStatesAreTold() {
        Counts counts = Counts.of(List.of(
                aSegment().key("a").source("Pier").target("Pier").build(),
                aSegment().key("b").source("GBP").target("GBP").locked().build(),
                aSegment().key("c").target("").state(State.INITIAL).build(),
                aSegment()
                        .key("d")
                        .source("Bar")
                        .target("Bar")
                        .state(State.REVIEWED)
                        .build()));

        assertThat(counts.prefilled()).isEqualTo(1);
        assertThat(counts.locked()).isEqualTo(1);
        assertThat(counts.states()).containsEntry(State.INITIAL, 1).containsEntry(State.REVIEWED, 1);
    }

    @Test
    void charactersAreCodePoints() {
        assertThat(Counts.of(List.of(aSegment().source("🚢!").build())).characters())
                .isEqualTo(2);
    }
}
