package org.swaplane.lane;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
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
import java.util.stream.Stream;
import org.swaplane.document.Segment;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Source;
import org.swaplane.memory.MemoryEdit;
import org.swaplane.memory.MemoryFragment;
import org.swaplane.memory.MemoryMatch;
import org.swaplane.memory.MemorySearch;
import org.swaplane.memory.MemoryTransfer;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.MemoryUse;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Closing;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/**
 * The memories that a lane looks things up in: what was reviewed in it, which grows and shrinks by the journal's steps; what was imported
 * into it; and shared ones, each with a penalty. They are opened when they are first asked for, and written on a thread of their own.
 */
public final class LaneMemories implements LaneListener {
    private static final String REVIEWED = "reviewed";
    private static final String IMPORTED = "imported";
    /** Documents in one language, which are searched and never matched. */
    private static final String DOCUMENTS = "documents";

    /** While the lane is open; one that was killed has it still, and what was reviewed is gathered again. */
    private static final String OPEN = "open";

    /** How it is kept; what was kept in another way is gathered again. */
    private static final String KEPT = "by pair ";

    private final Lane lane;
    private final Path folder;
    private final ExecutorService work = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "memories");
        thread.setDaemon(true);
        return thread;
    });
    private final Map<String, TranslationMemory> opened = new LinkedHashMap<>();
    private final SharedMemories shared;
    private final SharedGrowth growth;
    private final MemoryFollowing reviewedHere;
    private volatile boolean following;
    private volatile Consumer<Exception> failed = failure -> {};

    /**
     * A memory as people are told of it.
     *
     * @param shared whether it lies outside the lane
     * @param grows whether what is reviewed here goes into it
     * @param languages units by pair of languages
     */
    public record Entry(
            String name, Path folder, boolean shared, int penalty, boolean grows, Map<String, Integer> languages) {
        public int units() {
            return languages.values().stream().mapToInt(Integer::intValue).sum();
        }
    }

    LaneMemories(Lane lane, Path folder) {
        this.lane = lane;
        this.folder = folder;
        this.shared = new SharedMemories(lane.settings());
        this.growth = new SharedGrowth(lane, folder, shared, failure -> failed.accept(failure));
        this.reviewedHere = new MemoryFollowing(lane, "", failure -> failed.accept(failure));
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
        follow(() -> {
            TranslationMemory reviewed = own(REVIEWED);
            String mark = reviewed.mark();
            if (mark.equals(upToDate())) {
                reviewedHere.caughtUp();
            } else if (!mark.isEmpty() && !mark.equals(OPEN) && !mark.startsWith(KEPT)) {
                reviewed.clear();
            }
            followHere(memory -> {});
        });
        follow(growth::begin);
    }

    private String upToDate() {
        return KEPT + lane.stepsSoFar();
    }

    @Override
    public void stepped(TrackSnapshot now, Step step) {
        Set<Integer> changed = step.positions(now);
        follow(() -> followHere(memory -> reviewedHere.step(now, changed, memory)));
        follow(() -> growth.grow((growing, memory) -> growing.step(now, changed, memory)));
    }

    @Override
    public void reread(TrackSnapshot now) {
        follow(() -> followHere(memory -> reviewedHere.track(now, memory)));
        follow(() -> growth.grow((growing, memory) -> growing.track(now, memory)));
    }

    /** Takes something up into what was reviewed here; where that lacks something, everything. */
    private void followHere(SharedGrowth.Work work) throws IOException {
        TranslationMemory reviewed = own(REVIEWED);
        try {
            if (reviewedHere.isBehind()) {
                reviewedHere.everything(reviewed);
            } else {
                work.into(reviewed);
            }
            reviewed.commit(OPEN);
        } catch (IOException | RuntimeException e) {
            reviewedHere.fellBehind();
            Closing.after(e, () -> discard(reviewed));
            throw e;
        }
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
        for (SharedMemories.Shared each : shared.all()) {
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
                        top
                                + 1
                                + (int) shared.all().stream()
                                        .filter(SharedMemories.Shared::grows)
                                        .count())
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
                entries.add(new Entry(name, own.folder(), false, 0, name.equals(REVIEWED), own.languages()));
            }
        }
        for (SharedMemories.Shared each : shared.all()) {
            Map<String, Integer> languages =
                    Files.isDirectory(each.folder()) ? shared(each.folder()).languages() : Map.of();
            String name = each.folder().getFileName().toString();
            entries.add(new Entry(name, each.folder(), true, each.penalty(), each.grows(), languages));
        }
        return entries;
    }

    /**
     * Adds the translations of a file to the lane's own memory, or its texts where it is in one language; one that cannot be read adds nothing.
     *
     * @param place where the file lies, for those who want to see it
     * @return how many units there are more
     */
    public int take(Source file, Optional<Path> place, Progress progress) throws IOException {
        boolean texts = MemoryTransfer.isOfOneLanguage(file, lane.formats());
        int added = take(file, texts ? DOCUMENTS : IMPORTED, progress);
        lane.referenceFiles().add(file.name(), place.map(Path::toAbsolutePath));
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
            discard(into);
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
        units.stream().map(MemoryUnit::origin).distinct().forEach(name -> lane.referenceFiles()
                .add(name, Optional.empty()));
        return imported.size() - before;
    }

    boolean isReviewed(TranslationMemory memory) {
        return memory.folder().equals(folder.resolve(REVIEWED));
    }

    /** Texts of documents in one language, which are searched and never matched. */
    Optional<TranslationMemory> documents() throws IOException {
        return Files.isDirectory(folder.resolve(DOCUMENTS)) ? Optional.of(own(DOCUMENTS)) : Optional.empty();
    }

    /** Takes out what a file brought. */
    public void removeFile(String name) throws IOException {
        for (String each : List.of(IMPORTED, DOCUMENTS)) {
            if (Files.isDirectory(folder.resolve(each))) {
                own(each).removeOrigin(name);
                own(each).commit();
            }
        }
        lane.referenceFiles().remove(name);
    }

    /** How many units a file brought that are there. */
    public int unitsOf(String name) throws IOException {
        int units = 0;
        for (String each : List.of(IMPORTED, DOCUMENTS)) {
            units += Files.isDirectory(folder.resolve(each)) ? own(each).unitsOf(name) : 0;
        }
        return units;
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

    /** Puts units into another memory, which is made where there is none; they are taken out of theirs. Returns what takes that back. */
    public List<Edited> move(Path from, List<MemoryUnit> units, Path into) throws IOException {
        return List.of(
                edit(TranslationMemory.chosen(into), MemoryEdit.adding(units)), edit(from, MemoryEdit.without(units)));
    }

    /** Takes an edit back. */
    public void undo(Edited edited) throws IOException {
        write(edited.memory(), edited.undo()::apply);
    }

    private void write(Path memory, SharedGrowth.Work writing) throws IOException {
        if (memory.startsWith(folder)) {
            writing.into(own(memory.getFileName().toString()));
        } else {
            growth.into(memory, writing);
        }
    }

    /**
     * A memory outside the lane that is looked things up in, too; made in a folder that is empty.
     *
     * @throws CannotProceedException when the folder holds other things
     */
    public void share(Path memory, int penalty) throws IOException {
        Path path = TranslationMemory.chosen(memory);
        if (!Files.isDirectory(path) || isEmpty(path)) {
            TranslationMemory.openForWriting(path).close();
        }
        TranslationMemory.open(path).close();
        shared.add(path, penalty);
    }

    private static boolean isEmpty(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.findAny().isEmpty();
        }
    }

    /** Whether what is reviewed here goes into a shared memory as well. */
    public void setGrows(Path memory, boolean grows) {
        shared.setGrows(memory, grows);
        follow(growth::begin);
    }

    /** Gives a shared memory priority over the one before it: of equal matches, its own comes first. */
    public void prefer(Path memory) {
        shared.prefer(memory);
    }

    public void unshare(Path memory) {
        shared.remove(memory);
    }

    /** Has all units of one memory also in another one, which is made where there is none; when cancelled, it has none of them. */
    public int merge(Path from, Path into, Progress progress) throws IOException {
        int[] count = {0, 0};
        write(TranslationMemory.chosen(into), target -> {
            int before = target.size();
            TranslationMemory source =
                    from.startsWith(folder) ? own(from.getFileName().toString()) : shared(from);
            int all = source.size();
            try {
                source.forEach(unit -> {
                    progress.checkCancelled();
                    progress.at(count[0]++, all);
                    target.add(unit);
                });
                target.commit();
            } catch (RuntimeException | IOException e) {
                discard(target);
                throw e;
            }
            count[1] = target.size() - before;
        });
        return count[1];
    }

    private synchronized void discard(TranslationMemory memory) throws IOException {
        memory.discard();
        opened.values().remove(memory);
        memory.close();
    }

    /** Has what another lane imported as well; the shared ones are among the settings. */
    void copyFrom(LaneMemories other) throws IOException {
        for (String name : List.of(IMPORTED, DOCUMENTS)) {
            if (Files.isDirectory(other.folder.resolve(name))) {
                TranslationMemory into = own(name);
                other.own(name).forEach(into::add);
                into.commit();
            }
        }
    }

    /** Waits until all that was done so far is taken up. */
    void settle() throws InterruptedException, ExecutionException {
        work.submit(() -> {}).get();
    }

    /** After the lane's last step. */
    void close() {
        work.shutdown();
        try {
            Closing.inOrder(this::awaitFollowing, this::closeOpened, () -> {
                if (following && work.isTerminated()) {
                    growth.end();
                }
            });
        } catch (UncheckedIOException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(folder.toString(), 0, 0),
                    Phrase.of("problem.memory-unwritten", Reason.of(e.getCause())),
                    e);
        }
    }

    private synchronized void closeOpened() {
        List<AutoCloseable> steps = new ArrayList<>();
        opened.forEach((name, memory) -> {
            if (name.equals(REVIEWED)) {
                steps.add(() -> {
                    if (following && work.isTerminated() && reviewedHere.isComplete()) {
                        memory.commit(upToDate());
                    }
                });
            }
            steps.add(memory);
        });
        Closing.inOrder(steps.toArray(AutoCloseable[]::new));
    }

    /** What was not taken up by then is gathered when the lane is opened again. */
    private void awaitFollowing() throws InterruptedException {
        if (!work.awaitTermination(1, TimeUnit.MINUTES)) {
            work.shutdownNow();
        }
    }
}
