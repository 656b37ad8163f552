package org.swaplane.intake;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.desk.TaskSheet;
import org.swaplane.format.FileOptions;
import org.swaplane.format.PackagePath;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.lane.DeskJob;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Track;
import org.swaplane.lane.VersionUpdate;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Takes the package of a desk's task in: files with the task's languages and due date, its memory, references and instructions. */
public final class TaskIntake {
    private final Lane lane;
    private final VersionUpdate.Choices choices;

    /** @param choices what is carried over where a file comes in another version */
    public TaskIntake(Lane lane, VersionUpdate.Choices choices) {
        this.lane = lane;
        this.choices = choices;
    }

    /**
     * What came.
     *
     * @param refused files that could not be taken in, each with the reason
     */
    public record Outcome(int added, int changed, List<String> refused) {}

    /**
     * Takes it in. A file that is here already stays; one that the client changed is another version of its track.
     *
     * @throws CannotProceedException when the package is broken or says nothing of itself
     */
    public Outcome take(DeskJob job, Path zip, Progress progress) throws IOException {
        Source source = Source.of(zip);
        Map<String, byte[]> files = SafeZip.read(source, name -> !name.endsWith("/"));
        byte[] written = files.get(TaskSheet.NAME);
        if (written == null) {
            throw new CannotProceedException(source.name(), "desk.no-sheet");
        }
        TaskSheet sheet = TaskSheet.parse(source.name(), written);
        if (!sheet.task().equals(job.task().id())
                || sheet.version() != job.task().version()) {
            throw new CannotProceedException(source.name(), "desk.other-package");
        }
        List<String> refused = new ArrayList<>();
        takeBeside(files, refused, progress);
        Map<String, Track> tracks = new LinkedHashMap<>();
        PackagePath.Claims claims = new PackagePath.Claims();
        int added = 0;
        int changed = 0;
        for (TaskSheet.Entry entry : sheet.files()) {
            progress.checkCancelled();
            try {
                PackagePath returned = new PackagePath(entry.returned());
                PackagePath path = new PackagePath(entry.path());
                requireAskedFor(entry.targetLanguage(), job);
                claims.claim(returned);
                byte[] content = files.get(path.value());
                if (content == null) {
                    throw new CannotProceedException(path.value(), "desk.problem.missing");
                }
                Track before = job.tracks().get(returned.value());
                Source file = Source.of(path.fileName(), content);
                if (before == null) {
                    tracks.put(returned.value(), takeIn(file, job, returned, entry.targetLanguage(), progress));
                    added++;
                } else {
                    tracks.put(returned.value(), before);
                    changed += update(before, file, progress) ? 1 : 0;
                }
            } catch (CannotProceedException e) {
                refused.add(e.getMessage());
            }
        }
        plan(sheet, List.copyOf(tracks.values()));
        lane.deskJobs().came(job, tracks);
        return new Outcome(added, changed, refused);
    }

    /** A file in a language that the task does not have is not the client's wish. */
    private static void requireAskedFor(String language, DeskJob job) {
        if (!job.task().targetLanguages().contains(language)) {
            throw new CannotProceedException("", "desk.task-language-other", language);
        }
    }

    /** The folder of the client's file, without what the package puts before it. */
    private static String folder(PackagePath returned) {
        String path = returned.value().substring(returned.value().indexOf('/') + 1);
        return path.contains("/") ? path.substring(0, path.lastIndexOf('/')) : "";
    }

    private Track takeIn(Source file, DeskJob job, PackagePath returned, String language, Progress progress)
            throws IOException {
        FileOptions options = FileOptions.ofLanguages(job.task().sourceLanguage(), language);
        // Interrupted before it was written down, it is here already.
        String sha256 = file.sha256();
        Optional<Track> here = lane.tracks().stream()
                .filter(track -> track.sha256().equals(sha256)
                        && track.summary().targetLanguage().equals(language))
                .findFirst();
        return here.isPresent() ? here.get() : lane.trackStore().takeIn(file, folder(returned), options, progress);
    }

    private boolean update(Track track, Source file, Progress progress) throws IOException {
        if (track.sha256().equals(file.sha256())) {
            return false;
        }
        VersionUpdate update = new VersionUpdate(lane);
        update.take(update.of(track, lane.trackStore().keep(file), progress), choices);
        return true;
    }

    /** The memory and the references; twice the same does no harm. One that cannot be used keeps no other away. */
    private void takeBeside(Map<String, byte[]> files, List<String> refused, Progress progress) throws IOException {
        for (Map.Entry<String, byte[]> each : files.entrySet()) {
            boolean memory = each.getKey().equals("memory.tmx")
                    || each.getKey().startsWith("memory/") && each.getKey().endsWith(".tmx");
            boolean reference = each.getKey().startsWith("references/");
            if (memory || reference) {
                try {
                    Source file = Source.of(new PackagePath(each.getKey()).fileName(), each.getValue());
                    if (memory) {
                        lane.memories().take(file, Optional.empty(), progress);
                    } else {
                        lane.references().keep(file);
                    }
                } catch (CannotProceedException e) {
                    refused.add(e.getMessage());
                }
            }
        }
    }

    private void plan(TaskSheet sheet, List<Track> tracks) {
        if (!sheet.due().isEmpty()) {
            try {
                LaneWriter.await(lane.trackStore()
                        .setDue(tracks, Optional.of(LocalDate.parse(sheet.due().substring(0, 10)))));
            } catch (DateTimeParseException | StringIndexOutOfBoundsException e) {
                // Then the task has no date that we understand; the sheet is kept with the package.
            }
        }
        String known = lane.settings().detail(LaneDetail.INSTRUCTIONS);
        if (!sheet.instructions().isEmpty() && !known.contains(sheet.instructions())) {
            String all = known.isEmpty() ? sheet.instructions() : known + "\n\n" + sheet.instructions();
            LaneWriter.await(lane.settings().set(LaneDetail.INSTRUCTIONS, all));
        }
    }
}
