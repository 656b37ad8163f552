package org.swaplane.convert;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.report.ReportForm;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.version.CarryOver;
import org.swaplane.version.Outcome;
import org.swaplane.version.VersionComparison;

class FileVersionsTest {
    private static final FileVersions VERSIONS = new FileVersions(FormatRegistry.ofInstalled());

    private static Source xliff12(String units) {
        return source("<xliff version=\"1.2\" xmlns=\"urn:oasis:names:tc:xliff:document:1.2\"><file original=\"a\""
                + " source-language=\"en\" target-language=\"de\" datatype=\"plaintext\"><body>" + units
                + "</body></file></xliff>");
    }

    private static Source xliff2(String units) {
        return source(
                "<xliff version=\"2.1\" xmlns=\"urn:oasis:names:tc:xliff:document:2.0\" srcLang=\"en\" trgLang=\"de\">"
                        + "<file id=\"f\">" + units + "</file></xliff>");
    }

    private static Source source(String text) {
        return Source.of("a.xlf", text.getBytes(StandardCharsets.UTF_8));
    }

    private static String updated(Source old, Source now, boolean lock) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        VERSIONS.update(old, now, lock, Progress.NONE).writer().write(out);
        return out.toString(StandardCharsets.UTF_8);
    }

    private static BilingualDocument read(String file) throws IOException {
        return FormatRegistry.ofInstalled()
                .open(source(file), FileOptions.NONE, Progress.NONE)
                .document();
    }

    private static String unit(String id, String source, String rest) {
        return "<trans-unit id=\"" + id + "\"><source>" + source + "</source>" + rest + "</trans-unit>";
    }

    @Test
    void aChangedSegmentGetsItsOldTranslationAsAProposalWithTheTagsOfTheNewFile() throws IOException {
        Source old = xliff12(unit("1", "Leaves at <g id=\"1\">9:00</g>.", "<target>Ab <g id=\"1\">9:00</g>.</target>"));
        Source now = xliff12(unit("1", "Leaves at <g id=\"7\">9:15</g>.", "<note>n</note>"));

        Segment segment = read(updated(old, now, false)).segments().get(0);

        assertThat(segment.target()).isEqualTo(Content.EMPTY);
        assertThat(segment.proposals()).singleElement().satisfies(proposal -> {
            assertThat(proposal.target().withCodes()).isEqualTo("Ab <g id=\"7\">9:00</g>.");
            assertThat(proposal.score()).isEqualTo(88);
        });
    }

    @Test
    void proposalsOfVersionTwoStandWithTheMatchesThatAreThere() throws IOException {
        String matches = "<mtc:matches xmlns:mtc=\"urn:oasis:names:tc:xliff:matches:2.0\"><mtc:match ref=\"#s2\">"
                + "<source>x</source><target>y</target></mtc:match></mtc:matches>";
        String unit = "<unit id=\"u\">%s<segment id=\"s1\"><source>%s</source>%s</segment>"
                + "<segment id=\"s2\"><source>And more.</source></segment></unit>";
        Source old = xliff2(unit.formatted("", "Dogs travel free.", "<target>Hunde frei.</target>"));

        for (String there : List.of(matches, "")) {
            BilingualDocument now =
                    read(updated(old, xliff2(unit.formatted(there, "Dogs always travel free.", "")), false));
            assertThat(now.problems()).isEmpty();
            assertThat(now.segments().get(0).proposals())
                    .singleElement()
                    .satisfies(proposal -> assertThat(proposal.target()).isEqualTo(Content.of("Hunde frei.")));
            assertThat(now.segments().get(1).proposals()).hasSize(there.isEmpty() ? 0 : 1);
        }
    }

    @Test
    void segmentsOfASegmentedSourceGetTheirOwn() throws IOException {
        String now = unit(
                "1",
                "One boat. Two boats here.",
                "<seg-source><mrk mtype=\"seg\" mid=\"0\">One boat.</mrk> <mrk mtype=\"seg\" mid=\"1\">Two boats here.</mrk></seg-source>"
                        + "<target><mrk mtype=\"seg\" mid=\"0\">Eins</mrk> <mrk mtype=\"seg\" mid=\"1\"></mrk></target>");
        Source old = xliff12(unit("a", "One boat.", "<target>Ein Boot.</target>")
                + unit("b", "Two boats.", "<target>Zwei Boote.</target>"));

        List<Segment> segments = read(updated(old, xliff12(now), false)).segments();

        assertThat(segments.get(0).target()).isEqualTo(Content.of("Ein Boot."));
        assertThat(segments.get(1).proposals()).singleElement().satisfies(proposal -> assertThat(proposal.target())
                .isEqualTo(Content.of("Zwei Boote.")));
    }

    @Test
    void whatIsLockedStaysLockedAndWhatIsSettledIsLockedWhereItIsAskedFor() throws IOException {
        Source old = xliff12(
                "<trans-unit id=\"1\" translate=\"no\"><source>Marram</source><target>Marram</target></trans-unit>"
                        + unit("2", "Dogs", "<target state=\"translated\">Hunde</target>")
                        + unit("3", "Cats", "<target state=\"new\">Katzen</target>"));
        Source now =
                xliff12(unit("9", "Marram", "") + unit("8", "Dogs", "") + unit("7", "Cats", "") + unit("6", "Ox", ""));

        assertThat(read(updated(old, now, false)).segments())
                .extracting(Segment::locked)
                .containsExactly(true, false, false, false);
        assertThat(read(updated(old, now, true)).segments())
                .extracting(Segment::locked)
                .containsExactly(true, true, false, false);
    }

    @Test
    void ofTwoTranslationsOursStandsUnlessTheirsIsFinal() throws IOException {
        Source old =
                xliff12(unit("1", "Dogs", "<target>Hunde</target>") + unit("2", "Cats", "<target>Katzen</target>"));
        Source now = xliff12(unit("1", "Dogs", "<target>Köter</target>")
                + unit("2", "Cats", "<target state=\"final\">Kater</target>"));

        assertThat(read(updated(old, now, false)).segments())
                .extracting(segment -> segment.target().plainText())
                .containsExactly("Hunde", "Kater");
    }

    @Test
    void aTranslationThatCameAlongWithAChangedSourceIsOnlyAProposal() throws IOException {
        Source old = xliff12(
                unit("1", "At 9:00", "<target>Um 9:00</target>") + unit("2", "At 8:00", "<target>Um 8:00</target>"));
        Source now = xliff12(unit("1", "At 9:15", "<target>Um 9:00</target>")
                + unit("2", "At 8:15", "<target state=\"translated\">Um 8:15</target>"));

        List<Segment> segments = read(updated(old, now, false)).segments();

        assertThat(segments).extracting(segment -> segment.target().plainText()).containsExactly("", "Um 8:15");
        assertThat(segments.get(0).state()).isEqualTo(State.INITIAL);
        assertThat(segments).allMatch(segment -> segment.proposals().size() == 1);
    }

    @Test
    void aVersionInAnotherLanguageIsRefusedAndADocumentIsNoTranslation() {
        Source old = xliff12(unit("1", "Dogs", "<target>Hunde</target>"));
        Source french =
                source("<xliff version=\"1.2\"><file original=\"a\" source-language=\"en\" target-language=\"fr\""
                        + " datatype=\"plaintext\"><body>" + unit("1", "Dogs", "") + "</body></file></xliff>");

        assertThatThrownBy(() -> updated(old, french, false))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("it is in fr, and the translations are in de");
        assertThatThrownBy(() -> updated(Source.of("a.txt", "Dogs".getBytes(StandardCharsets.UTF_8)), old, false))
                .isInstanceOf(CannotProceedException.class);
    }

    @Property(tries = 50)
    void carryingOverToTheSameFileChangesNoByte(@ForAll @IntRange(min = 1, max = 30) int size, @ForAll int seed)
            throws IOException {
        String units = IntStream.range(0, size)
                .mapToObj(i -> unit(
                        "u" + i,
                        "Text " + Math.floorMod(seed * (i + 7), 11) + " <x id=\"1\"/>",
                        i % 3 == 0 ? "" : "<target state=\"translated\">Ziel " + i + " <x id=\"1\"/></target>"))
                .collect(Collectors.joining("\n"));
        Source file = xliff12(units);

        assertThat(updated(file, file, false))
                .isEqualTo(new String(file.open().readAllBytes(), StandardCharsets.UTF_8));
    }

    @Property(tries = 50)
    void carryingOverAndBackLosesNothing(@ForAll @IntRange(min = 2, max = 30) int size, @ForAll int seed)
            throws IOException {
        List<Integer> order =
                new java.util.ArrayList<>(IntStream.range(0, size).boxed().toList());
        java.util.Collections.shuffle(order, new java.util.Random(seed));
        Source there = xliff12(IntStream.range(0, size)
                .mapToObj(i -> unit("u" + i, "Text number " + i, "<target>Ziel " + i + "</target>"))
                .collect(Collectors.joining()));
        Source shuffled = xliff12(
                order.stream().map(i -> unit("v" + i, "Text number " + i, "")).collect(Collectors.joining()));
        Source empty = xliff12(IntStream.range(0, size)
                .mapToObj(i -> unit("u" + i, "Text number " + i, ""))
                .collect(Collectors.joining()));

        String back = updated(source(updated(there, shuffled, false)), empty, false);

        assertThat(read(back).segments())
                .extracting(segment -> segment.target().plainText())
                .containsExactlyElementsOf(
                        IntStream.range(0, size).mapToObj(i -> "Ziel " + i).toList());
    }

    @Test
    void theReportSaysWhatChangedAndHowInEveryForm() throws IOException {
        Source old = xliff12(unit("1", "Leaves at 9:00.", "<target>Ab 9:00.</target>")
                + unit("2", "Stay", "<target>Bleib</target>"));
        Source now = xliff12(
                unit("1", "Leaves at 9:15.", "") + unit("2", "Stay", "<target state=\"final\">Bleibe</target>"));
        VersionComparison comparison = VERSIONS.compare(old, now, FileOptions.NONE, Progress.NONE);

        assertThat(comparison.alignment().counts())
                .containsAllEntriesOf(Map.of(Outcome.CHANGED, 1, Outcome.UNCHANGED, 1));
        assertThat(comparison.otherTranslations()).hasSize(1);
        ByteArrayOutputStream html = new ByteArrayOutputStream();
        ReportForm.HTML.write(comparison.report(), html);
        assertThat(html.toString(StandardCharsets.UTF_8)).contains("9:<mark>15</mark>", "numbers", "Bleibe", "→ final");
        for (ReportForm form : List.of(ReportForm.DOCX, ReportForm.XLSX)) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            form.write(comparison.report(), out);
            BilingualDocument read = FormatRegistry.ofInstalled()
                    .open(Source.of("r." + form.extension(), out.toByteArray()), FileOptions.NONE, Progress.NONE)
                    .document();
            assertThat(read.segments())
                    .extracting(segment -> segment.source().plainText())
                    .anyMatch(text -> text.contains("Leaves at 9:15."));
        }
    }

    @Test
    void stateAndTargetFollowInContextAndOnlyTheTargetElsewhere() throws IOException {
        Source old = xliff12(unit("1", "One", "<target state=\"final\">Eins</target>")
                + unit("2", "Two", "<target state=\"final\">Zwei</target>")
                + unit("3", "Three", "<target state=\"final\">Drei</target>"));
        Source now = xliff12(unit("1", "Three", "") + unit("2", "One", "") + unit("3", "Two", ""));
        FileVersions.Updated updated = VERSIONS.update(old, now, false, Progress.NONE);

        assertThat(updated.counts())
                .containsEntry(CarryOver.Kind.CARRIED, 2)
                .containsEntry(CarryOver.Kind.CARRIED_MOVED, 1);
        assertThat(read(updated(old, now, false)).segments())
                .extracting(Segment::state)
                .containsExactly(State.TRANSLATED, State.FINAL, State.FINAL);
    }
}
