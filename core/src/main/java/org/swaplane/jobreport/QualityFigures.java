package org.swaplane.jobreport;

import static org.swaplane.wording.Wording.text;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.swaplane.effort.SegmentWork;
import org.swaplane.lane.Evaluation;
import org.swaplane.lane.QualityError;
import org.swaplane.lane.QualityStore;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.quality.Agreement;
import org.swaplane.quality.QualityScheme;
import org.swaplane.quality.QualityScore;
import org.swaplane.report.Cell;
import org.swaplane.report.Chart;

/** How good it is: the newest evaluation, and how those before came out. */
final class QualityFigures {
    private final JobFacts facts;
    private final Shown shown;
    private final List<QualityHistory.Job> history;

    QualityFigures(JobFacts facts, Shown shown, List<QualityHistory.Job> history) {
        this.facts = facts;
        this.shown = shown;
        this.history = history;
    }

    List<Figures> all() {
        QualityStore store = facts.lane().quality();
        List<Figures> all = new ArrayList<>();
        for (Evaluation evaluation : store.evaluations().stream().limit(1).toList()) {
            List<QualityError> errors = store.errors(evaluation);
            List<QualityError> counted =
                    errors.stream().filter(QualityError::counts).toList();
            all.add(scores(store, evaluation, errors, counted));
            all.add(categories(evaluation, counted));
            all.add(byFile(evaluation, counted));
            if (shown.names()) {
                byTranslator(evaluation, counted).ifPresent(all::add);
                all.add(byReviewer(evaluation, errors));
            }
            if (evaluation.isSample()) {
                agreements(store, evaluation, errors).ifPresent(all::add);
            }
            all.add(errors(evaluation, errors));
        }
        if (all.isEmpty()) {
            all.add(new Figures.Builder(ReportPart.QUALITY, text("quality.score"), text("quality.score"))
                    .saying(text("report.quality.none"))
                    .build());
        }
        if (!history.isEmpty()) {
            all.add(jobs());
        }
        return all;
    }

    private Figures scores(
            QualityStore store, Evaluation evaluation, List<QualityError> errors, List<QualityError> counted) {
        Figures.Builder table = new Figures.Builder(
                ReportPart.QUALITY,
                text("quality.score"),
                text("report.column.state"),
                text("quality.words"),
                text("quality.column.errors"),
                text("quality.penalty"),
                text("quality.score"),
                text("quality.pass-mark"),
                text("quality.result"));
        score(table, "report.quality.as-marked", store.score(evaluation, errors, facts.tracks()), evaluation);
        if (counted.size() != errors.size()) {
            score(table, "report.quality.arbitrated", store.score(evaluation, counted, facts.tracks()), evaluation);
        }
        String scope = evaluation.isSample()
                ? text(
                        "report.quality.sample",
                        evaluation.sampleWords(),
                        store.drawn(evaluation).size(),
                        String.valueOf(evaluation.seed()))
                : text("report.quality.everything");
        String about = text(
                "report.quality.about",
                scope,
                evaluation.scheme().name(),
                shown.person(evaluation.madeBy()),
                shown.minute(evaluation.at()));
        return table.saying(
                        evaluation.name().isEmpty() ? about : text("report.quality.named", evaluation.name(), about))
                .build();
    }

    private void score(Figures.Builder table, String name, QualityScore score, Evaluation evaluation) {
        table.row(
                null,
                Cell.of(text(name)),
                shown.number(score.words()),
                shown.number(score.bySeverity().values().stream()
                        .mapToInt(QualityScore.Tally::count)
                        .sum()),
                shown.decimal(
                        score.penalty(),
                        Math.max(0, score.penalty().stripTrailingZeros().scale())),
                score.score().map(each -> shown.decimal(each, 2)).orElseGet(shown::none),
                shown.decimal(
                        evaluation.scheme().passMark(),
                        Math.max(
                                0,
                                evaluation
                                        .scheme()
                                        .passMark()
                                        .stripTrailingZeros()
                                        .scale())),
                result(evaluation, score));
    }

    /** A result is there when the evaluation is closed: until then, words are counted that nobody may have evaluated. */
    private static Cell result(Evaluation evaluation, QualityScore score) {
        if (evaluation.isOpen()) {
            return Cell.of(text("quality.open"));
        }
        return Cell.of(
                text(score.passed() ? "quality.passed" : "quality.not-passed"),
                score.passed() ? Cell.Tone.GOOD : Cell.Tone.BAD);
    }

    private Figures categories(Evaluation evaluation, List<QualityError> counted) {
        QualityScheme scheme = evaluation.scheme();
        List<String> severities = List.copyOf(scheme.severities().keySet());
        List<String> heads = new ArrayList<>(List.of(text("quality.column.category")));
        severities.forEach(severity -> heads.add(scheme.severityName(severity)));
        heads.add(text("quality.column.errors"));
        Figures.Builder table =
                new Figures.Builder(ReportPart.QUALITY, text("quality.by-category"), heads.toArray(String[]::new));
        Map<String, List<QualityError>> byCategory = new LinkedHashMap<>();
        scheme.categories().forEach(category -> counted.stream()
                .filter(error -> error.judgement().top().equals(category.id()))
                .forEach(error -> byCategory
                        .computeIfAbsent(category.id(), any -> new ArrayList<>())
                        .add(error)));
        List<List<Double>> values = new ArrayList<>();
        severities.forEach(severity -> values.add(new ArrayList<>()));
        byCategory.forEach((category, errors) -> {
            List<Cell> cells = new ArrayList<>(List.of(Cell.of(scheme.categoryName(category))));
            for (int i = 0; i < severities.size(); i++) {
                long count = count(errors, severities.get(i));
                cells.add(shown.number(count));
                values.get(i).add((double) count);
            }
            cells.add(shown.number(errors.size()));
            table.row(work -> errors.stream().anyMatch(error -> isAt(error, work)), cells);
        });
        List<Cell> sums = new ArrayList<>(List.of(Cell.of(text("report.total"))));
        severities.forEach(severity -> sums.add(shown.number(count(counted, severity))));
        sums.add(shown.number(counted.size()));
        List<Chart.Series> series = new ArrayList<>();
        for (int i = 0; i < severities.size(); i++) {
            series.add(new Chart.Series(scheme.severityName(severities.get(i)), values.get(i)));
        }
        return table.sums(sums)
                .chart(new Chart(
                        text("quality.by-category"),
                        Chart.Kind.STACKED_ROWS,
                        text("quality.column.errors"),
                        byCategory.keySet().stream().map(scheme::categoryName).toList(),
                        series))
                .build();
    }

    private static boolean isAt(QualityError error, SegmentWork work) {
        return error.track() == work.track()
                && error.version() == work.version()
                && error.key().equals(work.key());
    }

    private static long count(List<QualityError> errors, String severity) {
        return errors.stream()
                .filter(error -> error.judgement().severity().equals(severity))
                .count();
    }

    private Figures byFile(Evaluation evaluation, List<QualityError> counted) {
        Figures.Builder table = new Figures.Builder(
                ReportPart.QUALITY,
                text("report.quality.by-file"),
                text("report.column.file"),
                text("report.column.target"),
                text("quality.words"),
                text("quality.column.errors"),
                text("quality.score"));
        Map<Long, Long> words = facts.lane().quality().drawn(evaluation).stream()
                .collect(Collectors.groupingBy(
                        QualityStore.Drawn::track, Collectors.summingLong(QualityStore.Drawn::words)));
        for (Track track : facts.tracks()) {
            long evaluated = evaluation.isSample()
                    ? words.getOrDefault(track.id(), 0L)
                    : facts.effort().tracks().get(track.id()).words();
            if (!evaluation.tracks().contains(track.id()) || evaluated == 0) {
                continue;
            }
            List<QualityError> here = counted.stream()
                    .filter(error -> error.track() == track.id())
                    .toList();
            QualityScore score = QualityScore.of(
                    evaluated, here.stream().map(QualityError::judgement).toList(), evaluation.scheme());
            table.row(
                    work -> here.stream().anyMatch(error -> isAt(error, work)),
                    Cell.of(JobFacts.path(track)),
                    Cell.of(shown.language(JobFacts.target(track))),
                    shown.number(evaluated),
                    shown.number(here.size()),
                    score.score().map(each -> shown.decimal(each, 2)).orElseGet(shown::none));
        }
        return table.build();
    }

    /** How good the work of each translator is, as far as copies for translation brought it back. */
    private Optional<Figures> byTranslator(Evaluation evaluation, List<QualityError> counted) {
        Map<String, Long> words = new TreeMap<>();
        Map<String, List<QualityError>> errors = new TreeMap<>();
        List<QualityStore.Drawn> drawn = facts.lane().quality().drawn(evaluation);
        for (Track track : facts.tracks()) {
            Map<String, String> translators =
                    track.translators(facts.lane().trips().of(track));
            if (translators.isEmpty() || !evaluation.tracks().contains(track.id())) {
                continue;
            }
            words(evaluation, track, drawn).forEach((key, count) -> Optional.ofNullable(translators.get(key))
                    .ifPresent(who -> words.merge(who, (long) count, Long::sum)));
            counted.stream()
                    .filter(error -> error.track() == track.id() && translators.containsKey(error.key()))
                    .forEach(error -> errors.computeIfAbsent(translators.get(error.key()), any -> new ArrayList<>())
                            .add(error));
        }
        Figures.Builder table = new Figures.Builder(
                ReportPart.QUALITY,
                text("report.quality.by-translator"),
                text("report.column.translator"),
                text("quality.words"),
                text("quality.column.errors"),
                text("quality.score"),
                text("quality.result"));
        words.forEach((who, count) -> {
            List<QualityError> here = errors.getOrDefault(who, List.of());
            QualityScore score = QualityScore.of(
                    count, here.stream().map(QualityError::judgement).toList(), evaluation.scheme());
            table.row(
                    work -> here.stream().anyMatch(error -> isAt(error, work)),
                    Cell.of(shown.person(who)),
                    shown.number(count),
                    shown.number(here.size()),
                    score.score().map(each -> shown.decimal(each, 2)).orElseGet(shown::none),
                    result(evaluation, score));
        });
        return table.isEmpty() ? Optional.empty() : Optional.of(table.build());
    }

    /** Words of the segments of a track that are evaluated, by their keys. */
    private static Map<String, Integer> words(Evaluation evaluation, Track track, List<QualityStore.Drawn> drawn) {
        if (evaluation.isSample()) {
            return drawn.stream()
                    .filter(each -> each.track() == track.id())
                    .collect(Collectors.toMap(QualityStore.Drawn::key, QualityStore.Drawn::words));
        }
        Map<String, Integer> words = new LinkedHashMap<>();
        TrackSnapshot now = track.now();
        for (int i = 0; i < now.size(); i++) {
            words.put(now.segment(i).key(), now.words(i));
        }
        return words;
    }

    private Figures byReviewer(Evaluation evaluation, List<QualityError> errors) {
        Figures.Builder table = new Figures.Builder(
                ReportPart.QUALITY,
                text("report.quality.by-reviewer"),
                text("report.column.person"),
                text("quality.column.errors"),
                text("quality.penalty"),
                text("report.quality.accepted"),
                text("report.quality.rejected"),
                text("report.quality.dismissed"));
        Map<String, List<QualityError>> byPerson =
                new TreeMap<>(errors.stream().collect(Collectors.groupingBy(QualityError::who)));
        byPerson.forEach((who, here) -> table.row(
                work -> here.stream().anyMatch(error -> isAt(error, work)),
                Cell.of(shown.person(who)),
                shown.number(here.size()),
                shown.decimal(
                        QualityScore.of(
                                        1,
                                        here.stream()
                                                .map(QualityError::judgement)
                                                .toList(),
                                        evaluation.scheme())
                                .penalty(),
                        0),
                shown.number(answered(here, QualityError.Answer.ACCEPTED)),
                shown.number(answered(here, QualityError.Answer.REJECTED)),
                shown.number(here.stream().filter(error -> !error.counts()).count())));
        return table.build();
    }

    private static long answered(List<QualityError> errors, QualityError.Answer answer) {
        return errors.stream().filter(error -> error.answer() == answer).count();
    }

    private Optional<Figures> agreements(QualityStore store, Evaluation evaluation, List<QualityError> errors) {
        List<String> people =
                errors.stream().map(QualityError::who).distinct().sorted().toList();
        Figures.Builder table = new Figures.Builder(
                ReportPart.QUALITY,
                text("report.quality.agreement"),
                text("report.column.person"),
                text("report.column.other-person"),
                text("report.column.segments"),
                text("report.quality.observed"),
                text("report.quality.kappa"));
        for (int i = 0; i < people.size(); i++) {
            for (int j = i + 1; j < people.size(); j++) {
                Agreement agreement = store.agreement(evaluation, errors, people.get(i), people.get(j));
                table.row(
                        null,
                        Cell.of(shown.person(people.get(i))),
                        Cell.of(shown.person(people.get(j))),
                        shown.number(agreement.segments()),
                        shown.decimal(BigDecimal.valueOf(agreement.observed()), 3),
                        agreement
                                .kappa()
                                .map(kappa -> shown.decimal(BigDecimal.valueOf(kappa), 3))
                                .orElseGet(shown::none));
            }
        }
        return table.isEmpty()
                ? Optional.empty()
                : Optional.of(table.saying(text("report.quality.agreement-is")).build());
    }

    private Figures errors(Evaluation evaluation, List<QualityError> errors) {
        Map<Long, Track> tracks = facts.byId();
        Function<QualityError, String> file =
                error -> tracks.containsKey(error.track()) ? JobFacts.path(tracks.get(error.track())) : "–";
        List<String> heads = new ArrayList<>(List.of(
                text("report.column.file"),
                text("report.column.segment"),
                text("quality.column.category"),
                text("quality.column.severity"),
                text("report.quality.marked"),
                text("report.quality.correction"),
                text("quality.column.comment"),
                text("report.quality.answer")));
        if (shown.names()) {
            heads.add(text("report.column.person"));
        }
        Figures.Builder table =
                new Figures.Builder(ReportPart.QUALITY, text("quality.errors"), heads.toArray(String[]::new));
        for (QualityError error : errors) {
            List<Cell> cells = new ArrayList<>(List.of(
                    Cell.of(file.apply(error)),
                    Cell.of(error.key(), Cell.Tone.CODE),
                    Cell.of(evaluation.scheme().categoryName(error.judgement().category())),
                    Cell.of(evaluation.scheme().severityName(error.judgement().severity())),
                    Cell.of(error.marked()),
                    Cell.of(error.correction()),
                    Cell.of(error.comment()),
                    Cell.of(answer(error))));
            if (shown.names()) {
                cells.add(Cell.of(shown.person(error.who())));
            }
            table.row(work -> isAt(error, work), cells);
        }
        return table.build();
    }

    private static String answer(QualityError error) {
        String answer = text("report.quality.answer." + error.answer().name().toLowerCase(Locale.ROOT));
        String reason = error.answerReason().isEmpty()
                ? answer
                : text("report.quality.answer-because", answer, error.answerReason());
        return error.decision() == QualityError.Decision.NONE
                ? reason
                : text(
                        "report.quality.decided",
                        reason,
                        text("report.quality.decision."
                                + error.decision().name().toLowerCase(Locale.ROOT)));
    }

    private Figures jobs() {
        Figures.Builder table = new Figures.Builder(
                ReportPart.QUALITY,
                text("report.quality.history"),
                text("report.column.day"),
                text("report.column.lane"),
                text("report.column.client"),
                text("quality.words"),
                text("quality.score"),
                text("quality.result"));
        List<String> labels = new ArrayList<>();
        List<Double> values = new ArrayList<>();
        for (QualityHistory.Job job : history) {
            String day = shown.day(facts.period().day(job.result().closedAt()));
            table.row(
                    null,
                    Cell.of(day),
                    Cell.of(job.lane()),
                    Cell.of(job.client()),
                    shown.number(job.result().words()),
                    job.result().score().map(each -> shown.decimal(each, 2)).orElseGet(shown::none),
                    Cell.of(text(job.result().passed() ? "quality.passed" : "quality.not-passed")));
            labels.add(day);
            values.add(job.result().score().map(BigDecimal::doubleValue).orElse(Double.NaN));
        }
        return table.chart(new Chart(
                        text("report.quality.history"),
                        Chart.Kind.LINE,
                        text("quality.score"),
                        labels,
                        List.of(new Chart.Series("", values))))
                .build();
    }
}
