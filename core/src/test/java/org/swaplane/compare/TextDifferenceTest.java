package org.swaplane.compare;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;

class TextDifferenceTest {
    @Test
    void onlyTheChangedWordIsMarked() {
        TextDifference difference = TextDifference.between("um 15:04 Uhr", "um 14:05 Uhr");

        assertThat(cut("um 15:04 Uhr", difference.before())).isEqualTo("um : Uhr");
        assertThat(cut("um 14:05 Uhr", difference.after())).isEqualTo("um : Uhr");
    }

    @Test
    void addedTextIsMarkedOnItsSideOnly() {
        TextDifference difference = TextDifference.between("Die Fähre", "Die neue Fähre");

        assertThat(difference.before()).isEmpty();
        assertThat(cut("Die neue Fähre", difference.after())).isEqualTo("Die Fähre");
    }

    @Property(tries = 300)
    void whatIsNotMarkedIsTheSameOnBothSides(
            @ForAll @StringLength(max = 40) String one, @ForAll @StringLength(max = 40) String other) {
        TextDifference difference = TextDifference.between(one, other);

        assertThat(cut(one, difference.before())).isEqualTo(cut(other, difference.after()));
    }

    private static String cut(String text, List<Span> marked) {
        StringBuilder result = new StringBuilder();
        int at = 0;
        for (Span span : marked) {
            result.append(text, at, span.start());
            at = span.end();
        }
        return result.append(text.substring(at)).toString();
    }
}
