package org.swaplane.lane;

import org.swaplane.wording.Wording;

/** Another program has the lane open; it can be looked at all the same. */
public final class LaneInUseException extends RuntimeException {
    private final transient LaneHolder holder;

    LaneInUseException(String folder, LaneHolder holder) {
        super(folder + ": "
                + Wording.text(
                        "problem.lane-in-use",
                        holder.user(),
                        holder.machine(),
                        String.valueOf(holder.process()),
                        String.valueOf(holder.since())));
        this.holder = holder;
    }

    public LaneHolder holder() {
        return holder;
    }
}
