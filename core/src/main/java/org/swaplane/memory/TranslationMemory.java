package org.swaplane.memory;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.standard.StandardAnalyzer;
import org.apache.lucene.index.ConcurrentMergeScheduler;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.StoredFields;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.SearcherManager;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.store.Directory;
import org.apache.lucene.store.FSDirectory;
import org.apache.lucene.store.LockObtainFailedException;
import org.apache.lucene.util.Bits;
import org.apache.lucene.util.BytesRef;
import org.swaplane.compare.EditDistance;
import org.swaplane.compare.Symbols;
import org.swaplane.content.Content;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Closing;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/**
 * A memory in a folder: one that writes, and any number that read what was committed. What is committed stands on disk, also after a kill.
 */
public final class TranslationMemory implements AutoCloseable {
    private static final String INDEX = "index";
    private static final String MARK = "mark";
    private static final double BUFFER_MEGABYTES = 64;
    private static final int GOOD = 90;
    private static final int MOST_EXACT = 50;

    private final Path folder;
    private final Directory directory;
    private final IndexWriter writer;
    private final SearcherManager searchers;
    private final Holdings holdings;

    /** Takes units one after the other. */
    public interface Each {
        void unit(MemoryUnit unit) throws IOException;
    }

    private interface Work<T> {
        T with(IndexSearcher searcher) throws IOException;
    }

    private TranslationMemory(Path folder, Directory directory, IndexWriter writer) throws IOException {
        this.folder = folder;
        this.directory = directory;
        this.writer = writer;
        this.searchers = new SearcherManager(directory, null);
        this.holdings = new Holdings(writer);
    }

    /** What is searched is what was committed when it began. */
    private <T> T search(Work<T> work) throws IOException {
        IndexSearcher searcher = searchers.acquire();
        try {
            return work.with(searcher);
        } finally {
            searchers.release(searcher);
        }
    }

    private static Analyzer analyzer() {
        return new StandardAnalyzer();
    }

    /**
     * Opens a memory to write into it; makes it where there is none.
     *
     * @throws CannotProceedException when another program writes into it, or it is not whole, or the folder holds other things
     */
    public static TranslationMemory openForWriting(Path folder) throws IOException {
        MemoryFolder there = new MemoryFolder(folder);
        there.requireWritable();
        Files.createDirectories(folder.resolve(INDEX));
        Directory directory = FSDirectory.open(folder.resolve(INDEX));
        try {
            return opened(folder, directory, new IndexWriter(directory, configuration()));
        } catch (LockObtainFailedException e) {
            Closing.after(e, directory);
            throw new CannotProceedException(
                    new CannotProceedException.Place(folder.toString(), 0, 0), Phrase.of("problem.memory-in-use"), e);
        } catch (IOException e) {
            Closing.after(e, directory);
            throw there.explained(e);
        } catch (RuntimeException e) {
            Closing.after(e, directory);
            throw e;
        }
    }

    /** Takes the writer over; closes it where that fails. */
    private static TranslationMemory opened(Path folder, Directory directory, IndexWriter writer) throws IOException {
        try {
            writer.commit();
            return new TranslationMemory(folder, directory, writer);
        } catch (IOException | RuntimeException e) {
            Closing.after(e, writer::rollback);
            throw e;
        }
    }

    /** Whether there is a memory in a folder that can be reached now. */
    public static boolean isThere(Path folder) {
        return Files.isDirectory(folder.resolve(INDEX));
    }

    private static IndexWriterConfig configuration() {
        ConcurrentMergeScheduler merges = new ConcurrentMergeScheduler();
        // Whoever imports waits for it; a disk of today needs no pauses.
        merges.disableAutoIOThrottle();
        return new IndexWriterConfig(analyzer())
                .setRAMBufferSizeMB(BUFFER_MEGABYTES)
                .setUseCompoundFile(false)
                .setMergeScheduler(merges);
    }

    /**
     * The memory that somebody means who chose a folder: the one in it, or around it.
     *
     * @throws CannotProceedException when the folder holds other things
     */
    public static Path chosen(Path folder) throws IOException {
        Path path = folder.toAbsolutePath().normalize();
        Path outer = path.getParent();
        if (path.endsWith(INDEX) && outer != null && isIndex(path)) {
            return outer;
        }
        if (Files.isDirectory(path) && !Files.isDirectory(path.resolve(INDEX))) {
            try (Stream<Path> files = Files.list(path)) {
                if (files.findAny().isPresent()) {
                    throw new CannotProceedException(folder.toString(), "problem.no-memory-folder");
                }
            }
        }
        return path;
    }

    private static boolean isIndex(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            return false;
        }
        try (Directory directory = FSDirectory.open(folder)) {
            return DirectoryReader.indexExists(directory);
        }
    }

    /** @throws CannotProceedException when there is none in the folder */
    public static TranslationMemory open(Path folder) throws IOException {
        if (!isThere(folder)) {
            throw new CannotProceedException(folder.toString(), "problem.no-memory");
        }
        Directory directory = FSDirectory.open(folder.resolve(INDEX));
        try {
            return new TranslationMemory(folder, directory, null);
        } catch (IOException e) {
            Closing.after(e, directory);
            throw new MemoryFolder(folder).explained(e);
        } catch (RuntimeException e) {
            Closing.after(e, directory);
            throw e;
        }
    }

    /** Adds a unit, in place of the same pair of texts; whoever holds that goes on holding it. */
    public void add(MemoryUnit unit) throws IOException {
        if (holdings.isAnyHeld()) {
            holdings.add(unit);
        } else {
            writer.updateDocument(new Term(MemoryFields.ID, unit.id()), MemoryFields.document(unit, unit.id()));
            holdings.othersWrote();
        }
    }

    /** Adds a unit that is not there yet. */
    void addNew(String id, MemoryUnit unit) throws IOException {
        writer.addDocument(MemoryFields.document(unit, id));
        holdings.othersWrote();
    }

    /** The first halves of the ids of all units, also of those that are not committed yet. */
    long[] shortIds() throws IOException {
        try (DirectoryReader reader = DirectoryReader.open(writer)) {
            long[] ids = new long[reader.maxDoc()];
            int count = 0;
            for (LeafReaderContext leaf : reader.leaves()) {
                Terms all = leaf.reader().terms(MemoryFields.ID);
                TermsEnum each = all == null ? TermsEnum.EMPTY : all.iterator();
                for (BytesRef id = each.next(); id != null; id = each.next()) {
                    ids[count++] = shortId(id.utf8ToString());
                }
            }
            return Arrays.copyOf(ids, count);
        }
    }

    /** Of an id that a pair of texts has; others have some number, too. */
    static long shortId(String id) {
        return id.matches("\\p{XDigit}{32}") ? Long.parseUnsignedLong(id, 0, 16, 16) : id.hashCode();
    }

    /** Adds what somebody holds for the segment that its context names, in place of what he held for it. The same pair is there once. */
    public void put(String holder, MemoryUnit unit) throws IOException {
        holdings.put(holder, unit);
    }

    /** Has somebody hold nothing for a segment; what nobody holds, and what did not come by itself, is taken out. */
    public void release(String holder, String key) throws IOException {
        holdings.remove(holder, key);
    }

    /** Has somebody hold nothing any more. */
    public void releaseAll(String holder) throws IOException {
        holdings.removeAll(holder);
    }

    /** Takes out all that a file brought, or whatever else is given as the origin. */
    public void removeOrigin(String origin) throws IOException {
        holdings.flush();
        writer.deleteDocuments(new Term(MemoryFields.ORIGIN, origin));
    }

    /** How many units have an origin. */
    public int unitsOf(String origin) throws IOException {
        return search(searcher -> searcher.count(new TermQuery(new Term(MemoryFields.ORIGIN, origin))));
    }

    /** Takes out everything. */
    public void clear() throws IOException {
        holdings.forget();
        writer.deleteAll();
    }

    /** Takes a unit out, whoever holds it. */
    void remove(String id) throws IOException {
        holdings.takeOut(id);
    }

    /** What was added or taken out is so for everybody from now on; {@code mark} says as far as what, for whoever goes on later. */
    public void commit(String mark) throws IOException {
        writer.setLiveCommitData(Map.of(MARK, mark).entrySet());
        commit();
    }

    /** The mark of the last commit that had one; empty where there is none. */
    public String mark() {
        for (Map.Entry<String, String> each :
                writer.getLiveCommitData() == null ? Map.<String, String>of().entrySet() : writer.getLiveCommitData()) {
            if (each.getKey().equals(MARK)) {
                return each.getValue();
            }
        }
        return "";
    }

    /** What was added or taken out is so for everybody from now on. */
    public void commit() throws IOException {
        holdings.flush();
        writer.commit();
        refresh();
    }

    /** Forgets what was added and not committed; nothing can be written after it. */
    public void discard() throws IOException {
        holdings.forget();
        writer.rollback();
    }

    /** Sees what another program committed meanwhile. */
    public void refresh() throws IOException {
        searchers.maybeRefreshBlocking();
    }

    public String name() {
        return folder.toAbsolutePath().normalize().getFileName().toString();
    }

    public Path folder() {
        return folder;
    }

    /** How many pairs of source and target. */
    public int size() throws IOException {
        return search(searcher -> searcher.getIndexReader().numDocs());
    }

    /** Hands over every unit. */
    public void forEach(Each each) throws IOException {
        search(searcher -> {
            for (LeafReaderContext leaf : searcher.getIndexReader().leaves()) {
                Bits live = leaf.reader().getLiveDocs();
                StoredFields stored = leaf.reader().storedFields();
                for (int i = 0; i < leaf.reader().maxDoc(); i++) {
                    if (live == null || live.get(i)) {
                        each.unit(MemoryFields.unit(stored.document(i)));
                    }
                }
            }
            return null;
        });
    }

    /** Units by pair of languages, such as {@code en-GB>de-DE}. */
    public Map<String, Integer> languages() throws IOException {
        return search(searcher -> {
            Map<String, Integer> languages = new TreeMap<>();
            Terms pairs = MultiTerms.getTerms(searcher.getIndexReader(), MemoryFields.LANGUAGES);
            TermsEnum each = pairs == null ? TermsEnum.EMPTY : pairs.iterator();
            for (BytesRef pair = each.next(); pair != null; pair = each.next()) {
                Term term = new Term(MemoryFields.LANGUAGES, BytesRef.deepCopyOf(pair));
                int count = searcher.count(new TermQuery(term));
                if (count > 0) {
                    languages.put(pair.utf8ToString(), count);
                }
            }
            return languages;
        });
    }

    public Set<String> sourceLanguages() throws IOException {
        return languages().keySet().stream()
                .map(pair -> pair.substring(0, pair.indexOf('>')))
                .collect(Collectors.toCollection(TreeSet::new));
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
        List<MemoryUnit> found = near(MemoryFields.pair(sourceLanguage, targetLanguage), source, context, least, top);
        Set<String> targets = new HashSet<>();
        found.stream()
                .filter(unit -> Symbols.numbered(unit.source()).equals(Symbols.numbered(source)))
                .forEach(unit -> targets.add(unit.targetWritten()));
        Scoring scoring = new Scoring(source, context, sourceLanguage, targetLanguage, targets.size());
        List<MemoryMatch> matches = new ArrayList<>();
        for (MemoryUnit unit : found) {
            MemoryMatch match = scoring.of(unit, least);
            if (match.score() >= least) {
                matches.add(match);
            }
        }
        matches.sort(MemoryMatch.ORDER);
        return List.copyOf(matches.subList(0, Math.min(top, matches.size())));
    }

    private List<MemoryUnit> near(String languages, Content source, MemoryUnit.Context context, int least, int top)
            throws IOException {
        LookupsFirst.begin();
        try {
            return search(searcher -> units(searcher, candidates(searcher, languages, source, least), context, top));
        } finally {
            LookupsFirst.end();
        }
    }

    private static Map<Integer, Integer> candidates(IndexSearcher searcher, String languages, Content source, int least)
            throws IOException {
        Candidates candidates = new Candidates(searcher, languages, source, least);
        candidates.exactly(source, MOST_EXACT);
        if (least < EditDistance.SAME) {
            candidates.withWords(source);
            // One that is nearly the same shares its words; only where there is none, pieces of words are looked for.
            if (candidates.best() < GOOD) {
                candidates.withPieces(source);
            }
        }
        return candidates.similarities();
    }

    /** The units among which the best of so many are, whatever is taken off their similarities. */
    private static List<MemoryUnit> units(
            IndexSearcher searcher, Map<Integer, Integer> similarities, MemoryUnit.Context context, int top)
            throws IOException {
        int last = similarities.values().stream()
                .sorted(Comparator.reverseOrder())
                .skip(Math.max(0, top - 1))
                .findFirst()
                .orElse(0);
        List<MemoryUnit> units = new ArrayList<>();
        for (Map.Entry<Integer, Integer> each : new TreeMap<>(similarities).entrySet()) {
            if (each.getValue() >= last - Scoring.MOST_PENALTIES) {
                units.add(MemoryFields.unit(searcher.storedFields().document(each.getKey()), context));
            }
        }
        return units;
    }

    /** The longest part of a source, of three words or more, that stands in a source of the memory. */
    public Optional<MemoryFragment> fragment(Languages languages, Content source) throws IOException {
        FragmentSearch parts =
                new FragmentSearch(analyzer(), MemoryFields.pair(languages.source(), languages.target()));
        return search(searcher -> parts.longest(searcher, source.plainText()));
    }

    /** Whether a unit of this id was committed. */
    boolean has(String id) throws IOException {
        return search(searcher -> searcher.count(new TermQuery(new Term(MemoryFields.ID, id)))) > 0;
    }

    /**
     * Units that a query means.
     *
     * @param languages source and target; empty for all pairs
     */
    public List<MemoryUnit> find(MemoryQuery query, Optional<Languages> languages, int most, Progress progress)
            throws IOException {
        Optional<String> pair = languages.map(each -> MemoryFields.pair(each.source(), each.target()));
        if (query.isOfWords()) {
            return find(query.text(), query.side() == MemoryQuery.Side.TARGET, languages, most);
        }
        Set<String> several = query.kind() == MemoryQuery.Kind.SEVERAL_TARGETS ? severalTargets(progress) : Set.of();
        Predicate<MemoryUnit> matcher = query.matcher();
        List<MemoryUnit> found = new ArrayList<>();
        forEach(unit -> {
            progress.checkCancelled();
            boolean isMeant = found.size() < most
                    && (query.kind() != MemoryQuery.Kind.SEVERAL_TARGETS || several.contains(group(unit)))
                    && pair.filter(each ->
                                    !each.equals(MemoryFields.pair(unit.sourceLanguage(), unit.targetLanguage())))
                            .isEmpty()
                    && matcher.test(unit);
            if (isMeant) {
                found.add(unit);
            }
        });
        if (query.kind() == MemoryQuery.Kind.SEVERAL_TARGETS) {
            found.sort(Comparator.comparing(TranslationMemory::group));
        }
        return found;
    }

    /** A pair of languages. */
    public record Languages(String source, String target) {}

    /** The sources that have several targets. */
    private Set<String> severalTargets(Progress progress) throws IOException {
        Map<String, String> first = new HashMap<>();
        Set<String> several = new HashSet<>();
        forEach(unit -> {
            progress.checkCancelled();
            String target = unit.targetWritten();
            String before = first.putIfAbsent(group(unit), target);
            if (before != null && !before.equals(target)) {
                several.add(group(unit));
            }
        });
        return several;
    }

    private static String group(MemoryUnit unit) {
        return unit.sourceLanguage() + '>' + unit.targetLanguage() + ' ' + unit.sourceWritten();
    }

    /** Units with words in their sources or targets; as a phrase where they follow each other, those first. */
    public List<MemoryUnit> find(String words, boolean inTarget, int most) throws IOException {
        return find(words, inTarget, Optional.empty(), most);
    }

    /** The same of one pair of languages. */
    public List<MemoryUnit> find(String words, boolean inTarget, String sourceLanguage, String targetLanguage, int most)
            throws IOException {
        return find(words, inTarget, Optional.of(new Languages(sourceLanguage, targetLanguage)), most);
    }

    private List<MemoryUnit> find(String words, boolean inTarget, Optional<Languages> languages, int most)
            throws IOException {
        WordSearch wanted = new WordSearch(
                analyzer(),
                inTarget ? MemoryFields.TARGET_TEXT : MemoryFields.SOURCE_TEXT,
                languages.isPresent()
                        ? MemoryFields.language(
                                inTarget
                                        ? languages.get().target()
                                        : languages.get().source())
                        : onlyLanguage(inTarget),
                languages.map(each -> MemoryFields.pair(each.source(), each.target())));
        return search(searcher -> wanted.find(searcher, words, most));
    }

    /** The language of one side, where all units have the same; empty where they do not. */
    private String onlyLanguage(boolean inTarget) throws IOException {
        Set<String> all = languages().keySet().stream()
                .map(pair -> pair.split(">", -1)[inTarget ? 1 : 0])
                .map(MemoryFields::language)
                .collect(Collectors.toSet());
        return all.size() == 1 ? all.iterator().next() : "";
    }

    /** What was added and not committed is committed. */
    @Override
    public void close() throws IOException {
        List<AutoCloseable> steps = new ArrayList<>(List.of(searchers));
        if (writer != null) {
            steps.add(() -> {
                if (writer.isOpen()) {
                    holdings.flush();
                }
            });
            steps.add(holdings::close);
            steps.add(writer);
        }
        steps.add(directory);
        try {
            Closing.inOrder(steps.toArray(AutoCloseable[]::new));
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }
}
