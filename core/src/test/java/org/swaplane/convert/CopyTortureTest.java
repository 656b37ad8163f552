package org.swaplane.convert;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.exchange.StructureProblem.Kind.*;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.exchange.CopyRows;
import org.swaplane.exchange.FileExchange;
import org.swaplane.exchange.ReturnReading;
import org.swaplane.exchange.StructureProblem;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SafeXml;
import org.swaplane.format.Source;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.task.Progress;

/** What people and programs do to a copy, in every form: what is recognised, what is accepted by default, and what is said. */
class CopyTortureTest {
    private static final List<String> FORMS = List.of("docx", "xlsx", "html", "tsv", "odt");
    private static final FormatRegistry FORMATS = FormatRegistry.ofInstalled();

    private static final String FILE = """
            <xliff version="1.2" xmlns="urn:oasis:names:tc:xliff:document:1.2"><file original="a.json" source-language="en-GB" target-language="de-DE" datatype="plaintext"><body>
            <trans-unit id="u1"><source>Pier</source><target>Kai</target></trans-unit>
            <trans-unit id="u2"><source>Press <g id="1">OK</g> now.</source><target>Jetzt <g id="1">OK</g> drücken.</target></trans-unit>
            <trans-unit id="u3"><source><g id="1">Day</g> and <g id="2">night</g></source><target><g id="1">Tag</g> und <g id="2">Nacht</g></target></trans-unit>
            <trans-unit id="u4" translate="no"><source>GBP</source><target>GBP</target></trans-unit>
            <trans-unit id="u5"><source>Ticket</source><target>Fahrschein</target></trans-unit>
            <trans-unit id="u6"><source>Ticket</source><target>Karte</target></trans-unit>
            <trans-unit id="u7"><source>Deck 3</source><target>Deck 3</target></trans-unit>
            <trans-unit id="u8"><source>Timetable</source><target>Fahrplan</target></trans-unit>
            <trans-unit id="u9"><source>Harbour</source><target>Hafen</target></trans-unit>
            <trans-unit id="u10"><source>Bicycle</source><target>Fahrrad</target></trans-unit>
            <trans-unit id="u11"><source>Luggage</source><target></target></trans-unit>
            <trans-unit id="u12"><source>Crew</source><target>
              Besatzung
            </target></trans-unit>
            </body></file></xliff>
            """;

    /**
     * Something that is done to a copy.
     *
     * @param applied numbers of the rows that are accepted by default
     * @param said kinds of problems, each once
     * @param remarks texts of remarks
     */
    private record Mutation(
            String name,
            Consumer<AnsweredCopy> done,
            List<Integer> applied,
            List<StructureProblem.Kind> said,
            List<String> remarks) {
        private Mutation(
                String name, Consumer<AnsweredCopy> done, List<Integer> applied, StructureProblem.Kind... said) {
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

    private static final List<Mutation> MUTATIONS = List.of(
            new Mutation("nothing", copy -> {}, List.of()),
            new Mutation("one answer", answer(1, "Anleger"), List.of(1)),
            new Mutation("a row is deleted", and(copy -> copy.rows.remove(5)), List.of(1), ROW_MISSING),
            new Mutation(
                    "many rows are deleted",
                    and(copy -> copy.rows.subList(3, 11).clear()),
                    List.of(1),
                    ROW_MISSING),
            new Mutation(
                    "cut down to one row", and(copy -> copy.rows.subList(2, 13).clear()), List.of(1), ROW_MISSING),
            new Mutation(
                    "sorted by target",
                    and(copy -> copy.rows.subList(1, 13).sort(Comparator.comparing(row -> row.get(2)))),
                    List.of(1),
                    ROW_MOVED),
            new Mutation(
                    "turned upside down",
                    and(copy -> Collections.reverse(copy.rows.subList(1, 13))),
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
                        copy.rows.get(13).set(2, "Oberdeck");
                    }),
                    List.of(1),
                    ROW_DOUBLED),
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
                    and(copy -> IntStream.rangeClosed(1, 12)
                            .forEach(row -> copy.cell(row, 4, code -> code.toLowerCase(Locale.ROOT)))),
                    List.of(1)),
            new Mutation("no heads", and(copy -> copy.rows.remove(0)), List.of(1)),
            new Mutation(
                    "other heads",
                    and(copy -> copy.rows.set(0, new ArrayList<>(List.of("#", "EN (a)", "DE (b)", "Note", "Id")))),
                    List.of(1)),
            new Mutation("an emptied target", and(answer(5, "")), List.of(1), EMPTIED),
            new Mutation("a target of spaces", and(answer(5, "   ")), List.of(1), EMPTIED),
            new Mutation("a target that is not seen", and(answer(5, "\u00A0\u200B")), List.of(1), EMPTIED),
            new Mutation("an emptied target with tags", and(answer(2, "")), List.of(1), EMPTIED, TAGS_CHANGED),
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
                    ROW_UNKNOWN),
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

    private static List<String> old(String text) {
        return Collections.nCopies(12, text);
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

    static Stream<Arguments> cases() {
        return FORMS.stream().flatMap(form -> MUTATIONS.stream().map(each -> Arguments.of(form, each.name(), each)));
    }

    private static Source file() {
        return Source.of("a.xlf", FILE.getBytes(StandardCharsets.UTF_8));
    }

    private static AnsweredCopy copy() throws IOException {
        BilingualDocument document = FORMATS.open(file(), Progress.NONE).document();
        CopyRows.Owner owner = new CopyRows.Owner("", 0, FileExchange.trip(document));
        List<Integer> all =
                IntStream.range(0, document.segments().size()).boxed().toList();
        ReviewCopy.Part part = new CopyRows(document).part(owner, "a.xlf", all, 0);
        return new AnsweredCopy(new ReviewCopy("a.xlf", List.of("Please correct."), "en-GB", "de-DE", List.of(part)));
    }

    private static CopyReturn.Result read(AnsweredCopy copy, String form, Source file) throws IOException {
        return new CopyReturn(FORMATS, CopyReturn.Accepting.SAFE)
                .read(List.of(file), Source.of("back." + form, copy.written(form)), Progress.NONE)
                .get(0);
    }

    private static String targets(CopyReturn.Result result) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        result.file().write(result.edits(), out, Progress.NONE);
        var xml = SafeXml.factory().createXMLStreamReader(new ByteArrayInputStream(out.toByteArray()));
        while (xml.hasNext()) {
            xml.next();
        }
        return out.toString(StandardCharsets.UTF_8);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("cases")
    void whatIsDoneToACopyIsRecognised(String form, String name, Mutation mutation) throws Exception {
        AnsweredCopy copy = copy();
        mutation.done().accept(copy);

        CopyReturn.Result result = read(copy, form, file());

        ReturnReading reading = result.reading();
        assertThat(result.edits())
                .extracting(edit -> edit.segment() + 1)
                .containsExactlyInAnyOrderElementsOf(mutation.applied());
        assertThat(new TreeSet<>(
                        reading.problems().stream().map(StructureProblem::kind).toList()))
                .containsExactlyInAnyOrderElementsOf(mutation.said());
        boolean keepsPreface = !form.equals("odt") && !copy.sent.isEmpty();
        if (keepsPreface) {
            assertThat(reading.remarks())
                    .extracting(remark -> remark.remark().text())
                    .containsExactlyInAnyOrderElementsOf(mutation.remarks());
        }
        assertThat(targets(result)).contains(mutation.applied().contains(12) ? "\n  Mannschaft\n" : "\n  Besatzung\n");
    }

    /** Random answers in a random form never change a target that was not edited there, and never write malformed XML. */
    @Property(tries = 300)
    void nothingElseChanges(@ForAll("forms") String form, @ForAll("answers") Map<Integer, String> answers)
            throws Exception {
        AnsweredCopy copy = copy();
        answers.forEach((number, text) -> copy.answer(number, old -> text));

        CopyReturn.Result result = read(copy, form, file());

        assertThat(answers.keySet())
                .containsAll(
                        result.edits().stream().map(edit -> edit.segment() + 1).toList());
        Source written = Source.of("r.xlf", targets(result).getBytes(StandardCharsets.UTF_8));
        List<Segment> before = FORMATS.open(file(), Progress.NONE).document().segments();
        List<Segment> after = FORMATS.open(written, Progress.NONE).document().segments();
        Map<Integer, State> edited = new HashMap<>();
        result.edits().forEach(edit -> edited.put(edit.segment(), edit.state()));
        for (int i = 0; i < before.size(); i++) {
            assertThat(after.get(i).source()).isEqualTo(before.get(i).source());
            if (!edited.containsKey(i)) {
                assertThat(after.get(i).target()).isEqualTo(before.get(i).target());
                assertThat(after.get(i).state()).isEqualTo(before.get(i).state());
            } else {
                assertThat(after.get(i).target().isEmpty()).isFalse();
                assertThat(after.get(i).locked()).isFalse();
            }
        }
    }

    @Provide
    Arbitrary<String> forms() {
        return Arbitraries.of(FORMS);
    }

    @Provide
    Arbitrary<Map<Integer, String>> answers() {
        Arbitrary<String> texts = Arbitraries.of(
                        "⟦1⟧", "⟦/1⟧", "⟦2⟧", "⟦/2⟧", "⟦1/⟧", "[1]", "OK", " ", "\n", "\u00A0", "<g>", "&", "⟦⟦", "Kai")
                .list()
                .ofMaxSize(7)
                .map(pieces -> String.join("", pieces));
        return Arbitraries.maps(Arbitraries.integers().between(1, 12), texts)
                .ofMaxSize(5)
                .map(TreeMap::new);
    }
}
