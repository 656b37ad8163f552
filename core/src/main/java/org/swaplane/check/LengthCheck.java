package org.swaplane.check;

import static org.swaplane.wording.Wording.say;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.swaplane.compare.Span;
import org.swaplane.document.Limits;

/** A target that is longer or shorter than the file allows. */
final class LengthCheck extends TextCheck {
    LengthCheck() {
        super("length");
    }

    @Override
    List<Finding> find(Texts texts) {
        Limits limits = texts.segment().segment().limits();
        if (limits.isNone()) {
            return List.of();
        }
        String target = texts.target();
        int characters = target.codePointCount(0, target.length());
        int bytes = target.getBytes(StandardCharsets.UTF_8).length;
        List<Span> all = List.of(new Span(0, target.length()));
        if (limits.maxCharacters() > 0 && characters > limits.maxCharacters()) {
            return List.of(error(texts, say("check.length.characters", characters, limits.max()), List.of(), all));
        }
        if (limits.maxBytes() > 0 && bytes > limits.maxBytes()) {
            return List.of(error(texts, say("check.length.bytes", bytes, limits.maxBytes()), List.of(), all));
        }
        boolean counted = limits.unit().equals(Limits.CHARACTERS);
        return counted && characters < limits.min()
                ? List.of(error(texts, say("check.length.least", characters, limits.min()), List.of(), all))
                : List.of();
    }
}
