package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.lane.OwnNote;

class AnnotationsTest {
    @TempDir
    private Path folder;

    private SessionBench bench;
    private LaneSession session;
    private String key;

    @BeforeEach
    void open() {
        bench = SessionBench.ofDemo(folder.resolve("lane"));
        session = bench.session;
        key = bench.on(() -> session.snapshot().segment(2).key());
    }

    @AfterEach
    void close() {
        bench.close();
    }

    @Test
    void whatSomebodyNotesIsThereForTheSegmentAndForNoOther() {
        bench.run(() -> session.annotations().add(key, 0, 3, "Die oder der?"));
        bench.until(() -> session.annotations().of(key).size() == 1);
        OwnNote note = bench.on(() -> session.annotations().of(key).get(0));
        assertThat(note.author()).isEqualTo(session.lane().settings().person());
        assertThat(note.hasSpan()).isTrue();

        bench.run(() -> session.annotations().answer(note, "Die."));
        bench.until(() -> session.annotations().of(key).size() == 2);
        bench.run(() -> session.annotations().settle(note, true));
        bench.until(() -> session.annotations().of(key).stream().allMatch(OwnNote::settled));
        String other = bench.on(() -> session.snapshot().segment(3).key());
        assertThat(bench.on(() -> session.annotations().of(other))).isEmpty();
    }

    @Test
    void aBookmarkComesAndGoesByTheSameCommand() {
        bench.run(() -> session.annotations().toggleBookmark(key));
        bench.until(() -> session.annotations().isBookmarked(key));
        bench.run(() -> session.annotations().toggleBookmark(key));
        bench.until(() -> !session.annotations().isBookmarked(key));
    }
}
