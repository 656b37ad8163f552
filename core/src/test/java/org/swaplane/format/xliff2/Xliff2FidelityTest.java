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
import org.swaplane.format.Generated;
import org.swaplane.format.SegmentEdit;

class Xliff2FidelityTest {
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
            "<sm id='m4' translate='no'/>Port &amp; Marram<em startRef='m4'/>",
            "<mrk id='m3' translate=\"no\">Marram</mrk>",
            "<ph id='5' canCopy=\"no\" canDelete='no' canReorder=\"no\" copyOf='2'/>",
            "<cp hex=\"001A\"/>",
            "<!-- aside --><?hint keep?>",
            "渡し船 عبّارة 🚢");
    private static final List<String> BEFORE_SEGMENTS = List.of(
            "",
            "<g:glossary xmlns:g='urn:oasis:names:tc:xliff:glossary:2.0'><g:glossEntry><g:term>pier</g:term><g:translation>Anleger</g:translation></g:glossEntry></g:glossary>",
            "<md:metadata xmlns:md=\"urn:oasis:names:tc:xliff:metadata:2.0\"><md:metaGroup><md:meta type='key'>a.b</md:meta></md:metaGroup></md:metadata>",
            "<notes><note id='n1' category=\"client\" appliesTo='source' priority=\"1\">mind the tide</note></notes>",
            "<originalData><data id=\"d1\">&lt;b></data></originalData>",
            "<m:matches xmlns:m='urn:oasis:names:tc:xliff:matches:2.0'><m:match ref='#1'><source>x</source><target>y</target></m:match></m:matches>",
            "<h:extra xmlns:h='urn:example:h' flag='a \"b\"'>x</h:extra>",
            "<!-- between -->");

    private static final String BEFORE =
            "<xliff version='2.1' xmlns=\"urn:oasis:names:tc:xliff:document:2.0\" srcLang='en-GB' trgLang=\"de-DE\">\n"
                    + "<file id='f1' original=\"info.json\"><skeleton>a &lt; b</skeleton>\n  ";

    private final Fidelity fidelity = new Fidelity(new Xliff2Format());

    @Property
    void anUntouchedFileIsWrittenByteForByte(@ForAll("files") byte[] file) throws IOException {
        fidelity.untouchedIsTheSame(file);
    }

    @Property
    void oneChangedTargetIsReadAgainAndEverythingAroundItStays(
            @ForAll("files") byte[] file, @ForAll("targets") String target, @ForAll State state) throws IOException {
        fidelity.onlyTheFirstChanges(file, new SegmentEdit(0, Content.of(target), state), "segment");
    }

    @Provide
    Arbitrary<String> targets() {
        return Generated.targets();
    }

    @Provide
    Arbitrary<byte[]> files() {
        Arbitrary<String> inline = Generated.inline(INLINE);
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
                        Generated.spaces(),
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
        return Generated.files(Generated.lines(unit), BEFORE, "\n</file></xliff>\n");
    }
}
