package org.swaplane.convert;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntFunction;
import org.swaplane.check.CheckRun;
import org.swaplane.check.CheckedSegment;
import org.swaplane.check.Finding;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.exchange.FileExchange;
import org.swaplane.exchange.NewFindings;
import org.swaplane.exchange.ReturnReader;
import org.swaplane.exchange.ReturnReading;
import org.swaplane.exchange.ReturnedBilingual;
import org.swaplane.exchange.RowChange;
import org.swaplane.exchange.StructureProblem;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.CopyIdentity;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReviewCopyFormats;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Concurrent;
import org.swaplane.task.Progress;

/** What came back for bilingual files that are in no lane: a review copy of one or several of them, or one of them from another tool. */
public final class CopyReturn {
    private final FormatRegistry formats;
    private final ReviewCopyFormats copies = ReviewCopyFormats.ofInstalled();
    private final Accepting accepting;

    public CopyReturn(FormatRegistry formats, Accepting accepting) {
        this.formats = formats;
        this.accepting = accepting;
    }

    /**
     * What is taken besides what is safe.
     *
     * @param emptied targets that were emptied, which nobody does by accident then
     * @param findings changes that bring findings of the checks
     */
    public record Accepting(boolean emptied, boolean findings) {
        /** Nothing but what is safe. */
        public static final Accepting SAFE = new Accepting(false, false);
    }

    /**
     * What came back for one file.
     *
     * @param edits what accepting all safe changes writes
     * @param newFindings by the number of a row, what the checks would find in its returned target and do not find now
     */
    public record Result(
            Source source,
            BilingualFile file,
            ReturnReading reading,
            List<SegmentEdit> edits,
            Map<Integer, List<Finding>> newFindings) {
        public Result {
            edits = List.copyOf(edits);
            newFindings = Map.copyOf(newFindings);
        }

        /** Whether a change was left for nothing but the findings that it brings. */
        public boolean isLeftForFindings(RowChange change) {
            return change.safe() && newFindings.containsKey(change.number()) && !takes(change);
        }

        /** Whether nothing is left to look at. */
        public boolean isComplete() {
            long wanted = reading.changes().stream()
                    .filter(change -> change.what() != RowChange.Case.SAME_CHANGE)
                    .count();
            return reading.problems().isEmpty() && edits.size() == wanted;
        }

        /** Whether a change is among the edits. */
        public boolean takes(RowChange change) {
            return edits.stream().anyMatch(edit -> edit.segment() == change.index());
        }
    }

    /**
     * Reads what came back against the files it may belong to.
     *
     * @return a result for each file that something came back for
     * @throws CannotProceedException when it belongs to none of them
     */
    public List<Result> read(List<Source> files, Source returned, Progress progress) throws IOException {
        return copies.mayBeCopy(returned)
                ? ofCopy(files, returned, progress)
                : List.of(ofBilingual(files, returned, progress));
    }

    private List<Result> ofCopy(List<Source> files, Source returned, Progress progress) throws IOException {
        // The copy is read on one thread while the first file is read on another.
        Concurrent<ReturnedCopy> reading = Concurrent.of(() -> copies.read(returned));
        Map<String, Made> made = new LinkedHashMap<>();
        for (Source source : files) {
            Optional<Made> found = madeOf(source, reading, progress);
            if (found.isPresent()) {
                made.put(found.get().exchange().tripOf(reading.get()).orElseThrow(), found.get());
            }
        }
        if (made.isEmpty()) {
            throw notFrom(files, returned);
        }
        ReturnedCopy copy = reading.get();
        List<Result> results = new ArrayList<>();
        made.forEach((trip, each) -> {
            ReturnedCopy own = copy.of(trip, made.keySet());
            ReturnReading read = ReturnReader.read(own, trip, each.exchange().sentRows(own, trip));
            results.add(result(each.source(), each.file(), read, number -> State.REVIEWED));
        });
        return withOthers(results, copy, made.keySet());
    }

    /** A file that a copy was made of. */
    private record Made(Source source, BilingualFile file, FileExchange exchange) {}

    /** A file with several languages is read in those that the copy was made in. */
    private Optional<Made> madeOf(Source source, Concurrent<ReturnedCopy> reading, Progress progress)
            throws IOException {
        CannotProceedException reason = null;
        try {
            Made made = open(source, FileOptions.NONE, progress);
            if (made.exchange().tripOf(reading.get()).isPresent()) {
                return Optional.of(made);
            }
        } catch (CannotProceedException e) {
            reason = e;
        }
        List<CopyIdentity> identities = reading.get().identities();
        if (reason != null && identities.isEmpty()) {
            throw reason;
        }
        for (CopyIdentity identity : identities) {
            try {
                Made made = open(source, FileOptions.ofLanguages(identity.source(), identity.target()), progress);
                if (made.exchange().tripOf(reading.get()).isPresent()) {
                    return Optional.of(made);
                }
            } catch (CannotProceedException e) {
                // Not in these languages; others may be meant.
            }
        }
        return Optional.empty();
    }

    private Made open(Source source, FileOptions way, Progress progress) throws IOException {
        BilingualFile file = formats.open(source, way, progress);
        return new Made(source, file, new FileExchange(source.sha256(), file.document()));
    }

    /** Rows of files that were not given are said with the first result. */
    private static List<Result> withOthers(List<Result> results, ReturnedCopy copy, Set<String> known) {
        List<StructureProblem> others = copy.trips().stream()
                .filter(trip -> !known.contains(trip))
                .filter(trip -> copy.identity(trip).isPresent())
                .map(trip ->
                        new StructureProblem(StructureProblem.Kind.ROW_UNKNOWN, 0, text("return.other-file", trip)))
                .toList();
        if (others.isEmpty()) {
            return results;
        }
        Result first = results.get(0);
        List<StructureProblem> problems = new ArrayList<>(others);
        problems.addAll(first.reading().problems());
        ReturnReading reading = new ReturnReading(
                problems,
                first.reading().changes(),
                first.reading().remarks(),
                first.reading().untouched());
        List<Result> all = new ArrayList<>(results);
        all.set(0, new Result(first.source(), first.file(), reading, first.edits(), first.newFindings()));
        return all;
    }

    /** Of several files, the one that most of it comes from. */
    private Result ofBilingual(List<Source> files, Source returned, Progress progress) throws IOException {
        BilingualDocument document = formats.open(returned, progress).document();
        Source best = null;
        BilingualFile bestFile = null;
        ReturnedBilingual bestBack = null;
        CannotProceedException language = null;
        for (Source source : files) {
            BilingualFile file = formats.open(source, progress);
            Optional<CannotProceedException> other = otherLanguage(returned, document, file.document());
            if (other.isPresent()) {
                language = other.get();
                continue;
            }
            ReturnedBilingual back = new FileExchange(source.sha256(), file.document()).returned(document);
            if (bestBack == null || back.recognised() > bestBack.recognised()) {
                best = source;
                bestFile = file;
                bestBack = back;
            }
        }
        if (bestBack == null && language != null) {
            throw language;
        }
        boolean isNone = bestBack == null
                || bestBack.recognised() == 0 && !bestFile.document().segments().isEmpty();
        if (isNone) {
            throw notFrom(files, returned);
        }
        return result(best, bestFile, bestBack.read(), bestBack::state);
    }

    private static Optional<CannotProceedException> otherLanguage(
            Source returned, BilingualDocument there, BilingualDocument here) {
        List<String> theirs = languages(there);
        List<String> ours = languages(here);
        boolean agrees = theirs.isEmpty()
                || ours.isEmpty()
                || theirs.stream().anyMatch(one -> ours.stream().anyMatch(other -> FileExchange.agree(one, other)));
        return agrees
                ? Optional.empty()
                : Optional.of(new CannotProceedException(
                        returned.name(),
                        "problem.copy-of-other-language",
                        String.join(", ", theirs),
                        String.join(", ", ours)));
    }

    private static List<String> languages(BilingualDocument document) {
        return document.parts().stream()
                .map(Part::targetLanguage)
                .filter(language -> !language.isEmpty())
                .distinct()
                .toList();
    }

    private Result result(Source source, BilingualFile file, ReturnReading reading, IntFunction<State> states) {
        NewFindings checks = new NewFindings(CheckRun.ofAllChecks(), index -> checked(file.document(), index));
        Map<Integer, List<Finding>> newFindings = checks.of(reading);
        List<SegmentEdit> edits = new ArrayList<>();
        for (RowChange change : reading.changes()) {
            if (isTaken(change, newFindings.containsKey(change.number()))) {
                State state = change.leavesOpen(change.answer()) ? State.INITIAL : states.apply(change.number());
                edits.add(new SegmentEdit(change.index(), change.answer(), state));
            }
        }
        return new Result(source, file, reading, edits, newFindings);
    }

    private static CheckedSegment checked(BilingualDocument document, int index) {
        Segment segment = document.segments().get(index);
        Part part = document.parts().get(segment.part());
        return new CheckedSegment(index, segment, segment.target(), part.sourceLanguage(), part.targetLanguage());
    }

    private boolean isTaken(RowChange change, boolean bringsFindings) {
        return change.safe() && (accepting.findings() || !bringsFindings)
                || accepting.emptied()
                        && change.what() == RowChange.Case.CHANGED_THERE
                        && change.answer().isBlank()
                        && change.problems().stream()
                                .map(StructureProblem::kind)
                                .allMatch(kind -> !kind.isDoubtful()
                                        || kind == StructureProblem.Kind.EMPTIED
                                        || kind == StructureProblem.Kind.TAGS_CHANGED);
    }

    private static CannotProceedException notFrom(List<Source> files, Source returned) {
        return new CannotProceedException(
                returned.name(),
                "problem.copy-of-other-file",
                files.size(),
                files.get(0).name());
    }
}
