package org.swaplane.placeholder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.task.CannotProceedException;

class PlaceholdersTest {
    private static List<String> found(String text) {
        return new Placeholders()
                .find(text).stream().map(Placeholders.Found::written).toList();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "%s",
                "%1$d",
                "%-5.2f",
                "%%",
                "%@",
                "%ld",
                "{0}",
                "{0,number}",
                "{name}",
                "{user.name}",
                "{{name}}",
                "{{ name }}",
                "${name}",
                "${a.b}",
                "%(name)s",
                "%{name}",
                "&nbsp;",
                "&#160;",
                "&#xA0;",
                "<b>",
                "</b>",
                "<br/>",
                "<a href=\"x\">"
            })
    void everyUsualKindIsFoundWhole(String placeholder) {
        assertThat(found("Take " + placeholder + " along")).containsExactly(placeholder);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "15% off",
                "50 % der Fahrten",
                "100%ig",
                "a < b and c > d",
                "{ }",
                "{not a name}",
                "Q&A",
                "5 $ each"
            })
    void whatOnlyLooksLikeOneIsText(String text) {
        assertThat(found(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"%1$s%2$d,2", "{a}{b}{c},3", "{{a}}{b},2", "${a}%s&nbsp;,3"})
    void neighboursAreToldApart(String text, int count) {
        assertThat(found(text)).hasSize(count);
    }

    @Test
    void maskedTextKeepsItsOffsets() {
        assertThat(new Placeholders().mask("{line} um 14:05", '#')).isEqualTo("###### um 14:05");
    }

    @Test
    void patternsOfOnesOwnComeFirstAndKindsCanBeLeftOut() {
        PlaceholderRules rules = new PlaceholderRules(
                Set.of("named-brace"), List.of(new PlaceholderRules.Own("pier", "#\\w+#|\\{pier\\} 5")));

        assertThat(rules.placeholders().find("at #pier# and {pier} 5, {quay} $x$ %s"))
                .extracting(Placeholders.Found::written)
                .containsExactly("#pier#", "{pier} 5", "$x$", "%s");
    }

    @Test
    void aPatternThatIsBrokenOrMatchesNothingIsSaidAndLeftOut() {
        PlaceholderRules.Own broken = new PlaceholderRules.Own("a", "(");
        PlaceholderRules.Own empty = new PlaceholderRules.Own("b", "x*");

        assertThat(broken.fault()).isEqualTo("Unclosed group");
        assertThat(empty.fault()).isEqualTo("it matches where there is nothing");
        assertThat(new PlaceholderRules(Set.of(), List.of(broken, empty))
                        .placeholders()
                        .find("xx(%s"))
                .hasSize(1);
    }

    @Test
    void aPatternThatNeverEndsIsStopped() {
        PlaceholderRules rules = new PlaceholderRules(Set.of(), List.of(new PlaceholderRules.Own("slow", "(\\w+)+!")));

        assertThatThrownBy(() -> rules.placeholders().find("a".repeat(200)))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("takes too long");
    }

    @ParameterizedTest
    @CsvSource({
        "write to ask@marramsound.example now, write to ······················· now",
        "see https://marramsound.example/plan?a=b, see ····································",
        "www.marramsound.example, ·······················",
        "no address @ all, no address @ all"
    })
    void addressesAreMasked(String text, String masked) {
        assertThat(Addresses.mask(text, '·')).isEqualTo(masked);
    }
}
