package org.swaplane.desk;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.RandomAccessFile;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.document.Fingerprint;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.web.PatientHttp;
import org.swaplane.web.WebAddress;
import org.swaplane.wording.Wording;

/**
 * A desk that is asked over HTTP, as docs/client-desk.md says. What it answers is not trusted: answers are limited in size, and a
 * package counts only when its SHA-256 is right.
 */
public final class HttpClientDesk implements ClientDesk {
    private static final int ATTEMPTS = 5;
    private static final int DELIVERIES = 3;
    private static final int MOST_JSON = 16 << 20;
    private static final long MOST_PACKAGE = 4L << 30;
    private static final int PIECE = 1 << 20;
    private static final Duration PAUSE = Duration.ofMillis(100);
    private static final ObjectMapper JSON =
            new ObjectMapper().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);

    private final URI address;
    private final PatientHttp http;

    /**
     * A desk at an address.
     *
     * @throws CannotProceedException when the address is none, or files would go to another computer without encryption
     */
    public HttpClientDesk(String address) {
        this(address, Duration.ofSeconds(60));
    }

    /** @param patience how long one answer is waited for */
    public HttpClientDesk(String address, Duration patience) {
        this.address = WebAddress.parse(address);
        this.http = new PatientHttp(name(), this.address, patience);
    }

    @Override
    public String name() {
        return address.getPort() < 0 ? address.getHost() : address.getHost() + ':' + address.getPort();
    }

    @Override
    public OfferedTasks tasks(Progress progress) throws IOException {
        List<DeskTask> tasks = new ArrayList<>();
        List<String> refused = new ArrayList<>();
        for (JsonNode each : ask(get("/api/tasks"), progress).path("tasks")) {
            try {
                tasks.add(value(each, new TypeReference<>() {}));
            } catch (CannotProceedException e) {
                refused.add(Wording.text("desk.task-refused", e.getMessage()));
            } catch (IOException e) {
                refused.add(Wording.text("desk.task-refused", Wording.text("web.nonsense", name())));
            }
        }
        return new OfferedTasks(tasks, refused);
    }

    @Override
    public DeskTask task(String id, Progress progress) throws IOException {
        return sameTask(id, value(ask(get(path(id)), progress), new TypeReference<>() {}));
    }

    @Override
    public DeskTask accept(String id, String person, Progress progress) throws IOException {
        return sameTask(
                id,
                value(ask(post(path(id) + "/accept", Map.of("person", person)), progress), new TypeReference<>() {}));
    }

    /** Whoever is asked for one task and answers with another has not answered. */
    private DeskTask sameTask(String id, DeskTask answered) throws IOException {
        if (!answered.id().equals(id)) {
            throw nonsense();
        }
        return answered;
    }

    @Override
    public List<DeskVerdict> verdicts(String id, Progress progress) throws IOException {
        return value(ask(get(path(id) + "/returns"), progress).path("returns"), new TypeReference<>() {});
    }

    @Override
    public DeskReceipt handOver(DeskTask task, String sha256, Progress progress) throws IOException {
        Map<String, Object> asked = Map.of("version", task.version(), "sha256", sha256);
        DeskReceipt receipt =
                value(ask(post(path(task.id()) + "/hand-over", asked), progress), new TypeReference<>() {});
        if (!receipt.task().equals(task.id()) || !receipt.sha256().equals(sha256)) {
            throw nonsense();
        }
        return receipt;
    }

    private static String path(String id) {
        return "/api/tasks/" + URLEncoder.encode(id, StandardCharsets.UTF_8);
    }

    @Override
    public void download(DeskTask task, DownloadOptions options, Path to, Progress progress) throws IOException {
        Path part = to.resolveSibling(to.getFileName() + ".part");
        String query = path(task.id()) + "/package?" + options.query();
        IOException last = null;
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            PatientHttp.pause(PAUSE, attempt, progress);
            try {
                long have = Files.exists(part) ? Files.size(part) : 0;
                HttpRequest.Builder request = get(query);
                if (have > 0) {
                    request.header("Range", "bytes=" + have + '-');
                }
                String sha256 =
                        http.send(request, progress, (response, body) -> receive(response, body, part, have, progress));
                if (sha256.equals(Source.of(part).sha256())) {
                    Files.move(part, to, StandardCopyOption.REPLACE_EXISTING);
                    return;
                }
                // What was gone on with was another package, or was damaged on its way.
                Files.delete(part);
                last = nonsense();
            } catch (IOException e) {
                last = e;
            }
        }
        throw last;
    }

    /** Adds what comes to the part; returns the SHA-256 that the whole is to have. */
    private String receive(
            HttpResponse<InputStream> response, InputStream body, Path part, long have, Progress progress)
            throws IOException {
        if (response.statusCode() == 416) {
            return response.headers().firstValue("X-SHA-256").orElse("");
        }
        refuse(response, body);
        boolean goesOn = response.statusCode() == 206;
        long total = response.headers().firstValueAsLong("Content-Length").orElse(0) + (goesOn ? have : 0);
        if (total > MOST_PACKAGE) {
            throw new CannotProceedException(name(), "desk.too-large");
        }
        long done = goesOn ? have : 0;
        try (InputStream in = body;
                OutputStream out = goesOn
                        ? Files.newOutputStream(part, StandardOpenOption.CREATE, StandardOpenOption.APPEND)
                        : Files.newOutputStream(part)) {
            byte[] piece = new byte[1 << 16];
            for (int read = in.read(piece); read >= 0; read = in.read(piece)) {
                progress.checkCancelled();
                out.write(piece, 0, read);
                done += read;
                progress.at(done, total);
                if (done > MOST_PACKAGE) {
                    throw new CannotProceedException(name(), "desk.too-large");
                }
            }
        }
        if (done < total) {
            throw new IOException("cut off");
        }
        return response.headers().firstValue("X-SHA-256").orElse("");
    }

    @Override
    public DeskVerdict deliver(DeskTask task, DownloadOptions.Form form, Path zip, Progress progress)
            throws IOException {
        String sha256 = Source.of(zip).sha256();
        String upload = path(task.id()) + "/uploads/" + sha256;
        long total = Files.size(zip);
        IOException last = null;
        for (int attempt = 0; attempt < DELIVERIES; attempt++) {
            PatientHttp.pause(PAUSE, attempt, progress);
            try {
                upload(upload, zip, total, progress);
                Map<String, Object> asked = Map.of("version", task.version(), "sha256", sha256, "form", form.id());
                DeskVerdict verdict =
                        value(ask(post(path(task.id()) + "/returns", asked), progress), new TypeReference<>() {});
                if (!verdict.sha256().equals(sha256)) {
                    throw nonsense();
                }
                return verdict;
            } catch (IOException e) {
                last = e;
            }
        }
        throw last;
    }

    /** Sends what the desk does not have yet, piece by piece. */
    private void upload(String upload, Path zip, long total, Progress progress) throws IOException {
        long have = ask(get(upload), progress).path("have").asLong(0);
        try (RandomAccessFile file = new RandomAccessFile(zip.toFile(), "r")) {
            while (have < total) {
                progress.checkCancelled();
                byte[] piece = new byte[(int) Math.min(PIECE, total - have)];
                file.seek(have);
                file.readFully(piece);
                HttpRequest.Builder request = http.request(upload)
                        .header("Content-Range", "bytes " + have + '-' + (have + piece.length - 1) + '/' + total)
                        .PUT(HttpRequest.BodyPublishers.ofByteArray(piece));
                long now = ask(request, progress).path("have").asLong(-1);
                if (now <= have) {
                    throw nonsense();
                }
                have = now;
                progress.at(have, total);
            }
        }
    }

    private HttpRequest.Builder get(String path) {
        return http.request(path).GET();
    }

    private HttpRequest.Builder post(String path, Map<String, ?> body) throws IOException {
        return http.request(path)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofByteArray(JSON.writeValueAsBytes(body)));
    }

    /** Asks until there is an answer with sense, or it was tried often enough. */
    private JsonNode ask(HttpRequest.Builder request, Progress progress) throws IOException {
        IOException last = null;
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            PatientHttp.pause(PAUSE, attempt, progress);
            try {
                return http.send(request, progress, (response, body) -> {
                    refuse(response, body);
                    return whole(response, body);
                });
            } catch (IOException e) {
                last = e;
            }
        }
        throw last;
    }

    /** An answer that says what its bytes add up to counts only when they do. */
    private JsonNode whole(HttpResponse<InputStream> response, InputStream answer) throws IOException {
        try (InputStream in = answer) {
            byte[] body = in.readNBytes(MOST_JSON);
            Optional<String> sum = response.headers().firstValue("X-SHA-256");
            if (sum.isPresent() && !sum.get().equals(Fingerprint.sha256(body))) {
                throw nonsense();
            }
            return json(body);
        }
    }

    private JsonNode json(byte[] body) throws IOException {
        try {
            JsonNode read = JSON.readTree(body);
            if (body.length == MOST_JSON || read == null || !read.isObject()) {
                throw nonsense();
            }
            return read;
        } catch (JacksonException e) {
            throw nonsense();
        }
    }

    private <T> T value(JsonNode node, TypeReference<T> type) throws IOException {
        try {
            T value = JSON.convertValue(node, type);
            if (value == null) {
                throw nonsense();
            }
            return value;
        } catch (IllegalArgumentException e) {
            for (Throwable cause = e.getCause(); cause != null; cause = cause.getCause()) {
                if (cause instanceof CannotProceedException refused) {
                    throw refused;
                }
            }
            throw nonsense();
        }
    }

    private IOException nonsense() {
        return new IOException(Wording.text("web.nonsense", name()));
    }

    /** An answer that will not change is no use to be asked for again. */
    private void refuse(HttpResponse<InputStream> response, InputStream body) throws IOException {
        int status = response.statusCode();
        if (status < 300) {
            return;
        }
        String message = "";
        try {
            message = json(body.readNBytes(MOST_JSON)).path("message").asText("");
        } catch (IOException e) {
            // Then it does not say why.
        }
        String said = DeskText.line(message);
        if (status == 429 || status >= 500) {
            throw new IOException(Wording.text("desk.busy", name(), status, said));
        }
        throw new CannotProceedException(name(), status == 409 ? "desk.conflict" : "desk.refused", said, status);
    }
}
