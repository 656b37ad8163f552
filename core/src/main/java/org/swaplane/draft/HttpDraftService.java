package org.swaplane.draft;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.task.WebAddress;
import org.swaplane.wording.Phrase;

/**
 * A draft service that is asked over HTTP: {@code POST <address>/drafts} with {@code {"source","target","texts":[…]}} and the key as a bearer
 * token, which answers {@code {"drafts":[…]}}. What it says is not trusted: answers are limited in size, and counted.
 */
public final class HttpDraftService implements DraftService {
    private static final int ATTEMPTS = 3;
    private static final int MOST_BYTES = 8 << 20;
    private static final Duration PATIENCE = Duration.ofSeconds(60);
    private static final Duration PAUSE = Duration.ofMillis(300);
    private static final long POLL_MILLIS = 50;
    private static final ObjectMapper JSON = new ObjectMapper();

    private final String name;
    private final URI address;
    private final String key;
    private final HttpClient client =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(10)).build();

    /**
     * A service at an address.
     *
     * @param name how people are told of it; empty for the name of its computer
     * @param key that it asks for; may be empty
     * @throws CannotProceedException when the address is none, or text would go to another computer without encryption
     */
    public HttpDraftService(String name, String address, String key) {
        this.address = WebAddress.parse(address);
        this.name = name.isEmpty() ? this.address.getHost() : name;
        this.key = key;
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public List<String> draft(List<String> texts, String source, String target, Progress progress) throws IOException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + "/drafts"))
                .timeout(PATIENCE)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofByteArray(
                        JSON.writeValueAsBytes(Map.of("source", source, "target", target, "texts", texts))));
        if (!key.isEmpty()) {
            request.header("Authorization", "Bearer " + key);
        }
        IOException last = null;
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            pause(PAUSE.multipliedBy(attempt * attempt), progress);
            try {
                HttpResponse<InputStream> response = send(request.build(), progress);
                byte[] body = read(response);
                if (response.statusCode() == 200) {
                    return drafts(body, texts.size());
                }
                boolean later = response.statusCode() == 429 || response.statusCode() >= 500;
                if (!later) {
                    throw new CannotProceedException(name(), "draft.refused", response.statusCode(), error(body));
                }
                last = new IOException(response.statusCode() + " " + error(body));
            } catch (IOException e) {
                last = e;
            }
        }
        throw last;
    }

    /** Waits, and looks often whether somebody cancelled. */
    private HttpResponse<InputStream> send(HttpRequest request, Progress progress) throws IOException {
        CompletableFuture<HttpResponse<InputStream>> answer =
                client.sendAsync(request, HttpResponse.BodyHandlers.ofInputStream());
        try {
            while (true) {
                progress.checkCancelled();
                try {
                    return answer.get(POLL_MILLIS, TimeUnit.MILLISECONDS);
                } catch (TimeoutException e) {
                    // Not yet: the request has a time limit of its own.
                }
            }
        } catch (ExecutionException e) {
            throw new IOException(e.getCause().getMessage(), e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        } finally {
            answer.cancel(true);
        }
    }

    private static void pause(Duration pause, Progress progress) throws IOException {
        try {
            for (long left = pause.toMillis(); left > 0; left -= POLL_MILLIS) {
                progress.checkCancelled();
                Thread.sleep(Math.min(left, POLL_MILLIS));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    private static byte[] read(HttpResponse<InputStream> response) throws IOException {
        try (InputStream in = response.body()) {
            byte[] body = in.readNBytes(MOST_BYTES + 1);
            if (body.length > MOST_BYTES) {
                throw new IOException(Phrase.of("draft.too-much").text());
            }
            return body;
        }
    }

    private static List<String> drafts(byte[] body, int asked) throws IOException {
        List<String> drafts = new ArrayList<>();
        try {
            JsonNode answer = JSON.readTree(body);
            for (JsonNode each : answer.path("drafts")) {
                drafts.add(each.isTextual() ? each.textValue() : "");
            }
        } catch (JacksonException e) {
            throw new IOException(Phrase.of("draft.nonsense").text(), e);
        }
        if (drafts.size() != asked) {
            throw new IOException(Phrase.of("draft.nonsense").text());
        }
        return drafts;
    }

    /** What the service says of a refusal, cut to what fits a line. */
    private static String error(byte[] body) {
        try {
            String said = JSON.readTree(body).path("error").asText("");
            String line = said.lines().findFirst().orElse("");
            return line.substring(0, Math.min(120, line.length()));
        } catch (IOException e) {
            return "";
        }
    }
}
