package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.aSegment;

import org.junit.jupiter.api.Test;

class PairingTest {
    @Test
    void everythingThatMustComeThroughIsLinked() {
        Pairing pairing = Pairing.of(aSegment()
                .source("<1>{line}</1> at 2:05 pm")
                .target("um 14:05 Uhr <1>{line}</1>")
                .checked());

        assertThat(pairing.source()).extracting(Pairing.Item::written).containsExactly("1", "/1", "{line}", "2:05 pm");
        assertThat(pairing.links()).hasSize(4);
    }

    @Test
    void whatIsLostIsInNoLink() {
        Pairing pairing =
                Pairing.of(aSegment().source("<1/> of 12").target("von 13").checked());

        assertThat(pairing.links()).isEmpty();
        assertThat(pairing.source()).hasSize(2);
        assertThat(pairing.target()).extracting(Pairing.Item::written).containsExactly("13");
    }

    @Test
    void equalNumbersAreLinkedOneToOne() {
        Pairing pairing = Pairing.of(aSegment().source("5 and 5").target("5").checked());

        assertThat(pairing.links()).containsExactly(new Pairing.Link(0, 0));
    }

    @Test
    void theStripSaysTheSameOfNumbersInOtherWritingsAsTheCheck() {
        Pairing words = Pairing.of(aSegment()
                .source("Wait 3 minutes")
                .target("Drei Minuten warten")
                .checked());
        Pairing lost = Pairing.of(
                aSegment().source("Wait 3 minutes").target("Minuten warten").checked());

        assertThat(words.source()).allMatch(Pairing.Item::settled);
        assertThat(lost.source()).noneMatch(Pairing.Item::settled);
    }
}
