package org.swaplane.desktop.session;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.swaplane.desktop.text.Strings;
import org.swaplane.effort.Activity;
import org.swaplane.effort.Period;
import org.swaplane.effort.SegmentWork;
import org.swaplane.jobreport.Figures;
import org.swaplane.jobreport.JobFacts;
import org.swaplane.jobreport.JobReport;
import org.swaplane.jobreport.LaneAccount;
import org.swaplane.jobreport.QualityHistory;
import org.swaplane.jobreport.ReportPart;
import org.swaplane.jobreport.ReportProfile;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Offer;
import org.swaplane.lane.TimeLog;
import org.swaplane.lane.Track;
import org.swaplane.rates.Account;
import org.swaplane.rates.RateCard;
import org.swaplane.report.ReportForm;
import org.swaplane.task.Progress;
import org.swaplane.wording.Wording;

/** What the job took, how good it is and what it costs, as figures that lead to their segments. Lives on the window's thread. */
public final class JobReporting {
    private static final String CARDS = "rate-cards";

    private final LaneSession session;
    private final ReadOnlyObjectWrapper<Scope> scope =
            new ReadOnlyObjectWrapper<>(new Scope("", Optional.empty(), Optional.empty(), Optional.empty()));
    private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>();
    private ReportPart part = ReportPart.EFFORT;
    private boolean outdated = true;
    private boolean asking;

    /**
     * What is spoken of.
     *
     * @param language target language; empty for all
     */
    public record Scope(String language, Optional<Track> track, Optional<LocalDate> from, Optional<LocalDate> to) {
        public Scope ofLanguage(String other) {
            return new Scope(other, Optional.empty(), from, to);
        }

        public Scope ofTrack(Optional<Track> other) {
            return new Scope(language, other, from, to);
        }

        public Scope during(Optional<LocalDate> begin, Optional<LocalDate> end) {
            return new Scope(language, track, begin, end);
        }

        private boolean holds(Track each) {
            return track.map(each::equals)
                    .orElse(language.isEmpty()
                            || each.summary().targetLanguage().equals(language));
        }
    }

    /** The figures of a part, and what they were counted from. */
    public record Shown(ReportPart part, JobFacts facts, List<Figures> figures) {}

    JobReporting(LaneSession session) {
        this.session = session;
    }

    public ReadOnlyObjectProperty<Scope> scopeProperty() {
        return scope.getReadOnlyProperty();
    }

    /** What is shown; null until it is counted for the first time. */
    public ReadOnlyObjectProperty<Shown> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    public void setScope(Scope other) {
        if (!other.equals(scope.get())) {
            scope.set(other);
            outdated = true;
            refresh();
        }
    }

    public ReportPart part() {
        return part;
    }

    public void show(ReportPart other) {
        part = other;
        refresh();
    }

    /** Something happened in the lane: figures are counted again when they are looked at. */
    public void outdate() {
        outdated = true;
    }

    /** Counts the figures of the chosen part where that was not done since something happened. */
    public void refresh() {
        Shown now = shown.get();
        if (asking || !outdated && now != null && now.part() == part) {
            return;
        }
        asking = true;
        Optional<JobFacts> known = outdated || now == null ? Optional.empty() : Optional.of(now.facts());
        outdated = false;
        ReportPart asked = part;
        Scope of = scope.get();
        session.background()
                .look(
                        Strings.text("task.job-report"),
                        progress -> count(asked, known, of, progress),
                        counted -> {
                            asking = false;
                            shown.set(counted);
                            if (part != asked || outdated || !of.equals(scope.get())) {
                                refresh();
                            }
                        },
                        () -> {
                            asking = false;
                            outdated = true;
                        });
    }

    private Shown count(ReportPart asked, Optional<JobFacts> known, Scope of, Progress progress) throws IOException {
        JobFacts facts = known.orElseGet(() -> facts(of, progress));
        JobReport report = report(facts, ReportProfile.INTERNAL, asked == ReportPart.QUALITY, progress);
        return new Shown(asked, facts, report.figures(Set.of(asked), progress));
    }

    private JobFacts facts(Scope of, Progress progress) {
        List<Track> tracks = session.lane().tracks().stream().filter(of::holds).toList();
        return JobFacts.read(session.lane(), tracks, new Period(of.from(), of.to(), ZoneId.systemDefault()), progress);
    }

    private JobReport report(JobFacts facts, ReportProfile profile, boolean withHistory, Progress progress)
            throws IOException {
        Lane lane = session.lane();
        List<QualityHistory.Job> history = withHistory
                ? QualityHistory.read(
                        lane,
                        session.person().lanes().stream()
                                .map(PersonSettings.OpenedLane::folder)
                                .toList(),
                        lane.settings().detail(LaneDetail.CLIENT),
                        lane.formats(),
                        lane.clock(),
                        progress)
                : List.of();
        return new JobReport(facts, profile, lane.references().checks(), history);
    }

    /** Writes a report in the form that the extension asks for. */
    public void export(Path file, ReportProfile profile, Locale language) {
        Scope of = scope.get();
        session.background()
                .run(
                        Strings.text("task.write", file.getFileName().toString()),
                        progress -> Wording.in(language, () -> {
                            ReportForm.require(file);
                            ReportForm.write(
                                    report(facts(of, progress), profile, true, progress)
                                            .report(progress),
                                    file,
                                    true);
                            return file;
                        }),
                        written -> session.written(Strings.text("report.written", written), written));
    }

    /** The segments that a row was counted from, in the track that is shown where it has some; none where there are none. */
    public Optional<SegmentSelection> segments(Figures figures, int row, String words) {
        Predicate<SegmentWork> counted = figures.segments().get(row);
        Shown now = shown.get();
        if (counted == null || now == null) {
            return Optional.empty();
        }
        Map<Long, Track> tracks = now.facts().byId();
        Map<Track, Set<String>> keys = now.facts().effort().segments().stream()
                .filter(counted)
                .filter(work ->
                        work.version() == tracks.get(work.track()).version().number())
                .collect(Collectors.groupingBy(
                        work -> tracks.get(work.track()), Collectors.mapping(SegmentWork::key, Collectors.toSet())));
        return Stream.concat(Stream.ofNullable(session.track()), now.facts().tracks().stream())
                .filter(keys::containsKey)
                .findFirst()
                .map(track -> new SegmentSelection(track, keys.get(track), words));
    }

    /** Time that was entered by hand. */
    public void correct(LocalDate day, String who, Activity activity, Duration time, String reason) {
        after(session.lane().timeLog().correct(scope.get().track(), day, who, activity, time, reason));
    }

    public void withdraw(TimeLog.Correction correction) {
        after(session.lane().timeLog().withdraw(correction, true));
    }

    /** The rate cards of this lane. */
    public List<RateCard> cards() {
        return new LaneAccount(session.lane()).cards();
    }

    public void setCards(List<RateCard> cards) {
        after(session.lane().settings().set(LaneDetail.RATE_CARDS, RateCard.toJson(cards)));
    }

    /** The cards that the person keeps for all lanes; later changes of them change no lane. */
    public List<RateCard> kept() {
        return RateCard.parse(session.person().choice(CARDS, ""));
    }

    public void keep(List<RateCard> cards) {
        session.person().setChoice(CARDS, "", RateCard.toJson(cards));
    }

    /** Offers the open work of what is spoken of, as it stands now. */
    public void offer() {
        Scope of = scope.get();
        session.background()
                .run(
                        Strings.text("task.offer"),
                        progress -> {
                            Lane lane = session.lane();
                            Account offer = new LaneAccount(lane)
                                    .offer(
                                            lane.tracks().stream()
                                                    .filter(of::holds)
                                                    .toList(),
                                            progress);
                            LaneWriter.await(lane.settings()
                                    .setOffer(new Offer(lane.clock().instant().toString(), offer.lines())));
                            return offer;
                        },
                        offer -> {
                            session.notify(
                                    Notification.Tone.DONE,
                                    Strings.text(offer.lines().isEmpty() ? "report.no-offer" : "report.offered"));
                            outdated = true;
                            refresh();
                        });
    }

    /** Counts again when a change is written; says what kept it from being. */
    void after(CompletableFuture<?> change) {
        change.whenComplete((result, failure) -> {
            session.sayFailure(result, failure);
            session.inWindow(() -> {
                outdated = true;
                refresh();
            });
        });
    }
}
