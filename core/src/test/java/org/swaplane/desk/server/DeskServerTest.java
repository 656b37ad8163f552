package org.swaplane.desk.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.desk.DeskReceipt;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DeskVerdict;
import org.swaplane.desk.DeskVerdict.Kind;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desk.HttpClientDesk;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** The stand-in as a server that trusts nobody. */
class DeskServerTest {
    private static final String SIGNS = "pier=Pier {0}\ndeck=Deck\n";
    private static final String TURNED = "pier=Anleger {0}\ndeck=Deck unten\n";

    @TempDir
    private Path folder;

    private DeskServer server;
    private HttpClientDesk desk;

    @BeforeEach
    void start() throws IOException {
        server = DeskServer.start(0, folder.resolve("desk"), Clock.systemUTC());
        desk = new HttpClientDesk(server.address());
        offer("t-1");
    }

    private DeskTask offer(String id) throws IOException {
        return server.offer(
                id,
                "Signs",
                "en-GB",
                List.of("de-DE"),
                "",
                "",
                Map.of("signs.properties", SIGNS.getBytes(StandardCharsets.UTF_8)),
                Optional.of(
                        ("<tmx version='1.4'><header srclang='en-GB'/><body><tu><tuv xml:lang='en-GB'><seg>Deck</seg>"
                                        + "</tuv><tuv xml:lang='de-DE'><seg>Deck unten</seg></tuv></tu></body></tmx>")
                                .getBytes(StandardCharsets.UTF_8)),
                Map.of());
    }

    @AfterEach
    void stop() {
        server.close();
    }

    private Path zip(String... namesAndTexts) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (int i = 0; i < namesAndTexts.length; i += 2) {
                zip.putNextEntry(new ZipEntry(namesAndTexts[i]));
                zip.write(namesAndTexts[i + 1].getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return Files.write(Files.createTempFile(folder, "return", ".zip"), out.toByteArray());
    }

    private DeskTask accepted(String id) throws IOException {
        return desk.accept(id, "Mara", Progress.NONE);
    }

    private List<Kind> kinds(DownloadOptions.Form form, Path zip) throws IOException {
        return desk.deliver(accepted("t-1"), form, zip, Progress.NONE).problems().stream()
                .map(DeskVerdict.Problem::kind)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "de-DE/signs.properties,         GOOD,   ''",
        "de-DE/signs.properties,         SAME,   UNTRANSLATED",
        "de-DE/signs_de-DE.properties,   GOOD,   NAME",
        "DE-de/signs.properties,         GOOD,   NAME",
        "../../signs.txt,                GOOD,   NAME MISSING",
        "/etc/other,                     GOOD,   NAME MISSING",
        "de-DE/other.txt,                GOOD,   EXTRA MISSING"
    })
    void namesAndContentsAreCompared(String name, String content, String expected) throws IOException {
        String text = content.equals("GOOD") ? TURNED : SIGNS;

        assertThat(String.join(
                        " ",
                        kinds(DownloadOptions.Form.ORIGINAL, zip(name, text)).stream()
                                .map(Enum::name)
                                .toList()))
                .isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<target>|<target>|",
                "trgLang=\"de-DE\"|trgLang=\"fr-FR\"|LANGUAGE",
                ">Deck</source>|>Dock</source>|SOURCE",
                "</xliff>||MALFORMED"
            })
    void bilingualFilesAreReadAgain(String found, String put, String expected) throws IOException {
        DeskTask task = accepted("t-1");
        Path sent = folder.resolve("sent.zip");
        desk.download(
                task,
                new DownloadOptions(DownloadOptions.Form.XLIFF_2_1, DownloadOptions.Memory.ONE, true, false, true),
                sent,
                Progress.NONE);
        Map<String, byte[]> files = SafeZip.read(Source.of(sent), name -> true);
        assertThat(files).containsKeys("memory.tmx", "task.json");
        String file = new String(files.get("files/de-DE/signs.properties.xlf"), StandardCharsets.UTF_8);
        assertThat(file).as("exact matches are filled").contains("<target>Deck unten</target>");
        String turned =
                file.replaceFirst("(<source>Pier (.*?)</source>)(?!\\s*<target)", "$1<target>Anleger $2</target>");

        List<Kind> kinds = kinds(
                DownloadOptions.Form.XLIFF_2_1,
                zip("de-DE/signs.properties.xlf", turned.replace(found, put == null ? "" : put)));

        assertThat(kinds.stream().map(Enum::name).distinct().toList())
                .isEqualTo(expected == null ? List.of() : List.of(expected));
    }

    @Test
    void aBombOrNoZipAtAllIsMalformed() throws IOException {
        Path bomb = folder.resolve("bomb.zip");
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(bomb))) {
            for (int i = 0; i < 12_000; i++) {
                zip.putNextEntry(new ZipEntry("a" + i));
                zip.closeEntry();
            }
        }
        assertThat(kinds(DownloadOptions.Form.ORIGINAL, bomb)).containsExactly(Kind.MALFORMED);
        Path none = Files.writeString(folder.resolve("none.zip"), "not a zip");
        assertThat(kinds(DownloadOptions.Form.ORIGINAL, none)).containsExactly(Kind.MALFORMED);
    }

    private int status(String method, String path, String body, String... headers)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(server.address() + path))
                .method(method, HttpRequest.BodyPublishers.ofString(body));
        if (headers.length > 0) {
            request.headers(headers);
        }
        return HttpClient.newHttpClient()
                .send(request.build(), HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "GET|/api/tasks/nothing|404",
                "GET|/api/other|404",
                "POST|/api/tasks/t-1/accept|400",
                "GET|/api/tasks/t-1/package|409",
                "GET|/api/tasks/t-1/package?form=picture|409",
                "DELETE|/api/tasks/t-1|405",
                "PUT|/api/tasks/t-1/uploads/00|405",
                "GET|/tasks/nothing|404",
                "GET|/|200"
            })
    void whatMakesNoSenseIsRefused(String method, String path, int expected) throws Exception {
        assertThat(status(method, path, "")).isEqualTo(expected);
    }

    @Test
    void hugeBodiesPiecesOfNothingAndOtherPagesAreRefused() throws Exception {
        String sum = "0".repeat(64);
        assertThat(status("POST", "/api/tasks/t-1/accept", "x".repeat(100_000))).isEqualTo(413);
        assertThat(status("POST", "/api/tasks/t-1/accept", "[1]")).isEqualTo(400);
        assertThat(status("PUT", "/api/tasks/t-1/uploads/" + sum, "abc", "Content-Range", "bytes 0-9/10"))
                .isEqualTo(400);
        assertThat(status("PUT", "/api/tasks/t-1/uploads/" + sum, "abc", "Content-Range", "bytes 0-2/99999999999"))
                .isEqualTo(413);
        assertThat(status(
                        "POST", "/api/tasks/t-1/accept", "{\"person\":\"Eve\"}", "Origin", "https://elsewhere.example"))
                .isEqualTo(403);
        assertThat(desk.task("t-1", Progress.NONE).person()).isEmpty();
    }

    @Test
    void aTaskBelongsToWhoeverAcceptedIt() throws IOException {
        accepted("t-1");

        assertThat(desk.accept("t-1", "Mara", Progress.NONE).state()).isEqualTo(DeskTask.State.ACCEPTED);
        assertThatThrownBy(() -> desk.accept("t-1", "Ines", Progress.NONE))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("Mara");
    }

    @Test
    void fiftyPeopleReturnAtOnceAndNothingHappensTwice() throws Exception {
        List<Callable<DeskReceipt>> all = new ArrayList<>();
        Path zip = zip("de-DE/signs.properties", TURNED);
        String sum = Source.of(zip).sha256();
        for (int i = 0; i < 50; i++) {
            String id = "many-" + i % 25;
            offer(id);
            all.add(() -> {
                DeskTask task = accepted(id);
                DeskVerdict verdict = desk.deliver(task, DownloadOptions.Form.ORIGINAL, zip, Progress.NONE);
                assertThat(verdict.accepted()).isTrue();
                return desk.handOver(task, sum, Progress.NONE);
            });
        }
        ExecutorService threads = Executors.newFixedThreadPool(50);
        List<DeskReceipt> receipts = new ArrayList<>();
        for (Future<DeskReceipt> each : threads.invokeAll(all)) {
            try {
                receipts.add(each.get());
            } catch (ExecutionException e) {
                // The other one was faster and has closed it.
                assertThat(e.getCause()).hasMessageContaining("closed");
            }
        }
        threads.shutdown();

        assertThat(receipts.stream().map(DeskReceipt::task).distinct()).hasSize(25);
        assertThat(receipts.stream().distinct()).hasSize(25);
        assertThat(desk.tasks(Progress.NONE).tasks()).extracting(DeskTask::id).containsExactly("t-1");
    }

    @Test
    void thePageShowsWhatSomebodyWroteAsText() throws Exception {
        server.offer(
                "t-2",
                "<script>alert(1)</script>",
                "en",
                List.of("de"),
                "",
                "a & b",
                Map.of("x.txt", new byte[] {65}),
                Optional.empty(),
                Map.of());
        HttpResponse<String> page = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(server.address() + "/tasks/t-2"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());

        assertThat(page.body()).contains("&lt;script&gt;", "a &amp; b").doesNotContain("<script>");
    }

    @Test
    void aPortThatIsTakenLeavesNothingOpen() throws IOException {
        int port = java.net.URI.create(server.address()).getPort();
        Path other = folder.resolve("other");

        assertThatThrownBy(() -> DeskServer.start(port, other, Clock.systemUTC()))
                .isInstanceOf(IOException.class);

        assertThat(other).doesNotExist();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/tasks/give-back", "/tasks//give-back", "/tasks/none/give-back", "/tasks/", "/tasks/%00", "/x"})
    void anAddressThatIsNoneIsAnswered(String path) throws Exception {
        java.net.http.HttpClient client = java.net.http.HttpClient.newHttpClient();
        for (String method : List.of("GET", "POST")) {
            int status = client.send(
                            java.net.http.HttpRequest.newBuilder(java.net.URI.create(server.address() + path))
                                    .method(method, java.net.http.HttpRequest.BodyPublishers.ofString("reason=x"))
                                    .build(),
                            java.net.http.HttpResponse.BodyHandlers.ofString())
                    .statusCode();
            assertThat(status).as(method).isIn(303, 404);
        }
    }

    private int post(String path, String form, String... headers) throws Exception {
        return java.net.http.HttpClient.newHttpClient()
                .send(
                        java.net.http.HttpRequest.newBuilder(java.net.URI.create(server.address() + path))
                                .headers(headers)
                                .POST(java.net.http.HttpRequest.BodyPublishers.ofString(form))
                                .build(),
                        java.net.http.HttpResponse.BodyHandlers.ofString())
                .statusCode();
    }

    @Test
    void aPageOfAnotherPortOfThisComputerDoesNothing() throws Exception {
        accepted("t-1");

        for (String origin : List.of("http://localhost:3000", "http://127.0.0.1:3000", "null")) {
            assertThat(post("/api/tasks/t-1/hand-over", "{}", "Origin", origin)).isEqualTo(403);
            assertThat(post("/tasks/t-1/give-back", "reason=x", "Origin", origin))
                    .isEqualTo(403);
        }
        assertThat(post("/tasks/t-1/give-back", "reason=x&token=guessed", "Origin", server.address()))
                .isEqualTo(403);
    }

    @Test
    void connectionsThatAskNothingKeepNobodyOut() throws Exception {
        List<java.net.Socket> idle = new java.util.ArrayList<>();
        try {
            for (int i = 0; i < 40; i++) {
                java.net.Socket socket = new java.net.Socket(
                        "127.0.0.1", java.net.URI.create(server.address()).getPort());
                socket.getOutputStream().write("POST /api/tasks HTTP/1.1\r\nHost: ".getBytes(StandardCharsets.UTF_8));
                idle.add(socket);
            }

            assertThat(desk.tasks(Progress.NONE)).isNotNull();
        } finally {
            for (java.net.Socket socket : idle) {
                socket.close();
            }
        }
    }

    @Test
    void aPieceBeyondTheEndOfItsPackageIsRefused() throws Exception {
        accepted("t-1");

        assertThat(status("PUT", "/api/tasks/t-1/uploads/" + "0".repeat(64), "abc", "Content-Range", "bytes 8-10/9"))
                .isEqualTo(400);
    }
}
