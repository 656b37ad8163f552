package org.swaplane.desktop.lanes;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.swaplane.desktop.session.Background;
import org.swaplane.desktop.session.Notification;
import org.swaplane.desktop.session.PersonSettings;
import org.swaplane.desktop.text.Strings;
import org.swaplane.document.LanguageCode;
import org.swaplane.format.FormatRegistry;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneArchive;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneOverview;
import org.swaplane.lane.LaneWriter;

/** The lanes of a person. Lives on the window's thread; lanes are looked into in the background. */
public final class LanesModel {
    private Runnable created = () -> {};
    private final PersonSettings person;
    private final Clock clock;
    private final Background background;
    private final Consumer<Path> opener;
    private final FormatRegistry formats = FormatRegistry.ofInstalled();
    private final ObservableList<Row> rows = FXCollections.observableArrayList();
    private final ReadOnlyObjectWrapper<Notification> message = new ReadOnlyObjectWrapper<>();

    /** A lane in the list; {@code problem} says why nothing is known of it. */
    public record Row(Path folder, Instant openedAt, Optional<LaneOverview> overview, String problem) {
        public String name() {
            return overview.map(LaneOverview::name)
                    .filter(name -> !name.isBlank())
                    .orElse(folder.getFileName().toString());
        }
    }

    /**
     * What a new lane is to be.
     *
     * @param asIn the folder of a lane whose settings are taken over
     */
    public record NewLane(
            String name,
            String client,
            Path folder,
            String source,
            List<String> targets,
            Optional<LocalDate> due,
            Optional<Path> asIn) {}

    /** {@code opener} opens the window of a lane. */
    public LanesModel(PersonSettings person, Clock clock, Executor window, Consumer<Path> opener) {
        this.person = person;
        this.clock = clock;
        this.opener = opener;
        this.background = new Background(window, this::failed);
    }

    public ObservableList<Row> rows() {
        return rows;
    }

    public ReadOnlyObjectProperty<Notification> messageProperty() {
        return message.getReadOnlyProperty();
    }

    public Background background() {
        return background;
    }

    public PersonSettings person() {
        return person;
    }

    /** Says what went wrong. */
    public void failed(Throwable failure) {
        message.set(Notification.of(failure));
    }

    private void done(String text) {
        message.set(new Notification(Notification.Tone.DONE, text));
    }

    public void dismissMessage() {
        message.set(null);
    }

    /** Looks into all lanes again. */
    public void refresh() {
        List<PersonSettings.OpenedLane> all = person.lanes();
        background.read(
                Strings.text("task.lanes"),
                progress -> {
                    List<Row> read = new ArrayList<>();
                    for (PersonSettings.OpenedLane each : all) {
                        progress.checkCancelled();
                        read.add(row(each));
                    }
                    return read;
                },
                rows::setAll,
                this::failed);
    }

    private Row row(PersonSettings.OpenedLane lane) {
        if (!Lane.isIn(lane.folder())) {
            return new Row(lane.folder(), lane.at(), Optional.empty(), Strings.text("lanes.not-there"));
        }
        try {
            LaneOverview overview = LaneOverview.read(lane.folder(), formats, clock);
            return new Row(lane.folder(), lane.at(), Optional.of(overview), "");
        } catch (RuntimeException e) {
            return new Row(lane.folder(), lane.at(), Optional.empty(), Notification.sentence(e));
        }
    }

    public void open(Path folder) {
        opener.accept(folder);
    }

    /** Makes a lane and opens it. */
    public void create(NewLane wanted) {
        String fault = fault(wanted);
        if (!fault.isEmpty()) {
            message.set(new Notification(Notification.Tone.FAILED, fault));
            return;
        }
        background.run(
                Strings.text("task.new-lane", wanted.name()),
                progress -> {
                    make(wanted);
                    return wanted.folder();
                },
                folder -> {
                    created.run();
                    open(folder);
                });
    }

    /** Told when a lane was made. */
    public void onCreated(Runnable listener) {
        created = listener;
    }

    private static String fault(NewLane wanted) {
        if (wanted.name().isBlank()) {
            return Strings.text("lanes.name-needed");
        }
        if (wanted.source().isEmpty() || wanted.targets().isEmpty()) {
            return Strings.text("lanes.languages-needed");
        }
        return Stream.concat(Stream.of(wanted.source()), wanted.targets().stream())
                .map(LanguageCode::fault)
                .filter(wrong -> !wrong.isEmpty())
                .findFirst()
                .orElse("");
    }

    private void make(NewLane wanted) throws IOException {
        Files.createDirectories(wanted.folder());
        try (Lane lane = Lane.create(wanted.folder(), wanted.name().strip(), formats, clock)) {
            if (wanted.asIn().isPresent()) {
                try (Lane other = Lane.openForReading(wanted.asIn().get(), formats, clock)) {
                    lane.copySettings(other);
                }
            }
            set(lane, LaneDetail.NAME, wanted.name().strip());
            set(lane, LaneDetail.CLIENT, wanted.client().strip());
            set(lane, LaneDetail.SOURCE_LANGUAGE, wanted.source());
            set(lane, LaneDetail.TARGET_LANGUAGES, String.join(" ", wanted.targets()));
            set(lane, LaneDetail.DUE, wanted.due().map(LocalDate::toString).orElse(""));
            set(lane, LaneDetail.PERSON, person.name());
            set(lane, LaneDetail.INITIALS, person.initials());
        }
    }

    private static void set(Lane lane, LaneDetail detail, String value) {
        if (!value.isEmpty()) {
            LaneWriter.await(lane.settings().set(detail, value));
        }
    }

    /** Takes a lane off the list; its folder stays as it is. */
    public void forget(Row row) {
        person.forget(row.folder());
        rows.remove(row);
        done(Strings.text("lanes.forgotten", row.name(), row.folder().toString()));
    }

    /** Packs the folder of a lane into a file. */
    public void archive(Row row, Path archive) {
        background.run(
                Strings.text("task.archive", row.name()),
                progress -> {
                    LaneArchive.pack(row.folder(), archive, clock.instant(), progress);
                    return archive;
                },
                written -> done(Strings.text("lanes.archived", row.name(), written.toString())));
    }
}
