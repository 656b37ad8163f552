package org.swaplane.desktop.session;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Track;

/** Takes tracks off the board, and brings them back. */
public final class Removal {
    private final LaneSession session;
    private final Deque<List<Track>> removed = new ArrayDeque<>();

    Removal(LaneSession session) {
        this.session = session;
    }

    public void remove(List<Track> tracks) {
        if (tracks.isEmpty()) {
            return;
        }
        List<Track> all = List.copyOf(tracks);
        set(all, true, () -> {
            removed.push(all);
            if (all.contains(session.track())) {
                session.lane().tracks().stream().findFirst().ifPresent(session::choose);
            }
            session.notify(Notification.Tone.DONE, Strings.text("board.removed", all.size()));
        });
    }

    /** It is said when it is so. */
    private void set(List<Track> tracks, boolean off, Runnable done) {
        session.lane().trackStore().setRemoved(tracks, off).whenComplete((none, failure) -> {
            if (failure == null) {
                session.inWindow(done);
            } else {
                session.sayFailure(none, failure);
            }
        });
    }

    /** Whether something was removed since the lane was opened. */
    public boolean isPossible() {
        return !removed.isEmpty();
    }

    /** Brings back what was removed last. */
    public void bringBack() {
        List<Track> all = removed.peek();
        set(all, false, () -> {
            removed.remove(all);
            session.notify(Notification.Tone.DONE, Strings.text("board.brought-back", all.size()));
        });
    }
}
