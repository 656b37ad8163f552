package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;

/** A process that works in a folder and says the number of each piece of work once it is done, until it is killed. */
final class WorkingProcess {
    private WorkingProcess() {}

    /**
     * Kills it when it has done so many.
     *
     * @param work has a main method that takes the folder and the first number
     * @param later so many milliseconds after the last piece that counts
     * @return the last number that it said
     */
    static int killAfter(Class<?> work, Path folder, int first, int pieces, int later)
            throws IOException, InterruptedException {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        work.getName(),
                        folder.toString(),
                        String.valueOf(first))
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        int done = -1;
        try (BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            while (done < first + pieces) {
                String line = out.readLine();
                assertThat(line).as("the process ended by itself").isNotNull();
                done = Integer.parseInt(line);
            }
            Thread.sleep(later);
            process.toHandle().destroyForcibly(); // leaves its output to be read
            assertThat(process.waitFor(30, TimeUnit.SECONDS)).isTrue();
            for (String line = out.readLine(); line != null && !line.isEmpty(); line = out.readLine()) {
                done = Integer.parseInt(line);
            }
        }
        return done;
    }
}
