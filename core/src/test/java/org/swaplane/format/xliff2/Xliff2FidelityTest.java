package org.swaplane.format.xliff2;

import java.io.IOException;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.Fidelity;
import org.swaplane.format.SampleEncoding;
import org.swaplane.format.SegmentEdit;

class Xliff2FidelityTest {
    private static final List<String> SPACES = List.of("", " ", "\n", "\n      ", "\t");
    private static final List<String> INLINE = List.of(
            "plain",
            " spaced  out ",
            "fare &amp; &#x20AC;12.50",
            "<![CDATA[5 < 6]]>",
            "<pc id=\"1\" dataRefStart='d1' >pier</pc>",
            "<pc id='9'/>",
            "<ph id=\"2\" disp=\"{0}\"/>",
            "<sc id='3' isolated=\"yes\"/>",
            "<sc id=\"4\"/>deck<ec startRef=\"4\"/>",
            "<mrk id='m1' type=\"term\">berth</mrk>",
            "<sm id='m2' type='comment'/>so<em startRef='m2'/>",
            "<cp hex=\"001A\"/>",
            "<!-- aside --><?hint keep?>",
            "渡し船 عبّارة 🚢");
    private static final List<String> BEFORE_SEGMENTS = List.of(
            "",
            "<notes><note id='n1' category=\"client\">mind the tide</note></notes>",
            "<originalData><data id=\"d1\">&lt;b></data></originalData>",
            "<m:matches xmlns:m='urn:oasis:names:tc:xliff:matches:2.0'><m:match ref='#1'><source>x</source><target>y</target></m:match></m:matches>",
            "<h:extra xmlns:h='urn:example:h' flag='a \"b\"'>x</h:extra>",
            "<!-- between -->");

    private final Fidelity fidelity = new Fidelity(new Xliff2Format());

    @Property(tries = 400)
    void anUntouchedFileIsWrittenByteForByte(@ForAll("files") byte[] file) throws IOException {
        fidelity.untouchedIsTheSame(file);
    }

    @Property(tries = 400)
    void oneChangedTargetIsReadAgainAndEverythingAroundItStays(
            @ForAll("files") byte[] file, @ForAll("targets") String target, @ForAll State state) throws IOException {
        fidelity.onlyTheFirstChanges(file, new SegmentEdit(0, Content.of(target), state), "segment");
    }

    @Provide
    Arbitrary<String> targets() {
        return Arbitraries.of("Neu", "5 < 6 & 7", " Rand ", "]]>", "zwei\nZeilen", "船🚢");
    }

    @Provide
    Arbitrary<byte[]> files() {
        Arbitrary<String> inline = Arbitraries.of(INLINE).list().ofMaxSize(4).map(pieces -> String.join("", pieces));
        Arbitrary<String> target = inline.map(
                        text -> text.isEmpty() ? "<target xml:lang='de' />" : "<target>" + text + "</target >")
                .injectNull(0.3)
                .map(value -> value == null ? "" : value);
        Arbitrary<String> segment = Combinators.combine(
                        Arbitraries.of(
                                "",
                                " id='s'",
                                " state=\"final\" subState='x:y'",
                                " state = 'translated'",
                                " canResegment=\"no\""),
                        Arbitraries.of(SPACES),
                        inline,
                        target)
                .as((attributes, space, source, tgt) -> "<segment" + attributes + ">" + space
                        + "<source xml:space='preserve'>" + source + "</source>" + space + tgt + space + "</segment>");
        Arbitrary<String> ignorable = Arbitraries.of("", "<ignorable><source> </source></ignorable>");
        Arbitrary<String> unit = Combinators.combine(
                        Arbitraries.of("", " translate='no'"),
                        Arbitraries.of(BEFORE_SEGMENTS),
                        segment,
                        ignorable,
                        segment)
                .as((attributes, extra, first, between, second) ->
                        "<unit id='u'" + attributes + ">" + extra + first + between + second + "</unit>");
        Arbitrary<String> units = unit.list().ofMinSize(1).ofMaxSize(4).map(list -> String.join("\n  ", list));
        return Combinators.combine(units, Arbitraries.of(SampleEncoding.values()), Arbitraries.of("\n", "\r\n"))
                .as((text, encoding, lineEnd) ->
                        encoding.bytes(document(text, encoding).replace("\n", lineEnd)));
    }

    private static String document(String units, SampleEncoding encoding) {
        return encoding.declaration()
                + "<xliff version='2.1' xmlns=\"urn:oasis:names:tc:xliff:document:2.0\" srcLang='en-GB' trgLang=\"de-DE\">\n"
                + "<file id='f1' original=\"info.json\"><skeleton>a &lt; b</skeleton>\n  "
                + units + "\n</file></xliff>\n";
    }
}
