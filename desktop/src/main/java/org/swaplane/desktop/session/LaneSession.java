package org.swaplane.desktop.session;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.Counts;
import org.swaplane.document.Directions;
import org.swaplane.extension.ExtensionRules;
import org.swaplane.lane.BringBack;
import org.swaplane.lane.Delivery;
import org.swaplane.lane.Lane;
import org.swaplane.lane.ProofStore;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.SendOut;
import org.swaplane.lane.Track;
import org.swaplane.release.FileNaming;
import org.swaplane.release.Gate;
import org.swaplane.task.CannotProceedException;

/** The open lane as all views share it. Lives on the window's thread; long work goes to {@link Background}. */
public final class LaneSession {
    private final Lane lane;
    private final Editing editing = new Editing(this);
    private final Intakes intakes;
    private final ReadOnlyObjectWrapper<Message> message = new ReadOnlyObjectWrapper<>();
    private final Background background = new Background(this::failed);
    private final ReadOnlyObjectWrapper<Track> track = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyLongWrapper revision = new ReadOnlyLongWrapper();
    private final ObjectProperty<ViewId> view = new SimpleObjectProperty<>(ViewId.BOARD);
    private final IntegerProperty inHand = new SimpleIntegerProperty(0);
    private final ReadOnlyObjectWrapper<BringBack.Recognised> returned = new ReadOnlyObjectWrapper<>();
    private final DryRuns dryRuns;
    private final Checking checking;
    private final Saving saving;
    private final ReadOnlyObjectWrapper<Gate> gate = new ReadOnlyObjectWrapper<>();
    private int[] words = new int[0];
    private long gateRevision = -1;
    private boolean open = true;

    /** What is worked out about a track when it is chosen: words of each source, and findings. */
    private record Prepared(int[] words, Checking.Prepared checked) {}

    public LaneSession(Lane lane) {
        this(lane, Defaults.none());
    }

    /** {@code defaults} are for a lane that is still empty. */
    public LaneSession(Lane lane, Defaults defaults) {
        this.lane = lane;
        this.intakes = new Intakes(this, defaults);
        this.dryRuns = new DryRuns(this);
        this.checking = new Checking(this);
        this.saving = new Saving(this);
        if (!lane.tracks().isEmpty()) {
            choose(lane.tracks().get(0));
        }
    }

    public Lane lane() {
        return lane;
    }

    /** What people do with segments. */
    public Editing editing() {
        return editing;
    }

    /** What the checks find, and what people do about it. */
    public Checking checking() {
        return checking;
    }

    /** Writes files to places outside the lane. */
    public Saving saving() {
        return saving;
    }

    /** What arrives, and waits to be accepted. */
    public Intakes intakes() {
        return intakes;
    }

    /** Sets the pattern of names, unless it gives none, which is said then. */
    public void setNaming(String pattern) {
        try {
            delivery().setNaming(track(), new FileNaming(pattern));
        } catch (CannotProceedException e) {
            say(Message.Tone.FAILED, e.getMessage());
        }
        changed();
    }

    /** The pattern that names of results are made by. */
    public String naming() {
        return delivery().naming().pattern();
    }

    /** Shows what a copy that came back says. */
    public void bringBack(BringBack.Recognised copy) {
        returned.set(copy);
        view.set(ViewId.EXCHANGE);
    }

    public Background background() {
        return background;
    }

    public ReadOnlyObjectProperty<Message> messageProperty() {
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

    /** BCP 47 code of the source of a segment, empty when its file does not say. */
    public String sourceLanguage(int index) {
        return track().document().parts().get(track().segment(index).part()).sourceLanguage();
    }

    /** BCP 47 code of the target of a segment, empty when its file does not say. */
    public String targetLanguage(int index) {
        return track().document().parts().get(track().segment(index).part()).targetLanguage();
    }

    /** In which direction the file says that the texts of a segment run. */
    public Directions directions(int index) {
        return track().segment(index).about().directions();
    }

    /** Grows whenever something in the lane changed. */
    public ReadOnlyLongProperty revisionProperty() {
        return revision.getReadOnlyProperty();
    }

    /** Index of the segment in hand. */
    public IntegerProperty inHandProperty() {
        return inHand;
    }

    public ReadOnlyObjectProperty<BringBack.Recognised> returnedProperty() {
        return returned.getReadOnlyProperty();
    }

    /** Dry runs of the tracks. */
    public DryRuns dryRuns() {
        return dryRuns;
    }

    public ReadOnlyObjectProperty<Gate> gateProperty() {
        return gate.getReadOnlyProperty();
    }

    public void say(Message.Tone tone, String text) {
        message.set(new Message(tone, text));
    }

    public void dismissMessage() {
        message.set(null);
    }

    void failed(Throwable failure) {
        String text = failure instanceof CannotProceedException
                ? failure.getMessage()
                : Strings.say("failure.unexpected", String.valueOf(failure));
        say(Message.Tone.FAILED, text);
    }

    /** Tells all views. */
    void changed() {
        revision.set(revision.get() + 1);
    }

    public void choose(Track chosen) {
        track.set(chosen);
        inHand.set(0);
        dryRuns.forget();
        checking.forget();
        words = new int[0];
        check(chosen);
        changed();
    }

    /** Counts the track in hand and checks it anew. */
    void check(Track chosen) {
        background.run(
                Strings.say("task.check", chosen.name()),
                progress -> new Prepared(
                        chosen.document().segments().stream()
                                .mapToInt(
                                        segment -> Counts.words(segment.source().plainText()))
                                .toArray(),
                        checking.prepare(chosen, progress)),
                prepared -> {
                    if (track.get() == chosen) {
                        words = prepared.words();
                        checking.show(prepared.checked());
                        changed();
                    }
                });
    }

    /** Words of the source of a segment, 0 until they are counted. */
    public int words(int index) {
        return index < words.length ? words[index] : 0;
    }

    /** Sets what foreign attributes mean in this lane, and reads everything anew by it. */
    public void setRules(ExtensionRules rules) {
        Optional<Intakes.Intake> waiting = intakes.waiting();
        background.run(
                Strings.say("task.rules"),
                progress -> {
                    lane.setRules(rules, progress);
                    return waiting.map(each -> each.read(lane, any -> true, UnaryOperator.identity(), progress));
                },
                read -> {
                    read.ifPresent(intakes::show);
                    if (track() == null) {
                        changed();
                    } else {
                        choose(lane.track(track().id()));
                    }
                });
    }

    /** Writes the file as it stands now into the lane's folder {@code preview}, and opens it. */
    public void openTarget(FileOpener opener) {
        Track of = track();
        of.endTyping();
        background.run(
                Strings.say("task.write", of.name()), progress -> delivery().preview(of, progress), written -> {
                    opener.open(written);
                    say(Message.Tone.DONE, Strings.say("reading.opened", written.toString()));
                });
    }

    /** Cuts the track otherwise, and goes on at the segment that was in hand. */
    void recut(int inHandAfter, Background.Job<Track> job) {
        track().endTyping();
        background.run(Strings.say("task.recut", track().name()), job, again -> {
            choose(again);
            inHand.set(inHandAfter);
        });
    }

    public void sendOut(String person, Purpose purpose, SendOut.Form form) {
        Track of = track();
        background.run(
                Strings.say("task.send", of.name()),
                progress -> new SendOut(lane).send(of, person, purpose, form, progress),
                sent -> {
                    say(
                            Message.Tone.DONE,
                            Strings.say("exchange.sent", sent.file().toString()));
                    changed();
                });
    }

    /** Takes these rows of the copy that came back, in one step. */
    public void takeReturned(Set<Integer> rows) {
        BringBack.Recognised copy = returned.get();
        try {
            BringBack.Taken taken = new BringBack(lane).take(copy, rows);
            taken.step().ifPresent(step -> checking.again(copy.track(), step.segments()));
            returned.set(null);
            say(
                    Message.Tone.DONE,
                    Strings.say("exchange.taken", rows.size(), taken.report().toString()));
            changed();
        } catch (IOException | CannotProceedException e) {
            failed(e);
        }
    }

    public void leaveReturned() {
        returned.set(null);
    }

    private Delivery delivery() {
        return new Delivery(lane, checking.checks());
    }

    /** Asks the gate again when something changed since. */
    public void refreshGate() {
        if (track() == null || gateRevision == revision.get()) {
            return;
        }
        gateRevision = revision.get();
        Track of = track();
        background.run(
                Strings.say("task.gate", of.name()), progress -> delivery().gate(of, progress), gate::set);
    }

    /** The path that a release would write. */
    public Path releaseTarget() {
        return delivery().target(track());
    }

    public void release(String overrideReason) {
        Track of = track();
        Delivery delivery = delivery();
        background.run(
                Strings.say("task.release", of.name()),
                progress -> delivery.release(of, delivery.gate(of, progress), overrideReason, progress),
                (ProofStore.Receipt receipt) -> {
                    say(Message.Tone.DONE, Strings.say("release.done", receipt.file()));
                    changed();
                });
    }

    /** False once it is closed; what comes late must not ask the lane any more. */
    public boolean isOpen() {
        return open;
    }

    public void close() {
        open = false;
        background.close();
        lane.close();
    }
}
