package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.proof.DryRun;
import org.swaplane.proof.DryRunResult;
import org.swaplane.proof.Proof;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** The dry run. */
@Command(name = "prove", description = "The dry run: whether files survive the way out, and which text is not reached.")
final class ProveCommand implements Callable<Integer> {
    private static final int MOST_PRINTED = 20;

    @Mixin
    private FileReports files;

    @Mixin
    private ReadingOptions reading;

    @Option(names = "--target", paramLabel = "LANG", description = "Target language, where FILE does not name one.")
    private String targetLanguage = "";

    @Option(names = "-o", paramLabel = "FOLDER", description = "Where the pseudo-translated files go.")
    private Path folder;

    @Override
    public Integer call() throws IOException {
        folder = folder == null ? Files.createTempDirectory("swaplane-prove") : Files.createDirectories(folder);
        return files.run(this::prove);
    }

    private boolean prove(Path file, Map<String, Object> report) throws IOException {
        // One that cannot be read gets no name for its output.
        Head.of(Source.of(file));
        Path output = freeName(file.getFileName().toString());
        FileOptions options = FileOptions.ofLanguages("", targetLanguage).with(reading.document());
        DryRunResult result =
                DryRun.withDefaults(FormatRegistry.ofInstalled()).run(Source.of(file), options, output, Progress.NONE);
        report.put("format", result.pseudo().format());
        report.put("verdict", word(result.verdict()));
        report.put("proofs", result.proofs().stream().map(ProveCommand::entry).toList());
        report.put("unreached", unreached(result));
        report.put("output", output.toString());
        if (!files.json()) {
            print(file, result, output);
        }
        return result.verdict() != Proof.Verdict.PASS;
    }

    /** A file of this name that is not there yet, in a folder of its own if need be. */
    private Path freeName(String name) throws IOException {
        Path free = folder.resolve(name);
        for (int i = 2; Files.exists(free); i++) {
            free = Files.createDirectories(folder.resolve(String.valueOf(i))).resolve(name);
        }
        return free;
    }

    private static String word(Proof.Verdict verdict) {
        return verdict.name().toLowerCase(Locale.ROOT);
    }

    private static Map<String, Object> entry(Proof proof) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("id", proof.id());
        entry.put("verdict", word(proof.verdict()));
        entry.put("message", proof.message());
        entry.put(
                "details",
                proof.details().stream()
                        .map(each -> Map.of("where", each.where(), "text", each.text()))
                        .toList());
        return entry;
    }

    private static List<Map<String, Object>> unreached(DryRunResult result) {
        List<Map<String, Object>> unreached = new ArrayList<>();
        result.unreached().forEach(each -> {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("where", each.where());
            entry.put("kind", each.kind().name().toLowerCase(Locale.ROOT).replace('_', '-'));
            entry.put("text", each.text());
            unreached.add(entry);
        });
        result.pictures().forEach(each -> {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("where", each.place());
            entry.put("kind", "picture");
            entry.put("media", each.name());
            unreached.add(entry);
        });
        return unreached;
    }

    private static void print(Path file, DryRunResult result, Path output) {
        System.out.printf("%s: %s%n", file, word(result.verdict()));
        for (Proof proof : result.proofs()) {
            System.out.printf("  %-14s %-5s %s%n", proof.id(), word(proof.verdict()), proof.message());
            proof.details().stream()
                    .limit(MOST_PRINTED)
                    .map(each -> each.where().isEmpty() ? each.text() : each.where() + ": " + each.text())
                    .forEach(line -> System.out.println("      " + line));
            if (proof.details().size() > MOST_PRINTED) {
                System.out.printf("      and %d more%n", proof.details().size() - MOST_PRINTED);
            }
        }
        System.out.printf("  pseudo-translated file: %s%n", output);
    }
}
