package org.swaplane.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.swaplane.check.CheckRun;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.Lane;
import org.swaplane.lane.Packaging;
import org.swaplane.lane.ReleaseConditions;
import org.swaplane.lane.Track;
import org.swaplane.release.ReleaseForm;
import org.swaplane.release.ReleaseOptions;
import org.swaplane.task.Progress;

/**
 * Releasing the files of a lane in one zip against writing them one by one in the same run. Arguments: number of files (default 300, in four
 * languages), segments of each (default 200).
 */
public final class ReleaseBench {
    private static final List<String> LANGUAGES = List.of("de-DE", "fr-FR", "sv-SE", "ar-AE");
    private static final double SECOND = 1e9;

    private ReleaseBench() {}

    private interface Work {
        void run() throws IOException;
    }

    public static void main(String[] arguments) throws IOException {
        int files = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 300;
        int segments = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 200;
        Path folder = Files.createTempDirectory("swaplane-bench");
        try (Lane lane = Lane.create(folder.resolve("lane"), "Bench", FormatRegistry.ofInstalled(), Clock.systemUTC());
                ReleaseConditions conditions = new ReleaseConditions(lane, CheckRun::ofAllChecks)) {
            for (int i = 0; i < files; i++) {
                lane.trackStore()
                        .takeIn(
                                Source.of(
                                        "sheet" + i / LANGUAGES.size() + ".xlf",
                                        file(i, segments).getBytes(StandardCharsets.UTF_8)),
                                "part" + i % 7,
                                FileOptions.NONE,
                                Progress.NONE);
            }
            double writing = seconds(() -> {
                for (Track track : lane.tracks()) {
                    Path file = Files.createTempFile(folder, "one", ".xlf");
                    try (OutputStream out = Files.newOutputStream(file)) {
                        track.now().write(out, Progress.NONE);
                    }
                }
            });
            Packaging packaging = new Packaging(lane, conditions);
            double looking = seconds(() -> packaging.open(lane.tracks(), Progress.NONE));
            ReleaseOptions options = ReleaseOptions.DEFAULT
                    .withOutputs(List.of(new ReleaseOptions.Output(ReleaseForm.FILE, "", "{target}/{path}")))
                    .packed(ReleaseOptions.Packing.ZIP, "bench-{release}", ReleaseOptions.Manifest.CSV);
            double releasing = seconds(() -> packaging.release(lane.tracks(), options, "bench", Progress.NONE));
            System.out.printf(
                    Locale.ROOT,
                    "%d files of %d segments: written one by one in %.2f s, conditions %.2f s, released in %.2f s, %.1f times%n",
                    files,
                    segments,
                    writing,
                    looking,
                    releasing,
                    releasing / writing);
        } finally {
            try (Stream<Path> all = Files.walk(folder)) {
                for (Path each : all.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(each);
                }
            }
        }
    }

    private static String file(int number, int segments) {
        StringBuilder units = new StringBuilder();
        for (int i = 0; i < segments; i++) {
            units.append("<trans-unit id=\"u")
                    .append(i)
                    .append("\"><source>The ferry to pier ")
                    .append(i)
                    .append(" leaves at ")
                    .append(number % 24)
                    .append(":05.</source><target>Die Fähre zu Anleger ")
                    .append(i)
                    .append(" fährt um ")
                    .append(number % 24)
                    .append(":05.</target></trans-unit>\n");
        }
        return "<xliff version='1.2'><file original='sheet" + number + "' source-language='en-GB' target-language='"
                + LANGUAGES.get(number % LANGUAGES.size()) + "' datatype='plaintext'><body>" + units
                + "</body></file></xliff>\n";
    }

    private static double seconds(Work work) throws IOException {
        long begin = System.nanoTime();
        work.run();
        return (System.nanoTime() - begin) / SECOND;
    }
}
