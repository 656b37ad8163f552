package org.swaplane.cli;

import java.io.IOException;
import java.net.BindException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.swaplane.demo.DemoDesk;
import org.swaplane.desk.ClientDesk;
import org.swaplane.desk.DeskReceipt;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DeskVerdict;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desk.HttpClientDesk;
import org.swaplane.desk.OfferedTasks;
import org.swaplane.desk.server.DeskServer;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The client desk's stand-in, and its client. */
@Command(name = "desk", description = "Serves a stand-in for the client's desk, and works with the tasks of a desk.")
final class DeskCommand {
    private static final String USUAL = "http://127.0.0.1:8484";

    /** Which desk is meant. */
    private static final class Address {
        @Option(
                names = "--desk",
                defaultValue = USUAL,
                paramLabel = "URL",
                description = "Address of the desk: " + USUAL)
        private String url;

        ClientDesk desk() {
            return new HttpClientDesk(url);
        }
    }

    @Command(name = "serve", description = "Serves the stand-in on this computer until it is stopped.")
    int serve(
            @Option(names = "--port", defaultValue = "8484", paramLabel = "N", description = "0 for any that is free")
                    int port,
            @Option(names = "--data", paramLabel = "DIR", description = "Holds its state; a new folder without it.")
                    Path data)
            throws IOException, InterruptedException {
        Path folder = data == null ? Files.createTempDirectory("swaplane-desk") : data;
        DeskServer server;
        try {
            server = DeskServer.start(port, folder, Clock.systemUTC());
        } catch (BindException e) {
            throw new CannotProceedException("--port", "command.port-taken", String.valueOf(port));
        }
        try (server) {
            if (server.isEmpty()) {
                DemoDesk.offerTasks(server);
            }
            System.out.println(server.address());
            System.err.println(folder.toAbsolutePath());
            Thread.currentThread().join();
        }
        return ExitStatus.ALL_WELL;
    }

    @Command(name = "list", description = "Lists the tasks that are not closed.")
    int list(@Mixin Address address, @Option(names = "--json", description = "Print one JSON object.") boolean json)
            throws IOException {
        OfferedTasks offered = address.desk().tasks(Progress.NONE);
        List<DeskTask> tasks = offered.tasks();
        offered.refused().forEach(System.err::println);
        if (json) {
            Json.print(Map.of("tasks", tasks.stream().map(DeskCommand::values).toList()));
        } else {
            tasks.forEach(DeskCommand::print);
        }
        return ExitStatus.ALL_WELL;
    }

    @Command(name = "accept", description = "Accepts a task.")
    int accept(
            @Parameters(paramLabel = "TASK") String id,
            @Option(
                            names = "--person",
                            paramLabel = "NAME",
                            description = "Who accepts it; the account's name without.")
                    String person,
            @Mixin Address address,
            @Option(names = "--json", description = "Print one JSON object.") boolean json)
            throws IOException {
        String who = person == null ? System.getProperty("user.name", "") : person;
        show(address.desk().accept(id, who, Progress.NONE), json);
        return ExitStatus.ALL_WELL;
    }

    @Command(name = "fetch", description = "Downloads the package of an accepted task.")
    int fetch(
            @Parameters(paramLabel = "TASK") String id,
            @Option(names = "-o", required = true, paramLabel = "OUT.zip", description = "The file to write.") Path out,
            @Option(
                            names = "--form",
                            defaultValue = "original",
                            paramLabel = "FORM",
                            description = "original, xliff-1.2, xliff-2.1, table")
                    String form,
            @Option(names = "--memory", defaultValue = "one", paramLabel = "HOW", description = "none, one, by-file")
                    String memory,
            @Option(names = "--no-references", description = "Without reference files.") boolean withoutReferences,
            @Option(names = "--locked", defaultValue = "locked", paramLabel = "HOW", description = "locked or editable")
                    String locked,
            @Option(names = "--exact", defaultValue = "empty", paramLabel = "HOW", description = "empty or filled")
                    String exact,
            @Option(names = "--force", description = "Replace OUT when it exists.") boolean force,
            @Mixin Address address)
            throws IOException {
        if (Files.exists(out) && !force) {
            throw new CannotProceedException(out.toString(), "problem.file-exists");
        }
        DownloadOptions options = new DownloadOptions(
                form(form),
                DownloadOptions.Memory.of(memory)
                        .orElseThrow(() -> new CannotProceedException("--memory", "command.desk-option", memory)),
                !withoutReferences,
                chosen("--locked", locked, "editable", "locked"),
                chosen("--exact", exact, "filled", "empty"));
        ClientDesk desk = address.desk();
        desk.download(desk.task(id, Progress.NONE), options, out, Progress.NONE);
        return ExitStatus.ALL_WELL;
    }

    private static DownloadOptions.Form form(String id) {
        return DownloadOptions.Form.of(id)
                .orElseThrow(() -> new CannotProceedException("--form", "command.desk-option", id));
    }

    private static boolean chosen(String option, String value, String yes, String no) {
        if (!value.equals(yes) && !value.equals(no)) {
            throw new CannotProceedException(option, "command.desk-option", value);
        }
        return value.equals(yes);
    }

    @Command(
            name = "return",
            description =
                    "Returns a package and prints what the desk says of it; exit status 1 where it finds problems.")
    int giveBack(
            @Parameters(index = "0", paramLabel = "TASK") String id,
            @Parameters(index = "1", paramLabel = "PACKAGE.zip") Path zip,
            @Option(
                            names = "--form",
                            defaultValue = "original",
                            paramLabel = "FORM",
                            description = "As it was fetched.")
                    String form,
            @Option(names = "--hand-over", description = "Hand the task over when the desk accepts the package.")
                    boolean handOver,
            @Mixin Address address,
            @Option(names = "--json", description = "Print one JSON object.") boolean json)
            throws IOException {
        requireFile(zip);
        ClientDesk desk = address.desk();
        DeskTask task = desk.task(id, Progress.NONE);
        DeskVerdict verdict = desk.deliver(task, form(form), zip, Progress.NONE);
        DeskReceipt receipt = verdict.accepted() && handOver
                ? desk.handOver(task, Source.of(zip).sha256(), Progress.NONE)
                : null;
        if (json) {
            Map<String, Object> values = values(verdict);
            values.put("handedOver", receipt == null ? null : receipt.at());
            Json.print(values);
        } else {
            print(verdict);
        }
        return verdict.accepted() ? ExitStatus.ALL_WELL : ExitStatus.FOUND_SOMETHING;
    }

    @Command(name = "hand-over", description = "Closes a task with a package that the desk accepted.")
    int handOver(
            @Parameters(index = "0", paramLabel = "TASK") String id,
            @Parameters(index = "1", paramLabel = "PACKAGE.zip") Path zip,
            @Mixin Address address,
            @Option(names = "--json", description = "Print one JSON object.") boolean json)
            throws IOException {
        requireFile(zip);
        ClientDesk desk = address.desk();
        DeskReceipt receipt =
                desk.handOver(desk.task(id, Progress.NONE), Source.of(zip).sha256(), Progress.NONE);
        if (json) {
            Map<String, Object> values = new LinkedHashMap<>();
            values.put("task", receipt.task());
            values.put("version", receipt.version());
            values.put("at", receipt.at());
            values.put("person", receipt.person());
            values.put("sha256", receipt.sha256());
            Json.print(values);
        } else {
            System.out.println(receipt.at() + " " + receipt.task() + " " + receipt.sha256());
        }
        return ExitStatus.ALL_WELL;
    }

    private static void requireFile(Path file) {
        if (!Files.isRegularFile(file)) {
            throw new CannotProceedException(file.toString(), "command.no-file");
        }
    }

    @Command(name = "status", description = "Says how far a task is and what the desk said of each return.")
    int status(
            @Parameters(paramLabel = "TASK") String id,
            @Mixin Address address,
            @Option(names = "--json", description = "Print one JSON object.") boolean json)
            throws IOException {
        ClientDesk desk = address.desk();
        DeskTask task = desk.task(id, Progress.NONE);
        List<DeskVerdict> verdicts = desk.verdicts(id, Progress.NONE);
        if (json) {
            Map<String, Object> values = values(task);
            values.put("returns", verdicts.stream().map(DeskCommand::values).toList());
            Json.print(values);
        } else {
            print(task);
            verdicts.forEach(DeskCommand::print);
        }
        return ExitStatus.ALL_WELL;
    }

    private static void show(DeskTask task, boolean json) throws IOException {
        if (json) {
            Json.print(values(task));
        } else {
            print(task);
        }
    }

    private static void print(DeskTask task) {
        System.out.println(String.join(
                "\t",
                task.id(),
                word(task.state()),
                task.sourceLanguage() + ">" + String.join(",", task.targetLanguages()),
                task.due(),
                task.title()));
    }

    private static void print(DeskVerdict verdict) {
        System.out.println("return " + verdict.number() + ": "
                + (verdict.accepted() ? "accepted" : verdict.problems().size() + " problems"));
        verdict.problems()
                .forEach(problem -> System.out.println("  " + problem.file()
                        + (problem.unit().isEmpty() ? "" : " " + problem.unit()) + ": " + problem.message()));
    }

    private static Map<String, Object> values(DeskTask task) {
        Map<String, Object> values = new LinkedHashMap<>();
        values.put("id", task.id());
        values.put("title", task.title());
        values.put("version", task.version());
        values.put("state", word(task.state()));
        values.put("sourceLanguage", task.sourceLanguage());
        values.put("targetLanguages", task.targetLanguages());
        values.put("due", task.due().isEmpty() ? null : task.due());
        values.put("instructions", task.instructions());
        values.put("person", task.person().isEmpty() ? null : task.person());
        values.put("files", task.files().stream().map(DeskTask.Entry::path).toList());
        return values;
    }

    private static Map<String, Object> values(DeskVerdict verdict) {
        Map<String, Object> values = new LinkedHashMap<>();
        values.put("return", verdict.number());
        values.put("sha256", verdict.sha256());
        values.put("at", verdict.at());
        values.put("accepted", verdict.accepted());
        values.put(
                "problems",
                verdict.problems().stream()
                        .map(problem -> {
                            Map<String, Object> entry = new LinkedHashMap<>();
                            entry.put("kind", word(problem.kind()));
                            entry.put("file", problem.file());
                            entry.put("unit", problem.unit());
                            entry.put("segment", problem.segment());
                            entry.put("message", problem.message());
                            return entry;
                        })
                        .toList());
        return values;
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }
}
