package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TemporaryFolderTest {
    @TempDir
    private Path within;

    @Test
    void whatAKilledProgramLeftIsDeletedByTheNextOneAndWhatIsInUseStays() throws IOException {
        Path left = Files.createDirectories(within.resolve("swaplane-held-1"));
        Files.writeString(left.resolve(".held"), "");
        Files.writeString(left.resolve("letter.docx"), "a client's text");
        Path beingMade = Files.createDirectories(within.resolve("swaplane-held-2"));
        Path neverHeld = Files.createDirectories(within.resolve("swaplane-held-3"));
        Files.setLastModifiedTime(neverHeld, FileTime.from(Instant.now().minusSeconds(600)));
        Path somebodyElses = Files.createDirectories(within.resolve("other"));

        try (TemporaryFolder inUse = TemporaryFolder.make(within)) {
            Files.writeString(inUse.path().resolve("letter.docx"), "a client's text");
            TemporaryFolder.tidy(within);

            assertThat(left).doesNotExist();
            assertThat(neverHeld).doesNotExist();
            assertThat(beingMade).exists();
            assertThat(somebodyElses).exists();
            assertThat(inUse.path().resolve("letter.docx")).exists();
        }
    }

    @Test
    void itIsItsOwnersAndGoesWhenItIsClosed() throws IOException {
        TemporaryFolder folder = TemporaryFolder.make(within);
        Files.writeString(folder.path().resolve("letter.docx"), "a client's text");
        if (Set.copyOf(within.getFileSystem().supportedFileAttributeViews()).contains("posix")) {
            assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.path())))
                    .isEqualTo("rwx------");
        }

        folder.close();

        assertThat(folder.path()).doesNotExist();
    }
}
