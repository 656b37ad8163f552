package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SelectionTest {
    @ParameterizedTest
    @CsvSource({
        "'', /a/b, true",
        "/a, /a/b, true",
        "/a, /ab, false",
        "a, /a, true",
        "/a/*/c, /a/b/c/d, true",
        "/a/*/c, /a/c, false",
        "/**/title, /menu/0/title, true",
        "/**/title, /title, true",
        "/**/title, /titles, false",
        "-/meta, /a, true",
        "-/meta, /meta/x, false",
        "'/a;-/a/id', /a/id, false",
        "'/a;-/a/id', /a/name, true",
        "'-/a;/a/id', /a/id, true",
        "/Fares/B:D/2:40, /Fares/C/40, true",
        "/Fares/B:D/2:40, /Fares/AA/40, false",
        "/Fares/B:AB, /Fares/AA/1, true",
        "/Fares/B:D/2:40, /Fares/C/41, false",
        "/x*/@t*l*, /xy/@title, true",
        "/[a](, /[a](, true"
    })
    void aPatternNamesAPlaceAndAllBelowIt(String patterns, String address, boolean included) {
        assertThat(new Selection(List.of(patterns.split(";"))).includes(address))
                .isEqualTo(included);
    }
}
