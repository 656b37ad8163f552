package org.swaplane.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.swaplane.review.ReviewLane.unit;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Origin;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Value;
import org.swaplane.review.SegmentFilter.Order;
import org.swaplane.review.SegmentFilter.Range;
import org.swaplane.review.SegmentFilter.Trait;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class FilteredSegmentsTest {
    @TempDir
    Path folder;

    private ReviewLane lane;

    @BeforeEach
    void takeIn() throws IOException {
        lane = new ReviewLane(
                folder,
                unit("a", "Winter timetable", "Winterfahrplan")
                        + unit("b", "Pier <x id=\"1\"/> at 14:05", "")
                        + unit("c", "Dogs travel free", "Dogs travel free")
                        + unit("d", "Winter timetable", "")
                        + "<trans-unit id=\"e\" translate=\"no\"><source>Gullwick</source><target>Gullwick</target>"
                        + "<note>Island</note></trans-unit>");
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private List<Integer> list(SegmentFilter filter) {
        FilteredSegments.Known known = new FilteredSegments.Known(
                Map.of(1, Set.of("numbers", "tags"), 0, Set.of("term")),
                lane.lane.notes().of(lane.track),
                lane.lane.notes().bookmarks(lane.track),
                Set.of(),
                "");
        return new FilteredSegments(lane.now(), known).of(filter, Progress.NONE);
    }

    private static SegmentFilter filter(String person, String since, Range score, Range length, String check) {
        return new SegmentFilter(Set.of(), Set.of(), Set.of(), person, since, score, length, check, "", Order.DOCUMENT);
    }

    @Test
    void eachTraitIsTold() {
        assertThat(list(SegmentFilter.of(Trait.OPEN))).containsExactly(0, 1, 2, 3);
        assertThat(list(SegmentFilter.of(Trait.EMPTY))).containsExactly(1, 3);
        assertThat(list(SegmentFilter.of(Trait.LOCKED))).containsExactly(4);
        assertThat(list(SegmentFilter.of(Trait.PREFILLED))).containsExactly(2);
        assertThat(list(SegmentFilter.of(Trait.NOTE))).containsExactly(4);
        assertThat(list(SegmentFilter.of(Trait.FINDING))).containsExactly(0, 1);
        assertThat(list(SegmentFilter.of(Trait.REPEATED))).containsExactly(0, 3);
        assertThat(list(SegmentFilter.of(Trait.TAGS))).containsExactly(1);
        assertThat(list(SegmentFilter.of(Trait.NUMBERS))).containsExactly(1);
        assertThat(list(SegmentFilter.of(State.TRANSLATED))).containsExactly(0, 2);
    }

    @Test
    void allThatIsSetMustHold() {
        assertThat(list(SegmentFilter.of(Trait.REPEATED, Trait.EMPTY))).containsExactly(3);
        assertThat(list(SegmentFilter.of(Trait.EMPTY).withText("WINTER"))).containsExactly(3);
        assertThat(list(SegmentFilter.ALL)).hasSize(5);
        assertThat(SegmentFilter.ALL.in(Order.LENGTH).leavesAll()).isTrue();
    }

    @Test
    void whoChangedWhatWhenAndFromWhereIsAsked() {
        lane.type("Ines Falk", 1, "Anleger um 14:05");
        lane.edit(
                StepKind.PROPOSED,
                "Mara",
                3,
                Value.written(Content.of("Winterfahrplan")).from(Origin.memory(82, "client.tmx")));

        assertThat(list(filter("falk", "", Range.ANY, Range.ANY, ""))).containsExactly(1);
        assertThat(list(filter("", LocalDate.now().toString(), Range.ANY, Range.ANY, "")))
                .containsExactly(1, 3);
        assertThat(list(filter("", LocalDate.now().plusDays(2).toString(), Range.ANY, Range.ANY, "")))
                .isEmpty();
        assertThat(list(filter("", "", new Range(75, 84), Range.ANY, ""))).containsExactly(3);
        assertThat(list(filter("", "", Range.ANY, new Range(-1, 8), ""))).containsExactly(4);
        assertThat(list(filter("", "", Range.ANY, Range.ANY, "numbers"))).containsExactly(1);
        assertThat(list(new SegmentFilter(
                        Set.of(),
                        Set.of(),
                        Set.of(Origin.Kind.MEMORY),
                        "",
                        "",
                        Range.ANY,
                        Range.ANY,
                        "",
                        "",
                        Order.DOCUMENT)))
                .containsExactly(3);
        assertThat(list(SegmentFilter.of(Trait.CHANGED))).containsExactly(1, 3);
        assertThatThrownBy(() -> list(filter("", "yesterday", Range.ANY, Range.ANY, "")))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("yesterday");
    }

    @Test
    void notesAndBookmarksOfPeopleHereCount() {
        LaneWriter.await(lane.lane.notes().add(lane.track, lane.now().segment(2).key(), -1, -1, "Cats, too?", "Mara"));
        LaneWriter.await(lane.lane
                .notes()
                .toggleBookmark(lane.track, lane.now().segment(1).key()));
        assertThat(list(SegmentFilter.of(Trait.OWN_NOTE))).containsExactly(2);
        assertThat(list(SegmentFilter.of(Trait.BOOKMARK))).containsExactly(1);

        LaneWriter.await(lane.lane
                .notes()
                .settle(lane.track, lane.lane.notes().of(lane.track).get(0), true));
        assertThat(list(SegmentFilter.of(Trait.OWN_NOTE))).isEmpty();
    }

    @Test
    void listsComeInTheOrderThatIsWanted() {
        lane.review(0);
        assertThat(list(SegmentFilter.ALL.in(Order.SOURCE))).containsExactly(2, 4, 1, 0, 3);
        assertThat(list(SegmentFilter.ALL.in(Order.LENGTH))).startsWith(0, 2, 3);
        assertThat(list(SegmentFilter.ALL.in(Order.STATE))).startsWith(1, 3).endsWith(0);
    }

    @ParameterizedTest
    @EnumSource(Trait.class)
    void aFilterIsKeptAsItIs(Trait trait) {
        SegmentFilter filter = new SegmentFilter(
                Set.of(State.INITIAL),
                Set.of(trait),
                Set.of(Origin.Kind.DRAFT),
                "Ines",
                "2026-11-01",
                new Range(50, 99),
                new Range(-1, 20),
                "term",
                "\"ferry\"",
                Order.SCORE);

        assertThat(SegmentFilter.ofJson(filter.toJson())).contains(filter);
        assertThat(SegmentFilter.ofJson("{}x")).isEmpty();
    }
}
