package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.CheckRun;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Where a track's file lay, when it is due, and whether it is on the board. */
class TrackPlanTest {
    private static final Source PAGE =
            Source.of("page.html", "<p>The ferry leaves.</p>".getBytes(StandardCharsets.UTF_8));

    @TempDir
    private Path folder;

    private Lane lane;

    @BeforeEach
    void open() throws IOException {
        lane = Lane.isIn(folder)
                ? Lane.open(folder, FormatRegistry.ofInstalled(), Clock.systemUTC())
                : Lane.create(folder, "Marram Sound Ferries", FormatRegistry.ofInstalled(), Clock.systemUTC());
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private Track takeIn(String inFolder, String language) throws IOException {
        return lane.trackStore().takeIn(PAGE, inFolder, FileOptions.ofLanguages("en", language), Progress.NONE);
    }

    @Test
    void aDocumentBecomesATrackForEachLanguageAndOnlyOne() throws IOException {
        takeIn("", "de-DE");
        takeIn("", "fr-FR");

        assertThat(lane.tracks())
                .extracting(track -> track.summary().targetLanguage())
                .containsExactly("de-DE", "fr-FR");
        assertThatThrownBy(() -> takeIn("elsewhere", "fr-FR")).isInstanceOf(CannotProceedException.class);
    }

    @Test
    void theResultLiesInTheFolderOfTheClientsFile() throws IOException {
        Track track = takeIn("web/help", "de-DE");

        assertThat(new OneRelease(lane, CheckRun.ofAllChecks()).release(track, "a look"))
                .isEqualTo(folder.resolve(Path.of("out", "release-1", "web", "help", "page_de-DE.html")));
    }

    @Test
    void aRemovedTrackComesBackWithEverythingAlsoLater() throws IOException {
        Track track = takeIn("web", "de-DE");
        LaneWriter.await(lane.trackStore().setDue(List.of(track), Optional.of(LocalDate.of(2026, 12, 4))));

        LaneWriter.await(lane.trackStore().setRemoved(List.of(track), true));
        assertThat(lane.tracks()).isEmpty();
        lane.close();
        open();
        assertThat(lane.tracks()).isEmpty();
        Track kept = lane.trackStore().get(track.id());
        LaneWriter.await(lane.trackStore().setRemoved(List.of(kept), false));

        assertThat(lane.tracks()).containsExactly(kept);
        assertThat(kept.plan()).isEqualTo(new TrackPlan("web", Optional.of(LocalDate.of(2026, 12, 4)), false));
    }
}
