package org.swaplane.desktop.session;

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

/** Copies that go out, and the one that came back and is looked at. */
public final class Exchange {
    private final LaneSession session;
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
        return session.lane().trips().of(track).stream()
                .filter(trip -> trip.back().isEmpty())
                .toList();
    }

    /** Writes a copy of the track as it is shown. */
    public void send(String person, Purpose purpose, CopyExport.Form form) {
        TrackSnapshot of = session.snapshot();
        session.background()
                .run(
                        Strings.say("task.send", of.name()),
                        progress -> new CopyExport(session.lane()).send(of, person, purpose, form, progress),
                        sent -> session.notify(
                                Notification.Tone.DONE,
                                Strings.say("exchange.sent", sent.file().toString())));
    }

    /** Takes these rows of the copy that came back, in one step. */
    public void take(Set<Integer> rows) {
        ReturnImport.Recognised copy = returned.get();
        session.editing().endStep();
        session.background()
                .run(
                        Strings.say("task.take", copy.trip().person()),
                        progress -> new ReturnImport(session.lane()).take(copy, rows),
                        this::taken);
    }

    private void taken(ReturnImport.Taken taken) {
        returned.set(null);
        int done = taken.step().map(step -> step.changes().size()).orElse(0);
        if (taken.conflicts().isEmpty()) {
            session.notify(
                    Notification.Tone.DONE,
                    Strings.say("exchange.taken", done, taken.report().toString()));
        } else {
            session.notify(
                    Notification.Tone.FAILED,
                    Strings.say(
                            "exchange.taken-conflicts",
                            done,
                            taken.conflicts().size(),
                            taken.report().toString()));
        }
    }

    public void leave() {
        returned.set(null);
    }
}
