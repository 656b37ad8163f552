package org.swaplane.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.swaplane.document.State;
import org.swaplane.exchange.StructureProblem.Kind;
import org.swaplane.format.Rewriting;

class ReturnedBilingualTest {
    private static final String SENT = """
            <xliff version="2.1" xmlns="urn:oasis:names:tc:xliff:document:2.0" srcLang="en" trgLang="de"><file id="f">
            <unit id="u1"><segment id="a"><source>Two here. And there.</source><target>Zwei.</target></segment></unit>
            <unit id="u2"><segment id="a"><source>See <ph id="1"/> now</source><target>Sieh <ph id="1"/></target></segment></unit>
            <unit id="u3"><segment id="a"><source>Stay</source><target>Bleib</target></segment></unit>
            </file></xliff>
            """;

    private static ReturnedBilingual back(String returned) throws IOException {
        return new FileExchange("", Rewriting.of(SENT).document())
                .returned(Rewriting.of(returned).document());
    }

    @Test
    void anUntouchedFileChangesNothing() throws IOException {
        assertThat(back(SENT).read().changes()).isEmpty();
        assertThat(back(SENT).read().problems()).isEmpty();
    }

    @Test
    void aChangedTargetIsAChangeWithTheStateOfTheFile() throws IOException {
        ReturnedBilingual back =
                back(SENT.replace("<segment id=\"a\"><source>Stay", "<segment id=\"a\" state=\"final\"><source>Stay")
                        .replace("Bleib", "Bleibe"));

        RowChange change = back.read().changes().get(0);

        assertThat(change.safe()).isTrue();
        assertThat(change.returned()).isEqualTo("Bleibe");
        assertThat(back.state(change.number())).isEqualTo(State.FINAL);
    }

    @Test
    void aUnitThatWasCutOtherwiseIsSaidOnceAndTheRestIsTaken() throws IOException {
        ReturnReading reading = back(SENT.replace(
                                "<segment id=\"a\"><source>Two here. And there.</source><target>Zwei.</target></segment>",
                                "<segment id=\"a\"><source>Two here.</source></segment><ignorable><source> </source></ignorable>"
                                        + "<segment id=\"b\"><source>And there.</source></segment>")
                        .replace("Bleib", "Bleibe"))
                .read();

        assertThat(reading.problems())
                .extracting(StructureProblem::kind, StructureProblem::message)
                .containsExactly(org.assertj.core.groups.Tuple.tuple(
                        Kind.RESEGMENTED, "Unit u1 was returned as 2 segments; it was sent as one"));
        assertThat(reading.changes()).extracting(RowChange::number).containsExactly(3);
    }

    @Test
    void lostTagsSourcesAndUnitsAreStructureProblems() throws IOException {
        ReturnReading reading = back(SENT.replace("Sieh <ph id=\"1\"/>", "Sieh")
                        .replace("Stay", "Stay!")
                        .replaceAll("<unit id=\"u1\".*", ""))
                .read();

        assertThat(reading.problems())
                .extracting(StructureProblem::kind)
                .contains(Kind.ROW_MISSING, Kind.TAGS_CHANGED, Kind.SOURCE_CHANGED);
    }

    @Test
    void aUnitThatWasNotSentIsSaidAndLeftOut() throws IOException {
        ReturnReading reading = back(SENT.replace(
                                "</file>",
                                "<unit id=\"own\"><segment><source>Own text</source><target>Eigener Text</target></segment></unit></file>")
                        .replace("Bleib", "Bleibe"))
                .read();

        assertThat(reading.problems()).extracting(StructureProblem::kind).containsExactly(Kind.ROW_UNKNOWN);
        assertThat(reading.problems().get(0).message()).contains("own");
        assertThat(reading.safe()).hasSize(1);
    }

    @Test
    void aStateThatWasChangedAloneIsAChange() throws IOException {
        ReturnReading raised = back(SENT.replace(
                        "<segment id=\"a\"><source>Stay", "<segment id=\"a\" state=\"final\"><source>Stay"))
                .read();

        assertThat(raised.safe()).hasSize(1);
        assertThat(raised.safe().get(0).isOfStateOnly()).isTrue();
        assertThat(raised.safe().get(0).state()).contains(State.FINAL);
    }

    @Test
    void unitsAreKnownWhateverToolsDoToFilesAndSegments() throws IOException {
        ReturnReading reading = back(SENT.replaceAll("<file id=\"[^\"]*\"", "<file id=\"other\"")
                        .replace("<segment id=\"a\"><source>Stay", "<segment id=\"seg-77\"><source>Stay")
                        .replace("Bleib", "Bleibe"))
                .read();

        assertThat(reading.problems()).isEmpty();
        assertThat(reading.safe()).extracting(RowChange::returned).containsExactly("Bleibe");
    }

    @Test
    void anotherFileIsNotRecognised() throws IOException {
        assertThat(back(SENT.replace("id=\"u", "id=\"v").replaceAll("<source>", "<source>Other: "))
                        .recognised())
                .isZero();
        assertThat(back(SENT).recognised()).isEqualTo(1);
    }
}
