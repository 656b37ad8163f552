package org.swaplane.desktop.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class LookUpMenuTest {
    @Test
    void textAndLanguagesStandInTheAddressAsAddressesWantThem() {
        assertThat(LookUpMenu.address(
                        "https://words.example/{source}/{target}?q={text}", "Fähre & Kai", "en-GB", "de-DE"))
                .hasToString("https://words.example/en-GB/de-DE?q=F%C3%A4hre%20%26%20Kai");
        assertThatThrownBy(() -> LookUpMenu.address("no address {text", "x", "en", "de"))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
