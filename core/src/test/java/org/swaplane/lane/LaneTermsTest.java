package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermListReader;

class LaneTermsTest {
    @TempDir
    private Path folder;

    private Lane lane;
    private LaneTerms terms;

    @BeforeEach
    void aLaneWithTerms() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Ferries", FormatRegistry.ofInstalled(), Clock.systemUTC());
        terms = lane.terms();
        lane.references().keepTermList(Source.of("client.csv", "en,de\npier,Kai\n".getBytes(StandardCharsets.UTF_8)));
        terms.add("en-GB", "de-DE", "deck", "Deck", false);
        terms.add("en-GB", "de-DE", "deck", "Etage", true);
        terms.add("en-GB", "fr-FR", "deck", "pont", false);
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private List<LaneTerms.Listed> german() throws IOException {
        return terms.all("en-GB", "de-DE");
    }

    @Test
    void allListsAreListedAndOnlyTheLanesOwnCanBeChanged() throws IOException {
        assertThat(german())
                .extracting(LaneTerms.Listed::own, listed -> listed.term().source())
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(false, "pier"),
                        org.assertj.core.groups.Tuple.tuple(true, "deck"));
    }

    @Test
    void aTermGetsOtherWordingsInOneLanguageOnly() throws IOException {
        terms.change(german().get(1), new Term("deck", List.of("Deck", "Fahrgastdeck"), List.of()), "de-DE");

        assertThat(german().get(1).term()).isEqualTo(new Term("deck", List.of("Deck", "Fahrgastdeck"), List.of()));
        assertThat(terms.all("en-GB", "fr-FR"))
                .extracting(listed -> listed.term().preferred())
                .containsExactly(List.of("pont"));
    }

    @Test
    void aTermWithoutWordingsIsTakenOut() throws IOException {
        terms.change(german().get(1), new Term("deck", List.of(), List.of()), "de-DE");

        assertThat(german()).extracting(listed -> listed.term().source()).containsExactly("pier");
        assertThat(terms.all("en-GB", "fr-FR")).hasSize(1);
        terms.change(terms.all("en-GB", "fr-FR").get(0), new Term("x", List.of(), List.of()), "fr-FR");
        assertThat(german()).extracting(LaneTerms.Listed::own).containsExactly(false);
        assertThat(lane.references().checks()).isNotNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"terms.tbx", "terms.csv", "terms.xlsx"})
    void whatIsExportedIsReadAgain(String name) throws IOException {
        Path file = folder.resolve(name);
        List<Term> all = german().stream().map(LaneTerms.Listed::term).toList();
        terms.export(all, "en-GB", "de-DE", file);

        assertThat(TermListReader.read(Source.of(file)).between("en-GB", "de-DE"))
                .containsExactlyElementsOf(all);
    }
}
