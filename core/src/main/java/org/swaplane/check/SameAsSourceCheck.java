package org.swaplane.check;

import static org.swaplane.wording.Wording.say;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.placeholder.Addresses;
import org.swaplane.placeholder.Placeholders;

/** A target that is the source again, unless there is no word in it that could be translated. */
final class SameAsSourceCheck implements Check {
    private static final Pattern WORD = Pattern.compile("(?<![\\p{L}\\p{N}-])\\p{L}{2,}+(?![\\p{N}-])");

    private final Placeholders placeholders;

    SameAsSourceCheck(Placeholders placeholders) {
        this.placeholders = placeholders;
    }

    @Override
    public String id() {
        return "same-as-source";
    }

    @Override
    public List<Finding> check(CheckedSegment segment) {
        String source = segment.sourceText();
        String target = segment.targetText();
        if (!source.equals(target) || !translatable(source)) {
            return List.of();
        }
        List<Span> all = List.of(new Span(0, source.length()));
        return List.of(
                Finding.in(segment, id(), Severity.WARNING, say("check.same-as-source"), all, all, Optional.empty()));
    }

    private boolean translatable(String text) {
        String rest = Addresses.mask(placeholders.mask(text, ' '), ' ');
        Matcher word = WORD.matcher(rest);
        while (word.find()) {
            boolean measures = word.start() > 1
                    && rest.substring(0, word.start()).matches("(?s).*\\p{Nd}[\\s\u00A0]?")
                    && UnitSymbols.isOne(word.group());
            if (!measures) {
                return true;
            }
        }
        return false;
    }
}
