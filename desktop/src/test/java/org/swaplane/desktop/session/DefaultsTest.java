package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.format.FileOptions;

class DefaultsTest {
    @TempDir
    private Path folder;

    @Test
    void theLanguagesOfOneLaneAreThoseThatTheNextBeginsWith() {
        Path file = folder.resolve("not there yet").resolve("defaults.properties");
        Defaults.in(file).rememberLanguages("en-GB", "de-DE");

        assertThat(Defaults.in(file).languages()).isEqualTo(FileOptions.ofLanguages("en-GB", "de-DE"));
    }

    @Test
    void whatCannotBeReadOrKeptIsNoReasonToStop() throws IOException {
        Path broken = Files.writeString(folder.resolve("broken"), "source=\\u12\n");
        Defaults defaults = Defaults.in(broken);

        assertThat(defaults.languages()).isEqualTo(FileOptions.NONE);
        Defaults.in(broken.resolve("in a file")).rememberLanguages("en", "de");
    }
}
