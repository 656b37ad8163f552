package org.swaplane.lane;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** One change of a lane while it is made: what it makes of tracks and what there is to tell, both of use only once it is on disk. */
final class LaneTransaction {
    private final Map<Track, TrackSnapshot> snapshots = new LinkedHashMap<>();
    private final List<Consumer<LaneListener>> events = new ArrayList<>();
    private final List<Runnable> afterwards = new ArrayList<>();

    /** The track as this change leaves it so far; it must have been read before the transaction began. */
    TrackSnapshot now(Track track) {
        TrackSnapshot changed = snapshots.get(track);
        return changed != null ? changed : track.loaded().orElseThrow();
    }

    void set(TrackSnapshot changed) {
        snapshots.put(changed.track(), changed);
    }

    void tell(Consumer<LaneListener> event) {
        events.add(event);
    }

    /** Something in memory that follows what is on disk. */
    void afterwards(Runnable work) {
        afterwards.add(work);
    }

    /** The change is on disk. */
    void committed(List<LaneListener> listeners) {
        afterwards.forEach(Runnable::run);
        snapshots.forEach(Track::publish);
        events.forEach(event -> listeners.forEach(event));
    }
}
