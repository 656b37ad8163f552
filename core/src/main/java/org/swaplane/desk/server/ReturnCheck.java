package org.swaplane.desk.server;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.swaplane.check.CheckRun;
import org.swaplane.check.CheckedSegment;
import org.swaplane.check.Finding;
import org.swaplane.content.TagNotation;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DeskVerdict;
import org.swaplane.desk.DeskVerdict.Kind;
import org.swaplane.desk.DeskVerdict.Problem;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desk.TaskSheet;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.proof.StructureProof;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.swaplane.wording.Phrase;

/** Looks at a package that came back as something that nobody vouches for. */
final class ReturnCheck {
    private static final int MOST_PROBLEMS = 500;
    private static final Set<String> CHECKS = Set.of("tags", "placeholders", "empty-target");

    private final DeskStore store;
    private final DeskTask task;
    private final DownloadOptions.Form form;
    private final FormatRegistry formats = FormatRegistry.ofInstalled();
    private final List<Problem> problems = new ArrayList<>();

    ReturnCheck(DeskStore store, DeskTask task, DownloadOptions.Form form) {
        this.store = store;
        this.task = task;
        this.form = form;
    }

    /** What is wrong with it; nothing when it is what was asked for. */
    List<Problem> problems(Path zip) throws IOException {
        Map<String, byte[]> there;
        try {
            there = files(zip);
        } catch (CannotProceedException e) {
            return List.of(new Problem(Kind.MALFORMED, "", "", "", e.getMessage()));
        }
        TaskPackage sent = new TaskPackage(
                store, task, new DownloadOptions(form, DownloadOptions.Memory.NONE, false, false, false));
        Map<String, TaskSheet.Entry> expected = sent.expected();
        tellNames(expected, there);
        for (Map.Entry<String, TaskSheet.Entry> each : expected.entrySet()) {
            byte[] content = there.get(each.getKey());
            if (content != null) {
                check(each.getValue(), sent.sent(each.getValue()), content);
            }
        }
        return List.copyOf(problems.subList(0, Math.min(MOST_PROBLEMS, problems.size())));
    }

    private static Map<String, byte[]> files(Path zip) throws IOException {
        Source source = Source.of(zip);
        Map<String, byte[]> files = new LinkedHashMap<>(SafeZip.read(source, name -> !name.endsWith("/")));
        if (files.isEmpty()) {
            throw new CannotProceedException(source.name(), "desk.problem.empty-package");
        }
        return files;
    }

    /** Missing and surplus files; one that is only called otherwise is told as such. */
    private void tellNames(Map<String, TaskSheet.Entry> expected, Map<String, byte[]> there) {
        Set<String> missing = new TreeSet<>(expected.keySet());
        missing.removeAll(there.keySet());
        Set<String> surplus = new TreeSet<>(there.keySet());
        surplus.removeAll(expected.keySet());
        for (String name : surplus) {
            if (name.startsWith("/")
                    || name.contains("\\")
                    || Arrays.asList(name.split("/")).contains("..")) {
                add(Kind.NAME, name, text("desk.problem.climbs"));
                continue;
            }
            Optional<String> meant =
                    missing.stream().filter(each -> looksLike(each, name)).findFirst();
            if (meant.isPresent()) {
                missing.remove(meant.get());
                add(Kind.NAME, name, text("desk.problem.name", meant.get()));
            } else {
                add(Kind.EXTRA, name, text("desk.problem.extra"));
            }
        }
        missing.forEach(name -> add(Kind.MISSING, name, text("desk.problem.missing")));
    }

    private static boolean looksLike(String expected, String name) {
        String one = expected.substring(expected.lastIndexOf('/') + 1);
        String other = name.substring(name.lastIndexOf('/') + 1);
        String stem = one.contains(".") ? one.substring(0, one.indexOf('.')) : one;
        return one.equalsIgnoreCase(other)
                || other.toLowerCase(Locale.ROOT).startsWith(stem.toLowerCase(Locale.ROOT) + "_");
    }

    private void add(Kind kind, String file, String message) {
        problems.add(new Problem(kind, file, "", "", message));
    }

    private void check(TaskSheet.Entry entry, byte[] sent, byte[] returned) throws IOException {
        String name = entry.returned().substring(entry.returned().lastIndexOf('/') + 1);
        FileOptions options = FileOptions.ofLanguages(task.sourceLanguage(), entry.targetLanguage());
        try {
            BilingualFile before = formats.open(Source.of(name, sent), options, Progress.NONE);
            BilingualFile after = formats.open(Source.of(name, returned), options, Progress.NONE);
            if (before instanceof DocumentFile) {
                checkDocument(entry, before.document().format(), name, sent, returned);
            } else {
                checkBilingual(entry, before.document(), after.document());
            }
        } catch (CannotProceedException e) {
            add(Kind.MALFORMED, entry.returned(), e.getMessage());
        }
    }

    private void checkDocument(TaskSheet.Entry entry, String format, String name, byte[] sent, byte[] returned)
            throws IOException {
        if (Arrays.equals(sent, returned)) {
            add(Kind.UNTRANSLATED, entry.returned(), text("desk.problem.untranslated"));
            return;
        }
        Path folder = store.packages(task.id(), "look");
        Path before = Files.createTempFile(folder, "sent", name);
        Path after = Files.createTempFile(folder, "returned", name);
        try {
            Files.write(before, sent);
            Files.write(after, returned);
            StructureProof.difference(format, before, after)
                    .map(Phrase::text)
                    .ifPresent(difference -> add(Kind.STRUCTURE, entry.returned(), difference));
        } finally {
            Files.deleteIfExists(before);
            Files.deleteIfExists(after);
        }
    }

    private void checkBilingual(TaskSheet.Entry entry, BilingualDocument before, BilingualDocument after) {
        String target = after.targetLanguage();
        if (!target.isEmpty() && !target.equalsIgnoreCase(entry.targetLanguage())) {
            add(Kind.LANGUAGE, entry.returned(), text("desk.problem.language", target, entry.targetLanguage()));
            return;
        }
        Map<String, Segment> returned = new HashMap<>();
        after.segments().forEach(segment -> returned.putIfAbsent(segment.key(), segment));
        for (Segment segment : before.segments()) {
            Segment there = returned.remove(segment.key());
            if (there == null) {
                problems.add(new Problem(
                        Kind.SOURCE, entry.returned(), segment.unit(), segment.key(), text("desk.problem.gone")));
            } else if (!written(there).equals(written(segment))) {
                problems.add(new Problem(
                        Kind.SOURCE, entry.returned(), segment.unit(), segment.key(), text("desk.problem.source")));
            }
        }
        returned.values()
                .forEach(segment -> problems.add(new Problem(
                        Kind.SOURCE, entry.returned(), segment.unit(), segment.key(), text("desk.problem.added"))));
        List<Segment> segments = after.segments();
        CheckRun.ofAllChecks()
                .run(
                        segments.size(),
                        index -> new CheckedSegment(
                                index,
                                segments.get(index),
                                segments.get(index).target(),
                                task.sourceLanguage(),
                                entry.targetLanguage()),
                        Progress.NONE)
                .stream()
                .filter(finding -> CHECKS.contains(finding.check()))
                .filter(finding -> !segments.get(finding.segment()).locked())
                .forEach(finding -> problems.add(problem(entry, finding)));
    }

    private static Problem problem(TaskSheet.Entry entry, Finding finding) {
        Kind kind = finding.check().equals("empty-target") ? Kind.EMPTY : Kind.TAGS;
        return new Problem(kind, entry.returned(), finding.unit(), finding.key(), finding.message());
    }

    private static String written(Segment segment) {
        return TagNotation.write(segment.source(), segment.source());
    }

    /** The verdict on a package. */
    DeskVerdict verdict(int number, String sha256, Path zip) throws IOException {
        List<Problem> found = problems(zip);
        return new DeskVerdict(number, sha256, store.now(), found.isEmpty(), found);
    }
}
