package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.swaplane.convert.Merge;
import org.swaplane.convert.MergePairs;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.release.FileNaming;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.wording.Wording;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The target documents from the original documents and their translated bilingual files. */
@Command(
        name = "merge",
        description = "Writes the target document from a document and its translated bilingual file;"
                + " with --out-dir, those of many, which find each other by their texts.")
final class MergeCommand implements Callable<Integer> {
    @Parameters(arity = "2..*", paramLabel = "DOCUMENT... BILINGUAL...")
    private List<Path> files;

    @ArgGroup(multiplicity = "1")
    private Output output;

    @Option(names = "--force", description = "Replace files that exist.")
    private boolean force;

    @Option(names = "--naming", paramLabel = "PATTERN", description = "Names of files in DIR: {name}_{target}.{ext}")
    private String naming = FileNaming.DEFAULT.pattern();

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Mixin
    private ReadingOptions reading;

    private final List<Map<String, Object>> report = new ArrayList<>();
    private boolean incomplete;

    private static final class Output {
        @Option(names = "-o", paramLabel = "OUT", description = "The file to write; for one document.")
        private Path file;

        @Option(names = "--out-dir", paramLabel = "DIR", description = "The folder to write the documents into.")
        private Path folder;
    }

    @Override
    public Integer call() throws IOException {
        if (output.file != null) {
            mergeOne();
        } else {
            mergeMany();
        }
        if (json) {
            Json.print(Map.of("files", report));
        }
        return incomplete ? ExitStatus.FOUND_SOMETHING : ExitStatus.ALL_WELL;
    }

    private void mergeOne() throws IOException {
        if (files.size() > 2) {
            throw new CannotProceedException(output.file.toString(), "command.one-result");
        }
        Path document = files.get(0);
        Path bilingual = files.get(1);
        Merge merge = new Merge(
                FormatRegistry.ofInstalled(),
                Source.of(document),
                reading.document(),
                Source.of(bilingual),
                Progress.NONE);
        write(merge, output.file, document, bilingual);
    }

    private void mergeMany() throws IOException {
        Map<Source, Path> paths = new LinkedHashMap<>();
        files.forEach(path -> paths.put(Source.of(path), path));
        MergePairs all = new MergePairs(
                FormatRegistry.ofInstalled(), List.copyOf(paths.keySet()), reading.document(), Progress.NONE);
        Files.createDirectories(output.folder);
        for (Map.Entry<Source, Optional<Source>> pair : all.pairs().entrySet()) {
            Path bilingual = paths.get(pair.getKey());
            if (pair.getValue().isEmpty()) {
                say(bilingual, null, null, List.of(Wording.text("problem.merge-alone")));
                continue;
            }
            Source document = pair.getValue().get();
            String name =
                    new FileNaming(naming).name(document.name(), Map.of("target", all.targetLanguage(pair.getKey())));
            write(
                    all.merge(document, pair.getKey(), Progress.NONE),
                    output.folder.resolve(name),
                    paths.get(document),
                    bilingual);
        }
    }

    private void write(Merge merge, Path out, Path document, Path bilingual) throws IOException {
        for (Path input : files) {
            if (Files.exists(out) && Files.isSameFile(out, input)) {
                throw new CannotProceedException(out.toString(), "command.is-input");
            }
        }
        NewFile.write(out, force, merge::write);
        say(bilingual, document, out, merge.problems());
    }

    private void say(Path bilingual, Path document, Path out, List<String> problems) {
        incomplete |= !problems.isEmpty();
        if (json) {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("bilingual", bilingual.toString());
            entry.put("document", document == null ? null : document.toString());
            entry.put("output", out == null ? null : out.toString());
            entry.put("problems", problems);
            report.add(entry);
        } else {
            problems.forEach(problem ->
                    System.out.println(output.file != null ? problem : bilingual.getFileName() + ": " + problem));
        }
    }
}
