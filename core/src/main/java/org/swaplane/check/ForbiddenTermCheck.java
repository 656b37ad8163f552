package org.swaplane.check;

import java.util.List;
import org.swaplane.compare.Span;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermIndex;
import org.swaplane.wording.Phrase;

/** A wording in the target that the term list forbids for a term of the source, or for all. */
final class ForbiddenTermCheck extends TermsCheck {
    ForbiddenTermCheck(Terms terms) {
        super("forbidden-term", terms);
    }

    @Override
    void check(Texts texts, Term term, List<Span> source, List<Finding> findings) {
        String language = texts.segment().targetLanguage();
        for (String forbidden : term.forbidden()) {
            TermIndex.Found there = TermIndex.standing(forbidden, texts.target(), language);
            // 'boat' is forbidden, 'boat deck' is not.
            boolean within = there != null
                    && term.preferred().stream()
                            .anyMatch(each -> each.length() > forbidden.length()
                                    && each.contains(forbidden)
                                    && TermIndex.standing(each, texts.target(), language) != null);
            if (there != null && !within) {
                String written = texts.target().substring(there.start(), there.end());
                Phrase message = term.preferred().isEmpty()
                        ? Phrase.of("check.forbidden-term", written)
                        : Phrase.of("check.forbidden-term.instead", written, String.join("\", \"", term.preferred()));
                findings.add(error(texts, message, source, List.of(new Span(there.start(), there.end()))));
            }
        }
    }
}
