package org.swaplane.desktop.session;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.swaplane.desktop.text.Strings;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.CopyPackage;
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

    /**
     * Writes copies of the tracks that are chosen, as they stand now.
     *
     * @param packed whether each person gets a package with terms and reference files as well
     */
    public void send(SendRequest request, boolean packed) {
        List<Track> of = chosen();
        session.background()
                .run(
                        Strings.text("task.send", of.get(0).name()),
                        progress -> send(of, request, packed, progress),
                        sent -> {
                            choose(List.of());
                            Path first = sent.get(0).file();
                            session.written(Strings.text("exchange.sent", sent.size(), first.toString()), first);
                        });
    }

    private List<CopyExport.Sent> send(List<Track> tracks, SendRequest request, boolean packed, Progress progress)
            throws IOException {
        List<TrackSnapshot> now = new ArrayList<>();
        for (Track track : tracks) {
            progress.checkCancelled();
            now.add(track == session.track() && session.snapshot() != null ? session.snapshot() : track.now());
        }
        List<CopyExport.Sent> sent = new CopyExport(session.lane()).send(now, request, progress);
        if (packed) {
            for (List<CopyExport.Sent> own : sent.stream()
                    .collect(Collectors.groupingBy(each -> each.trip().person()))
                    .values()) {
                new CopyPackage(session.lane()).write(own, request, progress);
            }
        }
        return sent;
    }

    /** Writes the list of all trips and what happened to them, and opens it. */
    public void report(FileOpener opener) {
        session.background()
                .run(Strings.text("task.report"), progress -> new TripLog(session.lane()).write(), opener::open);
    }

    /** Opens the person's mail program with a text about a copy; the copy is attached by hand, and nothing is sent from here. */
    public void mail(Trip trip, FileOpener opener) {
        String file = session.lane().track(trip.track()).name();
        String due = trip.due().map(LocalDate::toString).orElse("–");
        opener.open(URI.create("mailto:?subject=" + encoded(Strings.text("exchange.mail.subject", file)) + "&body="
                + encoded(Strings.text("exchange.mail.body", trip.person(), trip.sentName(), due))));
    }

    /** As addresses want it (RFC 6068), with %20 for a space. */
    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
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
