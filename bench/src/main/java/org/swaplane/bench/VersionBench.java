package org.swaplane.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.swaplane.convert.FileVersions;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/**
 * Comparing two versions of a bilingual file in which a tenth of the segments changed, and carrying over, against reading both in the same run.
 * Arguments: number of segments (default 100000), rounds (default 3).
 */
public final class VersionBench {
    private static final String[] WORDS =
            "the ferry leaves pier at tide harbour island ticket crossing passenger winter summer timetable dogs bicycles cabin deck weather delay captain gangway luggage child adult return single fare office"
                    .split(" ");

    private VersionBench() {}

    private interface Work {
        void run() throws IOException;
    }

    public static void main(String[] arguments) throws IOException {
        int segments = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 100_000;
        int rounds = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 3;
        FormatRegistry formats = FormatRegistry.ofInstalled();
        FileVersions versions = new FileVersions(formats);
        Random random = new Random(7);
        List<String> before = new ArrayList<>();
        for (int i = 0; i < segments; i++) {
            before.add(random.nextInt(10) == 0 && i > 0 ? before.get(random.nextInt(i)) : sentence(random));
        }
        Path old = write(before, true);
        Path now = write(edited(before, random), false);
        Path out = Files.createTempFile("swaplane-bench", ".xlf");
        try {
            double reading = best(rounds, () -> {
                formats.open(Source.of(old), Progress.NONE);
                formats.open(Source.of(now), Progress.NONE);
            });
            double comparing = best(
                    rounds, () -> versions.compare(Source.of(old), Source.of(now), FileOptions.NONE, Progress.NONE));
            double updating = best(rounds, () -> {
                FileVersions.Updated updated = versions.update(Source.of(old), Source.of(now), true, Progress.NONE);
                try (OutputStream bytes = Files.newOutputStream(out)) {
                    updated.writer().write(bytes);
                }
            });
            System.out.printf(
                    Locale.ROOT,
                    "%d segments: reading both %.2f s, comparing %.2f times that, carrying over and writing %.2f times%n",
                    segments,
                    reading,
                    comparing / reading,
                    updating / reading);
        } finally {
            for (Path file : List.of(old, now, out)) {
                Files.delete(file);
            }
        }
    }

    private static String sentence(Random random) {
        StringBuilder text = new StringBuilder();
        for (int n = 6 + random.nextInt(10); n > 0; n--) {
            text.append(WORDS[random.nextInt(WORDS.length)]).append(' ');
        }
        return text.append(random.nextInt(1000)).append('.').toString();
    }

    private static List<String> edited(List<String> before, Random random) {
        List<String> after = new ArrayList<>();
        for (String text : before) {
            switch (random.nextInt(50)) {
                case 0 -> {}
                case 1 -> {
                    after.add(sentence(random));
                    after.add(text);
                }
                case 2, 3 -> after.add(text.replaceFirst(" ", " quay "));
                case 4 -> {
                    int cut = text.indexOf(' ', text.length() / 2);
                    after.add(text.substring(0, cut));
                    after.add(text.substring(cut + 1));
                }
                default -> after.add(text);
            }
        }
        int third = after.size() / 3;
        Collections.rotate(after.subList(third, third + Math.min(200, third)), 100);
        return after;
    }

    private static Path write(List<String> sources, boolean translated) throws IOException {
        Path file = Files.createTempFile("swaplane-bench", ".xlf");
        StringBuilder text = new StringBuilder(
                "<xliff version=\"1.2\" xmlns=\"urn:oasis:names:tc:xliff:document:1.2\"><file original=\"a\""
                        + " source-language=\"en\" target-language=\"de\" datatype=\"plaintext\"><body>\n");
        for (int i = 0; i < sources.size(); i++) {
            text.append("<trans-unit id=\"")
                    .append(i)
                    .append("\"><source>")
                    .append(sources.get(i))
                    .append("</source>");
            if (translated) {
                text.append("<target state=\"translated\">Ziel ")
                        .append(sources.get(i))
                        .append("</target>");
            }
            text.append("</trans-unit>\n");
        }
        return Files.write(
                file, text.append("</body></file></xliff>\n").toString().getBytes(StandardCharsets.UTF_8));
    }

    private static double best(int rounds, Work work) throws IOException {
        double best = Double.MAX_VALUE;
        for (int i = 0; i <= rounds; i++) {
            long start = System.nanoTime();
            work.run();
            best = Math.min(best, (System.nanoTime() - start) / 1e9);
        }
        return best;
    }
}
