package org.swaplane.draft;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.task.CancelledException;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class HttpDraftServiceTest {
    private static final SimulatedDraftService.Behaviour QUICK =
            new SimulatedDraftService.Behaviour(Duration.ZERO, 0, 1);

    private AutoCloseable server = () -> {};
    private final AtomicInteger asked = new AtomicInteger();

    @AfterEach
    void stop() throws Exception {
        server.close();
    }

    private DraftService simulated(String key, SimulatedDraftService.Behaviour behaviour, String shown)
            throws IOException {
        SimulatedDraftService started = SimulatedDraftService.start(key, behaviour);
        server = started;
        return new HttpDraftService("", started.address() + "/", shown);
    }

    /** A server that always answers the same. */
    private DraftService answering(int status, String body) throws IOException {
        HttpServer http = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        http.createContext("/", exchange -> {
            asked.incrementAndGet();
            byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
            exchange.sendResponseHeaders(status, bytes.length);
            exchange.getResponseBody().write(bytes);
            exchange.close();
        });
        http.start();
        server = () -> http.stop(0);
        return new HttpDraftService("", "http://127.0.0.1:" + http.getAddress().getPort(), "");
    }

    private static List<String> draft(DraftService service, String... texts) throws IOException {
        return service.draft(List.of(texts), "en-GB", "de-DE", Progress.NONE);
    }

    @Test
    void theStandInReplacesTheWordsItKnowsAndKeepsTagsAndNumbers() throws IOException {
        DraftService service = simulated("k", QUICK, "k");

        assertThat(draft(service, "The ferry leaves at ⟦1⟧14:05⟦/1⟧ from Gull Pier.", ""))
                .containsExactly("Die Fähre fährt um ⟦1⟧14:05⟦/1⟧ von Gull Anleger.", "");
        assertThat(service.draft(List.of("The ferry"), "en", "ar", Progress.NONE))
                .containsExactly("(ar) The ferry");
    }

    @Test
    void aKeyThatIsNotKnownIsRefusedAtOnce() throws IOException {
        DraftService service = simulated("right", QUICK, "wrong");

        assertThatThrownBy(() -> draft(service, "The ferry"))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("401");
    }

    @Test
    void aServiceThatIsBusyNowAndThenIsAskedAgain() throws IOException {
        DraftService service = simulated("", new SimulatedDraftService.Behaviour(Duration.ZERO, 0.3, 3), "");

        for (int i = 0; i < 10; i++) {
            assertThat(draft(service, "ferry")).containsExactly("Fähre");
        }
    }

    @Test
    void oneThatAlwaysFailsIsAskedThreeTimes() throws IOException {
        DraftService service = answering(503, "{\"error\":\"closed for the winter\"}");

        assertThatThrownBy(() -> draft(service, "ferry"))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("closed for the winter");
        assertThat(asked).hasValue(3);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "<html>", "{\"drafts\":[]}", "{\"drafts\":[\"a\",\"b\"]}", "[1", "{\"drafts\":\"x\"}"})
    void anAnswerWithoutSenseIsNone(String body) throws IOException {
        DraftService service = answering(200, body);

        assertThatThrownBy(() -> draft(service, "ferry")).isInstanceOf(IOException.class);
    }

    @Test
    void anAnswerWithoutEndIsNotHeld() throws IOException {
        DraftService service = answering(200, "{\"drafts\":[\"" + "x".repeat(9 << 20) + "\"]}");

        assertThatThrownBy(() -> draft(service, "ferry")).isInstanceOf(IOException.class);
    }

    @Test
    void aCancelDoesNotWaitForTheAnswer() throws IOException {
        DraftService service = simulated("", new SimulatedDraftService.Behaviour(Duration.ofSeconds(30), 0, 1), "");
        AtomicBoolean first = new AtomicBoolean(true);
        Progress cancelledSoon = new Progress() {
            @Override
            public void at(long done, long total) {}

            @Override
            public boolean cancelled() {
                return !first.getAndSet(false);
            }
        };

        assertThatThrownBy(() -> service.draft(List.of("ferry"), "en", "de", cancelledSoon))
                .isInstanceOf(CancelledException.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "drafts", "ftp://127.0.0.1", "http://", "ht tp://x", "http://192.0.2.7:8000"})
    void onlyAnAddressThatKeepsTextsSafeIsTaken(String address) {
        assertThatThrownBy(() -> new HttpDraftService("", address, "")).isInstanceOf(CannotProceedException.class);
    }
}
