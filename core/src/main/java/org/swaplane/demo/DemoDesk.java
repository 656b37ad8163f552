package org.swaplane.demo;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.desk.server.DeskServer;

/** Tasks of the made-up ferry company for a desk that has none. */
public final class DemoDesk {
    private DemoDesk() {}

    /** Offers them. */
    public static void offerTasks(DeskServer desk) throws IOException {
        desk.offer(
                "msf-101",
                "Timetable page for the winter season",
                "en-GB",
                List.of("de-DE"),
                "2026-12-11",
                "Keep the names of piers in English. Times as on the signs: 14:05.",
                Map.of("web/timetable.html", DemoLane.bytes("timetable.html")),
                Optional.of(DemoLane.bytes(DemoLane.MEMORY)),
                Map.of());
        desk.offer(
                "msf-102",
                "Leaflet in two languages",
                "en-GB",
                List.of("de-DE", "fr-FR"),
                "2026-12-18",
                "The leaflet has room for one page.",
                Map.of("print/leaflet.docx", DemoLane.bytes("leaflet.docx")),
                Optional.empty(),
                Map.of("house-style.txt", "Say \"crossing\", not \"trip\".\n".getBytes(StandardCharsets.UTF_8)));
        desk.offer(
                "msf-103",
                "Texts of the ticket app",
                "en-GB",
                List.of("de-DE"),
                "",
                "",
                Map.of(
                        "app/app.json", DemoLane.bytes("app.json"),
                        "app/messages.properties", DemoLane.bytes("messages.properties")),
                Optional.of(DemoLane.bytes(DemoLane.MEMORY)),
                Map.of());
    }
}
