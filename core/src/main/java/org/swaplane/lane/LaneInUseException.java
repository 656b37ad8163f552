package org.swaplane.lane;

/** Another program has the lane open; it can be looked at all the same. */
public final class LaneInUseException extends RuntimeException {
    private final transient LaneHolder holder;

    LaneInUseException(String folder, LaneHolder holder) {
        super(folder + ": the lane is open in another program (" + holder.user() + " on " + holder.machine()
                + ", process " + holder.process() + ", since " + holder.since()
                + "); close it there, or open the lane for reading only");
        this.holder = holder;
    }

    public LaneHolder holder() {
        return holder;
    }
}
