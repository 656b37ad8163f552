package org.swaplane.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.BilingualDocument;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.BilingualFormat;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Head;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Source;
import org.swaplane.format.xliff12.Xliff12Format;
import org.swaplane.task.Progress;

class DryRunTest {
    @TempDir
    private Path folder;

    /** XLIFF 1.2 with a writer that spoils what it writes. */
    private record FaultyFormat(UnaryOperator<String> fault) implements BilingualFormat {
        @Override
        public String id() {
            return "faulty";
        }

        @Override
        public boolean recognises(Head head) {
            return true;
        }

        @Override
        public BilingualFile read(Source source, FileOptions options, Progress progress) throws IOException {
            BilingualFile sound = new Xliff12Format().read(source, options, progress);
            return new BilingualFile() {
                @Override
                public BilingualDocument document() {
                    return sound.document();
                }

                @Override
                public void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
                    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
                    sound.write(edits, bytes, progress);
                    out.write(
                            fault.apply(bytes.toString(StandardCharsets.UTF_8)).getBytes(StandardCharsets.UTF_8));
                }
            };
        }
    }

    private DryRunResult run(FormatRegistry formats) throws IOException {
        Source source = Source.of(DemoLane.FILE, DemoLane.file());
        return DryRun.withDefaults(formats).run(source, FileOptions.NONE, folder.resolve("pseudo.xlf"), Progress.NONE);
    }

    private List<String> failedWith(UnaryOperator<String> fault) throws IOException {
        return run(new FormatRegistry(List.of(new FaultyFormat(fault)))).proofs().stream()
                .filter(proof -> proof.verdict() == Proof.Verdict.FAIL)
                .map(Proof::id)
                .toList();
    }

    @Test
    void everyProofHoldsForASoundFile() throws IOException {
        DryRunResult result = run(FormatRegistry.ofInstalled());

        assertThat(result.verdict()).isEqualTo(Proof.Verdict.PASS);
        assertThat(result.proofs()).hasSize(9);
        assertThat(folder).isDirectoryNotContaining("glob:**.tmp");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            a.po   | msgid "Go {name}"%nmsgstr ""%n%nmsgid "Stay"%nmsgstr "Bleib"%n
            a.json | {"en": {"a": "Go {name}", "b": "Stay"}, "de": {"b": "Bleib"}}
            a.csv  | en,de,note%nGo {name},,x%nStay,Bleib,%n
            """)
    void bilingualFilesThatAreNoXmlAreProvenToo(String name, String text) throws IOException {
        Source source = Source.of(name, text.replace("%n", "\n").getBytes(StandardCharsets.UTF_8));

        DryRunResult result = DryRun.withDefaults(FormatRegistry.ofInstalled())
                .run(source, FileOptions.ofLanguages("en", "de"), folder.resolve("pseudo"), Progress.NONE);

        assertThat(result.proofs()).allMatch(proof -> proof.verdict() == Proof.Verdict.PASS);
    }

    @Test
    void lockedSegmentsStayAsTheyAre() throws IOException {
        DryRunResult result = run(FormatRegistry.ofInstalled());

        assertThat(result.pseudo().segments())
                .filteredOn(segment -> segment.locked())
                .extracting(segment -> segment.target().plainText())
                .containsExactly("GBP", "Marram Sound Ferries", "Version 4.12.0");
    }

    @Test
    void aWriterThatChangesWhiteSpaceIsFound() throws IOException {
        assertThat(failedWith(text -> text.replace("<body>\n", "<body>\n\n"))).contains("identity");
    }

    @Test
    void aWriterThatDropsTagsIsFound() throws IOException {
        assertThat(failedWith(text -> text.replaceAll("<x id=\"2\"[^>]*/>(?=[^<]*\\]</target>)", "")))
                .contains("survival");
    }

    @Test
    void aWriterThatDropsForeignAttributesIsFound() throws IOException {
        assertThat(failedWith(text -> text.contains("[Ţîɱé") ? text.replace(" h:screen=\"fares-7\"", "") : text))
                .containsExactly("return");
    }
}
