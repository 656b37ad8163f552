package org.swaplane.check;

import java.util.List;
import org.swaplane.compare.Span;
import org.swaplane.terms.Term;
import org.swaplane.wording.Phrase;

/** A name of the source that stays as it is in every language, and is missing in the target. */
final class KeptTextCheck extends TermsCheck {
    KeptTextCheck(Terms terms) {
        super("keep-as-is", terms);
    }

    @Override
    void check(Texts texts, Term term, List<Span> source, List<Finding> findings) {
        boolean kept = !source.isEmpty() && term.isKept();
        if (kept
                && written(texts, source).startsWith(term.source())
                && !texts.target().contains(term.source())) {
            findings.add(error(texts, Phrase.of("check.keep-as-is", term.source()), source, List.of()));
        }
    }
}
