package org.swaplane.lane;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.swaplane.format.NewFile;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.CannotProceedException;

/**
 * Shared memories that grow from what is reviewed here. Each is opened for as long as a step takes, since others write into it as well; one that
 * is in use now gets everything later. A file in the lane says as far as what each has come, so that after a kill it is gathered again.
 */
final class SharedGrowth {
    private static final String MARKS = "grown";

    private final Lane lane;
    private final Path folder;
    private final SharedMemories shared;
    private final Set<Path> behind = new HashSet<>();

    /** What is done with each of them. */
    interface Work {
        void into(TranslationMemory memory) throws IOException;
    }

    /** @param folder of the lane's memories */
    SharedGrowth(Lane lane, Path folder, SharedMemories shared) {
        this.lane = lane;
        this.folder = folder;
        this.shared = shared;
    }

    /** Gathers what is reviewed into those that are not up to date. */
    void begin(Work everything) throws IOException {
        Map<Path, String> marks = marks();
        for (SharedMemories.Shared each : shared.all()) {
            if (each.grows() && !lane.stepsSoFar().equals(marks.get(each.folder()))) {
                behind.add(each.folder());
            }
        }
        Files.deleteIfExists(folder.resolve(MARKS));
        catchUp(everything);
    }

    /** Writes a step into all that grow, and everything into those that could not be written before. */
    void grow(Work step, Work everything) throws IOException {
        for (SharedMemories.Shared each : shared.all()) {
            if (each.grows() && !behind.contains(each.folder()) && !write(each.folder(), step)) {
                behind.add(each.folder());
            }
        }
        catchUp(everything);
    }

    private void catchUp(Work everything) throws IOException {
        for (Path each : Set.copyOf(behind)) {
            if (write(each, everything)) {
                behind.remove(each);
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

    /** Whether nobody else was writing into it. */
    private boolean write(Path memory, Work work) throws IOException {
        try {
            into(memory, work);
            return true;
        } catch (CannotProceedException e) {
            return false;
        }
    }

    /** Notes how far those have come that are not behind. */
    void end(Work everything) throws IOException {
        catchUp(everything);
        String marks = shared.all().stream()
                .filter(each -> each.grows() && !behind.contains(each.folder()))
                .map(each -> lane.stepsSoFar() + '\t' + each.folder() + '\n')
                .collect(Collectors.joining());
        if (!marks.isEmpty()) {
            Files.createDirectories(folder);
            NewFile.write(
                    folder.resolve(MARKS),
                    true,
                    out -> out.write(marks.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
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
