package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Source;
import org.swaplane.memory.MemoryEdit;
import org.swaplane.memory.MemoryFragment;
import org.swaplane.memory.MemoryMatch;
import org.swaplane.memory.MemoryQuery;
import org.swaplane.memory.MemorySearch;
import org.swaplane.memory.MemoryTransfer;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.MemoryUse;
import org.swaplane.memory.Provenance;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/**
 * The memories that a lane looks things up in: what was reviewed in it, which grows and shrinks by the journal's steps; what was imported
 * into it; and shared ones, each with a penalty. They are opened when they are first asked for, and written on a thread of their own.
 */
public final class LaneMemories implements LaneListener {
    private static final String SHARED = "memories";
    private static final String REVIEWED = "reviewed";
    private static final String IMPORTED = "imported";
    /** Documents in one language, which are searched and never matched. */
    private static final String DOCUMENTS = "documents";

    /** While the lane is open; one that was killed has it still, and what was reviewed is gathered again. */
    private static final String OPEN = "open";

    private final Lane lane;
    private final Path folder;
    private final ExecutorService work = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "memories");
        thread.setDaemon(true);
        return thread;
    });
    private final Map<String, TranslationMemory> opened = new LinkedHashMap<>();
    private volatile boolean following;
    private volatile Consumer<Exception> failed = failure -> {};

    /**
     * A memory as people are told of it.
     *
     * @param shared whether it lies outside the lane
     * @param languages units by pair of languages
     */
    public record Entry(String name, Path folder, boolean shared, int penalty, Map<String, Integer> languages) {
        public int units() {
            return languages.values().stream().mapToInt(Integer::intValue).sum();
        }
    }

    LaneMemories(Lane lane, Path folder) {
        this.lane = lane;
        this.folder = folder;
    }

    /** Told of what goes wrong while the lane goes on. */
    public void onFailure(Consumer<Exception> listener) {
        failed = listener;
    }

    /** Gathers what was reviewed where that is not up to date; from now on it follows. */
    public void begin() {
        if (lane.isReadOnly()) {
            return;
        }
        following = true;
        work.execute(() -> {
            try {
                TranslationMemory reviewed = own(REVIEWED);
                if (!reviewed.mark().equals(lane.stepsSoFar())) {
                    reviewed.clear();
                    for (Track track : lane.tracks()) {
                        if (track.summary().counts().reviewedWords() > 0) {
                            gather(track.now(), reviewed);
                        }
                    }
                }
                reviewed.commit(OPEN);
            } catch (IOException | RuntimeException e) {
                failed.accept(e);
            }
        });
    }

    @Override
    public void stepped(TrackSnapshot now, Step step) {
        follow(() -> {
            TranslationMemory reviewed = own(REVIEWED);
            for (int index : step.positions(now)) {
                keep(now, index, reviewed);
            }
            reviewed.commit(OPEN);
        });
    }

    @Override
    public void reread(TrackSnapshot now) {
        follow(() -> {
            TranslationMemory reviewed = own(REVIEWED);
            gather(now, reviewed);
            reviewed.commit(OPEN);
        });
    }

    /** What somebody does with the memories, on their thread. */
    private interface Work {
        void run() throws IOException;
    }

    private void follow(Work todo) {
        if (!following || work.isShutdown()) {
            return;
        }
        work.execute(() -> {
            try {
                todo.run();
            } catch (IOException | RuntimeException e) {
                failed.accept(e);
            }
        });
    }

    private static void gather(TrackSnapshot now, TranslationMemory reviewed) throws IOException {
        reviewed.removeAll(String.valueOf(now.track().id()));
        for (int i = 0; i < now.size(); i++) {
            if (now.state(i).compareTo(State.REVIEWED) >= 0) {
                keep(now, i, reviewed);
            }
        }
    }

    /** A reviewed segment is held, any other one is not. */
    private static void keep(TrackSnapshot now, int index, TranslationMemory reviewed) throws IOException {
        Segment segment = now.segment(index);
        String holder = String.valueOf(now.track().id());
        String id = holder + '/' + segment.key();
        boolean holds = now.state(index).compareTo(State.REVIEWED) >= 0
                && !now.target(index).isEmpty()
                && !segment.source().isEmpty();
        if (holds) {
            reviewed.put(
                    holder,
                    id,
                    new MemoryUnit(
                            now.sourceLanguage(index),
                            now.targetLanguage(index),
                            segment.source(),
                            now.target(index),
                            MemoryTransfer.context(now.document().segments(), index, segment.key()),
                            Provenance.of(now.name())));
        } else {
            reviewed.remove(id);
        }
    }

    private synchronized TranslationMemory own(String name) throws IOException {
        Path path = folder.resolve(name);
        TranslationMemory there = opened.get(name);
        if (there == null) {
            there = lane.isReadOnly() ? TranslationMemory.open(path) : TranslationMemory.openForWriting(path);
            opened.put(name, there);
        }
        return there;
    }

    private synchronized TranslationMemory shared(Path path) throws IOException {
        TranslationMemory there = opened.get(path.toString());
        if (there == null) {
            there = TranslationMemory.open(path);
            opened.put(path.toString(), there);
        }
        there.refresh();
        return there;
    }

    /** All that there are: what was reviewed here first, then imported, then shared in their order. */
    public List<MemoryUse> uses() throws IOException {
        List<MemoryUse> uses = new ArrayList<>();
        for (String name : List.of(REVIEWED, IMPORTED)) {
            if (Files.isDirectory(folder.resolve(name))) {
                uses.add(new MemoryUse(own(name), 0));
            }
        }
        for (Shared each : sharedOnes()) {
            if (Files.isDirectory(each.folder())) {
                uses.add(new MemoryUse(shared(each.folder()), each.penalty()));
            }
        }
        return uses;
    }

    public MemorySearch search(int least) throws IOException {
        return new MemorySearch(uses(), least);
    }

    /** What is known for a segment; what the segment itself brought in is not. */
    public List<MemoryMatch> lookup(TrackSnapshot now, int index, int least, int top) throws IOException {
        Segment segment = now.segment(index);
        return search(least)
                .lookup(
                        now.sourceLanguage(index),
                        now.targetLanguage(index),
                        segment.source(),
                        MemoryTransfer.context(now.document().segments(), index, segment.key()),
                        top + 1)
                .stream()
                .filter(match -> !(match.unit().context().key().equals(segment.key())
                        && match.unit().origin().equals(now.name())
                        && match.unit().target().sameAs(now.target(index))))
                .limit(top)
                .toList();
    }

    /** The longest part of a segment's source that a memory knows. */
    public Optional<MemoryFragment> fragment(TrackSnapshot now, int index) throws IOException {
        TranslationMemory.Languages languages =
                new TranslationMemory.Languages(now.sourceLanguage(index), now.targetLanguage(index));
        Optional<MemoryFragment> longest = Optional.empty();
        for (MemoryUse use : uses()) {
            Optional<MemoryFragment> here =
                    use.memory().fragment(languages, now.segment(index).source());
            int before = longest.map(MemoryFragment::count).orElse(0);
            longest = here.filter(each -> each.count() > before).isPresent() ? here : longest;
        }
        return longest;
    }

    public List<Entry> entries() throws IOException {
        List<Entry> entries = new ArrayList<>();
        for (String name : List.of(REVIEWED, IMPORTED, DOCUMENTS)) {
            if (Files.isDirectory(folder.resolve(name))) {
                TranslationMemory own = own(name);
                entries.add(new Entry(name, own.folder(), false, 0, own.languages()));
            }
        }
        for (Shared each : sharedOnes()) {
            Map<String, Integer> languages =
                    Files.isDirectory(each.folder()) ? shared(each.folder()).languages() : Map.of();
            String name = each.folder().getFileName().toString();
            entries.add(new Entry(name, each.folder(), true, each.penalty(), languages));
        }
        return entries;
    }

    /** Adds the translations of files to the lane's own memory; returns how many units it has more. A file that cannot be read adds nothing. */
    public int take(List<Source> files, Progress progress) throws IOException {
        int added = 0;
        for (Source file : files) {
            boolean texts = MemoryTransfer.isOfOneLanguage(file, lane.formats());
            added += take(file, texts ? DOCUMENTS : IMPORTED, progress);
        }
        return added;
    }

    private int take(Source file, String name, Progress progress) throws IOException {
        TranslationMemory into = own(name);
        List<String> targets = lane.settings().targetLanguages();
        FileOptions languages = FileOptions.ofLanguages(
                lane.settings().detail(LaneDetail.SOURCE_LANGUAGE), targets.isEmpty() ? "" : targets.get(0));
        int before = into.size();
        try {
            if (name.equals(DOCUMENTS)) {
                MemoryTransfer.addTexts(file, lane.formats(), languages, into, progress);
            } else {
                MemoryTransfer.take(file, lane.formats(), languages, into, progress);
            }
            into.commit();
        } catch (IOException | RuntimeException e) {
            synchronized (this) {
                into.discard();
                opened.remove(name);
                into.close();
            }
            throw e;
        }
        return into.size() - before;
    }

    /** Adds units to the lane's own memory; returns how many more it has. */
    public int add(List<MemoryUnit> units) throws IOException {
        TranslationMemory imported = own(IMPORTED);
        int before = imported.size();
        for (MemoryUnit unit : units) {
            imported.add(unit);
        }
        imported.commit();
        return imported.size() - before;
    }

    /**
     * A unit that was found.
     *
     * @param memory the folder of the memory that has it
     * @param editable whether it can be changed; what was reviewed here follows its segments
     */
    public record Hit(MemoryUnit unit, Path memory, boolean editable) {}

    /** Units that a query means, of all memories in their order; the same pair of texts is there once. */
    public List<Hit> find(
            MemoryQuery query, Optional<TranslationMemory.Languages> languages, int most, Progress progress)
            throws IOException {
        List<Hit> hits = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        for (MemoryUse use : uses()) {
            boolean editable = !lane.isReadOnly() && !use.memory().folder().equals(folder.resolve(REVIEWED));
            addHits(use.memory(), query, languages, editable, most, seen, hits, progress);
        }
        boolean alsoTexts = query.side() != MemoryQuery.Side.TARGET && query.kind() == MemoryQuery.Kind.ALL;
        if (alsoTexts && Files.isDirectory(folder.resolve(DOCUMENTS))) {
            Optional<TranslationMemory.Languages> alone =
                    languages.map(each -> new TranslationMemory.Languages(each.source(), ""));
            addHits(own(DOCUMENTS), query, alone, false, most, seen, hits, progress);
        }
        return hits;
    }

    private static void addHits(
            TranslationMemory memory,
            MemoryQuery query,
            Optional<TranslationMemory.Languages> languages,
            boolean editable,
            int most,
            Set<String> seen,
            List<Hit> hits,
            Progress progress)
            throws IOException {
        for (MemoryUnit unit : memory.find(query, languages, most, progress)) {
            if (hits.size() < most && seen.add(unit.sourceWritten() + '\n' + unit.targetWritten())) {
                hits.add(new Hit(unit, memory.folder(), editable));
            }
        }
    }

    /** An edit that was made, which can be taken back. */
    public record Edited(Path memory, MemoryEdit.Undo undo) {}

    /**
     * Changes units of one memory.
     *
     * @throws CannotProceedException when another program writes into it
     */
    public Edited edit(Path memory, MemoryEdit edit) throws IOException {
        List<MemoryEdit.Undo> undo = new ArrayList<>(1);
        write(memory, each -> undo.add(edit.apply(each)));
        return new Edited(memory, undo.get(0));
    }

    /** Takes an edit back. */
    public void undo(Edited edited) throws IOException {
        write(edited.memory(), edited.undo()::apply);
    }

    private interface Writing {
        void into(TranslationMemory memory) throws IOException;
    }

    /** A shared memory is opened for as long as it takes. */
    private void write(Path memory, Writing writing) throws IOException {
        if (memory.startsWith(folder)) {
            writing.into(own(memory.getFileName().toString()));
            return;
        }
        try (TranslationMemory other = TranslationMemory.openForWriting(memory)) {
            writing.into(other);
        }
    }

    /** A memory outside the lane that is looked things up in, too. */
    public void share(Path memory, int penalty) throws IOException {
        TranslationMemory.open(memory).close();
        List<Shared> all = new ArrayList<>(sharedOnes());
        Path path = memory.toAbsolutePath().normalize();
        all.removeIf(each -> each.folder().equals(path));
        all.add(new Shared(path, penalty));
        keep(all);
    }

    /** Gives a shared memory priority over the one before it: of equal matches, its own comes first. */
    public void prefer(Path memory) {
        List<Shared> all = new ArrayList<>(sharedOnes());
        for (int i = 1; i < all.size(); i++) {
            if (all.get(i).folder().equals(memory)) {
                Collections.swap(all, i, i - 1);
                break;
            }
        }
        keep(all);
    }

    public void unshare(Path memory) {
        List<Shared> all = new ArrayList<>(sharedOnes());
        all.removeIf(each -> each.folder().equals(memory));
        keep(all);
    }

    private record Shared(Path folder, int penalty) {}

    private List<Shared> sharedOnes() {
        return lane.settings()
                .get(SHARED)
                .orElse("")
                .lines()
                .map(line -> line.split("\t", 2))
                .filter(parts -> parts.length == 2)
                .map(parts -> new Shared(Path.of(parts[1]), Integer.parseInt(parts[0])))
                .toList();
    }

    private void keep(List<Shared> all) {
        StringBuilder written = new StringBuilder();
        all.forEach(each -> written.append(each.penalty())
                .append('\t')
                .append(each.folder())
                .append('\n'));
        LaneWriter.await(lane.settings().set(SHARED, written.toString()));
    }

    /** Waits until all that was done so far is taken up. */
    void settle() throws InterruptedException, ExecutionException {
        work.submit(() -> {}).get();
    }

    /** After the lane's last step. */
    void close() {
        work.shutdown();
        try {
            boolean done = work.awaitTermination(1, TimeUnit.MINUTES);
            synchronized (this) {
                for (Map.Entry<String, TranslationMemory> each : opened.entrySet()) {
                    if (done && following && each.getKey().equals(REVIEWED)) {
                        each.getValue().commit(lane.stepsSoFar());
                    }
                    each.getValue().close();
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (IOException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(folder.toString(), 0, 0),
                    Phrase.of("problem.memory-unwritten", e.getMessage()),
                    e);
        }
    }
}
