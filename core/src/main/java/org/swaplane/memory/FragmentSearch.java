package org.swaplane.memory;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.apache.lucene.analysis.tokenattributes.OffsetAttribute;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.PhraseQuery;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TermQuery;

/** Finds the longest run of words of a text that stands in the sources of a memory. */
final class FragmentSearch {
    /** Fewer words say little, and the search for words finds them. */
    private static final int LEAST = 3;

    /** Of a longer text, its begin is looked at. */
    private static final int MOST = 30;

    private final Analyzer analyzer;
    private final TermQuery pair;

    private record Word(String term, int start, int end, boolean known) {}

    FragmentSearch(Analyzer analyzer, String pair) {
        this.analyzer = analyzer;
        this.pair = new TermQuery(new Term(MemoryFields.PAIR, pair));
    }

    Optional<MemoryFragment> longest(IndexSearcher searcher, String text) throws IOException {
        List<Word> words = words(searcher, text);
        for (int length = words.size(); length >= LEAST; length--) {
            for (int from = 0; from + length <= words.size(); from++) {
                List<Word> part = words.subList(from, from + length);
                Optional<MemoryUnit> unit =
                        part.stream().allMatch(Word::known) ? unit(searcher, part) : Optional.empty();
                if (unit.isPresent()) {
                    String written = text.substring(
                            part.get(0).start(), part.get(length - 1).end());
                    return Optional.of(new MemoryFragment(written, length, unit.get()));
                }
            }
        }
        return Optional.empty();
    }

    private List<Word> words(IndexSearcher searcher, String text) throws IOException {
        List<Word> words = new ArrayList<>();
        try (TokenStream stream = analyzer.tokenStream(MemoryFields.SOURCE_TEXT, text)) {
            CharTermAttribute term = stream.addAttribute(CharTermAttribute.class);
            OffsetAttribute offset = stream.addAttribute(OffsetAttribute.class);
            stream.reset();
            while (stream.incrementToken() && words.size() < MOST) {
                boolean known =
                        searcher.getIndexReader().docFreq(new Term(MemoryFields.SOURCE_TEXT, term.toString())) > 0;
                words.add(new Word(term.toString(), offset.startOffset(), offset.endOffset(), known));
            }
            stream.end();
        }
        return words;
    }

    private Optional<MemoryUnit> unit(IndexSearcher searcher, List<Word> part) throws IOException {
        PhraseQuery phrase = new PhraseQuery(
                MemoryFields.SOURCE_TEXT, part.stream().map(Word::term).toArray(String[]::new));
        ScoreDoc[] hits = searcher.search(
                        new BooleanQuery.Builder()
                                .add(pair, BooleanClause.Occur.FILTER)
                                .add(phrase, BooleanClause.Occur.MUST)
                                .build(),
                        1)
                .scoreDocs;
        return hits.length == 0
                ? Optional.empty()
                : Optional.of(MemoryFields.unit(searcher.storedFields().document(hits[0].doc)));
    }
}
