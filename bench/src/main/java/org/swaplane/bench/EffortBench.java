package org.swaplane.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.swaplane.check.CheckRun;
import org.swaplane.effort.Period;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.jobreport.JobFacts;
import org.swaplane.jobreport.JobReport;
import org.swaplane.jobreport.ReportPart;
import org.swaplane.jobreport.ReportProfile;
import org.swaplane.lane.Lane;
import org.swaplane.lane.Track;
import org.swaplane.report.ReportForm;
import org.swaplane.task.Progress;

/**
 * The report of effort and changes against reading all rows of the journal in the same run. Arguments: number of files (default 300),
 * segments of each (default 1,667), steps of each segment (default 2).
 */
public final class EffortBench {
    private static final double SECOND = 1e9;
    private static final int BATCH = 10_000;

    private EffortBench() {}

    public static void main(String[] arguments) throws Exception {
        int files = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 300;
        int segments = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 1_667;
        int steps = arguments.length > 2 ? Integer.parseInt(arguments[2]) : 2;
        Path folder = Files.createTempDirectory("swaplane-bench");
        try {
            make(folder, files, segments, steps);
            double reading = readRows(folder);
            try (Lane lane =
                    Lane.openForReading(folder.resolve("lane"), FormatRegistry.ofInstalled(), Clock.systemUTC())) {
                Runtime.getRuntime().gc();
                long before = System.nanoTime();
                JobFacts facts = JobFacts.read(lane, lane.tracks(), Period.all(ZoneOffset.UTC), Progress.NONE);
                double counted = (System.nanoTime() - before) / SECOND;
                JobReport report = new JobReport(
                        facts,
                        ReportProfile.INTERNAL.of(Set.of(ReportPart.EFFORT, ReportPart.CHANGES, ReportPart.AMOUNTS)),
                        CheckRun.ofAllChecks(),
                        List.of());
                ReportForm.write(report.report(Progress.NONE), folder.resolve("report.html"), true);
                double all = (System.nanoTime() - before) / SECOND;
                System.out.printf(
                        Locale.ROOT,
                        "%d segments, %d steps: rows read in %.2f s, counted in %.2f s, report written in %.2f s, %.1f times;"
                                + " %d MB in use%n",
                        files * segments,
                        files * segments * steps,
                        reading,
                        counted,
                        all,
                        all / reading,
                        (Runtime.getRuntime().totalMemory()
                                        - Runtime.getRuntime().freeMemory())
                                >> 20);
            }
        } finally {
            try (Stream<Path> left = Files.walk(folder)) {
                for (Path each : left.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(each);
                }
            }
        }
    }

    private static void make(Path folder, int files, int segments, int steps) throws IOException, SQLException {
        List<Long> tracks = new ArrayList<>();
        try (Lane lane =
                Lane.create(folder.resolve("lane"), "Bench", FormatRegistry.ofInstalled(), Clock.systemUTC())) {
            for (int i = 0; i < files; i++) {
                Track track = lane.trackStore()
                        .takeIn(
                                Source.of(
                                        "sheet" + i + ".xlf", file(i, segments).getBytes(StandardCharsets.UTF_8)),
                                "part" + i % 7,
                                FileOptions.NONE,
                                Progress.NONE);
                tracks.add(track.id());
                track.unload();
            }
        }
        try (Connection database = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("lane/lane.db"))) {
            database.setAutoCommit(false);
            fill(database, tracks, segments, steps);
            database.commit();
        }
    }

    private static void fill(Connection database, List<Long> tracks, int segments, int steps) throws SQLException {
        Random random = new Random(1);
        Instant at = Instant.parse("2026-11-01T07:00:00Z");
        int id = 0;
        try (PreparedStatement step = database.prepareStatement(
                        "insert into step (id, track, kind, who, at) values (?, ?, 'TYPED', ?, ?)");
                PreparedStatement change = database.prepareStatement(
                        "insert into change (step, key, target_before, state_before, locked_before, target_after, state_after,"
                                + " locked_after, origin_after, words) values (?, ?, ?, 'TRANSLATED', 0, ?, 'TRANSLATED', 0, ?, 9)");
                PreparedStatement visit = database.prepareStatement(
                        "insert into visit (track, version, key, who, began_at, ended_at, active_ms, words)"
                                + " values (?, 1, ?, ?, ?, ?, ?, 9)")) {
            for (long track : tracks) {
                for (int n = 0; n < segments * steps; n++) {
                    at = at.plusMillis(900);
                    int segment = n % segments;
                    String who = random.nextInt(3) == 0 ? "Ines Falk" : "Mara Lind";
                    String key = "a/u" + segment;
                    step.setLong(1, ++id);
                    step.setLong(2, track);
                    step.setString(3, who);
                    step.setString(4, at.toString());
                    step.addBatch();
                    change.setLong(1, id);
                    change.setString(2, key);
                    change.setString(3, text(segment, n / segments));
                    change.setString(4, text(segment, n / segments + 1));
                    change.setString(5, "typed\t-1\t");
                    change.addBatch();
                    visit.setLong(1, track);
                    visit.setString(2, key);
                    visit.setString(3, who);
                    visit.setString(4, at.toString());
                    visit.setString(5, at.toString());
                    visit.setLong(6, random.nextInt(40_000));
                    visit.addBatch();
                    if (id % BATCH == 0) {
                        step.executeBatch();
                        change.executeBatch();
                        visit.executeBatch();
                    }
                }
            }
            step.executeBatch();
            change.executeBatch();
            visit.executeBatch();
        }
    }

    private static String text(int segment, int version) {
        return "[\"Die Fähre " + segment + " verlässt den Hafen von Gullwick um " + (6 + version) + ":40 Uhr"
                + (version > 1 ? " pünktlich" : "") + ".\"]";
    }

    private static double readRows(Path folder) throws SQLException {
        long before = System.nanoTime();
        try (Connection database = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("lane/lane.db"));
                Statement statement = database.createStatement()) {
            for (String query : List.of(
                    "select step, key, target_before, target_after from change", "select key, active_ms from visit")) {
                try (ResultSet rows = statement.executeQuery(query)) {
                    while (rows.next()) {
                        rows.getString(1);
                        rows.getString(2);
                    }
                }
            }
        }
        return (System.nanoTime() - before) / SECOND;
    }

    private static String file(int number, int segments) {
        StringBuilder text = new StringBuilder(
                "<xliff xmlns=\"urn:oasis:names:tc:xliff:document:1.2\" version=\"1.2\">"
                        + "<file original=\"a\" source-language=\"en-GB\" target-language=\"de-DE\" datatype=\"plaintext\"><body>");
        for (int i = 0; i < segments; i++) {
            text.append("<trans-unit id=\"u")
                    .append(i)
                    .append("\"><source>Ferry ")
                    .append(i)
                    .append(" of sheet ");
            text.append(number)
                    .append(" leaves the harbour at Gullwick</source><target>Die Fähre ")
                    .append(i);
            text.append("</target></trans-unit>");
        }
        return text.append("</body></file></xliff>").toString();
    }
}
