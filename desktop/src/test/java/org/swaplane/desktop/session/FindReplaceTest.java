package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.desktop.session.FindReplace.Place;
import org.swaplane.desktop.session.FindReplace.Scope;
import org.swaplane.review.TextSearch;

/** Text is found and replaced as it was looked at, and what else happened stays. */
class FindReplaceTest {
    @TempDir
    private Path folder;

    private SessionBench bench;
    private LaneSession session;

    @BeforeEach
    void open() {
        bench = SessionBench.ofDemo(folder.resolve("lane"));
        session = bench.session;
    }

    @AfterEach
    void close() {
        bench.close();
    }

    private List<Place> find(String text, TextSearch.Where where, Scope scope, List<Integer> listed) {
        List<Place> found = new ArrayList<>();
        bench.run(() -> session.findReplace()
                .find(new TextSearch(text, false, true, true, where), "h", scope, listed, found::addAll));
        bench.settle();
        return found;
    }

    private String target(int index) {
        return bench.on(() -> session.snapshot().target(index).plainText());
    }

    @Test
    void placesAreReplacedInOneStepOfTheFile() {
        List<Place> places = find("Uhr", TextSearch.Where.TARGET, Scope.FILE, List.of());
        assertThat(places).hasSizeGreaterThan(3).allMatch(Place::isReplaceable);
        int first = places.get(0).hit().index();
        String before = target(first);

        bench.run(() -> session.findReplace().replace(places, () -> {}));
        bench.settle();
        assertThat(target(first)).isEqualTo(before.replace("Uhr", "h"));
        assertThat(find("Uhr", TextSearch.Where.TARGET, Scope.FILE, List.of())).isEmpty();

        bench.run(session.editing()::undo);
        bench.settle();
        assertThat(find("Uhr", TextSearch.Where.TARGET, Scope.FILE, List.of())).hasSameSizeAs(places);
    }

    @Test
    void onlyWhatIsListedIsSearchedWhereThatIsMeant() {
        assertThat(find("Uhr", TextSearch.Where.TARGET, Scope.LISTED, List.of(0, 2)))
                .extracting(place -> place.hit().index())
                .containsExactly(2);
        assertThat(find("pier", TextSearch.Where.SOURCE, Scope.LANGUAGE, List.of()))
                .isNotEmpty()
                .noneMatch(Place::isReplaceable);
    }

    @Test
    void whatWasTypedMeanwhileIsNotReplaced() {
        List<Place> places = find("Uhr", TextSearch.Where.TARGET, Scope.LISTED, List.of(2, 3));
        bench.run(() -> session.editing().type(2, Content.of("Inzwischen getippt")));
        bench.settle();

        bench.run(() -> session.findReplace().replace(places, () -> {}));
        bench.settle();

        assertThat(target(2)).isEqualTo("Inzwischen getippt");
        assertThat(target(3)).doesNotContain("Uhr");
        assertThat(bench.message()).contains("one segment");
    }
}
