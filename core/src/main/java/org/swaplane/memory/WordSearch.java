package org.swaplane.memory;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.PhraseQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.QueryBuilder;
import org.swaplane.terms.Stems;

/** Finds units by the words of one side, also in other forms of them where the language has a stemmer; those that follow each other come first. */
final class WordSearch {
    private static final int MOST_FORMS = 60;
    private static final int SHORT = 3;

    private final Analyzer analyzer;
    private final String field;
    private final Optional<Stems> stems;
    private final Optional<String> pair;

    /**
     * @param language of that side, a subtag; empty where it is not known
     * @param pair of languages as the index has it; empty for all
     */
    WordSearch(Analyzer analyzer, String field, String language, Optional<String> pair) {
        this.analyzer = analyzer;
        this.field = field;
        this.stems = Stems.of(language);
        this.pair = pair;
    }

    List<MemoryUnit> find(IndexSearcher searcher, String words, int most) throws IOException {
        BooleanQuery.Builder query = new BooleanQuery.Builder();
        Set<String> wanted = tokens(words);
        if (wanted.isEmpty()) {
            return List.of();
        }
        for (String word : wanted) {
            query.add(anyForm(searcher.getIndexReader(), word), BooleanClause.Occur.MUST);
        }
        pair.ifPresent(languages ->
                query.add(new TermQuery(new Term(MemoryFields.PAIR, languages)), BooleanClause.Occur.FILTER));
        Query phrase = new QueryBuilder(analyzer).createPhraseQuery(field, words);
        if (phrase instanceof PhraseQuery) {
            query.add(phrase, BooleanClause.Occur.SHOULD);
        }
        List<MemoryUnit> found = new ArrayList<>();
        for (ScoreDoc hit : searcher.search(query.build(), most).scoreDocs) {
            found.add(MemoryFields.unit(searcher.storedFields().document(hit.doc)));
        }
        return List.copyOf(found);
    }

    private Set<String> tokens(String words) throws IOException {
        Set<String> tokens = new LinkedHashSet<>();
        try (TokenStream stream = analyzer.tokenStream(field, words)) {
            CharTermAttribute term = stream.addAttribute(CharTermAttribute.class);
            stream.reset();
            while (stream.incrementToken()) {
                tokens.add(term.toString());
            }
            stream.end();
        }
        return tokens;
    }

    /** The word as it is counts more than another form of it. */
    private Query anyForm(IndexReader reader, String word) throws IOException {
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        any.add(new TermQuery(new Term(field, word)), BooleanClause.Occur.SHOULD);
        if (stems.isPresent()) {
            for (String form : forms(reader, word, stems.get())) {
                any.add(new TermQuery(new Term(field, form)), BooleanClause.Occur.SHOULD);
            }
        }
        return any.build();
    }

    /** Words of the index with the stem of a word. Endings differ, so they begin alike. */
    private Set<String> forms(IndexReader reader, String word, Stems language) throws IOException {
        Set<String> forms = new LinkedHashSet<>();
        String stem = language.stem(word);
        if (stem.length() < SHORT || word.length() < SHORT) {
            return forms;
        }
        // Of the word: a stem may have its letters without their marks.
        String begin = word.substring(0, Math.max(SHORT, Math.min(word.length(), stem.length()) - 2));
        for (LeafReaderContext leaf : reader.leaves()) {
            Terms terms = leaf.reader().terms(field);
            TermsEnum each = terms == null ? TermsEnum.EMPTY : terms.iterator();
            if (each.seekCeil(new BytesRef(begin)) == TermsEnum.SeekStatus.END) {
                continue;
            }
            for (BytesRef at = each.term(); at != null && forms.size() < MOST_FORMS; at = each.next()) {
                String form = at.utf8ToString();
                if (!form.startsWith(begin)) {
                    break;
                }
                if (!form.equals(word) && language.stem(form).equals(stem)) {
                    forms.add(form);
                }
            }
        }
        return forms;
    }
}
