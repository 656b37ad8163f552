package org.swaplane.desktop.session;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.swaplane.desk.ClientDesk;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DeskVerdict;
import org.swaplane.desk.DownloadOptions;
import org.swaplane.desk.HttpClientDesk;
import org.swaplane.desk.OfferedTasks;
import org.swaplane.desktop.text.Strings;
import org.swaplane.intake.TaskIntake;
import org.swaplane.lane.DeskJob;
import org.swaplane.lane.DeskJobs;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Track;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** The lane's client desk: its tasks, and what this lane does with them. */
public final class DeskWork {
    private final LaneSession session;
    private final ObservableList<Row> rows = FXCollections.observableArrayList();
    /** Why the desk cannot be asked; empty where it can. */
    private final ReadOnlyStringWrapper problem = new ReadOnlyStringWrapper("");

    /** Whether the desk has answered since its address was set, so that it is known what it offers. */
    private final ReadOnlyBooleanWrapper answered = new ReadOnlyBooleanWrapper();

    private boolean asking;

    /**
     * A task, as the desk offers it or as the lane works at it.
     *
     * @param history what happened to it here
     */
    public record Row(DeskTask task, Optional<DeskJob> job, List<DeskJob.Event> history) {}

    /** What one visit to the desk brings. */
    private record Visit(List<Row> rows, String problem, boolean answered) {}

    DeskWork(LaneSession session) {
        this.session = session;
    }

    /** Tasks that the lane works at, then those that are offered. */
    public ObservableList<Row> rows() {
        return rows;
    }

    public ReadOnlyBooleanProperty answeredProperty() {
        return answered.getReadOnlyProperty();
    }

    public ReadOnlyStringProperty problemProperty() {
        return problem.getReadOnlyProperty();
    }

    /** The address of the lane's desk; empty for none. */
    public String address() {
        return session.lane().settings().detail(LaneDetail.CLIENT_DESK);
    }

    /** Works with the desk at this address from now on. */
    public void setAddress(String address) {
        session.background()
                .run(
                        Strings.text("task.desk"),
                        progress -> {
                            if (!address.isEmpty()) {
                                new HttpClientDesk(address);
                            }
                            return LaneWriter.await(session.lane().settings().set(LaneDetail.CLIENT_DESK, address));
                        },
                        done -> refresh());
    }

    private DeskJobs jobs() {
        return session.lane().deskJobs();
    }

    /** Asks the desk for its tasks; what the lane knows is shown in any case. */
    public void refresh() {
        if (asking) {
            return;
        }
        asking = true;
        String address = address();
        boolean readOnly = session.lane().isReadOnly();
        session.background()
                .ask(
                        Background.Asked.DESK,
                        Strings.text("task.desk"),
                        progress -> visit(address, readOnly, progress),
                        visit -> {
                            asking = false;
                            problem.set(visit.problem());
                            answered.set(visit.answered());
                            if (!rows.equals(visit.rows())) {
                                rows.setAll(visit.rows());
                            }
                        },
                        () -> asking = false);
    }

    private Visit visit(String address, boolean readOnly, Progress progress) {
        List<DeskTask> offered = new ArrayList<>();
        String wrong = "";
        boolean answered = false;
        if (!address.isEmpty()) {
            try {
                ClientDesk desk = new HttpClientDesk(address);
                OfferedTasks tasks = desk.tasks(progress);
                offered.addAll(tasks.tasks());
                wrong = Strings.few(tasks.refused(), "\n");
                answered = true;
                if (!readOnly) {
                    jobs().refresh(desk, address, progress);
                }
            } catch (CannotProceedException e) {
                wrong = e.getMessage();
            } catch (IOException e) {
                wrong = e.getMessage() == null ? e.toString() : e.getMessage();
            }
        }
        List<Row> all = new ArrayList<>();
        Set<String> here = new HashSet<>();
        for (DeskJob job : jobs().all()) {
            all.add(new Row(job.task(), Optional.of(job), jobs().history(job)));
            here.add(job.desk() + ' ' + job.task().id());
        }
        for (DeskTask task : offered) {
            if (!here.contains(address + ' ' + task.id())) {
                all.add(new Row(task, Optional.empty(), List.of()));
            }
        }
        return new Visit(all, wrong, answered);
    }

    private ClientDesk desk(DeskJob job) {
        return new HttpClientDesk(job.desk());
    }

    /** Takes a task on. */
    public void accept(DeskTask task) {
        String address = address();
        session.background()
                .run(
                        Strings.text("task.desk-accept", task.title()),
                        progress -> jobs().accept(new HttpClientDesk(address), address, task, progress),
                        job -> {
                            session.notify(Notification.Tone.DONE, Strings.text("desk.accepted", task.title()));
                            refresh();
                        });
    }

    /** Downloads the package of a task and takes it in. */
    public void fetch(DeskJob job, DownloadOptions options) {
        session.background()
                .run(
                        Strings.text("task.desk-fetch", job.task().title()),
                        progress -> {
                            Path zip = jobs().fetch(desk(job), job, options, progress);
                            return new TaskIntake(
                                            session.lane(),
                                            session.sourceUpdates().choices())
                                    .take(jobs().get(job.desk(), job.task().id()), zip, progress);
                        },
                        outcome -> {
                            if (outcome.refused().isEmpty()) {
                                session.notify(
                                        Notification.Tone.DONE,
                                        Strings.text("desk.fetched", outcome.added(), outcome.changed()));
                            } else {
                                session.notify(Notification.Tone.FAILED, Strings.few(outcome.refused(), "\n"));
                            }
                            if (session.track() == null
                                    && !session.lane().tracks().isEmpty()) {
                                session.choose(session.lane().tracks().get(0));
                            }
                            refresh();
                        });
    }

    /** Returns what the task asks for; {@code reason} waives conditions that are not met. */
    public void giveBack(DeskJob job, String reason) {
        session.background()
                .run(
                        Strings.text("task.desk-return", job.task().title()),
                        progress -> jobs().giveBack(
                                        desk(job), job, session.releasing().conditions(), reason, progress),
                        verdict -> {
                            say(verdict);
                            refresh();
                        });
    }

    private void say(DeskVerdict verdict) {
        session.notify(
                verdict.accepted() ? Notification.Tone.DONE : Notification.Tone.FAILED,
                verdict.accepted()
                        ? Strings.text("desk.return-accepted")
                        : Strings.text("desk.return-refused", verdict.problems().size()));
    }

    /** Closes the task. */
    public void handOver(DeskJob job) {
        session.background()
                .run(
                        Strings.text("task.desk-hand-over", job.task().title()),
                        progress -> jobs().handOver(desk(job), job, progress),
                        receipt -> {
                            session.notify(
                                    Notification.Tone.DONE,
                                    Strings.text("desk.handed-over", job.task().title()));
                            session.changed(Topic.SEGMENTS);
                            refresh();
                        });
    }

    /** Goes to the segment that a problem is about, or to its file. */
    public void show(DeskJob.Problem problem) {
        problem.track().ifPresent(track -> {
            if (problem.key().isEmpty()) {
                session.choose(track);
                session.viewProperty().set(ViewId.REVIEW);
            } else {
                session.show(new SegmentSelection(track, keys(problem), Strings.text("desk.named-by-desk")));
            }
        });
    }

    /** All segments of the file that the desk named; the one that is meant is shown first. */
    private Set<String> keys(DeskJob.Problem problem) {
        Set<String> keys = new HashSet<>(Set.of(problem.key()));
        rows.stream()
                .flatMap(row -> row.job().stream())
                .flatMap(job -> job.problems().stream())
                .filter(each ->
                        each.track().equals(problem.track()) && !each.key().isEmpty())
                .forEach(each -> keys.add(each.key()));
        return keys;
    }

    /** How many tasks wait for something here. */
    public int waiting() {
        return (int) rows.stream()
                .filter(row -> row.job().isEmpty() || !row.job().get().isClosed())
                .count();
    }

    /** Conditions that keep a task from being returned, by file; nothing while they are not known. */
    public boolean isReady(DeskJob job) {
        Map<String, Track> tracks = job.tracks();
        return session.releasing().rows().stream()
                .filter(row -> tracks.containsValue(row.track()))
                .allMatch(Releasing.Row::isReady);
    }
}
