package org.swaplane.task;

/** The user stopped the work; what it had begun is undone by whoever catches this. */
public final class CancelledException extends RuntimeException {
    public CancelledException() {
        super("cancelled", null, false, false);
    }
}
