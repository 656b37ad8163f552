package org.swaplane.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.demo.DemoLane;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Selection;
import org.swaplane.format.Source;
import org.swaplane.intake.Arrival.Role;
import org.swaplane.lane.Lane;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.task.Progress;

class ArrivalsTest {
    @TempDir
    private Path folder;

    private Lane lane;

    @BeforeEach
    void create() throws IOException {
        lane = DemoLane.createWithReturnedCopy(folder.resolve("lane"), Clock.systemUTC());
    }

    @AfterEach
    void close() {
        lane.close();
    }

    private Path zip(Map<String, byte[]> entries) throws IOException {
        Path file = folder.resolve("from the client.zip");
        try (OutputStream out = Files.newOutputStream(file);
                ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> entry : new TreeMap<>(entries).entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                zip.write(entry.getValue());
                zip.closeEntry();
            }
        }
        return file;
    }

    private static byte[] text(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private List<Arrival> read(FileOptions options, Path... paths) throws IOException {
        return new Arrivals(lane, options).read(List.of(paths), Progress.NONE);
    }

    @Test
    void everythingInAZipIsToldApartAndWhatCannotBeReadIsSaid() throws IOException {
        Path returned = folder.resolve("lane").resolve("returned").resolve("scan final (2).docx");
        Map<String, byte[]> entries = new TreeMap<>(Map.of(
                "a/page.html", text("<p>One. Two.</p>"),
                "b.json", text("{\"a\": \"One.\", \"b\": \"One.\"}"),
                "c.json", text("{"),
                "d.tmx", text("<tmx version='1.4'><header srclang='en'/><body/></tmx>"),
                "e.png", text("x"),
                "f.pdf", text("%PDF"),
                "g.docx", Files.readAllBytes(returned),
                "../../h.properties", text("k=Up\n"),
                "__MACOSX/._page.html", text("x"),
                ".DS_Store", text("x")));
        entries.put("terms.xml", text("<martif/>"));
        entries.put("words.csv", text("en,de,Do not use\nferry,Fähre,Boot\n"));
        entries.put("pairs.csv", text("en,de\nOpen,Offen\n"));
        Path zip = zip(entries);

        List<Arrival> arrivals = read(FileOptions.ofLanguages("en", "de"), zip);

        assertThat(arrivals)
                .extracting(each -> each.source().name(), Arrival::role)
                .containsExactlyInAnyOrder(
                        tuple("from the client.zip", Role.UNREADABLE),
                        tuple("page.html", Role.DOCUMENT),
                        tuple("b.json", Role.DOCUMENT),
                        tuple("c.json", Role.UNREADABLE),
                        tuple("d.tmx", Role.MEMORY),
                        tuple("e.png", Role.PICTURE),
                        tuple("f.pdf", Role.REFERENCE),
                        tuple("terms.xml", Role.TERMS),
                        tuple("words.csv", Role.TERMS),
                        tuple("pairs.csv", Role.BILINGUAL),
                        tuple("g.docx", Role.RETURNED));
        assertThat(arrivals)
                .filteredOn(each -> each.role() == Role.UNREADABLE)
                .allMatch(each ->
                        each.problem().startsWith("c.json:1:") || each.problem().startsWith("../../h.properties"));
        assertThat(arrivals)
                .filteredOn(each -> each.source().name().equals("b.json"))
                .extracting(Arrival::repetitions)
                .containsExactly(2);
    }

    @Test
    void aFolderIsReadAsDeepAsItGoesAndAgainInAnotherWay() throws IOException {
        Path inbox = Files.createDirectories(folder.resolve("inbox").resolve("deep"));
        Files.write(inbox.resolve("page.html"), text("<p>One. Two.</p>"));
        List<Arrival> sentences = read(FileOptions.ofLanguages("en", "de"), folder.resolve("inbox"));

        List<Arrival> paragraphs = new Arrivals(lane, FileOptions.NONE)
                .readAgain(sentences, any -> true, how -> how.with(SegmentationRules.BY_PARAGRAPH), Progress.NONE);

        assertThat(sentences.get(0).document().segments()).hasSize(2);
        assertThat(paragraphs.get(0).document().segments()).hasSize(1);
    }

    @Test
    void theFoldersOfWhatArrivedAreKnown() throws IOException {
        Path inbox =
                Files.createDirectories(folder.resolve("inbox").resolve("web").resolve("help"));
        Files.write(inbox.resolve("page.html"), text("<p>One.</p>"));
        Files.write(folder.resolve("inbox").resolve("top.html"), text("<p>Two.</p>"));

        assertThat(read(FileOptions.NONE, folder.resolve("inbox")))
                .extracting(Arrival::folder)
                .containsExactlyInAnyOrder("", "web/help");
    }

    @Test
    void whatIsNoFileKeepsNothingElseAway() throws Exception {
        Path inbox = Files.createDirectories(folder.resolve("inbox"));
        Files.write(inbox.resolve("page.html"), text("<p>One.</p>"));
        Files.write(inbox.resolve("cut.zip"), new byte[] {'P', 'K', 3, 4, 20, 0});
        Files.createSymbolicLink(inbox.resolve("gone.html"), inbox.resolve("nowhere"));
        new ProcessBuilder("mkfifo", inbox.resolve("pipe.html").toString())
                .start()
                .waitFor();

        assertThat(read(FileOptions.NONE, inbox))
                .extracting(each -> each.source().name(), Arrival::role)
                .containsExactlyInAnyOrder(
                        tuple("page.html", Role.DOCUMENT),
                        tuple("cut.zip", Role.UNREADABLE),
                        tuple("gone.html", Role.UNREADABLE),
                        tuple("pipe.html", Role.UNREADABLE));
    }

    @Test
    void oneFileCanBeReadAsSomethingElseAndInAnotherEncoding() throws IOException {
        Path inbox = Files.createDirectories(folder.resolve("inbox"));
        Files.write(inbox.resolve("list.dat"), "Fähre\n".getBytes(StandardCharsets.ISO_8859_1));
        Files.write(inbox.resolve("page.html"), text("<html lang='fr'><p>Un. Deux.</p></html>"));
        List<Arrival> arrivals = read(FileOptions.NONE, inbox);

        List<Arrival> corrected = new Arrivals(lane, FileOptions.NONE)
                .readAgain(
                        arrivals,
                        each -> each.role() == Role.UNREADABLE,
                        how -> how.with(how.document().withFormat("text").withEncoding("windows-1251")),
                        Progress.NONE);

        assertThat(arrivals).extracting(Arrival::role).containsExactly(Role.UNREADABLE, Role.DOCUMENT);
        assertThat(corrected.get(0).document().segments().get(0).source().plainText())
                .isEqualTo("Fдhre");
        assertThat(corrected.get(1).document().sourceLanguage()).isEqualTo("fr");
        lane.trackStore().takeIn(corrected.get(0).source(), corrected.get(0).options(), Progress.NONE);
        lane.close();
        lane = Lane.open(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC());
        assertThat(lane.tracks())
                .last()
                .extracting(track -> track.now().document().format())
                .isEqualTo("text");
    }

    @Test
    void aLaneReadsTheNextDocumentAsItsOptionsSay() throws IOException {
        DocumentOptions options = DocumentOptions.DEFAULT.with(new Selection(List.of("/text")));
        lane.settings()
                .setDocumentOptions("json", options.withEncoding("UTF-16"))
                .join();
        Path file = Files.write(folder.resolve("a.json"), text("{\"id\": \"one\", \"text\": \"two\"}"));

        assertThat(read(FileOptions.NONE, file).get(0).document().segments()).hasSize(1);
        assertThat(lane.settings().documentOptions("json")).isEqualTo(options);
        assertThat(lane.settings().documentOptions("html")).isEqualTo(DocumentOptions.DEFAULT);
    }

    @Test
    void aLaneCutsTheNextDocumentAsTheOneBefore() throws IOException {
        Path file = Files.write(folder.resolve("a.txt"), text("One sentence. Two sentences.\n"));
        lane.trackStore().setNewSegmentation(SegmentationRules.BY_PARAGRAPH);
        assertThat(read(FileOptions.NONE, file).get(0).document().segments()).hasSize(1);

        lane.trackStore().setNewSegmentation(SegmentationRules.shipped());
        assertThat(read(FileOptions.NONE, file).get(0).document().segments()).hasSize(2);
    }

    @Test
    void aReferenceIsKeptUnderItsNameAndNeverOutsideTheLane() throws IOException {
        Path kept = lane.references().keep(Source.of("../style guide.pdf", text("%PDF")));

        assertThat(kept).hasParent(folder.resolve("lane").resolve("reference")).hasFileName("style guide.pdf");
    }

    @Test
    void ofAnArchiveWithBadNamesTheSoundFilesArriveAndTheOthersAreNamed() throws IOException {
        Path zip = folder.resolve("from client.zip");
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
            for (String name :
                    List.of("de/a.properties", "../../b.properties", "con.properties", "win\\c.properties")) {
                out.putNextEntry(new ZipEntry(name));
                out.write(("key" + name.length() + "=Pier\n").getBytes(StandardCharsets.UTF_8));
            }
        }
        Path broken = Files.write(folder.resolve("cut off.zip"), new byte[] {'P', 'K', 3, 4, 20, 0, 0, 0});

        List<Arrival> arrivals =
                new Arrivals(lane, FileOptions.ofLanguages("en", "de")).read(List.of(zip, broken), Progress.NONE);

        assertThat(arrivals)
                .filteredOn(arrival -> arrival.role() != Arrival.Role.UNREADABLE)
                .extracting(arrival -> arrival.folder() + " " + arrival.source().name())
                .containsExactlyInAnyOrder("de a.properties", "win c.properties");
        assertThat(arrivals)
                .filteredOn(arrival -> arrival.role() == Arrival.Role.UNREADABLE)
                .hasSize(3);
    }
}
