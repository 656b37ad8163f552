package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.document.ForeignItem;
import org.swaplane.document.Lock;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.extension.ExtensionRules;
import org.swaplane.extension.Meaning;
import org.swaplane.extension.Occasion;
import org.swaplane.extension.ReadingRule;
import org.swaplane.extension.WritingRule;

class ForeignAttributesTest {
    private static final String TOOL = "urn:marram:tool";
    private static final String XLIFF_12 = """
            <xliff version="1.2" xmlns="urn:oasis:names:tc:xliff:document:1.2" xmlns:t="urn:marram:tool">
            <file original="a" source-language="en" target-language="de" datatype="x"><body>
            <group id="g" t:frozen="yes"><trans-unit id="1"><source>One</source></trans-unit></group>
            <trans-unit id="2" t:step="done"><source>Two</source><target t:by="Mara">Zwei</target><t:rate> 93.5 </t:rate></trans-unit>
            <trans-unit id="3"><source>Three</source><alt-trans><target t:step="done">Drei</target></alt-trans></trans-unit>
            <trans-unit id="4" t:step="open"><source>Four <g id="1" t:step="done">x</g></source></trans-unit>
            </body></file></xliff>
            """;
    private static final String XLIFF_2 = """
            <xliff version="2.1" xmlns="urn:oasis:names:tc:xliff:document:2.0" xmlns:t="urn:marram:tool" srcLang="en" trgLang="de">
            <file id="f"><unit id="u" t:frozen="yes"><segment id="a" t:step="done"><source>One</source><target>Eins</target></segment><segment id="b"><source>Two</source></segment></unit></file></xliff>
            """;

    private static Rewriting file(String text, List<ReadingRule> reading, WritingRule... writing) {
        return new Rewriting(text, FileOptions.NONE.with(new ExtensionRules(reading, List.of(writing))));
    }

    private static ReadingRule rule(String element, String attribute, String value, Meaning meaning) {
        return new ReadingRule(TOOL, element, attribute, value, meaning);
    }

    @Test
    void areListedWithTheirValuesAndCounts() throws IOException {
        List<ForeignItem> found = file(XLIFF_12, List.of()).document().foreign();

        assertThat(found)
                .contains(
                        new ForeignItem(TOOL, "group", "frozen", Map.of("yes", 1), 1),
                        new ForeignItem(TOOL, "target", "by", Map.of("Mara", 1), 1),
                        new ForeignItem(TOOL, "rate", "", Map.of("93.5", 1), 1));
        assertThat(found)
                .filteredOn(item -> item.element().equals("trans-unit"))
                .extracting(ForeignItem::values)
                .containsExactly(Map.of("done", 1, "open", 1));
    }

    @Test
    void aRuleSpeaksOfTheUnitThatTheValueStandsOnOrAround() throws IOException {
        List<Segment> segments = file(
                        XLIFF_12,
                        List.of(
                                rule("group", "frozen", "yes", Meaning.LOCKED),
                                rule("trans-unit", "step", "done", Meaning.REVIEWED),
                                rule("target", "step", "done", Meaning.FINAL),
                                rule("rate", "", "", Meaning.SCORE)))
                .document()
                .segments();

        assertThat(segments).extracting(Segment::lock).containsExactly(Lock.RULE, Lock.NONE, Lock.NONE, Lock.NONE);
        assertThat(segments)
                .extracting(Segment::state)
                .containsExactly(State.INITIAL, State.REVIEWED, State.INITIAL, State.INITIAL);
        assertThat(segments).extracting(segment -> segment.about().score()).containsExactly(-1, 93, -1, -1);
    }

    @Test
    void inXliff2ARuleMaySpeakOfOneSegmentOrOfAllInAUnit() throws IOException {
        List<Segment> segments = file(
                        XLIFF_2,
                        List.of(
                                rule("unit", "frozen", "yes", Meaning.LOCKED),
                                rule("segment", "step", "done", Meaning.FINAL)))
                .document()
                .segments();

        assertThat(segments).extracting(Segment::lock).containsOnly(Lock.RULE);
        assertThat(segments).extracting(Segment::state).containsExactly(State.FINAL, State.INITIAL);
    }

    @Test
    void aStateIsMirroredIntoAnAttributeThatIsThereOrNot() throws IOException {
        WritingRule onUnit = new WritingRule(Occasion.REVIEWED, TOOL, "trans-unit", "step", "done & well");
        WritingRule onTarget = new WritingRule(Occasion.REVIEWED, TOOL, "target", "by", "Ben");
        Rewriting file = file(XLIFF_12, List.of(), onUnit, onTarget);
        Content four = file.document().segments().get(3).source();

        assertThat(file.write(
                        new SegmentEdit(1, Content.of("Zwei"), State.REVIEWED),
                        new SegmentEdit(3, four, State.REVIEWED),
                        new SegmentEdit(0, Content.of("Eins"), State.TRANSLATED)))
                .contains("<trans-unit id=\"2\" t:step=\"done &amp; well\" approved=\"yes\">")
                .contains("<target t:by=\"Ben\" state=\"signed-off\">Zwei")
                .contains("<trans-unit id=\"4\" t:step=\"done &amp; well\" approved=\"yes\">")
                .contains("<target state=\"signed-off\" t:by=\"Ben\">Four ")
                .contains("<trans-unit id=\"1\"><source>One</source><target>Eins</target>");
    }

    @Test
    void inXliff2AStateIsMirroredOnTheSegmentOrTheUnit() throws IOException {
        WritingRule onUnit = new WritingRule(Occasion.FINAL, TOOL, "unit", "frozen", "no");
        WritingRule onSegment = new WritingRule(Occasion.FINAL, TOOL, "segment", "step", "shipped");

        assertThat(file(XLIFF_2, List.of(), onUnit, onSegment)
                        .write(new SegmentEdit(0, Content.of("Eins"), State.FINAL)))
                .contains("<unit id=\"u\" t:frozen=\"no\"><segment id=\"a\" t:step=\"shipped\" state=\"final\">");
    }

    @Test
    void aLockIsMirroredAsTheOtherToolSaysIt() throws IOException {
        Rewriting old = file(
                XLIFF_12,
                List.of(),
                new WritingRule(Occasion.LOCKED, TOOL, "trans-unit", "frozen", "yes"),
                new WritingRule(Occasion.UNLOCKED, TOOL, "trans-unit", "frozen", "no"),
                new WritingRule(Occasion.LOCKED, TOOL, "target", "by", "Ben"));
        Segment second = old.document().segments().get(1);
        assertThat(old.write(new SegmentEdit(1, second.target(), second.state(), Optional.of(true))))
                .contains("<trans-unit id=\"2\" t:step=\"done\" translate=\"no\" t:frozen=\"yes\">")
                .contains("<target t:by=\"Ben\"");
        assertThat(old.write(new SegmentEdit(1, second.target(), second.state(), Optional.of(false))))
                .contains("translate=\"yes\" t:frozen=\"no\">")
                .contains("<target t:by=\"Mara\"");

        Rewriting now = file(
                XLIFF_2,
                List.of(),
                new WritingRule(Occasion.LOCKED, TOOL, "unit", "frozen", "always"),
                new WritingRule(Occasion.LOCKED, TOOL, "segment", "step", "kept"));
        assertThat(now.write(new SegmentEdit(0, Content.of("Eins"), State.FINAL, Optional.of(true))))
                .contains("<unit id=\"u\" t:frozen=\"always\" translate=\"no\">")
                .contains("<segment id=\"a\" t:step=\"kept\" state=\"final\">");
    }

    @Test
    void aFileWithoutTheNamespaceGetsNoAttribute() throws IOException {
        Rewriting other = file(
                XLIFF_2.replace(" xmlns:t=\"urn:marram:tool\"", "").replaceAll(" t:\\w+=\"\\w+\"", ""),
                List.of(),
                new WritingRule(Occasion.FINAL, TOOL, "segment", "step", "shipped"));

        assertThat(other.write(new SegmentEdit(0, Content.of("Eins"), State.FINAL)))
                .contains("<segment id=\"a\" state=\"final\">");
    }
}
