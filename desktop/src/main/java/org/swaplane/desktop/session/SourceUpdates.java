package org.swaplane.desktop.session;

import java.nio.file.Path;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.Source;
import org.swaplane.lane.SourceVersion;
import org.swaplane.lane.Track;
import org.swaplane.lane.VersionUpdate;

/** Another version of a track's source, or the same read in another way, while somebody looks at what would come of it. */
public final class SourceUpdates {
    private final LaneSession session;
    private final ObjectProperty<VersionUpdate.Preview> preview = new SimpleObjectProperty<>();

    SourceUpdates(LaneSession session) {
        this.session = session;
    }

    /** What is looked at; null for nothing. */
    public ObjectProperty<VersionUpdate.Preview> previewProperty() {
        return preview;
    }

    /** Compares a file with the version that is worked at. */
    public void look(Track track, Path file) {
        read(track, progress -> update().of(track, Source.of(file), progress));
    }

    /** Compares an earlier version with the one that is worked at. */
    public void look(Track track, SourceVersion version) {
        read(track, progress -> update().of(track, version, progress));
    }

    /** Compares a document with itself read by other choices. */
    public void look(Track track, DocumentOptions choices) {
        read(track, progress -> update().of(track, choices, progress));
    }

    private VersionUpdate update() {
        return new VersionUpdate(session.lane());
    }

    private void read(Track track, Background.Job<VersionUpdate.Preview> job) {
        session.editing().endStep();
        session.background().run(Strings.text("task.compare", track.name()), job, preview::set);
    }

    public DocumentOptions options(Track track) {
        return update().options(track);
    }

    /** Makes what is looked at the version that is worked at. */
    public void take(VersionUpdate.Choices choices) {
        VersionUpdate.Preview meant = preview.get();
        session.editing().endStep();
        session.background()
                .run(
                        Strings.text("task.update", meant.track().name()),
                        progress -> update().take(meant, choices),
                        now -> {
                            preview.set(null);
                            session.notify(
                                    Notification.Tone.DONE,
                                    Strings.text(
                                            "versions.taken",
                                            meant.track().name(),
                                            now.track().version().number()));
                        });
    }

    public void dismiss() {
        preview.set(null);
    }
}
