package org.swaplane.compare;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EditDistanceTest {
    private static int[] symbols(String text) {
        return text.codePoints().toArray();
    }

    @ParameterizedTest
    @CsvSource({
        "'', '', 0",
        "'', pier, 4",
        "pier, pier, 0",
        "pier, pire, 1",
        "14:05, 15:04, 2",
        "ca, abc, 3",
        "abcdef, badcfe, 3",
        "Fähre, Fähren, 1"
    })
    void insertionDeletionSubstitutionAndSwapCostOneEach(String one, String other, int distance) {
        assertThat(EditDistance.between(symbols(one), symbols(other), 100)).isEqualTo(distance);
        assertThat(EditDistance.between(symbols(other), symbols(one), 100)).isEqualTo(distance);
    }

    @ParameterizedTest
    @CsvSource({"'', '', 100", "abc, abc, 100", "abc, abd, 66", "abc, xyz, 0", "abcdefghijkl, abcdefghijk, 91"})
    void similarityIsInPercentOfTheLongerTextRoundedDown(String one, String other, int similarity) {
        assertThat(EditDistance.similarity(symbols(one), symbols(other))).isEqualTo(similarity);
    }

    /** The table of all cells, as the definition has it. */
    private static int byDefinition(int[] one, int[] other) {
        int[][] table = new int[one.length + 1][other.length + 1];
        for (int i = 0; i <= one.length; i++) {
            for (int j = 0; j <= other.length; j++) {
                if (i == 0 || j == 0) {
                    table[i][j] = i + j;
                    continue;
                }
                int changed = table[i - 1][j - 1] + (one[i - 1] == other[j - 1] ? 0 : 1);
                table[i][j] = Math.min(changed, 1 + Math.min(table[i - 1][j], table[i][j - 1]));
                if (i > 1 && j > 1 && one[i - 1] == other[j - 2] && one[i - 2] == other[j - 1]) {
                    table[i][j] = Math.min(table[i][j], 1 + table[i - 2][j - 2]);
                }
            }
        }
        return table[one.length][other.length];
    }

    /** Few different symbols, so that much matches by chance; some are far apart, as tags and rare letters are. */
    @Provide
    Arbitrary<int[]> texts() {
        return Arbitraries.of(1, 2, 3, -7, 0x1F6A2).array(int[].class).ofMaxSize(200);
    }

    @Property(tries = 400)
    void itIsWhatTheDefinitionSays(@ForAll("texts") int[] one, @ForAll("texts") int[] other) {
        assertThat(EditDistance.between(one, other, 1_000)).isEqualTo(byDefinition(one, other));
    }

    @Property(tries = 400)
    void itIsExactUpToTheMostAndAnyNumberAboveItElse(
            @ForAll("texts") int[] one, @ForAll("texts") int[] other, @ForAll @IntRange(max = 200) int most) {
        int distance = byDefinition(one, other);
        int found = EditDistance.between(one, other, most);
        if (distance <= most) {
            assertThat(found).isEqualTo(distance);
        } else {
            assertThat(found).isGreaterThan(most);
        }
    }

    @Property(tries = 300)
    void aFewEditsOfALongTextAreFound(
            @ForAll("texts") int[] one, @ForAll @IntRange(max = 6) int swaps, @ForAll @IntRange(max = 1_000) int at) {
        int[] other = one.clone();
        for (int i = 0; i < swaps && other.length > 1; i++) {
            int place = (at + 31 * i) % (other.length - 1);
            int kept = other[place];
            other[place] = other[place + 1];
            other[place + 1] = kept;
        }
        assertThat(EditDistance.between(one, other, 12)).isEqualTo(byDefinition(one, other));
    }
}
