package org.swaplane.memory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.task.CannotProceedException;

/** A memory that is not whole, or no memory at all, is never written over by a new one. */
class MemoryFolderTest {
    @TempDir
    private Path folder;

    private Path memory() throws IOException {
        Path memory = folder.resolve("team");
        try (TranslationMemory made = TranslationMemory.openForWriting(memory)) {
            made.add(new MemoryUnit(
                    "en-GB",
                    "de-DE",
                    Content.of("Pier"),
                    Content.of("Kai"),
                    MemoryUnit.Context.UNKNOWN,
                    Provenance.of("a.xlf")));
            made.commit();
        }
        return memory;
    }

    private static List<Path> files(Path memory, String prefix) throws IOException {
        try (Stream<Path> files = Files.list(memory.resolve("index"))) {
            return files.filter(file -> file.getFileName().toString().startsWith(prefix))
                    .sorted()
                    .toList();
        }
    }

    @Test
    void oneThatLostItsBeginningIsKeptAsItIs() throws IOException {
        Path memory = memory();
        for (Path file : files(memory, "segments")) {
            Files.delete(file);
        }
        List<Path> before = files(memory, "_");

        assertThatThrownBy(() -> TranslationMemory.openForWriting(memory))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("missing or damaged");
        assertThatThrownBy(() -> TranslationMemory.open(memory)).isInstanceOf(CannotProceedException.class);

        assertThat(before).isNotEmpty();
        assertThat(files(memory, "_")).isEqualTo(before);
    }

    @Test
    void oneWhoseFilesAreCutSaysSoInOurWords() throws IOException {
        Path memory = memory();
        for (Path file : files(memory, "_")) {
            Files.write(file, new byte[3]);
        }

        assertThatThrownBy(() -> TranslationMemory.open(memory))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("missing or damaged");
    }

    @Test
    void noneIsMadeAmongOtherFiles() throws IOException {
        Path other = Files.createDirectories(folder.resolve("photos"));
        Files.writeString(other.resolve("pier.txt"), "x");

        assertThatThrownBy(() -> TranslationMemory.openForWriting(other)).hasMessageContaining("holds other files");

        assertThat(other.resolve("index")).doesNotExist();
    }
}
