package org.swaplane.check;

import static org.swaplane.wording.Wording.say;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.compare.Span;
import org.swaplane.terms.TermIndex;

/** A name of the source that stays as it is in every language, and is missing in the target. */
final class KeptTextCheck extends TextCheck {
    private final Terms terms;

    KeptTextCheck(Terms terms) {
        super("keep-as-is");
        this.terms = terms;
    }

    @Override
    List<Finding> find(Texts texts) {
        if (terms.isEmpty()) {
            return List.of();
        }
        List<Finding> findings = new ArrayList<>();
        for (TermIndex.Found found : terms.of(texts.segment()).bySource().find(texts.source())) {
            String text = found.term().source();
            boolean written = texts.source().startsWith(text, found.start());
            if (found.term().isKept() && written && !texts.target().contains(text)) {
                List<Span> there = List.of(new Span(found.start(), found.start() + text.length()));
                findings.add(error(texts, say("check.keep-as-is", text), there, List.of()));
            }
        }
        return findings;
    }
}
