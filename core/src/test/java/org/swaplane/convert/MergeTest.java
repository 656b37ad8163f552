package org.swaplane.convert;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class MergeTest {
    private static final String JSON = "{ \"a\": \"Leave {name}. \\n Now!\", \"b\": \"Stay\", \"n\": 4 }\n";

    @TempDir
    private Path folder;

    /** The XLIFF made of the JSON, with each source in capitals as its target. */
    private String translated() throws IOException {
        Path json = Files.writeString(folder.resolve("a.json"), JSON);
        Path out = folder.resolve("a.json.xlf");
        NewFile.write(
                out,
                true,
                new Conversion(
                                FormatRegistry.ofInstalled(),
                                FileOptions.ofLanguages("en", "de"),
                                java.util.Optional.empty())
                        .writer(json, out, Progress.NONE));
        String xliff = Files.readString(out);
        for (String word : new String[] {"Leave <ph id=\"1\" dataRef=\"d1\"/>.", "Now!", "Stay"}) {
            xliff = xliff.replace(
                    "<source>" + word + "</source>",
                    "<source>" + word + "</source><target>"
                            + word.replace("Leave", "Geh")
                                    .replace("Now", "Jetzt")
                                    .replace("Stay", "Bleib") + "</target>");
        }
        return xliff;
    }

    private Merge merge(String xliff) throws IOException {
        return new Merge(
                FormatRegistry.ofInstalled(),
                Source.of("a.json", JSON.getBytes(StandardCharsets.UTF_8)),
                Source.of("a.json.xlf", xliff.getBytes(StandardCharsets.UTF_8)),
                Progress.NONE);
    }

    private static String written(Merge merge) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        merge.write(out);
        return out.toString(StandardCharsets.UTF_8);
    }

    @Test
    void theDocumentComesOutWithTheTargetsThatAnotherToolFilledIn() throws IOException {
        Merge merge = merge(translated());

        assertThat(merge.problems()).isEmpty();
        assertThat(written(merge)).isEqualTo("{ \"a\": \"Geh {name}. \\n Jetzt!\", \"b\": \"Bleib\", \"n\": 4 }\n");
    }

    @Test
    void theOlderXliffDoesTheSame() throws IOException {
        Path json = Files.writeString(folder.resolve("a.json"), JSON);
        Path out = folder.resolve("a.json.xlf");
        Conversion older = new Conversion(
                FormatRegistry.ofInstalled(),
                FileOptions.ofLanguages("en", "de"),
                java.util.Optional.of(Conversion.XliffVersion.V1_2));
        NewFile.write(out, true, older.writer(json, out, Progress.NONE));
        String xliff = Files.readString(out);

        String answer = xliff.replaceAll(
                "</seg-source>",
                "</seg-source><target><mrk mtype=\"seg\" mid=\"1\">Geh <ph id=\"1\">{name}</ph>.</mrk> "
                        + "<mrk mtype=\"seg\" mid=\"2\">Jetzt!</mrk></target>");

        assertThat(xliff)
                .contains("<trans-unit id=\"u1\" resname=\"/a\">")
                .contains("<seg-source><mrk mtype=\"seg\" mid=\"1\">Leave <ph id=\"1\">{name}</ph>.</mrk> <mrk")
                .contains("<source>Stay</source>");
        assertThat(written(merge(answer)))
                .isEqualTo("{ \"a\": \"Geh {name}. \\n Jetzt!\", \"b\": \"Stay\", \"n\": 4 }\n");
    }

    @Test
    void anotherCutIsPutInWhole() throws IOException {
        String joined = translated()
                .replaceAll(
                        "(?s)</source><target>Geh(.*?)</target>\\s*</segment>\\s*<segment id=\"s2\"[^>]*>\\s*<source>Now!</source><target>Jetzt!</target>",
                        " Now!</source><target>Geh$1 Jetzt!</target>");

        assertThat(merge(joined).problems()).isEmpty();
        assertThat(written(merge(joined))).contains("\"Geh {name}. Jetzt!\", \"b\": \"Bleib\"");
    }

    @Test
    void whatWasNotTranslatedOrChangedStays() throws IOException {
        Merge merge = merge(translated().replace("<target>Bleib</target>", "").replace("Now!", "Later!"));

        assertThat(merge.problems()).hasSize(1).first().asString().contains("/a");
        assertThat(written(merge)).isEqualTo(JSON);
    }

    @Test
    void aBilingualFileIsNoDocument() {
        assertThatThrownBy(() -> new Merge(
                        FormatRegistry.ofInstalled(),
                        Source.of("a.xlf", translated().getBytes(StandardCharsets.UTF_8)),
                        Source.of("b.xlf", translated().getBytes(StandardCharsets.UTF_8)),
                        Progress.NONE))
                .isInstanceOf(CannotProceedException.class);
    }
}
