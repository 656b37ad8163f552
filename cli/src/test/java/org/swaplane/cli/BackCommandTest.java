package org.swaplane.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What {@code back} applies, leaves and says. */
class BackCommandTest extends CommandTest {
    private static final String FILE = """
            <xliff version="1.2" xmlns="urn:oasis:names:tc:xliff:document:1.2"><file original="a" source-language="en-GB" target-language="de-DE" datatype="plaintext"><body>
            <trans-unit id="u1"><source>Hello {name}</source><target>Hallo {name}</target></trans-unit>
            <trans-unit id="u2"><source>Pier</source><target>Kai</target></trans-unit>
            </body></file></xliff>
            """;

    private Path file;
    private Path copy;

    @BeforeEach
    void writeCopy() throws IOException {
        file = Files.writeString(folder.resolve("a.xlf"), FILE);
        copy = folder.resolve("a.tsv");
        assertThat(run("convert", file, "-o", copy)).isZero();
        String sent = Files.readString(copy);
        Files.writeString(copy, sent.replace("\tHallo {name}", "\tHallo {Name}").replace("\tKai", "\tAnleger"));
    }

    @Test
    void aChangeThatBringsAFindingWaitsAndTheOthersAreApplied() throws IOException {
        Path out = folder.resolve("out.xlf");

        assertThat(run("back", file, copy, "-o", out, "--json")).isEqualTo(1);

        assertThat(json().get("applied").asInt()).isEqualTo(1);
        var change = json().get("changes").get(0);
        assertThat(change.get("case").asText()).isEqualTo("new-finding");
        assertThat(change.get("applied").asBoolean()).isFalse();
        assertThat(change.get("findings").get(0).get("check").asText()).isEqualTo("placeholders");
        assertThat(out).content().contains("Hallo {name}", "Anleger");
    }

    @Test
    void itIsAppliedWhereFindingsAreAccepted() throws IOException {
        Path out = folder.resolve("out.xlf");

        assertThat(run("back", file, copy, "-o", out, "--accept-findings", "--json"))
                .isZero();

        assertThat(json().get("applied").asInt()).isEqualTo(2);
        assertThat(out).content().contains("Hallo {Name}");
    }

    @Test
    void nothingInANameOrTextSteersTheTerminal() throws IOException {
        ByteArrayOutputStream seen = new ByteArrayOutputStream();
        try (var out = TerminalOutput.of(seen)) {
            out.write("a\u001B[31mb\u009Bc\u007Fé\t¢\n".getBytes(StandardCharsets.UTF_8));
        }

        assertThat(seen.toString(StandardCharsets.UTF_8)).isEqualTo("a␛[31mb\uFFFDc␡é\t¢\n");
    }

    @Test
    void whatIsNoFileIsSaidAtOnce() {
        assertThat(run("prove", "")).isEqualTo(2);
        assertThat(complaint().lines()).hasSize(1);
    }
}
