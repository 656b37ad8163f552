package org.swaplane.lane;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** One change of a lane while it is made: what it makes of tracks and what there is to tell, both of use only once it is on disk. */
final class LaneTransaction {
    private final Map<Track, TrackSnapshot> held = new HashMap<>();
    private final Map<Track, TrackSnapshot> snapshots = new LinkedHashMap<>();
    private final List<Consumer<LaneListener>> events = new ArrayList<>();
    private final List<Runnable> afterwards = new ArrayList<>();

    /** Reads a track that the change is about, and holds what it is; to be called before the transaction begins. */
    void hold(Track track) {
        held.put(track, track.now());
    }

    /** A track that is held, as this change leaves it so far. */
    TrackSnapshot now(Track track) {
        TrackSnapshot changed = snapshots.get(track);
        return changed != null ? changed : held.get(track);
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
