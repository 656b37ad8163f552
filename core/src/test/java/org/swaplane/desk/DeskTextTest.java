package org.swaplane.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DeskTextTest {
    @ParameterizedTest
    @CsvSource(
            nullValues = "null",
            value = {
                "null, ''",
                "Piers, Piers",
                "'  a\tb\r\nc\u2028d\u2029e\u0085f ', 'a b c d e f'",
                "'a\u0000\u001b[31mb\u202ec\u2066d\ud800', 'a[31mbcd'",
                "الرصيف, الرصيف",
            })
    void aLineStaysALineAndSteersNothing(String said, String shown) {
        assertThat(DeskText.line(said)).isEqualTo(shown);
    }

    @Test
    void longTextsAreCutBetweenCharacters() {
        String said = "a".repeat(499) + "\ud83d\udea2" + "b".repeat(100);

        assertThat(DeskText.line(said)).isEqualTo("a".repeat(499) + "…");
        assertThat(DeskText.lines("a\nb\u0007")).isEqualTo("a\nb");
        assertThat(DeskText.lines("x".repeat(30_000))).hasSize(20_001);
    }

    @Test
    void whatAVerdictLeavesOutIsEmptyAndItsOtherProblemsAreKept() {
        DeskVerdict.Problem bare = new DeskVerdict.Problem(null, null, null, null, null);
        DeskVerdict verdict = new DeskVerdict(1, "sum", null, false, Arrays.asList(null, bare));

        assertThat(verdict.problems())
                .containsExactly(new DeskVerdict.Problem(DeskVerdict.Kind.STRUCTURE, "", "", "", ""));
        assertThat(new DeskVerdict(1, "sum", "", true, null).problems()).isEmpty();
        assertThat(new TaskSheet("t-1", null, 1, null, null, null, null, null, null).files())
                .isEqualTo(List.of());
    }
}
