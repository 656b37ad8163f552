package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.proof.DryRun;
import org.swaplane.proof.DryRunResult;
import org.swaplane.proof.Proof;
import org.swaplane.release.Gate;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class ResegmentationTest {
    private static final String PAGE = "<p> The ferry leaves. At once. <b>Now.</b></p><p>Stay here</p>";

    @TempDir
    private Path folder;

    private Lane lane;
    private Track track;

    @BeforeEach
    void takeIn() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Marram", FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = lane.trackStore()
                .takeIn(
                        Source.of("page.html", PAGE.getBytes(StandardCharsets.UTF_8)),
                        FileOptions.ofLanguages("en", "de"),
                        Progress.NONE);
        for (int i = 0; i < track.now().size(); i++) {
            type(i, "t" + i);
        }
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private void type(int segment, String text) {
        new Work(lane, track)
                .edit(StepKind.TYPED, "Ines Falk", "", Map.of(segment, new Value(Content.of(text), State.TRANSLATED)));
    }

    private static List<String> texts(TrackSnapshot track) {
        return IntStream.range(0, track.size())
                .mapToObj(i -> track.segment(i).source().plainText() + " = "
                        + track.target(i).plainText())
                .toList();
    }

    private static String written(Track track) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        track.now().write(out, Progress.NONE);
        return out.toString(StandardCharsets.UTF_8);
    }

    private Track reopened() throws IOException {
        lane.close();
        lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        return lane.tracks().get(0);
    }

    @Test
    void joinedSegmentsAreOneWithBothTargetsAlsoAfterARestart() throws IOException {
        TrackSnapshot joined = new Resegmentation(lane).join(track.now(), 0, Progress.NONE);

        List<String> expected = List.of("The ferry leaves. At once. = t0 t1", "Now. = t2", "Stay here = t3");
        assertThat(texts(joined)).isEqualTo(expected);
        assertThat(texts(reopened().now())).isEqualTo(expected);
        assertThat(written(lane.tracks().get(0))).isEqualTo("<p> t0 t1 t2</p><p>t3</p>");
    }

    @Test
    void aSplitSegmentKeepsItsTargetInTheFirstPart() throws IOException {
        TrackSnapshot before = track.now();
        TrackSnapshot split = new Resegmentation(lane).split(before, 0, "The ferry ".length(), Progress.NONE);

        assertThat(texts(split))
                .containsExactly("The ferry = t0", "leaves. = ", "At once. = t1", "Now. = t2", "Stay here = t3");
        assertThat(split.state(1)).isEqualTo(State.INITIAL);
        assertThat(texts(new Resegmentation(lane).join(split, 0, Progress.NONE)))
                .isEqualTo(texts(before));
    }

    @Test
    void joiningIsUndoneLikeAnyStepAndRedone() throws IOException {
        List<String> before = texts(track.now());
        List<String> joined = texts(new Resegmentation(lane).join(track.now(), 0, Progress.NONE));

        new Work(lane, track).undo();
        assertThat(texts(track.now())).isEqualTo(before);
        new Work(lane, track).undo();
        assertThat(texts(track.now()).get(3)).isEqualTo("Stay here = ");
        new Work(lane, track).redo();
        new Work(lane, track).redo();

        assertThat(texts(track.now())).isEqualTo(joined);
        assertThat(texts(reopened().now())).isEqualTo(joined);
    }

    @Test
    void aSegmentKeepsItsKeyWhenOthersOfItsUnitAreCut() throws IOException {
        String key = track.now().segment(2).key();

        TrackSnapshot joined = new Resegmentation(lane).join(track.now(), 0, Progress.NONE);

        assertThat(joined.segment(1).key()).isEqualTo(key);
    }

    @Test
    void whatIsTypedWhileTheFileIsReadAnewIsTakenAlong() throws IOException {
        TrackSnapshot before = track.now();
        type(0, "late");

        assertThat(texts(new Resegmentation(lane).join(before, 0, Progress.NONE)))
                .startsWith("The ferry leaves. At once. = late t1");
    }

    @Test
    void twoCutsMadeOfTheSameSegmentsAreNotMixed() throws IOException {
        TrackSnapshot before = track.now();
        new Resegmentation(lane).join(before, 0, Progress.NONE);

        assertThatThrownBy(() -> new Resegmentation(lane).join(before, 1, Progress.NONE))
                .isInstanceOf(CannotProceedException.class);

        assertThat(texts(track.now())).hasSize(3);
    }

    @Test
    void sentencesOfScriptsWithoutSpacesAreJoinedWithoutOne() throws IOException {
        type(0, "出発します。");
        type(1, "今すぐ。");

        TrackSnapshot joined = new Resegmentation(lane).join(track.now(), 0, Progress.NONE);

        assertThat(joined.target(0).plainText()).isEqualTo("出発します。今すぐ。");
    }

    @Test
    void whatCannotBeCutIsRefusedWithTheReason() throws IOException {
        Resegmentation recut = new Resegmentation(lane);

        assertThatThrownBy(() -> recut.join(track.now(), 2, Progress.NONE))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("the last of its paragraph");
        assertThatThrownBy(() -> recut.split(track.now(), 0, 0, Progress.NONE))
                .hasMessageContaining("no text on one side");
        new CopyExport(lane)
                .send(
                        List.of(track.now()),
                        SendRequest.of("Ines", Purpose.REVIEW, SendRequest.Form.DOCX),
                        Progress.NONE)
                .get(0);
        assertThatThrownBy(() -> recut.join(track.now(), 0, Progress.NONE)).hasMessageContaining("is away");
        Track bilingual =
                lane.trackStore().takeIn(Source.of("a.xlf", DemoLane.file()), FileOptions.NONE, Progress.NONE);
        assertThatThrownBy(() -> recut.split(bilingual.now(), 0, 3, Progress.NONE))
                .hasMessageContaining("keeps the segments that it came with");
    }

    @Test
    void theFileIsStillProvenAndReleased() throws IOException {
        new Resegmentation(lane).split(track.now(), 0, "The ferry ".length(), Progress.NONE);
        new Work(lane, track)
                .edit(
                        StepKind.TYPED,
                        "Ines Falk",
                        "",
                        Map.of(
                                1,
                                new Value(Content.of("fährt jetzt gleich ab, und das ist länger."), State.TRANSLATED)));

        DryRunResult proven = DryRun.withDefaults(lane.formats())
                .run(
                        lane.trackStore().original(track),
                        lane.trackStore().options(track),
                        folder.resolve("pseudo.html"),
                        Progress.NONE);
        Gate gate = new OneRelease(lane, CheckRun.ofAllChecks()).gate(track);

        assertThat(proven.verdict()).isEqualTo(Proof.Verdict.PASS);
        assertThat(gate.conditions())
                .filteredOn(condition -> condition.id().equals("write-back"))
                .isNotEmpty()
                .allMatch(condition -> condition.holds());
    }
}
