package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.State;
import org.swaplane.format.FormatRegistry;

class KilledProcessTest {
    private static final int LEAST_EDITS = 25;

    @TempDir
    private Path folder;

    /** Edits until it is killed; says the number of every edit once it is confirmed. */
    public static void main(String[] arguments) throws IOException {
        Lane lane = Lane.open(Path.of(arguments[0]), FormatRegistry.ofInstalled(), Clock.systemUTC());
        Track track = lane.tracks().get(0);
        for (int i = 0; ; i++) {
            Value value = new Value(Content.of("Stand " + i), State.TRANSLATED);
            new Work(lane, track).edit(StepKind.TYPED, "Mara", "", Map.of(i % 20, value));
            System.out.println(i);
        }
    }

    @Test
    void noConfirmedEditIsLostWhenTheProcessIsKilled() throws Exception {
        DemoLane.create(folder, Clock.systemUTC()).close();

        int confirmed = killAfterSomeEdits();

        try (Lane lane = Lane.open(folder, FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            Track track = lane.tracks().get(0);
            for (int i = Math.max(0, confirmed - 19); i <= confirmed; i++) {
                int stands =
                        Integer.parseInt(track.now().target(i % 20).plainText().replace("Stand ", ""));
                assertThat(stands).isGreaterThanOrEqualTo(i);
            }
        }
    }

    private int killAfterSomeEdits() throws IOException, InterruptedException {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        KilledProcessTest.class.getName(),
                        folder.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        int confirmed = -1;
        try (BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            while (confirmed < LEAST_EDITS) {
                String line = out.readLine();
                assertThat(line).as("the process ended by itself").isNotNull();
                confirmed = Integer.parseInt(line);
            }
            process.destroyForcibly();
            assertThat(process.waitFor(30, TimeUnit.SECONDS)).isTrue();
        }
        return confirmed;
    }
}
