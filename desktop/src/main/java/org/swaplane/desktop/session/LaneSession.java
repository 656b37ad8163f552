package org.swaplane.desktop.session;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.Directions;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneListener;
import org.swaplane.lane.Step;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Trip;
import org.swaplane.speech.Voice;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Closing;

/**
 * The open lane as all views share it: which track is shown, how it stands, and where in it somebody is. Lives on the window's thread;
 * whatever touches a file or the database goes to {@link Background} or the lane's writer.
 */
public final class LaneSession {
    private final Lane lane;
    private final PersonSettings person;
    private final Background background;
    /** Runs what belongs to the window's thread, as long as the lane is open. */
    private final Executor window;

    private final SessionClosing closing;
    private final LaneEvents events;
    private final ReadOnlyObjectWrapper<Notification> message = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Track> track = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<TrackSnapshot> snapshot = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<ViewId> view = new SimpleObjectProperty<>(ViewId.BOARD);
    private final IntegerProperty current = new SimpleIntegerProperty(0);
    private final List<Consumer<Set<Topic>>> listeners = new CopyOnWriteArrayList<>();
    private final Set<Topic> changed = EnumSet.noneOf(Topic.class);
    private final WorkTime workTime;
    private final Editing editing;
    private final SourceUpdates sourceUpdates;
    private final Memories memories;
    private final LaneVocabulary vocabulary;
    private final ObjectProperty<SegmentSelection> selection = new SimpleObjectProperty<>();
    private final Drafts drafts;
    private final Annotations annotations;
    private final FindReplace findReplace;
    private final Speech speech;
    private final ReferenceLibrary library;
    private final StringProperty sought = new SimpleStringProperty("");
    private Optional<List<Integer>> listed = Optional.empty();
    private final Intakes intakes;
    private final Exchange exchange;
    private final DryRuns dryRuns;
    private final Checking checking;
    private final Releasing releasing;
    private final DeskWork deskWork;
    private final JobReporting jobReporting;
    private final Evaluating evaluating;
    private final Saving saving;
    private final Removal removal;
    /** As the lane's writer said last; what is shown is this with everything over it that is not written yet. */
    private TrackSnapshot confirmed;

    /** The segment at which the track begins that is being read. */
    private int begin;

    private boolean telling;

    public LaneSession(Lane lane) {
        this(lane, PersonSettings.none());
    }

    /** What the person chose is for a lane that is still empty. */
    public LaneSession(Lane lane, PersonSettings person) {
        this(lane, person, Platform::runLater);
    }

    /** {@code window} runs what belongs to the window's thread, which is the one that calls. */
    public LaneSession(Lane lane, PersonSettings person, Executor window) {
        this.lane = lane;
        this.person = person;
        this.closing = new SessionClosing(this, window);
        this.window = closing.whileOpen();
        this.background = new Background(this.window, this::failed);
        this.workTime = new WorkTime(this);
        this.editing = new Editing(this, this.window);
        this.sourceUpdates = new SourceUpdates(this);
        this.memories = new Memories(this);
        this.vocabulary = new LaneVocabulary(this);
        this.drafts = new Drafts(this);
        this.annotations = new Annotations(this);
        this.findReplace = new FindReplace(this);
        this.speech = new Speech(this, Voice.ofThisComputer());
        this.library = new ReferenceLibrary(this);
        this.intakes = new Intakes(this, person);
        this.exchange = new Exchange(this);
        this.dryRuns = new DryRuns(this);
        this.checking = new Checking(this, this.window);
        this.releasing = new Releasing(this);
        this.deskWork = new DeskWork(this);
        this.jobReporting = new JobReporting(this);
        this.evaluating = new Evaluating(this);
        this.saving = new Saving(this);
        this.removal = new Removal(this);
        this.events = new LaneEvents(this.window, new Listener(), this::tell);
        lane.writer().listen(events);
        current.addListener((property, before, now) -> editing.entered());
        if (!lane.tracks().isEmpty()) {
            choose(lane.tracks().get(0));
        }
    }

    /** Follows what happens in the lane. */
    private final class Listener implements LaneListener {
        @Override
        public void stepped(TrackSnapshot now, Step step) {
            confirm(now);
            jobReporting.outdate();
            changed.add(Topic.TRACKS);
        }

        @Override
        public void reread(TrackSnapshot now) {
            if (now.track() == track.get()) {
                rereadShown(now);
            }
            changed.add(Topic.TRACKS);
        }

        @Override
        public void added(Track added) {
            changed.add(Topic.TRACKS);
        }

        @Override
        public void planned(Track track) {
            changed.add(Topic.TRACKS);
        }

        @Override
        public void noted(Track noted) {
            if (noted == track.get()) {
                annotations.load();
                evaluating.load();
            }
        }

        @Override
        public void tripChanged(Trip trip) {
            jobReporting.outdate();
            changed.add(Topic.TRIPS);
        }

        @Override
        public void proven(Track proven) {
            dryRuns.proven(proven);
            changed.add(Topic.PROOFS);
        }

        @Override
        public void released(Track released) {
            jobReporting.outdate();
            changed.add(Topic.RELEASES);
        }

        @Override
        public void settingChanged(String key) {
            changed.add(Topic.SETTINGS);
        }
    }

    /** Calls whoever wants to know, with what changed since the last time. */
    public void onChange(Consumer<Set<Topic>> listener) {
        listeners.add(listener);
    }

    /** Something changed that the lane does not know of. */
    void changed(Topic topic) {
        changed.add(topic);
        tell();
    }

    /** Several changes in a row are told once, when the window comes to it. */
    private void tell() {
        if (!changed.isEmpty() && !telling) {
            telling = true;
            window.execute(this::tellNow);
        }
    }

    private void tellNow() {
        telling = false;
        if (!changed.isEmpty()) {
            Set<Topic> now = EnumSet.copyOf(changed);
            changed.clear();
            listeners.forEach(listener -> listener.accept(now));
        }
    }

    private void confirm(TrackSnapshot now) {
        if (now.track() == track.get()) {
            confirmed = now;
            showSnapshot();
        }
    }

    /** Where somebody is stays the same segment, as far as there is one. */
    private void rereadShown(TrackSnapshot now) {
        String key = snapshot.get() == null || current.get() >= snapshot.get().size()
                ? ""
                : snapshot.get().segment(current.get()).key();
        confirmed = now;
        snapshot.set(editing.over(now));
        current.set(now.index(key).orElse(Math.max(0, Math.min(current.get(), now.size() - 1))));
        annotations.load();
        changed.add(Topic.TRACK);
    }

    /** Shows what is confirmed, with all that is not written yet. */
    void showSnapshot() {
        if (confirmed != null) {
            snapshot.set(editing.over(confirmed));
            changed.add(Topic.SEGMENTS);
        }
    }

    public Lane lane() {
        return lane;
    }

    /** What people do with segments. */
    /** Positions of the segments that Review lists; empty where it lists all. */
    public Optional<List<Integer>> listed() {
        return listed;
    }

    public void setListed(Optional<List<Integer>> positions) {
        listed = positions;
    }

    /** Versions of sources that are compared. */
    /** Words that somebody selected to be searched for in all that is known. */
    public StringProperty soughtProperty() {
        return sought;
    }

    public LaneVocabulary vocabulary() {
        return vocabulary;
    }

    public ReferenceLibrary library() {
        return library;
    }

    /** Reading aloud and dictation. */
    public Speech speech() {
        return speech;
    }

    /** Does something on the window's thread, soon. */
    void inWindow(Runnable work) {
        window.execute(work);
    }

    /** Notes and bookmarks of people here. */
    public Annotations annotations() {
        return annotations;
    }

    public FindReplace findReplace() {
        return findReplace;
    }

    public Drafts drafts() {
        return drafts;
    }

    public Memories memories() {
        return memories;
    }

    public SourceUpdates sourceUpdates() {
        return sourceUpdates;
    }

    /** How long the person works. */
    public WorkTime workTime() {
        return workTime;
    }

    public Editing editing() {
        return editing;
    }

    /** What the checks find, and what people do about it. */
    public Checking checking() {
        return checking;
    }

    /** Copies out, copies back. */
    public Exchange exchange() {
        return exchange;
    }

    /** Dry runs of the tracks. */
    public DryRuns dryRuns() {
        return dryRuns;
    }

    /** The gate, and what is released. */
    public DeskWork deskWork() {
        return deskWork;
    }

    public Releasing releasing() {
        return releasing;
    }

    /** What the job took, how good it is, what it costs. */
    public JobReporting jobReporting() {
        return jobReporting;
    }

    /** The errors that people mark. */
    public Evaluating evaluating() {
        return evaluating;
    }

    /** Writes files to places outside the lane. */
    public Saving saving() {
        return saving;
    }

    /** Takes tracks off the board. */
    public Removal removal() {
        return removal;
    }

    /** What holds for the person in all lanes. */
    public PersonSettings person() {
        return person;
    }

    public void set(LaneDetail detail, String value) {
        lane.settings().set(detail, value).whenComplete(this::sayFailure);
    }

    /** Lets the default hold again. */
    public void reset(LaneDetail detail) {
        lane.settings().reset(detail).whenComplete(this::sayFailure);
    }

    /** Sets until when tracks are to be delivered. */
    public void setDue(Collection<Track> tracks, Optional<LocalDate> due) {
        lane.trackStore().setDue(tracks, due).whenComplete(this::sayFailure);
    }

    /** What arrives, and waits to be accepted. */
    public Intakes intakes() {
        return intakes;
    }

    public Background background() {
        return background;
    }

    public ReadOnlyObjectProperty<Notification> messageProperty() {
        return message.getReadOnlyProperty();
    }

    public ObjectProperty<ViewId> viewProperty() {
        return view;
    }

    /** The track that the views show; null in an empty lane. */
    public ReadOnlyObjectProperty<Track> trackProperty() {
        return track.getReadOnlyProperty();
    }

    public Track track() {
        return track.get();
    }

    /** How the track stands, as it is shown; null until its file is read. */
    public TrackSnapshot snapshot() {
        return snapshot.get();
    }

    /** Whether there is a segment to work at. */
    public boolean hasSegments() {
        return snapshot.get() != null && snapshot.get().size() > 0;
    }

    /** In which direction the file says that the texts of a segment run. */
    public Directions directions(int index) {
        return snapshot().segment(index).about().directions();
    }

    /** Index of the segment that is open. */
    public IntegerProperty currentProperty() {
        return current;
    }

    public void notify(Notification.Tone tone, String text) {
        message.set(new Notification(tone, text));
    }

    /** Says that a file was written, with a way to it. */
    public void written(String text, Path file) {
        message.set(new Notification(Notification.Tone.DONE, text, Optional.of(file)));
    }

    public void dismissMessage() {
        message.set(null);
    }

    /** Says what went wrong. */
    public void failed(Throwable failure) {
        message.set(Notification.of(failure));
    }

    /** Says what kept a change from being written; to be called when its future is done, on any thread. */
    void sayFailure(Object result, Throwable failure) {
        if (failure != null) {
            Throwable cause = failure.getCause() == null ? failure : failure.getCause();
            window.execute(() -> failed(cause));
        }
    }

    /** Shows a track at one of its segments. */
    public void choose(Track chosen, int index) {
        begin = Math.max(0, index);
        choose(chosen);
    }

    private void beginAt() {
        current.set(Math.min(begin, Math.max(0, snapshot().size() - 1)));
        begin = 0;
    }

    /** The segments that Review is narrowed down to; null for all. */
    public ObjectProperty<SegmentSelection> selectionProperty() {
        return selection;
    }

    /** Shows in Review the segments of a track that a figure was counted from. */
    public void show(SegmentSelection meant) {
        selection.set(meant);
        if (track.get() != meant.track()) {
            choose(meant.track());
        }
        view.set(ViewId.REVIEW);
    }

    /** Shows a track; its file is read first where that was not done yet. */
    public void choose(Track chosen) {
        editing.left();
        track.set(chosen);
        confirmed = null;
        snapshot.set(null);
        current.set(0);
        dryRuns.chosen();
        checking.chosen();
        Optional<TrackSnapshot> loaded = chosen.loaded();
        if (loaded.isPresent()) {
            loaded(chosen, loaded.get());
        } else {
            background.read(
                    Strings.text("task.read", chosen.name()),
                    chosen::now,
                    read -> loaded(chosen, chosen.loaded().orElse(read)),
                    failure -> unreadable(chosen, failure));
        }
        changed(Topic.TRACK);
    }

    private void loaded(Track of, TrackSnapshot read) {
        if (track.get() == of && confirmed == null) {
            confirmed = read;
            snapshot.set(editing.over(read));
            if (begin > 0) {
                beginAt();
            }
            editing.entered();
            checking.loaded();
            annotations.load();
            evaluating.load();
            changed(Topic.TRACK);
        }
    }

    private void unreadable(Track of, Throwable failure) {
        if (track.get() == of) {
            changed(Topic.TRACK);
        }
        if (!(failure instanceof CannotProceedException)) {
            failed(failure);
        }
    }

    /** False once it is closed; what comes late must not ask the lane any more. */
    public boolean isOpen() {
        return closing.isOpen();
    }

    /**
     * Ends the work in order; call it on the window's thread. Starts nothing new, stops running work and waits for it, writes what was typed,
     * and closes everything. Another program can open the lane when the future is done; it fails with what failed first.
     */
    public CompletableFuture<Void> close() {
        return closing.begin();
    }

    /** The same for the window's thread when there is no window any more: on return everything is closed. */
    public void closeAndWait() {
        closing.finish();
    }

    /** Writes down where the person was, before the end. */
    void leave() {
        editing.left();
        workTime.left();
    }

    /** Closes everything; nobody works here any more. Not for the window's thread, since it waits for the disk. */
    void closeParts() {
        Closing.inOrder(
                () -> lane.writer().forget(events), drafts::close, checking::close, releasing::close, lane::close);
    }
}
