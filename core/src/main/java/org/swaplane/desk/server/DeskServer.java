package org.swaplane.desk.server;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.RandomAccessFile;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.swaplane.desk.DeskReceipt;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DeskVerdict;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desk.TaskId;
import org.swaplane.document.Fingerprint;
import org.swaplane.format.PackagePath;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Closing;

/**
 * The stand-in as a server on this computer: JSON under {@code /api} as docs/client-desk.md says, and a page for the client's side at {@code /}.
 * Whatever comes in is limited in size and checked.
 */
public final class DeskServer implements AutoCloseable {
    private static final Logger LOG = Logger.getLogger(DeskServer.class.getName());
    /** Each connection has a thread as long as it asks. */
    private static final int MOST_CONNECTIONS = 200;

    private static final int MOST_SECONDS_ASKING = 20;
    private static final int LOCKS = 64;
    private static final int MOST_JSON = 1 << 16;
    private static final int MOST_PIECE = 8 << 20;
    private static final long MOST_PACKAGE = 1L << 30;
    private static final Pattern TASK = Pattern.compile("/api/tasks/([\\w.-]{1,80})(/.*)?");
    private static final Pattern GIVE_BACK = Pattern.compile("/tasks/([\\w.-]{1,80})/give-back");
    private static final Pattern UPLOAD = Pattern.compile("/uploads/([0-9a-f]{64})");
    private static final Pattern PIECE = Pattern.compile("bytes (\\d{1,12})-(\\d{1,12})/(\\d{1,12})");
    private static final Pattern RANGE = Pattern.compile("bytes=(\\d{1,12})-");
    private static final ObjectMapper JSON = new ObjectMapper();

    private final HttpServer server;
    private final DeskStore store;
    /** Stands in the forms of our pages, so that no other page can send them. */
    private final String token = UUID.randomUUID().toString();
    /** Requests about one task come one after the other; a few tasks share a lock, so that no address can fill the memory. */
    private final List<Object> locks = Stream.generate(Object::new).limit(LOCKS).toList();

    private final ExecutorService threads = Executors.newCachedThreadPool(work -> {
        Thread thread = new Thread(work, "desk");
        thread.setDaemon(true);
        return thread;
    });

    /** An answer that is no success. */
    private static final class Refusal extends Exception {
        private static final long serialVersionUID = 1L;
        private final int status;

        Refusal(int status, String message) {
            super(message);
            this.status = status;
        }
    }

    private DeskServer(HttpServer server, DeskStore store) {
        this.server = server;
        this.store = store;
        server.createContext("/api/", exchange -> answer(exchange, this::route));
        server.createContext("/", exchange -> answer(exchange, this::page));
        server.setExecutor(threads);
        server.start();
    }

    /**
     * Starts one.
     *
     * @param port 0 for any that is free
     * @param folder holds its state; made where it is missing
     */
    public static DeskServer start(int port, Path folder, Clock clock) throws IOException {
        // Whoever connects and does not ask is let go soon, and keeps nobody else out meanwhile.
        limit("sun.net.httpserver.maxReqTime", MOST_SECONDS_ASKING);
        limit("jdk.httpserver.maxConnections", MOST_CONNECTIONS);
        // A port that is taken is found before anything else is open.
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        try {
            return new DeskServer(server, new DeskStore(folder, clock));
        } catch (IOException | RuntimeException e) {
            Closing.after(e, () -> server.stop(0));
            throw e;
        }
    }

    private static void limit(String property, int value) {
        if (System.getProperty(property) == null) {
            System.setProperty(property, String.valueOf(value));
        }
    }

    /** Where it is asked. */
    public String address() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    /** Whether it has no task yet. */
    public boolean isEmpty() {
        return store.tasks().isEmpty();
    }

    /**
     * Offers a task, or a new version of one.
     *
     * @param files the client's files with their folders
     * @param memory TMX; empty for none
     * @param references lie beside; may be empty
     */
    public DeskTask offer(
            String id,
            String title,
            String source,
            List<String> targets,
            String due,
            String instructions,
            Map<String, byte[]> files,
            Optional<byte[]> memory,
            Map<String, byte[]> references)
            throws IOException {
        new TaskId(id);
        synchronized (lock(id)) {
            Optional<DeskTask> before = store.task(id);
            List<DeskTask.Entry> entries = new ArrayList<>();
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                Path path = new PackagePath(file.getKey()).in(store.files(id));
                Files.createDirectories(path.getParent());
                Files.write(path, file.getValue());
                entries.add(new DeskTask.Entry(file.getKey(), file.getValue().length));
            }
            if (memory.isPresent()) {
                Files.write(store.memory(id), memory.get());
            }
            for (Map.Entry<String, byte[]> reference : references.entrySet()) {
                Files.createDirectories(store.references(id));
                Files.write(new PackagePath(reference.getKey()).in(store.references(id)), reference.getValue());
            }
            DeskTask task = new DeskTask(
                    id,
                    title,
                    before.map(each -> each.version() + 1).orElse(1),
                    before.map(DeskTask::state).orElse(DeskTask.State.OFFERED),
                    source,
                    targets,
                    due,
                    instructions,
                    before.map(DeskTask::person).orElse(""),
                    entries,
                    memory.isPresent(),
                    !references.isEmpty());
            store.put(task);
            store.note(id, "client", before.isPresent() ? "changed" : "offered");
            return task;
        }
    }

    private Object lock(String id) {
        return locks.get(Math.floorMod(id.hashCode(), LOCKS));
    }

    /** What answers a request. */
    private interface Answering {
        void answer(HttpExchange exchange) throws IOException, Refusal;
    }

    private static void answer(HttpExchange exchange, Answering answering) {
        try (exchange) {
            try {
                refuseOtherHosts(exchange);
                answering.answer(exchange);
            } catch (Refusal e) {
                say(exchange, e.status, Map.of("message", e.getMessage()));
            } catch (CannotProceedException e) {
                say(exchange, 400, Map.of("message", e.getMessage()));
            } catch (IOException e) {
                throw e;
            } catch (RuntimeException e) {
                LOG.log(Level.WARNING, "a request failed", e);
                say(exchange, 500, Map.of("message", "The desk failed."));
            }
        } catch (IOException e) {
            // Whoever asked is gone.
            LOG.log(Level.FINE, "a connection was lost", e);
        }
    }

    /** A page of the web must not ask in the name of whoever reads it. */
    private static void refuseOtherHosts(HttpExchange exchange) throws Refusal {
        String host = exchange.getRequestHeaders().getFirst("Host");
        String origin = exchange.getRequestHeaders().getFirst("Origin");
        boolean here = host != null && host.matches("(127\\.0\\.0\\.1|localhost|\\[::1\\])(:\\d+)?");
        // Another port is another program, even on this computer.
        boolean fromHere = origin == null || origin.equals("http://" + host);
        String site = exchange.getRequestHeaders().getFirst("Sec-Fetch-Site");
        boolean byItself = site == null || site.equals("same-origin") || site.equals("none");
        boolean onlyReads = exchange.getRequestMethod().equals("GET");
        if (!here || !fromHere || !byItself && !onlyReads) {
            throw new Refusal(403, "The desk answers on this computer only.");
        }
    }

    private void route(HttpExchange exchange) throws IOException, Refusal {
        String path = exchange.getRequestURI().getPath();
        String method = exchange.getRequestMethod();
        if (path.equals("/api/tasks") && method.equals("GET")) {
            List<DeskTask> open = store.tasks().stream()
                    .filter(task -> task.state() != DeskTask.State.CLOSED)
                    .toList();
            say(exchange, 200, Map.of("tasks", open));
            return;
        }
        Matcher matcher = TASK.matcher(path);
        if (!matcher.matches()) {
            throw new Refusal(404, "There is no such address.");
        }
        String id = matcher.group(1);
        String rest = matcher.group(2) == null ? "" : matcher.group(2);
        DeskTask task = store.task(id).orElseThrow(() -> new Refusal(404, "There is no task " + id + "."));
        Matcher upload = UPLOAD.matcher(rest);
        if (upload.matches()) {
            upload(exchange, method, task, upload.group(1));
            return;
        }
        switch (method + rest) {
            case "GET" -> say(exchange, 200, task);
            case "GET/package" -> give(exchange, task);
            case "GET/returns" -> say(exchange, 200, Map.of("returns", store.verdicts(id)));
            case "POST/accept" -> say(exchange, 200, accept(id, body(exchange)));
            case "POST/returns" -> say(exchange, 200, judge(id, body(exchange)));
            case "POST/hand-over" -> say(exchange, 200, handOver(id, body(exchange)));
            default -> throw new Refusal(405, "That cannot be done with a task.");
        }
    }

    private static JsonNode body(HttpExchange exchange) throws IOException, Refusal {
        byte[] body = exchange.getRequestBody().readNBytes(MOST_JSON + 1);
        if (body.length > MOST_JSON) {
            throw new Refusal(413, "So much is not taken at once.");
        }
        try {
            JsonNode read = JSON.readTree(body);
            if (read == null || !read.isObject()) {
                throw new Refusal(400, "The request is not a JSON object.");
            }
            return read;
        } catch (JacksonException e) {
            throw new Refusal(400, "The request is not JSON.");
        }
    }

    private DeskTask accept(String id, JsonNode asked) throws Refusal {
        String person = asked.path("person").asText("").strip();
        if (person.isEmpty() || person.length() > 200) {
            throw new Refusal(400, "The request does not say who accepts the task.");
        }
        synchronized (lock(id)) {
            DeskTask task = store.task(id).orElseThrow();
            if (task.state() == DeskTask.State.OFFERED) {
                DeskTask accepted = task.in(DeskTask.State.ACCEPTED, person);
                store.together(() -> {
                    store.put(accepted);
                    store.note(id, person, "accepted");
                });
                return accepted;
            }
            if (!task.person().equals(person)) {
                throw new Refusal(409, "The task was accepted by " + task.person() + " already.");
            }
            return task;
        }
    }

    /** Refuses what belongs to another version, or comes too late. */
    private static void requireOpen(DeskTask task, JsonNode asked) throws Refusal {
        if (task.state() == DeskTask.State.OFFERED) {
            throw new Refusal(409, "The task was not accepted yet.");
        }
        if (task.state() == DeskTask.State.CLOSED) {
            throw new Refusal(409, "The task is closed.");
        }
        if (asked.path("version").asInt() != task.version()) {
            throw new Refusal(
                    409,
                    "The client has changed the task: it is at version " + task.version() + " now. Download it again.");
        }
    }

    private static String sum(JsonNode asked) throws Refusal {
        String sha256 = asked.path("sha256").asText("");
        if (!sha256.matches("[0-9a-f]{64}")) {
            throw new Refusal(400, "The request does not name a package by its SHA-256.");
        }
        return sha256;
    }

    private DeskVerdict judge(String id, JsonNode asked) throws IOException, Refusal {
        String sha256 = sum(asked);
        DownloadOptions.Form form = DownloadOptions.Form.of(asked.path("form").asText("original"))
                .orElseThrow(() -> new Refusal(400, "There is no such form of files."));
        synchronized (lock(id)) {
            DeskTask task = store.task(id).orElseThrow();
            requireOpen(task, asked);
            Optional<DeskVerdict> before = store.verdict(id, task.version(), sha256);
            if (before.isPresent()) {
                return before.get();
            }
            Path zip = store.packages(id, "in").resolve(sha256 + ".zip");
            Path part = part(id, sha256);
            if (!Files.exists(zip)) {
                if (!Files.exists(part)) {
                    throw new Refusal(400, "The package has not been uploaded.");
                }
                if (!Source.of(part).sha256().equals(sha256)) {
                    Files.delete(part);
                    // Sent again, it may be right.
                    throw new Refusal(503, "The package was damaged on its way.");
                }
                Files.move(part, zip, StandardCopyOption.REPLACE_EXISTING);
            }
            DeskVerdict verdict = new ReturnCheck(store, task, form)
                    .verdict(store.verdicts(id).size() + 1, sha256, zip);
            store.together(() -> {
                store.add(id, task.version(), verdict);
                store.note(id, task.person(), verdict.accepted() ? "returned" : "returned with problems");
                if (verdict.accepted()) {
                    store.put(task.in(DeskTask.State.RETURNED, task.person()));
                }
            });
            return verdict;
        }
    }

    private DeskReceipt handOver(String id, JsonNode asked) throws Refusal {
        String sha256 = sum(asked);
        synchronized (lock(id)) {
            DeskTask task = store.task(id).orElseThrow();
            Optional<DeskReceipt> receipt = store.receipt(id);
            if (receipt.isPresent() && receipt.get().sha256().equals(sha256)) {
                return receipt.get();
            }
            requireOpen(task, asked);
            boolean accepted = store.verdict(id, task.version(), sha256)
                    .filter(DeskVerdict::accepted)
                    .isPresent();
            if (!accepted) {
                throw new Refusal(409, "This package was not accepted. Return it first.");
            }
            DeskReceipt made = new DeskReceipt(id, task.version(), store.now(), task.person(), sha256);
            store.together(() -> {
                store.add(made);
                store.put(task.in(DeskTask.State.CLOSED, task.person()));
                store.note(id, task.person(), "handed over");
            });
            return made;
        }
    }

    /** The client asks for more: the task is open again. */
    public void giveBack(String id, String reason) {
        synchronized (lock(id)) {
            store.task(id)
                    .filter(task -> task.state() == DeskTask.State.CLOSED)
                    .ifPresent(task -> store.together(() -> {
                        store.giveBack(id);
                        store.put(task.in(DeskTask.State.ACCEPTED, task.person()));
                        store.note(id, "client", reason.isBlank() ? "given back" : "given back: " + reason.strip());
                    }));
        }
    }

    private Path part(String id, String sha256) throws IOException {
        return store.packages(id, "in").resolve(sha256 + ".part");
    }

    /** Takes a piece of a package, or says how much of it is there. */
    private void upload(HttpExchange exchange, String method, DeskTask task, String sha256)
            throws IOException, Refusal {
        synchronized (lock(task.id())) {
            Path zip = store.packages(task.id(), "in").resolve(sha256 + ".zip");
            Path part = part(task.id(), sha256);
            if (method.equals("PUT") && !Files.exists(zip)) {
                take(exchange, part);
            } else if (!method.equals("GET") && !method.equals("PUT")) {
                throw new Refusal(405, "That cannot be done with an upload.");
            }
            Path there = Files.exists(zip) ? zip : part;
            say(exchange, 200, Map.of("have", Files.exists(there) ? Files.size(there) : 0));
        }
    }

    private static void take(HttpExchange exchange, Path part) throws IOException, Refusal {
        String said = exchange.getRequestHeaders().getFirst("Content-Range");
        Matcher range = PIECE.matcher(said == null ? "" : said);
        if (!range.matches()) {
            throw new Refusal(400, "The request does not say which piece it is.");
        }
        long start = Long.parseLong(range.group(1));
        int length = (int) Math.min(Integer.MAX_VALUE, Long.parseLong(range.group(2)) - start + 1);
        long total = Long.parseLong(range.group(3));
        if (total > MOST_PACKAGE || length < 1 || length > MOST_PIECE) {
            throw new Refusal(413, "So much is not taken at once.");
        }
        if (start + length > total) {
            throw new Refusal(400, "The piece goes beyond the end of the package.");
        }
        byte[] piece = exchange.getRequestBody().readNBytes(length + 1);
        if (piece.length != length) {
            throw new Refusal(400, "The piece is not as long as it says.");
        }
        long have = Files.exists(part) ? Files.size(part) : 0;
        if (start <= have && start + length > have) {
            try (RandomAccessFile file = new RandomAccessFile(part.toFile(), "rw")) {
                file.seek(start);
                file.write(piece);
            }
        }
    }

    private void give(HttpExchange exchange, DeskTask task) throws IOException, Refusal {
        Path zip;
        synchronized (lock(task.id())) {
            if (task.state() == DeskTask.State.OFFERED || task.state() == DeskTask.State.CLOSED) {
                throw new Refusal(
                        409,
                        task.state() == DeskTask.State.CLOSED
                                ? "The task is closed."
                                : "The task was not accepted yet.");
            }
            zip = new TaskPackage(store, task, options(exchange)).file();
        }
        long size = Files.size(zip);
        String asked = exchange.getRequestHeaders().getFirst("Range");
        Matcher range = RANGE.matcher(asked == null ? "" : asked);
        long from = range.matches() ? Long.parseLong(range.group(1)) : 0;
        exchange.getResponseHeaders().set("Content-Type", "application/zip");
        exchange.getResponseHeaders().set("X-SHA-256", Source.of(zip).sha256());
        if (from >= size && from > 0) {
            exchange.sendResponseHeaders(416, -1);
            return;
        }
        exchange.sendResponseHeaders(from > 0 ? 206 : 200, size - from);
        try (InputStream in = Files.newInputStream(zip);
                OutputStream out = exchange.getResponseBody()) {
            in.skipNBytes(from);
            in.transferTo(out);
        }
    }

    private static DownloadOptions options(HttpExchange exchange) throws Refusal {
        Map<String, String> query = new HashMap<>();
        String text = exchange.getRequestURI().getQuery();
        for (String pair : (text == null ? "" : text).split("&")) {
            int equals = pair.indexOf('=');
            if (equals > 0) {
                query.put(pair.substring(0, equals), pair.substring(equals + 1));
            }
        }
        return new DownloadOptions(
                DownloadOptions.Form.of(query.getOrDefault("form", "original"))
                        .orElseThrow(() -> new Refusal(400, "There is no such form of files.")),
                DownloadOptions.Memory.of(query.getOrDefault("memory", "one"))
                        .orElseThrow(() -> new Refusal(400, "There is no such form of a memory.")),
                !query.getOrDefault("references", "true").equals("false"),
                query.getOrDefault("locked", "locked").equals("editable"),
                query.getOrDefault("exact", "empty").equals("filled"));
    }

    private void page(HttpExchange exchange) throws IOException, Refusal {
        DeskPage page = new DeskPage(store, token);
        String path = exchange.getRequestURI().getPath();
        Matcher givingBack = GIVE_BACK.matcher(path);
        boolean givesBack = exchange.getRequestMethod().equals("POST") && givingBack.matches();
        if (givesBack && store.task(givingBack.group(1)).isPresent()) {
            String id = givingBack.group(1);
            Map<String, String> fields = fields(exchange);
            if (!token.equals(fields.get("token"))) {
                throw new Refusal(403, "Use the button on the page of the task. If the page is old, load it again.");
            }
            giveBack(id, fields.getOrDefault("reason", ""));
            exchange.getResponseHeaders().set("Location", "/tasks/" + id);
            exchange.sendResponseHeaders(303, -1);
            return;
        }
        Optional<String> html = path.equals("/") ? Optional.of(page.tasks()) : page.task(path);
        sayHtml(exchange, html.isPresent() ? 200 : 404, html.orElseGet(page::missing));
    }

    private static Map<String, String> fields(HttpExchange exchange) throws IOException, Refusal {
        String form = new String(exchange.getRequestBody().readNBytes(MOST_JSON), StandardCharsets.UTF_8);
        Map<String, String> fields = new HashMap<>();
        for (String pair : form.split("&")) {
            int equals = pair.indexOf('=');
            if (equals > 0) {
                try {
                    fields.put(
                            pair.substring(0, equals),
                            URLDecoder.decode(pair.substring(equals + 1), StandardCharsets.UTF_8));
                } catch (IllegalArgumentException e) {
                    throw new Refusal(400, "The form cannot be read.");
                }
            }
        }
        return fields;
    }

    private static void sayHtml(HttpExchange exchange, int status, String html) throws IOException {
        exchange.getResponseHeaders().set("Content-Type", "text/html; charset=utf-8");
        exchange.getResponseHeaders()
                .set("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'");
        send(exchange, status, html.getBytes(StandardCharsets.UTF_8));
    }

    private static void say(HttpExchange exchange, int status, Object answer) throws IOException {
        exchange.getResponseHeaders().set("Content-Type", "application/json; charset=utf-8");
        send(exchange, status, JSON.writeValueAsBytes(answer));
    }

    private static void send(HttpExchange exchange, int status, byte[] body) throws IOException {
        exchange.getResponseHeaders().set("X-SHA-256", Fingerprint.sha256(body));
        exchange.sendResponseHeaders(status, body.length);
        try (OutputStream out = exchange.getResponseBody()) {
            out.write(body);
        }
    }

    @Override
    public void close() {
        Closing.inOrder(() -> server.stop(0), threads::shutdownNow, store);
    }
}
