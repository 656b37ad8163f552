package org.swaplane.format;

import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.arbitraries.ListArbitrary;

/** What the generated files of all XML formats have in common. */
public final class Generated {
    private Generated() {}

    /** New targets, each hard to write in its own way. */
    public static Arbitrary<String> targets() {
        return Arbitraries.of("Neu", "5 < 6 & 7", " Rand ", "]]>", "zwei\nZeilen", "\"'", "船🚢");
    }

    /** White space between elements. */
    public static Arbitrary<String> spaces() {
        return Arbitraries.of("", " ", "\n", "\n    ", "\t", "\n\n  ");
    }

    /** Up to four of these pieces in a row. */
    public static Arbitrary<String> inline(List<String> pieces) {
        return Arbitraries.of(pieces).list().ofMaxSize(4).map(chosen -> String.join("", chosen));
    }

    /** From one to five of these, each on its line. */
    public static Arbitrary<String> lines(Arbitrary<String> one) {
        ListArbitrary<String> several = one.list().ofMinSize(1).ofMaxSize(5);
        return several.map(list -> String.join("\n  ", list));
    }

    /** A document around {@code inner}, in each encoding and with each line end. */
    public static Arbitrary<byte[]> files(Arbitrary<String> inner, String before, String after) {
        return Combinators.combine(inner, Arbitraries.of(SampleEncoding.values()), Arbitraries.of("\n", "\r\n"))
                .as((text, encoding, lineEnd) ->
                        encoding.bytes((encoding.declaration() + before + text + after).replace("\n", lineEnd)));
    }
}
