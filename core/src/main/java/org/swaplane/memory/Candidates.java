package org.swaplane.memory;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.lucene.index.BinaryDocValues;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.NumericDocValues;
import org.apache.lucene.index.ReaderUtil;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.TopScoreDocCollectorManager;
import org.swaplane.compare.EditDistance;
import org.swaplane.compare.Symbols;
import org.swaplane.content.Content;

/**
 * Finds the units of a memory that resemble a text: of those that share its rarest words or pieces and have about its length, the ones that
 * are similar enough. Only these are read from disk as a whole.
 */
final class Candidates {
    /** What is rare says most and is found fastest; a text that is alike shares some of it. */
    private static final int MOST_WORDS = 8;

    private static final int MOST_PIECES = 14;
    private static final int MOST = 80;
    /** So many terms are always looked for, and more while all of them are in few texts: so many, or such a share of all. */
    private static final int FEW = 6;

    private static final int TEXTS = 50_000;
    private static final int SHARE = 8;

    /** So many are found for those that are far too long or too short to be left out. */
    private static final int MOST_OF_ANY_LENGTH = 3 * MOST;

    private final IndexSearcher searcher;
    private final Query pair;
    private final boolean isOnlyPair;
    private final int[] symbols;
    private final int least;
    private final Map<Integer, Integer> similarities = new HashMap<>();

    private record Counted(Term term, int count) {}

    /** {@code least} is the similarity in percent below which a unit does not resemble the text. */
    Candidates(IndexSearcher searcher, String languages, Content source, int least) throws IOException {
        this.searcher = searcher;
        Term term = new Term(MemoryFields.PAIR, languages);
        this.pair = new TermQuery(term);
        IndexReader reader = searcher.getIndexReader();
        this.isOnlyPair = reader.docFreq(term) == reader.maxDoc();
        this.symbols = Symbols.of(source, source);
        this.least = least;
    }

    /** The documents that resemble it, by their similarity in percent. */
    Map<Integer, Integer> similarities() {
        return similarities;
    }

    int best() {
        return similarities.values().stream().mapToInt(each -> each).max().orElse(0);
    }

    void exactly(Content source, int most) throws IOException {
        Term exact = new Term(MemoryFields.EXACT, MemoryFields.exact(source));
        measure(search(new TermQuery(exact), most), most);
    }

    void withWords(Content source) throws IOException {
        alike(MemoryFields.WORDS, MemoryFields.words(source), MOST_WORDS);
    }

    void withPieces(Content source) throws IOException {
        alike(MemoryFields.PIECES, MemoryFields.pieces(source), MOST_PIECES);
    }

    private void alike(String field, Set<String> wanted, int mostTerms) throws IOException {
        BooleanQuery.Builder shared = new BooleanQuery.Builder();
        rarest(field, wanted, mostTerms).forEach(term -> shared.add(new TermQuery(term), BooleanClause.Occur.SHOULD));
        measure(search(shared.build(), MOST_OF_ANY_LENGTH), MOST);
    }

    private int[] search(Query query, int most) throws IOException {
        Query inPair = isOnlyPair
                ? query
                : new BooleanQuery.Builder()
                        .add(pair, BooleanClause.Occur.FILTER)
                        .add(query, BooleanClause.Occur.MUST)
                        .build();
        // How many there are does not matter, so the search may stop early.
        ScoreDoc[] hits = searcher.search(inPair, new TopScoreDocCollectorManager(most, null, most)).scoreDocs;
        return Arrays.stream(hits).mapToInt(hit -> hit.doc).toArray();
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
        counted.sort(Comparator.comparingInt(Counted::count));
        List<Term> rarest = new ArrayList<>();
        long documents = 0;
        for (Counted each : counted) {
            documents += each.count();
            // What most texts have says little, and takes the longest.
            if (rarest.size() == most || rarest.size() >= FEW && documents > most(reader)) {
                break;
            }
            rarest.add(each.term());
        }
        return rarest;
    }

    private static long most(IndexReader reader) {
        return Math.max(TEXTS, reader.maxDoc() / SHARE);
    }

    /** Compares the first of these documents that have about the length. */
    private void measure(int[] documents, int most) throws IOException {
        Map<Integer, Integer> ranks = new HashMap<>();
        for (int i = 0; i < documents.length; i++) {
            ranks.put(documents[i], i);
        }
        int[] inOrder = documents.clone();
        Arrays.sort(inOrder);
        List<Integer> fitting = new ArrayList<>();
        forEachLeaf(inOrder, (leaf, document) -> {
            if (!similarities.containsKey(document) && isAboutAsLong(leaf, document)) {
                fitting.add(document);
            }
        });
        int[] first = fitting.stream()
                .sorted(Comparator.comparing(ranks::get))
                .limit(most)
                .mapToInt(each -> each)
                .sorted()
                .toArray();
        forEachLeaf(first, (leaf, document) -> {
            Content other = source(leaf, document);
            int similarity = EditDistance.similarity(Symbols.of(other, other), symbols, least);
            if (similarity >= least) {
                similarities.put(document, similarity);
            }
        });
    }

    private boolean isAboutAsLong(Leaf leaf, int document) throws IOException {
        if (leaf.lengths == null || !leaf.lengths.advanceExact(document - leaf.base)) {
            return true;
        }
        long length = leaf.lengths.longValue();
        return length * 100 >= (long) symbols.length * least && length * least <= symbols.length * 100L;
    }

    private Content source(Leaf leaf, int document) throws IOException {
        // Earlier versions stored it among the rest only.
        return leaf.sources != null && leaf.sources.advanceExact(document - leaf.base)
                ? MemoryFields.source(leaf.sources.binaryValue().utf8ToString())
                : MemoryFields.unit(searcher.storedFields().document(document)).source();
    }

    /** What can be read of documents one after the other. */
    private static final class Leaf {
        private final int base;
        private final BinaryDocValues sources;
        private final NumericDocValues lengths;

        Leaf(LeafReaderContext context) throws IOException {
            base = context.docBase;
            sources = context.reader().getBinaryDocValues(MemoryFields.COMPARED);
            lengths = context.reader().getNumericDocValues(MemoryFields.SYMBOLS);
        }
    }

    private interface Visit {
        void document(Leaf leaf, int document) throws IOException;
    }

    /** {@code documents} are rising. */
    private void forEachLeaf(int[] documents, Visit visit) throws IOException {
        List<LeafReaderContext> leaves = searcher.getIndexReader().leaves();
        int at = -1;
        Leaf leaf = null;
        for (int document : documents) {
            int index = ReaderUtil.subIndex(document, leaves);
            if (index != at) {
                at = index;
                leaf = new Leaf(leaves.get(index));
            }
            visit.document(leaf, document);
        }
    }
}
