package org.swaplane.desktop.session;

import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import org.swaplane.task.Progress;

/** A piece of long work, as it is shown while it runs. */
public final class RunningTask {
    private final String words;
    private final ReadOnlyDoubleWrapper share = new ReadOnlyDoubleWrapper(-1);
    private volatile boolean cancelled;

    RunningTask(String words) {
        this.words = words;
    }

    /** What is done. */
    public String words() {
        return words;
    }

    /** How much of it is done, from 0 to 1, or negative when it is not known. */
    public ReadOnlyDoubleProperty shareProperty() {
        return share.getReadOnlyProperty();
    }

    void showShare(double done) {
        share.set(done);
    }

    /** Asks it to stop; what it has done by then, it has done. */
    public void cancel() {
        cancelled = true;
    }

    boolean isCancelled() {
        return cancelled;
    }

    /** What the work reports to, on its own thread; {@code shown} gets the share when the window has time for it. */
    Progress progress(Shares shown, RightOfWay way) {
        return new Progress() {
            @Override
            public void at(long done, long total) {
                shown.set(total == 0 ? -1 : (double) done / total);
            }

            @Override
            public boolean cancelled() {
                way.yield();
                return cancelled;
            }
        };
    }

    /** Takes shares from the thread that works. */
    interface Shares {
        void set(double share);
    }
}
