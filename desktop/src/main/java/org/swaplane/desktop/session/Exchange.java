package org.swaplane.desktop.session;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.ReturnImport;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Trip;
import org.swaplane.task.Progress;

/** Copies that go out, and the one that came back and is looked at. */
public final class Exchange {
    private final LaneSession session;
    private List<Track> chosen = List.of();
    private final ReadOnlyObjectWrapper<ReturnImport.Recognised> returned = new ReadOnlyObjectWrapper<>();

    Exchange(LaneSession session) {
        this.session = session;
    }

    /** The copy that came back; null when none is looked at. */
    public ReadOnlyObjectProperty<ReturnImport.Recognised> returnedProperty() {
        return returned.getReadOnlyProperty();
    }

    /** Shows what a copy that came back says. */
    public void show(ReturnImport.Recognised copy) {
        returned.set(copy);
        session.viewProperty().set(ViewId.EXCHANGE);
    }

    /** The trips of a track that are away. */
    public List<Trip> away(Track track) {
        return session.lane().trips().of(track).stream().filter(Trip::isAway).toList();
    }

    /** The tracks of which the next copies are made; without any, it is the one that is shown. */
    public List<Track> chosen() {
        return chosen.size() > 1 ? chosen : session.track() == null ? List.of() : List.of(session.track());
    }

    public void choose(List<Track> tracks) {
        chosen = List.copyOf(tracks);
        session.changed(Topic.TRACKS);
    }

    /** Writes a copy of each track that is chosen, as it stands now. */
    public void send(String person, Purpose purpose, CopyExport.Form form) {
        List<Track> of = chosen();
        session.background()
                .run(
                        Strings.text("task.send", of.get(0).name()),
                        progress -> sendAll(of, person, purpose, form, progress),
                        sent -> {
                            choose(List.of());
                            session.notify(
                                    Notification.Tone.DONE,
                                    Strings.text(
                                            "exchange.sent",
                                            sent.size(),
                                            sent.get(0).file().toString()));
                        });
    }

    private List<CopyExport.Sent> sendAll(
            List<Track> tracks, String person, Purpose purpose, CopyExport.Form form, Progress progress)
            throws IOException {
        List<CopyExport.Sent> sent = new ArrayList<>();
        for (Track track : tracks) {
            progress.checkCancelled();
            progress.at(sent.size(), tracks.size());
            TrackSnapshot now =
                    track == session.track() && session.snapshot() != null ? session.snapshot() : track.now();
            sent.add(new CopyExport(session.lane()).send(now, person, purpose, form, progress));
        }
        return sent;
    }

    /** Takes these rows of the copy that came back, in one step. */
    public void take(Set<Integer> rows) {
        ReturnImport.Recognised copy = returned.get();
        session.editing().endStep();
        session.background()
                .run(
                        Strings.text("task.take", copy.trip().person()),
                        progress -> new ReturnImport(session.lane()).take(copy, rows),
                        this::taken);
    }

    private void taken(ReturnImport.Taken taken) {
        returned.set(null);
        int done = taken.step().map(step -> step.changes().size()).orElse(0);
        if (taken.conflicts().isEmpty()) {
            session.notify(
                    Notification.Tone.DONE,
                    Strings.text("exchange.taken", done, taken.report().toString()));
        } else {
            session.notify(
                    Notification.Tone.FAILED,
                    Strings.text(
                            "exchange.taken-conflicts",
                            done,
                            taken.conflicts().size(),
                            taken.report().toString()));
        }
    }

    /** Has a copy not waited for any more. */
    public void withdraw(Trip trip) {
        session.lane().trips().withdraw(trip).whenComplete(session::sayFailure);
    }

    public void leave() {
        returned.set(null);
    }
}
