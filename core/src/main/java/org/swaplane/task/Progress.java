package org.swaplane.task;

/** How long work tells where it is and asks whether to go on. Called from the thread that does the work. */
public interface Progress {
    /** Tells nobody and never stops. */
    Progress NONE = new Progress() {
        @Override
        public void at(long done, long total) {}

        @Override
        public boolean cancelled() {
            return false;
        }
    };

    /** {@code done} of {@code total} units of the work at hand; {@code total} is 0 when it is not known. */
    void at(long done, long total);

    /** Once true, always true. */
    boolean cancelled();

    /** Throws when the work shall stop. */
    default void checkCancelled() {
        if (cancelled()) {
            throw new CancelledException();
        }
    }
}
