package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.task.CannotProceedException;

class NewFileTest {
    @TempDir
    private Path folder;

    @Test
    void aFileThatIsThereIsNotReplacedUnasked() throws IOException {
        Path file = Files.writeString(folder.resolve("out.xlf"), "old");

        assertThatThrownBy(() -> NewFile.write(file, false, out -> out.write(1)))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("exists already");
        assertThat(file).hasContent("old");
    }

    @Test
    void aWriterThatFailsLeavesNothingBehind() throws IOException {
        Path file = Files.writeString(folder.resolve("out.xlf"), "old");

        assertThatThrownBy(() -> NewFile.write(file, true, out -> {
                    out.write("half".getBytes());
                    throw new IOException("disk full");
                }))
                .hasMessage("disk full");
        assertThat(file).hasContent("old");
        assertThat(folder).isDirectoryNotContaining("glob:**.tmp");
    }
}
