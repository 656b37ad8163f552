package org.swaplane.desk.server;

import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desk.TaskSheet;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Lock;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.format.table.DelimitedText;
import org.swaplane.format.tmx.NewTmx;
import org.swaplane.format.xliff12.NewXliff12;
import org.swaplane.format.xliff2.NewXliff2;
import org.swaplane.task.Progress;

/** The files of a task as somebody wants them, in a zip; made once for each wish. */
final class TaskPackage {
    private final DeskStore store;
    private final DeskTask task;
    private final DownloadOptions options;
    private final FormatRegistry formats = FormatRegistry.ofInstalled();

    TaskPackage(DeskStore store, DeskTask task, DownloadOptions options) {
        this.store = store;
        this.task = task;
        this.options = options;
    }

    /** The zip; the same bytes for whoever asks again, so that a download can be gone on with. */
    Path file() throws IOException {
        String wish = Fingerprint.sha256(options.query().getBytes(StandardCharsets.UTF_8))
                .substring(0, 12);
        Path zip = store.packages(task.id(), "out").resolve("v" + task.version() + '-' + wish + ".zip");
        if (!Files.exists(zip)) {
            NewFile.write(zip, true, out -> {
                try (ZipOutputStream written =
                        new ZipOutputStream(new BufferedOutputStream(out), StandardCharsets.UTF_8)) {
                    write(written);
                }
            });
        }
        return zip;
    }

    private void write(ZipOutputStream zip) throws IOException {
        List<TaskSheet.Entry> entries = new ArrayList<>();
        Map<String, Content> memory = options.filled() ? exact() : Map.of();
        Set<String> written = new HashSet<>();
        for (DeskTask.Entry file : task.files()) {
            for (String target : task.targetLanguages()) {
                TaskSheet.Entry entry = entry(file.path(), target);
                entries.add(entry);
                if (written.add(entry.path())) {
                    add(zip, entry.path(), content(file.path(), target, memory));
                }
            }
        }
        TaskSheet sheet = new TaskSheet(
                task.id(),
                task.title(),
                task.version(),
                task.sourceLanguage(),
                task.targetLanguages(),
                task.due(),
                task.instructions(),
                options.form().id(),
                entries);
        add(zip, TaskSheet.NAME, sheet.toJson());
        if (!task.instructions().isEmpty()) {
            add(zip, "instructions.txt", task.instructions().getBytes(StandardCharsets.UTF_8));
        }
        addMemory(zip);
        if (options.references() && Files.isDirectory(store.references(task.id()))) {
            try (Stream<Path> references = Files.list(store.references(task.id()))) {
                for (Path each : references.sorted().toList()) {
                    add(zip, "references/" + each.getFileName(), Files.readAllBytes(each));
                }
            }
        }
    }

    /** What is expected back, by the path that it is to have. */
    Map<String, TaskSheet.Entry> expected() {
        Map<String, TaskSheet.Entry> expected = new LinkedHashMap<>();
        for (DeskTask.Entry file : task.files()) {
            for (String target : task.targetLanguages()) {
                TaskSheet.Entry entry = entry(file.path(), target);
                expected.put(entry.returned(), entry);
            }
        }
        return expected;
    }

    private TaskSheet.Entry entry(String path, String target) {
        String extension = options.form().extension();
        return extension.isEmpty()
                ? new TaskSheet.Entry("files/" + path, target, target + '/' + path)
                : new TaskSheet.Entry(
                        "files/" + target + '/' + path + extension, target, target + '/' + path + extension);
    }

    /** A file as it went out: what a return is compared with. */
    byte[] sent(TaskSheet.Entry entry) throws IOException {
        String path = entry.returned().substring(entry.targetLanguage().length() + 1);
        String original =
                path.substring(0, path.length() - options.form().extension().length());
        return content(original, entry.targetLanguage(), Map.of());
    }

    private byte[] content(String path, String target, Map<String, Content> memory) throws IOException {
        Path file = store.files(task.id()).resolve(path);
        if (options.form() == DownloadOptions.Form.ORIGINAL) {
            return Files.readAllBytes(file);
        }
        BilingualFile read = formats.open(
                Source.of(path, file), FileOptions.ofLanguages(task.sourceLanguage(), target), Progress.NONE);
        BilingualDocument document = changed(read.document(), target, memory, read instanceof DocumentFile);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        switch (options.form()) {
            case XLIFF_1_2 -> NewXliff12.write(document, out);
            case XLIFF_2_1 -> NewXliff2.write(document, out);
            default -> DelimitedText.write(document, '\t', out);
        }
        return out.toByteArray();
    }

    /** Exact matches filled in, and locks taken away, where that is wanted. */
    private BilingualDocument changed(
            BilingualDocument document, String target, Map<String, Content> memory, boolean isDocument) {
        List<Segment> segments = new ArrayList<>();
        for (Segment segment : document.segments()) {
            Content known = segment.target().isEmpty() ? memory.get(key(segment.source(), target)) : null;
            Segment now = segment;
            if (known != null) {
                Content filled = TagNotation.read(TagNotation.write(known, known), segment.source())
                        .content();
                now = now.with(filled, State.TRANSLATED);
            } else if (isDocument) {
                now = now.with(Content.EMPTY, State.INITIAL);
            }
            segments.add(
                    options.editableLocked()
                            ? new Segment(
                                    now.key(),
                                    now.part(),
                                    now.unit(),
                                    now.source(),
                                    now.target(),
                                    now.state(),
                                    now.nativeState(),
                                    Lock.NONE,
                                    now.about())
                            : now);
        }
        return new BilingualDocument(
                document.format(), document.encoding(), document.parts(), segments, List.of(), List.of());
    }

    private static String key(Content source, String target) {
        return Fingerprint.of(source) + ' ' + target;
    }

    private Map<String, Content> exact() throws IOException {
        Map<String, Content> known = new HashMap<>();
        Path memory = store.memory(task.id());
        if (Files.exists(memory)) {
            formats.stream(
                    Source.of(memory),
                    Progress.NONE,
                    pair -> known.put(key(pair.source(), pair.targetLanguage()), pair.target()));
        }
        return known;
    }

    private void addMemory(ZipOutputStream zip) throws IOException {
        Path memory = store.memory(task.id());
        if (!Files.exists(memory) || options.memory() == DownloadOptions.Memory.NONE) {
            return;
        }
        if (options.memory() == DownloadOptions.Memory.ONE) {
            add(zip, "memory.tmx", Files.readAllBytes(memory));
            return;
        }
        BilingualDocument all = formats.open(Source.of(memory), Progress.NONE).document();
        for (DeskTask.Entry file : task.files()) {
            Set<String> sources = sources(file.path());
            List<Segment> here = all.segments().stream()
                    .filter(pair -> sources.contains(Fingerprint.of(pair.source())))
                    .toList();
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            NewTmx.write(
                    new BilingualDocument(all.format(), all.encoding(), all.parts(), here, List.of(), List.of()), out);
            add(zip, "memory/" + file.path() + ".tmx", out.toByteArray());
        }
    }

    private Set<String> sources(String path) throws IOException {
        Set<String> sources = new HashSet<>();
        Optional<String> target = task.targetLanguages().stream().findFirst();
        formats.open(
                        Source.of(path, store.files(task.id()).resolve(path)),
                        FileOptions.ofLanguages(task.sourceLanguage(), target.orElse("")),
                        Progress.NONE)
                .document()
                .segments()
                .forEach(segment -> sources.add(Fingerprint.of(segment.source())));
        return sources;
    }

    private static void add(ZipOutputStream zip, String name, byte[] content) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        // Always the same bytes.
        entry.setTime(0);
        zip.putNextEntry(entry);
        zip.write(content);
        zip.closeEntry();
    }
}
