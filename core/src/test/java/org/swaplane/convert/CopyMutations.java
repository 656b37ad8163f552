package org.swaplane.convert;

import static org.swaplane.exchange.StructureProblem.Kind.*;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.swaplane.exchange.StructureProblem;
import org.swaplane.reviewcopy.RowCode;

/** What people and programs do to the cells of a copy, whatever form it has, and what is right then. */
final class CopyMutations {
    private CopyMutations() {}

    /**
     * Something that is done to a copy.
     *
     * @param applied numbers of the rows that are accepted by default
     * @param said kinds of problems, each once
     * @param remarks texts of remarks
     */
    record Mutation(
            String name,
            Consumer<AnsweredCopy> done,
            List<Integer> applied,
            List<StructureProblem.Kind> said,
            List<String> remarks) {
        Mutation(String name, Consumer<AnsweredCopy> done, List<Integer> applied, StructureProblem.Kind... said) {
            this(name, done, applied, Arrays.asList(said), List.of());
        }
    }

    private static Consumer<AnsweredCopy> answer(int number, String text) {
        return copy -> copy.answer(number, old -> text);
    }

    /** Row 1 is answered as well, which must be accepted whatever else happened. */
    private static Consumer<AnsweredCopy> and(Consumer<AnsweredCopy> other) {
        return answer(1, "Anleger").andThen(other);
    }

    private static final List<Mutation> ORDINARY = List.of(
            new Mutation("nothing", copy -> {}, List.of()),
            new Mutation("one answer", answer(1, "Anleger"), List.of(1)),
            new Mutation("a row is deleted", and(copy -> copy.rows.remove(5)), List.of(1), ROW_MISSING),
            new Mutation(
                    "many rows are deleted",
                    and(copy -> copy.rows.subList(3, 11).clear()),
                    List.of(1),
                    ROW_MISSING),
            new Mutation(
                    "cut down to one row", and(copy -> copy.rows.subList(2, 15).clear()), List.of(1), ROW_MISSING),
            new Mutation(
                    "sorted by target",
                    and(copy -> copy.rows.subList(1, 15).sort(Comparator.comparing(row -> row.get(2)))),
                    List.of(1),
                    ROW_MOVED),
            new Mutation(
                    "turned upside down",
                    and(copy -> Collections.reverse(copy.rows.subList(1, 15))),
                    List.of(1),
                    ROW_MOVED),
            new Mutation("one row moved", and(copy -> copy.rows.add(copy.rows.remove(3))), List.of(1), ROW_MOVED),
            new Mutation(
                    "a row twice, the same",
                    and(copy -> copy.rows.add(new ArrayList<>(copy.rows.get(7)))),
                    List.of(1),
                    ROW_MOVED),
            new Mutation(
                    "a row twice, different",
                    and(copy -> {
                        copy.rows.add(new ArrayList<>(copy.rows.get(7)));
                        copy.rows.get(15).set(2, "Oberdeck");
                    }),
                    List.of(1),
                    List.of(ROW_DOUBLED),
                    List.of("Target in line 15: Oberdeck")),
            new Mutation(
                    "a column before the target",
                    and(copy -> insert(copy, 2, "Old", "alt")),
                    List.of(1),
                    List.of(),
                    old("Old: alt")),
            new Mutation(
                    "a column without a head before the target",
                    and(copy -> insert(copy, 2, "", "alt")),
                    List.of(1),
                    List.of(),
                    old("alt")),
            new Mutation(
                    "a column at the right",
                    and(copy -> insert(copy, 5, "Checked", "yes")),
                    List.of(1),
                    List.of(),
                    old("Checked: yes")),
            new Mutation(
                    "a column at the left",
                    and(copy -> insert(copy, 0, "Done", "x")),
                    List.of(1),
                    List.of(),
                    old("Done: x")),
            new Mutation("source and target change places", and(copy -> swap(copy, 1, 2)), List.of(1)),
            new Mutation("the codes stand first", and(copy -> swap(copy, 0, 4)), List.of(1)),
            new Mutation("no codes", and(copy -> remove(copy, 4)), List.of(1), CODE_DAMAGED),
            new Mutation(
                    "neither codes nor numbers",
                    and(copy -> {
                        remove(copy, 4);
                        remove(copy, 0);
                    }),
                    List.of(1),
                    ROW_UNKNOWN,
                    CODE_DAMAGED,
                    ROW_MISSING),
            new Mutation(
                    "a typing accident in a code",
                    and(copy -> copy.cell(1, 4, code -> code.replace("-1-", "-7-"))),
                    List.of(1),
                    CODE_DAMAGED),
            new Mutation(
                    "codes in small letters",
                    and(copy -> IntStream.rangeClosed(1, 14)
                            .forEach(row -> copy.cell(row, 4, code -> code.toLowerCase(Locale.ROOT)))),
                    List.of(1)),
            new Mutation("no heads", and(copy -> copy.rows.remove(0)), List.of(1)),
            new Mutation(
                    "other heads",
                    and(copy -> copy.rows.set(0, new ArrayList<>(List.of("#", "EN (a)", "DE (b)", "Note", "Id")))),
                    List.of(1),
                    List.of(),
                    List.of("#", "EN (a)", "DE (b)", "Note", "Id")),
            new Mutation("an emptied target", and(answer(5, "")), List.of(1), EMPTIED),
            new Mutation("a target of spaces", and(answer(5, "   ")), List.of(1), EMPTIED),
            new Mutation("a target that is not seen", and(answer(5, "\u00A0\u200B")), List.of(1), EMPTIED),
            new Mutation("an emptied target with tags", and(answer(2, "")), List.of(1), EMPTIED, TAGS_CHANGED),
            new Mutation("only tags are left", and(answer(2, "⟦1⟧ ⟦/1⟧")), List.of(1), EMPTIED),
            new Mutation("a translation of what was empty", and(answer(11, "Gepäck")), List.of(1, 11)),
            new Mutation("spaces in what was empty", and(answer(11, "  ")), List.of(1)),
            new Mutation(
                    "the source edited",
                    and(copy -> {
                        copy.cell(7, 1, old -> "Deck 4");
                        copy.answer(7, old -> "Deck 4");
                    }),
                    List.of(1),
                    SOURCE_CHANGED),
            new Mutation("a space in the source", and(copy -> copy.cell(7, 1, old -> "Deck  3 ")), List.of(1)),
            new Mutation("a locked row", and(answer(4, "EUR")), List.of(1), LOCKED_CHANGED),
            new Mutation("a lost tag", and(answer(2, "Jetzt OK drücken.")), List.of(1), TAGS_CHANGED),
            new Mutation(
                    "half a pair lost", and(answer(2, "Jetzt ⟦1⟧OK drücken.")), List.of(1), TAGS_CHANGED, TAGS_BROKEN),
            new Mutation("a tag too many", and(answer(2, "⟦1⟧Jetzt⟦/1⟧ ⟦1⟧OK⟦/1⟧.")), List.of(1), TAGS_CHANGED),
            new Mutation("a pair reversed", and(answer(2, "Jetzt ⟦/1⟧OK⟦1⟧ drücken.")), List.of(1), TAGS_BROKEN),
            new Mutation("pairs overlap", and(answer(3, "⟦1⟧Tag ⟦2⟧und⟦/1⟧ Nacht⟦/2⟧")), List.of(1), TAGS_BROKEN),
            new Mutation("a pair in a pair", and(answer(3, "⟦1⟧Tag und ⟦2⟧Nacht⟦/2⟧⟦/1⟧")), List.of(1, 3)),
            new Mutation("tags moved with their words", and(answer(3, "⟦2⟧Nacht⟦/2⟧ und ⟦1⟧Tag⟦/1⟧")), List.of(1, 3)),
            new Mutation(
                    "tags retyped in other brackets",
                    and(answer(2, "Jetzt [1]OK[/1] drücken.")),
                    List.of(1),
                    TAGS_DAMAGED),
            new Mutation(
                    "a tag with blanks inside", and(answer(2, "Jetzt ⟦ 1 ⟧OK⟦/1⟧ drücken.")), List.of(1), TAGS_DAMAGED),
            new Mutation("a tag of no number here", and(answer(1, "⟦7/⟧Kai")), List.of(), TAGS_DAMAGED),
            new Mutation("line breaks at the edges", and(answer(9, "\nHafen\n\n")), List.of(1)),
            new Mutation("what has line breaks in the file", and(answer(12, "Mannschaft")), List.of(1, 12)),
            new Mutation(
                    "a row of another copy",
                    and(copy -> copy.rows.add(new ArrayList<>(List.of("3", "Stay", "Bleib", "", "ZZZZZ-3-ABCDEF-9")))),
                    List.of(1),
                    List.of(ROW_UNKNOWN),
                    List.of("Target in line 15: Bleib")),
            new Mutation(
                    "a comment",
                    and(copy -> copy.cell(9, 3, old -> "Really?")),
                    List.of(1),
                    List.of(),
                    List.of("Really?")),
            new Mutation(
                    "a line of the reviewer's own",
                    and(copy -> copy.rows.add(4, new ArrayList<>(List.of("", "", "", "Please check all this", "")))),
                    List.of(1),
                    List.of(),
                    List.of("Please check all this")),
            new Mutation(
                    "empty lines",
                    and(copy -> copy.rows.add(4, new ArrayList<>(List.of("", "", "", "", "")))),
                    List.of(1)),
            new Mutation("no identity", and(copy -> copy.identity = ""), List.of(1)),
            new Mutation("no texts as sent", and(copy -> copy.sent = ""), List.of(1)),
            new Mutation(
                    "neither of both",
                    and(copy -> {
                        copy.identity = "";
                        copy.sent = "";
                    }),
                    List.of(1)),
            new Mutation(
                    "only tags changed their order in place",
                    and(answer(2, "⟦1⟧Jetzt OK drücken.⟦/1⟧")),
                    List.of(1, 2)));

    /** Brackets that people type where they cannot type ours. */
    private static final List<String> BRACKETS = List.of(
            "[]", "()", "{}", "<>", "［］", "（）", "｛｝", "＜＞", "【】", "〔〕", "〈〉", "《》", "〚〛", "⟨⟩", "❲❳", "⦗⦘", "「」");

    /** The digit one of several scripts. */
    private static final List<String> ONES = List.of("１", "١", "۱", "१", "১", "๑", "໑", "༡", "၁", "߁");

    private static final List<String> BLANKS = List.of(
            " ", "\u00A0", "\u2003", "\u2800", "\u3000", "\u3164", "\u115F", "\uFFA0", "\u200B", "\u200D", "\u2060",
            "\u00AD", "\u034F", "\u180E", "\u202E", "\uFE0F");

    private static Stream<Mutation> retypedTags() {
        Stream<Mutation> brackets = BRACKETS.stream()
                .map(pair -> new Mutation(
                        "tags retyped in " + pair,
                        and(answer(
                                2,
                                "Jetzt " + pair.charAt(0) + 1 + pair.charAt(1) + "OK" + pair.charAt(0) + "/1"
                                        + pair.charAt(1) + " drücken.")),
                        List.of(1),
                        TAGS_DAMAGED));
        Stream<Mutation> digits = ONES.stream()
                .map(one -> new Mutation(
                        "tags retyped with the digit " + one,
                        and(answer(2, "Jetzt ⟦" + one + "⟧OK⟦/" + one + "⟧ drücken.")),
                        List.of(1),
                        TAGS_DAMAGED));
        Stream<Mutation> broken = Stream.of(
                        "⟦1OK⟦/1⟧", "1⟧OK⟦/1⟧", "⟦1⟧OK⟦/1", "⟦1⟧OK/1⟧", "⟦1⟧OK⟦/1⟧⟦", "⟦a⟧OK⟦/a⟧", "⟦1⟧OK⟦／1⟧")
                .map(text -> new Mutation(
                        "a broken tag: " + text,
                        and(answer(2, "Jetzt " + text + " drücken.")),
                        List.of(1),
                        TAGS_DAMAGED));
        return Stream.of(brackets, digits, broken).flatMap(each -> each);
    }

    private static Stream<Mutation> notRetypedTags() {
        return Stream.of("(1)", "[1]", "{1}", "<1>", "（１）")
                .map(text -> new Mutation(
                        "a number in brackets beside whole tags: " + text,
                        and(answer(2, "Jetzt ⟦1⟧OK⟦/1⟧ drücken " + text + ".")),
                        List.of(1)));
    }

    private static Stream<Mutation> emptied() {
        return BLANKS.stream()
                .flatMap(blank -> Stream.of(
                        new Mutation(
                                String.format("a target of U+%04X", (int) blank.charAt(0)),
                                and(answer(9, blank)),
                                List.of(1),
                                EMPTIED),
                        new Mutation(
                                String.format("what was empty of U+%04X", (int) blank.charAt(0)),
                                and(answer(11, blank)),
                                List.of(1))));
    }

    private static Stream<Mutation> deleted() {
        return IntStream.rangeClosed(2, 14)
                .mapToObj(row -> new Mutation(
                        "row " + row + " is deleted", and(copy -> copy.rows.remove(row)), List.of(1), ROW_MISSING));
    }

    private static Stream<Mutation> sorted() {
        return IntStream.rangeClosed(1, 2)
                .mapToObj(column -> new Mutation(
                        "sorted by column " + column + ", falling",
                        and(copy -> copy.rows
                                .subList(1, 15)
                                .sort(Comparator.comparing((List<String> row) -> row.get(column))
                                        .reversed())),
                        List.of(1),
                        ROW_MOVED));
    }

    private static Stream<Mutation> besides() {
        return Stream.of("Note", "Done?", "Status", "Geprüft", "状態", "حالة", "Old (de-DE) text")
                .map(head -> new Mutation(
                        "a column of one's own called " + head,
                        and(copy -> insert(copy, 5, head, "x1")),
                        List.of(1),
                        List.of(),
                        old(head + ": x1")));
    }

    private static final List<Mutation> NEW_TRANSLATIONS = List.of(
            new Mutation(
                    "a new translation with its tags", and(answer(13, "Jetzt ⟦1⟧Start⟦/1⟧ drücken.")), List.of(1, 13)),
            new Mutation(
                    "a new translation without tags",
                    and(answer(13, "Jetzt Start drücken.")),
                    List.of(1),
                    TAGS_CHANGED),
            new Mutation(
                    "a new translation with half a pair",
                    and(answer(13, "Jetzt ⟦1⟧Start drücken.")),
                    List.of(1),
                    TAGS_CHANGED,
                    TAGS_BROKEN),
            new Mutation(
                    "a new translation with retyped tags",
                    and(answer(13, "Jetzt (1)Start(/1) drücken.")),
                    List.of(1),
                    TAGS_DAMAGED),
            new Mutation("tags alone in what was empty", and(answer(13, "⟦1⟧⟦/1⟧")), List.of(1), EMPTIED),
            new Mutation(
                    "a new translation with its pair reversed",
                    and(answer(13, "Jetzt ⟦/1⟧Start⟦1⟧ drücken.")),
                    List.of(1),
                    TAGS_BROKEN));

    private static final List<Mutation> WHITE_SPACE = List.of(
            new Mutation("two lines joined", and(answer(14, "Fähre Anleger")), List.of(1), LINES_JOINED),
            new Mutation("two lines joined and edited", and(answer(14, "Fähre, Anleger")), List.of(1), LINES_JOINED),
            new Mutation("a line more", and(answer(14, "Fähre\nAnleger\nMole")), List.of(1, 14)),
            new Mutation("one line cut in two", and(answer(9, "Ha\nfen")), List.of(1, 9)),
            new Mutation(
                    "a line break in place of a space",
                    and(answer(2, "Jetzt ⟦1⟧OK⟦/1⟧\ndrücken.")),
                    List.of(1),
                    LINES_JOINED));

    private static final List<Mutation> PROGRAMS = List.of(
            new Mutation("decomposed", copy -> everyTarget(copy, Normalizer.Form.NFD), List.of()),
            new Mutation(
                    "decomposed with an answer",
                    answer(10, "Fährrad").andThen(copy -> everyTarget(copy, Normalizer.Form.NFD)),
                    List.of(10)),
            new Mutation("a symbol of a font", and(answer(9, "Hafen \uF04A")), List.of(1), SYMBOL),
            new Mutation("another number than the source has", and(answer(7, "Deck 4")), List.of(1)),
            new Mutation(
                    "one column moved down by one",
                    copy -> {
                        String last = copy.rows.get(10).get(2);
                        for (int i = 10; i > 5; i--) {
                            copy.rows.get(i).set(2, copy.rows.get(i - 1).get(2));
                        }
                        copy.rows.get(5).set(2, last);
                    },
                    List.of(),
                    TARGETS_SHIFTED),
            new Mutation(
                    "one column turned upside down, with an answer",
                    and(copy -> {
                        for (int i = 0; i < 3; i++) {
                            String text = copy.rows.get(5 + i).get(2);
                            copy.rows.get(5 + i).set(2, copy.rows.get(10 - i).get(2));
                            copy.rows.get(10 - i).set(2, text);
                        }
                    }),
                    List.of(),
                    TARGETS_SHIFTED),
            new Mutation(
                    "two targets exchanged",
                    and(answer(5, "Karte").andThen(answer(6, "Fahrschein"))),
                    List.of(1, 5, 6)),
            new Mutation(
                    "the target column copied with its head",
                    and(copy -> copy.rows.forEach(row -> row.add(3, row.get(2)))),
                    List.of(),
                    COLUMN_UNCLEAR),
            new Mutation(
                    "answered in a copied target column",
                    copy -> {
                        copy.rows.forEach(row -> row.add(3, row.get(2)));
                        copy.cell(9, 3, old -> "Seehafen");
                    },
                    List.of(),
                    List.of(COLUMN_UNCLEAR),
                    List.of("Target (de-DE): Seehafen")),
            new Mutation(
                    "a row split in two",
                    and(answer(10, "Fahr")
                            .andThen(copy -> copy.rows.add(11, new ArrayList<>(List.of("", "", "rad", "", ""))))),
                    List.of(1),
                    List.of(CELL_MERGED),
                    List.of("rad")),
            new Mutation(
                    "a cell split in two",
                    and(copy -> {
                        copy.rows.get(10).set(2, "Fahr");
                        copy.rows.get(10).add(3, "rad");
                    }),
                    List.of(1),
                    List.of(CELL_MERGED),
                    List.of("rad")));

    private static final List<Mutation> LETTERS = List.of(
            new Mutation(
                    "a word behind a number",
                    and(copy -> copy.cell(9, 0, number -> number + " done")),
                    List.of(1),
                    List.of(),
                    List.of("9 done")),
            new Mutation(
                    "a line above the table",
                    and(copy -> copy.above.add("Dear all, see below")),
                    List.of(1),
                    List.of(),
                    List.of("Dear all, see below")),
            new Mutation(
                    "words added to an instruction",
                    and(copy -> copy.above.set(1, copy.above.get(1) + " Done!")),
                    List.of(1),
                    List.of(),
                    List.of("Please correct. Done!")),
            new Mutation(
                    "a comment on a row that comes twice",
                    and(copy -> {
                        List<String> twin = new ArrayList<>(copy.rows.get(7));
                        twin.set(3, "second");
                        copy.rows.add(twin);
                    }),
                    List.of(1),
                    List.of(ROW_MOVED),
                    List.of("second")),
            new Mutation(
                    "target and comment of a row of one's own",
                    and(copy -> copy.rows.add(new ArrayList<>(List.of("99", "Gangway", "Steg", "why not?", "")))),
                    List.of(1),
                    List.of(ROW_UNKNOWN),
                    List.of("Target in line 15: Steg", "why not?")),
            new Mutation(
                    "a row pasted in from another copy",
                    and(copy -> copy.rows.add(new ArrayList<>(
                            List.of("5", "Ticket", "Schein", "hm", new RowCode("ABCDE", 5, "0FEDCB").written())))),
                    List.of(1),
                    List.of(ROW_UNKNOWN),
                    List.of("Target in line 15: Schein", "hm")),
            new Mutation(
                    "a head written over",
                    and(copy -> copy.cell(0, 3, head -> "Notes")),
                    List.of(1),
                    List.of(),
                    List.of("Notes")));

    /** All of them. */
    static final List<Mutation> ALL = Stream.of(
                    ORDINARY.stream(),
                    NEW_TRANSLATIONS.stream(),
                    WHITE_SPACE.stream(),
                    PROGRAMS.stream(),
                    LETTERS.stream(),
                    retypedTags(),
                    notRetypedTags(),
                    emptied(),
                    deleted(),
                    sorted(),
                    besides())
            .flatMap(each -> each)
            .toList();

    private static void everyTarget(AnsweredCopy copy, Normalizer.Form form) {
        IntStream.rangeClosed(1, 14).forEach(row -> copy.answer(row, text -> Normalizer.normalize(text, form)));
    }

    private static List<String> old(String text) {
        return Collections.nCopies(14, text);
    }

    private static void insert(AnsweredCopy copy, int at, String head, String text) {
        for (int i = 0; i < copy.rows.size(); i++) {
            copy.rows.get(i).add(at, i == 0 ? head : text);
        }
    }

    private static void remove(AnsweredCopy copy, int at) {
        copy.rows.forEach(row -> row.remove(at));
    }

    private static void swap(AnsweredCopy copy, int one, int other) {
        copy.rows.forEach(row -> Collections.swap(row, one, other));
    }
}
