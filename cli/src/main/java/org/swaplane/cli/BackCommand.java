package org.swaplane.cli;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.swaplane.convert.CopyReturn;
import org.swaplane.exchange.RowChange;
import org.swaplane.exchange.StructureProblem;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Applies a returned review copy to the bilingual files it was made from. */
@Command(
        name = "back",
        description = "Applies the safe changes of a returned review copy to the bilingual files it was made from.")
final class BackCommand implements Callable<Integer> {
    @Parameters(arity = "2..*", paramLabel = "FILE... COPY", description = "The bilingual files, and what came back.")
    private List<Path> files;

    @ArgGroup(multiplicity = "1")
    private Output output;

    @Option(names = "--force", description = "Replace files that exist.")
    private boolean force;

    @Option(names = "--accept-empty", description = "Accept targets that were emptied.")
    private boolean acceptEmpty;

    @Option(
            names = "--accept-findings",
            description = "Accept changes that bring findings of the checks that are not there now.")
    private boolean acceptFindings;

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    private static final class Output {
        @Option(names = "-o", paramLabel = "OUT", description = "The file to write; for one FILE.")
        private Path file;

        @Option(names = "--out-dir", paramLabel = "DIR", description = "The folder to write the files into.")
        private Path folder;
    }

    @Override
    public Integer call() throws IOException {
        List<Path> inputs = files.subList(0, files.size() - 1);
        Path copy = files.get(files.size() - 1);
        if (output.file != null && inputs.size() > 1) {
            throw new CannotProceedException(output.file.toString(), "command.one-result");
        }
        List<Source> sources = inputs.stream().map(Source::of).toList();
        CopyReturn back =
                new CopyReturn(FormatRegistry.ofInstalled(), new CopyReturn.Accepting(acceptEmpty, acceptFindings));
        List<CopyReturn.Result> results = back.read(sources, Source.of(copy), Progress.NONE);
        for (CopyReturn.Result result : results) {
            write(result, inputs.get(sources.indexOf(result.source())), copy);
        }
        report(results, inputs, sources);
        return results.stream().allMatch(CopyReturn.Result::isComplete)
                ? ExitStatus.ALL_WELL
                : ExitStatus.FOUND_SOMETHING;
    }

    private void write(CopyReturn.Result result, Path input, Path copy) throws IOException {
        Path out = output.file != null ? output.file : output.folder.resolve(input.getFileName());
        for (Path each : List.of(input, copy)) {
            if (Files.exists(out) && Files.isSameFile(out, each)) {
                throw new CannotProceedException(out.toString(), "command.is-input");
            }
        }
        if (output.folder != null) {
            Files.createDirectories(output.folder);
        }
        NewFile.write(out, force, bytes -> result.file().write(result.edits(), bytes, Progress.NONE));
    }

    private void report(List<CopyReturn.Result> results, List<Path> inputs, List<Source> sources) throws IOException {
        int applied = results.stream().mapToInt(each -> each.edits().size()).sum();
        if (!json) {
            List<String> lines = new ArrayList<>();
            for (CopyReturn.Result each : results) {
                String prefix = inputs.size() > 1 ? each.source().name() + ": " : "";
                each.reading().problems().forEach(problem -> lines.add(prefix + problem.message()));
                each.reading().changes().stream()
                        .filter(each::isLeftForFindings)
                        .flatMap(change -> each.newFindings().get(change.number()).stream()
                                .map(finding -> text("command.row-with-finding", change.number(), finding.message())))
                        .forEach(line -> lines.add(prefix + line));
            }
            int changes = results.stream()
                    .mapToInt(each -> each.reading().changes().size())
                    .sum();
            lines.add(applied + " of " + changes + " changes applied");
            lines.forEach(System.out::println);
            return;
        }
        List<Map<String, Object>> problems = new ArrayList<>();
        List<Map<String, Object>> changes = new ArrayList<>();
        List<Map<String, Object>> remarks = new ArrayList<>();
        List<Map<String, Object>> perFile = new ArrayList<>();
        for (CopyReturn.Result each : results) {
            Optional<String> path = inputs.size() > 1
                    ? Optional.of(inputs.get(sources.indexOf(each.source())).toString())
                    : Optional.empty();
            each.reading().problems().forEach(problem -> problems.add(of(path, entry(problem))));
            each.reading().changes().forEach(change -> changes.add(of(path, entry(change, each))));
            each.reading()
                    .remarks()
                    .forEach(remark -> remarks.add(of(
                            path,
                            Map.of(
                                    "row", remark.index() + 1,
                                    "author", remark.remark().author(),
                                    "date", remark.remark().date(),
                                    "text", remark.remark().text()))));
            path.ifPresent(name -> perFile.add(Map.of(
                    "path", name,
                    "applied", each.edits().size(),
                    "untouched", each.reading().untouched())));
        }
        Map<String, Object> report = new LinkedHashMap<>();
        report.put("applied", applied);
        report.put(
                "untouched",
                results.stream().mapToInt(each -> each.reading().untouched()).sum());
        report.put("problems", problems);
        report.put("changes", changes);
        report.put("remarks", remarks);
        if (!perFile.isEmpty()) {
            report.put("files", perFile);
        }
        Json.print(report);
    }

    private static Map<String, Object> of(Optional<String> path, Map<String, Object> entry) {
        Map<String, Object> whole = new LinkedHashMap<>();
        path.ifPresent(name -> whole.put("path", name));
        whole.putAll(entry);
        return whole;
    }

    private static Map<String, Object> entry(StructureProblem problem) {
        return Map.of(
                "kind", word(problem.kind()),
                "row", problem.number(),
                "message", problem.message());
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static Map<String, Object> entry(RowChange change, CopyReturn.Result result) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("row", change.number());
        entry.put("unit", change.segment().unit());
        entry.put("segment", change.segment().key());
        boolean leftForFindings = result.isLeftForFindings(change);
        entry.put("case", leftForFindings ? "new-finding" : word(change.what()));
        entry.put("sent", change.sent());
        entry.put("returned", change.returned());
        entry.put("applied", result.takes(change));
        if (leftForFindings) {
            entry.put(
                    "findings",
                    result.newFindings().get(change.number()).stream()
                            .map(finding ->
                                    FindingEntry.of(finding, change.segment().source()))
                            .toList());
        }
        change.state().ifPresent(state -> entry.put("state", word(state)));
        change.revision().ifPresent(revision -> {
            entry.put("author", revision.author());
            entry.put("date", revision.date());
        });
        return entry;
    }
}
