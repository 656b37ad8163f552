package org.swaplane.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.desk.server.DeskServer;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Whatever happens to the connection, a task is accepted, downloaded, returned and handed over once, and as it is. */
class DeskFaultsTest {
    /** As many as {@code -Dfaults=1000} says; fewer by default, since each costs waiting. */
    private static final int FAULTS = Integer.getInteger("faults", 10);

    private static final int MOST_TRIES = 40;

    @TempDir
    private Path folder;

    private interface Step<T> {
        T run() throws IOException;
    }

    /** Does it again as a person would, until it is done. */
    private static <T> T insist(Step<T> step) throws IOException {
        IOException last = null;
        for (int i = 0; i < MOST_TRIES; i++) {
            try {
                return step.run();
            } catch (IOException e) {
                last = e;
            } catch (CannotProceedException e) {
                // What was damaged on its way may look like a refusal.
                last = new IOException(e);
            }
        }
        throw last;
    }

    @Test
    void everyTaskEndsInARightState() throws IOException {
        String text = "pier=Pier\n" + "deck=" + "Deck ".repeat(600) + "\n";
        Path zip = folder.resolve("back.zip");
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
            out.setLevel(0);
            out.putNextEntry(new ZipEntry("de-DE/signs.properties"));
            out.write(text.replace("Pier", "Anleger").getBytes(StandardCharsets.UTF_8));
            out.closeEntry();
        }
        String sum = Source.of(zip).sha256();
        try (DeskServer server = DeskServer.start(0, folder.resolve("desk"), Clock.systemUTC());
                FaultyProxy proxy = new FaultyProxy(server.address(), 7, 0.35)) {
            HttpClientDesk right = new HttpClientDesk(server.address());
            for (int i = 0; proxy.faults() < FAULTS; i++) {
                String id = "t-" + i;
                server.offer(
                        id,
                        "Signs " + i,
                        "en-GB",
                        List.of("de-DE"),
                        "",
                        "",
                        Map.of("signs.properties", text.getBytes(StandardCharsets.UTF_8)),
                        Optional.empty(),
                        Map.of());
                // A client of its own, as after a restart: no connection is left open.
                HttpClientDesk desk = new HttpClientDesk(proxy.address(), Duration.ofMillis(700));
                DeskTask task = insist(() -> desk.accept(id, "Mara", Progress.NONE));
                Path got = folder.resolve(id + ".zip");
                insist(() -> {
                    desk.download(right.task(id, Progress.NONE), DownloadOptions.DEFAULT, got, Progress.NONE);
                    return got;
                });
                Path wanted = folder.resolve("wanted.zip");
                right.download(task, DownloadOptions.DEFAULT, wanted, Progress.NONE);
                assertThat(Files.readAllBytes(got)).isEqualTo(Files.readAllBytes(wanted));
                insist(() ->
                        desk.deliver(right.task(id, Progress.NONE), DownloadOptions.Form.ORIGINAL, zip, Progress.NONE));
                insist(() -> desk.handOver(right.task(id, Progress.NONE), sum, Progress.NONE));

                assertThat(right.task(id, Progress.NONE).state()).isEqualTo(DeskTask.State.CLOSED);
                assertThat(right.verdicts(id, Progress.NONE))
                        .singleElement()
                        .satisfies(verdict -> assertThat(verdict.accepted()).isTrue());
            }
            assertThat(right.tasks(Progress.NONE).tasks()).isEmpty();
            assertThat(proxy.faults()).isGreaterThanOrEqualTo(FAULTS);
        }
    }
}
