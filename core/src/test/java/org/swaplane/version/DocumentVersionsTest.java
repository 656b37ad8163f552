package org.swaplane.version;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.task.Progress;

/** Two versions of a document of each kind, written by random edits with known outcomes, read and compared as a client's files are. */
class DocumentVersionsTest {
    private static final int SIZE = 800;

    private final FormatRegistry formats = FormatRegistry.ofInstalled();

    static Stream<Arguments> kindsAndShares() {
        return Stream.of(VersionKind.values())
                .flatMap(kind -> Stream.of(Arguments.of(kind, 0.05), Arguments.of(kind, 0.2)));
    }

    private BilingualDocument read(VersionKind kind, BilingualDocument of) throws IOException {
        BilingualDocument read = formats.open(
                        kind.document(
                                of.segments().stream().map(Segment::key).toList(),
                                of.segments().stream().map(Segment::source).toList()),
                        FileOptions.ofLanguages("en", "de").with(SegmentationRules.BY_PARAGRAPH),
                        Progress.NONE)
                .document();
        assertThat(read.segments().size()).isEqualTo(of.segments().size());
        return read;
    }

    @ParameterizedTest
    @MethodSource("kindsAndShares")
    void whatBecameOfEachSegmentIsFoundInDocumentsOfEachKind(VersionKind kind, double share) throws IOException {
        EditedVersions versions = EditedVersions.of(kind.ordinal() + 100, SIZE, share, true);
        BilingualDocument old = read(kind, versions.old);
        BilingualDocument now = read(kind, versions.now);

        VersionAlignment alignment = VersionAlignment.of(old, now, Progress.NONE);

        int right = 0;
        Set<Integer> seen = new HashSet<>();
        for (SegmentMatch match : alignment.matches()) {
            seen.addAll(match.old());
            for (int j : match.now()) {
                EditedVersions.Truth truth = versions.truths.get(j);
                right += match.outcome() == truth.outcome() && match.old().equals(truth.old()) ? 1 : 0;
            }
            if (match.outcome() == Outcome.UNCHANGED) {
                assertThat(now.segments().get(match.now().get(0)).source())
                        .matches(source -> source.sameAs(
                                old.segments().get(match.old().get(0)).source()));
            }
        }
        assertThat(right / (double) now.segments().size()).isGreaterThanOrEqualTo(0.99);
        assertThat(seen).as("nothing of the old version is lost").hasSize(SIZE);
        assertThat(List.copyOf(versions.gone)).allSatisfy(i -> assertThat(alignment.matches())
                .anyMatch(
                        match -> match.outcome() == Outcome.GONE && match.old().contains(i)));
    }
}
