package org.swaplane.format.xliff12;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.swaplane.document.Segment;
import org.swaplane.format.Generated;
import org.swaplane.format.Rewriting;

/** Whatever a target has of the segments of its source, each can be translated in its place. */
class SegmentedUnitFidelityTest {
    /** What a target may have for a segment; N is its mid. */
    private static final List<String> HELD = List.of(
            "", // nothing
            "<mrk mtype=\"seg\" mid=\"N\"/>",
            "<mrk mtype='seg' mid='N' />",
            "<mrk mtype=\"seg\" mid=\"N\"></mrk>",
            "<mrk mid='N' mtype='seg'>Teil &amp; N</mrk>",
            "<g id='1'><mrk mid='N' mtype='seg'><![CDATA[5 < N]]></mrk></g>");

    @Property
    void oneTranslatedSegmentIsReadAgainAndTheOthersStay(
            @ForAll("units") String unit, @ForAll("targets") String target, @ForAll int which) throws IOException {
        Rewriting file = Rewriting.of(Xliff12Sample.file(unit));
        List<Segment> before = file.document().segments();
        int changed = Math.floorMod(which, before.size());

        String written = file.write(Rewriting.translated(changed, target));

        List<String> expected = new ArrayList<>(
                before.stream().map(SegmentedUnitFidelityTest::text).toList());
        expected.set(changed, target);
        assertThat(Rewriting.of(written).document().segments())
                .extracting(SegmentedUnitFidelityTest::text)
                .isEqualTo(expected);
        assertThat(Rewriting.of(written).document().problems()).isEmpty();
    }

    private static String text(Segment segment) {
        return segment.target().plainText();
    }

    @Provide
    Arbitrary<String> targets() {
        return Generated.targets();
    }

    @Provide
    Arbitrary<String> units() {
        Arbitrary<List<String>> held = Arbitraries.of(HELD).list().ofMinSize(1).ofMaxSize(4);
        return Combinators.combine(held, Arbitraries.of("", " ", "\n  "), Arbitraries.of("NONE", "<target/>", ""))
                .as((targets, between, whole) -> {
                    String inside = numbered(targets, between);
                    boolean segmented = inside.contains("<mrk") && whole.isEmpty();
                    return "<trans-unit id='u'><source>whole</source><seg-source>"
                            + numbered(
                                    targets.stream()
                                            .map(each -> "<mrk mtype='seg' mid='N'>Part N</mrk>")
                                            .toList(),
                                    between)
                            + "</seg-source>"
                            + (segmented ? "<target>" + inside + "</target>" : whole.replace("NONE", ""))
                            + "</trans-unit>";
                });
    }

    private static String numbered(List<String> pieces, String between) {
        return IntStream.range(0, pieces.size())
                .mapToObj(i -> pieces.get(i).replace("N", String.valueOf(i + 1)))
                .collect(Collectors.joining(between));
    }
}
