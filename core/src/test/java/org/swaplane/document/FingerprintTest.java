package org.swaplane.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.content;

import org.junit.jupiter.api.Test;
import org.swaplane.content.Content;

class FingerprintTest {
    @Test
    void formOfUnicodeAndAmountOfWhiteSpaceDoNotMatter() {
        assertThat(Fingerprint.of(Content.of("Cafe\u0301  on\n deck ")))
                .isEqualTo(Fingerprint.of(Content.of("Café on deck")));
    }

    @Test
    void placeOfTagsMatters() {
        assertThat(Fingerprint.of(content("<1>a</1> b"))).isNotEqualTo(Fingerprint.of(content("a <1>b</1>")));
    }

    @Test
    void theWrittenFormHasTheSameFingerprint() {
        assertThat(Fingerprint.ofWritten("⟦1⟧a⟦/1⟧ b")).isEqualTo(Fingerprint.of(content("<1>a</1> b")));
    }
}
