package org.swaplane.desktop.session;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import org.swaplane.lane.LaneListener;
import org.swaplane.lane.Step;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Trip;

/** Brings what the lane tells to the window's thread, in its order; what comes while the window is busy comes at once. */
final class LaneEvents implements LaneListener {
    private final Executor window;
    private final LaneListener target;
    private final Runnable after;
    private List<Consumer<LaneListener>> waiting = new ArrayList<>();

    /** {@code after} is called when {@code target} has heard of all that waited. */
    LaneEvents(Executor window, LaneListener target, Runnable after) {
        this.window = window;
        this.target = target;
        this.after = after;
    }

    private void later(Consumer<LaneListener> event) {
        synchronized (this) {
            waiting.add(event);
            if (waiting.size() > 1) {
                return;
            }
        }
        window.execute(this::tell);
    }

    private void tell() {
        List<Consumer<LaneListener>> now;
        synchronized (this) {
            now = waiting;
            waiting = new ArrayList<>();
        }
        now.forEach(event -> event.accept(target));
        after.run();
    }

    @Override
    public void stepped(TrackSnapshot now, Step step) {
        later(listener -> listener.stepped(now, step));
    }

    @Override
    public void reread(TrackSnapshot now) {
        later(listener -> listener.reread(now));
    }

    @Override
    public void added(Track track) {
        later(listener -> listener.added(track));
    }

    @Override
    public void planned(Track track) {
        later(listener -> listener.planned(track));
    }

    @Override
    public void tripChanged(Trip trip) {
        later(listener -> listener.tripChanged(trip));
    }

    @Override
    public void noted(Track track) {
        later(listener -> listener.noted(track));
    }

    @Override
    public void decided() {
        later(LaneListener::decided);
    }

    @Override
    public void proven(Track track) {
        later(listener -> listener.proven(track));
    }

    @Override
    public void released(Track track) {
        later(listener -> listener.released(track));
    }

    @Override
    public void settingChanged(String key) {
        later(listener -> listener.settingChanged(key));
    }
}
