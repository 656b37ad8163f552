package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.compare.Span;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermIndex;

/** A check of what the term lists say of the terms that the source holds. */
abstract class TermsCheck extends TextCheck {
    private final Terms terms;

    TermsCheck(String id, Terms terms) {
        super(id);
        this.terms = terms;
    }

    @Override
    final List<Finding> find(Texts texts) {
        if (terms.isEmpty()) {
            return List.of();
        }
        Terms.Between between = terms.of(texts.segment());
        List<Finding> findings = new ArrayList<>();
        for (TermIndex.Found found : between.bySource().find(texts.source())) {
            check(texts, found.term(), List.of(new Span(found.start(), found.end())), findings);
        }
        between.alone().forEach(term -> check(texts, term, List.of(), findings));
        return findings;
    }

    /** Adds what is wrong about a term; {@code source} is where it stands, nowhere for one that holds whatever the source says. */
    abstract void check(Texts texts, Term term, List<Span> source, List<Finding> findings);

    /** The term as the source writes it. */
    static String written(Texts texts, List<Span> source) {
        return texts.source().substring(source.get(0).start(), source.get(0).end());
    }
}
