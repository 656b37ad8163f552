package org.swaplane.desktop.session;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.NewFile;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;

/** Writes tracks to places outside the lane, and knows which of them have edits since. */
public final class Saving {
    private final LaneSession session;
    private final Map<Track, Integer> saved = new HashMap<>();

    Saving(LaneSession session) {
        this.session = session;
    }

    /** Writes the track as it is shown. */
    public void save(Path file) {
        TrackSnapshot of = session.snapshot();
        session.background()
                .run(
                        Strings.text("task.write", file.getFileName().toString()),
                        progress -> {
                            NewFile.write(file, true, out -> of.write(out, progress));
                            return file;
                        },
                        written -> {
                            saved.put(of.track(), of.edits().hashCode());
                            session.written(Strings.text("apart.saved", written), written);
                        });
    }

    /** Whether all edits of a track stand in a file that was saved; one that was never read has none. */
    public boolean isSaved(Track track) {
        return track.loaded()
                .map(now -> now.edits().isEmpty()
                        || Integer.valueOf(now.edits().hashCode()).equals(saved.get(track)))
                .orElse(true);
    }
}
