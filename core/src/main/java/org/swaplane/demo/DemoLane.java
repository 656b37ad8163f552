package org.swaplane.demo;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.lane.CopyExport;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.SendRequest;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.task.Progress;

/** Makes a fresh copy of the demo lane. */
public final class DemoLane {
    static final String MEMORY = "last-season.tmx";
    public static final String FILE = "passenger-info.xlf";

    /** The client's documents in one language. */
    private static final List<String> DOCUMENTS =
            List.of("leaflet.docx", "timetable.html", "app.json", "messages.properties");

    private DemoLane() {}

    /** A lane that holds the client's files, taken in and nothing else yet. */
    public static Lane create(Path folder, Clock clock) throws IOException {
        Lane lane = Lane.create(folder, "Marram Sound Ferries", FormatRegistry.ofInstalled(), clock);
        LaneWriter.await(lane.settings().set("person", "Mara Lind"));
        lane.trackStore().takeIn(Source.of(FILE, file()), Progress.NONE);
        for (String document : DOCUMENTS) {
            lane.trackStore()
                    .takeIn(
                            Source.of(document, bytes(document)),
                            FileOptions.ofLanguages("en-GB", "de-DE"),
                            Progress.NONE);
        }
        return lane;
    }

    /** The same, with a copy that went to the reviewer five days ago; it lies answered in the lane's folder {@code returned}. */
    public static Lane createWithReturnedCopy(Path folder, Clock clock) throws IOException {
        Clock earlier = Clock.offset(clock, Duration.ofDays(-5));
        try (Lane lane = create(folder, earlier)) {
            lane.memories().take(Source.of(MEMORY, bytes(MEMORY)), Optional.empty(), Progress.NONE);
            lane.terms().add("en-GB", "de-DE", "crossing", "Überfahrt", false);
            lane.terms().add("en-GB", "de-DE", "timetable", "Fahrplan", false);
            TrackSnapshot track = lane.tracks().get(0).now();
            Path sent = new CopyExport(lane)
                    .send(
                            List.of(track),
                            SendRequest.of(DemoReviewer.NAME, Purpose.REVIEW, SendRequest.Form.DOCX),
                            Progress.NONE)
                    .get(0)
                    .file();
            Files.createDirectories(folder.resolve("returned"));
            DemoReviewer.answer(sent, folder.resolve("returned").resolve("scan final (2).docx"), clock.instant());
        }
        return Lane.open(folder, FormatRegistry.ofInstalled(), clock);
    }

    /** The client's bilingual file. */
    public static byte[] file() throws IOException {
        return bytes(FILE);
    }

    /** Puts the client's documents into a folder, which is made where it is missing. */
    public static Path writeDocuments(Path folder) throws IOException {
        Files.createDirectories(folder);
        for (String document : DOCUMENTS) {
            Files.write(folder.resolve(document), bytes(document));
        }
        return folder;
    }

    static byte[] bytes(String name) throws IOException {
        try (InputStream in = DemoLane.class.getResourceAsStream(name)) {
            return in.readAllBytes();
        }
    }
}
