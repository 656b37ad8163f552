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
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

class SegmentNotesTest {
    @TempDir
    Path folder;

    private Lane lane;
    private Track track;

    private static Source page(String... paragraphs) {
        String text = "<html lang=\"en\"><body><p>" + String.join("</p><p>", paragraphs) + "</p></body></html>";
        return Source.of("a.html", text.getBytes(StandardCharsets.UTF_8));
    }

    @BeforeEach
    void takeIn() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Spring", FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = lane.trackStore()
                .takeIn(page("Timetable", "Dogs travel free."), FileOptions.ofLanguages("en", "de"), Progress.NONE);
        LaneWriter.await(lane.notes().add(track, key(1), 2, 6, "Cats, too?", "Mara"));
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private String key(int index) {
        return track.now().segment(index).key();
    }

    private List<OwnNote> notes() {
        return lane.notes().of(track);
    }

    @Test
    void notesAreAnsweredSettledAndTakenAwayWithTheirAnswers() {
        LaneWriter.await(lane.notes().answer(track, notes().get(0), "Yes, in boxes.", "Ines"));
        assertThat(notes()).extracting(OwnNote::text).containsExactly("Cats, too?", "Yes, in boxes.");
        assertThat(notes().get(1).answers()).isEqualTo(notes().get(0).id());

        LaneWriter.await(lane.notes().settle(track, notes().get(0), true));
        assertThat(notes()).allMatch(OwnNote::settled);
        LaneWriter.await(lane.notes().settle(track, notes().get(0), false));
        assertThat(notes()).noneMatch(OwnNote::settled);

        LaneWriter.await(lane.notes().remove(track, notes().get(0)));
        assertThat(notes()).isEmpty();
    }

    @Test
    void theyAreThereAfterARestart() throws IOException {
        LaneWriter.await(lane.notes().toggleBookmark(track, key(0)));
        String bookmarked = key(0);
        lane.close();
        lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = lane.tracks().get(0);

        assertThat(notes()).singleElement().satisfies(note -> {
            assertThat(note.author()).isEqualTo("Mara");
            assertThat(List.of(note.start(), note.end())).containsExactly(2, 6);
        });
        assertThat(lane.notes().bookmarks(track)).containsExactly(bookmarked);
        LaneWriter.await(lane.notes().toggleBookmark(track, bookmarked));
        assertThat(lane.notes().bookmarks(track)).isEmpty();
    }

    @Test
    void theyFollowTheirSegmentsIntoAnotherVersionAndBack() throws IOException {
        LaneWriter.await(lane.notes().toggleBookmark(track, key(1)));
        VersionUpdate update = new VersionUpdate(lane);
        update.take(
                update.of(track, page("Timetable", "New in May.", "Dogs travel free."), Progress.NONE),
                VersionUpdate.Choices.DEFAULT);

        assertThat(notes()).singleElement().extracting(OwnNote::key).isEqualTo(key(2));
        assertThat(lane.notes().bookmarks(track)).containsExactly(key(2));
        LaneWriter.await(lane.writer().undo(track));
        assertThat(notes()).singleElement().extracting(OwnNote::key).isEqualTo(key(1));
    }
}
