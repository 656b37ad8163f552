package org.swaplane.lane;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.swaplane.check.Finding;

/** The findings of one track that nobody set aside, at one moment. Immutable. */
public final class TrackFindings {
    private final ReadDocument read;
    private final Overlay<List<Finding>> open;
    private final int count;
    /** Made when somebody asks for the first time; two threads may both do it. */
    private List<Finding> all;

    private TrackFindings(ReadDocument read, Overlay<List<Finding>> open, int count) {
        this.read = read;
        this.open = open;
        this.count = count;
    }

    static TrackFindings none(TrackSnapshot snapshot) {
        return new TrackFindings(snapshot.read(), Overlay.over(snapshot.size()), 0);
    }

    /** The same with the findings of some segments replaced; an empty list where there are none. */
    TrackFindings with(Map<Integer, List<Finding>> others) {
        int counted = count;
        for (Map.Entry<Integer, List<Finding>> other : others.entrySet()) {
            counted += other.getValue().size() - at(other.getKey()).size();
        }
        return new TrackFindings(read, open.with(others), counted);
    }

    /** Whether they count segments as a snapshot does; not when its file was read in another way since. */
    public boolean fit(TrackSnapshot snapshot) {
        return snapshot.read() == read;
    }

    public int count() {
        return count;
    }

    /** Those of the segment at a position. */
    public List<Finding> at(int position) {
        List<Finding> here = open.get(position);
        return here == null ? List.of() : here;
    }

    /** All of them, in the order of the file. */
    public List<Finding> all() {
        if (all == null) {
            List<Finding> collected = new ArrayList<>(count);
            open.forEach((position, findings) -> collected.addAll(findings));
            all = List.copyOf(collected);
        }
        return all;
    }
}
