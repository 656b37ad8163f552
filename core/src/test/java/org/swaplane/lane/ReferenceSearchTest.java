package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.memory.MemoryQuery;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.Provenance;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.Progress;
import org.swaplane.terms.Term;

class ReferenceSearchTest {
    private static final Optional<TranslationMemory.Languages> LANGUAGES =
            Optional.of(new TranslationMemory.Languages("en", "de"));

    @TempDir
    Path folder;

    private Lane lane;

    @BeforeEach
    void create() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Spring", FormatRegistry.ofInstalled(), Clock.systemUTC());
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private void add(Lane to, String name, String text) throws IOException {
        to.memories().take(Source.of(name, text.getBytes(StandardCharsets.UTF_8)), Optional.empty(), Progress.NONE);
    }

    private List<ReferenceHit> find(String words, String file) throws IOException {
        return find(lane, MemoryQuery.ofWords(words, false), file);
    }

    private static List<ReferenceHit> find(Lane in, MemoryQuery query, String file) throws IOException {
        return new ReferenceSearch(in).find(query, LANGUAGES, file, 20, Progress.NONE);
    }

    private static List<String> origins(List<ReferenceHit> hits) {
        return hits.stream().map(hit -> hit.unit().origin()).toList();
    }

    @Test
    void termsComeFirstAndFilesByRoleThenByPriority() throws IOException {
        add(lane, "old.csv", "en,de\nThe pier is open.,Der Steg ist offen.\n");
        add(lane, "keys.csv", "en,de\nPier,Anleger\n");
        add(lane, "last.csv", "en,de\nA pier far away,Ein ferner Anleger\n");
        add(lane, "guide.html", "<html lang='en'><p>Write pier, never dock.</p></html>");
        lane.terms().add("en", "de", "pier", "Anleger", false);
        assertThat(origins(find("pier", "")))
                .containsExactly("terms.tbx", "old.csv", "keys.csv", "last.csv", "guide.html");

        lane.referenceFiles().setRole("keys.csv", ReferenceFiles.Role.KEY_LIST);
        lane.referenceFiles().prefer("last.csv");
        lane.referenceFiles().prefer("last.csv");
        assertThat(origins(find("pier", "")))
                .containsExactly("terms.tbx", "keys.csv", "last.csv", "old.csv", "guide.html");
    }

    @Test
    void wordsAreFoundInOtherFormsInTermsAndInTextsOfOneLanguage() throws IOException {
        add(lane, "guide.html", "<html lang='en'><p>Write quay, never dock.</p></html>");
        lane.terms().add("en", "de", "quay", "Kai", false);

        assertThat(find("quays", ""))
                .extracting(ReferenceHit::kind, ReferenceHit::editable)
                .containsExactly(tuple(ReferenceHit.Kind.TERM, false), tuple(ReferenceHit.Kind.TEXT, false));
        assertThat(lane.memories()
                        .search(70)
                        .lookup("en", "de", Content.of("Write quay, never dock."), MemoryUnit.Context.UNKNOWN, 5))
                .isEmpty();
    }

    @Test
    void whatATermMustNotBeCalledIsFoundAndToldApart() throws IOException {
        lane.terms().add("en", "de", new Term("pier", List.of("Anleger"), List.of("Steg")));

        assertThat(find(lane, MemoryQuery.ofWords("steg", true), ""))
                .singleElement()
                .satisfies(hit -> {
                    assertThat(hit.unit().targetWritten()).isEqualTo("Anleger");
                    assertThat(hit.unit().provenance().properties())
                            .containsExactly(new Provenance.Property("forbidden", "Steg"));
                });
    }

    @Test
    void theSamePairIsToldOnceAndCounted() throws IOException {
        Path shared = folder.resolve("team");
        lane.memories().share(shared, 0);
        add(lane, "one.csv", "en,de\nThe pier,Der Anleger\n");
        lane.memories().merge(folder.resolve("lane/memory/imported"), shared.toAbsolutePath(), Progress.NONE);

        assertThat(find("pier", ""))
                .singleElement()
                .extracting(ReferenceHit::count)
                .isEqualTo(2);
    }

    @Test
    void oneFileIsSearchedAloneAndGoesWithItsUnits() throws IOException {
        add(lane, "one.csv", "en,de\nThe pier,Der Anleger\n");
        add(lane, "two.csv", "en,de\nA pier,Ein Anleger\n");

        assertThat(origins(find("pier", "two.csv"))).containsExactly("two.csv");
        lane.memories().removeFile("two.csv");
        assertThat(origins(find("pier", ""))).containsExactly("one.csv");
        assertThat(lane.referenceFiles().all())
                .extracting(ReferenceFiles.Entry::name)
                .containsExactly("one.csv");
    }

    @Test
    void patternsAreMeantOnBothSides() throws IOException {
        add(lane, "one.csv", "en,de\nPier 12 opens,Anleger 12 öffnet\nPier x opens,Anleger x öffnet\n");
        MemoryQuery regex = new MemoryQuery(
                "\\d+", MemoryQuery.Side.BOTH, MemoryQuery.Mode.REGEX, false, MemoryQuery.Kind.ALL, "", "");

        assertThat(find(lane, regex, ""))
                .extracting(hit -> hit.unit().targetWritten())
                .containsExactly("Anleger 12 öffnet");
    }

    @Test
    void anotherLaneCanLookThingsUpInTheSame() throws IOException {
        add(lane, "one.csv", "en,de\nThe pier,Der Anleger\n");
        lane.referenceFiles().setRole("one.csv", ReferenceFiles.Role.APPROVED);
        lane.terms().add("en", "de", "pier", "Anleger", false);
        try (Lane other =
                Lane.create(folder.resolve("other"), "Summer", FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            add(other, "own.csv", "en,de\nOld pier,Alter Anleger\n");

            other.copyReferences(lane);

            assertThat(origins(find(other, MemoryQuery.ofWords("pier", false), "")))
                    .containsExactly("terms.tbx", "one.csv", "own.csv");
        }
    }
}
