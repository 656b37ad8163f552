package org.swaplane.lane;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.swaplane.format.NewFile;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.CannotProceedException;

/**
 * Shared memories that grow from what is reviewed here. Each is opened for as long as a step takes, since others write into it as well; one that
 * is in use, or cannot be reached or written, gets everything later. A file in the lane says as far as what each has come, so that after a kill
 * it is gathered again.
 */
final class SharedGrowth {
    private static final String MARKS = "grown";

    /** After a disk refused, everything is not gathered again with every step. */
    private static final long PAUSE_NANOS = 10_000_000_000L;

    private final Lane lane;
    private final Path folder;
    private final SharedMemories shared;
    private final Consumer<Exception> failed;
    private final Map<Path, MemoryFollowing> following = new HashMap<>();
    private final Set<Path> toldAway = new HashSet<>();
    private long pausedUntil = System.nanoTime();

    /** What is done with each of them. */
    interface Work {
        void into(TranslationMemory memory) throws IOException;
    }

    /** What is done with each of them that has followed so far. */
    interface Follow {
        void with(MemoryFollowing following, TranslationMemory memory) throws IOException;
    }

    /**
     * @param folder of the lane's memories
     * @param failed hears of what cannot be reached or written now
     */
    SharedGrowth(Lane lane, Path folder, SharedMemories shared, Consumer<Exception> failed) {
        this.lane = lane;
        this.folder = folder;
        this.shared = shared;
        this.failed = failed;
    }

    /** Gathers what is reviewed into those that are not up to date. */
    void begin() throws IOException {
        Map<Path, String> marks = marks();
        for (SharedMemories.Shared each : shared.all()) {
            if (each.grows() && lane.stepsSoFar().equals(marks.get(each.folder()))) {
                following(each.folder()).caughtUp();
            }
        }
        Files.deleteIfExists(folder.resolve(MARKS));
        catchUp();
    }

    /** Writes a step into all that grow, and everything into those that could not be written before. */
    void grow(Follow step) {
        // One that does not grow for a while misses steps, and is gathered anew afterwards.
        following
                .keySet()
                .retainAll(shared.all().stream()
                        .filter(SharedMemories.Shared::grows)
                        .map(SharedMemories.Shared::folder)
                        .toList());
        for (SharedMemories.Shared each : shared.all()) {
            MemoryFollowing growing = following(each.folder());
            if (each.grows() && !growing.isBehind() && !write(each.folder(), memory -> step.with(growing, memory))) {
                growing.fellBehind();
            }
        }
        catchUp();
    }

    private MemoryFollowing following(Path memory) {
        return following.computeIfAbsent(
                memory, none -> new MemoryFollowing(lane, lane.settings().id(), failed));
    }

    private void catchUp() {
        if (System.nanoTime() - pausedUntil < 0) {
            return;
        }
        for (SharedMemories.Shared each : shared.all()) {
            MemoryFollowing growing = following(each.folder());
            if (each.grows() && growing.isBehind() && !write(each.folder(), growing::everything)) {
                growing.fellBehind();
            }
        }
    }

    /**
     * Writes into a shared memory, which is opened for as long as it takes; one after the other within this program.
     *
     * @throws CannotProceedException when another program writes into it
     */
    synchronized void into(Path memory, Work work) throws IOException {
        try (TranslationMemory open = TranslationMemory.openForWriting(memory)) {
            work.into(open);
        }
    }

    /** Whether all of it was written. */
    private boolean write(Path memory, Work work) {
        // One whose folder is away must not be made anew in its place.
        if (!TranslationMemory.isThere(memory)) {
            if (toldAway.add(memory)) {
                failed.accept(new CannotProceedException(memory.toString(), "problem.memory-away"));
            }
            return false;
        }
        toldAway.remove(memory);
        try {
            into(memory, open -> {
                work.into(open);
                open.commit();
            });
            return true;
        } catch (CannotProceedException e) {
            // In use; it is written when it is free.
            return false;
        } catch (IOException | RuntimeException e) {
            // Whatever it was, the step is missing there.
            pausedUntil = System.nanoTime() + PAUSE_NANOS;
            failed.accept(e);
            return false;
        }
    }

    /** Notes how far those have come that have everything. */
    void end() throws IOException {
        pausedUntil = System.nanoTime();
        catchUp();
        String marks = shared.all().stream()
                .filter(each -> each.grows() && following(each.folder()).isComplete())
                .map(each -> lane.stepsSoFar() + '\t' + each.folder() + '\n')
                .collect(Collectors.joining());
        if (!marks.isEmpty()) {
            Files.createDirectories(folder);
            NewFile.write(folder.resolve(MARKS), true, out -> out.write(marks.getBytes(StandardCharsets.UTF_8)));
        }
    }

    private Map<Path, String> marks() throws IOException {
        Map<Path, String> marks = new HashMap<>();
        Path file = folder.resolve(MARKS);
        if (Files.exists(file)) {
            for (String line : Files.readAllLines(file)) {
                String[] parts = line.split("\t", 2);
                marks.put(Path.of(parts[1]), parts[0]);
            }
        }
        return marks;
    }
}
