package org.swaplane.desktop.session;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.swaplane.content.Content;
import org.swaplane.desktop.text.Strings;
import org.swaplane.exchange.DueTime;
import org.swaplane.exchange.Rate;
import org.swaplane.exchange.RowSelection;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.CopyPackage;
import org.swaplane.lane.ReturnImport;
import org.swaplane.lane.SendRequest;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Trip;
import org.swaplane.lane.TripLog;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Copies that go out, and the one that came back and is looked at. */
public final class Exchange {
    private final LaneSession session;
    private List<Track> chosen = List.of();
    private final ReadOnlyObjectWrapper<ReturnImport.Recognised> returned = new ReadOnlyObjectWrapper<>();

    private final ReadOnlyObjectWrapper<Map<Integer, List<ReturnImport.OtherAnswer>>> others =
            new ReadOnlyObjectWrapper<>(Map.of());

    Exchange(LaneSession session) {
        this.session = session;
    }

    /** The copy that came back; null when none is looked at. */
    public ReadOnlyObjectProperty<ReturnImport.Recognised> returnedProperty() {
        return returned.getReadOnlyProperty();
    }

    /** Code of the trip whose return is looked at; empty for none. */
    String comparedTrip() {
        return returned.get() == null ? "" : returned.get().trip().code();
    }

    /** Shows what a copy that came back says. */
    public void show(ReturnImport.Recognised copy) {
        returned.set(copy);
        readOthers(copy);
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

    /** Who got copies in this lane so far, the last one first, and the others of the address book; who works into the language comes first. */
    public List<String> people() {
        List<Trip> all = session.lane().trips().all();
        Stream<String> before = IntStream.range(0, all.size())
                .mapToObj(i -> all.get(all.size() - 1 - i).person());
        return Stream.concat(before, session.person().contacts().stream().map(Contact::name))
                .distinct()
                .sorted(Comparator.comparing(name -> !isOfLanguage(name)))
                .toList();
    }

    private Optional<Contact> contact(String name) {
        return session.person().contacts().stream()
                .filter(contact -> contact.name().equals(name))
                .findFirst();
    }

    /** Whether the address book has somebody who works into one of the languages of the next copies. */
    private boolean isOfLanguage(String name) {
        return contact(name)
                .filter(contact -> chosen().stream()
                        .anyMatch(track -> contact.worksInto(track.summary().targetLanguage())))
                .isPresent();
    }

    /** Which of these people work into other languages than those of the next copies, as the address book says. */
    public List<String> ofOtherLanguages(List<String> names) {
        return names.stream()
                .filter(name -> contact(name)
                        .filter(contact -> !contact.languages().isEmpty())
                        .isPresent())
                .filter(name -> !isOfLanguage(name))
                .toList();
    }

    /** What the address book says that was agreed with these people. */
    public Map<String, Rate> rates(List<String> names) {
        Map<String, Rate> rates = new HashMap<>();
        names.forEach(name ->
                contact(name).flatMap(contact -> Rate.parse(contact.rate())).ifPresent(rate -> rates.put(name, rate)));
        return rates;
    }

    /**
     * Writes copies of the tracks that are chosen, as they stand now.
     *
     * @param packed whether each person gets a package with terms and reference files as well
     */
    public void send(SendRequest request, boolean packed) {
        send(request, packed, false);
    }

    /** The same; {@code sinceLastTrip}: only what was changed after the last copy of each track went out. */
    public void send(SendRequest request, boolean packed, boolean sinceLastTrip) {
        List<Track> of = chosen();
        session.background()
                .run(
                        Strings.text("task.send", of.get(0).name()),
                        progress -> sinceLastTrip
                                ? sendChanged(of, request, packed, progress)
                                : send(of, request, packed, progress),
                        sent -> {
                            choose(List.of());
                            Path first = sent.get(0).file();
                            session.written(Strings.text("exchange.sent", sent.size(), first.toString()), first);
                        });
    }

    /** Keys are those of one file, so each file goes for itself; nothing is sent of one in which nothing changed. */
    private List<CopyExport.Sent> sendChanged(
            List<Track> tracks, SendRequest request, boolean packed, Progress progress) throws IOException {
        List<CopyExport.Sent> sent = new ArrayList<>();
        for (Track track : tracks) {
            Instant last = session.lane().trips().of(track).stream()
                    .map(Trip::sentAt)
                    .max(Comparator.naturalOrder())
                    .orElse(Instant.EPOCH);
            Set<String> keys = track.changedSince(last);
            if (!keys.isEmpty()) {
                RowSelection.Beyond beyond = request.selection().beyond();
                RowSelection changed = request.selection()
                        .with(new RowSelection.Beyond(beyond.locked(), beyond.repeated(), Optional.of(keys)));
                sent.addAll(send(List.of(track), request.of(changed), packed, progress));
            }
        }
        if (sent.isEmpty()) {
            throw new CannotProceedException(tracks.get(0).name(), "problem.nothing-changed");
        }
        return sent;
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
        String due = trip.due().map(DueTime::toString).orElse("–");
        String mail = contact(trip.person()).map(Contact::mail).orElse("");
        opener.open(URI.create("mailto:" + encoded(mail).replace("%40", "@") + "?subject="
                + encoded(Strings.text("exchange.mail.subject", file)) + "&body="
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

    /** Looks again at what came back of a trip, to accept later what was left. */
    public void lookAgain(Trip trip) {
        session.background()
                .run(
                        Strings.text("task.read-back", trip.person()),
                        progress -> new ReturnImport(session.lane()).again(trip, progress),
                        this::show);
    }

    /** What others answered in the segments of the copy that is looked at, by position; empty until it is read. */
    public ReadOnlyObjectProperty<Map<Integer, List<ReturnImport.OtherAnswer>>> othersProperty() {
        return others.getReadOnlyProperty();
    }

    private void readOthers(ReturnImport.Recognised copy) {
        others.set(Map.of());
        session.background()
                .read(
                        Strings.text("task.read-back", copy.trip().person()),
                        progress -> new ReturnImport(session.lane()).others(copy, progress),
                        found -> {
                            if (returned.get() == copy) {
                                others.set(found);
                            }
                        },
                        failure -> session.sayFailure(null, failure));
    }

    /** Writes the file that came back with what stands in the lane now, for whoever sent it. */
    public void answer(Trip trip) {
        session.background()
                .run(
                        Strings.text("task.answer", trip.person()),
                        progress -> {
                            ReturnImport imports = new ReturnImport(session.lane());
                            return imports.answer(imports.again(trip, progress), progress);
                        },
                        file -> session.written(Strings.text("exchange.answered", file.toString()), file));
    }

    /**
     * Takes these rows of the copy that came back, in one step.
     *
     * @param worded what is taken instead of the answer, by number of the row
     */
    public void take(Set<Integer> rows, Map<Integer, Content> worded) {
        ReturnImport.Recognised copy = returned.get();
        session.editing().endStep();
        session.background()
                .run(
                        Strings.text("task.take", copy.trip().person()),
                        progress -> new ReturnImport(session.lane()).take(copy, rows, worded),
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
