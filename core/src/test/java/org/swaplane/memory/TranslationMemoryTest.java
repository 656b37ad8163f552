package org.swaplane.memory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.compare.EditDistance;
import org.swaplane.compare.Symbols;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class TranslationMemoryTest {
    private static final String[] WORDS =
            ("ferry leaves pier tide harbour island ticket crossing passenger winter summer timetable"
                            + " dogs bicycles cabin deck weather delay captain gangway luggage child adult return single fare office")
                    .split(" ");

    @TempDir
    Path folder;

    private static BilingualFile file(String... units) throws IOException {
        String text = "<xliff version=\"1.2\"><file original=\"a\" source-language=\"en-GB\" target-language=\"de-DE\""
                + " datatype=\"plaintext\"><body>" + String.join("", units) + "</body></file></xliff>";
        return FormatRegistry.ofInstalled()
                .open(Source.of("a.xlf", text.getBytes(StandardCharsets.UTF_8)), FileOptions.NONE, Progress.NONE);
    }

    private static String unit(String id, String source, String target) {
        return "<trans-unit id=\"" + id + "\"><source>" + source + "</source>"
                + (target.isEmpty() ? "" : "<target state=\"translated\">" + target + "</target>") + "</trans-unit>";
    }

    private TranslationMemory memoryOf(BilingualDocument document) throws IOException {
        TranslationMemory memory = TranslationMemory.openForWriting(folder.resolve("m"));
        MemoryTransfer.add(document, "a.xlf", memory, Progress.NONE);
        memory.commit();
        return memory;
    }

    private static List<MemoryMatch> lookup(TranslationMemory memory, String text, int least) throws IOException {
        return memory.lookup("en-GB", "de-DE", TagNotation.readSource(text), MemoryUnit.Context.UNKNOWN, least, 10);
    }

    @Test
    void whatIsImportedTwiceIsThereOnceAndComesOutAsItWentIn() throws IOException {
        BilingualDocument document = file(
                        unit("1", "Leaves at <g id=\"4\">9:00</g>.", "Ab <g id=\"4\">9:00</g>."),
                        unit("2", "Dogs", "Hunde"),
                        unit("3", "Cats", ""))
                .document();
        try (TranslationMemory memory = memoryOf(document)) {
            MemoryTransfer.add(document, "a.xlf", memory, Progress.NONE);
            memory.commit();
            assertThat(memory.size()).isEqualTo(2);

            ByteArrayOutputStream tmx = new ByteArrayOutputStream();
            MemoryTransfer.write(memory, tmx);
            BilingualDocument out = FormatRegistry.ofInstalled()
                    .open(Source.of("m.tmx", tmx.toByteArray()), FileOptions.NONE, Progress.NONE)
                    .document();
            assertThat(out.segments())
                    .extracting(segment -> TagNotation.write(segment.target(), segment.source()))
                    .containsExactlyInAnyOrder("Ab ⟦1⟧9:00⟦/1⟧.", "Hunde");
            MemoryTransfer.add(out, "m.tmx", memory, Progress.NONE);
            memory.commit();
            assertThat(memory.size()).isEqualTo(2);
        }
    }

    @Test
    void scoresAreTheSimilarityLessThePenalties() throws IOException {
        BilingualDocument document = file(
                        unit("1", "Dogs travel free.", "Hunde reisen frei."),
                        unit("2", "Dogs travel free.", "Hunde fahren gratis."),
                        unit("3", "Cats stay at home.", "Katzen bleiben zu Hause."))
                .document();
        try (TranslationMemory memory = memoryOf(document)) {
            assertThat(lookup(memory, "Dogs travel free.", 70)).hasSize(2).allSatisfy(match -> {
                assertThat(match.kind()).isEqualTo(MemoryMatch.Kind.EXACT);
                assertThat(match.score()).isEqualTo(99);
                assertThat(match.penalties()).containsEntry("several-targets", 1);
            });
            MemoryMatch region = memory.lookup(
                            "en-US", "de-AT", Content.of("Cats stay at home."), MemoryUnit.Context.UNKNOWN, 70, 5)
                    .get(0);
            assertThat(region.score()).isEqualTo(99);
            assertThat(region.penalties()).containsEntry("region", 1);
            assertThat(lookup(memory, "Cats stay at homes.", 70).get(0).score()).isEqualTo(94);
            assertThat(lookup(memory, "", 30)).isEmpty();
            assertThat(memory.lookup("en", "fr", Content.of("Dogs travel free."), MemoryUnit.Context.UNKNOWN, 30, 5))
                    .isEmpty();
        }
    }

    @Test
    void theBestMatchIsThatOfBruteForce() throws IOException {
        Random random = new Random(5);
        List<String> sources = new ArrayList<>();
        List<String> units = new ArrayList<>();
        for (int i = 0; i < 1000; i++) {
            sources.add(sentence(random));
            units.add(unit("u" + i, sources.get(i), "Ziel " + i));
        }
        int missed = 0;
        int asked = 0;
        try (TranslationMemory memory =
                memoryOf(file(units.toArray(String[]::new)).document())) {
            for (int i = 0; i < 150; i++) {
                String query = edited(sources.get(random.nextInt(sources.size())), random);
                int[] symbols = symbols(query);
                int best = sources.stream()
                        .mapToInt(source -> EditDistance.similarity(symbols(source), symbols))
                        .max()
                        .orElseThrow();
                if (best >= 70) {
                    asked++;
                    List<MemoryMatch> found = lookup(memory, query, 70);
                    int score = found.isEmpty()
                            ? 0
                            : found.get(0).score()
                                    + found.get(0).penalties().values().stream()
                                            .mapToInt(Integer::intValue)
                                            .sum();
                    assertThat(score).isLessThanOrEqualTo(best);
                    missed += score == best ? 0 : 1;
                }
            }
        }
        assertThat(asked).isGreaterThan(60);
        assertThat(missed).isLessThanOrEqualTo(asked / 200);
    }

    private static int[] symbols(String text) {
        return Symbols.of(Content.of(text), Content.of(text));
    }

    private static String sentence(Random random) {
        StringBuilder text = new StringBuilder();
        for (int n = 1 + random.nextInt(12); n > 0; n--) {
            text.append(WORDS[random.nextInt(WORDS.length)]).append(' ');
        }
        return text.append(random.nextInt(100)).toString();
    }

    private static String edited(String text, Random random) {
        StringBuilder edited = new StringBuilder(text);
        for (int n = random.nextInt(1 + text.length() / 6); n > 0; n--) {
            int at = random.nextInt(edited.length());
            switch (random.nextInt(3)) {
                case 0 -> edited.deleteCharAt(at);
                case 1 -> edited.insert(at, (char) ('a' + random.nextInt(26)));
                default -> edited.setCharAt(at, (char) ('a' + random.nextInt(26)));
            }
        }
        return edited.toString().strip();
    }

    @Test
    void oneWritesWhileOthersReadWhatWasCommitted() throws IOException {
        Path there = folder.resolve("m");
        try (TranslationMemory memory =
                        memoryOf(file(unit("1", "Dogs", "Hunde")).document());
                TranslationMemory reading = TranslationMemory.open(there)) {
            assertThat(reading.size()).isEqualTo(1);
            assertThatThrownBy(() -> TranslationMemory.openForWriting(there))
                    .isInstanceOf(CannotProceedException.class)
                    .hasMessageContaining("another program writes");
        }
        assertThatThrownBy(() -> TranslationMemory.open(folder.resolve("none")))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("there is no memory");
    }

    @Test
    void wordsAreFoundInSourcesAndTargets() throws IOException {
        try (TranslationMemory memory =
                memoryOf(file(unit("1", "Dogs on deck", "Hunde an Deck"), unit("2", "Deck of dogs", "Deck der Hunde"))
                        .document())) {
            assertThat(memory.find("dogs on deck", false, 10)).hasSize(1);
            assertThat(memory.find("Deck der", true, 10)).hasSize(1);
            assertThat(memory.find("hunde", true, 10)).hasSize(2);
            assertThat(memory.find("  ", true, 10)).isEmpty();
        }
    }

    @Test
    void anExactMatchWithoutTheTagsOfItsSourceIsOnlyProposed() throws IOException {
        BilingualDocument known = file(
                        unit("1", "Two <x id=\"1\"/>", "Zwei"),
                        unit("2", "Four <x id=\"1\"/>", "Vier"),
                        unit("3", "Four <x id=\"1\"/>", "Vier <x id=\"1\"/>"),
                        unit("4", "Five", "Fünf <x id=\"1\"/>"))
                .document();
        BilingualFile open =
                file(unit("a", "Two <x id=\"9\"/>", ""), unit("b", "Four <x id=\"9\"/>", ""), unit("c", "Five", ""));
        try (TranslationMemory memory = memoryOf(known)) {
            Filling.Outcome outcome = new Filling(MemoryUse.of(List.of(memory)), 80, Filling.Over.EMPTY)
                    .of(open.document(), Progress.NONE);

            assertThat(outcome.edits())
                    .filteredOn(edit -> edit.proposal().isEmpty())
                    .extracting(edit -> edit.target().withCodes())
                    .containsExactly("Vier <x id=\"9\"/>");
        }
    }

    @Test
    void contextAndExactMatchesFillAndFuzzyOnesAreProposed() throws IOException {
        BilingualDocument known = file(
                        unit("1", "One", "Eins"),
                        unit("2", "Two <x id=\"1\"/>", "Zwei <x id=\"1\"/>"),
                        unit("3", "Three", "Drei"),
                        unit("4", "A longer sentence here", "Ein längerer Satz"))
                .document();
        BilingualFile open = file(
                unit("a", "One", ""),
                unit("b", "Two <x id=\"9\"/>", ""),
                unit("c", "Three", ""),
                unit("d", "A longer sentence there", ""),
                unit("e", "One", "Schon da"));
        try (TranslationMemory memory = memoryOf(known)) {
            Filling.Outcome outcome = new Filling(MemoryUse.of(List.of(memory)), 80, Filling.Over.EMPTY)
                    .of(open.document(), Progress.NONE);

            assertThat(outcome.filled())
                    .containsEntry(MemoryMatch.Kind.CONTEXT, 2)
                    .containsEntry(MemoryMatch.Kind.EXACT, 1);
            assertThat(outcome.skipped()).containsEntry(Filling.Skipped.TRANSLATED, 1);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            open.write(outcome.edits(), out, Progress.NONE);
            List<Segment> segments = FormatRegistry.ofInstalled()
                    .open(Source.of("a.xlf", out.toByteArray()), FileOptions.NONE, Progress.NONE)
                    .document()
                    .segments();
            assertThat(segments.get(1).target().withCodes()).isEqualTo("Zwei <x id=\"9\"/>");
            assertThat(segments.get(1).state()).isEqualTo(State.TRANSLATED);
            assertThat(segments.get(3).target()).isEqualTo(Content.EMPTY);
            assertThat(segments.get(3).proposals()).hasSize(1);
        }
    }

    @Test
    void eachSegmentIsInOneBandAndTheBandsAddUp() throws IOException {
        BilingualDocument known = file(unit("1", "Dogs travel free", "Hunde frei"), unit("2", "Other", "Anderes"))
                .document();
        BilingualDocument first = file(
                        unit("a", "Dogs travel free", ""),
                        unit("b", "Dogs travel free", ""),
                        unit("c", "Dogs travel for free", ""),
                        unit("d", "Nothing like it", ""),
                        unit("e", "Done", "Fertig"),
                        "<trans-unit id=\"f\" translate=\"no\"><source>No</source></trans-unit>")
                .document();
        BilingualDocument second = file(unit("z", "Nothing like it", ""), unit("y", "Nothing like it", ""))
                .document();
        try (TranslationMemory memory = memoryOf(known)) {
            WordAnalysis analysis = new WordAnalysis(MemoryUse.of(List.of(memory)));
            WordAnalysis.FileWords words = analysis.next(first, Progress.NONE);
            var one = words.amounts();
            var two = analysis.next(second, Progress.NONE).amounts();

            assertThat(one.get(WordAnalysis.Band.EXACT).words()).isEqualTo(3);
            assertThat(one.get(WordAnalysis.Band.REPETITION).segments()).isEqualTo(1);
            assertThat(one.get(WordAnalysis.Band.FROM_75).segments()).isEqualTo(1);
            assertThat(one.get(WordAnalysis.Band.NONE).segments()).isEqualTo(1);
            assertThat(one.get(WordAnalysis.Band.TRANSLATED).segments()).isEqualTo(1);
            assertThat(one.get(WordAnalysis.Band.LOCKED).segments()).isEqualTo(1);
            assertThat(two.get(WordAnalysis.Band.CROSS_FILE_REPETITION).segments())
                    .isEqualTo(1);
            assertThat(two.get(WordAnalysis.Band.REPETITION).segments()).isEqualTo(1);
            assertThat(one.values().stream()
                            .mapToInt(WordAnalysis.Amount::segments)
                            .sum())
                    .isEqualTo(first.segments().size());
            one.forEach((band, amount) ->
                    assertThat(words.bands().stream().filter(band::equals)).hasSize(amount.segments()));
        }
    }

    @Test
    void whatATmxFileSaysOfItsUnitsComesOutAgain() throws IOException {
        String tmx = "<tmx version=\"1.4\"><header srclang=\"en-GB\"/><body><tu creationid=\"jo\""
                + " creationdate=\"20260401T101500Z\" changeid=\"mara\" changedate=\"20260402T101500Z\">"
                + "<note>Sign at pier 3</note><prop type=\"x-project\">Spring</prop>"
                + "<tuv xml:lang=\"en-GB\"><seg>Dogs</seg></tuv><tuv xml:lang=\"de-DE\"><seg>Hunde</seg></tuv>"
                + "<tuv xml:lang=\"fr-FR\"><seg>Chiens</seg></tuv></tu></body></tmx>";
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (TranslationMemory memory = TranslationMemory.openForWriting(folder.resolve("m"))) {
            Source file = Source.of("client.tmx", tmx.getBytes(StandardCharsets.UTF_8));
            MemoryTransfer.addMemory(file, FormatRegistry.ofInstalled(), memory, Progress.NONE);
            MemoryTransfer.addMemory(file, FormatRegistry.ofInstalled(), memory, Progress.NONE);
            memory.commit();
            assertThat(memory.languages()).containsOnly(Map.entry("en-GB>de-DE", 1), Map.entry("en-GB>fr-FR", 1));
            assertThat(memory.find("dogs", false, 10)).hasSize(2);
            assertThat(memory.find("dogs", false, "en-US", "fr", 10))
                    .extracting(MemoryUnit::targetWritten)
                    .containsExactly("Chiens");
            MemoryTransfer.write(memory, out);
        }

        assertThat(out.toString(StandardCharsets.UTF_8))
                .contains("creationid=\"jo\"", "creationdate=\"20260401T101500Z\"", "changeid=\"mara\"")
                .contains("<note>Sign at pier 3</note>", "<prop type=\"x-project\">Spring</prop>");
    }

    @Test
    void numbersThatDifferOnlyArePutInPlaceInTheTargetsNotation() throws IOException {
        BilingualDocument document = file(
                        unit("1", "Tickets cost 2.50 from 9:00.", "Ab 9:00 Uhr kosten Fahrkarten 2,50."),
                        unit("2", "Pier 2 and pier 3.", "Pier 3 und Pier 2."))
                .document();
        try (TranslationMemory memory = memoryOf(document)) {
            Content source = TagNotation.readSource("Tickets cost 1,200.75 from 10:30.");
            MemoryMatch match = memory.lookup("en-GB", "de-DE", source, MemoryUnit.Context.UNKNOWN, 60, 1)
                    .get(0);

            assertThat(Adaptation.of(match, source).orElseThrow().plainText())
                    .isEqualTo("Ab 10:30 Uhr kosten Fahrkarten 1.200,75.");
            Content other = TagNotation.readSource("Boats cost 2.50 from 9:00.");
            assertThat(Adaptation.of(
                            memory.lookup("en-GB", "de-DE", other, MemoryUnit.Context.UNKNOWN, 60, 1)
                                    .get(0),
                            other))
                    .isEmpty();
        }
    }
}
