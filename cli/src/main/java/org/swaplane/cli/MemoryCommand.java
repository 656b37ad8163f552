package org.swaplane.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Problem;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.memory.MemoryMatch;
import org.swaplane.memory.MemoryTransfer;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Translation memories: folders that are filled from files, looked up and searched. */
@Command(name = "memory", description = "Imports, exports, looks up and searches translation memories.")
final class MemoryCommand {
    private static final int LEAST_MIN = 30;

    @Command(
            name = "import",
            description = "Adds the translations of bilingual files to a memory; makes it if it is missing.")
    int add(
            @Parameters(index = "0", paramLabel = "MEMORY") Path folder,
            @Parameters(index = "1..*", arity = "1..*", paramLabel = "FILE") List<Path> files,
            @Option(
                            names = "--source",
                            defaultValue = "",
                            paramLabel = "LANG",
                            description = "Source language of tables.")
                    String source,
            @Option(
                            names = "--target",
                            defaultValue = "",
                            paramLabel = "LANG",
                            description = "Target language of tables.")
                    String target)
            throws IOException {
        for (Path file : files) {
            // One that cannot be read at all stops it before anything is added.
            Head.of(Source.of(file));
        }
        try (TranslationMemory memory = TranslationMemory.openForWriting(folder)) {
            int before = memory.size();
            for (Path file : files) {
                add(file, source, target, memory);
            }
            System.out.println((memory.size() - before) + " units added, " + memory.size() + " in all");
        }
        return ExitStatus.ALL_WELL;
    }

    /** TMX is read unit by unit, whatever its size; what is odd about it is said, and the rest is taken. */
    private static void add(Path file, String source, String target, TranslationMemory memory) throws IOException {
        try {
            FileOptions languages = FileOptions.ofLanguages(source, target);
            for (Problem problem : MemoryTransfer.take(
                    Source.of(file), FormatRegistry.ofInstalled(), languages, memory, Progress.NONE)) {
                String place = problem.line() > 0 ? file + ":" + problem.line() : file.toString();
                System.err.println(place + ": " + problem.message());
            }
            memory.commit();
        } catch (IOException | RuntimeException e) {
            memory.discard();
            throw e;
        }
    }

    @Command(name = "export", description = "Writes a memory as TMX.")
    int export(@Parameters(paramLabel = "MEMORY") Path folder, @Mixin OutputOptions output) throws IOException {
        try (TranslationMemory memory = TranslationMemory.open(folder)) {
            output.write(out -> MemoryTransfer.write(memory, out));
        }
        return ExitStatus.ALL_WELL;
    }

    @Command(name = "info", description = "Says what is in a memory.")
    int info(
            @Parameters(paramLabel = "MEMORY") Path folder,
            @Option(names = "--json", description = "Print one JSON object.") boolean json)
            throws IOException {
        try (TranslationMemory memory = TranslationMemory.open(folder)) {
            Map<String, Integer> languages = memory.languages();
            if (json) {
                Map<String, Object> entry = new LinkedHashMap<>();
                entry.put("units", memory.size());
                entry.put("languages", languages);
                entry.put("name", memory.name());
                entry.put("path", folder.toString());
                Json.print(entry);
            } else {
                System.out.println(memory.name() + ": " + memory.size() + " units");
                languages.forEach((pair, units) -> System.out.println(pair + ": " + units));
            }
        }
        return ExitStatus.ALL_WELL;
    }

    @Command(name = "lookup", description = "Reads one source a line from standard input and prints its matches.")
    int lookup(
            @Parameters(paramLabel = "MEMORY") Path folder,
            @Option(names = "--source", required = true, paramLabel = "LANG") String source,
            @Option(names = "--target", required = true, paramLabel = "LANG") String target,
            @Option(names = "--min", defaultValue = "70", paramLabel = "N", description = "Least score, from 30.")
                    int least,
            @Option(names = "--top", defaultValue = "5", paramLabel = "N", description = "Most matches.") int top,
            @Option(names = "--json", description = "Print one JSON object a line; there is no other form.")
                    boolean json)
            throws IOException {
        requireMin(least, LEAST_MIN);
        try (TranslationMemory memory = TranslationMemory.open(folder)) {
            BufferedReader lines = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
            int number = 0;
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                String text = text(line, ++number);
                List<MemoryMatch> matches = memory.lookup(
                        source,
                        target,
                        TagNotation.readSource(text),
                        MemoryUnit.Context.UNKNOWN,
                        least,
                        Math.max(0, top));
                Map<String, Object> entry = new LinkedHashMap<>();
                entry.put("text", text);
                entry.put("matches", matches.stream().map(MemoryCommand::entry).toList());
                Json.print(entry);
            }
        }
        return ExitStatus.ALL_WELL;
    }

    static void requireMin(int least, int lowest) {
        if (least < lowest || least > 100) {
            throw new CannotProceedException("--min", "problem.bad-min", String.valueOf(least), lowest);
        }
    }

    /** A line that begins with a quotation mark is a JSON string. */
    private static String text(String line, int number) {
        if (!line.startsWith("\"")) {
            return line;
        }
        try {
            return new ObjectMapper().readValue(line, String.class);
        } catch (JsonProcessingException e) {
            throw new CannotProceedException("", "problem.bad-json-line", number);
        }
    }

    private static Map<String, Object> entry(MemoryMatch match) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("score", match.score());
        entry.put("kind", match.kind().name().toLowerCase(Locale.ROOT));
        entry.put("source", match.unit().sourceWritten());
        entry.put("target", match.unit().targetWritten());
        entry.put("penalties", match.penalties());
        entry.put("origin", match.unit().origin());
        return entry;
    }

    @Command(name = "find", description = "Finds units with words in their sources or targets.")
    int find(
            @Parameters(index = "0", paramLabel = "MEMORY") Path folder,
            @Parameters(index = "1..*", arity = "1..*", paramLabel = "WORDS") List<String> words,
            @Option(names = "--in", defaultValue = "source", paramLabel = "SIDE", description = "source or target")
                    Side side,
            @Option(names = "--json", description = "Print one JSON object.") boolean json)
            throws IOException {
        try (TranslationMemory memory = TranslationMemory.open(folder)) {
            List<MemoryUnit> units = memory.find(String.join(" ", words), side == Side.target, 100);
            if (json) {
                Json.print(
                        Map.of("units", units.stream().map(MemoryCommand::entry).toList()));
            } else {
                units.forEach(unit ->
                        System.out.println(unit.sourceWritten() + "\t" + unit.targetWritten() + "\t" + unit.origin()));
            }
        }
        return ExitStatus.ALL_WELL;
    }

    /** Where words are looked for; the names are those of the option's values. */
    enum Side {
        source,
        target
    }

    private static Map<String, Object> entry(MemoryUnit unit) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("source", unit.sourceWritten());
        entry.put("target", unit.targetWritten());
        entry.put("sourceLanguage", unit.sourceLanguage());
        entry.put("targetLanguage", unit.targetLanguage());
        entry.put("origin", unit.origin());
        return entry;
    }
}
