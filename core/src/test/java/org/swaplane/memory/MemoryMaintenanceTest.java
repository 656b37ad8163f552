package org.swaplane.memory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.memory.MemoryQuery.Kind;
import org.swaplane.memory.MemoryQuery.Mode;
import org.swaplane.memory.MemoryQuery.Side;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** What a memory is searched for when it is tidied up, and what is done with what was found. */
class MemoryMaintenanceTest {
    @TempDir
    private Path folder;

    private TranslationMemory memory;

    @BeforeEach
    void aMemory() throws IOException {
        memory = TranslationMemory.openForWriting(folder.resolve("m"));
        add("Dogs travel free.", "Hunde fahren gratis.", "Mara Lind", "2026-03-01T10:00:00Z");
        add("Dogs travel free.", "Hunde reisen kostenlos.", "Ines Falk", "2026-06-01T10:00:00Z");
        add("The ⟦1⟧dog⟦/1⟧ deck", "Das ⟦1⟧Hundedeck⟦/1⟧", "Mara Lind", "2026-07-01T10:00:00Z");
        add("Press ⟦1/⟧ now", "Jetzt druecken", "Mara Lind", "2026-08-01T10:00:00Z");
        add("Fare: 12.50 (return)", "Preis: 12,50 (Rückfahrt)", "Ines Falk", "");
        memory.commit();
    }

    @AfterEach
    void close() throws IOException {
        memory.close();
    }

    private void add(String source, String target, String who, String at) throws IOException {
        var read = TagNotation.readSource(source);
        memory.add(new MemoryUnit(
                "en-GB",
                "de-DE",
                read,
                TagNotation.read(target, read).content(),
                MemoryUnit.Context.UNKNOWN,
                Provenance.by(who, at, "client.tmx")));
    }

    private List<String> found(MemoryQuery query) throws IOException {
        return memory.find(query, Optional.empty(), 100, Progress.NONE).stream()
                .map(MemoryUnit::targetWritten)
                .sorted()
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "free dogs|SOURCE|WORDS|false|2",
                "hunde|BOTH|WORDS|false|3",
                "hunde|TARGET|EXACTLY|true|0",
                "Hunde r|TARGET|EXACTLY|true|1",
                "12.50 (|SOURCE|EXACTLY|false|1",
                "dog*|SOURCE|WILDCARDS|false|3",
                "dog?|SOURCE|WILDCARDS|false|2",
                "dog|SOURCE|WILDCARDS|false|1",
                "\\d+[.,]\\d\\d|BOTH|REGEX|false|1",
                "''|BOTH|WORDS|false|5",
            })
    void textIsSearchedAsItIsMeant(String text, Side side, Mode mode, boolean matchCase, int hits) throws IOException {
        assertThat(found(new MemoryQuery(text, side, mode, matchCase, Kind.ALL, "", "")))
                .hasSize(hits);
    }

    @Test
    void wordsAreFoundInOtherFormsToo() throws IOException {
        Optional<TranslationMemory.Languages> german = Optional.of(new TranslationMemory.Languages("en", "de-DE"));
        assertThat(memory.find(MemoryQuery.ofWords("dog decks", false), german, 10, Progress.NONE))
                .hasSize(1);
        assertThat(memory.find(MemoryQuery.ofWords("fares return", false), german, 10, Progress.NONE))
                .hasSize(1);
        assertThat(memory.find(MemoryQuery.ofWords("rückfahrten preise", true), german, 10, Progress.NONE))
                .hasSize(1);
        assertThat(memory.find("fares", false, 10))
                .as("in a memory of one language it need not be said")
                .hasSize(1);
        assertThat(memory.find(MemoryQuery.ofWords("dogma", false), german, 10, Progress.NONE))
                .isEmpty();
    }

    @Test
    void theLongestKnownPartOfATextIsFound() throws IOException {
        TranslationMemory.Languages german = new TranslationMemory.Languages("en", "de");
        assertThat(memory.fragment(german, Content.of("On Sundays, dogs travel free on all decks.")))
                .hasValueSatisfying(part -> {
                    assertThat(part.words()).isEqualTo("dogs travel free");
                    assertThat(part.unit().targetWritten()).startsWith("Hunde");
                });
        assertThat(memory.fragment(german, Content.of("Dogs, free of charge, travel.")))
                .isEmpty();
        assertThat(memory.fragment(
                        new TranslationMemory.Languages("en", "fr"), Content.of("Dogs travel free on Sundays.")))
                .isEmpty();
    }

    @Test
    void anExpressionThatIsNoneIsSaid() {
        assertThatThrownBy(() -> found(new MemoryQuery("(", Side.BOTH, Mode.REGEX, false, Kind.ALL, "", "")))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("regular expression");
    }

    @Test
    void anExpressionThatFindsNoEndIsStoppedAndSaid() throws IOException {
        add("x".repeat(60), "y", "Mara Lind", "");
        memory.commit();
        assertThatThrownBy(
                        () -> found(new MemoryQuery("(x+x+)+\\1y", Side.SOURCE, Mode.REGEX, false, Kind.ALL, "", "")))
                .isInstanceOf(CannotProceedException.class);
    }

    @Test
    void doubtfulUnitsAndThoseOfSomebodyAreFound() throws IOException {
        assertThat(found(new MemoryQuery("", Side.BOTH, Mode.WORDS, false, Kind.SEVERAL_TARGETS, "", "")))
                .containsExactly("Hunde fahren gratis.", "Hunde reisen kostenlos.");
        assertThat(found(new MemoryQuery("", Side.BOTH, Mode.WORDS, false, Kind.OTHER_TAGS, "", "")))
                .containsExactly("Jetzt druecken");
        assertThat(found(new MemoryQuery("", Side.BOTH, Mode.WORDS, false, Kind.ALL, "falk", "2026-05-01")))
                .containsExactly("Hunde reisen kostenlos.");
    }

    @Test
    void targetsAreReplacedAroundTheirTagsAndItCanBeTakenBack() throws IOException {
        MemoryQuery dogs = new MemoryQuery("Hunde", Side.TARGET, Mode.EXACTLY, true, Kind.ALL, "", "");
        List<MemoryUnit> units = memory.find(dogs, Optional.empty(), 100, Progress.NONE);
        List<String> before = found(MemoryQuery.ofWords("", false));

        MemoryEdit.Undo undo = MemoryEdit.replacing(
                        units, Pattern.compile("Hunde"), "Haustier$e", false, "Mara Lind", "2026-11-29T10:00:00Z")
                .apply(memory);

        assertThat(found(MemoryQuery.ofWords("", false)))
                .contains("Haustier$e fahren gratis.", "Das ⟦1⟧Haustier$edeck⟦/1⟧")
                .hasSameSizeAs(before);
        undo.apply(memory);
        assertThat(found(MemoryQuery.ofWords("", false))).isEqualTo(before);
    }

    @Test
    void whatBecomesTheSameAsAnotherUnitIsThereOnceAndBothComeBack() throws IOException {
        List<MemoryUnit> units = memory.find(
                new MemoryQuery("fahren gratis", Side.TARGET, Mode.EXACTLY, false, Kind.ALL, "", ""),
                Optional.empty(),
                10,
                Progress.NONE);

        MemoryEdit.Undo undo = MemoryEdit.of(units.get(0), "Hunde reisen kostenlos.", "Mara Lind", "2026-11-29")
                .apply(memory);
        assertThat(memory.size()).isEqualTo(4);
        undo.apply(memory);
        assertThat(memory.size()).isEqualTo(5);

        MemoryEdit.Undo removed = MemoryEdit.without(units).apply(memory);
        assertThat(memory.size()).isEqualTo(4);
        removed.apply(memory);
        assertThat(memory.size()).isEqualTo(5);
    }
}
