package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** A process that edits, fills and cuts is killed again and again. */
class KilledProcessTest {
    /** As many as {@code -Dkills=200} says; a few by default, since each needs a new process. */
    private static final int KILLS = Integer.getInteger("kills", 4);

    private static final int MOST_EDITS = 40;
    private static final int EDITED = 20;
    private static final int FILLED = 30;
    private static final String PAGE = "<p>The ferry leaves. Be there. Bring bags.</p>";
    private static final String LETTERS = "one two three";

    @TempDir
    private Path folder;

    /** Works until it is killed; says the number of every edit once it is confirmed. */
    public static void main(String[] arguments) throws IOException {
        Lane lane = Lane.open(Path.of(arguments[0]), FormatRegistry.ofInstalled(), Clock.systemUTC());
        Track file = lane.tracks().get(0);
        Track page = lane.tracks().get(lane.tracks().size() - 1);
        for (int i = Integer.parseInt(arguments[1]); ; i++) {
            edit(lane, file, Map.of(i % EDITED, text("Stand " + i)));
            System.out.println(i);
            Map<Integer, Value> filled = new TreeMap<>();
            for (int j = FILLED; j < FILLED + 10; j++) {
                filled.put(j, text("Fill " + i));
            }
            edit(lane, file, filled);
            TrackSnapshot now = page.now();
            if (now.size() == 3) {
                new Resegmentation(lane).join(now, 0, Progress.NONE);
            } else {
                LaneWriter.await(lane.writer().undo(page));
            }
        }
    }

    private static Value text(String text) {
        return new Value(Content.of(text), State.TRANSLATED);
    }

    private static void edit(Lane lane, Track track, Map<Integer, Value> edits) {
        LaneWriter.await(lane.writer().edit(EditRequest.of(track.now(), StepKind.TYPED, "Mara", edits)));
    }

    @Test
    void noConfirmedEditIsLostAndNoStepIsHalfThere() throws Exception {
        try (Lane lane = DemoLane.create(folder, Clock.systemUTC())) {
            Track page = lane.trackStore()
                    .takeIn(
                            Source.of("page.html", PAGE.getBytes(StandardCharsets.UTF_8)),
                            FileOptions.ofLanguages("en", "de"),
                            Progress.NONE);
            String[] words = LETTERS.split(" ");
            edit(lane, page, Map.of(0, text(words[0]), 1, text(words[1]), 2, text(words[2])));
        }
        Random random = new Random(1);
        int next = 0;
        for (int kill = 0; kill < KILLS; kill++) {
            int confirmed =
                    WorkingProcess.killAfter(KilledProcessTest.class, folder, next, 1 + random.nextInt(MOST_EDITS), 0);
            check(confirmed);
            next = confirmed + 1;
        }
    }

    private void check(int confirmed) throws IOException {
        try (Lane lane = Lane.open(folder, FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            TrackSnapshot file = lane.tracks().get(0).now();
            for (int i = Math.max(0, confirmed - EDITED + 1); i <= confirmed; i++) {
                int stands =
                        Integer.parseInt(file.target(i % EDITED).plainText().replace("Stand ", ""));
                assertThat(stands).isGreaterThanOrEqualTo(i);
            }
            assertThat(IntStream.range(FILLED, FILLED + 10)
                            .mapToObj(file::target)
                            .distinct())
                    .as("a step is there as a whole, or not at all")
                    .hasSizeLessThanOrEqualTo(confirmed > 0 ? 1 : 10);
            TrackSnapshot page = lane.tracks().get(lane.tracks().size() - 1).now();
            assertThat(IntStream.range(0, page.size())
                            .mapToObj(i -> page.target(i).plainText())
                            .collect(Collectors.joining(" ")))
                    .isEqualTo(LETTERS);
        }
    }
}
