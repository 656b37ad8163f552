package org.swaplane.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.check.CheckRun;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desk.HttpClientDesk;
import org.swaplane.desk.OfferedTasks;
import org.swaplane.document.Fingerprint;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.DeskJob;
import org.swaplane.lane.Lane;
import org.swaplane.lane.Packaging;
import org.swaplane.lane.ReleaseConditions;
import org.swaplane.lane.VersionUpdate;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** A desk that lies writes nothing where it must not, and what is sound of its answers is used all the same. */
class HostileDeskTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int LIES = Integer.getInteger("lies", 60);

    @TempDir
    private Path folder;

    private HttpServer server;
    private HttpClientDesk desk;
    private Lane lane;
    /** What is answered, by path of the request. */
    private final Map<String, byte[]> answers = new LinkedHashMap<>();

    static Stream<String> badPaths() {
        return Stream.of(
                "../../../PWNED.properties",
                "..",
                "/tmp/PWNED.properties",
                "//server/share/PWNED.properties",
                "\\\\server\\share\\PWNED",
                "..\\PWNED.properties",
                "C:/PWNED.properties",
                "de-DE/../../PWNED",
                "de-DE//a.properties",
                "de-DE/a.properties.",
                "de-DE/a ",
                "de-DE/CON",
                "nul.properties",
                "de-DE/\u0000.properties",
                "de-DE/\u001b[2J.properties",
                "de-DE/a\nb.properties",
                "de-DE/" + "x".repeat(300),
                "DE-de/Good.Properties",
                "de-DE",
                "de-DE/good.properties/inner",
                "");
    }

    @BeforeEach
    void start() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", this::answer);
        server.start();
        desk = new HttpClientDesk("http://127.0.0.1:" + server.getAddress().getPort());
        lane = Lane.create(
                folder.resolve("deep/within/lane"), "Winter", FormatRegistry.ofInstalled(), Clock.systemUTC());
    }

    @AfterEach
    void stop() {
        lane.close();
        server.stop(0);
    }

    private void answer(HttpExchange exchange) throws IOException {
        byte[] body = answers.getOrDefault(exchange.getRequestURI().getPath(), new byte[0]);
        exchange.getResponseHeaders().set("X-SHA-256", Fingerprint.sha256(body));
        exchange.sendResponseHeaders(body.length == 0 ? 404 : 200, Math.max(1, body.length));
        try (OutputStream out = exchange.getResponseBody()) {
            out.write(body.length == 0 ? new byte[] {'?'} : body);
        }
    }

    private static ObjectNode task(String id) {
        ObjectNode task = JSON.createObjectNode()
                .put("id", id)
                .put("title", "Signs")
                .put("version", 1)
                .put("state", "ACCEPTED")
                .put("sourceLanguage", "en-GB")
                .put("due", "2026-12-11")
                .put("instructions", "")
                .put("person", "Mara");
        task.putArray("targetLanguages").add("de-DE");
        task.putArray("files");
        return task;
    }

    private void offer(ObjectNode... tasks) throws IOException {
        ObjectNode all = JSON.createObjectNode();
        ArrayNode list = all.putArray("tasks");
        Stream.of(tasks).forEach(list::add);
        answers.put("/api/tasks", JSON.writeValueAsBytes(all));
    }

    private ObjectNode sheet(String returned) {
        ObjectNode sheet =
                JSON.createObjectNode().put("task", "t-1").put("version", 1).put("form", "original");
        sheet.putArray("targetLanguages").add("de-DE");
        ArrayNode files = sheet.putArray("files");
        files.addObject()
                .put("path", "files/good.properties")
                .put("targetLanguage", "de-DE")
                .put("returned", "de-DE/good.properties");
        if (returned != null) {
            files.addObject()
                    .put("path", "files/other.properties")
                    .put("targetLanguage", "de-DE")
                    .put("returned", returned);
        }
        return sheet;
    }

    private byte[] zip(ObjectNode sheet, String... moreEntries) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
            add(zip, "task.json", JSON.writeValueAsBytes(sheet));
            add(zip, "files/good.properties", "pier=Pier 3\n".getBytes(StandardCharsets.UTF_8));
            add(zip, "files/other.properties", "deck=Deck\n".getBytes(StandardCharsets.UTF_8));
            for (String each : moreEntries) {
                add(zip, each, "style=short\n".getBytes(StandardCharsets.UTF_8));
            }
        }
        return bytes.toByteArray();
    }

    private static void add(ZipOutputStream zip, String name, byte[] content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(content);
        zip.closeEntry();
    }

    /** Accepts the task, downloads this package and takes it in. */
    private TaskIntake.Outcome take(byte[] zip) throws IOException {
        answers.put("/api/tasks/t-1", JSON.writeValueAsBytes(task("t-1")));
        answers.put("/api/tasks/t-1/accept", JSON.writeValueAsBytes(task("t-1")));
        answers.put("/api/tasks/t-1/package", zip);
        DeskTask task = desk.task("t-1", Progress.NONE);
        DeskJob job = lane.deskJobs().accept(desk, "http://desk", task, Progress.NONE);
        DownloadOptions options =
                new DownloadOptions(DownloadOptions.Form.ORIGINAL, DownloadOptions.Memory.NONE, true, false, false);
        Path fetched = lane.deskJobs().fetch(desk, job, options, Progress.NONE);
        return new TaskIntake(lane, VersionUpdate.Choices.DEFAULT)
                .take(lane.deskJobs().get("http://desk", "t-1"), fetched, Progress.NONE);
    }

    private void releaseAll() throws IOException {
        try (ReleaseConditions conditions = new ReleaseConditions(lane, CheckRun::ofAllChecks)) {
            new Packaging(lane, conditions)
                    .releaseAs(
                            lane.deskJobs().plan(lane.deskJobs().all().get(0)),
                            "back-{release}",
                            "a test",
                            Progress.NONE);
        }
    }

    /** Files beside the lane's own folder, which are none of a desk's. */
    private List<Path> outside() throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(Files::isRegularFile)
                    .filter(each -> !each.startsWith(lane.folder()))
                    .toList();
        }
    }

    @ParameterizedTest
    @MethodSource("badPaths")
    void aPathThatLeadsElsewhereIsRefusedByNameAndTheSoundFileComesIn(String returned) throws IOException {
        TaskIntake.Outcome outcome = take(zip(sheet(returned)));
        releaseAll();

        assertThat(outcome.added()).isOne();
        assertThat(outcome.refused()).hasSize(1);
        assertThat(lane.tracks()).extracting(track -> track.name()).containsExactly("good.properties");
        assertThat(outside()).isEmpty();
        assertThat(Path.of("/tmp/PWNED.properties")).doesNotExist();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "references/..",
                "references/../../PWNED.txt",
                "references/a\u0000b",
                "references/\u001b[31m",
                "references\\..\\PWNED",
                "references/NUL",
                "memory/\u0000.tmx"
            })
    void anEntryOfThePackageThatNoSystemCanHoldLosesNothingElse(String entry) throws IOException {
        TaskIntake.Outcome outcome = take(zip(sheet(null), entry, "references/style.txt"));

        assertThat(outcome.added()).isOne();
        assertThat(lane.folder().resolve("reference/style.txt")).exists();
        assertThat(outside()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/tmp/PWNED",
                "../../PWNED",
                "..",
                ".",
                "",
                "a/b",
                "a\\b",
                "a b",
                "a\nb",
                "\u001b[2J",
                "NUL",
                "com1.x",
                "ends.",
                "ä"
            })
    void aTaskWithAnIdThatIsNoneIsSaidAndTheOthersAreOffered(String id) throws IOException {
        offer(task(id), task("t-2"));

        OfferedTasks offered = desk.tasks(Progress.NONE);

        assertThat(offered.tasks()).extracting(DeskTask::id).containsExactly("t-2");
        assertThat(offered.refused()).hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"due", "instructions", "title", "person", "state", "files", "targetLanguages"})
    void whatADeskLeavesOutIsEmpty(String member) throws IOException {
        ObjectNode task = task("t-1");
        task.putNull(member);
        offer(task);

        assertThat(desk.tasks(Progress.NONE).tasks()).hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"xx-not-a-language-at-all", "de_DE", "../..", "none"})
    void aLanguageThatIsNoneMakesNoTask(String language) throws IOException {
        ObjectNode task = task("t-1");
        task.putArray("targetLanguages").add(language);
        offer(task, task("t-2"));

        assertThat(desk.tasks(Progress.NONE).tasks()).extracting(DeskTask::id).containsExactly("t-2");
    }

    @Test
    void textsOfADeskDoNotSteerATerminalOrTurnALine() throws IOException {
        offer(task("t-1").put("title", "Signs\u001b[2J\nand \u202emore").put("instructions", "one\n\u0007two"));

        DeskTask task = desk.tasks(Progress.NONE).tasks().get(0);

        assertThat(task.title()).isEqualTo("Signs[2J and more");
        assertThat(task.instructions()).isEqualTo("one\ntwo");
    }

    @Test
    void aFileInALanguageThatWasNotAskedForIsRefused() throws IOException {
        ObjectNode sheet = sheet(null);
        sheet.withArray("files")
                .addObject()
                .put("path", "files/other.properties")
                .put("targetLanguage", "fr-FR")
                .put("returned", "fr-FR/other.properties");

        TaskIntake.Outcome outcome = take(zip(sheet));

        assertThat(outcome.added()).isOne();
        assertThat(outcome.refused()).singleElement().asString().contains("fr-FR");
    }

    @ParameterizedTest
    @ValueSource(strings = {"task", "version"})
    void aPackageOfAnotherTaskOrVersionIsNotTakenForOurs(String member) {
        ObjectNode sheet = sheet(null);
        if (member.equals("task")) {
            sheet.put("task", "t-9");
        } else {
            sheet.put("version", 9);
        }

        assertThatThrownBy(() -> take(zip(sheet)))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("another task or version");
        assertThat(lane.tracks()).isEmpty();
    }

    @Test
    void anAnswerAboutAnotherTaskIsNone() throws IOException {
        answers.put("/api/tasks/t-1", JSON.writeValueAsBytes(task("t-2")));

        assertThatThrownBy(() -> desk.task("t-1", Progress.NONE)).isInstanceOf(IOException.class);
    }

    /** Lies in random places; more of them with {@code -Dlies=1000}. */
    @Test
    void whateverIsDamagedInATaskAndItsPackageNothingLiesOutsideAndNothingUnforeseenIsThrown() throws IOException {
        long seed = new Random().nextLong();
        Random random = new Random(seed);
        List<String> bad = badPaths().toList();
        for (int i = 0; i < LIES; i++) {
            ObjectNode sheet = sheet(bad.get(random.nextInt(bad.size())));
            List<String> members =
                    List.of("task", "version", "files", "targetLanguages", "due", "instructions", "form");
            String member = members.get(random.nextInt(members.size()));
            switch (random.nextInt(4)) {
                case 0 -> sheet.putNull(member);
                case 1 -> sheet.put(member, bad.get(random.nextInt(bad.size())));
                case 2 -> sheet.put(member, random.nextInt());
                default -> sheet.withArray("files").addNull();
            }
            byte[] zip = zip(sheet, "references/" + bad.get(random.nextInt(bad.size())) + 'x');
            if (random.nextInt(3) == 0) {
                zip[random.nextInt(zip.length)] ^= (byte) (1 << random.nextInt(8));
            }
            try {
                take(zip);
                releaseAll();
            } catch (CannotProceedException | IOException e) {
                // It says why, which is all that can be asked for.
                assertThat(e.getMessage()).as("seed %d, lie %d", seed, i).isNotBlank();
            }
            assertThat(outside()).as("seed %d, lie %d", seed, i).isEmpty();
        }
        assertThat(Path.of("/tmp/PWNED.properties")).doesNotExist();
    }
}
