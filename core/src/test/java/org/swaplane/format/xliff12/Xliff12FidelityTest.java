package org.swaplane.format.xliff12;

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

class Xliff12FidelityTest {
    private static final List<String> SPACES = List.of("", " ", "\n", "\n    ", "\t", "\n\n  ");
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
            "<!-- aside -->",
            "<?hint keep?>",
            "<q:code xmlns:q=\"urn:example:q\" n=\"1\">z</q:code>",
            "Überfahrt 渡し船 عبّارة 🚢");
    private static final List<String> EXTRAS = List.of(
            "",
            "<note from=\"client\">mind the tide</note>",
            "<alt-trans><target>alt</target></alt-trans>",
            "<m:extra xmlns:m=\"urn:example:m\" m:flag='a \"b\"'>x</m:extra>",
            "<!-- between -->",
            "<?pi data?>");

    private final Fidelity fidelity = new Fidelity(new Xliff12Format());

    @Property(tries = 400)
    void anUntouchedFileIsWrittenByteForByte(@ForAll("files") byte[] file) throws IOException {
        fidelity.untouchedIsTheSame(file);
    }

    @Property(tries = 400)
    void oneChangedTargetIsReadAgainAndEverythingAroundItStays(
            @ForAll("files") byte[] file, @ForAll("targets") String target, @ForAll State state) throws IOException {
        fidelity.onlyTheFirstChanges(file, new SegmentEdit(0, Content.of(target), state), "trans-unit");
    }

    @Provide
    Arbitrary<String> targets() {
        return Arbitraries.of("Neu", "5 < 6 & 7", " Rand ", "]]>", "zwei\nZeilen", "\"'", "船🚢");
    }

    @Provide
    Arbitrary<byte[]> files() {
        Arbitrary<String> inline = Arbitraries.of(INLINE).list().ofMaxSize(4).map(pieces -> String.join("", pieces));
        Arbitrary<String> target = Combinators.combine(
                        inline,
                        Arbitraries.of("", " state=\"translated\"", " state = 'final'", " xml:space='preserve'"))
                .as((text, attributes) -> text.isEmpty()
                        ? "<target" + attributes + " />"
                        : "<target" + attributes + '>' + text + "</target >")
                .injectNull(0.3)
                .map(value -> value == null ? "" : value);
        Arbitrary<String> body = Combinators.combine(
                        Arbitraries.of(SPACES), inline, target, Arbitraries.of(EXTRAS), Arbitraries.of(SPACES))
                .as((space, source, tgt, extra, end) ->
                        space + extra + space + "<source>" + source + "</source>" + space + tgt + end);
        Arbitrary<String> units = Combinators.combine(
                        body, Arbitraries.of("", " approved='no'", " approved=\"yes\"", " translate=\"no\""))
                .as((inner, attributes) -> "<trans-unit id=\"u\"" + attributes + ">" + inner + "</trans-unit>")
                .list()
                .ofMinSize(1)
                .ofMaxSize(6)
                .map(list -> String.join("\n  ", list));
        Arbitrary<SampleEncoding> encodings = Arbitraries.of(SampleEncoding.values());
        return Combinators.combine(units, encodings, Arbitraries.of("\n", "\r\n"))
                .as((text, encoding, lineEnd) ->
                        encoding.bytes(document(text, encoding).replace("\n", lineEnd)));
    }

    private static String document(String units, SampleEncoding encoding) {
        return encoding.declaration()
                + "<!-- made up -->\n<xliff version='1.2' xmlns=\"urn:oasis:names:tc:xliff:document:1.2\">\n"
                + "<file original=\"info.json\" source-language='en-GB' target-language=\"de-DE\" datatype=\"plaintext\">"
                + "<header><skl><internal-file>a &lt; b</internal-file></skl></header>\n<body>\n  "
                + units + "\n</body></file></xliff>\n";
    }
}
