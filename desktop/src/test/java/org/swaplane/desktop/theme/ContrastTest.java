package org.swaplane.desktop.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every pair of colours that stand on each other, by day and by night (WCAG 2.2: 4.5 for text, 3 for what is not text). */
class ContrastTest {
    private static final Pattern COLOUR = Pattern.compile("(-sl-[a-z-]+):\\s*#([0-9a-f]{6})");

    @ParameterizedTest
    @CsvSource({
        "ink, paper, 4.5",
        "ink, sheet, 4.5",
        "ink, rail, 4.5",
        "ink, hand, 4.5",
        "ink, mark, 4.5",
        "ink, near-soft, 4.5",
        "ink, stop-soft, 4.5",
        "ink, away-soft, 4.5",
        "ink-quiet, paper, 4.5",
        "ink-quiet, sheet, 4.5",
        "ink-quiet, rail, 4.5",
        "ink-quiet, hand, 4.5",
        "near, paper, 4.5",
        "near, sheet, 4.5",
        "near, rail, 4.5",
        "near, hand, 4.5",
        "near, near-soft, 4.5",
        "on-near, near, 4.5",
        "away, paper, 4.5",
        "away, sheet, 4.5",
        "away, rail, 4.5",
        "away, mark, 3",
        "stop, paper, 4.5",
        "stop, sheet, 4.5",
        "stop, hand, 4.5",
        "stop, stop-soft, 4.5",
        "focus, paper, 3",
        "focus, sheet, 3",
        "near, off, 3",
        "ink-quiet, off, 4"
    })
    void whatStandsOnSomethingStandsOut(String front, String back, double least) throws IOException {
        for (String theme : new String[] {"light.css", "dark.css"}) {
            Map<String, Integer> palette = palette(theme);
            assertThat(ratio(palette.get("-sl-" + front), palette.get("-sl-" + back)))
                    .as(front + " on " + back + " in " + theme)
                    .isGreaterThanOrEqualTo(least);
        }
    }

    private static Map<String, Integer> palette(String theme) throws IOException {
        try (InputStream in = Theme.class.getResourceAsStream(theme)) {
            Matcher colour = COLOUR.matcher(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            Map<String, Integer> palette = new HashMap<>();
            while (colour.find()) {
                palette.put(colour.group(1), Integer.parseInt(colour.group(2), 16));
            }
            return palette;
        }
    }

    private static double ratio(int one, int other) {
        double lighter = Math.max(luminance(one), luminance(other));
        double darker = Math.min(luminance(one), luminance(other));
        return (lighter + 0.05) / (darker + 0.05);
    }

    /** Relative luminance of sRGB. */
    private static double luminance(int colour) {
        return 0.2126 * linear(colour >> 16 & 0xff)
                + 0.7152 * linear(colour >> 8 & 0xff)
                + 0.0722 * linear(colour & 0xff);
    }

    private static double linear(int channel) {
        double share = channel / 255.0;
        return share <= 0.04045 ? share / 12.92 : Math.pow((share + 0.055) / 1.055, 2.4);
    }
}
