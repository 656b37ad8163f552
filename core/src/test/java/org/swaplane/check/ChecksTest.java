package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.aSegment;
import static org.swaplane.document.SegmentBuilder.content;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.document.Lock;
import org.swaplane.document.Segment;
import org.swaplane.document.SegmentBuilder;
import org.swaplane.document.State;

class ChecksTest {
    private static List<Finding> find(SegmentBuilder segment) {
        return CheckRun.ofAllChecks().run(segment.checked());
    }

    private static List<String> ids(SegmentBuilder segment) {
        return find(segment).stream().map(Finding::check).toList();
    }

    @Test
    void aSoundSegmentHasNoFinding() {
        assertThat(find(aSegment())).isEmpty();
    }

    @Test
    void lockedSegmentsAreNotChecked() {
        assertThat(find(aSegment().source("GBP 12").target("").locked())).isEmpty();
    }

    @Nested
    class EmptyAndSame {
        @Test
        void anEmptyTargetIsFoundOnce() {
            assertThat(ids(aSegment().source("Deck <1/> at 14:05").target(""))).containsExactly("empty-target");
        }

        @Test
        void aSourceWithoutTextNeedsNoTarget() {
            assertThat(find(aSegment().source("<1/>").target("<1/>"))).isEmpty();
        }

        @Test
        void aCopyOfTheSourceIsFound() {
            assertThat(ids(aSegment().source("Island lounge").target("Island lounge")))
                    .containsExactly("same-as-source");
        }

        @ParameterizedTest
        @ValueSource(
                strings = {
                    "crossings@marramsound.example",
                    "https://marramsound.example/plan",
                    "42",
                    "{count}",
                    "MSF-200",
                    "+44 5550 017 200",
                    "A"
                })
        void whatHasNothingToTranslateMayStay(String text) {
            assertThat(find(aSegment().source(text).target(text))).isEmpty();
        }
    }

    @Nested
    class Tags {
        @Test
        void legalMovesAreSilent() {
            assertThat(find(aSegment().source("<1>Pier</1> to <2/>").target("<2/> vom <1>Pier</1>")))
                    .isEmpty();
        }

        @Test
        void aLostPairIsNamed() {
            List<Finding> findings =
                    find(aSegment().source("at <1>20 minutes</1> before").target("20 Minuten vorher"));

            assertThat(findings)
                    .extracting(Finding::message)
                    .containsExactly("Tags ⟦1⟧ ⟦/1⟧ are missing in the target");
            assertThat(findings.get(0).suggestion()).isEmpty();
        }

        @Test
        void aLostPairAroundTheWholeTextIsPutBack() {
            List<Finding> findings = find(aSegment().source("<1>On board</1>").target("An Bord"));

            assertThat(findings.get(0).suggestion()).contains(content("<1>An Bord</1>"));
        }

        @Test
        void aDoubledTagIsTakenOut() {
            List<Finding> findings = find(aSegment().source("Pier <1/>").target("Kai <1/><1/>"));

            assertThat(findings).hasSize(1);
            assertThat(findings.get(0).suggestion()).contains(content("Kai <1/>"));
        }

        @ParameterizedTest
        @CsvSource(delimiter = '|', textBlock = """
                See <1>Gullwick</1> pier          | Siehe Kai Gullwick          | Siehe Kai <1>Gullwick</1>
                <1>On board</1> today             | <2>An Bord</2> heute        | <1>An Bord</1> heute
                <1><2>a</2></1>                   | <1><2>ä</1></2>             | <1><2>ä</2></1>
                Press <1>OK</1> now               | Jetzt </1>OK<1> drücken     | Jetzt <1>OK</1> drücken
                Click <1>here</1> now             | Jetzt<1>hier</1> klicken    | Jetzt <1>hier</1> klicken
                """)
        void whereATagBelongsForCertainIsSuggested(String source, String target, String fixed) {
            List<Finding> findings = find(aSegment().source(source).target(target));

            assertThat(findings.get(0).suggestion()).contains(content(fixed));
        }

        @ParameterizedTest
        @CsvSource(delimiter = '|', textBlock = """
                See <1>Gullwick</1> pier          | Von Gullwick nach Gullwick
                See <1>Gull</1> pier              | Siehe Gullwick
                <1>a</1> <2>b</2> <3>c</3>        | <1>a <2>b <3>c</1></2></3>
                """)
        void whereItCouldBelongToSeveralPlacesNothingIsSuggested(String source, String target) {
            assertThat(find(aSegment().source(source).target(target)))
                    .extracting(Finding::suggestion)
                    .containsOnly(Optional.empty());
        }

        @Test
        void tagsThatTheFileWantsInTheirOrderArePutIntoIt() {
            Tag.Rights fixed = new Tag.Rights(true, true, false, true);
            Tag one = new Tag(Tag.Kind.STANDALONE, "ph:1", "<ph id='1'/>", "", fixed);
            Tag two = new Tag(Tag.Kind.STANDALONE, "ph:2", "<ph id='2'/>", "", fixed);
            CheckedSegment sound = aSegment().checked();
            Segment segment = sound.segment();
            Segment tagged = new Segment(
                    segment.key(),
                    0,
                    "u",
                    Content.of(one, two),
                    Content.EMPTY,
                    State.TRANSLATED,
                    "",
                    Lock.NONE,
                    segment.about());

            assertThat(CheckRun.ofAllChecks().run(new CheckedSegment(0, tagged, Content.of(two, one), "en", "de")))
                    .extracting(finding -> finding.check() + finding.suggestion())
                    .containsExactly("tags" + Optional.of(Content.of(one, two)));
            assertThat(CheckRun.ofAllChecks().run(new CheckedSegment(0, tagged, Content.of(one, two), "en", "de")))
                    .isEmpty();
        }

        @Test
        void pairsThatCrossInTheSourceTooAreTheFilesOwnWay() {
            assertThat(find(aSegment().source("<1><2>a</1></2>").target("<1><2>ä</1></2>")))
                    .isEmpty();
        }
    }

    @Nested
    class Placeholders {
        @Test
        void orderIsFree() {
            assertThat(find(aSegment().source("%1$s for %2$d").target("%2$d für %1$s")))
                    .isEmpty();
        }

        @Test
        void aChangedOneIsMended() {
            List<Finding> findings = find(aSegment().source("Hello {name}").target("Hallo {Name}"));

            assertThat(findings).extracting(Finding::check).containsExactly("placeholders");
            assertThat(findings.get(0).suggestion()).contains(Content.of("Hallo {name}"));
            assertThat(findings.get(0).target()).containsExactly(new Span(6, 12));
        }

        @Test
        void aLostOneIsFound() {
            assertThat(ids(aSegment().source("{line} is late").target("Verspätet")))
                    .containsExactly("placeholders");
        }

        @Test
        void percentBeforeAWordIsNone() {
            assertThat(find(aSegment().source("15% discount").target("15 % Rabatt")))
                    .isEmpty();
        }
    }

    @Nested
    class Numbers {
        @ParameterizedTest
        @CsvSource(delimiter = '|', textBlock = """
                        Fare: £12.50                        | Preis: 12,50 £
                        1,500 kg per axle                   | 1.500 kg je Achse
                        1,500 kg per axle                   | 1500 kg je Achse
                        leaves at 2:05 pm                   | fährt um 14:05 Uhr
                        between 8 am and 6 pm               | zwischen 8 und 18 Uhr
                        Valid from 03/04/2026               | Gültig ab 03.04.2026
                        15% off                             | 15 % Rabatt
                        two adults and 3 children           | 2 Erwachsene und drei Kinder
                        1 ticket                            | Eine Fahrkarte
                        the 1st deck                        | das 1. Deck
                        Release 2.10.1                      | Ausgabe 2.10.1
                        4 °C to −2 °C                       | 4 °C bis −2 °C
                        Call +44 5550 017 200               | Rufen Sie +44 5550 017 200 an
                        from 5 to 7                         | 5–7
                        """)
        void soundTranslationsAreSilent(String source, String target) {
            assertThat(find(aSegment().source(source).target(target))).isEmpty();
        }

        @ParameterizedTest
        @CsvSource(delimiter = '|', textBlock = """
                        departs at 14:05     | startet um 15:04 Uhr        | 14:05 became 15:04 | startet um 14:05 Uhr
                        up to 1,500 kg       | bis zu 1,500 kg             | 1,500 became 1,500 (value 1500 became 1.5)    | bis zu 1.500 kg
                        1.5 l of oil         | 1.500 l Öl                  | 1.5 became 1.500 (value 1.5 became 1500)      | 1,5 l Öl
                        £12.50               | 12,05 £                     | 12.50 became 12,05 (value 12.5 became 12.05)  | 12,50 £
                        320 jackets          | 32 Westen                   | 320 became 32           | 320 Westen
                        03/04/2026           | 04.03.2026                  | 03/04/2026 became 04.03.2026 (value 2026-04-03 became 2026-03-04) | 03.04.2026
                        """)
        void aChangedValueIsFoundAndMended(String source, String target, String message, String fixed) {
            List<Finding> findings = find(aSegment().source(source).target(target));

            assertThat(findings).extracting(Finding::message).containsExactly(message);
            assertThat(findings.get(0).suggestion()).contains(Content.of(fixed));
        }

        @Test
        void aNumberInTheSourcesNotationIsSaid() {
            List<Finding> findings = find(aSegment().source("3.5 t").target("3.5 t schwer"));

            assertThat(findings)
                    .extracting(Finding::message)
                    .containsExactly("3.5 is not in the notation of the target language (source: 3.5)");
            assertThat(findings.get(0).suggestion()).contains(Content.of("3,5 t schwer"));
        }

        @Test
        void aLostNumberIsFoundWithItsPlace() {
            List<Finding> findings = find(aSegment().source("Deck 2, row 14").target("Deck 2"));

            assertThat(findings).hasSize(1);
            assertThat(findings.get(0).source()).containsExactly(new Span(12, 14));
            assertThat(findings.get(0).suggestion()).isEmpty();
        }

        @Test
        void twoSwappedNumbersInOneSentenceAreNoFindingAsTheirOrderIsFree() {
            assertThat(find(aSegment().source("2 of 14").target("14, davon 2"))).isEmpty();
        }

        @Test
        void severalWrongNumbersGetNoSuggestion() {
            List<Finding> findings = find(aSegment().source("12 at 14").target("13 um 15"));

            assertThat(findings).hasSize(2).extracting(Finding::suggestion).containsOnly(Optional.empty());
        }

        @Test
        void digitsInPlaceholdersAreNotNumbers() {
            assertThat(find(aSegment().source("{0} of 5").target("{0} von 5"))).isEmpty();
        }

        @Test
        void theFixKeepsTheTags() {
            List<Finding> findings = find(aSegment().source("at <1>14:05</1>").target("um <1>15:04</1> Uhr"));

            assertThat(findings.get(0).suggestion()).contains(content("um <1>14:05</1> Uhr"));
        }
    }

    @Test
    void theIdentityOfAFindingLastsAsLongAsBothTextsDo() {
        String before = find(aSegment().source("Deck").target("")).get(0).identity();
        String same = find(aSegment().source("Deck").target("")).get(0).identity();
        String other = find(aSegment().source("Decks").target("")).get(0).identity();

        assertThat(same).isEqualTo(before);
        assertThat(other).isNotEqualTo(before);
    }
}
