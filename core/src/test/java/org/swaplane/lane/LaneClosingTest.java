package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.demo.DemoLane;
import org.swaplane.format.FormatRegistry;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.CannotProceedException;

/** Whatever fails when a lane is opened or closed, nothing of it stays open. */
class LaneClosingTest {
    @TempDir
    Path folder;

    private Lane open() throws IOException {
        return Lane.open(folder, FormatRegistry.ofInstalled(), Clock.systemUTC());
    }

    private void assertFree() throws IOException {
        try (Lane again = open()) {
            assertThat(again.tracks()).isNotEmpty();
        }
    }

    @Test
    void aMemoryThatCannotBeWrittenKeepsNeitherDatabaseNorLock() throws Exception {
        Lane lane = DemoLane.create(folder, Clock.systemUTC());
        lane.memories().begin();
        lane.memories().settle();
        Path index = folder.resolve("memory/reviewed/index");
        Path away = Files.move(index, folder.resolve("away"));
        Files.writeString(index, "in the way");

        assertThatThrownBy(lane::close).isInstanceOf(CannotProceedException.class);

        Files.delete(index);
        Files.move(away, index);
        assertThatThrownBy(() -> lane.settings().set("name", "later").join()).hasMessageContaining("closed");
        assertFree();
    }

    @Test
    void aLockWhoseHolderCannotBeDeletedIsFreeAllTheSame() throws IOException {
        Lane lane = DemoLane.create(folder, Clock.systemUTC());
        Path holder = folder.resolve("lane.lock-holder");
        Files.delete(holder);
        Files.createDirectories(holder.resolve("in the way"));

        assertThatThrownBy(lane::close).isInstanceOf(CannotProceedException.class);

        Files.delete(holder.resolve("in the way"));
        Files.delete(holder);
        assertFree();
    }

    @Test
    void aDatabaseThatCannotBeReadLeavesTheLaneFree() throws IOException {
        DemoLane.create(folder, Clock.systemUTC()).close();
        Path database = folder.resolve("lane.db");
        Path away = Files.move(database, folder.resolve("away"));
        Files.writeString(database, "this is no database, and long enough not to be taken for a new one ".repeat(40));

        assertThatThrownBy(this::open).isInstanceOf(CannotProceedException.class);

        Files.delete(database);
        Files.move(away, database);
        assertFree();
    }

    @Test
    void aMemoryThatCannotBeOpenedIsNotLockedByTheAttempt() throws IOException {
        Path memory = folder.resolve("team");
        TranslationMemory.openForWriting(memory).close();
        Path segments;
        try (var files = Files.list(memory.resolve("index"))) {
            segments = files.filter(each -> each.getFileName().toString().startsWith("segments"))
                    .findFirst()
                    .orElseThrow();
        }
        byte[] whole = Files.readAllBytes(segments);
        Files.write(segments, new byte[] {1, 2, 3});

        assertThatThrownBy(() -> TranslationMemory.openForWriting(memory)).hasMessageContaining("damaged");

        Files.write(segments, whole);
        TranslationMemory.openForWriting(memory).close();
    }
}
