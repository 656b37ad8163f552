package org.swaplane.jobreport;

import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.QualityStore;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** How earlier jobs came out. */
public final class QualityHistory {
    private QualityHistory() {}

    /** A closed evaluation of a lane. */
    public record Job(String lane, String client, QualityStore.Result result) {}

    /**
     * The closed evaluations of a lane and of others, oldest first.
     *
     * @param others folders; those that hold no lane, or cannot be opened now, are passed over
     * @param client only those for this client; empty for all
     */
    public static List<Job> read(
            Lane lane, List<Path> others, String client, FormatRegistry formats, Clock clock, Progress progress) {
        List<Job> jobs = new ArrayList<>(of(lane));
        for (Path folder : others) {
            progress.checkCancelled();
            if (Lane.isIn(folder)
                    && !folder.toAbsolutePath().equals(lane.folder().toAbsolutePath())) {
                try (Lane other = Lane.openForReading(folder, formats, clock)) {
                    jobs.addAll(of(other));
                } catch (CannotProceedException e) {
                    // It is said when somebody opens it.
                    continue;
                }
            }
        }
        jobs.removeIf(job -> !client.isEmpty() && !job.client().equals(client));
        jobs.sort(Comparator.comparing(job -> job.result().closedAt()));
        return jobs;
    }

    private static List<Job> of(Lane lane) {
        String client = lane.settings().detail(LaneDetail.CLIENT);
        return lane.quality().results().stream()
                .map(result -> new Job(lane.name(), client, result))
                .toList();
    }
}
