package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import com.ibm.icu.text.Normalizer2;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import org.swaplane.content.Blanks;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.content.TagOrder;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.State;
import org.swaplane.exchange.StructureProblem.Kind;
import org.swaplane.reviewcopy.Irregularity;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedRow;
import org.swaplane.reviewcopy.ReviewCopy;

/** Compares three texts for every row: as sent, as returned, as it stands now. Changes nothing. */
public final class ReturnReader {
    private static final Map<Irregularity, Kind> IRREGULAR = new EnumMap<>(Map.of(
            Irregularity.STRUCK, Kind.TEXT_STRUCK,
            Irregularity.HIDDEN, Kind.TEXT_HIDDEN,
            Irregularity.MERGED, Kind.CELL_MERGED,
            Irregularity.CALCULATED, Kind.CELL_CALCULATED,
            Irregularity.OTHER_LANGUAGE, Kind.OTHER_LANGUAGE,
            Irregularity.UNCLEAR_COLUMN, Kind.COLUMN_UNCLEAR));

    private static final Normalizer2 NFC = Normalizer2.getNFCInstance();

    private final Map<Integer, SentRow> sent = new HashMap<>();
    private final Map<Integer, State> states;
    private final List<RowChange> changes = new ArrayList<>();
    private final List<RowRemark> remarks = new ArrayList<>();
    private final List<StructureProblem> problems = new ArrayList<>();
    private int untouched;

    private ReturnReader(List<SentRow> rows, Map<Integer, State> states) {
        rows.forEach(row -> sent.put(row.number(), row));
        this.states = states;
    }

    /** Reads {@code returned} against the rows that went out with {@code trip}. */
    public static ReturnReading read(ReturnedCopy returned, String trip, List<SentRow> rows) {
        return read(returned, trip, rows, Map.of());
    }

    /** The same of something that says states too, by the number of the row. */
    static ReturnReading read(ReturnedCopy returned, String trip, List<SentRow> rows, Map<Integer, State> states) {
        return new ReturnReader(rows, states).read(returned, new RowMatching(trip, rows));
    }

    private ReturnReading read(ReturnedCopy returned, RowMatching matching) {
        Map<Integer, ReturnedRow> matched = matching.match(returned.rows());
        problems.addAll(matching.problems());
        Map<Integer, List<StructureProblem>> byNumber = new HashMap<>();
        for (StructureProblem problem : matching.problems()) {
            byNumber.computeIfAbsent(problem.number(), none -> new ArrayList<>())
                    .add(problem);
        }
        matched.forEach((number, row) ->
                readRow(sent.get(number), row, () -> matching.print(number), byNumber.getOrDefault(number, List.of())));
        returned.remarks().forEach(remark -> remarks.add(new RowRemark(RowRemark.NO_SEGMENT, remark)));
        sayUnclearColumn();
        return new ReturnReading(problems, changes, remarks, untouched);
    }

    /** It concerns all rows, and is said once. */
    private void sayUnclearColumn() {
        if (changes.stream()
                .flatMap(change -> change.problems().stream())
                .anyMatch(problem -> problem.kind() == Kind.COLUMN_UNCLEAR)) {
            problems.add(new StructureProblem(Kind.COLUMN_UNCLEAR, 0, text("return.column-unclear")));
        }
    }

    private void readRow(SentRow original, ReturnedRow row, Supplier<String> print, List<StructureProblem> known) {
        String returned = composedAs(original, EdgeBreaks.without(row.target()));
        boolean textChanged =
                !returned.equals(original.sent()) && !(Blanks.isAllOf(returned) && Blanks.isAllOf(original.sent()));
        Optional<State> state =
                Optional.ofNullable(states.get(original.number())).filter(each -> each != original.sentState());
        List<StructureProblem> own = new ArrayList<>();
        if (!RowMatching.isSource(row, original)
                && !Fingerprint.ofWritten(row.source()).equals(print.get())) {
            own.add(problem(Kind.SOURCE_CHANGED, original, "return.source-changed", row.source()));
        }
        // Untouched rows, which are most, need no reading.
        Content source = original.segment().source();
        TagNotation.Reading reading = textChanged || state.isPresent()
                ? TagNotation.read(returned, source)
                : new TagNotation.Reading(Content.EMPTY, Content.EMPTY, List.of());
        if (textChanged) {
            findProblems(original, row, returned, reading, own);
        } else if (state.filter(each -> each.ordinal() < original.sentState().ordinal())
                .isPresent()) {
            own.add(problem(Kind.STATE_LOWERED, original, "return.state-lowered"));
        }
        own.stream().filter(each -> each.kind() != Kind.COLUMN_UNCLEAR).forEach(problems::add);
        own.addAll(known);
        row.remarks().stream()
                .filter(remark -> !isOurOwnNote(remark.text(), original))
                .forEach(remark -> remarks.add(new RowRemark(original.index(), remark)));
        if (textChanged || state.isPresent()) {
            changes.add(change(original, row, returned, reading, state, own));
        } else {
            untouched++;
        }
    }

    /**
     * Programs decompose letters and their accents (UAX #15): what is the same but for that is the same, and what is new is composed as what
     * went out was.
     */
    private static String composedAs(SentRow original, String returned) {
        if (returned.equals(original.sent()) || NFC.isNormalized(returned)) {
            return returned;
        }
        String composed = NFC.normalize(returned);
        if (composed.equals(NFC.normalize(original.sent()))) {
            return original.sent();
        }
        String model = original.sent().isEmpty() ? original.segment().source().plainText() : original.sent();
        return NFC.isNormalized(model) ? composed : returned;
    }

    private static StructureProblem problem(Kind kind, SentRow row, String key, Object... more) {
        Object[] arguments = new Object[more.length + 1];
        arguments[0] = row.number();
        System.arraycopy(more, 0, arguments, 1, more.length);
        return new StructureProblem(kind, row.number(), text(key, arguments));
    }

    private static void findProblems(
            SentRow original,
            ReturnedRow row,
            String returned,
            TagNotation.Reading reading,
            List<StructureProblem> found) {
        if (original.segment().locked()) {
            found.add(problem(Kind.LOCKED_CHANGED, original, "return.locked-changed"));
        }
        if (isEmptied(reading.content(), original)) {
            boolean wasEmpty = Blanks.isAllOf(original.sent());
            found.add(problem(Kind.EMPTIED, original, wasEmpty ? "return.only-tags" : "return.emptied"));
        }
        for (Irregularity irregularity : row.irregularities()) {
            Kind kind = IRREGULAR.get(irregularity);
            found.add(problem(
                    kind,
                    original,
                    "return." + kind.name().toLowerCase(Locale.ROOT).replace('_', '-')));
        }
        if (losesLines(original, returned)) {
            found.add(problem(Kind.LINES_JOINED, original, "return.lines-joined"));
        }
        if (!reading.damages().isEmpty()) {
            String written = reading.damages().get(0).written().strip();
            found.add(problem(Kind.TAGS_DAMAGED, original, "return.tags-damaged", written));
            return;
        }
        if (!tagsWhole(reading.content(), original)) {
            found.add(problem(Kind.TAGS_CHANGED, original, "return.tags-changed"));
        }
        findMisplacedTags(original, reading.content(), found);
    }

    /** Whether nothing of a text is left that was there; of a target that was empty, whether only tags were put in the place of words. */
    private static boolean isEmptied(Content answer, SentRow original) {
        Content source = original.segment().source();
        Content sent = TagNotation.read(original.sent(), source).content();
        return answer.isBlank() && !(sent.isBlank() && source.isBlank());
    }

    /** Whether the lines of a text, which its source has as well, came back as one; or it is the same text with other line breaks. */
    private static boolean losesLines(SentRow original, String returned) {
        String sent = original.sent();
        boolean had = sent.indexOf('\n') >= 0;
        boolean has = returned.indexOf('\n') >= 0;
        return had && !has && original.segment().source().plainText().indexOf('\n') >= 0
                || had != has && folded(sent).equals(folded(returned));
    }

    private static String folded(String text) {
        return text.strip().replaceAll("\\s+", " ");
    }

    /** What was so in the source, or as it was sent, is nobody's fault there. */
    private static void findMisplacedTags(SentRow original, Content answer, List<StructureProblem> found) {
        Content source = original.segment().source();
        Content sent = TagNotation.read(original.sent(), source).content();
        if (!TagOrder.isWritable(answer) || isNew(TagOrder::reversed, answer, source, sent)) {
            found.add(problem(Kind.TAGS_BROKEN, original, "return.tags-broken"));
        } else if (isNew(TagOrder::overlapping, answer, source, sent)
                || !TagOrder.keepsFixedOrder(answer, source) && sameTags(answer, source)) {
            found.add(problem(Kind.TAGS_MOVED, original, "return.tags-moved"));
        }
    }

    private static <T> boolean isNew(Function<Content, Set<T>> wrong, Content answer, Content source, Content sent) {
        Set<T> there = wrong.apply(answer);
        return !there.isEmpty()
                && there.stream()
                        .anyMatch(each -> !wrong.apply(source).contains(each)
                                && !wrong.apply(sent).contains(each));
    }

    private static RowChange change(
            SentRow original,
            ReturnedRow row,
            String returned,
            TagNotation.Reading reading,
            Optional<State> state,
            List<StructureProblem> problems) {
        Content source = original.segment().source();
        String nowWhole = TagNotation.write(original.now(), source);
        String now = EdgeBreaks.without(nowWhole);
        boolean textChanged = !returned.equals(original.sent());
        boolean stands = now.equals(original.sent())
                && (textChanged || original.segment().state() == original.sentState());
        boolean same = now.equals(returned)
                && (textChanged
                        || state.filter(original.segment().state()::equals).isPresent());
        RowChange.Case what =
                same ? RowChange.Case.SAME_CHANGE : stands ? RowChange.Case.CHANGED_THERE : RowChange.Case.CONFLICT;
        boolean mended = !reading.damages().isEmpty()
                && tagsWhole(reading.repaired(), original)
                && TagOrder.isWritable(reading.repaired());
        EdgeBreaks edges = EdgeBreaks.of(nowWhole.isEmpty() ? TagNotation.write(source, source) : nowWhole);
        return new RowChange(
                original.number(),
                original.index(),
                original.segment(),
                what,
                original.sent(),
                returned,
                textChanged ? edges.around(reading.content()) : original.now(),
                mended ? Optional.of(edges.around(reading.repaired())) : Optional.empty(),
                original.now(),
                row.revision(),
                state,
                problems);
    }

    /** The answer has the tags of the source, or at least those that we sent; a new translation has had none. */
    private static boolean tagsWhole(Content answer, SentRow original) {
        Content source = original.segment().source();
        Content sent = TagNotation.read(original.sent(), source).content();
        return sameTags(answer, source) || !sent.isBlank() && sameTags(answer, sent);
    }

    private static boolean sameTags(Content one, Content other) {
        List<Tag> left = new ArrayList<>(other.tags());
        for (Tag tag : one.tags()) {
            Optional<Tag> counterpart = left.stream().filter(tag::matches).findFirst();
            if (counterpart.isEmpty()) {
                return false;
            }
            left.remove(counterpart.get());
        }
        return left.isEmpty();
    }

    /** The comment column went out with the file's notes in it, and the word that a row is locked. */
    private static boolean isOurOwnNote(String text, SentRow original) {
        return original.notes().contains(text)
                || original.segment().notes().stream().anyMatch(note -> text.equals(note.text()))
                || text.equals(ReviewCopy.notes(original.segment()).strip());
    }
}
