package org.swaplane.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import javafx.application.Platform;
import javafx.stage.Window;
import org.swaplane.desktop.Desktop;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.Lane;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.task.Progress;

/**
 * Types into the real window by keys and ends it at random moments: closed by the window manager, by the window's close message, by SIGTERM,
 * or killed. Then every text must stand in the segment that it was typed into, and once. Needs a display with a window manager, xdotool and wmctrl.
 *
 * <p>Arguments: rounds; {@code close} or {@code kill}; a seed.
 */
public final class EndingBench {
    private static final String NEXT_EMPTY = "Next segment without";
    private static final int SEGMENTS = 6000;
    private static final int MOST_TEXTS = 6;
    private static final String READY = "ready";
    private static final long SHOWN_MILLIS = 2000;
    /** What is typed this short before a kill may still be on its way from the keyboard, on a machine that has other things to do as well. */
    private static final long ON_ITS_WAY_MILLIS = 1500;

    private final Path folder;
    private final boolean kills;
    private final Random random;
    /** Everything that must be there, from all rounds. */
    private final Map<String, State> expected = new LinkedHashMap<>();

    private int lost;
    private int unconfirmed;
    private int misplaced;

    /** A text that was typed, and when. */
    private record Typed(String text, boolean confirmed, long atNanos) {}

    private EndingBench(Path folder, boolean kills, long seed) {
        this.folder = folder;
        this.kills = kills;
        this.random = new Random(seed);
    }

    public static void main(String[] arguments) throws Exception {
        if (arguments[0].equals("window")) {
            Thread looking = new Thread(EndingBench::sayReady, "ready");
            looking.setDaemon(true);
            looking.start();
            Desktop.open(Optional.of(Path.of(arguments[1])));
            return;
        }
        long seed = arguments.length > 2 ? Long.parseLong(arguments[2]) : System.nanoTime();
        Path folder = Files.createTempDirectory("swaplane-ending");
        EndingBench bench = new EndingBench(folder, arguments[1].equals("kill"), seed);
        bench.makeLane();
        int rounds = Integer.parseInt(arguments[0]);
        for (int round = 1; round <= rounds; round++) {
            bench.round(round);
            System.out.printf(
                    "round %d (seed %d): %d texts typed, %d lost, %d without their confirmation, %d misplaced%n",
                    round, seed, bench.expected.size(), bench.lost, bench.unconfirmed, bench.misplaced);
        }
    }

    /** Says so as soon as the window takes keys. */
    private static void sayReady() {
        while (true) {
            CompletableFuture<Boolean> ready = new CompletableFuture<>();
            try {
                Thread.sleep(100);
                Platform.runLater(() -> ready.complete(Window.getWindows().stream()
                        .anyMatch(each -> each.isFocused() && each.getScene().getFocusOwner() != null)));
                if (ready.get()) {
                    System.out.println(READY);
                    return;
                }
            } catch (IllegalStateException e) {
                // The toolkit is not up yet.
            } catch (InterruptedException | ExecutionException e) {
                return;
            }
        }
    }

    private Path lane() {
        return folder.resolve("Timetable");
    }

    private void makeLane() throws IOException {
        StringBuilder text = new StringBuilder();
        IntStream.range(0, SEGMENTS).forEach(i -> text.append("line")
                .append(i)
                .append("=Stop ")
                .append((char) ('a' + i % 26))
                .append(" of line ")
                .append(i)
                .append('\n'));
        try (Lane made = Lane.create(lane(), "Timetable", FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            made.trackStore()
                    .takeIn(
                            Source.of("stops.properties", text.toString().getBytes(StandardCharsets.UTF_8)),
                            FileOptions.ofLanguages("en-GB", "de-DE"),
                            Progress.NONE);
        }
    }

    private void round(int round) throws IOException, InterruptedException {
        Process window = new ProcessBuilder(
                        ProcessHandle.current().info().command().orElse("java"),
                        "-Djava.util.prefs.userRoot=" + folder.resolve("prefs"),
                        "-XX:TieredStopAtLevel=1",
                        "-Xshare:auto",
                        "-XX:SharedArchiveFile=" + System.getProperty("archive", folder + "/none"),
                        "-cp",
                        System.getProperty("java.class.path"),
                        EndingBench.class.getName(),
                        "window",
                        lane().toString())
                .redirectError(ProcessBuilder.Redirect.appendTo(
                        folder.resolve("window.log").toFile()))
                .start();
        BufferedReader said = window.inputReader();
        while (!READY.equals(said.readLine())) {
            if (!window.isAlive()) {
                throw new IllegalStateException("the window did not open; see " + folder.resolve("window.log"));
            }
        }
        Thread.sleep(SHOWN_MILLIS);
        keys("key", "alt+4");
        Thread.sleep(800);
        // The first segment that nobody typed into, wherever the last round ended.
        keys("key", "ctrl+k");
        Thread.sleep(500);
        keys("type", "--delay", "10", NEXT_EMPTY);
        Thread.sleep(500);
        keys("key", "Return");
        Thread.sleep(500);
        List<Typed> typed = type(round);
        Thread.sleep(random.nextInt(kills ? 3000 : 700));
        long end = System.nanoTime();
        end(window);
        if (!window.waitFor(60, TimeUnit.SECONDS)) {
            window.destroyForcibly();
            throw new IllegalStateException("the window of round " + round + " did not end");
        }
        check(typed, end);
    }

    private List<Typed> type(int round) throws IOException, InterruptedException {
        List<Typed> typed = new ArrayList<>();
        int texts = 1 + random.nextInt(MOST_TEXTS);
        for (int i = 0; i < texts; i++) {
            String text = "r" + round + "t" + i + "x" + random.nextInt(1 << 24) + "z";
            keys("type", "--delay", String.valueOf(4 + random.nextInt(20)), text);
            boolean confirmed = i < texts - 1 || random.nextBoolean();
            if (confirmed) {
                keys("key", "ctrl+Return");
            }
            typed.add(new Typed(text, confirmed, System.nanoTime()));
            if (random.nextBoolean()) {
                Thread.sleep(random.nextInt(400));
            }
        }
        return typed;
    }

    private void end(Process window) throws IOException, InterruptedException {
        boolean first = random.nextBoolean();
        if (kills) {
            if (first) {
                window.destroyForcibly();
            } else {
                window.destroy();
            }
        } else if (first) {
            keys("key", "alt+F4");
        } else {
            run("wmctrl", "-c", "Timetable");
        }
    }

    private static void keys(String... words) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of("xdotool"));
        command.addAll(List.of(words));
        run(command.toArray(String[]::new));
    }

    private static void run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        if (!process.waitFor(60, TimeUnit.SECONDS)) {
            throw new IllegalStateException("no answer to " + List.of(command));
        }
    }

    private void check(List<Typed> typed, long end) throws IOException {
        for (Typed each : typed) {
            boolean onItsWay = kills && end - each.atNanos() < TimeUnit.MILLISECONDS.toNanos(ON_ITS_WAY_MILLIS);
            if (!onItsWay) {
                expected.put(each.text(), each.confirmed() ? State.REVIEWED : State.TRANSLATED);
            }
        }
        lost = 0;
        unconfirmed = 0;
        misplaced = 0;
        try (Lane opened = Lane.open(lane(), FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            TrackSnapshot now = opened.tracks().get(0).now();
            Map<String, Integer> places = new LinkedHashMap<>();
            for (int i = 0; i < now.size(); i++) {
                String target = now.target(i).plainText();
                if (!target.isEmpty()) {
                    misplaced += places.put(target, i) != null ? 1 : 0;
                    // Two texts in one segment.
                    misplaced += target.indexOf('z') < target.length() - 1
                                    && target.chars().filter(c -> c == 'x').count() > 1
                            ? 1
                            : 0;
                }
            }
            int last = -1;
            for (Map.Entry<String, State> each : expected.entrySet()) {
                OptionalInt place = places.containsKey(each.getKey())
                        ? OptionalInt.of(places.get(each.getKey()))
                        : OptionalInt.empty();
                if (place.isEmpty()) {
                    lost++;
                    System.out.println("lost: " + each.getKey());
                    continue;
                }
                misplaced += place.getAsInt() <= last ? 1 : 0;
                last = place.getAsInt();
                unconfirmed += now.state(place.getAsInt()).compareTo(each.getValue()) < 0 ? 1 : 0;
            }
        }
    }
}
