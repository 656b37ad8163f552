package org.swaplane.desktop.session;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Consumer;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.Source;
import org.swaplane.lane.Lane;
import org.swaplane.lane.ReferenceFiles;
import org.swaplane.lane.ReferenceHit;
import org.swaplane.lane.ReferenceSearch;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.memory.MemoryQuery;
import org.swaplane.memory.TranslationMemory;

/** The files that the lane looks things up in, and the search over all of them; all of it in the background. */
public final class ReferenceLibrary {
    /** As many as somebody looks at. */
    public static final int MOST_FOUND = 200;

    private final LaneSession session;

    /** A file with how many units of it are there. */
    public record Listed(ReferenceFiles.Entry file, int units) {}

    ReferenceLibrary(LaneSession session) {
        this.session = session;
    }

    private Lane lane() {
        return session.lane();
    }

    /**
     * What a query means in all references, in the languages of the file that is worked at.
     *
     * @param file the only one to search; empty for all
     */
    public void find(MemoryQuery query, String file, Consumer<List<ReferenceHit>> found) {
        Optional<TranslationMemory.Languages> languages = Optional.ofNullable(session.track())
                .map(track -> new TranslationMemory.Languages(
                        track.summary().sourceLanguage(), track.summary().targetLanguage()));
        session.background()
                .read(
                        Strings.text("task.find", query.text()),
                        progress -> {
                            query.pattern();
                            return new ReferenceSearch(lane()).find(query, languages, file, MOST_FOUND, progress);
                        },
                        found,
                        session::failed);
    }

    public void files(Consumer<List<Listed>> known) {
        session.background()
                .read(
                        Strings.text("task.memories"),
                        progress -> {
                            List<Listed> listed = new ArrayList<>();
                            for (ReferenceFiles.Entry each :
                                    lane().referenceFiles().all()) {
                                listed.add(new Listed(each, lane().memories().unitsOf(each.name())));
                            }
                            return listed;
                        },
                        known,
                        session::failed);
    }

    /** Adds the translations of files to the lane's memory, and the texts of those in one language. */
    public void add(List<Path> files, Runnable done) {
        change(
                Strings.text("task.import"),
                progress -> {
                    int added = 0;
                    for (Path file : files) {
                        added += lane().memories().take(Source.of(file), Optional.of(file), progress);
                    }
                    return added;
                },
                added -> {
                    session.notify(Notification.Tone.DONE, Strings.text("memories.imported", added));
                    done.run();
                });
    }

    public void setRole(String name, ReferenceFiles.Role role, Runnable done) {
        change(() -> lane().referenceFiles().setRole(name, role), done);
    }

    public void prefer(String name, Runnable done) {
        change(() -> lane().referenceFiles().prefer(name), done);
    }

    public void remove(String name, Runnable done) {
        change(() -> lane().memories().removeFile(name), done);
    }

    /** Looks things up in what another lane does, too. */
    public void copyFrom(Path folder, Runnable done) {
        change(
                () -> {
                    try (Lane other = Lane.openForReading(folder, lane().formats(), lane().clock())) {
                        lane().copyReferences(other);
                    }
                },
                () -> {
                    session.checking().profileChanged();
                    done.run();
                });
    }

    private interface Change {
        void make() throws IOException;
    }

    private void change(Change change, Runnable done) {
        change(
                Strings.text("task.memories"),
                progress -> {
                    change.make();
                    return true;
                },
                made -> done.run());
    }

    private <T> void change(String words, Background.Job<T> change, Consumer<T> done) {
        if (lane().isReadOnly()) {
            session.notify(Notification.Tone.FAILED, Strings.text("lane.read-only"));
        } else {
            session.background().run(words, change, done);
        }
    }

    /** Where a hit can be seen. */
    private record Place(Optional<TrackSnapshot> track, int segment, Optional<URI> file) {}

    /** Shows the segment that a hit is from, or opens its file. */
    public void show(ReferenceHit hit, FileOpener opener) {
        session.background()
                .read(
                        Strings.text("task.find", hit.unit().origin()),
                        progress -> place(hit),
                        place -> {
                            if (place.track().isPresent()) {
                                session.choose(place.track().get().track(), place.segment());
                                session.viewProperty().set(ViewId.REVIEW);
                            } else if (place.file().isPresent()) {
                                opener.open(place.file().get());
                            } else {
                                session.notify(
                                        Notification.Tone.FAILED,
                                        Strings.text(
                                                "references.no-place",
                                                hit.unit().origin()));
                            }
                        },
                        session::failed);
    }

    private Place place(ReferenceHit hit) {
        String origin = hit.unit().origin();
        for (Track track : lane().tracks()) {
            boolean meant = track.name().equals(origin)
                    && track.summary().targetLanguage().equals(hit.unit().targetLanguage());
            OptionalInt index = meant ? track.now().index(hit.unit().context().key()) : OptionalInt.empty();
            if (index.isPresent()) {
                return new Place(Optional.of(track.now()), index.getAsInt(), Optional.empty());
            }
        }
        Optional<Path> file = hit.kind() == ReferenceHit.Kind.TERM
                ? Optional.of(hit.place())
                : lane().referenceFiles().all().stream()
                        .filter(each -> each.name().equals(origin))
                        .findFirst()
                        .flatMap(ReferenceFiles.Entry::place);
        return new Place(Optional.empty(), 0, file.filter(Files::exists).map(Path::toUri));
    }
}
