package org.swaplane.version;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.task.Progress;

class VersionAlignmentTest {
    @ParameterizedTest
    @CsvSource({
        "1, 5000, 0.05, true",
        "2, 5000, 0.05, false",
        "3, 5000, 0.2, true",
        "4, 5000, 0.2, false",
        "5, 40, 0.5, false"
    })
    void whatBecameOfEachSegmentIsFound(long seed, int size, double share, boolean keys) {
        EditedVersions versions = EditedVersions.of(seed, size, share, keys);
        VersionAlignment alignment = VersionAlignment.of(versions.old, versions.now, Progress.NONE);

        int right = 0;
        int all = 0;
        for (SegmentMatch match : alignment.matches()) {
            for (int j : match.now()) {
                EditedVersions.Truth truth = versions.truths.get(j);
                all++;
                boolean same = match.outcome() == truth.outcome() && match.old().equals(truth.old());
                right += same ? 1 : 0;
                if (!same && System.getProperty("show") != null) {
                    System.err.println(match + " is " + truth + " "
                            + versions.now.segments().get(j).source().plainText());
                }
            }
        }
        assertThat(all).isEqualTo(versions.now.segments().size());
        assertThat(right).isGreaterThanOrEqualTo((int) (all * (size < 100 ? 0.8 : 0.99)));
        assertThat(alignment.matches().stream()
                        .flatMap(match -> match.old().stream())
                        .sorted()
                        .toList())
                .isEqualTo(java.util.stream.IntStream.range(
                                0, versions.old.segments().size())
                        .boxed()
                        .toList());
    }

    @ParameterizedTest
    @CsvSource({"7, true", "8, false"})
    void nothingThatChangedIsCalledUnchanged(long seed, boolean keys) {
        for (int round = 0; round < 20; round++) {
            EditedVersions versions = EditedVersions.of(seed * 1000 + round, 500, 0.3, keys);
            VersionAlignment alignment = VersionAlignment.of(versions.old, versions.now, Progress.NONE);

            for (SegmentMatch match : alignment.matches()) {
                if (match.outcome() == Outcome.UNCHANGED) {
                    assertThat(versions.now
                                    .segments()
                                    .get(match.now().get(0))
                                    .source()
                                    .sameAs(versions.old
                                            .segments()
                                            .get(match.old().get(0))
                                            .source()))
                            .isTrue();
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"true", "false"})
    void aVersionIsTheSameAsItself(boolean keys) {
        EditedVersions versions = EditedVersions.of(9, 300, 0.2, keys);

        assertThat(VersionAlignment.of(versions.now, versions.now, Progress.NONE)
                        .matches())
                .allMatch(match ->
                        match.outcome() == Outcome.UNCHANGED && match.old().equals(match.now()))
                .hasSize(List.copyOf(versions.now.segments()).size());
    }
}
