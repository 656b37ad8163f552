package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.aSegment;

import com.ibm.icu.text.DecimalFormat;
import com.ibm.icu.text.NumberFormat;
import com.ibm.icu.util.ULocale;
import java.math.BigDecimal;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Numbers as CLDR writes them in two languages: the same value is silent, another one is found. */
class NumberPairsTest {
    private static final List<String> LANGUAGES = List.of(
            "en-GB", "de-DE", "de-CH", "fr-FR", "es-ES", "it-IT", "nl-NL", "pl-PL", "ru-RU", "sv-SE", "tr-TR", "hi-IN",
            "ar-EG", "ja-JP", "pt-BR", "cs-CZ");
    private static final CheckRun CHECKS = CheckRun.ofAllChecks();

    private static String written(BigDecimal value, String language) {
        NumberFormat format = NumberFormat.getInstance(ULocale.forLanguageTag(language));
        format.setMaximumFractionDigits(value.scale());
        format.setMinimumFractionDigits(value.scale());
        ((DecimalFormat) format).setMinimumGroupingDigits(1);
        return format.format(value);
    }

    private static List<Finding> find(String from, BigDecimal source, String to, BigDecimal target) {
        return CHECKS
                .run(aSegment()
                        .source(from, "Ω " + written(source, from) + " Ω")
                        .target(to, "Σ " + written(target, to) + " Σ")
                        .checked())
                .stream()
                .filter(finding -> finding.check().equals("numbers"))
                .toList();
    }

    @Provide
    Arbitrary<String> languages() {
        return Arbitraries.of(LANGUAGES);
    }

    @Provide
    Arbitrary<BigDecimal> values() {
        return Arbitraries.longs().between(0, 99_999_999).flatMap(digits -> Arbitraries.of(0, 0, 2)
                .map(scale -> BigDecimal.valueOf(digits, scale)));
    }

    @Property(tries = 500)
    void theSameValueInBothNotationsIsNoFinding(
            @ForAll("languages") String from, @ForAll("languages") String to, @ForAll("values") BigDecimal value) {
        assertThat(find(from, value, to, value)).isEmpty();
    }

    @Property(tries = 500)
    void anotherValueIsAlwaysFound(
            @ForAll("languages") String from,
            @ForAll("languages") String to,
            @ForAll("values") BigDecimal value,
            @ForAll("values") BigDecimal other) {
        Assume.that(value.compareTo(other) != 0);

        assertThat(find(from, value, to, other)).isNotEmpty();
    }

    @Property(tries = 500)
    void twoDigitsThatChangedTheirPlacesAreFound(
            @ForAll("languages") String from, @ForAll("languages") String to, @ForAll("values") BigDecimal value) {
        String digits = value.unscaledValue().toString();
        Assume.that(digits.length() > 1 && digits.charAt(0) != digits.charAt(1) && digits.charAt(1) != '0');
        String swapped = "" + digits.charAt(1) + digits.charAt(0) + digits.substring(2);

        BigDecimal wrong = new BigDecimal(swapped).movePointLeft(value.scale()).setScale(value.scale());
        assertThat(find(from, value, to, wrong)).isNotEmpty();
    }
}
