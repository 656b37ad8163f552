package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.State;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.EditRequest;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.Progress;

/** Whoever closes the window right after the last key loses nothing, and the lane is free afterwards. */
class SessionClosingTest {
    /** More of them with {@code -Drounds=1000}. */
    private static final int ROUNDS = Integer.getInteger("rounds", 30);

    private static final int SEGMENTS = 5;

    @TempDir
    private Path folder;

    private Lane open() throws IOException {
        return Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
    }

    private static List<Integer> free(TrackSnapshot of) {
        return java.util.stream.IntStream.range(0, of.size())
                .filter(index -> !of.segment(index).locked())
                .boxed()
                .limit(SEGMENTS)
                .toList();
    }

    /** Types and confirms a text at each segment, and closes at once; returns what was typed. */
    private static Map<Integer, String> typeAndClose(SessionBench bench, Random random) {
        Map<Integer, String> typed = new TreeMap<>();
        LaneSession session = bench.session;
        bench.until(session::hasSegments);
        bench.run(() -> session.viewProperty().set(ViewId.REVIEW));
        for (int index : bench.on(() -> free(session.snapshot()))) {
            String text = "Text " + random.nextInt(1_000_000);
            bench.run(() -> {
                session.currentProperty().set(index);
                for (int end = 1; end <= text.length(); end++) {
                    session.editing().type(index, Content.of(text.substring(0, end)));
                }
                session.editing().setState(index, State.REVIEWED);
            });
            typed.put(index, text);
            if (random.nextInt(3) == 0) {
                pause(random.nextInt(5));
            }
        }
        bench.close();
        return typed;
    }

    private static void pause(int millis) {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Test
    void whatWasTypedAndConfirmedIsThereHoweverSoonTheWindowIsClosed() throws IOException {
        long seed = new Random().nextLong();
        Random random = new Random(seed);
        DemoLane.create(folder.resolve("lane"), Clock.systemUTC()).close();

        for (int round = 0; round < ROUNDS; round++) {
            Map<Integer, String> typed = typeAndClose(new SessionBench(open()), random);

            try (Lane lane = open()) {
                TrackSnapshot now = lane.tracks().get(0).now();
                typed.forEach((index, text) -> {
                    assertThat(now.target(index).plainText())
                            .as("seed %d", seed)
                            .isEqualTo(text);
                    assertThat(now.state(index)).as("seed %d", seed).isEqualTo(State.REVIEWED);
                });
            }
        }
    }

    @Test
    void atTheEndOfTheProgramTheWindowsThreadWaitsAndNothingIsLost() throws IOException {
        DemoLane.create(folder.resolve("lane"), Clock.systemUTC()).close();
        SessionBench bench = new SessionBench(open());
        bench.until(bench.session::hasSegments);
        List<Integer> indices = bench.on(() -> free(bench.session.snapshot()));

        bench.run(() -> {
            indices.forEach(index -> bench.session.editing().type(index, Content.of("typed " + index)));
            bench.session.closeAndWait();
        });

        try (Lane lane = open()) {
            TrackSnapshot now = lane.tracks().get(0).now();
            assertThat(indices).allSatisfy(index -> assertThat(now.target(index).plainText())
                    .isEqualTo("typed " + index));
        }
    }

    @Test
    void workThatRunsIsToldToStopAndAwaitedBeforeTheLaneIsClosed() throws Exception {
        SessionBench bench = SessionBench.ofDemo(folder.resolve("lane"));
        CountDownLatch begun = new CountDownLatch(1);
        AtomicBoolean laneWasOpen = new AtomicBoolean();
        bench.run(() -> bench.session
                .background()
                .run(
                        "a job",
                        (Progress progress) -> {
                            begun.countDown();
                            while (!progress.cancelled()) {
                                Thread.onSpinWait();
                            }
                            // It still tidies up, with the lane.
                            laneWasOpen.set(LaneWriter.await(
                                            bench.session.lane().settings().set("tidied", "yes"))
                                    == null);
                            return true;
                        },
                        done -> {}));
        begun.await();

        bench.close();

        assertThat(laneWasOpen).isTrue();
        try (Lane lane = open()) {
            assertThat(lane.settings().get("tidied")).contains("yes");
        }
    }

    @Test
    void whatCannotBeWrittenKeepsTheSessionFromEndingUntilItCanOrIsGivenUp() throws IOException {
        SessionBench bench = SessionBench.ofDemo(folder.resolve("lane"));
        int index = bench.on(() -> free(bench.session.snapshot()).get(0));
        Path away = folder.resolve("away");
        Files.move(folder.resolve("lane"), away);
        bench.run(() -> bench.session.editing().type(index, Content.of("typed without a disk")));

        CompletableFuture<Void> closed = bench.on(bench.session::close);
        bench.until(() -> bench.session.editing().isFailing());
        assertThat(closed).isNotDone();
        Files.move(away, folder.resolve("lane"));
        closed.join();

        try (Lane lane = open()) {
            assertThat(lane.tracks().get(0).now().target(index).plainText()).isEqualTo("typed without a disk");
        }
        bench.close();
    }

    @Test
    void whatFailsAtTheEndIsSaidAndTheLaneIsFreeAllTheSame() throws IOException {
        SessionBench bench = SessionBench.ofDemo(folder.resolve("lane"));
        bench.settle();
        // Nothing can be written into a file that is a folder.
        Path index = folder.resolve("lane/memory/reviewed/index");
        bench.until(() -> Files.isDirectory(index));
        deleteAll(index);
        Files.writeString(index, "in the way");

        assertThatThrownBy(() -> bench.on(bench.session::close).join()).hasMessageContaining("memory");

        deleteAll(index);
        try (TranslationMemory again = TranslationMemory.openForWriting(index.getParent());
                Lane lane = open()) {
            assertThat(lane.isReadOnly()).isFalse();
            assertThat(again.size()).isZero();
        }
    }

    private static void deleteAll(Path path) throws IOException {
        try (java.util.stream.Stream<Path> files = Files.walk(path)) {
            for (Path each : files.sorted(java.util.Comparator.reverseOrder()).toList()) {
                Files.delete(each);
            }
        }
    }

    @Test
    void aTextThatSomebodyElseOverwroteIsCountedAsUndecided() {
        SessionBench bench = SessionBench.ofDemo(folder.resolve("lane"));
        int index = bench.on(() -> free(bench.session.snapshot()).get(0));
        TrackSnapshot before = bench.session.track().now();
        bench.run(() -> {
            EditRequest other = EditRequest.of(
                    before, StepKind.TAKEN, "Ines", Map.of(index, new Value(Content.of("theirs"), State.REVIEWED)));
            LaneWriter.await(bench.session.lane().writer().edit(other));
            bench.session.editing().type(index, Content.of("mine"));
        });
        bench.settle();

        assertThat(bench.on(() -> bench.session.editing().undecided())).isOne();
        bench.run(() -> bench.session.editing().dismissConflict(index));
        assertThat(bench.on(() -> bench.session.editing().undecided())).isZero();
        bench.close();
    }
}
