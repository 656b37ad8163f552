package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.draft.DraftService;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

class DraftingTest {
    private static final int SEGMENTS = 45;

    @TempDir
    Path folder;

    private Lane lane;
    private Track track;
    private final List<Integer> portions = new ArrayList<>();

    @BeforeEach
    void takeIn() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Spring", FormatRegistry.ofInstalled(), Clock.systemUTC());
        String text = IntStream.range(0, SEGMENTS)
                .mapToObj(i -> "k" + i + "=Pier " + i + " is open. {name}\n")
                .collect(Collectors.joining());
        track = lane.trackStore()
                .takeIn(
                        Source.of("a.properties", text.getBytes(StandardCharsets.UTF_8)),
                        FileOptions.ofLanguages("en-GB", "de-DE"),
                        Progress.NONE);
    }

    @AfterEach
    void close() {
        lane.close();
    }

    /** One that answers as told, and fails for the portions whose numbers are given. */
    private DraftService service(UnaryOperator<String> answer, Integer... failing) {
        return new DraftService() {
            @Override
            public String name() {
                return "pier";
            }

            @Override
            public List<String> draft(List<String> texts, String source, String target, Progress progress)
                    throws IOException {
                progress.checkCancelled();
                portions.add(texts.size());
                if (List.of(failing).contains(portions.size())) {
                    throw new IOException("busy");
                }
                return texts.stream().map(answer).toList();
            }
        };
    }

    private Drafting.Outcome draft(DraftService service) {
        return new Drafting(lane, service).all(track.now(), "Mara", Progress.NONE);
    }

    private long drafts() {
        return IntStream.range(0, track.now().size())
                .filter(i -> track.now().value(i).isDraft())
                .count();
    }

    @Test
    void whatIsOpenIsDraftedAndMarkedAndCountsAsNoTranslation() {
        new Work(lane, track).type("Mara", 0, Value.written(Content.of("Anleger")));

        assertThat(draft(service(text -> text.replace("open", "offen"))).drafted())
                .isEqualTo(SEGMENTS - 1);

        assertThat(track.now().target(1).plainText()).startsWith("Pier 1 is offen.");
        assertThat(track.now().state(1)).isEqualTo(State.INITIAL);
        assertThat(drafts()).isEqualTo(SEGMENTS - 1L);
        OriginCounts counts = OriginCounts.of(track.now());
        assertThat(counts.amounts().get(Origin.Kind.DRAFT).segments()).isEqualTo(SEGMENTS - 1);
        assertThat(counts.amounts().get(Origin.Kind.TYPED).segments()).isEqualTo(1);
    }

    @Test
    void theMarkStaysUntilSomebodyEditsOrReviews() throws IOException {
        draft(service(text -> "Entwurf " + text));
        Work work = new Work(lane, track);
        work.edit(
                StepKind.STATE_SET, "Mara", "", Map.of(0, new Value(track.now().target(0), State.REVIEWED)));
        work.edit(
                StepKind.STATE_SET, "Mara", "", Map.of(1, new Value(track.now().target(1), State.TRANSLATED)));
        work.type("Mara", 2, Value.written(Content.of("Anleger 2")));

        assertThat(IntStream.range(0, 4).filter(i -> track.now().value(i).isDraft()))
                .containsExactly(1, 3);
        lane.close();
        lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = lane.tracks().get(0);
        assertThat(IntStream.range(0, 4).filter(i -> track.now().value(i).isDraft()))
                .containsExactly(1, 3);
        new Work(lane, track).undo();
        assertThat(track.now().value(2).isDraft()).isTrue();
    }

    @Test
    void aDraftWithOtherTagsOrNoTextIsLeftOut() {
        Drafting.Outcome outcome = draft(service(text -> text.contains("Pier 1 ")
                ? text.replaceAll("⟦.*?⟧", "")
                : text.contains("Pier 2 ") ? "  " : text.contains("Pier 3 ") ? "a\u0001" + text : text));

        assertThat(outcome.unusable()).isEqualTo(3);
        assertThat(Drafting.open(track.now())).containsExactly(1, 2, 3);
    }

    @Test
    void whatFailedIsAskedForAgainAndNothingElse() {
        Drafting.Outcome outcome = draft(service(text -> text, 2));
        assertThat(outcome.drafted()).isEqualTo(SEGMENTS - 10);
        assertThat(outcome.failed()).isEqualTo(10);
        assertThat(outcome.problem()).isEqualTo("busy");

        portions.clear();
        assertThat(draft(service(text -> text)).drafted()).isEqualTo(10);
        assertThat(portions).containsExactly(10);
    }

    @Test
    void aServiceThatDoesNotAnswerIsNotAskedOnAndOn() {
        Drafting.Outcome outcome = draft(service(text -> text, 1, 2, 3, 4, 5));

        assertThat(portions).hasSize(3);
        assertThat(outcome.failed()).isEqualTo(SEGMENTS);
        assertThat(outcome.drafted()).isZero();
    }

    @Test
    void whatArrivedBeforeACancelStays() {
        Progress afterTwo = new Progress() {
            @Override
            public void at(long done, long total) {}

            @Override
            public boolean cancelled() {
                return portions.size() == 2;
            }
        };

        Drafting.Outcome outcome = new Drafting(lane, service(text -> text)).all(track.now(), "Mara", afterTwo);

        assertThat(outcome.cancelled()).isTrue();
        assertThat(outcome.drafted()).isEqualTo(20);
        assertThat(drafts()).isEqualTo(20);
    }

    @Test
    void draftsThatNobodyTouchedAreTakenOutInOneStep() {
        draft(service(text -> text));
        Work work = new Work(lane, track);
        work.type("Mara", 5, Value.written(Content.of("Anleger 5")));

        assertThat(Drafting.clear(lane, track.now(), "Mara")).isEqualTo(SEGMENTS - 1);
        assertThat(Drafting.open(track.now())).hasSize(SEGMENTS - 1).doesNotContain(5);
        work.undo();
        assertThat(drafts()).isEqualTo(SEGMENTS - 1L);
    }
}
