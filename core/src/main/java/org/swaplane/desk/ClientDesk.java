package org.swaplane.desk;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.swaplane.task.Progress;

/**
 * The client's system: it offers tasks, gives out their files, looks at what comes back, and closes them. Every call may be made
 * again when its answer was lost: nothing happens twice.
 *
 * <p>All throw {@link org.swaplane.task.CannotProceedException} when the desk refuses, so that there is no use in asking again, and
 * {@link IOException} when it cannot be reached, or does not answer with sense, after several attempts.
 */
public interface ClientDesk {
    /** How people are told of it. */
    String name();

    /** All tasks that are not closed; one that cannot be used keeps no other away. */
    OfferedTasks tasks(Progress progress) throws IOException;

    DeskTask task(String id, Progress progress) throws IOException;

    /** Takes a task on; the same person may do it again. */
    DeskTask accept(String id, String person, Progress progress) throws IOException;

    /** Puts the task's package at a path; what an interrupted download left beside it is gone on with. */
    void download(DeskTask task, DownloadOptions options, Path to, Progress progress) throws IOException;

    /** Hands in a package and asks what the desk says of it; what an interrupted upload left there is gone on with. */
    DeskVerdict deliver(DeskTask task, DownloadOptions.Form form, Path zip, Progress progress) throws IOException;

    /** What the desk said of each package, the oldest first. */
    List<DeskVerdict> verdicts(String id, Progress progress) throws IOException;

    /** Closes the task with a package that the desk accepted, by its SHA-256. */
    DeskReceipt handOver(DeskTask task, String sha256, Progress progress) throws IOException;
}
