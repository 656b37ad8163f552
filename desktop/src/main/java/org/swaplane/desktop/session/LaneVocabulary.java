package org.swaplane.desktop.session;

import java.util.List;
import java.util.function.Consumer;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.terms.TermIndex;

/** The terms of the lane: looked up in the background, and added to while somebody works. */
public final class LaneVocabulary {
    private final LaneSession session;

    LaneVocabulary(LaneSession session) {
        this.session = session;
    }

    /** The terms of a segment's source. */
    public void lookup(TrackSnapshot track, int index, Consumer<List<TermIndex.Found>> found) {
        session.background()
                .read(
                        Strings.text("task.terms"),
                        progress -> session.lane().terms().in(track, index),
                        found,
                        session::failed);
    }

    /** Adds a term for the languages of a segment. */
    public void add(int index, String source, String target, boolean forbidden, Runnable done) {
        if (session.lane().isReadOnly()) {
            session.notify(Notification.Tone.FAILED, Strings.text("lane.read-only"));
            return;
        }
        TrackSnapshot track = session.snapshot();
        session.background()
                .run(
                        Strings.text("task.terms"),
                        progress -> {
                            session.lane()
                                    .terms()
                                    .add(
                                            track.sourceLanguage(index),
                                            track.targetLanguage(index),
                                            source,
                                            target,
                                            forbidden);
                            return source;
                        },
                        added -> {
                            session.notify(Notification.Tone.DONE, Strings.text("terms.added", source));
                            session.checking().profileChanged();
                            done.run();
                        });
    }
}
