package org.swaplane.draft;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.swaplane.task.Closing;

/**
 * A stand-in for a draft service, on this computer only: it replaces the words that its small word lists hold, takes its time, and fails now and
 * then, as services do.
 */
public final class SimulatedDraftService implements AutoCloseable {
    private static final int MOST_BYTES = 4 << 20;
    private static final ObjectMapper JSON = new ObjectMapper();

    private final HttpServer server;
    private final ExecutorService threads = Executors.newFixedThreadPool(2, work -> {
        Thread thread = new Thread(work, "simulated-drafts");
        thread.setDaemon(true);
        return thread;
    });
    private final String key;
    private final Behaviour behaviour;
    private final Random chance;

    /**
     * How it behaves.
     *
     * @param perText time that each text takes
     * @param failures share of the requests that are answered by an error, from 0 to 1
     */
    public record Behaviour(Duration perText, double failures, long seed) {
        public static final Behaviour DEFAULT = new Behaviour(Duration.ofMillis(60), 0.1, 5);
    }

    private SimulatedDraftService(String key, Behaviour behaviour) throws IOException {
        this.key = key;
        this.behaviour = behaviour;
        this.chance = new Random(behaviour.seed());
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/drafts", this::answer);
        server.setExecutor(threads);
        server.start();
    }

    /**
     * Starts one at a free port.
     *
     * @param key that must be shown; empty for none
     */
    public static SimulatedDraftService start(String key, Behaviour behaviour) throws IOException {
        return new SimulatedDraftService(key, behaviour);
    }

    /** Where it is asked. */
    public String address() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    private void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            String shown = exchange.getRequestHeaders().getFirst("Authorization");
            if (!key.isEmpty() && !("Bearer " + key).equals(shown)) {
                say(exchange, 401, Map.of("error", "The key is not known here."));
                return;
            }
            byte[] body = exchange.getRequestBody().readNBytes(MOST_BYTES + 1);
            if (body.length > MOST_BYTES) {
                say(exchange, 413, Map.of("error", "So much text at once is not taken."));
                return;
            }
            if (fails()) {
                say(exchange, 503, Map.of("error", "Too much to do just now."));
                return;
            }
            JsonNode asked = JSON.readTree(body);
            SimulatedDraft words = SimulatedDraft.between(
                    asked.path("source").asText(""), asked.path("target").asText(""));
            List<String> drafts = new ArrayList<>();
            for (JsonNode text : asked.path("texts")) {
                Thread.sleep(behaviour.perText().toMillis());
                drafts.add(words.of(text.asText("")));
            }
            say(exchange, 200, Map.of("drafts", drafts));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private synchronized boolean fails() {
        return chance.nextDouble() < behaviour.failures();
    }

    private static void say(HttpExchange exchange, int status, Map<String, ?> answer) throws IOException {
        byte[] body = JSON.writeValueAsBytes(answer);
        exchange.getResponseHeaders().set("Content-Type", "application/json; charset=utf-8");
        exchange.sendResponseHeaders(status, body.length);
        try (OutputStream out = exchange.getResponseBody()) {
            out.write(body);
        }
    }

    @Override
    public void close() {
        Closing.inOrder(() -> server.stop(0), threads::shutdownNow);
    }
}
