package org.swaplane.lane;

import java.io.IOException;
import java.util.HashSet;
import java.util.Set;
import java.util.function.Consumer;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.memory.MemoryTransfer;
import org.swaplane.memory.MemoryUnit;
import org.swaplane.memory.Provenance;
import org.swaplane.memory.TranslationMemory;
import org.swaplane.task.CannotProceedException;

/**
 * How one memory follows what is reviewed in a lane: each reviewed segment holds its unit there. After a step that could not be written, all
 * is gathered again; a track that cannot be read keeps what it holds until it can. For one thread.
 */
final class MemoryFollowing {
    private final Lane lane;
    private final String holders;
    private final Consumer<Exception> failed;
    private final Set<Track> unread = new HashSet<>();
    private boolean behind = true;

    /**
     * @param holders empty for the lane's own memory; in a shared one, the lane's id
     * @param failed hears of tracks that cannot be read
     */
    MemoryFollowing(Lane lane, String holders, Consumer<Exception> failed) {
        this.lane = lane;
        this.holders = holders;
        this.failed = failed;
    }

    /** Whether it lacks something, because of which all has to be gathered. */
    boolean isBehind() {
        return behind;
    }

    /** Whether everything that is reviewed is in it. */
    boolean isComplete() {
        return !behind && unread.isEmpty();
    }

    /** Something was not written: all has to be gathered. */
    void fellBehind() {
        behind = true;
    }

    /** It has everything, as was found out elsewhere. */
    void caughtUp() {
        behind = false;
    }

    /** Takes up a step; does not commit. */
    void step(TrackSnapshot now, Set<Integer> changed, TranslationMemory memory) throws IOException {
        if (unread.remove(now.track())) {
            gather(now, memory);
            return;
        }
        for (int index : changed) {
            keep(now, index, memory);
        }
    }

    /** Takes up a whole track that was read or cut in another way; does not commit. */
    void track(TrackSnapshot now, TranslationMemory memory) throws IOException {
        unread.remove(now.track());
        gather(now, memory);
    }

    /** Takes up everything; does not commit. */
    void everything(TranslationMemory memory) throws IOException {
        Set<Track> unreadBefore = Set.copyOf(unread);
        unread.clear();
        for (Track track : lane.tracks()) {
            if (track.summary().counts().reviewedWords() == 0) {
                memory.releaseAll(holder(track));
                continue;
            }
            TrackSnapshot now;
            try {
                now = track.now();
            } catch (LaneUnavailableException e) {
                throw e;
            } catch (CannotProceedException e) {
                unread.add(track);
                if (!unreadBefore.contains(track)) {
                    failed.accept(e);
                }
                continue;
            }
            gather(now, memory);
        }
        behind = false;
    }

    private void gather(TrackSnapshot now, TranslationMemory memory) throws IOException {
        memory.releaseAll(holder(now.track()));
        for (int i = 0; i < now.size(); i++) {
            if (now.state(i).compareTo(State.REVIEWED) >= 0) {
                keep(now, i, memory);
            }
        }
    }

    /** Who holds what is reviewed in a track. */
    private String holder(Track track) {
        return holders.isEmpty() ? String.valueOf(track.id()) : holders + ':' + track.id();
    }

    /** A reviewed segment is held, any other one is not. */
    private void keep(TrackSnapshot now, int index, TranslationMemory memory) throws IOException {
        Segment segment = now.segment(index);
        boolean holds = now.state(index).compareTo(State.REVIEWED) >= 0
                && !now.target(index).isEmpty()
                && !segment.source().isEmpty();
        if (holds) {
            memory.put(
                    holder(now.track()),
                    new MemoryUnit(
                            now.sourceLanguage(index),
                            now.targetLanguage(index),
                            segment.source(),
                            now.target(index),
                            MemoryTransfer.context(now.document().segments(), index, segment.key()),
                            Provenance.of(now.name())));
        } else {
            memory.release(holder(now.track()), segment.key());
        }
    }
}
