package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.compare.Span;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;

/** The checks over bilingual files. */
@Command(name = "check", description = "Checks bilingual files: tags, placeholders, numbers, untranslated.")
final class CheckCommand implements Callable<Integer> {
    @Mixin
    private FileReports files;

    @Override
    public Integer call() throws IOException {
        return files.runOnDocuments(this::check);
    }

    private boolean check(Path file, BilingualDocument document, Map<String, Object> report) {
        List<Finding> findings = CheckRun.ofAllChecks().run(document, Progress.NONE);
        report.put("format", document.format());
        report.put("sourceLanguage", document.sourceLanguage());
        report.put("targetLanguage", document.targetLanguage());
        report.put("segments", document.segments().size());
        report.put(
                "findings",
                findings.stream().map(finding -> entry(finding, document)).toList());
        if (!files.json()) {
            findings.forEach(finding -> System.out.printf(
                    Locale.ROOT, "%s: %s: %s [%s]%n", file, finding.unit(), finding.message(), finding.check()));
        }
        return !findings.isEmpty();
    }

    private static Map<String, Object> entry(Finding finding, BilingualDocument document) {
        var source = document.segments().get(finding.segment()).source();
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("check", finding.check());
        entry.put("severity", finding.severity().name().toLowerCase(Locale.ROOT));
        entry.put("unit", finding.unit());
        entry.put("segment", finding.key());
        entry.put("message", finding.message());
        entry.put("source", offsets(finding.source()));
        entry.put("target", offsets(finding.target()));
        entry.put(
                "suggestion",
                finding.suggestion()
                        .map(fixed -> TagNotation.write(fixed, source))
                        .orElse(null));
        return entry;
    }

    private static List<List<Integer>> offsets(List<Span> spans) {
        return spans.stream().map(span -> List.of(span.start(), span.end())).toList();
    }
}
