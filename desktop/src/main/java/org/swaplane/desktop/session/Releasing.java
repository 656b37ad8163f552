package org.swaplane.desktop.session;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.Delivery;
import org.swaplane.lane.ProofStore;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.release.FileNaming;
import org.swaplane.release.Gate;
import org.swaplane.task.Progress;

/** The gate of the track that is shown, and what was released of it. */
public final class Releasing {
    private final LaneSession session;
    private final ReadOnlyObjectWrapper<Gate> gate = new ReadOnlyObjectWrapper<>();
    /** What the view says besides the gate; null until it is read. */
    private final ReadOnlyObjectWrapper<Outlook> outlook = new ReadOnlyObjectWrapper<>();

    private boolean asking;
    private boolean askAgain;

    /**
     * What a release would write, and what was released.
     *
     * @param file path of the result
     */
    public record Outlook(Path file, List<ProofStore.Receipt> receipts) {}

    /** Both are read in one go. */
    private record Read(Gate gate, Outlook outlook) {}

    Releasing(LaneSession session) {
        this.session = session;
    }

    /** Null until it is asked for the first time. */
    public ReadOnlyObjectProperty<Gate> gateProperty() {
        return gate.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Outlook> outlookProperty() {
        return outlook.getReadOnlyProperty();
    }

    private Delivery delivery() {
        return new Delivery(session.lane(), session.checking().checks());
    }

    void chosen() {
        gate.set(null);
        outlook.set(null);
    }

    void released(Track track) {
        if (track == session.track()) {
            refresh();
        }
    }

    /** Asks the gate about the track as it is now; while it is asked already, once more after that. */
    public void refresh() {
        TrackSnapshot of = session.snapshot();
        if (of == null) {
            return;
        }
        if (asking) {
            askAgain = true;
            return;
        }
        asking = true;
        Delivery delivery = delivery();
        session.background()
                .read(
                        Strings.text("task.gate", of.name()),
                        progress -> new Read(
                                delivery.gate(of, progress),
                                new Outlook(
                                        delivery.target(of.track()),
                                        session.lane().proofs().receipts(of.track()))),
                        read -> {
                            if (session.track() == of.track()) {
                                outlook.set(read.outlook());
                                gate.set(read.gate());
                            }
                            asked();
                        },
                        failure -> {
                            session.failed(failure);
                            asked();
                        });
    }

    private void asked() {
        asking = false;
        if (askAgain) {
            askAgain = false;
            refresh();
        }
    }

    /** The pattern that names of results are made by. */
    public String naming() {
        return session.lane().settings().naming().pattern();
    }

    /** Sets the pattern of names, unless it gives none, which is said then. */
    public void setNaming(String pattern) {
        Track of = session.track();
        Delivery delivery = delivery();
        session.background()
                .run(
                        Strings.text("task.naming"),
                        progress -> {
                            delivery.setNaming(of, new FileNaming(pattern));
                            return of;
                        },
                        done -> refresh());
    }

    public void release(String overrideReason) {
        TrackSnapshot of = session.snapshot();
        Delivery delivery = delivery();
        session.background()
                .run(
                        Strings.text("task.release", of.name()),
                        progress -> delivery.release(of, delivery.gate(of, progress), overrideReason, progress),
                        receipt -> session.written(
                                Strings.text("release.done", receipt.file()),
                                session.lane().folder().resolve("out").resolve(receipt.file())));
    }

    /** Releases all of these whose conditions are met, and says which are not. */
    public void releaseAll(List<Track> tracks) {
        Delivery delivery = delivery();
        session.background()
                .run(Strings.text("task.release-all"), progress -> released(tracks, delivery, progress), held -> {
                    int released = tracks.size() - held.size();
                    session.notify(
                            held.isEmpty() ? Notification.Tone.DONE : Notification.Tone.FAILED,
                            held.isEmpty()
                                    ? Strings.text("release.done-all", released)
                                    : Strings.text(
                                            "release.held-back", released, held.size(), Strings.few(held, ", ")));
                });
    }

    /** The names of those that were not released. */
    private static List<String> released(List<Track> tracks, Delivery delivery, Progress progress) throws IOException {
        List<String> held = new ArrayList<>();
        int at = 0;
        for (Track track : tracks) {
            progress.checkCancelled();
            progress.at(at++, tracks.size());
            TrackSnapshot now = track.now();
            Gate conditions = delivery.gate(now, Progress.NONE);
            if (conditions.holds()) {
                delivery.release(now, conditions, "", Progress.NONE);
            } else {
                held.add(Strings.text(
                        "track.in-language", track.name(), track.summary().targetLanguage()));
            }
        }
        return held;
    }

    /** Writes the file as it stands now into the lane's folder {@code preview}, and opens it. */
    public void openTarget(FileOpener opener) {
        TrackSnapshot of = session.snapshot();
        Delivery delivery = delivery();
        session.background()
                .run(Strings.text("task.write", of.name()), progress -> delivery.preview(of, progress), written -> {
                    opener.open(written);
                    session.notify(Notification.Tone.DONE, Strings.text("reading.opened", written.toString()));
                });
    }
}
