package org.swaplane.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.store.FSDirectory;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.memory.Filling;
import org.swaplane.memory.MemoryTransfer;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.MemoryUse;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.Progress;

/**
 * Importing a TMX file into a memory against reading it; looking up edited sentences in that memory, against the best hits of a bare query of
 * their words in the same index; first hits of a search for two words; filling a file of 10,000 such sentences. The words are made up and as
 * frequent as those of a language (Zipf). Arguments: number of units (default 100000), of lookups (default 2000).
 */
public final class MemoryBench {
    private static final int VOCABULARY = 30_000;
    private static final int FILLED = 10_000;

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
            double lookup = time(
                    "lookup of a sentence with one to three other words",
                    asked,
                    text -> memory.lookup("en", "de", Content.of(text), MemoryUnit.Context.UNKNOWN, 70, 5));
            double bare = bareQueries(asked, folder.resolve("memory"));
            System.out.printf(Locale.ROOT, "which is %.1f times the bare query%n", lookup / bare);
            time(
                    "first 50 hits of two words",
                    asked,
                    text -> memory.find(text.substring(0, text.indexOf(' ', text.indexOf(' ') + 1)), false, 50));
            fill(memory, formats);
        }
    }

    /** The five best of a query of all words, as an index answers that knows nothing of distances. */
    private static double bareQueries(List<String> asked, Path memory) throws IOException {
        try (DirectoryReader reader = DirectoryReader.open(FSDirectory.open(memory.resolve("index")))) {
            IndexSearcher searcher = new IndexSearcher(reader);
            return time("the five best of a bare query of its words", asked, text -> {
                BooleanQuery.Builder query = new BooleanQuery.Builder();
                for (String word : text.replace(".", "").split(" ")) {
                    query.add(new TermQuery(new Term("source-text", word)), BooleanClause.Occur.SHOULD);
                }
                for (ScoreDoc hit : searcher.search(query.build(), 5).scoreDocs) {
                    searcher.storedFields().document(hit.doc);
                }
            });
        }
    }

    private void fill(TranslationMemory memory, FormatRegistry formats) throws IOException {
        StringBuilder file = new StringBuilder("<xliff version=\"1.2\"><file original=\"fill\" source-language=\"en\""
                + " target-language=\"de\" datatype=\"plaintext\"><body>\n");
        List<String> known = new ArrayList<>();
        memory.forEach(unit -> {
            if (known.size() < FILLED) {
                known.add(unit.sourceWritten());
            }
        });
        for (int i = 0; i < FILLED; i++) {
            String sentence = i % 3 == 0
                    ? known.get(i % known.size())
                    : i % 3 == 1 ? edited(known.get(i % known.size())) : sentence();
            file.append("<trans-unit id=\"")
                    .append(i)
                    .append("\"><source>")
                    .append(sentence)
                    .append("</source></trans-unit>\n");
        }
        file.append("</body></file></xliff>");
        BilingualDocument document = formats.open(
                        Source.of("fill.xlf", file.toString().getBytes(StandardCharsets.UTF_8)), Progress.NONE)
                .document();
        long begin = System.nanoTime();
        Filling.Outcome outcome =
                new Filling(MemoryUse.of(List.of(memory)), 70, Filling.Over.EMPTY).of(document, Progress.NONE);
        System.out.printf(
                Locale.ROOT,
                "filling %d segments, of which a third is known, a third resembles and a third is new: %.1f s, %s filled%n",
                FILLED,
                seconds(begin),
                outcome.filled());
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

    private interface Question {
        void ask(String text) throws IOException;
    }

    /** Asks everything, after a quarter of it to warm up; the median in milliseconds. */
    private static double time(String what, List<String> asked, Question question) throws IOException {
        for (String text : asked.subList(0, asked.size() / 4)) {
            question.ask(text);
        }
        double[] milliseconds = new double[asked.size()];
        for (int i = 0; i < milliseconds.length; i++) {
            long begin = System.nanoTime();
            question.ask(asked.get(i));
            milliseconds[i] = seconds(begin) * 1000;
        }
        Arrays.sort(milliseconds);
        double median = milliseconds[milliseconds.length / 2];
        System.out.printf(
                Locale.ROOT,
                "%s: median %.1f ms, 95th percentile %.1f ms%n",
                what,
                median,
                milliseconds[milliseconds.length * 95 / 100]);
        return median;
    }

    private static double seconds(long begin) {
        return (System.nanoTime() - begin) / 1e9;
    }
}
