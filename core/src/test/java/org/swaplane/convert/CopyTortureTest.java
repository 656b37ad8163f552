package org.swaplane.convert;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.exchange.ReturnReading;
import org.swaplane.exchange.StructureProblem;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** What people and programs do to a copy, in every form: what is recognised, what is accepted by default, and what is said. */
class CopyTortureTest {
    private static final List<String> FORMS = List.of("docx", "xlsx", "html", "tsv", "odt");
    private static final FormatRegistry FORMATS = FormatRegistry.ofInstalled();

    static Stream<Arguments> cases() {
        return FORMS.stream()
                .flatMap(form -> CopyMutations.ALL.stream().map(each -> Arguments.of(form, each.name(), each)));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("cases")
    void whatIsDoneToACopyIsRecognised(String form, String name, CopyMutations.Mutation mutation) throws Exception {
        AnsweredCopy copy = new AnsweredCopy(SentFile.copy());
        mutation.done().accept(copy);

        CopyReturn.Result result = SentFile.read(form, copy.written(form));

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
        assertThat(SentFile.written(result))
                .contains(mutation.applied().contains(12) ? "\n  Mannschaft\n" : "\n  Besatzung\n");
    }

    /** Random answers in a random form never change a target that was not edited there, and never write malformed XML. */
    @Property(tries = 300)
    void nothingElseChanges(@ForAll("forms") String form, @ForAll("answers") Map<Integer, String> answers)
            throws Exception {
        AnsweredCopy copy = new AnsweredCopy(SentFile.copy());
        answers.forEach((number, text) -> copy.answer(number, old -> text));

        CopyReturn.Result result = SentFile.read(form, copy.written(form));

        assertThat(answers.keySet())
                .containsAll(
                        result.edits().stream().map(edit -> edit.segment() + 1).toList());
        Source written = Source.of("r.xlf", SentFile.written(result).getBytes(StandardCharsets.UTF_8));
        List<Segment> before =
                FORMATS.open(SentFile.source(), Progress.NONE).document().segments();
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
