package org.swaplane.memory;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.swaplane.content.TagNotation;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

class AlignmentTest {
    private static AlignedDocuments align(String name, String source, String target) throws IOException {
        return AlignedDocuments.of(
                Source.of(name, source.getBytes(StandardCharsets.UTF_8)),
                Source.of(name, target.getBytes(StandardCharsets.UTF_8)),
                "en-GB",
                "de-DE",
                FormatRegistry.ofInstalled(),
                Progress.NONE);
    }

    private static List<String> written(AlignedDocuments aligned) {
        return aligned.pairs().stream()
                .map(pair -> pair.source() + "=" + pair.target())
                .toList();
    }

    @Test
    void sentencesThatWereLeftOutJoinedAndSplitAreFound() throws IOException {
        String source = "Welcome to Skarn.\n\n"
                + "The ferry leaves at 9:00 from pier 2. It returns at 17:30.\n\n"
                + "Berth 77 was closed in 2025, when the storm of 12 January took half of the old harbour wall with it.\n\n"
                + "Dogs travel free on all crossings, and bicycles cost 3.50.\n\n"
                + "Call 0800 1234.\n";
        String target = "Willkommen auf Skarn.\n\n"
                + "Die Fähre legt um 9:00 Uhr von Anleger 2 ab und kehrt um 17:30 Uhr zurück.\n\n"
                + "Hunde reisen auf allen Überfahrten frei. Fahrräder kosten 3,50.\n\n"
                + "Rufen Sie 0800 1234 an.\n";

        AlignedDocuments aligned = align("a.txt", source, target);

        assertThat(written(aligned)).containsExactly("[0]=[0]", "[1, 2]=[1]", "[3]=[]", "[4]=[2, 3]", "[5]=[4]");
        assertThat(aligned.units()).hasSize(4).allMatch(unit -> unit.provenance()
                .aligned());
        assertThat(aligned.pairs()).allMatch(pair -> pair.confidence() >= 0 && pair.confidence() <= 1);
    }

    @Test
    void whatHasTheSameKeyBelongsTogetherInWhateverOrder() throws IOException {
        AlignedDocuments aligned = align(
                "a.json",
                "{\"title\":\"Ferry\",\"only\":\"Not there\",\"close\":\"Close\"}",
                "{\"close\":\"Schließen\",\"title\":\"Fähre\",\"new\":\"Neu\"}");

        assertThat(aligned.units())
                .extracting(MemoryUnit::sourceWritten, MemoryUnit::targetWritten)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("Ferry", "Fähre"),
                        org.assertj.core.groups.Tuple.tuple("Close", "Schließen"));
        assertThat(aligned.pairs()).filteredOn(pair -> !pair.isPair()).hasSize(2);
    }

    @Test
    void ofTwoDocumentsOfWhichOneIsLongEverySegmentIsThereOnce() throws IOException {
        StringBuilder source = new StringBuilder();
        for (int i = 0; i < 900; i++) {
            source.append("Ferry number ").append(i).append(" leaves.\n\n");
        }

        List<AlignedPair> pairs =
                align("a.txt", source.toString(), "Fähre 450 legt ab.\n").pairs();

        assertThat(pairs.stream().flatMap(pair -> pair.source().stream()))
                .hasSize(900)
                .doesNotHaveDuplicates();
        assertThat(pairs.stream().flatMap(pair -> pair.target().stream())).containsExactly(0);
    }

    @Test
    void whatIsWrittenIsReadAsAlignedAndCostsPoints() throws IOException {
        ByteArrayOutputStream tmx = new ByteArrayOutputStream();
        MemoryTransfer.write(
                align("a.html", "<p>See <b>pier 3</b></p>", "<p>Siehe <b>Pier 3</b></p>")
                        .units(),
                tmx);
        java.nio.file.Path folder = java.nio.file.Files.createTempDirectory("memory");

        try (TranslationMemory memory = TranslationMemory.openForWriting(folder)) {
            MemoryTransfer.addMemory(
                    Source.of("m.tmx", tmx.toByteArray()), FormatRegistry.ofInstalled(), memory, Progress.NONE);
            memory.commit();
            MemoryMatch match = memory.lookup(
                            "en-GB",
                            "de-DE",
                            TagNotation.readSource("See ⟦1⟧pier 3⟦/1⟧"),
                            MemoryUnit.Context.UNKNOWN,
                            70,
                            5)
                    .get(0);

            assertThat(match.unit().targetWritten()).isEqualTo("Siehe ⟦1⟧Pier 3⟦/1⟧");
            assertThat(match.penalties()).containsOnlyKeys("aligned");
            assertThat(match.score()).isEqualTo(97);
        }
    }
}
