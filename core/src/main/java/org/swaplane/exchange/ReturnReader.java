package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import com.ibm.icu.text.Normalizer2;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import org.swaplane.content.Blanks;
import org.swaplane.content.Content;
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
            Irregularity.NUMBER, Kind.CELL_CALCULATED,
            Irregularity.NUMBERED, Kind.LINES_NUMBERED,
            Irregularity.SYMBOL, Kind.SYMBOL,
            Irregularity.UNCLEAR_COLUMN, Kind.COLUMN_UNCLEAR));
    /** What a reader of the text alone misses even where the text is as it was sent. */
    private static final Set<Irregularity> SEEN_BESIDES = EnumSet.of(Irregularity.NUMBERED, Irregularity.SYMBOL);
    /** So long are cells where programs cut them. */
    private static final int CELL_LENGTH = 32_767;
    /** Fewer rows whose targets changed places were exchanged on purpose. */
    private static final int FEW = 3;
    /** A number that reads the same however a spreadsheet holds it. */
    private static final Pattern PLAIN_NUMBER = Pattern.compile("-?[1-9][0-9]{0,14}|0");

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
        remarks.addAll(ownRemarks(matching.remarks()));
        Map<Integer, List<StructureProblem>> byNumber = new HashMap<>();
        for (StructureProblem problem : matching.problems()) {
            byNumber.computeIfAbsent(problem.number(), none -> new ArrayList<>())
                    .add(problem);
        }
        matched.forEach((number, row) ->
                readRow(sent.get(number), row, () -> matching.print(number), byNumber.getOrDefault(number, List.of())));
        returned.remarks().forEach(remark -> remarks.add(new RowRemark(RowRemark.NO_SEGMENT, remark)));
        returned.rows().stream()
                .filter(row -> row.irregularities().contains(Irregularity.UNCLEAR_COLUMN))
                .findFirst()
                .ifPresent(row ->
                        problems.add(new StructureProblem(Kind.COLUMN_UNCLEAR, 0, text("return.column-unclear"))));
        findShifted();
        return new ReturnReading(problems, changes, remarks, untouched);
    }

    /** Without those that went out with the rows. */
    private List<RowRemark> ownRemarks(List<RowRemark> all) {
        Map<Integer, SentRow> byIndex = new HashMap<>();
        sent.values().forEach(row -> byIndex.put(row.index(), row));
        return all.stream()
                .filter(each -> !byIndex.containsKey(each.index())
                        || !isOurOwnNote(each.remark().text(), byIndex.get(each.index())))
                .toList();
    }

    /**
     * Targets that are the very ones which other rows were sent with, where these rows came back with others as well: one column was moved or
     * sorted without the rest, and of all that changed nobody can tell where it belongs.
     */
    private void findShifted() {
        Set<String> sentElsewhere = new HashSet<>();
        for (RowChange change : changes) {
            sentElsewhere.add(change.sent());
        }
        long shifted = changes.stream()
                .filter(change -> !Blanks.isAllOf(change.returned()) && sentElsewhere.contains(change.returned()))
                .count();
        if (shifted < FEW || shifted * 2 < changes.size()) {
            return;
        }
        StructureProblem problem =
                new StructureProblem(Kind.TARGETS_SHIFTED, 0, text("return.targets-shifted", shifted));
        problems.add(problem);
        changes.replaceAll(change -> change.with(problem));
    }

    private void readRow(SentRow original, ReturnedRow row, Supplier<String> print, List<StructureProblem> known) {
        String returned = composedAs(original, EdgeBreaks.without(unfolded(original, row)));
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
        if (textChanged && isSame(original, returned)) {
            // What stands there now already is nobody's problem.
            own.clear();
        }
        if (!textChanged) {
            row.irregularities().stream()
                    .filter(SEEN_BESIDES::contains)
                    .forEach(irregularity -> own.add(problem(irregularity, original)));
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

    /** What came back; where a program folded the white space of everything, what differs in nothing else is as it was sent. */
    private static String unfolded(SentRow original, ReturnedRow row) {
        boolean isSame = row.irregularities().contains(Irregularity.FOLDED)
                && folded(row.target()).equals(folded(original.sent()));
        return isSame ? original.sent() : row.target();
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

    private static StructureProblem problem(Irregularity irregularity, SentRow row) {
        Kind kind = IRREGULAR.get(irregularity);
        return problem(
                kind, row, "return." + kind.name().toLowerCase(Locale.ROOT).replace('_', '-'));
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
            if (!IRREGULAR.containsKey(irregularity)) {
                continue;
            }
            if (irregularity != Irregularity.NUMBER
                    || !PLAIN_NUMBER.matcher(original.sent()).matches()) {
                found.add(problem(irregularity, original));
            }
        }
        if (hasUnknownSymbol(returned, original) && !row.irregularities().contains(Irregularity.SYMBOL)) {
            found.add(problem(Irregularity.SYMBOL, original));
        }
        boolean isTyped = row.irregularities().contains(Irregularity.CALCULATED)
                || row.irregularities().contains(Irregularity.NUMBER);
        String model =
                Blanks.isAllOf(original.sent()) ? original.segment().source().plainText() : original.sent();
        if (!isTyped && Conversions.isLike(model, returned)) {
            found.add(problem(Irregularity.CALCULATED, original));
        }
        if (isCut(original.sent(), returned)) {
            found.add(problem(Kind.TEXT_CUT, original, "return.text-cut"));
        }
        returned.codePoints()
                .filter(c -> !isWritable(c))
                .findFirst()
                .ifPresent(c -> found.add(problem(
                        Kind.CHARACTERS, original, "return.characters", String.format(Locale.ROOT, "U+%04X", c))));
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

    /** Characters of no meaning but that of a font (private use), which neither text had. */
    private static boolean hasUnknownSymbol(String returned, SentRow original) {
        return returned.codePoints()
                .filter(c -> Character.getType(c) == Character.PRIVATE_USE)
                .anyMatch(c -> original.sent().indexOf(c) < 0
                        && original.segment().source().plainText().indexOf(c) < 0);
    }

    private static boolean isCut(String sent, String returned) {
        boolean isBeginning = returned.length() >= CELL_LENGTH - 1 && sent.startsWith(returned);
        return returned.length() == CELL_LENGTH || isBeginning;
    }

    /** Whether XML can hold a character (XML 1.0, section 2.2, Char). */
    private static boolean isWritable(int c) {
        return c >= ' ' && c <= 0xD7FF
                || c == '\t'
                || c == '\n'
                || c == '\r'
                || c >= 0xE000 && c <= 0xFFFD
                || c >= 0x10000;
    }

    /**
     * Whether the lines of a text, which its source has as well, came back as one; or it is the same text with other line breaks, or without
     * white space that the source has as well.
     */
    private static boolean losesLines(SentRow original, String returned) {
        String sent = original.sent();
        boolean had = sent.indexOf('\n') >= 0;
        boolean has = returned.indexOf('\n') >= 0;
        String source = original.segment().source().plainText();
        boolean isLaidOut = had != has || !source.equals(folded(source));
        return had && !has && source.indexOf('\n') >= 0
                || isLaidOut && folded(sent).equals(folded(returned));
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
                || !TagOrder.keepsFixedOrder(answer, source) && TagOrder.sameTags(answer, source)) {
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

    /** Whether it is what stands there now. */
    private static boolean isSame(SentRow original, String returned) {
        Content source = original.segment().source();
        return EdgeBreaks.without(TagNotation.write(original.now(), source)).equals(returned);
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
        return TagOrder.sameTags(answer, source) || !sent.isBlank() && TagOrder.sameTags(answer, sent);
    }

    /** The comment column went out with the file's notes in it, and the word that a row is locked. */
    private static boolean isOurOwnNote(String text, SentRow original) {
        String folded = folded(text);
        return original.notes().stream().anyMatch(note -> folded.equals(folded(note)))
                || original.segment().notes().stream().anyMatch(note -> folded.equals(folded(note.text())))
                || folded.equals(folded(ReviewCopy.notes(original.segment())));
    }
}
