package org.swaplane.memory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class PairListTest {
    private static final PairList PAIRS = new PairList(List.of(
            new AlignedPair(List.of(0), List.of(0), 0.9),
            new AlignedPair(List.of(1, 2), List.of(1), 0.5),
            new AlignedPair(List.of(), List.of(2), 0.3),
            new AlignedPair(List.of(3), List.of(3, 4), 0.7)));

    /** Source and target positions of each pair. */
    private static List<List<List<Integer>>> positions(PairList list) {
        return list.pairs().stream()
                .map(pair -> List.of(pair.source(), pair.target()))
                .toList();
    }

    @Test
    void pairsAreJoinedSplitPartedAndMoved() {
        assertThat(positions(PAIRS.join(1)))
                .containsExactly(
                        List.of(List.of(0), List.of(0)),
                        List.of(List.of(1, 2), List.of(1, 2)),
                        List.of(List.of(3), List.of(3, 4)));
        assertThat(positions(PAIRS.split(1)).subList(1, 3))
                .containsExactly(List.of(List.of(1), List.of(1)), List.of(List.of(2), List.of()));
        assertThat(positions(PAIRS.part(0)).subList(0, 2))
                .containsExactly(List.of(List.of(0), List.of()), List.of(List.of(), List.of(0)));
        assertThat(positions(PAIRS.moveTargetUp(2)).subList(1, 3))
                .containsExactly(List.of(List.of(1, 2), List.of(1, 2)), List.of(List.of(3), List.of(3, 4)));
        assertThat(positions(PAIRS.moveTargetDown(0)).subList(0, 2))
                .containsExactly(List.of(List.of(0), List.of()), List.of(List.of(1, 2), List.of(0, 1)));
    }

    @Test
    void theLeastCertainPairComesFirstUntilItIsConfirmed() {
        assertThat(PAIRS.mostDoubtful()).contains(2);
        assertThat(PAIRS.confirm(2).mostDoubtful()).contains(1);
        assertThat(PAIRS.confirm(2).join(0).confirm(2).mostDoubtful()).isEmpty();
    }

    @Property(tries = 300)
    void nothingIsLostOrReordered(@ForAll @Size(max = 40) List<@IntRange(max = 599) Integer> edits) {
        PairList list = PAIRS;
        for (int edit : edits) {
            int at = edit / 6 % list.pairs().size();
            list = switch (edit % 6) {
                case 0 -> list.join(at);
                case 1 -> list.split(at);
                case 2 -> list.part(at);
                case 3 -> list.moveTargetDown(at);
                case 4 -> list.moveTargetUp(at);
                default -> list.confirm(at);
            };
        }
        List<Integer> sources = new ArrayList<>();
        List<Integer> targets = new ArrayList<>();
        list.pairs().forEach(pair -> {
            sources.addAll(pair.source());
            targets.addAll(pair.target());
        });
        assertThat(sources).containsExactly(0, 1, 2, 3);
        assertThat(targets).containsExactly(0, 1, 2, 3, 4);
    }
}
