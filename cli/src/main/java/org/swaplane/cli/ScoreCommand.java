package org.swaplane.cli;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.MalformedInputException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.swaplane.document.Counts;
import org.swaplane.document.Segment;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.quality.ErrorList;
import org.swaplane.quality.QualityScheme;
import org.swaplane.quality.QualityScore;
import org.swaplane.quality.ScoreReport;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** How good a file is, by the errors that somebody marked. */
@Command(name = "score", description = "The MQM score of a bilingual file with marked errors.")
final class ScoreCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "FILE")
    private Path file;

    @Parameters(index = "1", paramLabel = "ERRORS.json")
    private Path errors;

    @Option(names = "--scheme", paramLabel = "SCHEME.json", description = "Categories and weights other than MQM's.")
    private Path scheme;

    @Mixin
    private ReportOptions report;

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Override
    public Integer call() throws IOException {
        report.check();
        List<Segment> segments = FormatRegistry.ofInstalled()
                .open(Source.of(file), Progress.NONE)
                .document()
                .segments();
        QualityScheme chosen =
                scheme == null ? QualityScheme.MQM : QualityScheme.parse(text(scheme), scheme.toString());
        ErrorList list = ErrorList.parse(text(errors), errors.toString(), segments, chosen);
        QualityScheme marked = list.passMark().map(chosen::withPassMark).orElse(chosen);
        QualityScore score = QualityScore.of(
                segments.stream()
                        .mapToLong(segment -> Counts.words(segment.source().plainText()))
                        .sum(),
                list.errors().stream().map(ErrorList.Entry::judgement).toList(),
                marked);
        report.write(() -> ScoreReport.of(file.getFileName().toString(), score, marked, list, segments));
        if (json) {
            Json.print(entry(score));
        } else {
            print(score);
        }
        return score.passed() ? ExitStatus.ALL_WELL : ExitStatus.FOUND_SOMETHING;
    }

    private static String text(Path path) throws IOException {
        try {
            return Files.readString(path);
        } catch (MalformedInputException e) {
            throw new CannotProceedException(path.toString(), "problem.not-utf-8");
        }
    }

    private static Map<String, Object> entry(QualityScore score) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("words", score.words());
        entry.put("penalty", number(score.penalty()));
        entry.put("score", score.score().map(ScoreCommand::number).orElse(null));
        entry.put("passed", score.passed());
        entry.put("byCategory", tallies(score.byCategory()));
        entry.put("bySeverity", tallies(score.bySeverity()));
        return entry;
    }

    private static Map<String, Object> tallies(Map<String, QualityScore.Tally> tallies) {
        Map<String, Object> entries = new LinkedHashMap<>();
        tallies.forEach((id, tally) -> {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("count", tally.count());
            entry.put("penalty", number(tally.penalty()));
            entries.put(id, entry);
        });
        return entries;
    }

    /** Without zeros at its end, and never with an exponent. */
    private static BigDecimal number(BigDecimal exact) {
        BigDecimal stripped = exact.stripTrailingZeros();
        return stripped.scale() < 0 ? stripped.setScale(0) : stripped;
    }

    private static void print(QualityScore score) {
        System.out.println("score: "
                + score.score().map(each -> number(each).toPlainString()).orElse("none")
                + (score.passed() ? " (passed)" : " (not passed)"));
        System.out.println("words: " + score.words());
        System.out.println("penalty: " + number(score.penalty()).toPlainString());
        score.byCategory().forEach((id, tally) -> System.out.println(id + ": " + tally.count()));
        score.bySeverity().forEach((id, tally) -> System.out.println(id + ": " + tally.count()));
    }
}
