package org.swaplane.desktop.session;

import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.function.Consumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import org.swaplane.desktop.text.Dates;
import org.swaplane.desktop.text.Strings;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.Source;
import org.swaplane.lane.SourceVersion;
import org.swaplane.lane.Track;
import org.swaplane.lane.VersionUpdate;
import org.swaplane.report.ReportForm;
import org.swaplane.version.CarryOver;
import org.swaplane.version.VersionComparison;

/** Versions of a track's source: two of them compared, and another one that takes the place of the one that is worked at. */
public final class SourceUpdates {
    private static final String LOCK = "versions.lock";
    private static final String WINS = "versions.wins";

    private final LaneSession session;
    private final ObjectProperty<VersionUpdate.Preview> preview = new SimpleObjectProperty<>();
    private final ReadOnlyObjectWrapper<VersionComparison> comparison = new ReadOnlyObjectWrapper<>();

    SourceUpdates(LaneSession session) {
        this.session = session;
        preview.addListener((property, before, now) -> comparison.set(now == null ? null : now.comparison()));
    }

    /** The version that can take the place of the one that is worked at; null for none. */
    public ObjectProperty<VersionUpdate.Preview> previewProperty() {
        return preview;
    }

    /** The two versions that are looked at; null for none. */
    public ReadOnlyObjectProperty<VersionComparison> comparisonProperty() {
        return comparison.getReadOnlyProperty();
    }

    /** Compares the version that is worked at with a file. */
    public void look(Track track, Path file) {
        look(track, Source.of(file));
    }

    public void look(Track track, Source file) {
        read(track, progress -> update().of(track, file, progress));
    }

    /** Compares the version that is worked at with an earlier one. */
    public void look(Track track, SourceVersion version) {
        read(track, progress -> update().of(track, version, progress));
    }

    /** Compares a document with itself read by other choices. */
    public void look(Track track, DocumentOptions choices) {
        read(track, progress -> update().of(track, choices, progress));
    }

    /** Compares any two versions; where the first is the one that is worked at, the second can take its place. */
    public void compare(Track track, SourceVersion one, SourceVersion other) {
        if (one.number() == track.version().number()) {
            look(track, other);
            return;
        }
        session.background()
                .run(
                        Strings.text("task.compare", track.name()),
                        progress -> update().compare(track, one, other, progress),
                        found -> {
                            preview.set(null);
                            comparison.set(found);
                        });
    }

    /** Compares what a track held at the end of two days. */
    public void compare(Track track, LocalDate one, LocalDate other) {
        session.editing().endStep();
        session.background()
                .run(
                        Strings.text("task.compare", track.name()),
                        progress -> update().compare(track, endOf(one), endOf(other), progress),
                        found -> {
                            preview.set(null);
                            comparison.set(found);
                        });
    }

    private VersionUpdate.Moment endOf(LocalDate day) {
        Instant end =
                day.plusDays(1).atStartOfDay(ZoneId.systemDefault()).toInstant().minusMillis(1);
        return new VersionUpdate.Moment(Dates.day(end), end);
    }

    /** Reads which versions a track has. */
    public void versions(Track track, Consumer<List<SourceVersion>> known) {
        session.background()
                .read(
                        Strings.text("task.compare", track.name()),
                        progress -> session.lane().trackStore().versions().of(track),
                        known,
                        failure -> known.accept(List.of()));
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

    /** How a new version is taken in this lane: as it was done last. */
    public VersionUpdate.Choices choices() {
        String lane = session.lane().settings().id();
        boolean theirs = session.person().choice(lane, WINS).equals(CarryOver.Wins.THEIRS.name());
        return new VersionUpdate.Choices(
                Boolean.parseBoolean(session.person().choice(lane, LOCK)),
                theirs ? CarryOver.Wins.THEIRS : CarryOver.Wins.OURS);
    }

    public void setChoices(VersionUpdate.Choices choices) {
        String lane = session.lane().settings().id();
        session.person().setChoice(lane, LOCK, String.valueOf(choices.lock()));
        session.person().setChoice(lane, WINS, choices.wins().name());
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

    /** Writes what changed as a page, a document or a workbook. */
    public void report(Path path) {
        VersionComparison meant = comparison.get();
        session.background()
                .run(
                        Strings.text("task.report"),
                        progress -> {
                            ReportForm.write(meant.report(), path, true);
                            return path;
                        },
                        file -> session.written(Strings.text("checks.reported", file.toString()), file));
    }

    public void dismiss() {
        preview.set(null);
        comparison.set(null);
    }
}
