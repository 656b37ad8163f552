package org.swaplane.desktop.session;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.ReturnImport;
import org.swaplane.lane.SendRequest;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Trip;
import org.swaplane.lane.TripLog;
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

    /** Who got copies in this lane so far, the last one first. */
    public List<String> people() {
        List<Trip> all = session.lane().trips().all();
        return IntStream.range(0, all.size())
                .mapToObj(i -> all.get(all.size() - 1 - i).person())
                .distinct()
                .toList();
    }

    /** Writes copies of the tracks that are chosen, as they stand now. */
    public void send(SendRequest request) {
        List<Track> of = chosen();
        session.background()
                .run(Strings.text("task.send", of.get(0).name()), progress -> send(of, request, progress), sent -> {
                    choose(List.of());
                    Path first = sent.get(0).file();
                    session.written(Strings.text("exchange.sent", sent.size(), first.toString()), first);
                });
    }

    private List<CopyExport.Sent> send(List<Track> tracks, SendRequest request, Progress progress) throws IOException {
        List<TrackSnapshot> now = new ArrayList<>();
        for (Track track : tracks) {
            progress.checkCancelled();
            now.add(track == session.track() && session.snapshot() != null ? session.snapshot() : track.now());
        }
        return new CopyExport(session.lane()).send(now, request, progress);
    }

    /** Writes the list of all trips and what happened to them, and opens it. */
    public void report(FileOpener opener) {
        session.background()
                .run(Strings.text("task.report"), progress -> new TripLog(session.lane()).write(), opener::open);
    }

    /** Remembers that the recipient of a copy was reminded. */
    public void reminded(Trip trip) {
        session.lane().trips().reminded(trip).whenComplete(session::sayFailure);
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
