package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.State;
import org.swaplane.exchange.RowChange;
import org.swaplane.extension.ExtensionRules;
import org.swaplane.extension.Meaning;
import org.swaplane.extension.ReadingRule;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.CancelledException;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** One types, another does everything else at the same time; nothing that was confirmed may be lost or land elsewhere. */
class LaneStormTest {
    private static final int STEPS = 10_000;
    private static final String PAGE =
            "<p>The ferry leaves at 14:05. Be there at 13:50. Bring 2 bags. Wait at pier 3.</p>"
                    + "<p>Dogs travel free. The bar closes at 20:30. Deck 2 is quiet.</p>";

    @TempDir
    private Path folder;

    private final long seed = Long.getLong("storm.seed", new Random().nextLong());
    private final Map<Track, Map<String, Value>> told = new ConcurrentHashMap<>();
    private final List<String> lost = Collections.synchronizedList(new ArrayList<>());
    private Lane lane;
    private Track file;
    private Track page;

    /** Follows what the lane tells, as every view does. */
    private final class Follower implements LaneListener {
        @Override
        public void stepped(TrackSnapshot now, Step step) {
            Map<String, Value> values = told.computeIfAbsent(now.track(), none -> new HashMap<>());
            step.changes().forEach(change -> values.put(change.key(), change.after()));
            compare(now);
        }

        @Override
        public void reread(TrackSnapshot now) {
            Map<String, Value> before = told.getOrDefault(now.track(), Map.of());
            if (now.track() == page && !text(before).equals(text(values(now)))) {
                lost.add("cut: " + text(before) + " became " + text(values(now)));
            }
            told.put(now.track(), values(now));
        }

        private void compare(TrackSnapshot now) {
            told.get(now.track()).forEach((key, value) -> {
                if (now.index(key).isPresent()
                        && !now.target(now.index(key).getAsInt()).equals(value.target())) {
                    lost.add(key + " should be " + value);
                }
            });
        }
    }

    private static Map<String, Value> values(TrackSnapshot now) {
        Map<String, Value> values = new HashMap<>();
        for (int i = 0; i < now.size(); i++) {
            values.put(now.segment(i).key(), now.value(i));
        }
        return values;
    }

    /** All letters that stand in a track, however they are cut. */
    private static String text(Map<String, Value> values) {
        return values.values().stream()
                .flatMapToInt(value -> value.target().plainText().chars())
                .filter(c -> c != ' ')
                .sorted()
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }

    @Test
    void everyConfirmedEditStandsUnderItsSegment() throws Exception {
        System.out.println("storm.seed = " + seed);
        lane = DemoLane.create(folder.resolve("lane"), Clock.systemUTC());
        file = lane.tracks().get(0);
        page = lane.trackStore()
                .takeIn(
                        Source.of("page.html", PAGE.getBytes(StandardCharsets.UTF_8)),
                        FileOptions.ofLanguages("en", "de"),
                        Progress.NONE);
        told.put(file, values(file.now()));
        told.put(page, values(page.now()));
        lane.writer().listen(new Follower());
        List<Throwable> failures = Collections.synchronizedList(new ArrayList<>());
        try (LiveFindings findings = new LiveFindings(lane, failing(failures))) {
            Others others = new Others(findings, failures);
            Thread elsewhere = new Thread(others, "others");
            elsewhere.start();
            int conflicts = type(new Random(seed));
            others.ended = true;
            elsewhere.join();

            assertThat(failures).isEmpty();
            assertThat(lost).isEmpty();
            System.out.println(conflicts + " conflicts, " + others.done + " other jobs");
            assertThat(values(file.now())).isEqualTo(told.get(file));
            findings.check(lane.tracks(), CheckRun.ofAllChecks(), Progress.NONE);
            type(new Random(seed + 1), 50);
            findings.settle();
            assertThat(open(findings)).isEqualTo(fresh());
        }
        Map<String, Value> last = values(file.now());
        Map<String, Value> lastOfPage = values(page.now());
        lane.close();
        try (Lane again = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            assertThat(values(again.track(file.id()).now())).isEqualTo(last);
            assertThat(values(again.track(page.id()).now())).isEqualTo(lastOfPage);
        }
    }

    private static LiveFindings.Listener failing(List<Throwable> failures) {
        return new LiveFindings.Listener() {
            @Override
            public void changed(Map<Track, TrackFindings> findings) {}

            @Override
            public void outdated(List<Track> tracks) {}

            @Override
            public void failed(Throwable failure) {
                failures.add(failure);
            }
        };
    }

    private int type(Random random) {
        return type(random, STEPS);
    }

    /** Types on what is seen now, or was seen a while ago; returns how often that was refused. */
    private int type(Random random, int steps) {
        int conflicts = 0;
        Map<Track, TrackSnapshot> seen = new HashMap<>();
        for (int i = 0; i < steps; i++) {
            Track track = random.nextBoolean() ? file : page;
            if (random.nextInt(4) > 0 || !seen.containsKey(track)) {
                seen.put(track, track.now());
            }
            TrackSnapshot made = seen.get(track);
            int index = random.nextInt(made.size());
            if (made.segment(index).locked()) {
                continue;
            }
            Value after = new Value(Content.of("Nr. " + i), State.TRANSLATED);
            EditOutcome outcome = LaneWriter.await(
                    lane.writer().edit(EditRequest.of(made, StepKind.TYPED, "Mara", Map.of(index, after))));
            conflicts += outcome.conflicts().size();
            boolean made1 = outcome.step().isPresent();
            if (made1 == !outcome.conflicts().isEmpty()) {
                lost.add("neither written nor refused, or both: " + outcome);
            }
        }
        return conflicts;
    }

    private Map<Track, List<Finding>> open(LiveFindings findings) {
        Map<Track, List<Finding>> open = new HashMap<>();
        findings.findings().forEach((track, found) -> open.put(track, found.all()));
        return open;
    }

    /** What a run finds that knows nothing of what was before. */
    private Map<Track, List<Finding>> fresh() {
        CheckScope scope = new CheckScope(lane.tracks(), CheckRun.ofAllChecks(), lane.findings());
        scope.run(Progress.NONE, java.util.concurrent.ForkJoinPool.commonPool());
        Map<Track, List<Finding>> open = new HashMap<>();
        scope.open().forEach((track, found) -> open.put(track, found.all()));
        return open;
    }

    /** Cuts, reads by other rules, takes what came back, checks, releases, and is cancelled at any time. */
    private final class Others implements Runnable {
        private final Random random = new Random(seed ^ 1);
        private final LiveFindings findings;
        private final List<Throwable> failures;
        private final AtomicInteger copies = new AtomicInteger();
        private volatile boolean ended;
        private int done;

        private Others(LiveFindings findings, List<Throwable> failures) {
            this.findings = findings;
            this.failures = failures;
        }

        @Override
        public void run() {
            while (!ended) {
                try {
                    one(random.nextInt(8), random.nextInt(3) == 0 ? cancelledAfter(random.nextInt(6)) : Progress.NONE);
                    done++;
                } catch (CancelledException | CannotProceedException e) {
                    // What cannot be done now, or was stopped, must have changed nothing; that is what is tested.
                    continue;
                } catch (Throwable e) {
                    failures.add(e);
                }
            }
        }

        private void one(int what, Progress progress) throws IOException {
            TrackSnapshot now = page.now();
            int index = random.nextInt(now.size());
            switch (what) {
                case 0 -> new Resegmentation(lane).join(now, index, progress);
                case 1 -> new Resegmentation(lane).split(now, index, 4, progress);
                case 2 -> lane.trackStore().setRules(random.nextBoolean() ? ExtensionRules.NONE : frozen(), progress);
                case 3 -> takeReturned(progress);
                case 4 -> findings.check(lane.tracks(), CheckRun.ofAllChecks(), progress);
                case 5 -> release(progress);
                case 6 -> (random.nextBoolean() ? page : file).unload();
                default -> lane.findings().of(file);
            }
        }

        private ExtensionRules frozen() {
            return ExtensionRules.NONE.with(
                    new ReadingRule("urn:example", "trans-unit", "frozen", "yes", Meaning.LOCKED));
        }

        private void takeReturned(Progress progress) throws IOException {
            Path sent = new CopyExport(lane)
                    .send(
                            List.of(file.now()),
                            SendRequest.of("Ines Falk", Purpose.REVIEW, SendRequest.Form.FILE),
                            progress)
                    .get(0)
                    .file();
            Path back = sent.resolveSibling("back-" + copies.incrementAndGet() + ".xlf");
            String text = java.nio.file.Files.readString(sent);
            java.nio.file.Files.writeString(back, text.replace("Nr. 1", "Nr. one "));
            Source copy = Source.of(back);
            ReturnImport returns = new ReturnImport(lane);
            ReturnImport.Recognised recognised = returns.recognise(
                            copy, lane.formats().open(copy, progress).document(), progress)
                    .orElseThrow();
            returns.take(
                    recognised,
                    recognised.reading().safe().stream()
                            .map(RowChange::number)
                            .collect(java.util.stream.Collectors.toSet()));
        }

        private void release(Progress progress) throws IOException {
            OneRelease delivery = new OneRelease(lane, CheckRun.ofAllChecks());
            delivery.release(file, "in a storm");
        }

        private Progress cancelledAfter(int calls) {
            return new Progress() {
                private int left = calls;

                @Override
                public void at(long done, long total) {}

                @Override
                public boolean cancelled() {
                    return --left < 0;
                }
            };
        }
    }
}
