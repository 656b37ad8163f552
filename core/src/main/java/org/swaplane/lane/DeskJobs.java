package org.swaplane.lane;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.swaplane.desk.ClientDesk;
import org.swaplane.desk.DeskReceipt;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DeskVerdict;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.format.PackagePath;
import org.swaplane.release.ReleaseForm;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/**
 * The tasks of clients' desks that this lane works at: taken on, fetched, returned, handed over. What is known here is written
 * after the desk has answered, so that whatever is interrupted can be done again.
 */
public final class DeskJobs {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String FOLDER = "desk";

    private final Lane lane;
    private final Database database;
    private final Clock clock;
    private final LaneWriter writer;

    DeskJobs(Lane lane, Database database, Clock clock, LaneWriter writer) {
        this.lane = lane;
        this.database = database;
        this.clock = clock;
        this.writer = writer;
        readClosed();
    }

    private void readClosed() {
        Set<Long> closed = Set.copyOf(database.query(
                row -> row.getLong(1),
                "select track from desk_file join desk_task on desk_task.desk = desk_file.desk"
                        + " and desk_task.id = desk_file.task where receipt <> ''"));
        lane.trackStore().every().forEach(track -> track.setHandedOver(closed.contains(track.id())));
    }

    /** All, those that are open first. */
    public List<DeskJob> all() {
        return database.query(
                row -> job(row.getString(1), row.getString(2), row.getString(3), row.getString(4), row.getString(5)),
                "select desk, task, form, sha256, receipt from desk_task order by receipt <> '', id");
    }

    /** One as it stands now. */
    public DeskJob get(String desk, String id) {
        return all().stream()
                .filter(job -> job.desk().equals(desk) && job.task().id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private DeskJob job(String desk, String task, String form, String sha256, String receipt) throws SQLException {
        try {
            DeskTask read = JSON.readValue(task, DeskTask.class);
            Map<String, Track> tracks = new LinkedHashMap<>();
            database.query(
                            row -> Map.entry(row.getString(1), row.getLong(2)),
                            "select returned, track from desk_file where desk = ? and task = ? order by returned",
                            desk,
                            read.id())
                    .forEach(each -> tracks.put(each.getKey(), lane.track(each.getValue())));
            List<DeskJob.Problem> problems = database.query(
                    row -> new DeskJob.Problem(
                            DeskVerdict.Kind.valueOf(row.getString(1)),
                            row.getString(2),
                            Optional.ofNullable(tracks.get(row.getString(2))),
                            row.getString(3),
                            row.getString(4)),
                    "select kind, file, key, message from desk_problem where desk = ? and task = ? order by id",
                    desk,
                    read.id());
            return new DeskJob(
                    desk,
                    read,
                    DownloadOptions.Form.of(form),
                    tracks,
                    sha256,
                    receipt.isEmpty() ? Optional.empty() : Optional.of(JSON.readValue(receipt, DeskReceipt.class)),
                    problems);
        } catch (JsonProcessingException e) {
            throw new SQLException(e);
        }
    }

    /** What happened to a task, the oldest first. */
    public List<DeskJob.Event> history(DeskJob job) {
        return database.query(
                row -> new DeskJob.Event(
                        Instant.parse(row.getString(1)),
                        row.getString(2),
                        DeskJob.Kind.valueOf(row.getString(3)),
                        row.getString(4)),
                "select at, who, kind, detail from desk_event where desk = ? and task = ? order by id",
                job.desk(),
                job.task().id());
    }

    /** Takes a task on. */
    public DeskJob accept(ClientDesk desk, String address, DeskTask task, Progress progress) throws IOException {
        String person = lane.settings().person();
        DeskTask accepted = desk.accept(task.id(), person, progress);
        LaneWriter.await(writer.submit(transaction -> {
            int changed = database.query(
                            row -> row.getInt(1),
                            "select count(*) from desk_task where desk = ? and id = ?",
                            address,
                            task.id())
                    .get(0);
            if (changed == 0) {
                database.update(
                        "insert into desk_task (desk, id, task) values (?, ?, ?)",
                        address,
                        task.id(),
                        written(accepted));
                note(address, task.id(), DeskJob.Kind.ACCEPTED, accepted.title());
            }
            return null;
        }));
        return get(address, task.id());
    }

    /** Downloads the package into the lane; what an interrupted download left is gone on with. */
    public Path fetch(ClientDesk desk, DeskJob job, DownloadOptions options, Progress progress) throws IOException {
        DeskTask task = desk.task(job.task().id(), progress);
        Path folder = lane.folder().resolve(FOLDER);
        Files.createDirectories(folder);
        Path zip = new PackagePath(
                        task.id() + "-v" + task.version() + '-' + options.form().id() + ".zip")
                .in(folder);
        desk.download(task, options, zip, progress);
        LaneWriter.await(writer.submit(transaction -> {
            database.update(
                    "update desk_task set task = ?, form = ? where desk = ? and id = ?",
                    written(task),
                    options.form().id(),
                    job.desk(),
                    task.id());
            note(job.desk(), task.id(), DeskJob.Kind.FETCHED, options.query());
            return null;
        }));
        return zip;
    }

    /** Remembers which track is returned as what. */
    public void came(DeskJob job, Map<String, Track> tracks) {
        LaneWriter.await(writer.submit(transaction -> {
            database.update(
                    "delete from desk_file where desk = ? and task = ?",
                    job.desk(),
                    job.task().id());
            tracks.forEach((returned, track) -> database.update(
                    "insert into desk_file values (?, ?, ?, ?)",
                    job.desk(),
                    job.task().id(),
                    returned,
                    track.id()));
            transaction.afterwards(this::readClosed);
            return null;
        }));
    }

    /** The files that the task asks for, under the names that it asks for, and nothing else. */
    public List<Packaging.Planned> plan(DeskJob job) {
        List<Packaging.Planned> plan = new ArrayList<>();
        job.tracks().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(each -> plan.add(new Packaging.Planned(each.getValue(), ReleaseForm.FILE, each.getKey())));
        return plan;
    }

    /**
     * Releases the task's files in one package and returns it; what the desk finds is kept with the segments.
     *
     * @param reason why they go although conditions are not met; empty where they are
     */
    public DeskVerdict giveBack(
            ClientDesk desk, DeskJob job, ReleaseConditions conditions, String reason, Progress progress)
            throws IOException {
        refuseNothing(job);
        DeskTask current = desk.task(job.task().id(), progress);
        if (current.version() != job.task().version()) {
            throw new CannotProceedException(job.task().title(), "desk.other-version", current.version());
        }
        Release release = new Packaging(lane, conditions)
                .releaseAs(plan(job), job.task().id() + "-return-{release}", reason, progress);
        Path zip = lane.folder().resolve("out").resolve(release.place());
        DeskVerdict verdict = desk.deliver(current, job.form().orElseThrow(), zip, progress);
        keep(job, release, verdict);
        return verdict;
    }

    private static void refuseNothing(DeskJob job) {
        if (job.isClosed()) {
            throw new CannotProceedException(job.task().title(), "desk.is-closed");
        }
        if (!job.isHere()) {
            throw new CannotProceedException(job.task().title(), "desk.not-fetched");
        }
    }

    private void keep(DeskJob job, Release release, DeskVerdict verdict) {
        LaneWriter.await(writer.submit(transaction -> {
            String id = job.task().id();
            database.update(
                    "update desk_task set release = ?, sha256 = ? where desk = ? and id = ?",
                    release.number(),
                    verdict.accepted() ? verdict.sha256() : "",
                    job.desk(),
                    id);
            database.update("delete from desk_problem where desk = ? and task = ?", job.desk(), id);
            for (DeskVerdict.Problem problem : verdict.problems()) {
                Track track = job.tracks().get(problem.file());
                database.update(
                        "insert into desk_problem (desk, task, kind, file, track, key, message) values (?, ?, ?, ?, ?, ?, ?)",
                        job.desk(),
                        id,
                        problem.kind().name(),
                        problem.file(),
                        track == null ? null : track.id(),
                        problem.segment(),
                        problem.message());
            }
            note(
                    job.desk(),
                    id,
                    verdict.accepted() ? DeskJob.Kind.RETURNED : DeskJob.Kind.REFUSED,
                    release.place()
                            + (verdict.accepted()
                                    ? ""
                                    : ", " + verdict.problems().size()));
            return null;
        }));
    }

    /** Closes the task with the package that was accepted; its tracks cannot be edited any more. */
    public DeskReceipt handOver(ClientDesk desk, DeskJob job, Progress progress) throws IOException {
        if (job.isClosed()) {
            return job.receipt().orElseThrow();
        }
        if (job.accepted().isEmpty()) {
            throw new CannotProceedException(job.task().title(), "desk.not-accepted");
        }
        refuseUnreturned(job);
        DeskReceipt receipt = desk.handOver(job.task(), job.accepted(), progress);
        LaneWriter.await(writer.submit(transaction -> {
            database.update(
                    "update desk_task set receipt = ?, task = ? where desk = ? and id = ?",
                    written(receipt),
                    written(job.task().in(DeskTask.State.CLOSED, job.task().person())),
                    job.desk(),
                    job.task().id());
            note(job.desk(), job.task().id(), DeskJob.Kind.HANDED_OVER, receipt.sha256());
            transaction.afterwards(this::readClosed);
            return null;
        }));
        return receipt;
    }

    /** What was edited after the return would stay behind. */
    private void refuseUnreturned(DeskJob job) {
        Instant returned = history(job).stream()
                .filter(event -> event.kind() == DeskJob.Kind.RETURNED)
                .map(DeskJob.Event::at)
                .max(Comparator.naturalOrder())
                .orElse(Instant.EPOCH);
        for (Track track : job.tracks().values()) {
            int changed = track.changedSince(returned).size();
            if (changed > 0) {
                throw new CannotProceedException(track.name(), "desk.not-returned", changed);
            }
        }
    }

    /** Asks the desk how the lane's tasks stand: some may have been changed or given back. */
    public void refresh(ClientDesk desk, String address, Progress progress) throws IOException {
        for (DeskJob job : all()) {
            if (job.desk().equals(address)) {
                refresh(job, desk.task(job.task().id(), progress));
            }
        }
    }

    private void refresh(DeskJob job, DeskTask now) {
        boolean givenBack = job.isClosed() && now.state() != DeskTask.State.CLOSED;
        boolean changed = now.version() != job.task().version();
        if (!givenBack && !changed) {
            return;
        }
        LaneWriter.await(writer.submit(transaction -> {
            if (givenBack) {
                database.update(
                        "update desk_task set receipt = '', sha256 = '', task = ? where desk = ? and id = ?",
                        written(job.task().in(now.state(), now.person())),
                        job.desk(),
                        now.id());
                note(job.desk(), now.id(), DeskJob.Kind.GIVEN_BACK, "");
                transaction.afterwards(this::readClosed);
            }
            if (changed && isNews(job, now.version())) {
                note(job.desk(), now.id(), DeskJob.Kind.CHANGED, String.valueOf(now.version()));
            }
            return null;
        }));
    }

    /** Whether a change of the task is news. */
    private boolean isNews(DeskJob job, int version) {
        return history(job).stream()
                .noneMatch(event ->
                        event.kind() == DeskJob.Kind.CHANGED && event.detail().equals(String.valueOf(version)));
    }

    private void note(String desk, String id, DeskJob.Kind kind, String detail) {
        database.update(
                "insert into desk_event (desk, task, at, who, kind, detail) values (?, ?, ?, ?, ?, ?)",
                desk,
                id,
                clock.instant().toString(),
                lane.settings().person(),
                kind.name(),
                detail);
    }

    private static String written(Object value) {
        try {
            return JSON.writeValueAsString(value);
        } catch (JsonProcessingException e) {
            throw new AssertionError("values only", e);
        }
    }
}
