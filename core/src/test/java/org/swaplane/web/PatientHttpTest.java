package org.swaplane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.task.CancelledException;
import org.swaplane.task.Progress;

/** A server that is slow, silent or leads elsewhere holds nobody up and leads nobody on. */
@Timeout(30)
class PatientHttpTest {
    private static final Duration LONG = Duration.ofSeconds(60);
    private static final Duration SHORT = Duration.ofMillis(400);

    private final ExecutorService threads = Executors.newCachedThreadPool();
    private final CountDownLatch ended = new CountDownLatch(1);
    private final AtomicInteger elsewhere = new AtomicInteger();
    private HttpServer server;
    private HttpServer other;

    @BeforeEach
    void start() throws IOException {
        server = server();
        other = server();
        other.createContext("/", exchange -> {
            elsewhere.incrementAndGet();
            answer(exchange, 200, "elsewhere");
        });
    }

    private HttpServer server() throws IOException {
        HttpServer made = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        made.setExecutor(threads);
        made.start();
        return made;
    }

    @AfterEach
    void stop() {
        ended.countDown();
        server.stop(0);
        other.stop(0);
        threads.shutdownNow();
    }

    private static String address(HttpServer of) {
        return "http://127.0.0.1:" + of.getAddress().getPort();
    }

    private PatientHttp http(Duration patience) {
        return new PatientHttp("the desk", URI.create(address(server)), patience);
    }

    private static void answer(HttpExchange exchange, int status, String body) throws IOException {
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        exchange.sendResponseHeaders(status, bytes.length);
        try (OutputStream out = exchange.getResponseBody()) {
            out.write(bytes);
        }
    }

    private static String text(PatientHttp http, Progress progress) throws IOException {
        return http.send(
                http.request("/tasks").GET(),
                progress,
                (response, body) ->
                        response.statusCode() + " " + new String(body.readAllBytes(), StandardCharsets.UTF_8));
    }

    /** Begins a body and says nothing more. */
    private void stalls() {
        server.createContext("/", exchange -> {
            exchange.sendResponseHeaders(200, 1000);
            exchange.getResponseBody().write('{');
            exchange.getResponseBody().flush();
            try {
                ended.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
    }

    @Test
    void whoCancelsIsFreeAtOnceAlsoWhileABodyIsSilent() {
        stalls();
        AtomicBoolean cancelled = new AtomicBoolean();
        threads.execute(() -> {
            try {
                TimeUnit.MILLISECONDS.sleep(300);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            cancelled.set(true);
        });
        long began = System.nanoTime();

        assertThatThrownBy(() -> text(http(LONG), new Progress() {
                    @Override
                    public void at(long done, long total) {}

                    @Override
                    public boolean cancelled() {
                        return cancelled.get();
                    }
                }))
                .isInstanceOf(CancelledException.class);

        assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(LONG.dividedBy(4));
    }

    @Test
    void aBodyThatIsSilentForTooLongIsGivenUp() {
        stalls();

        assertThatThrownBy(() -> text(http(SHORT), Progress.NONE))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("the desk");
    }

    @Test
    void aBodyThatTricklesForEverIsGivenUp() {
        server.createContext("/", exchange -> {
            exchange.sendResponseHeaders(200, 0);
            try (OutputStream out = exchange.getResponseBody()) {
                while (ended.getCount() > 0) {
                    out.write(' ');
                    out.flush();
                    ended.await(SHORT.toMillis() / 4, TimeUnit.MILLISECONDS);
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });

        assertThatThrownBy(() -> text(http(SHORT), Progress.NONE)).isInstanceOf(IOException.class);
    }

    @Test
    void aHeadThatNeverEndsIsGivenUp() throws IOException {
        try (ServerSocket listening = new ServerSocket(0, 5, InetAddress.getLoopbackAddress())) {
            threads.execute(() -> {
                try (Socket client = listening.accept()) {
                    OutputStream out = client.getOutputStream();
                    out.write("HTTP/1.1 200 OK\r\n".getBytes(StandardCharsets.US_ASCII));
                    for (int i = 0; ended.getCount() > 0; i++) {
                        out.write(("X-" + i + ": more\r\n").getBytes(StandardCharsets.US_ASCII));
                        out.flush();
                    }
                } catch (IOException e) {
                    // The client had enough of it.
                    return;
                }
            });
            PatientHttp http =
                    new PatientHttp("the desk", URI.create("http://127.0.0.1:" + listening.getLocalPort()), SHORT);

            assertThatThrownBy(() -> text(http, Progress.NONE)).isInstanceOf(IOException.class);
        }
    }

    @ParameterizedTest
    @CsvSource({"301", "302", "307", "308"})
    void anAnswerLeadsOnOnTheSameServerOnly(int status) throws IOException {
        server.createContext("/tasks", exchange -> {
            exchange.getResponseHeaders().set("Location", "/moved");
            answer(exchange, status, "");
        });
        server.createContext("/moved", exchange -> answer(exchange, 200, "here"));

        assertThat(text(http(LONG), Progress.NONE)).isEqualTo("200 here");

        server.removeContext("/tasks");
        server.createContext("/tasks", exchange -> {
            exchange.getResponseHeaders().set("Location", address(other) + "/tasks");
            answer(exchange, status, "");
        });
        assertThat(text(http(LONG), Progress.NONE)).startsWith(String.valueOf(status));
        assertThat(elsewhere).hasValue(0);
    }

    @Test
    void anAnswerThatLeadsInACircleEnds() throws IOException {
        server.createContext("/tasks", exchange -> {
            exchange.getResponseHeaders().set("Location", "/tasks");
            answer(exchange, 302, "");
        });

        assertThat(text(http(LONG), Progress.NONE)).startsWith("302");
    }
}
