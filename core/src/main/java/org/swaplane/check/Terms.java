package org.swaplane.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermIndex;
import org.swaplane.terms.TermList;

/** The terms of all lists, ready for each pair of languages. */
final class Terms {
    private final List<TermList> lists;
    private final List<String> kept;
    private final Map<String, Between> between = new ConcurrentHashMap<>();

    /**
     * The terms of one pair of languages.
     *
     * @param bySource those with a source
     * @param alone forbidden whatever the source says
     */
    record Between(TermIndex bySource, List<Term> alone) {}

    /** {@code kept} are texts that stay as they are in all languages. */
    Terms(List<TermList> lists, List<String> kept) {
        this.lists = List.copyOf(lists);
        this.kept = List.copyOf(kept);
    }

    boolean isEmpty() {
        return lists.isEmpty() && kept.isEmpty();
    }

    Between of(CheckedSegment segment) {
        return between.computeIfAbsent(
                segment.sourceLanguage() + ' ' + segment.targetLanguage(),
                none -> read(segment.sourceLanguage(), segment.targetLanguage()));
    }

    private Between read(String source, String target) {
        List<Term> terms = new ArrayList<>();
        List<Term> alone = new ArrayList<>();
        for (TermList list : lists) {
            list.between(source, target).forEach(term -> (term.source().isEmpty() ? alone : terms).add(term));
        }
        kept.forEach(text -> terms.add(new Term(text, List.of(text), List.of())));
        return new Between(new TermIndex(terms, source), List.copyOf(alone));
    }
}
