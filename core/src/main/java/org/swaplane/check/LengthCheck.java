package org.swaplane.check;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.swaplane.compare.Span;
import org.swaplane.document.Limits;
import org.swaplane.wording.Phrase;

/** A target that is longer or shorter than the file allows. */
final class LengthCheck extends TextCheck {
    private static final char FIRST_DENSE = '\u1100';
    private static final double IDEOGRAPH = 3;
    private static final double SYLLABLE = 1.7;

    /** Sources below this many characters may grow as they like, below the second one shrink so. */
    private static final int SHORT = 30;

    private static final int SHORT_TO_SHRINK = 60;

    private final Profile.Growth growth;

    LengthCheck(Profile.Growth growth) {
        super("length");
        this.growth = growth;
    }

    @Override
    List<Finding> find(Texts texts) {
        Limits limits = texts.segment().segment().limits();
        if (limits.isNone()) {
            return grown(texts);
        }
        String target = texts.target();
        int characters = target.codePointCount(0, target.length());
        int bytes = target.getBytes(StandardCharsets.UTF_8).length;
        List<Span> all = List.of(new Span(0, target.length()));
        if (limits.maxCharacters() > 0 && characters > limits.maxCharacters()) {
            return List.of(
                    error(texts, Phrase.of("check.length.characters", characters, limits.max()), List.of(), all));
        }
        if (limits.maxBytes() > 0 && bytes > limits.maxBytes()) {
            return List.of(error(texts, Phrase.of("check.length.bytes", bytes, limits.maxBytes()), List.of(), all));
        }
        if (limits.maxPixels() > 0) {
            return wide(texts, limits, all);
        }
        boolean counted = limits.unit().equals(Limits.CHARACTERS);
        return counted && characters < limits.min()
                ? List.of(error(texts, Phrase.of("check.length.least", characters, limits.min()), List.of(), all))
                : List.of();
    }

    /** In another font than the file's, nothing is said where the source does not fit either, since that one must be narrower. */
    private List<Finding> wide(Texts texts, Limits limits, List<Span> all) {
        Optional<PixelWidth> width = PixelWidth.of(texts.target(), limits);
        if (width.isEmpty() || width.get().pixels() <= limits.maxPixels()) {
            return List.of();
        }
        Phrase message = Phrase.of(
                "check.length.pixels",
                width.get().pixels(),
                limits.maxPixels(),
                width.get().font());
        if (width.get().certain()) {
            return List.of(error(texts, message, List.of(), all));
        }
        boolean sourceFits = PixelWidth.of(texts.source(), limits)
                .filter(source -> source.pixels() <= limits.maxPixels())
                .isPresent();
        return sourceFits ? List.of(warning(texts, message, List.of(), all)) : List.of();
    }

    /** A target that is much longer or shorter than any translation is. */
    private List<Finding> grown(Texts texts) {
        double source = weight(texts.source());
        double target = weight(texts.target());
        boolean tooLong = growth.most() > 0 && source >= SHORT && target > source * growth.most();
        boolean tooShort = source >= SHORT_TO_SHRINK && target < source * growth.least();
        if (!tooLong && !tooShort) {
            return List.of();
        }
        String key = tooLong ? "check.length.grown" : "check.length.shrunk";
        List<Span> all = List.of(new Span(0, texts.target().length()));
        return List.of(warning(texts, Phrase.of(key, Math.round(100 * target / source)), List.of(), all));
    }

    /** Characters, with those of scripts that say more in one counted for more. */
    private static double weight(String text) {
        double weight = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c < FIRST_DENSE) {
                weight++;
            } else if (Character.isIdeographic(c)) {
                weight += IDEOGRAPH;
            } else {
                Character.UnicodeScript script = Character.UnicodeScript.of(c);
                boolean syllable = script == Character.UnicodeScript.HANGUL
                        || script == Character.UnicodeScript.HIRAGANA
                        || script == Character.UnicodeScript.KATAKANA;
                weight += syllable ? SYLLABLE : 1;
            }
        }
        return weight;
    }
}
