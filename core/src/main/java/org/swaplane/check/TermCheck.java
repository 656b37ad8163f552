package org.swaplane.check;

import static org.swaplane.wording.Wording.say;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.compare.Span;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermIndex;

/** A term of the source whose target has none of the wordings that the term list prefers. */
final class TermCheck extends TextCheck {
    private final Terms terms;

    TermCheck(Terms terms) {
        super("term");
        this.terms = terms;
    }

    @Override
    List<Finding> find(Texts texts) {
        if (terms.isEmpty()) {
            return List.of();
        }
        List<Finding> findings = new ArrayList<>();
        for (TermIndex.Found found : terms.of(texts.segment()).bySource().find(texts.source())) {
            Term term = found.term();
            boolean asked = !term.preferred().isEmpty() && !term.isKept();
            if (asked && term.preferred().stream().noneMatch(each -> TermIndex.isIn(each, texts.target()))) {
                findings.add(warning(
                        texts,
                        say(
                                "check.term",
                                texts.source().substring(found.start(), found.end()),
                                String.join("\", \"", term.preferred())),
                        List.of(new Span(found.start(), found.end())),
                        List.of()));
            }
        }
        return findings;
    }
}
