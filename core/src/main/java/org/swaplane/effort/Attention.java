package org.swaplane.effort;

import java.util.concurrent.atomic.AtomicReference;

/** Where a person is: at one place at a time, however many windows are open. Shared by the clocks of all windows. */
public final class Attention {
    private final AtomicReference<VisitClock> place = new AtomicReference<>();

    /** Says that the person is here now; returns whether that was so before. */
    boolean moveTo(VisitClock here) {
        return place.getAndSet(here) == here;
    }
}
