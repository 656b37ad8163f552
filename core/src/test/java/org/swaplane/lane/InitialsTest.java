package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class InitialsTest {
    @ParameterizedTest
    @CsvSource({
        "Mara Lind, ML",
        "Ines Falk-Oster, IFO",
        "Ruth van der Hoog, RvdH",
        "Tomás O'Neill, TO",
        "Östen, Ö",
        "'  ', ''",
        "root2, r"
    })
    void theFirstLetterOfEachWord(String name, String initials) {
        assertThat(Initials.of(name)).isEqualTo(initials == null ? "" : initials);
    }
}
