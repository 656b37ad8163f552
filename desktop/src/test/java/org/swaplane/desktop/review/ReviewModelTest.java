package org.swaplane.desktop.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.desktop.session.LaneSession;
import org.swaplane.desktop.session.SegmentSelection;
import org.swaplane.desktop.session.SessionBench;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.review.SegmentFilter;
import org.swaplane.review.SegmentFilter.Order;
import org.swaplane.review.SegmentFilter.Range;
import org.swaplane.review.SegmentFilter.Trait;
import org.swaplane.task.Progress;

/** Which segments are listed, which of them are meant, and where one goes, without a window. */
class ReviewModelTest {
    /** With two pairs of tags. */
    private static final int CROSSINGS = 1;

    @TempDir
    private Path folder;

    private SessionBench bench;
    private LaneSession session;
    private ReviewModel model;

    @BeforeEach
    void open() {
        bench = SessionBench.ofDemo(folder.resolve("lane"));
        session = bench.session;
        model = bench.on(() -> new ReviewModel(session));
        filter(SegmentFilter.ALL, "");
    }

    @AfterEach
    void close() {
        bench.close();
    }

    private void filter(SegmentFilter filter, String text) {
        bench.run(() -> model.filter(filter, -1, text, () -> {}));
    }

    private List<Integer> listed() {
        return bench.on(() -> List.copyOf(model.listed()));
    }

    private int current() {
        return bench.on(() -> session.currentProperty().get());
    }

    private void go(int index) {
        bench.run(() -> {
            model.cameFrom(session.currentProperty().get(), index);
            session.currentProperty().set(index);
        });
    }

    private TrackSnapshot now() {
        return bench.on(session::snapshot);
    }

    private long reviewed() {
        TrackSnapshot now = now();
        return IntStream.range(0, now.size())
                .filter(i -> now.state(i) == State.REVIEWED)
                .count();
    }

    @Test
    void whatTheFilterLeavesOutIsPassedByAndThePositionFollowsTheList() {
        filter(SegmentFilter.of(Trait.FINDING), "");
        List<Integer> found = listed();
        assertThat(found).isNotEmpty().allMatch(index -> !bench.on(
                        () -> session.checking().open(index))
                .isEmpty());
        assertThat(current()).isEqualTo(found.get(0));

        bench.run(() -> model.move(1));
        assertThat(current()).isEqualTo(found.get(1));
        assertThat(bench.on(() -> model.position(found.get(1)))).isEqualTo(1);
        int left = IntStream.range(0, now().size())
                .filter(i -> !found.contains(i))
                .findFirst()
                .orElseThrow();
        assertThat(bench.on(() -> model.position(left))).isNegative();
    }

    @Test
    void aListInAnotherOrderIsWalkedInThatOrder() {
        filter(SegmentFilter.ALL.in(Order.LENGTH), "");
        List<Integer> sorted = listed();
        assertThat(sorted)
                .hasSize(now().size())
                .isNotEqualTo(new TreeSet<>(sorted).stream().toList());

        go(sorted.get(3));
        bench.run(() -> model.move(1));

        assertThat(current()).isEqualTo(sorted.get(4));
    }

    @Test
    void whoChangedASegmentIsAskedInTheBackground() {
        bench.run(() -> session.editing().type(2, Content.of("Neu")));
        bench.settle();
        SegmentFilter byPerson = new SegmentFilter(
                Set.of(),
                Set.of(),
                Set.of(),
                session.lane().settings().person(),
                "",
                Range.ANY,
                Range.ANY,
                "",
                "",
                Order.DOCUMENT);

        List<Boolean> whileListing = new ArrayList<>();
        bench.run(() ->
                session.currentProperty().addListener((property, before, now) -> whileListing.add(model.isListing())));
        filter(byPerson, "");

        bench.until(() -> model.listed().equals(List.of(2)));
        // Whoever types a filter must not find the keyboard elsewhere when the list comes.
        assertThat(whileListing).containsExactly(true);
    }

    @Test
    void severalSegmentsAreReviewedInOneStepThatIsTakenBack() {
        go(0);
        bench.run(() -> {
            model.extend(1);
            model.extend(1);
            model.reviewed();
        });
        bench.settle();
        assertThat(reviewed()).isEqualTo(3);

        bench.run(session.editing()::undo);
        bench.settle();
        assertThat(reviewed()).isZero();
    }

    @Test
    void segmentsAreTakenToTheChosenAndFromThemByTheMouse() {
        go(1);
        bench.run(() -> {
            model.toggleChosen(4);
            model.toggleChosen(6);
            model.toggleChosen(4);
        });
        assertThat(bench.on(model::chosen)).containsExactlyInAnyOrder(1, 6);

        bench.run(() -> model.chooseTo(3));
        assertThat(bench.on(model::chosen)).containsExactlyInAnyOrder(1, 2, 3);
        bench.run(model::forgetChosen);
        assertThat(bench.on(model::chosen)).isEmpty();
    }

    @Test
    void clearedTargetsAndCopiesOfTheSourceAreOneStepEach() {
        go(2);
        bench.run(() -> {
            model.extend(1);
            model.clearTargets();
        });
        bench.settle();
        assertThat(now().target(2).isEmpty() && now().target(3).isEmpty()).isTrue();

        bench.run(session.editing()::undo);
        bench.settle();
        assertThat(now().target(2).isEmpty() || now().target(3).isEmpty()).isFalse();
    }

    @Test
    void aFigureElsewhereNarrowsTheListToItsSegments() {
        String key = now().segment(5).key();
        bench.run(() -> session.show(new SegmentSelection(session.track(), Set.of(key), "Fuzzy")));
        filter(SegmentFilter.ALL, "");
        assertThat(listed()).containsExactly(5);

        bench.run(() -> session.selectionProperty().set(null));
        filter(SegmentFilter.ALL, "");
        assertThat(listed()).hasSize(now().size());
    }

    @Test
    void afterAJumpOneComesBackAndGoingOnIsNoJump() {
        go(2);
        go(3);
        go(20);
        go(40);

        bench.run(model::jumpBack);
        assertThat(current()).isEqualTo(20);
        bench.run(model::jumpBack);
        assertThat(current()).isEqualTo(3);
    }

    @Test
    void theNextOfAKindIsFoundFromTheTopAgainAndSaidWhereThereIsNone() {
        int last = now().size() - 1;
        go(last);
        bench.run(model::nextFinding);
        int first = current();
        assertThat(bench.on(() -> session.checking().open(first))).isNotEmpty();

        filter(SegmentFilter.ALL, "Timetable");
        bench.run(model::nextNote);
        assertThat(current()).isNotNegative();
    }

    @Test
    void aTagIsMeantByItsNumberWithBothItsHalves() {
        go(CROSSINGS);
        Content source = now().segment(CROSSINGS).source();

        assertThat(bench.on(() -> model.missingTags(Content.of("Neu"), 2)))
                .extracting(Tag::kind)
                .containsExactly(Tag.Kind.OPEN, Tag.Kind.CLOSE);
        assertThat(bench.on(() -> model.missingTags(source, 2))).isEmpty();
        assertThat(bench.on(() -> model.missingTags(Content.of("Neu"), 9))).isEmpty();
    }

    @Test
    void repetitionsFollowWhatIsReviewedWhereTheLaneSaysSo() throws IOException {
        close();
        Lane lane = Lane.create(folder.resolve("own"), "Own", FormatRegistry.ofInstalled(), Clock.systemUTC());
        lane.trackStore()
                .takeIn(
                        Source.of("a.properties", "a=Pier\nb=Deck\nc=Pier\n".getBytes(StandardCharsets.UTF_8)),
                        FileOptions.ofLanguages("en", "de"),
                        Progress.NONE);
        bench = new SessionBench(lane);
        session = bench.session;
        model = bench.on(() -> new ReviewModel(session));
        bench.until(() -> session.hasSegments() && session.checking().isMade());
        filter(SegmentFilter.ALL, "");

        LaneWriter.await(lane.settings().set(LaneDetail.REPETITIONS_FOLLOW, "true"));
        bench.run(() -> {
            session.editing().type(0, Content.of("Anleger"));
            model.reviewed();
        });
        bench.settle();

        assertThat(now().state(0)).isEqualTo(State.REVIEWED);
        assertThat(now().target(2).plainText()).isEqualTo("Anleger");
        assertThat(now().state(2)).isEqualTo(State.TRANSLATED);
        assertThat(current()).isEqualTo(1);
    }

    @Test
    void aSegmentWithoutATargetIsNotMarkedAndThatIsSaid() {
        int empty = bench.on(() -> IntStream.range(0, session.snapshot().size())
                .filter(session.snapshot()::isUntranslated)
                .findFirst()
                .orElseThrow());
        bench.run(() -> {
            session.currentProperty().set(empty);
            model.reviewed();
        });
        bench.settle();

        assertThat(now().state(empty)).isEqualTo(State.INITIAL);
        assertThat(current()).isEqualTo(empty);
        assertThat(bench.message()).contains("no target");
    }
}
