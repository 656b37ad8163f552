package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.Provenance;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.Progress;

/** A process that reviews, and merges memories, is killed again and again. */
class KilledMemoryTest {
    /** As many as {@code -Dkills=100} says; a few by default, since each needs a new process. */
    private static final int KILLS = Integer.getInteger("kills", 3);

    private static final int SEGMENTS = 30;
    private static final int MERGED = 400;
    private static final int MOST_ROUNDS = 15;

    @TempDir
    private Path folder;

    /** Works until it is killed; says the number of each round once it is over. */
    public static void main(String[] arguments) throws Exception {
        Lane lane = Lane.open(Path.of(arguments[0], "lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        lane.memories().begin();
        Track track = lane.tracks().get(0);
        Path team = team(Path.of(arguments[0]));
        for (int i = Integer.parseInt(arguments[1]); ; i++) {
            State state = i % 3 == 2 ? State.TRANSLATED : State.REVIEWED;
            Value value = new Value(Content.of("Anleger " + i % 7), state);
            Map<Integer, Value> edits = Map.of(i % SEGMENTS, value, (i + 1) % SEGMENTS, value);
            LaneWriter.await(lane.writer().edit(EditRequest.of(track.now(), StepKind.TYPED, "Mara", edits)));
            if (i % 4 == 0) {
                lane.memories().merge(batch(Path.of(arguments[0]), i), team, Progress.NONE);
            }
            System.out.println(i);
        }
    }

    private static Path team(Path folder) {
        return folder.resolve("team").toAbsolutePath().normalize();
    }

    /** A memory that is to be merged into the other one. */
    private static Path batch(Path folder, int round) throws IOException {
        Path batch = folder.resolve("batch" + round);
        try (TranslationMemory memory = TranslationMemory.openForWriting(batch)) {
            for (int i = 0; i < MERGED; i++) {
                memory.add(unit("Batch " + round + " crossing " + i, "Überfahrt " + i));
            }
        }
        return batch;
    }

    private static MemoryUnit unit(String source, String target) {
        return new MemoryUnit(
                "en-GB",
                "de-DE",
                Content.of(source),
                Content.of(target),
                MemoryUnit.Context.UNKNOWN,
                Provenance.of("batch"));
    }

    @Test
    void aMemoryOpensHasWhatIsReviewedAndNothingTwice() throws Exception {
        String file = IntStream.range(0, SEGMENTS)
                .mapToObj(i -> "key" + i + "=Pier " + i % 11 + "\n")
                .collect(Collectors.joining());
        try (Lane lane =
                Lane.create(folder.resolve("lane"), "Spring", FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            lane.trackStore()
                    .takeIn(
                            Source.of("piers.properties", file.getBytes(StandardCharsets.UTF_8)),
                            FileOptions.ofLanguages("en-GB", "de-DE"),
                            Progress.NONE);
            lane.memories().share(team(folder), 0);
            lane.memories().setGrows(team(folder), true);
        }
        Random random = new Random(3);
        int next = 0;
        for (int kill = 0; kill < KILLS; kill++) {
            int over = WorkingProcess.killAfter(
                    KilledMemoryTest.class, folder, next, 1 + random.nextInt(MOST_ROUNDS), random.nextInt(40));
            check(next, over);
            next = over + 2;
        }
    }

    private void check(int first, int over) throws Exception {
        List<String> texts = texts(team(folder));
        assertThat(texts).doesNotHaveDuplicates();
        for (int round = first; round <= over + 1; round++) {
            String begin = "Batch " + round + " ";
            long merged = texts.stream().filter(each -> each.startsWith(begin)).count();
            if (round % 4 != 0) {
                assertThat(merged).isZero();
            } else if (round <= over) {
                assertThat(merged).isEqualTo(MERGED);
            } else {
                assertThat(merged).as("all or nothing").isIn(0L, (long) MERGED);
            }
        }
        try (Lane lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            lane.memories().begin();
            lane.memories().settle();
            TrackSnapshot now = lane.tracks().get(0).now();
            List<String> reviewed = IntStream.range(0, now.size())
                    .filter(i -> now.state(i) == State.REVIEWED)
                    .mapToObj(i -> now.segment(i).source().plainText() + " = "
                            + now.target(i).plainText())
                    .distinct()
                    .sorted()
                    .toList();
            assertThat(texts(team(folder)).stream().filter(each -> each.startsWith("Pier")))
                    .isEqualTo(reviewed);
            assertThat(texts(folder.resolve("lane/memory/reviewed"))).isEqualTo(reviewed);
        }
    }

    private static List<String> texts(Path memory) throws IOException {
        List<String> texts = new ArrayList<>();
        try (TranslationMemory open = TranslationMemory.open(memory)) {
            open.forEach(unit -> texts.add(unit.sourceWritten() + " = " + unit.targetWritten()));
        }
        return texts.stream().sorted().toList();
    }
}
