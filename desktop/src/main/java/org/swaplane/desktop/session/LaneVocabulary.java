package org.swaplane.desktop.session;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.LaneTerms;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.TrackSummary;
import org.swaplane.terms.Term;
import org.swaplane.terms.TermCandidates;
import org.swaplane.terms.TermIndex;

/** The terms of the lane: looked up in the background, and added to while somebody works. */
public final class LaneVocabulary {
    /** A candidate stands so often in the files. */
    private static final int LEAST = 3;

    private static final int MOST = 300;

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
    public void add(int index, Term term, Runnable done) {
        if (session.lane().isReadOnly()) {
            session.notify(Notification.Tone.FAILED, Strings.text("lane.read-only"));
            return;
        }
        TrackSnapshot track = session.snapshot();
        session.background()
                .run(
                        Strings.text("task.terms"),
                        progress -> {
                            session.lane().terms().add(track.sourceLanguage(index), track.targetLanguage(index), term);
                            return term;
                        },
                        added -> {
                            session.notify(Notification.Tone.DONE, Strings.text("terms.added", term.source()));
                            session.checking().profileChanged();
                            done.run();
                        });
    }

    /** All terms of the lists in the languages of the file that is worked at. */
    public void all(Consumer<List<LaneTerms.Listed>> known) {
        TrackSummary file = session.track().summary();
        session.background()
                .read(
                        Strings.text("task.terms"),
                        progress -> session.lane().terms().all(file.sourceLanguage(), file.targetLanguage()),
                        known,
                        session::failed);
    }

    /** Words of the lane's files that may be terms and are in no list. */
    public void candidates(Consumer<List<TermCandidates.Candidate>> known) {
        TrackSummary file = session.track().summary();
        session.background()
                .run(
                        Strings.text("task.candidates"),
                        progress -> {
                            List<TrackSnapshot> tracks = new ArrayList<>();
                            for (Track track : session.lane().tracks()) {
                                progress.checkCancelled();
                                if (track.summary().targetLanguage().equals(file.targetLanguage())) {
                                    tracks.add(track.now(progress));
                                }
                            }
                            return session.lane()
                                    .terms()
                                    .candidates(tracks, file.sourceLanguage(), file.targetLanguage(), LEAST, MOST);
                        },
                        known);
    }

    /** Gives a listed term other wordings, or makes one of a candidate; a term without wordings is taken out. */
    public void keep(LaneTerms.Listed listed, Term term, Runnable done) {
        TrackSummary file = session.track().summary();
        session.background()
                .run(
                        Strings.text("task.terms"),
                        progress -> {
                            LaneTerms terms = session.lane().terms();
                            if (listed != null) {
                                terms.change(listed, term, file.targetLanguage());
                            } else {
                                terms.add(file.sourceLanguage(), file.targetLanguage(), term);
                            }
                            return term;
                        },
                        kept -> {
                            boolean removed = term.preferred().isEmpty()
                                    && term.forbidden().isEmpty();
                            session.notify(
                                    Notification.Tone.DONE,
                                    Strings.text(removed ? "terms.removed" : "terms.added", term.source()));
                            session.checking().profileChanged();
                            done.run();
                        });
    }

    /** Writes terms as TBX, a workbook or delimited text, by the extension of the file. */
    public void export(List<Term> terms, Path path) {
        TrackSummary file = session.track().summary();
        session.background()
                .run(
                        Strings.text("task.export"),
                        progress -> {
                            session.lane().terms().export(terms, file.sourceLanguage(), file.targetLanguage(), path);
                            return path;
                        },
                        written -> session.written(Strings.text("terms.exported", written.toString()), written));
    }
}
