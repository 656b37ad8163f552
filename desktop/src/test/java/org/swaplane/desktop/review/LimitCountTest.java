package org.swaplane.desktop.review;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;
import org.swaplane.document.Limits;

class LimitCountTest {
    @Test
    void charactersAreCountedAsPeopleCountThemAndBytesAsTheFileDoes() {
        Content target = Content.of("Fähre🚢");

        assertThat(LimitCount.words(target, Limits.ofCharacters(0, 6)))
                .contains("6")
                .doesNotContain("7");
        assertThat(LimitCount.isExceeded(target, Limits.ofCharacters(0, 6))).isFalse();
        assertThat(LimitCount.isExceeded(target, Limits.ofCharacters(0, 5))).isTrue();
        assertThat(LimitCount.isExceeded(target, new Limits(0, 0, "", 0, 10))).isFalse();
        assertThat(LimitCount.isExceeded(target, new Limits(0, 0, "", 0, 9))).isTrue();
    }

    @Test
    void aLimitThatCannotBeCountedHereIsSaidAndNeverExceeded() {
        Limits pixels = new Limits(0, 3, "pixel", 0, 0);

        assertThat(LimitCount.words(Content.of("far too long"), pixels))
                .contains("3")
                .contains("pixel");
        assertThat(LimitCount.isExceeded(Content.of("far too long"), pixels)).isFalse();
    }

    @Test
    void anEmptyTargetIsNotTooShort() {
        assertThat(LimitCount.isExceeded(Content.EMPTY, Limits.ofCharacters(3, 9)))
                .isFalse();
        assertThat(LimitCount.isExceeded(Content.of("ab"), Limits.ofCharacters(3, 9)))
                .isTrue();
    }
}
