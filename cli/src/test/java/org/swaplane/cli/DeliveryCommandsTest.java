package org.swaplane.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.swaplane.demo.DemoDesk;
import org.swaplane.demo.DemoLane;
import org.swaplane.desk.server.DeskServer;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;

/** Delivery on the command line: packages of a lane, documents of many pairs, and the client's desk. */
class DeliveryCommandsTest extends CommandTest {
    @Test
    void aPackageIsMadeOnlyWhenConditionsAreMetOrAReasonIsGiven() throws IOException {
        Path lane = folder.resolve("lane");
        DemoLane.create(lane, Clock.systemUTC()).close();
        Path zip = folder.resolve("delivery.zip");

        assertThat(run("package", lane, "-o", zip, "--json")).isEqualTo(1);
        assertThat(json().get("released").asBoolean()).isFalse();
        assertThat(json().get("open"))
                .allSatisfy(each -> assertThat(each.get("condition").asText()).isIn("dry-run", "findings", "reviewed"));
        assertThat(zip).doesNotExist();

        assertThat(run(
                        "package",
                        lane,
                        "-o",
                        zip,
                        "--file",
                        "leaflet.docx,app.json",
                        "--form",
                        "file,text",
                        "--codes",
                        "de-DE=ger",
                        "--folders",
                        "{target}",
                        "--manifest",
                        "csv",
                        "--reason",
                        "a first look",
                        "--json"))
                .isZero();
        Map<String, byte[]> entries = SafeZip.read(Source.of(zip), name -> true);
        assertThat(entries.keySet())
                .containsExactly(
                        "ger/leaflet_ger.docx",
                        "ger/leaflet_ger.txt",
                        "ger/app_ger.json",
                        "ger/app_ger.txt",
                        "manifest.csv");
        assertThat(json().get("sha256").asText()).isEqualTo(Source.of(zip).sha256());
        assertThat(run("package", lane, "-o", zip, "--reason", "again")).isEqualTo(2);
        assertThat(run("package", lane, "--form", "picture")).isEqualTo(2);
        assertThat(complaint()).contains("picture").hasLineCount(1);
        assertThat(run("package", folder)).isEqualTo(2);
    }

    @Test
    void documentsAndBilingualFilesFindEachOther() throws IOException {
        Path ferry = Files.writeString(folder.resolve("ferry.html"), "<p>The ferry leaves at noon.</p><p>Pier</p>");
        Path deck = Files.writeString(folder.resolve("deck.html"), "<p>No bicycles on the upper deck.</p>");
        Path one = folder.resolve("1.xlf");
        Path two = folder.resolve("2.xlf");
        run("convert", ferry, "-o", one, "--source", "en", "--target", "de");
        run("convert", deck, "-o", two, "--source", "en", "--target", "sv");
        Files.writeString(one, Files.readString(one).replace("</source>", "</source><target>Die Fähre</target>"));
        Path other = Files.writeString(
                folder.resolve("3.xlf"),
                Files.readString(two).replace("No bicycles on the upper deck.", "Something else"));
        Path results = folder.resolve("results");

        assertThat(run("merge", one, deck, two, ferry, "--out-dir", results, "--json"))
                .isZero();

        assertThat(results.resolve("ferry_de.html")).content().contains("Die Fähre");
        assertThat(results.resolve("deck_sv.html")).exists();
        assertThat(json().get("files")).hasSize(2);
        assertThat(run("merge", ferry, deck, two, other, "--out-dir", results, "--force"))
                .isEqualTo(1);
        assertThat(printed()).contains("3.xlf");
        assertThat(run("merge", ferry, deck, "--out-dir", results)).isEqualTo(2);
        assertThat(run("merge", ferry, deck, one, "-o", folder.resolve("x.html")))
                .isEqualTo(2);
    }

    @Test
    void aTaskGoesFromTheListToItsReceipt() throws IOException {
        try (DeskServer server = DeskServer.start(0, folder.resolve("desk"), Clock.systemUTC())) {
            DemoDesk.offerTasks(server);
            String desk = server.address();

            assertThat(run("desk", "list", "--desk", desk, "--json")).isZero();
            assertThat(json().get("tasks")).hasSize(3);
            assertThat(run("desk", "fetch", "msf-101", "-o", folder.resolve("early.zip"), "--desk", desk))
                    .isEqualTo(2);
            assertThat(complaint()).contains("not accepted yet").hasLineCount(1);
            assertThat(run("desk", "accept", "msf-101", "--person", "Mara", "--desk", desk))
                    .isZero();
            Path got = folder.resolve("task.zip");
            assertThat(run("desk", "fetch", "msf-101", "-o", got, "--form", "original", "--desk", desk))
                    .isZero();
            byte[] page = SafeZip.read(Source.of(got), name -> true).get("files/web/timetable.html");

            assertThat(run("desk", "return", "msf-101", back(page), "--desk", desk, "--json"))
                    .isEqualTo(1);
            assertThat(json().get("problems").get(0).get("kind").asText()).isEqualTo("untranslated");
            Path good = back(new String(page, StandardCharsets.UTF_8)
                    .replace("Summer timetable", "Sommerfahrplan")
                    .getBytes(StandardCharsets.UTF_8));
            assertThat(run("desk", "return", "msf-101", good, "--desk", desk, "--json"))
                    .isZero();
            assertThat(run("desk", "hand-over", "msf-101", good, "--desk", desk, "--json"))
                    .isZero();
            assertThat(json().get("sha256").asText()).isEqualTo(Source.of(good).sha256());
            assertThat(run("desk", "status", "msf-101", "--desk", desk, "--json"))
                    .isZero();
            assertThat(json().get("state").asText()).isEqualTo("closed");
            assertThat(json().get("returns")).hasSize(2);
            assertThat(run("desk", "return", "msf-101", good, "--desk", desk)).isEqualTo(2);
        }
        assertThat(run("desk", "list", "--desk", "ftp://elsewhere.example")).isEqualTo(2);
        assertThat(run("desk", "list", "--desk", "http://192.0.2.1")).isEqualTo(2);
        assertThat(complaint()).contains("without encryption");
    }

    private Path back(byte[] page) throws IOException {
        Path zip = Files.createTempFile(folder, "back", ".zip");
        try (ZipOutputStream written = new ZipOutputStream(Files.newOutputStream(zip))) {
            written.putNextEntry(new ZipEntry("de-DE/web/timetable.html"));
            written.write(page);
            written.closeEntry();
        }
        return zip;
    }
}
