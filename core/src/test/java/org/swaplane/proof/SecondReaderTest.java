package org.swaplane.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

class SecondReaderTest {
    @TempDir
    private Path folder;

    @ParameterizedTest
    @CsvSource({
        "<!DOCTYPE page><page><p>Pier 3</p></page>, PASS",
        "<!DOCTYPE page [<!ENTITY a 'aaaa'>]><page><p>Pier &a;</p></page>, FAIL",
        "<!DOCTYPE page [<!ENTITY a SYSTEM 'file:///etc/passwd'>]><page><p>Pier 3</p></page>, FAIL",
    })
    void aFileThatBringsEntitiesAlongIsNotPassed(String written, Proof.Verdict verdict) throws IOException {
        Source original = Source.of("page.xml", "<page><p>Pier 3</p></page>".getBytes(StandardCharsets.UTF_8));
        Path before = Files.write(folder.resolve("before.xml"), "<page><p>Pier 3</p></page>".getBytes());
        Path after = Files.writeString(folder.resolve("after.xml"), written);

        assertThat(SecondReader.proof(
                                FormatRegistry.ofInstalled()
                                        .open(original, FileOptions.ofLanguages("en", "de"), Progress.NONE)
                                        .document(),
                                before,
                                after)
                        .orElseThrow()
                        .verdict())
                .isEqualTo(verdict);
    }
}
