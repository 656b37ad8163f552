package org.swaplane.desktop.review;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.swaplane.check.PixelWidth;
import org.swaplane.content.Content;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.Limits;

/** How much of its limits a target uses, in words. */
final class LimitCount {
    private LimitCount() {}

    /** Empty where there is no limit. */
    static String words(Content target, Limits limits) {
        List<String> words = new ArrayList<>();
        if (limits.maxCharacters() > 0) {
            words.add(Strings.text("review.limit", characters(target), limits.maxCharacters()));
        } else if (limits.maxPixels() > 0 && width(target, limits).isPresent()) {
            PixelWidth width = width(target, limits).get();
            words.add(Strings.text("review.limit-pixels", width.pixels(), limits.maxPixels(), width.font()));
        } else if (limits.max() > 0) {
            words.add(Strings.text("review.limit-unit", limits.max(), limits.unit()));
        }
        if (limits.min() > 0 && limits.unit().equals(Limits.CHARACTERS)) {
            words.add(Strings.text("review.limit-least", limits.min()));
        }
        if (limits.maxBytes() > 0) {
            words.add(Strings.text("review.limit-bytes", bytes(target), limits.maxBytes()));
        }
        return String.join(" · ", words);
    }

    static boolean isExceeded(Content target, Limits limits) {
        boolean tooShort = limits.min() > 0
                && limits.unit().equals(Limits.CHARACTERS)
                && !target.isEmpty()
                && characters(target) < limits.min();
        return tooShort
                || limits.maxPixels() > 0
                        && width(target, limits)
                                .filter(width -> width.pixels() > limits.maxPixels())
                                .isPresent()
                || limits.maxCharacters() > 0 && characters(target) > limits.maxCharacters()
                || limits.maxBytes() > 0 && bytes(target) > limits.maxBytes();
    }

    private static Optional<PixelWidth> width(Content target, Limits limits) {
        return PixelWidth.of(target.plainText(), limits);
    }

    private static int characters(Content target) {
        return target.plainText().codePointCount(0, target.plainText().length());
    }

    private static int bytes(Content target) {
        return target.plainText().getBytes(StandardCharsets.UTF_8).length;
    }
}
