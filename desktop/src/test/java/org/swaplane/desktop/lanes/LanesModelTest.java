package org.swaplane.desktop.lanes;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.check.Profile;
import org.swaplane.demo.DemoLane;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneOverview;
import org.swaplane.lane.LaneWriter;

/** The list of lanes without a window; this thread stands for the window's. */
class LanesModelTest {
    @TempDir
    private Path folder;

    private final LinkedBlockingQueue<Runnable> window = new LinkedBlockingQueue<>();
    private final PersonSettings person = PersonSettings.none();
    private final LinkedBlockingQueue<Path> opened = new LinkedBlockingQueue<>();
    private LanesModel model;
    private Path demo;

    @BeforeEach
    void aDemoLane() throws IOException {
        demo = folder.resolve("demo");
        DemoLane.create(demo, Clock.systemUTC()).close();
        person.setName("Mara Lind");
        person.opened(demo, Instant.EPOCH);
        model = new LanesModel(person, Clock.systemUTC(), window::add, opened::add);
    }

    @AfterEach
    void close() {
        model.background().end();
    }

    private void until(BooleanSupplier condition) {
        long end = System.currentTimeMillis() + 20_000;
        while (!condition.getAsBoolean()) {
            assertThat(System.currentTimeMillis()).as("it never came to be so").isLessThan(end);
            try {
                Optional.ofNullable(window.poll(10, TimeUnit.MILLISECONDS)).ifPresent(Runnable::run);
            } catch (InterruptedException e) {
                throw new AssertionError(e);
            }
        }
    }

    private static LanesModel.NewLane wanted(String name, Path where, Optional<Path> asIn) {
        return new LanesModel.NewLane(
                name,
                "Marram Sound Ferries",
                where,
                "en-GB",
                List.of("de-DE", "fr-FR"),
                Optional.of(LocalDate.EPOCH),
                asIn);
    }

    @Test
    void aLaneIsListedWithWhatWaitsInItAlsoWhileItIsOpen() throws IOException {
        try (Lane open = Lane.open(demo, FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            model.refresh();
            until(() -> !model.rows().isEmpty());

            LaneOverview overview = model.rows().get(0).overview().orElseThrow();
            assertThat(overview.name()).isEqualTo(open.name());
            assertThat(overview.files()).isEqualTo(5);
            assertThat(overview.languages()).containsExactly("de-DE");
            assertThat(overview.words()).isPositive();
        }
    }

    @Test
    void aFolderThatIsGoneIsSaidAndCanBeTakenOffTheList() {
        person.opened(folder.resolve("gone"), Instant.EPOCH);
        model.refresh();
        until(() -> model.rows().size() == 2);

        LanesModel.Row gone = model.rows().get(0);
        assertThat(gone.overview()).isEmpty();
        assertThat(gone.problem()).isNotBlank();
        model.forget(gone);
        assertThat(person.lanes()).extracting(PersonSettings.OpenedLane::folder).containsExactly(demo);
    }

    @Test
    void aNewLaneHasWhatWasAskedAndWorksAsTheOther() throws IOException {
        try (Lane other = Lane.open(demo, FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            LaneWriter.await(other.settings().setProfile(Profile.DEFAULT.withKeep(List.of("Marram"))));
        }
        Path where = folder.resolve("winter");

        model.create(wanted("Winter", where, Optional.of(demo)));
        until(() -> !opened.isEmpty());

        assertThat(opened).containsExactly(where);
        try (Lane lane = Lane.open(where, FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            assertThat(lane.name()).isEqualTo("Winter");
            assertThat(lane.settings().targetLanguages()).containsExactly("de-DE", "fr-FR");
            assertThat(lane.settings().detail(LaneDetail.DUE)).isEqualTo("1970-01-01");
            assertThat(lane.settings().person()).isEqualTo("Mara Lind");
            assertThat(lane.settings().profile().keep()).containsExactly("Marram");
            assertThat(lane.tracks()).isEmpty();
        }
    }

    @Test
    void whatIsMissingIsSaidAndNothingIsMade() {
        model.create(wanted("  ", folder.resolve("nameless"), Optional.empty()));

        assertThat(model.messageProperty().get().tone()).isEqualTo(Notification.Tone.FAILED);
        assertThat(folder.resolve("nameless")).doesNotExist();
    }

    @Test
    void anArchiveHoldsTheWholeFolderAndALaneInUseIsNotPacked() throws IOException {
        model.refresh();
        until(() -> !model.rows().isEmpty());
        Path archive = folder.resolve("demo.zip");

        try (Lane open = Lane.open(demo, FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            model.archive(model.rows().get(0), archive);
            until(() -> model.messageProperty().get() != null);
            assertThat(model.messageProperty().get().tone()).isEqualTo(Notification.Tone.FAILED);
            assertThat(archive).doesNotExist();
        }
        model.dismissMessage();
        model.archive(model.rows().get(0), archive);
        until(() -> model.messageProperty().get() != null);

        try (ZipFile zip = new ZipFile(archive.toFile())) {
            assertThat(zip.getEntry("demo/lane.db")).isNotNull();
        }
        assertThat(Files.exists(demo.resolve("lane.db"))).isTrue();
    }

    @Test
    void aLaneIsNotMadeForWhatIsNoLanguage() {
        LanesModel.NewLane sound = wanted("Winter", folder.resolve("winter"), Optional.empty());

        model.create(new LanesModel.NewLane(
                sound.name(),
                sound.client(),
                sound.folder(),
                sound.source(),
                List.of("german (aus"),
                sound.due(),
                sound.asIn()));

        assertThat(model.messageProperty().get().text()).contains("german (aus");
        assertThat(folder.resolve("winter")).doesNotExist();
    }
}
