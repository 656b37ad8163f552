package org.swaplane.desktop.session;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.swaplane.desktop.text.Strings;
import org.swaplane.extension.ExtensionRules;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.FileOptions;
import org.swaplane.intake.Arrival;
import org.swaplane.intake.Arrivals;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.NewTargets;
import org.swaplane.lane.OtherLanes;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSummary;
import org.swaplane.lane.VersionUpdate;
import org.swaplane.segmentation.SegmentationRules;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

/** What arrives: read, looked at, corrected, and taken in. */
public final class Intakes {
    private final LaneSession session;
    private final PersonSettings defaults;
    private final ReadOnlyObjectWrapper<Intake> intake = new ReadOnlyObjectWrapper<>();

    /** Files that wait to be accepted. */
    public record Intake(List<Arrival> arrivals) {
        public Intake {
            arrivals = List.copyOf(arrivals);
        }

        Intake read(Lane lane, Predicate<Arrival> which, UnaryOperator<FileOptions> change, Progress progress) {
            return new Intake(new Arrivals(lane, FileOptions.NONE).readAgain(arrivals, which, change, progress));
        }
    }

    Intakes(LaneSession session, PersonSettings defaults) {
        this.session = session;
        this.defaults = defaults;
    }

    private Lane lane() {
        return session.lane();
    }

    /** What waits; null when nothing does. */
    public ReadOnlyObjectProperty<Intake> property() {
        return intake.getReadOnlyProperty();
    }

    /** Tells by content what files, folders and zips are, and shows what arrived. */
    public void receive(List<Path> paths) {
        session.background()
                .run(
                        Strings.text("task.read", paths.get(0).getFileName().toString()),
                        progress -> new Arrivals(lane(), otherLanes(), lastLanguages()).read(paths, progress),
                        arrived -> {
                            session.dismissMessage();
                            showArrived(arrived);
                        });
    }

    /** A single copy that came back leads on to it at once. */
    private void showArrived(List<Arrival> arrived) {
        if (arrived.size() == 1 && arrived.get(0).returned().isPresent()) {
            session.exchange().show(arrived.get(0).returned().orElseThrow());
        } else {
            intake.set(arrived.isEmpty() ? null : new Intake(arrived));
            session.viewProperty().set(ViewId.BOARD);
        }
    }

    /** Reads some of the files that wait again, in another way. */
    public void readAgain(Predicate<Arrival> which, UnaryOperator<FileOptions> change) {
        Intake waiting = intake.get();
        session.background()
                .run(
                        Strings.text(
                                "task.read", waiting.arrivals().get(0).source().name()),
                        progress -> waiting.read(lane(), which, change, progress),
                        intake::set);
    }

    /** Only keeps this one of the files that wait, as terms or for reference, whatever it could be. */
    public void keep(Arrival arrival, Arrival.Role role) {
        intake.set(new Intake(intake.get().arrivals().stream()
                .map(each -> each == arrival ? each.keptAs(role) : each)
                .toList()));
    }

    /** Compares a new version with the track that it is of; the file is kept, whatever comes of it. */
    public void compare(Arrival arrival) {
        Track track = arrival.version().orElseThrow().tracks().get(0);
        intake.set(null);
        session.choose(track);
        session.sourceUpdates().look(track, arrival.source());
        session.viewProperty().set(ViewId.COMPARE);
    }

    /** Has a file be one of its own, though it resembles one of the lane. */
    public void asOwnFile(Arrival arrival) {
        intake.set(new Intake(intake.get().arrivals().stream()
                .map(each -> each == arrival ? each.asOwnFile() : each)
                .toList()));
    }

    /** Takes these files in; one that cannot be taken is said, and the others are. */
    public void accept(List<Arrival> accepted) {
        Intake left = intake.get();
        intake.set(null);
        session.background()
                .run(
                        Strings.text("task.take-in", accepted.get(0).source().name()),
                        progress -> takeIn(accepted, progress),
                        taken -> {
                            forget(left, accepted);
                            session.checking().readProfile();
                            say(taken);
                        });
    }

    /**
     * What became of what was accepted.
     *
     * @param tracks that are new, or have a new version
     * @param others files that are kept beside them
     */
    private record TakenIn(List<Track> tracks, int others, List<String> refused) {}

    /** What came in is shown, and what did not is said. */
    private void say(TakenIn taken) {
        List<Track> tracks = taken.tracks();
        if (!tracks.isEmpty()) {
            session.choose(tracks.get(tracks.size() - 1));
        }
        if (taken.refused().isEmpty()) {
            long files = tracks.stream()
                    .map(track -> track.plan().folder() + '/' + track.name())
                    .distinct()
                    .count();
            long languages = tracks.stream()
                    .map(track -> track.summary().targetLanguage())
                    .distinct()
                    .count();
            session.notify(Notification.Tone.DONE, Strings.text("intake.added", files, languages, taken.others()));
        } else {
            session.notify(Notification.Tone.FAILED, Strings.few(taken.refused(), "\n"));
        }
    }

    /** The bytes of what arrived and is not wanted need not be kept. */
    private void forget(Intake left, List<Arrival> accepted) {
        if (left == null) {
            return;
        }
        List<Arrival> unwanted = left.arrivals().stream()
                .filter(each -> accepted.stream().noneMatch(taken -> taken.source() == each.source()))
                .toList();
        session.background()
                .run(
                        Strings.text("task.tidy"),
                        progress -> {
                            for (Arrival each : unwanted) {
                                lane().trackStore().forget(each.source());
                            }
                            return unwanted;
                        },
                        done -> {});
    }

    private TakenIn takeIn(List<Arrival> accepted, Progress progress) throws IOException {
        List<String> refused = new ArrayList<>();
        List<Track> tracks = new ArrayList<>();
        int others = 0;
        // What files may be filled from comes before them.
        List<Arrival> ordered = accepted.stream()
                .sorted(Comparator.comparing(arrival -> arrival.role().isTrack()))
                .toList();
        for (Arrival arrival : ordered) {
            progress.checkCancelled();
            try {
                if (arrival.role().isTrack()) {
                    tracks.add(takeInTrack(arrival, progress));
                    rememberOptions(arrival);
                } else if (arrival.role() == Arrival.Role.VERSION) {
                    VersionUpdate update = new VersionUpdate(lane());
                    for (Track track : arrival.version().orElseThrow().tracks()) {
                        update.take(
                                update.of(track, arrival.source(), progress),
                                session.sourceUpdates().choices());
                        tracks.add(track);
                    }
                } else if (arrival.role() == Arrival.Role.TERMS) {
                    lane().references().keepTermList(arrival.source());
                    others++;
                } else if (arrival.role() == Arrival.Role.MEMORY) {
                    Path kept = lane().references().keep(arrival.source());
                    lane().memories().take(arrival.source(), Optional.of(kept), progress);
                    others++;
                } else {
                    Path kept = lane().references().keep(arrival.source());
                    searchIn(arrival, kept, progress);
                    others++;
                }
            } catch (CannotProceedException e) {
                refused.add(e.getMessage());
            }
        }
        if (!lane().tracks().isEmpty()) {
            FileOptions used = lastLanguages();
            defaults.rememberLanguages(used.sourceLanguage(), used.targetLanguage());
        }
        return new TakenIn(tracks, others, refused);
    }

    /** What can be read is searched as well; what cannot, is there to be looked at. */
    private void searchIn(Arrival arrival, Path kept, Progress progress) {
        try {
            if (arrival.role() == Arrival.Role.REFERENCE) {
                lane().memories().take(arrival.source(), Optional.of(kept), progress);
            }
        } catch (CannotProceedException | IOException e) {
            // It is kept all the same, for programs that can open it.
        }
    }

    /** Makes tracks of the files of these in one more language, read as they are; what cannot be is said. */
    public void addLanguage(List<Track> tracks, String language) {
        session.background()
                .run(
                        Strings.text("task.add-language", language),
                        progress -> inLanguage(tracks, language, progress),
                        refused -> {
                            int added = tracks.size() - refused.size();
                            if (refused.isEmpty()) {
                                session.notify(Notification.Tone.DONE, Strings.text("board.language-added", added));
                            } else {
                                session.notify(Notification.Tone.FAILED, Strings.few(refused, "\n"));
                            }
                        });
    }

    private List<String> inLanguage(List<Track> tracks, String language, Progress progress) throws IOException {
        List<String> refused = new ArrayList<>();
        for (Track track : tracks) {
            progress.checkCancelled();
            try {
                if (!track.now(progress).isDocument()) {
                    throw new CannotProceedException(track.name(), "problem.target-in-file");
                }
                FileOptions options = lane().trackStore()
                        .options(track)
                        .inLanguages(track.summary().sourceLanguage(), language);
                Track other = lane().trackStore()
                        .takeIn(
                                lane().trackStore().original(track),
                                track.plan().folder(),
                                options,
                                progress);
                NewTargets.fill(lane(), other, progress);
            } catch (CannotProceedException e) {
                refused.add(e.getMessage());
            }
        }
        return refused;
    }

    private Track takeInTrack(Arrival arrival, Progress progress) throws IOException {
        Track track = arrival.readSo()
                ? lane().trackStore()
                        .takeIn(
                                arrival.source(),
                                arrival.folder(),
                                arrival.options(),
                                arrival.file().orElseThrow())
                : lane().trackStore().takeIn(arrival.source(), arrival.folder(), arrival.options(), progress);
        NewTargets.fill(lane(), track, progress);
        return track;
    }

    /** The next document of this kind is read as this one was. */
    private void rememberOptions(Arrival arrival) throws IOException {
        String format = lane().formats().recognise(arrival.source()).orElse("");
        if (!format.isEmpty() && arrival.options().document().format().isEmpty()) {
            LaneWriter.await(lane().settings()
                    .setDocumentOptions(format, arrival.options().document()));
        }
        if (arrival.file().filter(DocumentFile.class::isInstance).isPresent()) {
            lane().trackStore().setNewSegmentation(arrival.options().segmentation());
        }
    }

    /** Lets documents of a format that come from now on be read as by default. */
    public void forgetOptions(String format, Runnable done) {
        session.background()
                .run(
                        Strings.text("task.rules"),
                        progress -> LaneWriter.await(lane().settings().resetDocumentOptions(format)),
                        reset -> done.run());
    }

    /** Lets documents that come from now on be cut as by default. */
    public void forgetSegmentation(Runnable done) {
        session.background()
                .run(
                        Strings.text("task.rules"),
                        progress -> {
                            lane().trackStore().setNewSegmentation(SegmentationRules.shipped());
                            return null;
                        },
                        reset -> done.run());
    }

    private OtherLanes otherLanes() {
        return new OtherLanes(session.person().lanes().stream()
                .map(PersonSettings.OpenedLane::folder)
                .filter(folder -> !folder.equals(lane().folder()))
                .toList());
    }

    /** The languages of the lane; where none are set, those of the newest track, and in an empty lane those of the lane before. */
    public FileOptions lastLanguages() {
        List<String> targets = lane().settings().targetLanguages();
        String source = lane().settings().detail(LaneDetail.SOURCE_LANGUAGE);
        if (!targets.isEmpty() && !source.isEmpty()) {
            return FileOptions.ofLanguages(source, targets.get(0));
        }
        List<Track> tracks = lane().tracks();
        if (tracks.isEmpty()) {
            return defaults.languages();
        }
        TrackSummary last = tracks.get(tracks.size() - 1).summary();
        return FileOptions.ofLanguages(last.sourceLanguage(), last.targetLanguage());
    }

    public void leave() {
        Intake left = intake.get();
        intake.set(null);
        session.dismissMessage();
        forget(left, List.of());
    }

    /** Sets what foreign attributes mean in this lane, and reads everything anew by it, also what waits. */
    public void setRules(ExtensionRules rules) {
        Optional<Intake> waiting = Optional.ofNullable(intake.get());
        session.background()
                .run(
                        Strings.text("task.rules"),
                        progress -> {
                            lane().trackStore().setRules(rules, progress);
                            return waiting.map(
                                    each -> each.read(lane(), any -> true, UnaryOperator.identity(), progress));
                        },
                        read -> read.ifPresent(intake::set));
    }
}
