package org.swaplane.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.function.Function;
import org.swaplane.document.State;
import org.swaplane.exchange.FileExchange;
import org.swaplane.exchange.ReturnReader;
import org.swaplane.exchange.ReturnReading;
import org.swaplane.exchange.ReturnedBilingual;
import org.swaplane.exchange.RowChange;
import org.swaplane.exchange.SentRow;
import org.swaplane.exchange.StructureProblem;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReviewCopyFormats;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Applies a returned review copy to the bilingual file it was made from. */
@Command(
        name = "back",
        description = "Applies the sound changes of a returned review copy to the bilingual file it was made from.")
final class BackCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "BILINGUAL")
    private Path bilingual;

    @Parameters(index = "1", paramLabel = "RETURNED")
    private Path returned;

    @Mixin
    private OutputOptions output;

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    @Override
    public Integer call() throws IOException {
        Source source = Source.of(bilingual);
        BilingualFile file = FormatRegistry.ofInstalled().open(source, Progress.NONE);
        List<SentRow> sent = FileExchange.sentRows(file.document());
        String trip = FileExchange.trip(source.sha256());
        Source back = Source.of(returned);
        ReturnReading reading;
        List<SegmentEdit> edits;
        if (ReviewCopyFormats.ofInstalled().mayBeCopy(back)) {
            reading = ReturnReader.read(copy(back, trip), trip, sent);
            edits = edits(reading, change -> State.REVIEWED);
        } else {
            ReturnedBilingual other = bilingual(back, trip, sent);
            reading = other.read();
            edits = edits(reading, change -> other.state(change.segment()));
        }
        output.write(out -> file.write(edits, out, Progress.NONE), bilingual, returned);
        report(reading, edits.size());
        boolean allTaken = reading.problems().isEmpty()
                && edits.size() == reading.changes().size();
        return allTaken ? ExitStatus.ALL_WELL : ExitStatus.FOUND_SOMETHING;
    }

    private ReturnedCopy copy(Source back, String trip) throws IOException {
        ReturnedCopy copy = ReviewCopyFormats.ofInstalled().read(back);
        if (!copy.trip().orElseThrow().equals(trip)) {
            throw notFrom();
        }
        return copy;
    }

    /** A bilingual file from another tool is known by its keys. */
    private ReturnedBilingual bilingual(Source back, String trip, List<SentRow> sent) throws IOException {
        BilingualFile file = FormatRegistry.ofInstalled().open(back, Progress.NONE);
        ReturnedBilingual read = new ReturnedBilingual(file.document(), trip, sent);
        if (read.recognised() == 0 && !sent.isEmpty()) {
            throw notFrom();
        }
        return read;
    }

    private CannotProceedException notFrom() {
        return new CannotProceedException(
                returned.toString(), "the copy was not made from " + bilingual, "give the file that it was made from");
    }

    private static List<SegmentEdit> edits(ReturnReading reading, Function<RowChange, State> state) {
        return reading.safe().stream()
                .map(change -> new SegmentEdit(change.index(), change.answer(), state.apply(change)))
                .toList();
    }

    private void report(ReturnReading reading, int applied) throws IOException {
        if (json) {
            Map<String, Object> report = new LinkedHashMap<>();
            report.put("applied", applied);
            report.put("untouched", reading.untouched());
            report.put(
                    "problems",
                    reading.problems().stream().map(BackCommand::entry).toList());
            report.put(
                    "changes",
                    reading.changes().stream().map(BackCommand::entry).toList());
            report.put(
                    "remarks",
                    reading.remarks().stream()
                            .map(each -> Map.of(
                                    "row", each.index() + 1,
                                    "author", each.remark().author(),
                                    "date", each.remark().date(),
                                    "text", each.remark().text()))
                            .toList());
            Json.print(report);
            return;
        }
        List<String> lines = new ArrayList<>();
        reading.problems().forEach(problem -> lines.add(problem.message()));
        lines.add(applied + " of " + reading.changes().size() + " changes applied");
        lines.forEach(System.out::println);
    }

    private static Map<String, Object> entry(StructureProblem problem) {
        return Map.of(
                "kind", problem.kind().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                "row", problem.number(),
                "message", problem.message());
    }

    private static Map<String, Object> entry(RowChange change) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("row", change.number());
        entry.put("unit", change.segment().unit());
        entry.put("segment", change.segment().key());
        entry.put("sent", change.sent());
        entry.put("returned", change.returned());
        entry.put("applied", change.safe());
        change.revision().ifPresent(revision -> {
            entry.put("author", revision.author());
            entry.put("date", revision.date());
        });
        return entry;
    }
}
