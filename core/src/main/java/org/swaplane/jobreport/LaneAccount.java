package org.swaplane.jobreport;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.swaplane.effort.Activity;
import org.swaplane.effort.SegmentWork;
import org.swaplane.effort.TimeKey;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.Offer;
import org.swaplane.lane.Origin;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.Track;
import org.swaplane.lane.Trip;
import org.swaplane.memory.WordAnalysis;
import org.swaplane.rates.Account;
import org.swaplane.rates.RateCard;
import org.swaplane.rates.Work;
import org.swaplane.task.Progress;

/**
 * What a lane costs by its rate cards: an offer from the analysis, before the work, and an account from the effort, after it. Translation is
 * counted by how well its texts were known, review by how much of the text stayed.
 */
public final class LaneAccount {
    private final Lane lane;

    public LaneAccount(Lane lane) {
        this.lane = lane;
    }

    /** The cards that hold in this lane. */
    public List<RateCard> cards() {
        return RateCard.parse(lane.settings().detail(LaneDetail.RATE_CARDS));
    }

    /** What was offered; it has no lines where nothing was. */
    public Account offered() {
        return lane.settings().offer().map(Offer::account).orElse(new Account(List.of()));
    }

    /** Computes an offer for the open work of these tracks. */
    public Account offer(List<Track> tracks, Progress progress) throws IOException {
        WordAnalysis analysis = new WordAnalysis(lane.memories().uses());
        List<Work> work = new ArrayList<>();
        for (Track track : tracks) {
            progress.checkCancelled();
            Map<WordAnalysis.Band, WordAnalysis.Amount> amounts =
                    analysis.next(track.now(progress).current(), progress).amounts();
            Map<String, Long> translation = new LinkedHashMap<>();
            long review = 0;
            for (Map.Entry<WordAnalysis.Band, WordAnalysis.Amount> each : amounts.entrySet()) {
                if (each.getKey().isWork()) {
                    translation.put(each.getKey().word(), (long) each.getValue().words());
                }
                review += each.getKey() == WordAnalysis.Band.LOCKED
                        ? 0
                        : each.getValue().words();
            }
            work.add(work(track, "", Activity.TRANSLATION, translation, 0));
            work.add(work(track, "", Activity.REVIEW, Map.of("", review), 0));
        }
        return Account.of(together(work), cards());
    }

    private static Work work(Track track, String who, Activity activity, Map<String, Long> words, long millis) {
        return new Work(
                track.summary().sourceLanguage(), track.summary().targetLanguage(), who, activity, words, millis);
    }

    /** Computes the account of what was done. */
    public Account account(JobFacts facts) {
        List<Work> work = new ArrayList<>();
        Map<Long, Track> tracks = facts.byId();
        Map<Long, Map<Activity, Map<String, Long>>> words = new LinkedHashMap<>();
        facts.tracks().forEach(track -> words.put(track.id(), new LinkedHashMap<>()));
        for (SegmentWork each : facts.effort().segments()) {
            boolean translation = each.activity() == Activity.TRANSLATION;
            words.get(each.track())
                    .computeIfAbsent(translation ? Activity.TRANSLATION : Activity.REVIEW, any -> new LinkedHashMap<>())
                    .merge(
                            translation
                                    ? matchBand(each)
                                    : facts.bands().name(facts.bands().of(each.similarity())),
                            (long) each.words(),
                            Long::sum);
        }
        words.forEach((id, byActivity) ->
                byActivity.forEach((activity, byBand) -> work.add(work(tracks.get(id), "", activity, byBand, 0))));
        AgreedWork agreed = new AgreedWork(facts);
        List<Trip> back = lane.trips().all().stream()
                .filter(trip -> tracks.containsKey(trip.track()) && isBack(trip, facts))
                .toList();
        for (Trip trip : back) {
            trip.rate().ifPresent(rate -> agreed.add(trip, rate, tracks.get(trip.track())));
        }
        // What was agreed for a trip comes before what a card says of the same work; never both.
        back.stream()
                .filter(trip -> trip.rate().isEmpty())
                .forEach(trip -> work.add(work(
                        tracks.get(trip.track()), trip.person(), activity(trip), Map.of("", (long) trip.words()), 0)));
        addTimes(facts, agreed.times(), tracks, work);
        return Account.of(together(work), cards()).with(agreed.lines());
    }

    private static Activity activity(Trip trip) {
        return trip.purpose() == Purpose.TRANSLATION ? Activity.TRANSLATION : Activity.REVIEW;
    }

    private static String matchBand(SegmentWork work) {
        Origin origin = Origin.of(work.origin());
        boolean match = origin.score() >= 0 && work.beginning() == SegmentWork.Beginning.FILLED;
        return WordAnalysis.Band.ofScore(match ? origin.score() : -1).word();
    }

    /** Time of the person of the lane is their own, that of others is theirs; what was agreed otherwise is left out. */
    private void addTimes(JobFacts facts, Set<TimeKey> agreed, Map<Long, Track> tracks, List<Work> work) {
        String person = lane.settings().person();
        Track any = facts.tracks().isEmpty() ? null : facts.tracks().get(0);
        for (Map.Entry<TimeKey, Long> each : facts.effort().times().entrySet()) {
            Track track = tracks.getOrDefault(each.getKey().track(), any);
            if (track != null && !agreed.contains(each.getKey())) {
                String who =
                        each.getKey().who().equals(person) ? "" : each.getKey().who();
                work.add(work(track, who, each.getKey().activity(), Map.of(), each.getValue()));
            }
        }
    }

    private static boolean isBack(Trip trip, JobFacts facts) {
        return trip.purpose() != Purpose.DELIVERY
                && trip.back().filter(back -> facts.period().holds(back.at())).isPresent();
    }

    /** Adds up what is of the same languages, person and activity, so that it is rounded once. */
    private static List<Work> together(List<Work> work) {
        record Group(String source, String target, String who, Activity activity) {}
        Map<Group, Work> groups = new LinkedHashMap<>();
        for (Work each : work) {
            groups.merge(
                    new Group(each.sourceLanguage(), each.targetLanguage(), each.recipient(), each.activity()),
                    each,
                    LaneAccount::plus);
        }
        return List.copyOf(groups.values());
    }

    private static Work plus(Work one, Work other) {
        Map<String, Long> words = new LinkedHashMap<>(one.words());
        other.words().forEach((band, count) -> words.merge(band, count, Long::sum));
        return new Work(
                one.sourceLanguage(),
                one.targetLanguage(),
                one.recipient(),
                one.activity(),
                words,
                one.millis() + other.millis());
    }
}
