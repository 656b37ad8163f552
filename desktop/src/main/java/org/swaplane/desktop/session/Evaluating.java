package org.swaplane.desktop.session;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Evaluation;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.QualityError;
import org.swaplane.lane.QualityStore;
import org.swaplane.lane.Track;
import org.swaplane.quality.Judgement;
import org.swaplane.quality.QualityScheme;

/** The errors that people mark, and the evaluation that they belong to. Lives on the window's thread. */
public final class Evaluating {
    /**
     * What is known of the track in hand.
     *
     * @param preferences keys of segments whose change corrects no error
     */
    public record State(
            Optional<Evaluation> evaluation,
            QualityScheme scheme,
            Map<String, List<QualityError>> errors,
            Set<String> preferences) {
        private static final State NONE = new State(Optional.empty(), QualityScheme.MQM, Map.of(), Set.of());

        /** Whether Review hides where texts come from. */
        public boolean isBlind() {
            return evaluation.filter(Evaluation::blind).isPresent();
        }
    }

    private final LaneSession session;
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(State.NONE);

    Evaluating(LaneSession session) {
        this.session = session;
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** Errors at a segment of the track in hand. */
    public List<QualityError> errors(String key) {
        return state.get().errors().getOrDefault(key, List.of());
    }

    /** Reads what is known of the track in hand. */
    public void load() {
        Track track = session.track();
        if (track == null) {
            state.set(State.NONE);
            return;
        }
        QualityStore store = session.lane().quality();
        session.background()
                .read(
                        Strings.text("task.errors"),
                        progress -> {
                            Optional<Evaluation> open = store.open();
                            return new State(
                                    open,
                                    open.map(Evaluation::scheme).orElseGet(store::scheme),
                                    store.errors(track).stream().collect(Collectors.groupingBy(QualityError::key)),
                                    open.map(each -> preferences(each, track)).orElse(Set.of()));
                        },
                        read -> {
                            if (session.track() == track && !read.equals(state.get())) {
                                state.set(read);
                                session.changed(Topic.NOTES);
                            }
                        },
                        session::failed);
    }

    private Set<String> preferences(Evaluation open, Track track) {
        return session.lane().quality().preferences(open).stream()
                .filter(each -> each.track() == track.id())
                .map(QualityStore.Drawn::key)
                .collect(Collectors.toSet());
    }

    /** Says that what was changed at a segment of the track in hand corrects no error. */
    public void prefer(String key) {
        session.jobReporting()
                .after(session.lane()
                        .quality()
                        .prefer(session.track(), key, session.lane().tracks()));
    }

    /** Marks a part of a segment of the track in hand. */
    public void mark(
            String key,
            boolean inSource,
            int start,
            int end,
            String marked,
            Judgement judgement,
            String comment,
            String correction) {
        session.jobReporting()
                .after(session.lane()
                        .quality()
                        .mark(
                                new QualityStore.Place(session.track(), key, inSource, start, end, marked),
                                judgement,
                                comment,
                                correction,
                                session.lane().tracks()));
    }

    public void remove(QualityError error) {
        session.jobReporting().after(session.lane().quality().remove(error, track(error)));
    }

    private Track track(QualityError error) {
        return session.lane().track(error.track());
    }

    /** Begins an evaluation; the one that goes on is closed first. */
    public void begin(String name, List<Track> tracks, long sampleWords, long seed, boolean blind) {
        session.background()
                .run(
                        Strings.text("task.evaluation"),
                        progress -> {
                            closeOpen();
                            return LaneWriter.await(
                                    session.lane().quality().begin(name, tracks, sampleWords, seed, blind));
                        },
                        begun -> changed());
    }

    /** Settles the score of the evaluation that goes on. */
    public void close() {
        session.background()
                .run(
                        Strings.text("task.evaluation"),
                        progress -> {
                            closeOpen();
                            return true;
                        },
                        done -> changed());
    }

    private void closeOpen() {
        QualityStore store = session.lane().quality();
        store.open()
                .ifPresent(open ->
                        LaneWriter.await(store.close(open, session.lane().tracks())));
    }

    private void changed() {
        load();
        session.jobReporting().outdate();
        session.jobReporting().refresh();
    }

    /** Notes what the translator says; {@code who} is empty for the person of the lane. */
    public void answer(QualityError error, QualityError.Answer answer, String reason, String who) {
        session.jobReporting()
                .after(session.lane()
                        .quality()
                        .answer(
                                error,
                                answer,
                                reason,
                                who.isEmpty() ? session.editing().person() : who,
                                track(error)));
    }

    public void decide(QualityError error, QualityError.Decision decision) {
        session.jobReporting().after(session.lane().quality().decide(error, decision, track(error)));
    }

    /** Shows the sample in Review, in the track in hand where it has some of it. */
    public void showSample() {
        Track inHand = session.track();
        session.background()
                .read(
                        Strings.text("task.evaluation"),
                        progress -> {
                            QualityStore store = session.lane().quality();
                            return store.open().map(store::drawn).orElse(List.of());
                        },
                        drawn -> {
                            Map<Long, List<QualityStore.Drawn>> byTrack =
                                    drawn.stream().collect(Collectors.groupingBy(QualityStore.Drawn::track));
                            session.lane().tracks().stream()
                                    .filter(track -> byTrack.containsKey(track.id()))
                                    .min(Comparator.comparing(track -> track == inHand ? 0 : 1))
                                    .ifPresent(track -> session.show(new SegmentSelection(
                                            track,
                                            byTrack.get(track.id()).stream()
                                                    .map(QualityStore.Drawn::key)
                                                    .collect(Collectors.toSet()),
                                            Strings.text("quality.sample"))));
                        },
                        session::failed);
    }
}
