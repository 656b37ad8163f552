package org.swaplane.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.Lane;
import org.swaplane.task.Progress;

class OutlineTest {
    @TempDir
    Path folder;

    private List<Outline.Entry> outline(String name, String text) throws IOException {
        try (Lane lane = Lane.create(folder.resolve(name), "x", FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            return Outline.of(lane.trackStore()
                    .takeIn(
                            Source.of(name, text.getBytes(StandardCharsets.UTF_8)),
                            FileOptions.ofLanguages("en", "de"),
                            Progress.NONE)
                    .now());
        }
    }

    @Test
    void headingsStandBelowEachOther() throws IOException {
        assertThat(outline(
                        "a.html",
                        "<html lang=\"en\"><body><h1>Fares</h1><p>All fares.</p><h2>Adults</h2><p>Nine pounds.</p><p>Ten by car.</p>"
                                + "<h2>Dogs</h2><p>free</p><h1>Piers</h1><p>Three.</p></body></html>"))
                .extracting(Outline.Entry::level, Outline.Entry::title, Outline.Entry::first)
                .containsExactly(
                        tuple(1, "Fares", 0), tuple(2, "Adults", 2), tuple(2, "Dogs", 5), tuple(1, "Piers", 7));
    }

    @Test
    void groupsOfKeysAreCountedToTheNextOne() throws IOException {
        assertThat(outline("a.properties", "menu.open=Open\nmenu.close=Close\npage.title=Fares\n"))
                .extracting(Outline.Entry::title, Outline.Entry::segments, Outline.Entry::open)
                .containsExactly(tuple("menu", 2, 2), tuple("page", 1, 1));
    }

    @Test
    void whatAllNamesBeginWithIsLeftOut() throws IOException {
        String group = "<group id='%s'><trans-unit id='%s'><source>Pier</source></trans-unit></group>";
        assertThat(outline(
                        "a.xlf",
                        "<xliff version='1.2'><file original='app/en.json' source-language='en' target-language='de'"
                                + " datatype='x'><body>" + group.formatted("menu", "a") + group.formatted("page", "b")
                                + "</body></file></xliff>"))
                .extracting(Outline.Entry::title)
                .containsExactly("menu", "page");
    }

    @Test
    void aDocumentOfOnePieceHasNone() throws IOException {
        assertThat(outline("a.txt", "Fares are new.\n\nPiers are old.\n")).isEmpty();
    }
}
