package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.format.FileOptions;

class PersonSettingsTest {
    @TempDir
    private Path folder;

    /** The folder goes after each test, and nothing may be written into it then. */
    @AfterEach
    void settle() {
        PersonSettings.settle();
    }

    @Test
    void theLanguagesOfOneLaneAreThoseThatTheNextBeginsWith() {
        Path file = folder.resolve("not there yet").resolve("defaults.properties");
        PersonSettings.in(file).rememberLanguages("en-GB", "de-DE");
        PersonSettings.settle();

        assertThat(PersonSettings.in(file).languages()).isEqualTo(FileOptions.ofLanguages("en-GB", "de-DE"));
    }

    @Test
    void languagesThatWereSetWinOverThoseOfLastTime() {
        PersonSettings settings = PersonSettings.none();
        settings.setDefaultSource("en-US");
        settings.setDefaultTargets(List.of("da-DK", "sv-SE"));
        settings.rememberLanguages("en-GB", "de-DE");

        assertThat(settings.defaultSource()).isEqualTo("en-US");
        assertThat(settings.defaultTargets()).containsExactly("da-DK", "sv-SE");
        settings.setDefaultTargets(List.of());
        assertThat(settings.chosenTargets()).isEmpty();
        assertThat(settings.defaultTargets()).containsExactly("de-DE");
    }

    @Test
    void initialsFollowTheNameUntilTheyAreSet() {
        PersonSettings settings = PersonSettings.none();
        settings.setName("Mara Lind");
        assertThat(settings.initials()).isEqualTo("ML");
        settings.setInitials("mli");
        settings.setName("Mara Falk");
        assertThat(settings.initials()).isEqualTo("mli");
    }

    @Test
    void whatCannotBeReadOrKeptIsNoReasonToStop() throws IOException {
        Path broken = Files.writeString(folder.resolve("broken"), "source=\\u12\n");
        PersonSettings defaults = PersonSettings.in(broken);

        assertThat(defaults.languages()).isEqualTo(FileOptions.NONE);
        PersonSettings.in(broken.resolve("in a file")).rememberLanguages("en", "de");
    }

    @Test
    void lanesStandInTheOrderInWhichTheyWereOpened() {
        PersonSettings settings = PersonSettings.in(folder.resolve("settings.properties"));
        settings.opened(Path.of("/a"), Instant.EPOCH);
        settings.opened(Path.of("/b"), Instant.EPOCH);
        settings.opened(Path.of("/a"), Instant.EPOCH);
        PersonSettings.settle();

        assertThat(PersonSettings.in(folder.resolve("settings.properties")).lanes())
                .extracting(PersonSettings.OpenedLane::folder)
                .containsExactly(Path.of("/a"), Path.of("/b"));
    }

    @Test
    void instructionsOfSeveralLinesAreKept() {
        PersonSettings settings = PersonSettings.in(folder.resolve("settings.properties"));
        settings.setInstructions(List.of("Bitte siezen.\nKeine Abkürzungen.", "Only the captions."));
        PersonSettings.settle();

        assertThat(PersonSettings.in(folder.resolve("settings.properties")).instructions())
                .containsExactly("Bitte siezen.\nKeine Abkürzungen.", "Only the captions.");
    }

    @Test
    void onlyThePersonCanReadThem() throws Exception {
        Path file = folder.resolve("defaults.properties");
        Files.writeString(file, "name=Mara\n");
        PersonSettings settings = PersonSettings.in(file);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");

        settings.setName("Mara Lind");
        PersonSettings.settle();

        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");
        assertThat(PersonSettings.in(file).name()).isEqualTo("Mara Lind");
    }

    @Test
    void whatCannotBeReadIsKeptBesideWhatIsSetNext() throws Exception {
        Path file = folder.resolve("defaults.properties");
        Files.writeString(file, "name=Mara\\u12");
        PersonSettings.in(file).setName("Mara Lind");
        PersonSettings.settle();

        assertThat(folder.resolve("defaults.properties.unreadable")).hasContent("name=Mara\\u12");
    }
}
