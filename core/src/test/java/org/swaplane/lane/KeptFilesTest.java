package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletionException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** What a lane keeps is what came in, what holds is what was written, and moments are moments. */
class KeptFilesTest {
    private static final Source FILE =
            Source.of("a.properties", "a=Dogs travel free.\nb=Pier 3 is closed.\n".getBytes(StandardCharsets.UTF_8));

    @TempDir
    private Path folder;

    private Lane lane;
    private Track track;

    @BeforeEach
    void create() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Spring", FormatRegistry.ofInstalled(), Clock.systemUTC());
        track = lane.trackStore().takeIn(FILE, FileOptions.ofLanguages("en-GB", "de-DE"), Progress.NONE);
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private void put(int index, String who) {
        EditRequest request = EditRequest.of(
                track.now(),
                StepKind.TYPED,
                who,
                Map.of(index, new Value(Content.of("Text von " + who), State.TRANSLATED)));
        LaneWriter.await(lane.writer().edit(request));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a=Dogs travel free.\n", "a=Cats  travel free.\nb=Pier 3 is closed.\n"})
    void anOriginalThatIsNotWhatCameInIsNamedAndMendedWhenTheFileComesAgain(String damaged) throws IOException {
        put(0, "Mara");
        Files.writeString(folder.resolve("lane/files").resolve(track.sha256()), damaged);
        track.unload();

        assertThatThrownBy(() -> track.now())
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("a.properties")
                .hasMessageContaining("damaged");

        assertThat(lane.trackStore().mend(FILE)).isTrue();
        assertThat(track.now().target(0)).isEqualTo(Content.of("Text von Mara"));
        assertThat(lane.trackStore().mend(FILE)).isFalse();
    }

    @Test
    void aSettingThatCouldNotBeWrittenDoesNotHold() throws IOException {
        LaneWriter.await(lane.settings().setDraftConsent("https://one.example"));
        Path away = Files.move(folder.resolve("lane"), folder.resolve("away"));

        assertThatThrownBy(() ->
                        lane.settings().setDraftConsent("https://two.example").join())
                .isInstanceOf(CompletionException.class);

        assertThat(lane.settings().draftConsent()).isEqualTo("https://one.example");
        Files.move(away, folder.resolve("lane"));
    }

    @Test
    void aTrackOfATaskThatWasHandedOverIsClosedAlsoOffTheBoard() {
        LaneWriter.await(lane.trackStore().setRemoved(List.of(track), true));
        lane.database()
                .update(
                        "insert into desk_task (desk, id, task, receipt) values ('desk', 't1', '{}', '{\"task\":\"t1\"}')");
        lane.database().update("insert into desk_file values ('desk', 't1', 'a.properties', ?)", track.id());
        lane.close();
        lane = open();
        track = lane.track(track.id());
        LaneWriter.await(lane.trackStore().setRemoved(List.of(track), false));

        assertThat(track.isHandedOver()).isTrue();
        assertThatThrownBy(() -> put(0, "Mara")).isInstanceOf(CannotProceedException.class);
    }

    private Lane open() {
        try {
            return Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "2026-12-02T10:00:05Z, 2026-12-02T10:00:05.500Z",
        "2026-12-02T10:00:05.500Z, 2026-12-02T10:00:06Z",
        "2026-12-02T10:00:05.123Z, 2026-12-02T10:00:05.123456Z",
        "2026-12-02T10:00:05.000000001Z, 2026-12-02T10:00:05.100Z",
    })
    void anEarlierMomentComesBeforeALaterOneHoweverManyDecimalsTheyHave(Instant earlier, Instant later) {
        List<Boolean> before = lane.database()
                .query(
                        row -> row.getBoolean(1),
                        "with m(at) as (select ?) select " + SqlInstant.of("at") + " < ? from m",
                        earlier.toString(),
                        SqlInstant.value(later));
        List<Boolean> after = lane.database()
                .query(
                        row -> row.getBoolean(1),
                        "with m(at) as (select ?) select " + SqlInstant.of("at") + " <= ? from m",
                        later.toString(),
                        SqlInstant.value(earlier));

        assertThat(before).containsExactly(true);
        assertThat(after).containsExactly(false);
    }

    @Test
    void whoChangedSomethingIsFoundWhateverTheCaseOfTheLetters() {
        put(0, "Özlem Straße");
        put(1, "Mara");

        assertThat(track.changedBy("özlem")).containsExactly("a");
        assertThat(track.changedBy("STRASSE")).containsExactly("a");
        assertThat(track.changedBy("ar")).containsExactly("b");
    }
}
