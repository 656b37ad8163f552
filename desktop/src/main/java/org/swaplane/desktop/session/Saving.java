package org.swaplane.desktop.session;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.NewFile;
import org.swaplane.lane.Track;

/** Writes tracks to places outside the lane, and knows which of them have edits since. */
public final class Saving {
    private final LaneSession session;
    private final Map<Long, Integer> saved = new HashMap<>();

    Saving(LaneSession session) {
        this.session = session;
    }

    /** Writes the track in hand as it stands now. */
    public void save(Path file) {
        Track of = session.track();
        of.endTyping();
        int edits = of.edits().hashCode();
        session.background()
                .run(
                        Strings.say("task.write", file.getFileName().toString()),
                        progress -> {
                            NewFile.write(file, true, out -> of.write(out, progress));
                            return file;
                        },
                        written -> {
                            saved.put(of.id(), edits);
                            session.say(Message.Tone.DONE, Strings.say("apart.saved", written));
                        });
    }

    /** Whether all edits of a track stand in a file that was saved. */
    public boolean isSaved(Track track) {
        return track.edits().isEmpty()
                || Integer.valueOf(track.edits().hashCode()).equals(saved.get(track.id()));
    }
}
