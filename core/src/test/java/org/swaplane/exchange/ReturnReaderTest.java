package org.swaplane.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;
import static org.swaplane.document.SegmentBuilder.aSegment;
import static org.swaplane.document.SegmentBuilder.content;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Segment;
import org.swaplane.exchange.StructureProblem.Kind;
import org.swaplane.reviewcopy.Remark;
import org.swaplane.reviewcopy.ReturnedCopy;
import org.swaplane.reviewcopy.ReturnedRow;
import org.swaplane.reviewcopy.RowCode;

class ReturnReaderTest {
    private static final String TRIP = "K7Q2M";

    private final List<SentRow> sent = new ArrayList<>();
    private final List<ReturnedRow> returned = new ArrayList<>();

    private SentRow sends(Segment segment) {
        String target = TagNotation.write(segment.target(), segment.source());
        SentRow row = new SentRow(sent.size() + 1, sent.size(), segment, target, segment.target());
        sent.add(row);
        return row;
    }

    private SentRow sends(String source, String target) {
        return sends(
                aSegment().key("u" + sent.size()).source(source).target(target).build());
    }

    private void comesBack(SentRow row, String target) {
        comesBack(
                Optional.of(code(row)),
                TagNotation.write(row.segment().source(), row.segment().source()),
                target);
    }

    private void comesBack(Optional<RowCode> code, String source, String target) {
        returned.add(new ReturnedRow(returned.size() + 1, code, source, target, List.of(), Optional.empty()));
    }

    private static RowCode code(SentRow row) {
        return RowCode.of(TRIP, row.number(), Fingerprint.of(row.segment().source()));
    }

    private void nowStands(SentRow row, String target) {
        sent.set(row.index(), new SentRow(row.number(), row.index(), row.segment(), row.sent(), content(target)));
    }

    private ReturnReading read() {
        return ReturnReader.read(new ReturnedCopy(Optional.empty(), returned), TRIP, sent);
    }

    private List<Kind> problems() {
        return read().problems().stream().map(StructureProblem::kind).toList();
    }

    @Test
    void whatCameBackAsSentIsNoChange() {
        comesBack(sends("Pier", "Kai"), "Kai");

        assertThat(read().changes()).isEmpty();
        assertThat(read().untouched()).isEqualTo(1);
    }

    @Test
    void whatWasChangedThereOnlyIsSound() {
        comesBack(sends("Pier", "Kai"), "Anleger");

        assertThat(read().safe()).extracting(RowChange::answer).containsExactly(Content.of("Anleger"));
    }

    @Test
    void theSameChangeOnBothSidesNeedsNobody() {
        SentRow row = sends("Pier", "Kai");
        nowStands(row, "Anleger");
        comesBack(row, "Anleger");

        assertThat(read().changes()).extracting(RowChange::what).containsExactly(RowChange.Case.SAME_CHANGE);
        assertThat(read().changes().get(0).applicable()).isEmpty();
    }

    @Test
    void aConflictIsForAPersonButCanBeTaken() {
        SentRow row = sends("Pier", "Kai");
        nowStands(row, "Steg");
        comesBack(row, "Anleger");

        RowChange change = read().changes().get(0);

        assertThat(change.what()).isEqualTo(RowChange.Case.CONFLICT);
        assertThat(change.safe()).isFalse();
        assertThat(change.applicable()).contains(Content.of("Anleger"));
    }

    @Test
    void whatWasOnlyEditedHereStays() {
        SentRow row = sends("Pier", "Kai");
        nowStands(row, "Steg");
        comesBack(row, "Kai");

        assertThat(read().changes()).isEmpty();
    }

    @Test
    void aMissingRowIsSaidAndTheOthersAreRead() {
        sends("Pier", "Kai");
        comesBack(sends("Deck", "Deck"), "Oberdeck");

        assertThat(problems()).containsExactly(Kind.ROW_MISSING);
        assertThat(read().safe()).hasSize(1);
    }

    @Test
    void aRowTwiceWithTwoTextsCannotBeTaken() {
        SentRow row = sends("Pier", "Kai");
        comesBack(row, "Anleger");
        comesBack(row, "Steg");

        assertThat(problems()).containsExactly(Kind.ROW_DOUBLED);
        assertThat(read().changes().get(0).applicable()).isEmpty();
    }

    @Test
    void aRowTwiceWithTheSameTextIsOnlySaid() {
        SentRow row = sends("Pier", "Kai");
        comesBack(row, "Anleger");
        comesBack(row, "Anleger");

        assertThat(read().problems()).hasSize(1);
        assertThat(read().safe()).hasSize(1);
    }

    @Test
    void onlyTheRowsThatMovedAreCalledMoved() {
        List<SentRow> rows = List.of(sends("a", "1"), sends("b", "2"), sends("c", "3"), sends("d", "4"));
        comesBack(rows.get(3), "4");
        comesBack(rows.get(0), "1");
        comesBack(rows.get(1), "2");
        comesBack(rows.get(2), "3");

        assertThat(read().problems())
                .extracting(StructureProblem::kind, StructureProblem::number)
                .containsExactly(tuple(Kind.ROW_MOVED, 4));
    }

    @Test
    void aChangedSourceIsNeverTakenSilently() {
        SentRow row = sends("320 on board", "320 an Bord");
        comesBack(Optional.of(code(row)), "330 on board", "330 an Bord");

        assertThat(problems()).containsExactly(Kind.SOURCE_CHANGED);
        assertThat(read().safe()).isEmpty();
        assertThat(read().changes().get(0).applicable()).isPresent();
    }

    @Test
    void whiteSpaceInTheSourceIsNoChange() {
        SentRow row = sends("320 on board", "320 an Bord");
        comesBack(Optional.of(code(row)), "320  on board ", "320 an Bord");

        assertThat(problems()).isEmpty();
    }

    @Test
    void aRowThatLostItsCodeIsRecognisedByItsSource() {
        sends("Pier", "Kai");
        comesBack(Optional.empty(), "Pier", "Anleger");

        assertThat(problems()).containsExactly(Kind.CODE_DAMAGED);
        assertThat(read().changes()).extracting(RowChange::number).containsExactly(1);
    }

    @Test
    void twoRowsWithTheSameSourceAreNotGuessed() {
        sends("Pier", "Kai");
        sends("Pier", "Kai");
        comesBack(Optional.empty(), "Pier", "Anleger");

        assertThat(problems()).containsExactly(Kind.ROW_UNKNOWN, Kind.ROW_MISSING, Kind.ROW_MISSING);
        assertThat(read().changes()).isEmpty();
    }

    @Test
    void aRowOfAnotherTripIsNotOurs() {
        SentRow row = sends("Pier", "Kai");
        comesBack(row, "Kai");
        comesBack(Optional.of(RowCode.of("ZZZZZ", 1, "aaaaaaaaaa")), "Other", "Andere");

        assertThat(problems()).containsExactly(Kind.ROW_UNKNOWN);
    }

    @Test
    void aLockedRowCannotBeTaken() {
        comesBack(sends(aSegment().source("GBP").target("GBP").locked().build()), "EUR");

        assertThat(problems()).containsExactly(Kind.LOCKED_CHANGED);
        assertThat(read().changes().get(0).applicable()).isEmpty();
    }

    @Test
    void aDamagedTagIsOfferedMended() {
        comesBack(sends("<1/> of the tide", "<1/> der Tide"), "[1] der Gezeiten");

        RowChange change = read().changes().get(0);

        assertThat(problems()).containsExactly(Kind.TAGS_DAMAGED);
        assertThat(change.safe()).isFalse();
        assertThat(change.applicable()).contains(content("<1/> der Gezeiten"));
    }

    @Test
    void aLostTagIsSaid() {
        comesBack(sends("<1>Pier</1> 3", "<1>Kai</1> 3"), "Kai Nr. 3");

        assertThat(problems()).containsExactly(Kind.TAGS_CHANGED);
    }

    @Test
    void aTagThatTheReviewerPutBackIsSound() {
        comesBack(sends("<1>Pier</1> 3", "Kai 3"), "⟦1⟧Kai⟦/1⟧ 3");

        assertThat(read().safe()).hasSize(1);
    }

    @Test
    void aTagThatWasMissingAlreadyIsNotTheReviewersFault() {
        comesBack(sends("<1>Pier</1> 3", "Kai 3"), "Anleger 3");

        assertThat(problems()).isEmpty();
    }

    @Test
    void remarksComeBackAndOurOwnNotesDoNot() {
        SentRow row = sends(
                aSegment().source("Pier").target("Kai").note("on the sign").build());
        returned.add(new ReturnedRow(
                1,
                Optional.of(code(row)),
                "Pier",
                "Kai",
                List.of(new Remark("", "", "on the sign"), new Remark("Ines Falk", "", "Really?")),
                Optional.empty()));

        assertThat(read().remarks()).extracting(each -> each.remark().text()).containsExactly("Really?");
    }
}
