package org.swaplane.format.tmx;

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

class TmxFidelityTest {
    private static final List<String> INLINE = List.of(
            "plain",
            " spaced  out ",
            "fare &amp; &#x20AC;12.50",
            "<bpt i=\"1\" x='1'>&lt;b></bpt>pier<ept i='1'>&lt;/b></ept>",
            "<ph x=\"2\" type='image'>{0}</ph>",
            "<it pos=\"begin\" x='3'>&lt;i></it>",
            "<hi type='term'>berth</hi>",
            "<ph>&lt;a title=\"<sub datatype='html'>To the pier</sub>\"></ph>",
            "<ut>\\b</ut>",
            "<!-- aside -->",
            "渡し船 عبّارة 🚢");
    private static final List<String> EXTRAS = List.of(
            "",
            "<note>mind the tide</note>",
            "<prop type=\"x-dept\" o-encoding='none'>web</prop>",
            "<!-- between --><?hint keep?>",
            "<m:extra xmlns:m='urn:example:m' flag='a \"b\"'>x</m:extra>");
    private static final String BEFORE =
            "<tmx version=\"1.4\">\n<header creationtool='x' segtype=\"sentence\" o-tmf='x'"
                    + " adminlang=\"en\" srclang='en-GB' datatype=\"plaintext\"><note>of the memory</note></header>\n<body>\n  ";

    private final Fidelity fidelity = new Fidelity(new TmxFormat());

    @Property
    void anUntouchedFileIsWrittenByteForByte(@ForAll("files") byte[] file) throws IOException {
        fidelity.untouchedIsTheSame(file);
    }

    @Property
    void oneChangedTargetIsReadAgainAndEverythingAroundItStays(
            @ForAll("files") byte[] file, @ForAll("targets") String target) throws IOException {
        fidelity.onlyTheFirstChanges(file, new SegmentEdit(0, Content.of(target), State.TRANSLATED), "tu");
    }

    @Provide
    Arbitrary<String> targets() {
        return Generated.targets();
    }

    @Provide
    Arbitrary<byte[]> files() {
        Arbitrary<String> segment =
                Generated.inline(INLINE).map(text -> text.isEmpty() ? "<seg />" : "<seg>" + text + "</seg >");
        Arbitrary<String> variants = Combinators.combine(Generated.spaces(), segment, segment, segment)
                .as((space, source, german, french) ->
                        variant("en-GB", source) + space + variant("de-DE", german) + variant("fr", french));
        Arbitrary<String> unit = Combinators.combine(
                        Arbitraries.of("", " tuid=\"a b\"", " changedate='20261123T090000Z'"),
                        Arbitraries.of(EXTRAS),
                        variants,
                        Generated.spaces())
                .as((attributes, extra, both, end) -> "<tu" + attributes + ">" + extra + both + end + "</tu>");
        return Generated.files(Generated.lines(unit), BEFORE, "\n</body></tmx>\n");
    }

    private static String variant(String language, String segment) {
        return "<tuv xml:lang='" + language + "' usagecount=\"2\"><prop type='p'>v</prop>" + segment + "</tuv>";
    }
}
