package org.swaplane.convert;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
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
            <trans-unit id="u13"><source>Press <g id="1">Start</g> now.</source></trans-unit>
            <trans-unit id="u14" xml:space="preserve"><source>Ferry
            Pier</source><target>Fähre
            Anleger</target></trans-unit>
            </body></file></xliff>
            """;

    static Stream<Arguments> cases() {
        return FORMS.stream()
                .flatMap(form -> CopyMutations.ALL.stream().map(each -> Arguments.of(form, each.name(), each)));
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
    void whatIsDoneToACopyIsRecognised(String form, String name, CopyMutations.Mutation mutation) throws Exception {
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
        boolean keepsPreface = !copy.identity.isEmpty() || !form.equals("odt") && !copy.sent.isEmpty();
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
