package org.swaplane.draft;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.web.PatientHttp;
import org.swaplane.web.WebAddress;
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
    private static final ObjectMapper JSON = new ObjectMapper();

    private final String name;
    private final String key;
    private final PatientHttp http;

    /**
     * A service at an address.
     *
     * @param name how people are told of it; empty for the name of its computer
     * @param key that it asks for; may be empty
     * @throws CannotProceedException when the address is none, or text would go to another computer without encryption
     */
    public HttpDraftService(String name, String address, String key) {
        this(name, address, key, PATIENCE);
    }

    /** @param patience how long an answer is waited for, and each silence in it */
    HttpDraftService(String name, String address, String key, Duration patience) {
        URI parsed = WebAddress.parse(address);
        this.name = name.isEmpty() ? parsed.getHost() : name;
        this.key = key;
        this.http = new PatientHttp(this.name, parsed, patience);
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public List<String> draft(List<String> texts, String source, String target, Progress progress) throws IOException {
        HttpRequest.Builder request = http.request("/drafts")
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofByteArray(
                        JSON.writeValueAsBytes(Map.of("source", source, "target", target, "texts", texts))));
        if (!key.isEmpty()) {
            request.header("Authorization", "Bearer " + key);
        }
        IOException last = null;
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            PatientHttp.pause(PAUSE, attempt, progress);
            try {
                Answer answer = http.send(request, progress, HttpDraftService::read);
                if (answer.status() == 200) {
                    return drafts(answer.body(), texts.size());
                }
                boolean later = answer.status() == 429 || answer.status() >= 500;
                if (!later) {
                    throw new CannotProceedException(name(), "draft.refused", answer.status(), error(answer.body()));
                }
                last = new IOException(answer.status() + " " + error(answer.body()));
            } catch (IOException e) {
                last = e;
            }
        }
        throw last;
    }

    private static Answer read(HttpResponse<InputStream> response, InputStream body) throws IOException {
        byte[] bytes = body.readNBytes(MOST_BYTES + 1);
        if (bytes.length > MOST_BYTES) {
            throw new IOException(Phrase.of("draft.too-much").text());
        }
        return new Answer(response.statusCode(), bytes);
    }

    private record Answer(int status, byte[] body) {}

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
