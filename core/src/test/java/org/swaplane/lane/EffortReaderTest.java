package org.swaplane.lane;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.swaplane.content.Content;
import org.swaplane.demo.DemoLane;
import org.swaplane.document.State;
import org.swaplane.effort.Activity;
import org.swaplane.effort.Effort;
import org.swaplane.effort.Period;
import org.swaplane.effort.SegmentWork;
import org.swaplane.effort.TimeKey;
import org.swaplane.effort.Visit;
import org.swaplane.format.FileOptions;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

class EffortReaderTest {
    private static final Instant MORNING = Instant.parse("2026-11-18T08:00:00Z");
    private static final int SEGMENTS = 2_000;
    private static final int STEPS = 100_000;

    @TempDir
    private Path folder;

    private Lane lane(int segments) throws IOException {
        Lane lane = Lane.create(
                folder.resolve("lane"), "Ferries", FormatRegistry.ofInstalled(), Clock.fixed(MORNING, ZoneOffset.UTC));
        LaneWriter.await(lane.settings().set(LaneDetail.PERSON, "Mara Lind"));
        StringBuilder xliff = new StringBuilder(
                "<xliff xmlns=\"urn:oasis:names:tc:xliff:document:1.2\" version=\"1.2\">"
                        + "<file original=\"a\" source-language=\"en\" target-language=\"de\" datatype=\"plaintext\"><body>");
        for (int i = 0; i < segments; i++) {
            xliff.append("<trans-unit id=\"u")
                    .append(i)
                    .append("\"><source>Ferry ")
                    .append(i)
                    .append(" leaves")
                    .append("</source>");
            xliff.append(i % 3 == 0 ? "" : "<target>Fähre " + i + "</target>").append("</trans-unit>");
        }
        lane.trackStore()
                .takeIn(
                        Source.of(
                                "ferries.xlf",
                                xliff.append("</body></file></xliff>")
                                        .toString()
                                        .getBytes(StandardCharsets.UTF_8)),
                        FileOptions.NONE,
                        Progress.NONE);
        return lane;
    }

    private static Effort effort(Lane lane) {
        return lane.effort(lane.tracks(), Period.all(ZoneOffset.UTC), Progress.NONE);
    }

    private static Map<Integer, Value> text(int index, String target) {
        return Map.of(index, Value.written(Content.of(target)));
    }

    @Test
    void timeAtASegmentThatCameTranslatedIsReviewAlsoWhereNothingIsChanged() throws IOException {
        try (Lane lane = DemoLane.create(folder.resolve("looked-at"), Clock.systemUTC())) {
            Track track = lane.tracks().get(0);
            TrackSnapshot now = track.now();
            int translated = IntStream.range(0, now.size())
                    .filter(i -> !now.target(i).isEmpty())
                    .findFirst()
                    .orElseThrow();
            int empty = IntStream.range(0, now.size())
                    .filter(i -> now.target(i).isEmpty())
                    .findFirst()
                    .orElseThrow();
            Instant at = Instant.parse("2026-11-20T09:00:00Z");
            for (int index : List.of(translated, empty)) {
                Visit visit = new Visit(index, at, at.plusSeconds(30), Duration.ofSeconds(30));
                LaneWriter.await(lane.writer().visited(track, now.segment(index).key(), "Mara", visit));
            }

            Effort effort = lane.effort(lane.tracks(), Period.all(ZoneOffset.UTC), Progress.NONE);

            assertThat(effort.millis(key -> key.activity() == Activity.REVIEW)).isEqualTo(30_000);
            assertThat(effort.millis(key -> key.activity() == Activity.TRANSLATION))
                    .isEqualTo(30_000);
            // Lanes of earlier versions did not note what was there, and ask the file.
            lane.database().update("update visit set target_empty = -1");
            assertThat(lane.effort(lane.tracks(), Period.all(ZoneOffset.UTC), Progress.NONE)
                            .millis(key -> key.activity() == Activity.REVIEW))
                    .isEqualTo(30_000);
        }
    }

    @Test
    void typingCountsForWhoTypedAndATranslationThatCameBackForItsTranslator() throws IOException {
        try (Lane lane = lane(6)) {
            Track track = lane.tracks().get(0);
            Work work = new Work(lane, track);
            work.edit(StepKind.FILLED, "Mara Lind", "", text(0, "Fähre null"));
            work.edit(StepKind.TYPED, "Mara Lind", "", text(0, "Fähre nul"));
            work.edit(StepKind.TYPED, "Mara Lind", "", text(1, "Die Fähre 1"));
            work.edit(StepKind.TYPED, "Mara Lind", "", text(3, "Fähre 3"));
            work.edit(StepKind.TYPED, "Mara Lind", "", text(4, "ganz anders"));
            work.undo();
            LaneWriter.await(lane.writer()
                    .visited(
                            track,
                            track.now().segment(1).key(),
                            "Mara Lind",
                            new Visit(1, MORNING, MORNING.plusSeconds(95), Duration.ofSeconds(95))));

            Effort effort = effort(lane);

            assertThat(effort.segments())
                    .extracting(each -> track.now().index(each.key()).getAsInt())
                    .containsExactly(0, 1, 3);
            assertThat(effort.segments())
                    .extracting(SegmentWork::outcome)
                    .containsExactly(SegmentWork.Outcome.EDITED, SegmentWork.Outcome.EDITED, SegmentWork.Outcome.ADDED);
            assertThat(effort.segments()).extracting(SegmentWork::words).containsExactly(3, 3, 3);
            assertThat(effort.tracks().get(track.id())).isEqualTo(new Effort.Size(6, 18));
            assertThat(effort.times())
                    .isEqualTo(Map.of(
                            new TimeKey(
                                    track.id(),
                                    "Mara Lind",
                                    LocalDate.of(2026, 11, 18),
                                    Activity.REVIEW,
                                    "",
                                    "",
                                    false),
                            95_000L));
        }
    }

    @Test
    void timeByHandIsToldApartCanBeWithdrawnAndNothingIsRecordedWhereTheLaneSaysSo() throws IOException {
        try (Lane lane = lane(3)) {
            LocalDate day = LocalDate.of(2026, 11, 18);
            LaneWriter.await(lane.timeLog()
                    .correct(Optional.empty(), day, "Mara Lind", Activity.FILE_WORK, Duration.ofMinutes(30), "call"));
            LaneWriter.await(lane.timeLog()
                    .correct(Optional.empty(), day, "Mara Lind", Activity.FILE_WORK, Duration.ofMinutes(-10), "lunch"));
            Visit visit = new Visit(1, MORNING, MORNING.plusSeconds(40), Duration.ofSeconds(40));
            LaneWriter.await(lane.timeLog().visited("board", Optional.empty(), "", visit));
            assertThat(effort(lane).millis(TimeKey::byHand)).isEqualTo(20 * 60_000L);
            assertThat(effort(lane).millis(key -> !key.byHand())).isEqualTo(40_000L);

            LaneWriter.await(
                    lane.timeLog().visited("checks", Optional.of(lane.tracks().get(0)), "", visit));
            assertThat(lane.effort(List.of(), Period.all(ZoneOffset.UTC), Progress.NONE)
                            .millis(key -> !key.byHand()))
                    .isEqualTo(40_000L);
            assertThat(effort(lane).millis(key -> !key.byHand())).isEqualTo(80_000L);

            LaneWriter.await(
                    lane.timeLog().withdraw(lane.timeLog().corrections().get(1), true));
            LaneWriter.await(lane.settings().set(LaneDetail.RECORD_TIME, "false"));
            LaneWriter.await(lane.timeLog().visited("board", Optional.empty(), "", visit));
            Track track = lane.tracks().get(0);
            LaneWriter.await(lane.writer().visited(track, track.now().segment(0).key(), "Mara Lind", visit));
            EditRequest typed = EditRequest.of(track.now(), StepKind.TYPED, "Mara Lind", text(0, "Fähre"));
            LaneWriter.await(lane.writer().edit(typed.during(visit)));

            assertThat(effort(lane).millis(TimeKey::byHand)).isEqualTo(30 * 60_000L);
            assertThat(effort(lane).millis(key -> !key.byHand())).isEqualTo(80_000L);
            assertThat(lane.timeLog().corrections()).hasSize(2);
        }
    }

    /** A lane of 100,000 random steps, and the same figures by SQL over its tables, which shares no code with the reader. */
    @Test
    void theFiguresAreThoseOfAnIndependentComputation() throws IOException, SQLException {
        try (Lane lane = lane(SEGMENTS)) {
            generate(lane);
            Period november = new Period(
                    Optional.of(LocalDate.of(2026, 11, 3)), Optional.of(LocalDate.of(2026, 11, 20)), ZoneId.of("UTC"));

            Effort effort = lane.effort(lane.tracks(), november, Progress.NONE);

            try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("lane/lane.db"));
                    Statement statement = sql.createStatement()) {
                for (String each : PREPARING) {
                    statement.execute(each);
                }
                assertThat(effort.segments().stream()
                                .filter(work -> !work.people().isEmpty())
                                .map(work ->
                                        work.key() + ' ' + work.outcome() + ' ' + work.versions() + ' ' + work.words())
                                .sorted())
                        .containsExactlyElementsOf(rows(statement, OUTCOMES));
                Map<String, Long> times = new HashMap<>();
                effort.times().forEach((key, millis) -> times.merge(key.day() + " " + key.who(), millis, Long::sum));
                assertThat(times.entrySet().stream()
                                .map(each -> each.getKey() + ' ' + each.getValue())
                                .sorted())
                        .containsExactlyElementsOf(rows(statement, TIMES));
            }
        }
    }

    /** What is looked up many times has an index. */
    private static final List<String> PREPARING = List.of(
            "create temp table one as select key, change.rowid at, kind, step.at moment, target_before, target_after, words"
                    + " from change join step on step.id = step where undone = 0 and step.at < '2026-11-21'",
            "create index temp.one_by_key on one (key, at)");

    private static final String OUTCOMES = """
            with begun as (select key, min(at) first from one
                    where moment >= '2026-11-03' and kind in ('TYPED', 'STATE_SET') group by key),
                start as (select begun.key, first,
                    (select target_before from one where one.key = begun.key and at = first) text from begun),
                now as (select key, target_after text, max(at) from one group by key)
            select start.key || ' ' || case
                when start.text = now.text then 'UNTOUCHED' when start.text = '[]' then 'ADDED'
                when now.text = '[]' then 'EMPTIED' else 'EDITED' end || ' ' ||
                (select 1 + count(*) from one where one.key = start.key and at >= first
                    and target_before <> target_after) || ' ' || (select max(words) from one where one.key = start.key)
            from start join now on now.key = start.key order by 1
            """;

    private static final String TIMES = """
            select substr(began_at, 1, 10) || ' ' || who || ' ' || sum(active_ms) from visit
            where began_at >= '2026-11-03' and began_at < '2026-11-21' group by substr(began_at, 1, 10), who order by 1
            """;

    private static List<String> rows(Statement statement, String query) throws SQLException {
        List<String> rows = new ArrayList<>();
        try (ResultSet row = statement.executeQuery(query)) {
            while (row.next()) {
                rows.add(row.getString(1));
            }
        }
        rows.sort(null);
        return rows;
    }

    /** Through the journal itself, in one transaction. */
    private static void generate(Lane lane) {
        Track track = lane.tracks().get(0);
        TrackSnapshot now = track.now();
        Random random = new Random(20);
        List<String> people = List.of("Mara Lind", "Ines Falk", "Tom Brandt");
        Value[] values = new Value[SEGMENTS];
        for (int i = 0; i < SEGMENTS; i++) {
            values[i] = now.value(i);
        }
        LaneWriter.await(lane.writer().submit(transaction -> {
            Instant at = Instant.parse("2026-11-01T00:00:00Z");
            for (int n = 0; n < STEPS; n++) {
                at = at.plusMillis(10_000 + random.nextInt(20_000));
                int i = random.nextInt(SEGMENTS);
                int what = random.nextInt(10);
                StepKind kind = what == 0 ? StepKind.FILLED : what == 1 ? StepKind.STATE_SET : StepKind.TYPED;
                Value after = kind == StepKind.STATE_SET
                        ? new Value(values[i].target(), State.REVIEWED, false, values[i].origin())
                        : new Value(
                                random.nextInt(12) == 0 ? Content.EMPTY : Content.of("Fähre " + random.nextInt(40)),
                                State.TRANSLATED,
                                false,
                                Origin.of(kind));
                String who = people.get(random.nextInt(3));
                Journal journal = new Journal(lane.database(), track.id(), Clock.fixed(at, ZoneOffset.UTC));
                String key = now.segment(i).key();
                journal.visited(
                        1,
                        Optional.empty(),
                        key,
                        now.words(i),
                        Optional.of(values[i].target().isEmpty()),
                        who,
                        new Visit(n, at, at.plusSeconds(5), Duration.ofMillis(random.nextInt(9_000))));
                Step step = journal.append(
                        1, kind, who, "", Optional.empty(), List.of(new Change(key, values[i], after, now.words(i))));
                if (random.nextInt(50) == 0) {
                    journal.markUndone(step);
                } else {
                    values[i] = after;
                }
            }
            return null;
        }));
    }
}
