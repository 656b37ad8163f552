package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.swaplane.check.CheckRun;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.State;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** Notes of people here, in the files of formats that have a place for notes. */
class NotesInFilesTest {
    private static final String XLIFF_12 = "<xliff version=\"1.2\"><file original=\"a\" source-language=\"en\""
            + " target-language=\"de\" datatype=\"plaintext\"><body>%s</body></file></xliff>";
    private static final String XLIFF_2 = "<x:xliff xmlns:x=\"urn:oasis:names:tc:xliff:document:2.0\" version=\"2.0\""
            + " srcLang=\"en\" trgLang=\"de\"><x:file id=\"f\">%s</x:file></x:xliff>";
    private static final String TMX = "<tmx version=\"1.4\"><header srclang=\"en\" datatype=\"plaintext\"/><body>"
            + "<tu tuid=\"1\"><tuv xml:lang=\"en\"><seg>Pier</seg></tuv>%s</tu></body></tmx>";

    @TempDir
    private Path folder;

    private Lane lane;

    @BeforeEach
    void create() throws IOException {
        lane = Lane.create(folder.resolve("lane"), "Spring", FormatRegistry.ofInstalled(), Clock.systemUTC());
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private Track take(String name, String text) throws IOException {
        return lane.trackStore()
                .takeIn(
                        Source.of(name, text.getBytes(StandardCharsets.UTF_8)),
                        FileOptions.ofLanguages("en", "de"),
                        Progress.NONE);
    }

    private void note(Track track, int index, String text) {
        LaneWriter.await(lane.notes().add(track, track.now().segment(index).key(), -1, -1, text, "Mara"));
    }

    static Stream<Arguments> files() {
        return Stream.of(
                Arguments.of(
                        "plain.xlf",
                        XLIFF_12.formatted("<trans-unit id=\"1\"><source>Pier</source></trans-unit>"),
                        "<source>Pier</source>"
                                + "<target state=\"signed-off\">Anleger</target><note from=\"Mara\">Which &lt;pier&gt;?</note>"),
                Arguments.of(
                        "noted.xlf",
                        XLIFF_12.formatted("<trans-unit id=\"1\"><source>Pier</source><target>Kai</target>"
                                + "<note from=\"client\">A sign</note></trans-unit>"),
                        "Anleger</target><note from=\"Mara\">Which &lt;pier&gt;?</note><note from=\"client\">A sign</note>"),
                Arguments.of(
                        "cut.xlf",
                        XLIFF_12.formatted("<trans-unit id=\"1\"><source>Pier</source>"
                                + "<seg-source><mrk mtype=\"seg\" mid=\"a\">Pier</mrk></seg-source></trans-unit>"),
                        "</target><note from=\"Mara\">Which &lt;pier&gt;?</note></trans-unit>"),
                Arguments.of(
                        "plain2.xlf",
                        XLIFF_2.formatted("<x:unit id=\"1\"><x:segment><x:source>Pier</x:source></x:segment></x:unit>"),
                        "<x:unit id=\"1\"><x:notes><x:note>Mara: Which &lt;pier&gt;?</x:note></x:notes><x:segment"),
                Arguments.of(
                        "noted2.xlf",
                        XLIFF_2.formatted("<x:unit id=\"1\"><x:notes><x:note>A sign</x:note></x:notes>"
                                + "<x:segment><x:source>Pier</x:source></x:segment></x:unit>"),
                        "<x:notes><x:note>Mara: Which &lt;pier&gt;?</x:note><x:note>A sign</x:note></x:notes>"),
                Arguments.of(
                        "data2.xlf",
                        XLIFF_2.formatted(
                                "<x:unit id=\"1\"><x:originalData><x:data id=\"d\">b</x:data></x:originalData>"
                                        + "<x:segment><x:source>Pier</x:source></x:segment></x:unit>"),
                        "<x:unit id=\"1\"><x:notes><x:note>Mara: Which &lt;pier&gt;?</x:note></x:notes><x:originalData>"),
                Arguments.of(
                        "told.tmx",
                        TMX.formatted("<tuv xml:lang=\"de\"><seg>Kai</seg></tuv>"),
                        "<tuv xml:lang=\"de\"><note>Mara: Which &lt;pier&gt;?</note><seg>Anleger</seg></tuv>"),
                Arguments.of(
                        "untold.tmx",
                        TMX.formatted(""),
                        "<tuv xml:lang=\"en\"><note>Mara: Which &lt;pier&gt;?</note><seg>Pier</seg></tuv>"
                                + "<tuv xml:lang=\"de\"><seg>Anleger</seg></tuv>"),
                Arguments.of(
                        "signs.po",
                        "msgid \"\"\nmsgstr \"Language: de\\n\"\n\n#. A sign\nmsgid \"Pier\"\nmsgstr \"\"\n",
                        "\n\n# Mara: Which <pier>?\n#. A sign\nmsgid \"Pier\"\nmsgstr \"Anleger\""));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("files")
    void aNoteStandsWhereTheFormatHasNotes(String name, String file, String expected) throws IOException {
        Track track = take(name, file);
        new Work(lane, track).type("Mara", 0, new Value(Content.of("Anleger"), State.REVIEWED));
        note(track, 0, "Which <pier>?\u0001");
        ByteArrayOutputStream out = new ByteArrayOutputStream();

        track.now().write(lane.notes().open(track.now()), out, Progress.NONE);

        assertThat(out.toString(StandardCharsets.UTF_8)).contains(expected);
        BilingualDocument read = lane.formats()
                .open(Source.of(name, out.toByteArray()), FileOptions.ofLanguages("en", "de"), Progress.NONE)
                .document();
        assertThat(read.segments().get(0).target().plainText()).isEqualTo("Anleger");
        assertThat(read.segments().get(0).notes())
                .extracting(Note::text)
                .anyMatch(text -> text.contains("Which <pier>?"));
        assertThat(read.problems()).isEmpty();
    }

    @Test
    void theyAreReleasedOnlyWhereTheLaneSaysSo() throws IOException {
        Track track = take("plain.xlf", XLIFF_12.formatted("<trans-unit id=\"1\"><source>Pier</source></trans-unit>"));
        note(track, 0, "Which pier?");
        OneRelease delivery = new OneRelease(lane, CheckRun.ofAllChecks());

        assertThat(released(delivery, track)).doesNotContain("Which pier?");
        lane.settings().set(LaneDetail.NOTES_IN_FILES, "true").join();
        assertThat(released(delivery, track)).contains("<note from=\"Mara\">Which pier?</note>");

        LaneWriter.await(lane.notes().settle(track, lane.notes().of(track).get(0), true));
        assertThat(released(delivery, track)).doesNotContain("Which pier?");
    }

    private static String released(OneRelease delivery, Track track) throws IOException {
        return Files.readString(delivery.release(track, "for a test"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("files")
    void notesThatWentOutAreNoRemarksWhenTheFileComesBack(String name, String file) throws IOException {
        Track track = take(name, file);
        note(track, 0, "Which pier?");
        SendRequest request = SendRequest.of("Ines Falk", Purpose.TRANSLATION, SendRequest.Form.FILE)
                .withNotes();
        Path sent = new CopyExport(lane)
                .send(List.of(track.now()), request, Progress.NONE)
                .get(0)
                .file();
        assertThat(sent).content().contains("Which pier?");

        BilingualDocument back = lane.trackStore()
                .openCopy(track, Source.of(sent), Progress.NONE)
                .document();
        assertThat(new ReturnImport(lane)
                        .recognise(Source.of(sent), back, Progress.NONE)
                        .orElseThrow()
                        .reading()
                        .remarks())
                .isEmpty();
    }
}
