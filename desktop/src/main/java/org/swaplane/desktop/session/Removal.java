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
        removed.push(all);
        session.lane().trackStore().setRemoved(all, true).whenComplete(session::sayFailure);
        if (all.contains(session.track())) {
            session.lane().tracks().stream()
                    .filter(track -> !all.contains(track))
                    .findFirst()
                    .ifPresent(session::choose);
        }
        session.notify(Notification.Tone.DONE, Strings.text("board.removed", all.size()));
    }

    /** Whether something was removed since the lane was opened. */
    public boolean isPossible() {
        return !removed.isEmpty();
    }

    /** Brings back what was removed last. */
    public void bringBack() {
        List<Track> all = removed.pop();
        session.lane().trackStore().setRemoved(all, false).whenComplete(session::sayFailure);
        session.notify(Notification.Tone.DONE, Strings.text("board.brought-back", all.size()));
    }
}
