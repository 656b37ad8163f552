package org.swaplane.check;

import java.util.List;
import org.swaplane.compare.Span;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermIndex;
import org.swaplane.wording.Phrase;

/** A term of the source whose target has none of the wordings that the term list prefers. */
final class TermCheck extends TermsCheck {
    TermCheck(Terms terms) {
        super("term", terms);
    }

    @Override
    void check(Texts texts, Term term, List<Span> source, List<Finding> findings) {
        boolean asked = !source.isEmpty() && !term.preferred().isEmpty() && !term.isKept();
        if (asked
                && term.preferred().stream()
                        .noneMatch(each -> TermIndex.isIn(
                                each, texts.target(), texts.segment().targetLanguage()))) {
            Phrase message = Phrase.of("check.term", written(texts, source), String.join("\", \"", term.preferred()));
            findings.add(warning(texts, message, source, List.of()));
        }
    }
}
