package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.aSegment;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIf;
import org.swaplane.document.Limits;

@EnabledIf("hasFonts")
class PixelWidthTest {
    /** A server has none, and then nothing is measured. */
    static boolean hasFonts() {
        return PixelWidth.of("Pier", pixels(1, Limits.SOME_FONT)).isPresent();
    }

    private static Limits pixels(int most, String font) {
        return new Limits(0, most, Limits.PIXELS, 0, 0, font);
    }

    private static List<Finding> found(String source, String target, Limits limits) {
        CheckedSegment segment =
                aSegment().source(source).target(target).limits(limits).checked();
        return new LengthCheck(Profile.DEFAULT.growth()).check(segment);
    }

    @Test
    void aTargetThatIsWiderThanItsPlaceIsFound() {
        assertThat(found("Pier", "Schiffsanlegestelle am Nordkai", pixels(60, Limits.SOME_FONT)))
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.check()).isEqualTo("length");
                    assertThat(finding.severity()).isEqualTo(Severity.WARNING);
                    assertThat(finding.message()).contains("60");
                });
    }

    @Test
    void oneThatFitsIsNot() {
        assertThat(found("Pier", "Kai", pixels(60, Limits.SOME_FONT))).isEmpty();
    }

    @Test
    void inAnotherFontNothingIsSaidOfAPlaceInWhichTheSourceDoesNotFit() {
        assertThat(found("The ferry to Gullwick", "Die Fähre nach Gullwick", pixels(20, "No Such Font;8")))
                .isEmpty();
    }

    @Test
    void aFontOfThisMachineIsCertain() {
        // The logical fonts are on every machine.
        assertThat(found("The ferry to Gullwick", "Die Fähre nach Gullwick", pixels(20, "SansSerif;8")))
                .extracting(Finding::severity)
                .containsExactly(Severity.ERROR);
    }

    @Test
    void sizeAndWeightOfTheFontCount() {
        String text = "Gullwick";
        int small = width(text, "SansSerif;8;400");

        assertThat(width(text, "SansSerif;16;400")).isBetween(2 * small - 4, 2 * small + 4);
        assertThat(width(text, "SansSerif;8;700")).isGreaterThan(small);
        assertThat(width("Gullwick\nPier", "SansSerif;8;400")).isEqualTo(small);
    }

    private static int width(String text, String font) {
        return PixelWidth.of(text, pixels(1, font)).orElseThrow().pixels();
    }

    @Test
    void pixelsThatMayBeCharactersAreNotMeasured() {
        assertThat(found("Pier", "Schiffsanlegestelle am Nordkai", pixels(10, "")))
                .isEmpty();
    }
}
