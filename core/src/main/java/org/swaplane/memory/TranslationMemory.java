package org.swaplane.memory;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.core.WhitespaceAnalyzer;
import org.apache.lucene.analysis.miscellaneous.PerFieldAnalyzerWrapper;
import org.apache.lucene.analysis.standard.StandardAnalyzer;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.IntPoint;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.PhraseQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.store.Directory;
import org.apache.lucene.store.FSDirectory;
import org.apache.lucene.store.LockObtainFailedException;
import org.apache.lucene.util.Bits;
import org.apache.lucene.util.QueryBuilder;
import org.swaplane.compare.EditDistance;
import org.swaplane.compare.Symbols;
import org.swaplane.content.Content;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/**
 * A memory in a folder: one that writes, and any number that read what was committed. What is committed stands on disk, also after a kill.
 */
public final class TranslationMemory implements AutoCloseable {
    private static final String INDEX = "index";
    private static final int CANDIDATES = 200;
    private static final int GOOD = 90;
    private static final int MOST_EXACT = 50;
    private static final int MOST_WORDS = 60;
    private static final int SEVERAL_TARGETS = 1;
    private static final int OTHER_REGION = 1;

    private final Path folder;
    private final Directory directory;
    private final IndexWriter writer;
    private DirectoryReader reader;

    private TranslationMemory(Path folder, Directory directory, IndexWriter writer, DirectoryReader reader) {
        this.folder = folder;
        this.directory = directory;
        this.writer = writer;
        this.reader = reader;
    }

    private static Analyzer analyzer() {
        return new PerFieldAnalyzerWrapper(
                new StandardAnalyzer(),
                Map.of(MemoryFields.WORDS, new WhitespaceAnalyzer(), MemoryFields.PIECES, new WhitespaceAnalyzer()));
    }

    /**
     * Opens a memory to write into it; makes it where there is none.
     *
     * @throws CannotProceedException when another program writes into it
     */
    public static TranslationMemory openForWriting(Path folder) throws IOException {
        Files.createDirectories(folder.resolve(INDEX));
        Directory directory = FSDirectory.open(folder.resolve(INDEX));
        try {
            IndexWriter writer = new IndexWriter(directory, new IndexWriterConfig(analyzer()));
            writer.commit();
            return new TranslationMemory(folder, directory, writer, DirectoryReader.open(directory));
        } catch (LockObtainFailedException e) {
            directory.close();
            throw new CannotProceedException(
                    new CannotProceedException.Place(folder.toString(), 0, 0), Phrase.of("problem.memory-in-use"), e);
        }
    }

    /** @throws CannotProceedException when there is none in the folder */
    public static TranslationMemory open(Path folder) throws IOException {
        if (!Files.isDirectory(folder.resolve(INDEX))) {
            throw new CannotProceedException(folder.toString(), "problem.no-memory");
        }
        Directory directory = FSDirectory.open(folder.resolve(INDEX));
        return new TranslationMemory(folder, directory, null, DirectoryReader.open(directory));
    }

    /** Adds a unit, in place of the same pair of texts. */
    public void add(MemoryUnit unit) throws IOException {
        writer.updateDocument(new Term(MemoryFields.ID, unit.id()), MemoryFields.document(unit));
    }

    /** What was added is there for everybody from now on. */
    public void commit() throws IOException {
        writer.commit();
        DirectoryReader newer = DirectoryReader.openIfChanged(reader);
        if (newer != null) {
            reader.close();
            reader = newer;
        }
    }

    public String name() {
        return folder.toAbsolutePath().normalize().getFileName().toString();
    }

    /** How many pairs of source and target. */
    public int size() {
        return reader.numDocs();
    }

    /** Hands over every unit. */
    public void forEach(Consumer<MemoryUnit> each) throws IOException {
        for (LeafReaderContext leaf : reader.leaves()) {
            Bits live = leaf.reader().getLiveDocs();
            for (int i = 0; i < leaf.reader().maxDoc(); i++) {
                if (live == null || live.get(i)) {
                    each.accept(MemoryFields.unit(leaf.reader().storedFields().document(i)));
                }
            }
        }
    }

    /** Units by pair of languages, such as {@code en-GB>de-DE}. */
    public Map<String, Integer> languages() throws IOException {
        Map<String, Integer> languages = new TreeMap<>();
        forEach(unit -> languages.merge(unit.sourceLanguage() + '>' + unit.targetLanguage(), 1, Integer::sum));
        return languages;
    }

    /**
     * What there is for a source, best first: by kind, then score, then the newest.
     *
     * @param context where the source stands; unknown for a text alone
     * @param least score in percent
     */
    public List<MemoryMatch> lookup(
            String sourceLanguage,
            String targetLanguage,
            Content source,
            MemoryUnit.Context context,
            int least,
            int top)
            throws IOException {
        int[] symbols = Symbols.of(source, source);
        if (symbols.length == 0) {
            return List.of();
        }
        IndexSearcher searcher = new IndexSearcher(reader);
        Query pair = new TermQuery(new Term(MemoryFields.PAIR, MemoryFields.pair(sourceLanguage, targetLanguage)));
        Map<Integer, MemoryUnit> found = new LinkedHashMap<>();
        collect(searcher, exactly(source, pair), MOST_EXACT, found);
        if (least < EditDistance.SAME || found.isEmpty()) {
            collect(
                    searcher,
                    alike(MemoryFields.WORDS, MemoryFields.words(source), symbols.length, pair, least),
                    CANDIDATES,
                    found);
            // One that is nearly the same shares its words; only where there is none, pieces of words are looked for.
            if (best(found.values(), symbols) < GOOD) {
                collect(
                        searcher,
                        alike(MemoryFields.PIECES, MemoryFields.pieces(source), symbols.length, pair, least),
                        CANDIDATES,
                        found);
            }
        }
        Set<String> targets = new HashSet<>();
        found.values().stream()
                .filter(unit -> Symbols.numbered(unit.source()).equals(Symbols.numbered(source)))
                .forEach(unit -> targets.add(unit.targetWritten()));
        List<MemoryMatch> matches = new ArrayList<>();
        for (MemoryUnit unit : found.values()) {
            MemoryMatch match = scored(unit, symbols, context, sourceLanguage, targetLanguage, targets.size(), least);
            if (match.score() >= least) {
                matches.add(match);
            }
        }
        matches.sort(Comparator.comparing(MemoryMatch::kind)
                .thenComparing(Comparator.comparingInt(MemoryMatch::score).reversed())
                .thenComparing((MemoryMatch match) -> match.unit().changed(), Comparator.reverseOrder())
                .thenComparing(match -> match.unit().targetWritten()));
        return List.copyOf(matches.subList(0, Math.min(top, matches.size())));
    }

    private static int best(Collection<MemoryUnit> units, int[] symbols) {
        return units.stream()
                .mapToInt(unit -> EditDistance.similarity(Symbols.of(unit.source(), unit.source()), symbols, GOOD))
                .max()
                .orElse(0);
    }

    private static Query exactly(Content source, Query pair) {
        return new BooleanQuery.Builder()
                .add(pair, BooleanClause.Occur.FILTER)
                .add(
                        new TermQuery(new Term(MemoryFields.EXACT, MemoryFields.exact(source))),
                        BooleanClause.Occur.FILTER)
                .build();
    }

    /** Texts of about the length that share words; no other one can be similar enough. */
    private static Query alike(String field, Set<String> wanted, int length, Query pair, int least) {
        BooleanQuery.Builder query = new BooleanQuery.Builder()
                .add(pair, BooleanClause.Occur.FILTER)
                .add(
                        IntPoint.newRangeQuery(
                                MemoryFields.LENGTH,
                                length * least / 100,
                                (length * 100 + least - 1) / Math.max(1, least)),
                        BooleanClause.Occur.FILTER);
        BooleanQuery.Builder shared = new BooleanQuery.Builder();
        wanted.stream()
                .limit(MOST_WORDS)
                .forEach(word -> shared.add(new TermQuery(new Term(field, word)), BooleanClause.Occur.SHOULD));
        return query.add(shared.build(), BooleanClause.Occur.MUST).build();
    }

    private static void collect(IndexSearcher searcher, Query query, int most, Map<Integer, MemoryUnit> found)
            throws IOException {
        for (ScoreDoc hit : searcher.search(query, most).scoreDocs) {
            if (!found.containsKey(hit.doc)) {
                Document document = searcher.storedFields().document(hit.doc);
                found.put(hit.doc, MemoryFields.unit(document));
            }
        }
    }

    private static MemoryMatch scored(
            MemoryUnit unit,
            int[] symbols,
            MemoryUnit.Context context,
            String sourceLanguage,
            String targetLanguage,
            int targets,
            int least) {
        int similarity = EditDistance.similarity(Symbols.of(unit.source(), unit.source()), symbols, least);
        boolean same = similarity == EditDistance.SAME;
        if (same && unit.context().matches(context)) {
            return new MemoryMatch(MemoryMatch.Kind.CONTEXT, similarity, Map.of(), unit);
        }
        Map<String, Integer> penalties = new LinkedHashMap<>();
        if (same && targets > 1) {
            penalties.put("several-targets", SEVERAL_TARGETS);
        }
        boolean sameRegion = unit.sourceLanguage().equalsIgnoreCase(sourceLanguage)
                && unit.targetLanguage().equalsIgnoreCase(targetLanguage);
        if (!sameRegion) {
            penalties.put("region", OTHER_REGION);
        }
        int score = similarity
                - penalties.values().stream().mapToInt(Integer::intValue).sum();
        return new MemoryMatch(same ? MemoryMatch.Kind.EXACT : MemoryMatch.Kind.FUZZY, score, penalties, unit);
    }

    /** Units with words in their sources or targets; as a phrase where they follow each other, those first. */
    public List<MemoryUnit> find(String words, boolean inTarget, int most) throws IOException {
        String field = inTarget ? MemoryFields.TARGET_TEXT : MemoryFields.SOURCE_TEXT;
        QueryBuilder builder = new QueryBuilder(analyzer());
        Query all = builder.createBooleanQuery(field, words, BooleanClause.Occur.MUST);
        if (all == null) {
            return List.of();
        }
        BooleanQuery.Builder query = new BooleanQuery.Builder().add(all, BooleanClause.Occur.MUST);
        Query phrase = builder.createPhraseQuery(field, words);
        if (phrase instanceof PhraseQuery) {
            query.add(phrase, BooleanClause.Occur.SHOULD);
        }
        Map<Integer, MemoryUnit> found = new LinkedHashMap<>();
        collect(new IndexSearcher(reader), query.build(), most, found);
        return List.copyOf(found.values());
    }

    /** What was added and not committed is committed. */
    @Override
    public void close() throws IOException {
        try {
            reader.close();
            if (writer != null) {
                writer.close();
            }
        } finally {
            directory.close();
        }
    }
}
