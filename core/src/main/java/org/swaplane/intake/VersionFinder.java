package org.swaplane.intake;

import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.swaplane.document.BilingualDocument;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.DocumentFile;
import org.swaplane.format.Source;
import org.swaplane.lane.Lane;
import org.swaplane.lane.Track;
import org.swaplane.lane.VersionUpdate;
import org.swaplane.task.Progress;
import org.swaplane.version.ContentSketch;

/** Finds the track of which an arriving file is a new version. Content counts more than the name. */
final class VersionFinder {
    private static final double LEAST = 0.3;
    private static final double LEAST_OF_SAME_NAME = 0.05;

    private final Lane lane;

    private record Candidate(Track track, double similarity) {}

    VersionFinder(Lane lane) {
        this.lane = lane;
    }

    /** Tracks whose file has the very same bytes. */
    List<Track> same(Source source) throws IOException {
        String sha256 = source.sha256();
        return lane.tracks().stream()
                .filter(track -> track.sha256().equals(sha256))
                .toList();
    }

    Optional<NewVersion> find(Source source, BilingualFile file, Progress progress) throws IOException {
        BilingualDocument document = file.document();
        ContentSketch sketch = ContentSketch.of(document.segments());
        boolean isDocument = file instanceof DocumentFile;
        Optional<Candidate> best = lane.tracks().stream()
                .filter(track -> track.summary().format().equals(document.format()))
                .filter(track -> isDocument || isOfLanguage(track, document))
                .map(track -> new Candidate(track, track.sketch().similarity(sketch)))
                .filter(each -> each.similarity() >= LEAST
                        || each.similarity() >= LEAST_OF_SAME_NAME
                                && each.track().name().equalsIgnoreCase(source.name()))
                .max(Comparator.comparingDouble(Candidate::similarity));
        if (best.isEmpty()) {
            return Optional.empty();
        }
        Track track = best.get().track();
        VersionUpdate.Preview preview = new VersionUpdate(lane).of(track, source, progress);
        List<Track> all = lane.tracks().stream()
                .filter(each -> each.sha256().equals(track.sha256()))
                .toList();
        return Optional.of(new NewVersion(
                all,
                preview.alignment().counts(),
                preview.alignment().words(track.now(progress).document().segments(), preview.segments())));
    }

    private static boolean isOfLanguage(Track track, BilingualDocument document) {
        return document.targetLanguage().isEmpty()
                || document.targetLanguage().equalsIgnoreCase(track.summary().targetLanguage());
    }
}
