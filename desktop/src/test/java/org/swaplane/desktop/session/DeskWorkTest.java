package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the window tells of a desk that lies, is silent, or was not asked yet. */
class DeskWorkTest {
    private static final String TASKS = """
            {"tasks": [{"id": "../../t", "title": "Signs", "sourceLanguage": "en", "targetLanguages": ["de"]},
                       {"id": "t-1", "title": "Menu", "version": 1, "sourceLanguage": "en", "targetLanguages": ["de"]}]}
            """;

    @TempDir
    private Path folder;

    private final CountDownLatch asked = new CountDownLatch(1);
    private final CountDownLatch ended = new CountDownLatch(1);
    private final AtomicBoolean silent = new AtomicBoolean();
    private HttpServer server;
    private SessionBench bench;

    @BeforeEach
    void open() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.setExecutor(Executors.newCachedThreadPool());
        server.createContext("/", exchange -> {
            byte[] body = TASKS.getBytes(StandardCharsets.UTF_8);
            exchange.sendResponseHeaders(200, body.length);
            try (OutputStream out = exchange.getResponseBody()) {
                asked.countDown();
                if (silent.get()) {
                    ended.await();
                }
                out.write(body);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        server.start();
        bench = SessionBench.ofDemo(folder.resolve("lane"));
    }

    @AfterEach
    void close() {
        ended.countDown();
        bench.close();
        server.stop(0);
    }

    private DeskWork desk() {
        return bench.session.deskWork();
    }

    private void setAddress() {
        bench.run(() ->
                desk().setAddress("http://127.0.0.1:" + server.getAddress().getPort()));
    }

    @Test
    void whatADeskOffersIsKnownWhenItHasAnsweredAndABadTaskKeepsNoOtherAway() {
        assertThat(bench.on(() -> desk().answeredProperty().get())).isFalse();

        setAddress();
        bench.until(() -> desk().answeredProperty().get());

        assertThat(bench.on(() -> desk().rows()))
                .extracting(row -> row.task().id())
                .containsExactly("t-1");
        assertThat(bench.on(() -> desk().problemProperty().get())).contains("One task of the desk cannot be used");
    }

    @Test
    void whoCancelsWaitsNoLongerIsToldOfNoFailureAndCanAskAgain() throws Exception {
        silent.set(true);
        setAddress();
        assertThat(asked.await(20, TimeUnit.SECONDS)).isTrue();
        bench.until(() -> !bench.session.background().tasks().isEmpty());

        bench.run(() -> bench.session.background().cancel());
        bench.until(() -> !bench.session.background().busyProperty().get());

        assertThat(bench.on(() -> desk().problemProperty().get())).isEmpty();
        assertThat(bench.message()).isEmpty();
        silent.set(false);
        bench.run(() -> desk().refresh());
        bench.until(() -> desk().answeredProperty().get());
    }
}
