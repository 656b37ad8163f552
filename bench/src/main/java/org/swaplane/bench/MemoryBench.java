package org.swaplane.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.swaplane.content.Content;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.memory.MemoryTransfer;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.Progress;

/**
 * Importing a TMX file into a memory against reading it, and looking up edited sentences in that memory. The words are made up and as
 * frequent as those of a language (Zipf). Arguments: number of units (default 100000), of lookups (default 2000).
 */
public final class MemoryBench {
    private static final int VOCABULARY = 30_000;

    private final Random random = new Random(5);
    private final String[] words = new String[VOCABULARY];
    private final double[] frequencies = new double[VOCABULARY];

    private MemoryBench() {
        double sum = 0;
        for (int i = 0; i < VOCABULARY; i++) {
            StringBuilder word = new StringBuilder();
            for (int syllable = 2 + random.nextInt(3); syllable > 0; syllable--) {
                word.append("bcdfghklmnprstvw".charAt(random.nextInt(16))).append("aeiou".charAt(random.nextInt(5)));
            }
            words[i] = word.toString();
            sum += 1.0 / (i + 3);
            frequencies[i] = sum;
        }
    }

    private String word() {
        int at = Arrays.binarySearch(frequencies, random.nextDouble() * frequencies[VOCABULARY - 1]);
        return words[at < 0 ? -at - 1 : at];
    }

    private String sentence() {
        StringBuilder sentence = new StringBuilder(word());
        for (int left = 3 + random.nextInt(16); left > 0; left--) {
            sentence.append(' ').append(word());
        }
        return sentence.append('.').toString();
    }

    public static void main(String[] arguments) throws IOException {
        int units = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 100_000;
        int lookups = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 2_000;
        Path folder = Files.createTempDirectory("swaplane-bench");
        try {
            new MemoryBench().run(units, lookups, folder);
        } finally {
            try (Stream<Path> files = Files.walk(folder)) {
                for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(file);
                }
            }
        }
    }

    private void run(int units, int lookups, Path folder) throws IOException {
        Path tmx = folder.resolve("memory.tmx");
        List<String> asked = write(units, lookups, tmx);
        FormatRegistry formats = FormatRegistry.ofInstalled();
        long begin = System.nanoTime();
        formats.stream(Source.of(tmx), Progress.NONE, translation -> {});
        double reading = seconds(begin);
        begin = System.nanoTime();
        try (TranslationMemory memory = TranslationMemory.openForWriting(folder.resolve("memory"))) {
            MemoryTransfer.addMemory(Source.of(tmx), formats, memory, Progress.NONE);
            memory.commit();
            System.out.printf(
                    Locale.ROOT,
                    "%d units: read in %.1f s, imported in %.1f times that%n",
                    units,
                    reading,
                    seconds(begin) / reading);
            lookUp(asked.subList(0, asked.size() / 4), memory); // to warm up
            double[] milliseconds = lookUp(asked, memory);
            System.out.printf(
                    Locale.ROOT,
                    "lookup of a sentence with one to three other words: median %.1f ms, 95th percentile %.1f ms%n",
                    milliseconds[milliseconds.length / 2],
                    milliseconds[milliseconds.length * 95 / 100]);
        }
    }

    private List<String> write(int units, int lookups, Path tmx) throws IOException {
        List<String> asked = new ArrayList<>();
        try (BufferedWriter out = Files.newBufferedWriter(tmx)) {
            out.write("<tmx version=\"1.4\"><header srclang=\"en\"/><body>\n");
            for (int i = 0; i < units; i++) {
                String sentence = sentence();
                if (i % Math.max(1, units / lookups) == 0) {
                    asked.add(edited(sentence));
                }
                out.write("<tu><tuv xml:lang=\"en\"><seg>" + sentence + "</seg></tuv><tuv xml:lang=\"de\"><seg>"
                        + sentence() + "</seg></tuv></tu>\n");
            }
            out.write("</body></tmx>\n");
        }
        return asked;
    }

    private String edited(String sentence) {
        String[] edited = sentence.split(" ");
        for (int left = 1 + random.nextInt(3); left > 0; left--) {
            edited[random.nextInt(edited.length)] = word();
        }
        return String.join(" ", edited);
    }

    private static double[] lookUp(List<String> asked, TranslationMemory memory) throws IOException {
        double[] milliseconds = new double[asked.size()];
        for (int i = 0; i < milliseconds.length; i++) {
            long begin = System.nanoTime();
            memory.lookup("en", "de", Content.of(asked.get(i)), MemoryUnit.Context.UNKNOWN, 70, 5);
            milliseconds[i] = seconds(begin) * 1000;
        }
        Arrays.sort(milliseconds);
        return milliseconds;
    }

    private static double seconds(long begin) {
        return (System.nanoTime() - begin) / 1e9;
    }
}
