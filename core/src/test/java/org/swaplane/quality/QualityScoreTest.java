package org.swaplane.quality;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.swaplane.task.CannotProceedException;

/** Scores worked out on paper: 100 × (1 − penalty / words). */
class QualityScoreTest {
    private static final QualityScheme MQM = QualityScheme.MQM;

    private static QualityScore score(long words, String... errors) {
        List<Judgement> judgements = new ArrayList<>();
        for (String each : errors) {
            String[] parts = each.split(" ");
            judgements.add(new Judgement(parts[0], parts[1]));
        }
        return QualityScore.of(words, judgements, MQM);
    }

    @Test
    void fiveMinorAndTwoMajorErrorsInAThousandWords() {
        QualityScore score = score(
                1000,
                "style minor",
                "style/awkward-style minor",
                "accuracy minor",
                "terminology minor",
                "accuracy/omission minor",
                "accuracy/mistranslation major",
                "terminology/wrong-term major");

        assertThat(score.penalty()).isEqualByComparingTo("15");
        assertThat(score.score().orElseThrow()).isEqualByComparingTo("98.5");
        assertThat(score.passed()).isTrue();
        assertThat(score.byCategory().keySet()).containsExactly("terminology", "accuracy", "style");
        assertThat(score.byCategory().get("accuracy")).isEqualTo(new QualityScore.Tally(3, new BigDecimal(7)));
        assertThat(score.bySeverity().get("major")).isEqualTo(new QualityScore.Tally(2, BigDecimal.TEN));
    }

    @Test
    void aCriticalErrorFailsWhateverTheScore() {
        QualityScore score = score(100_000, "accuracy critical");

        assertThat(score.score().orElseThrow()).isEqualByComparingTo("99.975");
        assertThat(score.passed()).isFalse();
    }

    @Test
    void thePassMarkIsComparedWithTheExactScoreAndNotWithTheRoundedOne() {
        // 7 points in 140,001 words are 99.9950000357… and in 139,999 words 99.99499996…
        QualityScheme strict = MQM.withPassMark(new BigDecimal("99.995"));
        List<Judgement> seven = List.of(
                new Judgement("style", "major"), new Judgement("style", "minor"), new Judgement("style", "minor"));

        assertThat(QualityScore.of(140_001, seven, strict).passed()).isTrue();
        assertThat(QualityScore.of(140_000, seven, strict).passed()).isTrue();
        assertThat(QualityScore.of(139_999, seven, strict).passed()).isFalse();
        assertThat(QualityScore.of(139_999, seven, strict).score().orElseThrow())
                .isEqualByComparingTo("99.9950");
    }

    @Test
    void theScoreMayBeBelowZero() {
        assertThat(score(10, "style major", "style major", "style major")
                        .score()
                        .orElseThrow())
                .isEqualByComparingTo("-50");
    }

    @Test
    void neutralErrorsAreCountedAndCostNothing() {
        QualityScore score = score(20, "style neutral");

        assertThat(score.score().orElseThrow()).isEqualByComparingTo("100");
        assertThat(score.bySeverity()).containsOnlyKeys("neutral");
    }

    @Test
    void withoutWordsThereIsNoScore() {
        assertThat(score(0).score()).isEmpty();
        assertThat(score(0).passed()).isTrue();
        assertThat(score(0, "style minor").passed()).isFalse();
    }

    @Test
    void anOwnSchemeHasItsCategoriesWeightsAndLimits() {
        QualityScheme own = QualityScheme.parse("""
                {"name":"Ferry notices","categories":[{"id":"safety","label":"Safety on board"},{"id":"wording"}],
                 "severities":{"small":0.5,"grave":10},"failing":[],"passMark":90,"limits":{"safety":1}}""", "own.json");
        Judgement small = new Judgement("safety", "small");

        assertThat(QualityScore.of(100, List.of(small), own).passed()).isTrue();
        assertThat(QualityScore.of(100, List.of(small, small), own).penalty()).isEqualByComparingTo("1");
        assertThat(QualityScore.of(100, List.of(small, small), own).passed()).isFalse();
        assertThat(own.categoryName("safety")).isEqualTo("Safety on board");
        assertThat(QualityScheme.parse(own.toJson(), "again")).isEqualTo(own);
    }

    @Test
    void aSchemeThatContradictsItselfIsRefusedWithThePlace() {
        assertThatThrownBy(() -> QualityScheme.parse(
                        "{\"categories\":[{\"id\":\"a\"}],\"severities\":{\"minor\":1},\"failing\":[\"grave\"],\"passMark\":9}",
                        "s.json"))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("s.json")
                .hasMessageContaining("failing");
        assertThatThrownBy(() -> QualityScheme.parse("{\n\"categories\": 3,", "s.json"))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("s.json:2");
    }
}
