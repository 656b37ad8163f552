package org.swaplane.desk;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.RandomAccessFile;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import org.swaplane.document.Fingerprint;
import org.swaplane.format.Source;
import org.swaplane.task.CancelledException;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.task.WebAddress;
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
    private static final long POLL_MILLIS = 50;
    private static final Duration PAUSE = Duration.ofMillis(100);
    private static final ObjectMapper JSON =
            new ObjectMapper().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);

    private final URI address;
    private final Duration patience;
    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(10))
            .build();

    /** Tells how an answer is read. */
    private interface Reading<T> {
        T of(HttpResponse<InputStream> response, InputStream body) throws IOException;
    }

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
        this.patience = patience;
    }

    @Override
    public String name() {
        return address.getPort() < 0 ? address.getHost() : address.getHost() + ':' + address.getPort();
    }

    @Override
    public List<DeskTask> tasks(Progress progress) throws IOException {
        return value(ask(get("/api/tasks"), progress).path("tasks"), new TypeReference<>() {});
    }

    @Override
    public DeskTask task(String id, Progress progress) throws IOException {
        return value(ask(get(path(id)), progress), new TypeReference<>() {});
    }

    @Override
    public DeskTask accept(String id, String person, Progress progress) throws IOException {
        return value(ask(post(path(id) + "/accept", Map.of("person", person)), progress), new TypeReference<>() {});
    }

    @Override
    public List<DeskVerdict> verdicts(String id, Progress progress) throws IOException {
        return value(ask(get(path(id) + "/returns"), progress).path("returns"), new TypeReference<>() {});
    }

    @Override
    public DeskReceipt handOver(DeskTask task, String sha256, Progress progress) throws IOException {
        Map<String, Object> asked = Map.of("version", task.version(), "sha256", sha256);
        return value(ask(post(path(task.id()) + "/hand-over", asked), progress), new TypeReference<>() {});
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
            pause(attempt, progress);
            try {
                long have = Files.exists(part) ? Files.size(part) : 0;
                HttpRequest.Builder request = get(query);
                if (have > 0) {
                    request.header("Range", "bytes=" + have + '-');
                }
                String sha256 =
                        send(request, progress, (response, body) -> receive(response, body, part, have, progress));
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
            pause(attempt, progress);
            try {
                upload(upload, zip, total, progress);
                Map<String, Object> asked = Map.of("version", task.version(), "sha256", sha256, "form", form.id());
                return value(ask(post(path(task.id()) + "/returns", asked), progress), new TypeReference<>() {});
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
                HttpRequest.Builder request = request(upload)
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

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(address + path)).timeout(patience);
    }

    private HttpRequest.Builder get(String path) {
        return request(path).GET();
    }

    private HttpRequest.Builder post(String path, Map<String, ?> body) throws IOException {
        return request(path)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofByteArray(JSON.writeValueAsBytes(body)));
    }

    /** Asks until there is an answer with sense, or it was tried often enough. */
    private JsonNode ask(HttpRequest.Builder request, Progress progress) throws IOException {
        IOException last = null;
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            pause(attempt, progress);
            try {
                return send(request, progress, (response, body) -> {
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
            throw nonsense();
        }
    }

    private IOException nonsense() {
        return new IOException(Wording.text("desk.nonsense", name()));
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
        String line = message.lines().findFirst().orElse("");
        String said = line.substring(0, Math.min(300, line.length()));
        if (status == 429 || status >= 500) {
            throw new IOException(Wording.text("desk.busy", name(), status, said));
        }
        throw new CannotProceedException(name(), status == 409 ? "desk.conflict" : "desk.refused", said, status);
    }

    /** Waits, and looks often whether somebody cancelled, or nothing has come for too long. */
    private <T> T send(HttpRequest.Builder request, Progress progress, Reading<T> reading) throws IOException {
        AtomicLong heard = new AtomicLong(System.nanoTime());
        AtomicReference<InputStream> open = new AtomicReference<>(InputStream.nullInputStream());
        CompletableFuture<HttpResponse<InputStream>> answer =
                client.sendAsync(request.build(), HttpResponse.BodyHandlers.ofInputStream());
        CompletableFuture<T> result = answer.thenApplyAsync(response -> {
            open.set(response.body());
            try {
                return reading.of(response, new Heard(response.body(), heard));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
        try {
            while (true) {
                progress.checkCancelled();
                if (System.nanoTime() - heard.get() > patience.toNanos()) {
                    throw new IOException(Wording.text("desk.unreachable", name(), Wording.text("desk.silent")));
                }
                try {
                    return result.get(POLL_MILLIS, TimeUnit.MILLISECONDS);
                } catch (TimeoutException e) {
                    // Not yet.
                }
            }
        } catch (ExecutionException e) {
            throw failure(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        } finally {
            answer.cancel(true);
            open.get().close();
        }
    }

    private IOException failure(Throwable cause) {
        if (cause instanceof UncheckedIOException wrapped) {
            return wrapped.getCause();
        }
        if (cause instanceof CannotProceedException refused) {
            throw refused;
        }
        if (cause instanceof CancelledException cancelled) {
            throw cancelled;
        }
        if (cause instanceof RuntimeException) {
            // A header that was damaged on its way.
            return nonsense();
        }
        return new IOException(Wording.text("desk.unreachable", name(), reason(cause)), cause);
    }

    /** A body that notes when something came. */
    private static final class Heard extends FilterInputStream {
        private final AtomicLong heard;

        Heard(InputStream in, AtomicLong heard) {
            super(in);
            this.heard = heard;
        }

        @Override
        public int read() throws IOException {
            int read = super.read();
            heard.set(System.nanoTime());
            return read;
        }

        @Override
        public int read(byte[] bytes, int offset, int length) throws IOException {
            int read = super.read(bytes, offset, length);
            heard.set(System.nanoTime());
            return read;
        }
    }

    private static String reason(Throwable cause) {
        return cause.getMessage() == null ? cause.getClass().getSimpleName() : cause.getMessage();
    }

    private static void pause(int attempt, Progress progress) throws IOException {
        try {
            for (long left = PAUSE.toMillis() * attempt * attempt; left > 0; left -= POLL_MILLIS) {
                progress.checkCancelled();
                Thread.sleep(Math.min(left, POLL_MILLIS));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }
}
