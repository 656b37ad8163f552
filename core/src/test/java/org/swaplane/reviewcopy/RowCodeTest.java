package org.swaplane.reviewcopy;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RowCodeTest {
    private static final RowCode CODE = RowCode.of("K7Q2M", 12, "9f3a1bcc00112233");

    @Test
    void aCodeIsReadAgain() {
        assertThat(RowCode.read(CODE.written())).contains(CODE);
        assertThat(RowCode.read(" " + CODE.written().toLowerCase() + "\n")).contains(CODE);
        assertThat(RowCode.read(CODE.written().replace('-', '\u2011'))).contains(CODE);
    }

    @Property(tries = 300)
    void oneWrongCharacterIsNoticed(
            @ForAll @IntRange(max = 17) int place, @ForAll @IntRange(min = 1, max = 34) int shift) {
        String alphabet = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ";
        String written = CODE.written();
        int value = alphabet.indexOf(written.charAt(Math.min(place, written.length() - 1)));
        if (value < 0) {
            return;
        }
        char wrong = alphabet.charAt((value + shift) % 36);
        int at = Math.min(place, written.length() - 1);
        String typed = written.substring(0, at) + wrong + written.substring(at + 1);

        assertThat(RowCode.read(typed)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "12", "see K7Q2M", "K7Q2M-12", "K7Q2M-12-9F3A1B"})
    void otherTextIsNoCode(String text) {
        assertThat(RowCode.read(text)).isEmpty();
    }

    @Test
    void aCodeFitsItsSourceOnly() {
        assertThat(CODE.fits("9f3a1bffffffffff")).isTrue();
        assertThat(CODE.fits("9f3a1cffffffffff")).isFalse();
    }
}
