package org.swaplane.lane;

import static org.swaplane.wording.Wording.text;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.swaplane.check.Finding;
import org.swaplane.document.Note;
import org.swaplane.exchange.CopyRows;
import org.swaplane.exchange.ReviewInstructions;
import org.swaplane.exchange.WordShares;
import org.swaplane.format.NewFile;
import org.swaplane.format.Source;
import org.swaplane.format.WrittenNote;
import org.swaplane.format.xliff12.NewXliff12;
import org.swaplane.format.xliff2.NewXliff2;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewCopyFormat;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** Makes copies of tracks for people and remembers that they went out. */
public final class CopyExport {
    private final Lane lane;

    public CopyExport(Lane lane) {
        this.lane = lane;
    }

    /** A copy that went out, and where it lies. */
    public record Sent(Trip trip, Path file) {}

    /**
     * Writes copies of tracks as they stand in snapshots into the lane's folder {@code sent}: for each person one of all tracks, or one of
     * each track. Nothing is sent of a track of which nothing fits the selection.
     *
     * @throws CannotProceedException when nothing is left to send
     */
    public List<Sent> send(List<TrackSnapshot> tracks, SendRequest request, Progress progress) throws IOException {
        if (!request.form().isReviewCopy()) {
            List<Sent> sent = new ArrayList<>();
            for (TrackSnapshot track : tracks) {
                progress.checkCancelled();
                progress.at(sent.size(), tracks.size());
                sent.add(sendFile(track, request, progress));
            }
            return sent;
        }
        Map<TrackSnapshot, List<List<Integer>>> shares = new LinkedHashMap<>();
        for (TrackSnapshot track : tracks) {
            progress.checkCancelled();
            Set<Integer> found = request.selection().findings() ? withFindings(track) : Set.of();
            List<Integer> chosen = request.selection().of(track.current(), () -> found);
            shares.put(
                    track,
                    WordShares.of(track.document(), chosen, request.people().size()));
        }
        List<Sent> sent = new ArrayList<>();
        for (int i = 0; i < request.people().size(); i++) {
            for (List<TrackSnapshot> group : groups(tracks, request.together())) {
                progress.checkCancelled();
                int person = i;
                Map<TrackSnapshot, List<Integer>> own = new LinkedHashMap<>();
                group.forEach(track -> own.put(track, shares.get(track).get(person)));
                own.values().removeIf(List::isEmpty);
                if (!own.isEmpty()) {
                    sent.addAll(sendCopy(own, request.people().get(i), request));
                }
            }
        }
        if (sent.isEmpty()) {
            throw new CannotProceedException(tracks.get(0).name(), "problem.nothing-selected");
        }
        return sent;
    }

    /** The file itself to the first person. */
    private Sent sendFile(TrackSnapshot track, SendRequest request, Progress progress) throws IOException {
        String name = stem(track.name()) + '_' + word(request.purpose());
        Path file = request.form().equals(SendRequest.Form.XLIFF_12)
                ? writeXliff12(track, name, request)
                : writeBilingual(track, name, request, progress);
        int words = IntStream.range(0, track.size()).map(track::words).sum();
        String code = lane.trips().newCode();
        return new Sent(
                lane.trips()
                        .sent(new TripStore.Sending(
                                code, track.track(), request.people().get(0), request, Source.of(file), words)),
                file);
    }

    /** A copy is in one language; tracks into others go in copies of their own. */
    private static List<List<TrackSnapshot>> groups(List<TrackSnapshot> tracks, boolean together) {
        if (!together) {
            return tracks.stream().map(List::of).toList();
        }
        Map<String, List<TrackSnapshot>> byLanguage = new LinkedHashMap<>();
        tracks.forEach(track -> byLanguage
                .computeIfAbsent(track.size() == 0 ? "" : track.targetLanguage(0), none -> new ArrayList<>())
                .add(track));
        return List.copyOf(byLanguage.values());
    }

    private Set<Integer> withFindings(TrackSnapshot track) throws IOException {
        return lane.references().checks().run(track.current(), Progress.NONE).stream()
                .map(Finding::segment)
                .collect(Collectors.toSet());
    }

    /** Copies that the form's own programs can open; each piece of a long one is a trip of its own. */
    private List<Sent> sendCopy(Map<TrackSnapshot, List<Integer>> tracks, String person, SendRequest request)
            throws IOException {
        ReviewCopyFormat format = lane.copies()
                .byExtension(request.form().id())
                .orElseThrow(() -> new IllegalArgumentException("no form of copies: " + request.form()));
        List<Map<TrackSnapshot, List<Integer>>> pieces = pieces(tracks, format.mostRows());
        List<Sent> sent = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            String number = pieces.size() == 1 ? "" : "_" + (i + 1) + "of" + pieces.size();
            sent.addAll(sendPiece(pieces.get(i), number, person, format, request));
        }
        return sent;
    }

    private static List<Map<TrackSnapshot, List<Integer>>> pieces(Map<TrackSnapshot, List<Integer>> tracks, int most) {
        List<Map<TrackSnapshot, List<Integer>>> pieces = new ArrayList<>(List.of(new LinkedHashMap<>()));
        int room = most;
        for (Map.Entry<TrackSnapshot, List<Integer>> each : tracks.entrySet()) {
            int at = 0;
            while (at < each.getValue().size()) {
                if (room == 0) {
                    pieces.add(new LinkedHashMap<>());
                    room = most;
                }
                int end = Math.min(each.getValue().size(), at + room);
                pieces.get(pieces.size() - 1).put(each.getKey(), each.getValue().subList(at, end));
                room -= end - at;
                at = end;
            }
        }
        return pieces;
    }

    /** What people here noted at segments and is not settled, where it is to go along. */
    private Map<Integer, List<Note>> notes(TrackSnapshot track, SendRequest request) {
        return request.notes() ? lane.notes().open(track) : Map.of();
    }

    private static IntFunction<List<String>> signed(Map<Integer, List<Note>> notes) {
        return index -> notes.getOrDefault(index, List.of()).stream()
                .map(WrittenNote::signed)
                .toList();
    }

    private List<Sent> sendPiece(
            Map<TrackSnapshot, List<Integer>> tracks,
            String number,
            String person,
            ReviewCopyFormat format,
            SendRequest request)
            throws IOException {
        Map<TrackSnapshot, String> codes = new LinkedHashMap<>();
        List<ReviewCopy.Part> parts = new ArrayList<>();
        tracks.forEach((track, indexes) -> {
            codes.put(track, lane.trips().newCode());
            CopyRows.Owner owner =
                    new CopyRows.Owner(lane.settings().id(), track.track().id(), codes.get(track));
            boolean isPart = indexes.size() < track.size();
            parts.add(new CopyRows(track.document(), track::target, signed(notes(track, request)))
                    .part(owner, track.name(), indexes, isPart ? request.context() : 0));
        });
        TrackSnapshot first = tracks.keySet().iterator().next();
        ReviewCopy copy = new ReviewCopy(
                parts.size() == 1 ? first.name() : lane.name(),
                preface(person, request),
                parts.get(0).identity().source(),
                parts.get(0).identity().target(),
                parts);
        String name = (parts.size() == 1 ? stem(first.name()) : lane.name())
                + '_'
                + word(request.purpose())
                + (request.people().size() > 1 ? '_' + person : "");
        Path file = lane.free("sent", safe(name) + number + '.' + format.extension());
        NewFile.write(file, false, out -> format.write(copy, out));
        List<Sent> sent = new ArrayList<>();
        for (Map.Entry<TrackSnapshot, String> each : codes.entrySet()) {
            int words = tracks.get(each.getKey()).stream()
                    .mapToInt(each.getKey()::words)
                    .sum();
            Trip trip = lane.trips()
                    .sent(new TripStore.Sending(
                            each.getValue(), each.getKey().track(), person, request, Source.of(file), words));
            sent.add(new Sent(trip, file));
        }
        return sent;
    }

    private static List<String> preface(String person, SendRequest request) {
        List<String> all = new ArrayList<>();
        all.add(text("copy.recipient", person));
        request.due().ifPresent(due -> all.add(text("copy.due", due.toString())));
        all.addAll(request.instructions());
        all.addAll(ReviewInstructions.of(request.purpose().instructions()));
        return all;
    }

    private static String word(Purpose purpose) {
        return purpose.name().toLowerCase(Locale.ROOT);
    }

    /** A name that every file system takes. */
    private static String safe(String name) {
        return name.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "_").strip();
    }

    /** A bilingual file goes as it stands now; of a document, an XLIFF file is made that is named after it. */
    private Path writeBilingual(TrackSnapshot track, String name, SendRequest request, Progress progress)
            throws IOException {
        String extension = track.name().substring(stem(track.name()).length());
        Path file = lane.free("sent", track.isDocument() ? name + extension + ".xlf" : name + extension);
        Map<Integer, List<Note>> notes = notes(track, request);
        if (track.isDocument()) {
            NewFile.write(file, false, out -> NewXliff2.write(track.current(notes), out));
        } else {
            NewFile.write(file, false, out -> track.write(notes, out, progress));
        }
        return file;
    }

    private Path writeXliff12(TrackSnapshot track, String name, SendRequest request) throws IOException {
        Path file = lane.free(
                "sent", name + track.name().substring(stem(track.name()).length()) + ".xlf");
        NewFile.write(file, false, out -> NewXliff12.write(track.current(notes(track, request)), out));
        return file;
    }

    private static String stem(String name) {
        int dot = name.lastIndexOf('.');
        return dot < 0 ? name : name.substring(0, dot);
    }
}
