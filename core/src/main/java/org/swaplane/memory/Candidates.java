package org.swaplane.memory;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.lucene.document.IntPoint;
import org.apache.lucene.document.SortedNumericDocValuesField;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexOrDocValuesQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TermQuery;
import org.swaplane.compare.Symbols;
import org.swaplane.content.Content;

/** Finds the units of a memory that may resemble a text: those that share its rarest words or pieces and have about its length. */
final class Candidates {
    /** What is rare says most and is found fastest; a text that is alike shares some of it. */
    private static final int MOST_WORDS = 8;

    private static final int MOST_PIECES = 14;

    private final IndexSearcher searcher;
    private final Query pair;

    private record Counted(Term term, int count) {}

    Candidates(IndexSearcher searcher, Query pair) {
        this.searcher = searcher;
        this.pair = pair;
    }

    void exactly(Content source, int most, Map<Integer, MemoryUnit> found) throws IOException {
        Term exact = new Term(MemoryFields.EXACT, MemoryFields.exact(source));
        collect(
                searcher,
                filtered(new TermQuery(exact), BooleanClause.Occur.FILTER).build(),
                most,
                found);
    }

    void withWords(Content source, int least, int most, Map<Integer, MemoryUnit> found) throws IOException {
        alike(MemoryFields.WORDS, MemoryFields.words(source), MOST_WORDS, source, least, most, found);
    }

    void withPieces(Content source, int least, int most, Map<Integer, MemoryUnit> found) throws IOException {
        alike(MemoryFields.PIECES, MemoryFields.pieces(source), MOST_PIECES, source, least, most, found);
    }

    private void alike(
            String field,
            Set<String> wanted,
            int mostTerms,
            Content source,
            int least,
            int most,
            Map<Integer, MemoryUnit> found)
            throws IOException {
        BooleanQuery.Builder shared = new BooleanQuery.Builder();
        rarest(field, wanted, mostTerms).forEach(term -> shared.add(new TermQuery(term), BooleanClause.Occur.SHOULD));
        int length = Symbols.of(source, source).length;
        int shortest = length * least / 100;
        int longest = (length * 100 + least - 1) / Math.max(1, least);
        Query aboutAsLong = new IndexOrDocValuesQuery(
                IntPoint.newRangeQuery(MemoryFields.LENGTH, shortest, longest),
                SortedNumericDocValuesField.newSlowRangeQuery(MemoryFields.LENGTH, shortest, longest));
        BooleanQuery.Builder query =
                filtered(shared.build(), BooleanClause.Occur.MUST).add(aboutAsLong, BooleanClause.Occur.FILTER);
        collect(searcher, query.build(), most, found);
    }

    private BooleanQuery.Builder filtered(Query query, BooleanClause.Occur occur) {
        return new BooleanQuery.Builder().add(pair, BooleanClause.Occur.FILTER).add(query, occur);
    }

    private List<Term> rarest(String field, Collection<String> wanted, int most) throws IOException {
        IndexReader reader = searcher.getIndexReader();
        List<Counted> counted = new ArrayList<>();
        for (String each : wanted) {
            Term term = new Term(field, each);
            int count = reader.docFreq(term);
            if (count > 0) {
                counted.add(new Counted(term, count));
            }
        }
        return counted.stream()
                .sorted(Comparator.comparingInt(Counted::count))
                .limit(most)
                .map(Counted::term)
                .toList();
    }

    static void collect(IndexSearcher searcher, Query query, int most, Map<Integer, MemoryUnit> found)
            throws IOException {
        for (ScoreDoc hit : searcher.search(query, most).scoreDocs) {
            if (!found.containsKey(hit.doc)) {
                found.put(hit.doc, MemoryFields.unit(searcher.storedFields().document(hit.doc)));
            }
        }
    }
}
