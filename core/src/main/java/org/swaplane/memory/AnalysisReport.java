package org.swaplane.memory;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;
import org.swaplane.report.Cell;
import org.swaplane.report.Report;

/** Words, segments and characters by band, a row for each file and one for all. */
public final class AnalysisReport {
    private AnalysisReport() {}

    /** @param files amounts by the name of the file */
    public static Report of(
            Map<String, Map<WordAnalysis.Band, WordAnalysis.Amount>> files,
            Map<WordAnalysis.Band, WordAnalysis.Amount> total) {
        return begun(files, total).build();
    }

    /** The same with the words by weights. */
    public static Report of(
            Map<String, Map<WordAnalysis.Band, WordAnalysis.Amount>> files,
            Map<WordAnalysis.Band, WordAnalysis.Amount> total,
            WordWeights weights) {
        List<List<Cell>> rows = new ArrayList<>();
        files.forEach((name, amounts) -> rows.add(weighted(name, amounts, weights)));
        rows.add(weighted(text("report.analysis.total"), total, weights));
        return begun(files, total)
                .section(Report.Section.ofTable(
                        text("report.analysis.weighted", weights.toString()),
                        List.of(text("report.analysis.file"), text("report.analysis.weighted-words")),
                        rows))
                .build();
    }

    private static List<Cell> weighted(
            String name, Map<WordAnalysis.Band, WordAnalysis.Amount> amounts, WordWeights weights) {
        return List.of(Cell.of(name), Cell.of(weights.of(amounts).toPlainString()));
    }

    private static Report.Builder begun(
            Map<String, Map<WordAnalysis.Band, WordAnalysis.Amount>> files,
            Map<WordAnalysis.Band, WordAnalysis.Amount> total) {
        return Report.titled(text("report.analysis.title", String.join(", ", files.keySet())))
                .section(table("report.analysis.words", files, total, WordAnalysis.Amount::words))
                .section(table("report.analysis.segments", files, total, WordAnalysis.Amount::segments))
                .section(table("report.analysis.characters", files, total, WordAnalysis.Amount::characters));
    }

    private static Report.Section table(
            String heading,
            Map<String, Map<WordAnalysis.Band, WordAnalysis.Amount>> files,
            Map<WordAnalysis.Band, WordAnalysis.Amount> total,
            ToIntFunction<WordAnalysis.Amount> of) {
        List<String> heads = new ArrayList<>();
        heads.add(text("report.analysis.file"));
        Stream.of(WordAnalysis.Band.values()).forEach(band -> heads.add(text("band." + band.word())));
        heads.add(text("report.analysis.sum"));
        List<List<Cell>> rows = new ArrayList<>();
        files.forEach((name, amounts) -> rows.add(row(name, amounts, of)));
        rows.add(row(text("report.analysis.total"), total, of));
        return Report.Section.ofTable(text(heading), heads, rows);
    }

    private static List<Cell> row(
            String name, Map<WordAnalysis.Band, WordAnalysis.Amount> amounts, ToIntFunction<WordAnalysis.Amount> of) {
        List<Cell> cells = new ArrayList<>();
        cells.add(Cell.of(name));
        int sum = 0;
        for (WordAnalysis.Band band : WordAnalysis.Band.values()) {
            int amount = of.applyAsInt(amounts.getOrDefault(band, WordAnalysis.Amount.NOTHING));
            cells.add(Cell.of(amount));
            sum += band.isWork() ? amount : 0;
        }
        cells.add(Cell.of(sum));
        return cells;
    }
}
