package org.swaplane.desktop.session;

import java.time.Clock;
import java.time.Duration;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.swaplane.effort.Attention;
import org.swaplane.effort.Visit;
import org.swaplane.effort.VisitClock;
import org.swaplane.lane.Track;

/**
 * How long the person works: at segments while Review is shown, at the lane in its other views. Nothing but the time is recorded. Lives on
 * the window's thread.
 */
public final class WorkTime {
    /** A person is in one of this program's windows at a time. */
    private static final Attention ATTENTION = new Attention();

    private static final Duration LONGEST_UNWRITTEN = Duration.ofMinutes(1);

    private final LaneSession session;
    private final VisitClock atSegments;
    private final VisitClock inViews;
    private final ReadOnlyObjectWrapper<Status> status = new ReadOnlyObjectWrapper<>(Status.IDLE);
    private boolean paused;

    /** What becomes of time now. */
    public enum Status {
        RUNNING,
        /** Nothing was done for longer than the idle limit. */
        IDLE,
        PAUSED,
        /** This lane records no time. */
        OFF
    }

    WorkTime(LaneSession session) {
        this.session = session;
        Clock clock = session.lane().clock().withZone(ZoneId.systemDefault());
        Duration idleLimit = session.lane().settings().idleLimit();
        this.atSegments = new VisitClock(clock, idleLimit, ATTENTION);
        this.inViews = new VisitClock(clock, idleLimit, ATTENTION);
        session.viewProperty().addListener((property, before, now) -> moved(before, now));
    }

    /** The clock of visits to segments. */
    VisitClock atSegments() {
        return atSegments;
    }

    public ReadOnlyObjectProperty<Status> statusProperty() {
        return status.getReadOnlyProperty();
    }

    private boolean isInReview() {
        return session.viewProperty().get().equals(ViewId.REVIEW);
    }

    /** A key, a click, a turn of the wheel. */
    public void alive() {
        if (isInReview()) {
            atSegments.alive();
        } else {
            if (inViews.current().isEmpty()) {
                inViews.enter();
            }
            inViews.alive();
            if (inViews.current()
                    .filter(visit -> visit.active().compareTo(LONGEST_UNWRITTEN) >= 0)
                    .isPresent()) {
                // A program that is killed loses a minute at most.
                write(session.viewProperty().get(), inViews.leave());
                inViews.enter();
            }
        }
        look();
    }

    private void moved(ViewId before, ViewId now) {
        if (before.equals(ViewId.REVIEW)) {
            session.editing().left();
        } else {
            write(before, inViews.leave());
        }
        if (now.equals(ViewId.REVIEW)) {
            session.editing().entered();
        } else {
            inViews.enter();
        }
        look();
    }

    private void write(ViewId view, List<Visit> visits) {
        if (!session.lane().isReadOnly()) {
            Optional<Track> track = Optional.ofNullable(session.track());
            String trip = view.equals(ViewId.EXCHANGE) ? session.exchange().comparedTrip() : "";
            visits.stream().filter(visit -> !visit.active().isZero()).forEach(visit -> session.lane()
                    .timeLog()
                    .visited(view.name(), track, trip, visit)
                    .whenComplete(session::sayFailure));
        }
    }

    /** Writes down what was measured so far. */
    public void left() {
        if (!isInReview()) {
            write(session.viewProperty().get(), inViews.leave());
        }
    }

    /** Stops the time, or lets it go on. */
    public void togglePause() {
        paused = !paused;
        atSegments.setPaused(paused);
        inViews.setPaused(paused);
        look();
    }

    /** Looks whether somebody is still there. */
    public void look() {
        boolean running = isInReview() ? atSegments.isRunning() : inViews.isRunning();
        status.set(
                !session.lane().timeLog().isRecorded() || session.lane().isReadOnly()
                        ? Status.OFF
                        : paused ? Status.PAUSED : running ? Status.RUNNING : Status.IDLE);
    }
}
