package org.swaplane.web;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import org.swaplane.task.CancelledException;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.wording.Reason;
import org.swaplane.wording.Wording;

/**
 * Asks one server. An answer may take its time, but not for ever: its head, each silence in its body and the whole of it are limited, and
 * whoever cancels is free at once. It is led to no other server, whatever the answer says.
 */
public final class PatientHttp {
    private static final long POLL_MILLIS = 50;
    private static final int MOST_REDIRECTS = 4;

    /** An answer comes at this pace at least, after the patience for its beginning. */
    private static final long BYTES_A_SECOND = 4096;

    /** Those that keep method and body. */
    private static final Set<Integer> SAME_METHOD = Set.of(307, 308);

    private static final Set<Integer> REDIRECTS = Set.of(301, 302, 303, 307, 308);

    /** Reading a body blocks, so that it needs threads of its own; one that hangs is closed and ends. */
    private static final ExecutorService READERS = Executors.newCachedThreadPool(work -> {
        Thread thread = new Thread(work, "http-body");
        thread.setDaemon(true);
        return thread;
    });

    private final String name;
    private final URI address;
    private final Duration patience;
    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .followRedirects(HttpClient.Redirect.NEVER)
            .connectTimeout(Duration.ofSeconds(10))
            .build();

    /** Tells how an answer is read; its body ends with an {@link IOException} when nothing comes for too long. */
    public interface Reading<T> {
        T of(HttpResponse<InputStream> response, InputStream body) throws IOException;
    }

    /**
     * @param name of the server, for messages
     * @param address that all paths are put behind
     * @param patience how long the head of an answer, and each silence in its body, may last
     */
    public PatientHttp(String name, URI address, Duration patience) {
        this.name = name;
        this.address = address;
        this.patience = patience;
    }

    /** A request to a path of the server. */
    public HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(address + path)).timeout(patience);
    }

    /**
     * Asks, and waits for what {@code reading} makes of the answer.
     *
     * @throws IOException when the server cannot be reached, or is too slow
     * @throws CancelledException as soon as {@code progress} says so
     */
    public <T> T send(HttpRequest.Builder request, Progress progress, Reading<T> reading) throws IOException {
        Answer<T> answer = new Answer<>(reading);
        try {
            return answer.await(answer.ask(request.build(), MOST_REDIRECTS), progress);
        } finally {
            answer.close();
        }
    }

    /** Waits before the next attempt, longer each time; not before the first. */
    public static void pause(Duration first, int attempt, Progress progress) throws IOException {
        try {
            for (long left = first.toMillis() * attempt * attempt; left > 0; left -= POLL_MILLIS) {
                progress.checkCancelled();
                Thread.sleep(Math.min(left, POLL_MILLIS));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }

    /** One answer while it comes. */
    private final class Answer<T> {
        private final Reading<T> reading;
        private final long began = System.nanoTime();
        private final AtomicLong heard = new AtomicLong(began);
        private final AtomicLong bytes = new AtomicLong();
        private final AtomicReference<InputStream> open = new AtomicReference<>(InputStream.nullInputStream());
        private final AtomicReference<CompletableFuture<?>> asked =
                new AtomicReference<>(CompletableFuture.completedFuture(null));

        Answer(Reading<T> reading) {
            this.reading = reading;
        }

        CompletableFuture<T> ask(HttpRequest request, int redirects) {
            CompletableFuture<HttpResponse<InputStream>> answer =
                    client.sendAsync(request, HttpResponse.BodyHandlers.ofInputStream());
            asked.set(answer);
            return answer.thenComposeAsync(
                    response -> {
                        open.set(response.body());
                        heard.set(System.nanoTime());
                        Optional<HttpRequest> next = redirected(request, response);
                        if (next.isPresent() && redirects > 0) {
                            closeQuietly(response.body());
                            return ask(next.get(), redirects - 1);
                        }
                        try {
                            return CompletableFuture.completedFuture(
                                    reading.of(response, new Heard(response.body(), heard, bytes)));
                        } catch (IOException e) {
                            throw new UncheckedIOException(e);
                        }
                    },
                    READERS);
        }

        T await(CompletableFuture<T> result, Progress progress) throws IOException {
            try {
                while (true) {
                    progress.checkCancelled();
                    if (isTooSlow()) {
                        throw new IOException(Wording.text("web.unreachable", name, Wording.text("web.silent")));
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
            }
        }

        private boolean isTooSlow() {
            long now = System.nanoTime();
            long allowed = 2 * patience.toNanos() + TimeUnit.SECONDS.toNanos(bytes.get() / BYTES_A_SECOND);
            return now - heard.get() > patience.toNanos() || now - began > allowed;
        }

        void close() {
            asked.get().cancel(true);
            closeQuietly(open.get());
        }
    }

    /** Where an answer leads on to, on the same server; nothing where it leads nowhere or elsewhere. */
    private static Optional<HttpRequest> redirected(HttpRequest request, HttpResponse<?> response) {
        boolean get = request.method().equals("GET");
        if (!REDIRECTS.contains(response.statusCode()) || !get && !SAME_METHOD.contains(response.statusCode())) {
            return Optional.empty();
        }
        return response.headers()
                .firstValue("Location")
                .flatMap(location -> resolved(request.uri(), location))
                .filter(next -> isSameOrigin(request.uri(), next))
                .map(next -> HttpRequest.newBuilder(request, (header, value) -> true)
                        .uri(next)
                        .build());
    }

    private static Optional<URI> resolved(URI base, String location) {
        try {
            return Optional.of(base.resolve(location));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static boolean isSameOrigin(URI one, URI other) {
        return one.getScheme().equalsIgnoreCase(other.getScheme())
                && one.getHost().equalsIgnoreCase(String.valueOf(other.getHost()))
                && one.getPort() == other.getPort();
    }

    /** A body that must not be waited for any more; that it cannot be closed changes nothing. */
    private static void closeQuietly(InputStream body) {
        try {
            body.close();
        } catch (IOException e) {
            return;
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
            return new IOException(Wording.text("web.nonsense", name), cause);
        }
        return new IOException(Wording.text("web.unreachable", name, Reason.of(cause)), cause);
    }

    /** A body that notes when something came, and how much. */
    private static final class Heard extends FilterInputStream {
        private final AtomicLong heard;
        private final AtomicLong bytes;

        Heard(InputStream in, AtomicLong heard, AtomicLong bytes) {
            super(in);
            this.heard = heard;
            this.bytes = bytes;
        }

        @Override
        public int read() throws IOException {
            int read = super.read();
            note(read < 0 ? 0 : 1);
            return read;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            int read = super.read(into, offset, length);
            note(Math.max(0, read));
            return read;
        }

        private void note(int more) {
            heard.set(System.nanoTime());
            bytes.addAndGet(more);
        }
    }
}
