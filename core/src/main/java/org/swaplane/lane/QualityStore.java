package org.swaplane.lane;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.swaplane.quality.Agreement;
import org.swaplane.quality.Judgement;
import org.swaplane.quality.QualityScheme;
import org.swaplane.quality.QualityScore;
import org.swaplane.quality.Sample;

/** Evaluations of a lane: what is evaluated, the errors that were marked, what translators answered, and the scores. */
public final class QualityStore {
    private static final String NONE = "none";
    /** What listeners hear when an evaluation begins or ends. */
    private static final String EVALUATION = "evaluation";

    private static final ObjectMapper JSON = new ObjectMapper();

    private final Database database;
    private final Clock clock;
    private final LaneWriter writer;
    private final LaneSettings settings;

    QualityStore(Database database, Clock clock, LaneWriter writer, LaneSettings settings) {
        this.database = database;
        this.clock = clock;
        this.writer = writer;
        this.settings = settings;
    }

    /**
     * A segment that was evaluated.
     *
     * @param words of its source
     */
    public record Drawn(long track, int version, String key, int words) {}

    /** Where an error is: offsets in the text without tags. */
    public record Place(Track track, String key, boolean inSource, int start, int end, String marked) {}

    /**
     * How an evaluation came out that was closed.
     *
     * @param score empty where nothing had words
     */
    public record Result(String evaluation, Instant closedAt, long words, Optional<BigDecimal> score, boolean passed) {}

    /** What errors are called and weigh in this lane. */
    public QualityScheme scheme() {
        String own = settings.detail(LaneDetail.QUALITY_SCHEME);
        return own.isEmpty() ? QualityScheme.MQM : QualityScheme.parse(own, "");
    }

    /** All evaluations, newest first. */
    public List<Evaluation> evaluations() {
        return database.query(QualityStore::evaluation, "select * from evaluation order by id desc");
    }

    private static Evaluation evaluation(ResultSet row) throws SQLException {
        String closed = row.getString("closed_at");
        return new Evaluation(
                row.getLong("id"),
                row.getString("name"),
                QualityScheme.parse(row.getString("scheme"), ""),
                Stream.of(row.getString("tracks").split(" "))
                        .filter(id -> !id.isEmpty())
                        .map(Long::valueOf)
                        .collect(Collectors.toSet()),
                row.getLong("sample_words"),
                row.getLong("seed"),
                row.getBoolean("blind"),
                row.getString("made_by"),
                Instant.parse(row.getString("at")),
                closed.isEmpty() ? Optional.empty() : Optional.of(Instant.parse(closed)));
    }

    /** The evaluation that errors are marked for now. */
    public Optional<Evaluation> open() {
        return evaluations().stream().filter(Evaluation::isOpen).findFirst();
    }

    /**
     * Begins an evaluation of all segments of some tracks, or of a sample of them.
     *
     * @param sampleWords 0 for everything
     */
    public CompletableFuture<Evaluation> begin(
            String name, List<Track> tracks, long sampleWords, long seed, boolean blind) {
        List<Drawn> drawn = sampleWords > 0 ? draw(tracks, sampleWords, seed) : List.of();
        return writer.submit(transaction -> {
            transaction.tell(listener -> listener.settingChanged(EVALUATION));
            return insert(name, tracks, sampleWords, seed, blind, drawn);
        });
    }

    private static List<Drawn> draw(List<Track> tracks, long words, long seed) {
        List<Sample.Item> items = new ArrayList<>();
        Map<Long, Integer> versions = new LinkedHashMap<>();
        for (Track track : tracks) {
            TrackSnapshot now = track.now();
            versions.put(track.id(), track.version().number());
            for (int i = 0; i < now.size(); i++) {
                if (!now.target(i).isEmpty()) {
                    items.add(new Sample.Item(track.id(), now.segment(i).key(), now.words(i)));
                }
            }
        }
        return Sample.draw(items, words, seed).chosen().stream()
                .map(item -> new Drawn(item.track(), versions.get(item.track()), item.key(), item.words()))
                .toList();
    }

    private Evaluation insert(
            String name, List<Track> tracks, long sampleWords, long seed, boolean blind, List<Drawn> drawn) {
        long id = database.update(
                "insert into evaluation (name, scheme, tracks, sample_words, seed, blind, made_by, at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?)",
                name,
                scheme().toJson(),
                tracks.stream().map(track -> String.valueOf(track.id())).collect(Collectors.joining(" ")),
                sampleWords,
                seed,
                blind,
                settings.person(),
                clock.instant().toString());
        database.updateAll(
                "insert into evaluation_segment values (?, ?, ?, ?, ?)",
                drawn.stream()
                        .map(each -> new Object[] {id, each.track(), each.version(), each.key(), each.words()})
                        .toList());
        return database.query(QualityStore::evaluation, "select * from evaluation where id = ?", id)
                .get(0);
    }

    /** The segments of a sample; none where everything is evaluated. */
    public List<Drawn> drawn(Evaluation evaluation) {
        return database.query(
                row -> new Drawn(row.getLong(1), row.getInt(2), row.getString(3), row.getInt(4)),
                "select track, version, key, words from evaluation_segment where evaluation = ?"
                        + " order by track, version, key",
                evaluation.id());
    }

    /** Words of the sources that an evaluation is about. */
    public long words(Evaluation evaluation, List<Track> tracks) {
        if (evaluation.isSample()) {
            return drawn(evaluation).stream().mapToLong(Drawn::words).sum();
        }
        return tracks.stream()
                .filter(track -> evaluation.tracks().contains(track.id()))
                .flatMap(track -> track.summary().counts().words().stream())
                .mapToLong(Integer::longValue)
                .sum();
    }

    /** Marks an error; the evaluation that goes on is taken, and one of everything is begun where there is none. */
    public CompletableFuture<Void> mark(
            Place place, Judgement judgement, String comment, String correction, List<Track> all) {
        String who = settings.person();
        return writer.submit(transaction -> {
            Evaluation evaluation = open().orElseGet(() -> insert("", all, 0, 0, false, List.of()));
            database.update(
                    "insert into quality_error (evaluation, track, version, key, in_source, span_start, span_end, marked,"
                            + " category, severity, comment, correction, who, at)"
                            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                    evaluation.id(),
                    place.track().id(),
                    place.track().version().number(),
                    place.key(),
                    place.inSource(),
                    place.start(),
                    place.end(),
                    place.marked(),
                    judgement.category(),
                    judgement.severity(),
                    comment,
                    correction,
                    who,
                    clock.instant().toString());
            transaction.tell(listener -> listener.noted(place.track()));
            return null;
        });
    }

    /** Takes an error away again. */
    public CompletableFuture<Void> remove(QualityError error, Track track) {
        return change(track, "delete from quality_error where id = ?", error.id());
    }

    /** Gives an error another category, severity, comment or correction. */
    public CompletableFuture<Void> edit(
            QualityError error, Judgement judgement, String comment, String correction, Track track) {
        return change(
                track,
                "update quality_error set category = ?, severity = ?, comment = ?, correction = ? where id = ?",
                judgement.category(),
                judgement.severity(),
                comment,
                correction,
                error.id());
    }

    /** Notes what the translator says of an error. */
    public CompletableFuture<Void> answer(
            QualityError error, QualityError.Answer answer, String reason, String who, Track track) {
        return change(
                track,
                "update quality_error set answer = ?, answer_reason = ?, answered_by = ? where id = ?",
                answer.name(),
                reason,
                who,
                error.id());
    }

    /** Decides about an error that the translator rejected. */
    public CompletableFuture<Void> decide(QualityError error, QualityError.Decision decision, Track track) {
        return change(
                track,
                "update quality_error set upheld = ?, arbitrated_by = ? where id = ?",
                decision.name(),
                settings.person(),
                error.id());
    }

    /** Says that what somebody changed at a segment corrects no error. */
    public CompletableFuture<Void> prefer(Track track, String key, List<Track> all) {
        String who = settings.person();
        return writer.submit(transaction -> {
            Evaluation evaluation = open().orElseGet(() -> insert("", all, 0, 0, false, List.of()));
            database.update(
                    "insert or replace into preference values (?, ?, ?, ?, ?, ?)",
                    evaluation.id(),
                    track.id(),
                    track.version().number(),
                    key,
                    who,
                    clock.instant().toString());
            transaction.tell(listener -> listener.noted(track));
            return null;
        });
    }

    /** Segments whose change corrects no error, each as its track, version and key. */
    public Set<Drawn> preferences(Evaluation evaluation) {
        return Set.copyOf(database.query(
                row -> new Drawn(row.getLong(1), row.getInt(2), row.getString(3), 0),
                "select track, version, key from preference where evaluation = ?",
                evaluation.id()));
    }

    private CompletableFuture<Void> change(Track track, String sql, Object... values) {
        return writer.submit(transaction -> {
            database.update(sql, values);
            transaction.tell(listener -> listener.noted(track));
            return null;
        });
    }

    /** The errors of an evaluation, in the order in which they were marked. */
    public List<QualityError> errors(Evaluation evaluation) {
        return database.query(
                QualityStore::error, "select * from quality_error where evaluation = ? order by id", evaluation.id());
    }

    /** The errors at the segments of a track, in the evaluation that goes on. */
    public List<QualityError> errors(Track track) {
        return database.query(
                QualityStore::error,
                "select * from quality_error where track = ? and version = ?"
                        + " and evaluation = (select max(id) from evaluation where closed_at = '') order by id",
                track.id(),
                track.version().number());
    }

    private static QualityError error(ResultSet row) throws SQLException {
        return new QualityError(
                row.getLong("id"),
                row.getLong("evaluation"),
                row.getLong("track"),
                row.getInt("version"),
                row.getString("key"),
                row.getBoolean("in_source"),
                row.getInt("span_start"),
                row.getInt("span_end"),
                row.getString("marked"),
                new Judgement(row.getString("category"), row.getString("severity")),
                row.getString("comment"),
                row.getString("correction"),
                row.getString("who"),
                Instant.parse(row.getString("at")),
                known(QualityError.Answer.class, row.getString("answer")),
                row.getString("answer_reason"),
                row.getString("answered_by"),
                known(QualityError.Decision.class, row.getString("upheld")));
    }

    private static <T extends Enum<T>> T known(Class<T> type, String written) {
        return Enum.valueOf(type, written.isEmpty() ? NONE.toUpperCase(Locale.ROOT) : written);
    }

    /** The score of errors that count. */
    public QualityScore score(Evaluation evaluation, List<QualityError> errors, List<Track> tracks) {
        return QualityScore.of(
                words(evaluation, tracks),
                errors.stream().map(QualityError::judgement).toList(),
                evaluation.scheme());
    }

    /** Whether the newest evaluation of a track has passed, as its errors stand now; not where it was never evaluated. */
    public boolean isPassed(Track track, List<Track> all) {
        return evaluations().stream()
                .filter(evaluation -> evaluation.tracks().contains(track.id()))
                .findFirst()
                // As long as it goes on, nobody has said that all of it was evaluated.
                .filter(evaluation -> !evaluation.isOpen())
                .filter(evaluation -> score(
                                evaluation,
                                errors(evaluation).stream()
                                        .filter(QualityError::counts)
                                        .toList(),
                                all)
                        .passed())
                .isPresent();
    }

    /** How far two reviewers agree about a sample: for each of its segments, the worst severity that each of them saw. */
    public Agreement agreement(Evaluation evaluation, List<QualityError> errors, String one, String other) {
        List<Drawn> sample = drawn(evaluation);
        List<String> severities = List.copyOf(evaluation.scheme().severities().keySet());
        return Agreement.of(verdicts(sample, errors, one, severities), verdicts(sample, errors, other, severities));
    }

    private static List<String> verdicts(
            List<Drawn> sample, List<QualityError> errors, String who, List<String> severities) {
        Map<Drawn, Integer> worst = new LinkedHashMap<>();
        errors.stream()
                .filter(error -> error.who().equals(who))
                .forEach(error -> worst.merge(
                        new Drawn(error.track(), error.version(), error.key(), 0),
                        severities.indexOf(error.judgement().severity()),
                        Math::max));
        return sample.stream()
                .map(each -> worst.get(new Drawn(each.track(), each.version(), each.key(), 0)))
                .map(at -> at == null ? NONE : severities.get(at))
                .toList();
    }

    /** Settles an evaluation with the score that it has now. */
    public CompletableFuture<Void> close(Evaluation evaluation, List<Track> tracks) {
        QualityScore score = score(
                evaluation,
                errors(evaluation).stream().filter(QualityError::counts).toList(),
                tracks);
        Map<String, Object> result = new LinkedHashMap<>();
        result.put("words", score.words());
        result.put("score", score.score().map(BigDecimal::toPlainString).orElse(""));
        result.put("passed", score.passed());
        return writer.submit(transaction -> {
            database.update(
                    "update evaluation set closed_at = ?, result = ? where id = ?",
                    clock.instant().toString(),
                    JSON.writeValueAsString(result),
                    evaluation.id());
            transaction.tell(listener -> listener.settingChanged(EVALUATION));
            return null;
        });
    }

    /** How the evaluations came out that were closed, oldest first. */
    public List<Result> results() {
        return database.query(
                QualityStore::result,
                "select * from evaluation where closed_at <> '' order by " + SqlInstant.of("closed_at") + ", id");
    }

    private static Result result(ResultSet row) throws SQLException {
        try {
            var json = JSON.readTree(row.getString("result"));
            String score = json.path("score").asText("");
            return new Result(
                    row.getString("name"),
                    Instant.parse(row.getString("closed_at")),
                    json.path("words").asLong(),
                    score.isEmpty() ? Optional.empty() : Optional.of(new BigDecimal(score)),
                    json.path("passed").asBoolean());
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("the result of evaluation " + row.getLong("id"), e);
        }
    }
}
