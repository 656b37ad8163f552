package org.swaplane.format.xliff12;

import java.io.IOException;
import java.util.List;
import java.util.stream.Stream;
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

class Xliff12FidelityTest {
    private static final List<String> INLINE = List.of(
            "plain",
            " spaced  out ",
            "fare &amp; time",
            "&#x20AC;12.50",
            "<![CDATA[5 < 6 & so]]>",
            "<g id=\"1\" ctype='bold'>pier</g>",
            "<g id='9' />",
            "<x id=\"2\"/>",
            "<ph id=\"3\">{0}</ph>",
            "<bpt id=\"4\" rid=\"7\">&lt;b&gt;</bpt>deck<ept id=\"5\" rid=\"7\">&lt;/b&gt;</ept>",
            "<mrk mtype=\"term\">berth</mrk>",
            "<mrk mtype='protected' mid=\"p\">Marram</mrk>",
            "<it id='6' pos=\"open\">&lt;i&gt;</it>",
            "<g id=\"8\" clone='no'><x id='81' q:kind=\"new\" xmlns:q='urn:example:q'/></g>",
            "<!-- aside -->",
            "<?hint keep?>",
            "<q:code xmlns:q=\"urn:example:q\" n=\"1\">z</q:code>",
            "Überfahrt 渡し船 عبّارة 🚢");
    private static final String SUB_FLOW = "<ph id='10'>&lt;a title=\"<sub>To the <x id='s'/> pier</sub>\"&gt;</ph>";
    private static final List<String> EXTRAS = List.of(
            "",
            "<context-group purpose='location'><context context-type=\"sourcefile\">main.c</context></context-group>",
            "<note from=\"client\" annotates='source' priority=\"2\">mind the tide</note>",
            "<alt-trans match-quality='85%' origin=\"memory\"><source>s</source><target state=\"final\">alt <g id=\"1\">x</g></target></alt-trans>",
            "<m:extra xmlns:m=\"urn:example:m\" m:flag='a \"b\"'>x</m:extra>",
            "<!-- between -->",
            "<?pi data?>");

    private static final List<String> FRAMES = List.of(
            "UNITS",
            "<group id='g' m:part=\"web\" xmlns:m='urn:example:m'><note>for all</note>\n  UNITS</group>",
            "<bin-unit id='b' mime-type=\"image/png\"><bin-source><internal-file form='base64'>iVBORw0KGgo=</internal-file></bin-source></bin-unit>UNITS");
    private static final String BEFORE =
            "<!-- made up -->\n<xliff version='1.2' xmlns=\"urn:oasis:names:tc:xliff:document:1.2\">\n"
                    + "<file original=\"info.json\" source-language='en-GB' target-language=\"de-DE\" datatype=\"plaintext\">"
                    + "<header><skl><internal-file>a &lt; b</internal-file></skl><note>of the file</note></header>\n<body>\n  ";

    private final Fidelity fidelity = new Fidelity(new Xliff12Format());

    @Property
    void anUntouchedFileIsWrittenByteForByte(@ForAll("filesWithSubFlows") byte[] file) throws IOException {
        fidelity.untouchedIsTheSame(file);
    }

    @Property
    void oneChangedTargetIsReadAgainAndEverythingAroundItStays(
            @ForAll("files") byte[] file, @ForAll("targets") String target, @ForAll State state) throws IOException {
        fidelity.onlyTheFirstChanges(file, new SegmentEdit(0, Content.of(target), state), "trans-unit");
    }

    @Provide
    Arbitrary<String> targets() {
        return Generated.targets();
    }

    @Provide
    Arbitrary<byte[]> filesWithSubFlows() {
        return files(Generated.inline(
                Stream.concat(INLINE.stream(), Stream.of(SUB_FLOW)).toList()));
    }

    @Provide
    Arbitrary<byte[]> files() {
        return files(Generated.inline(INLINE));
    }

    private static Arbitrary<byte[]> files(Arbitrary<String> inline) {
        Arbitrary<String> target = Combinators.combine(
                        inline,
                        Arbitraries.of("", " state=\"translated\"", " state = 'final'", " xml:space='preserve'"))
                .as((text, attributes) -> text.isEmpty()
                        ? "<target" + attributes + " />"
                        : "<target" + attributes + '>' + text + "</target >")
                .injectNull(0.3)
                .map(value -> value == null ? "" : value);
        Arbitrary<String> body = Combinators.combine(
                        Generated.spaces(), inline, target, Arbitraries.of(EXTRAS), Generated.spaces())
                .as((space, source, tgt, extra, end) ->
                        space + extra + space + "<source>" + source + "</source>" + space + tgt + end);
        Arbitrary<String> unit = Combinators.combine(
                        body,
                        Arbitraries.of(
                                "",
                                " approved='no'",
                                " approved=\"yes\"",
                                " translate=\"no\"",
                                " maxwidth='20' size-unit=\"char\" maxbytes='40'"))
                .as((inner, attributes) -> "<trans-unit id=\"u\"" + attributes + ">" + inner + "</trans-unit>");
        Arbitrary<String> framed = Combinators.combine(Generated.lines(unit), Arbitraries.of(FRAMES))
                .as((units, frame) -> frame.replace("UNITS", units));
        return Generated.files(framed, BEFORE, "\n</body></file></xliff>\n");
    }
}
