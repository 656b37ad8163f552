package org.swaplane.demo;

import java.io.IOException;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.document.State;
import org.swaplane.effort.Activity;
import org.swaplane.effort.Visit;
import org.swaplane.jobreport.LaneAccount;
import org.swaplane.lane.EditRequest;
import org.swaplane.lane.Lane;
import org.swaplane.lane.LaneDetail;
import org.swaplane.lane.LaneWriter;
import org.swaplane.lane.Offer;
import org.swaplane.lane.QualityStore;
import org.swaplane.lane.StepKind;
import org.swaplane.lane.Track;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.lane.Value;
import org.swaplane.quality.Judgement;
import org.swaplane.rates.RateCard;
import org.swaplane.task.Progress;

/** A week of work at the demo lane: time, corrections of the text, rates with an offer, and marked errors. */
public final class DemoWeek {
    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 16);
    private static final List<String> ERRORS = List.of(
            "accuracy/mistranslation major",
            "terminology/wrong-term minor",
            "linguistic-conventions/punctuation minor",
            "style/awkward-style minor",
            "locale-conventions/time-format minor",
            "accuracy/omission minor",
            "linguistic-conventions/spelling neutral");

    private final Lane lane;
    private final Track track;
    private long visits;

    private DemoWeek(Lane lane) {
        this.lane = lane;
        this.track = lane.tracks().get(0);
    }

    /** Works at the first file of the lane from Monday to Friday. */
    public static void work(Lane lane) throws IOException {
        DemoWeek week = new DemoWeek(lane);
        week.agree();
        week.review();
        week.organise();
        week.evaluate();
    }

    private void agree() throws IOException {
        RateCard card = new RateCard(
                "Marram Sound Ferries 2026",
                "Marram Sound Ferries",
                "en",
                "de",
                Currency.getInstance("EUR"),
                List.of(
                        entry(Activity.TRANSLATION, RateCard.Unit.WORD, "0.12", 0),
                        entry(Activity.REVIEW, RateCard.Unit.HOUR, "48", 900),
                        entry(Activity.FILE_WORK, RateCard.Unit.HOUR, "40", 0)),
                new BigDecimal("35"),
                List.of(new RateCard.Adjustment("Express", new BigDecimal("25"))));
        LaneWriter.await(lane.settings().set(LaneDetail.RATE_CARDS, RateCard.toJson(List.of(card))));
        LaneWriter.await(lane.settings()
                .setOffer(new Offer(
                        at(0, 8, 0).toString(),
                        new LaneAccount(lane)
                                .offer(lane.tracks(), Progress.NONE)
                                .lines())));
    }

    private static RateCard.Entry entry(Activity activity, RateCard.Unit unit, String amount, int wordsPerHour) {
        return new RateCard.Entry(
                activity,
                "",
                unit,
                new BigDecimal(amount),
                unit == RateCard.Unit.WORD ? Map.of("100", new BigDecimal("0.03")) : Map.of(),
                true,
                wordsPerHour);
    }

    private static Instant at(int day, int hour, int minute) {
        return MONDAY.plusDays(day).atTime(LocalTime.of(hour, minute)).toInstant(ZoneOffset.UTC);
    }

    private Visit visit(Instant began, long seconds) {
        return new Visit(++visits, began, began.plusSeconds(seconds), Duration.ofSeconds(seconds));
    }

    /** Every segment takes its time; every third one is corrected. */
    private void review() {
        TrackSnapshot now = track.now();
        Map<Integer, Value> reviewed = new LinkedHashMap<>();
        for (int i = 0; i < now.size(); i++) {
            Value value = now.value(i);
            if (value.locked() || value.target().isEmpty()) {
                continue;
            }
            long seconds = 40 + (i * 37L) % 160 + (i == 23 ? 1500 : 0);
            Visit visit = visit(at(i * 5 / now.size(), 9 + i % 6, i % 50), seconds);
            LaneWriter.await(lane.writer()
                    .visited(track, now.segment(i).key(), lane.settings().person(), visit));
            boolean corrected = i % 3 == 0 && value.target().tags().isEmpty();
            if (corrected) {
                Content target = Content.of(corrected(value.target().plainText(), i));
                LaneWriter.await(lane.writer()
                        .edit(EditRequest.of(
                                track.now(),
                                StepKind.TYPED,
                                lane.settings().person(),
                                Map.of(i, Value.written(target)))));
            }
            if (i % 4 != 1) {
                reviewed.put(i, new Value(track.now().target(i), State.REVIEWED));
            }
        }
        LaneWriter.await(lane.writer()
                .edit(EditRequest.of(
                        track.now(), StepKind.STATE_SET, lane.settings().person(), reviewed)));
    }

    private static String corrected(String target, int segment) {
        return switch (segment / 3 % 4) {
            case 0 -> target.replace("Fähre", "Autofähre").replace("Fahrplan", "Fahrpläne");
            case 1 -> target + " Bitte beachten Sie die Aushänge am Anleger.";
            case 2 -> target.replace("Uhr", "Uhr (Ortszeit)");
            default -> "Änderungen im Winterfahrplan sind vorbehalten.";
        };
    }

    private void organise() {
        for (int day = 0; day < 5; day++) {
            for (String view : List.of("board", "exchange", "checks")) {
                LaneWriter.await(lane.timeLog()
                        .visited(view, Optional.of(track), "", visit(at(day, 15, 0), 120L + 90 * day + view.length())));
            }
        }
        LaneWriter.await(lane.timeLog()
                .correct(
                        Optional.empty(),
                        MONDAY.plusDays(2),
                        lane.settings().person(),
                        Activity.FILE_WORK,
                        Duration.ofMinutes(20),
                        "Call with the client about tide times"));
    }

    private void evaluate() {
        TrackSnapshot now = track.now();
        for (int i = 0; i < ERRORS.size(); i++) {
            int segment = 4 + i * 3;
            String target = now.target(segment).plainText();
            int end = Math.min(target.length(), 8);
            String[] parts = ERRORS.get(i).split(" ");
            LaneWriter.await(lane.quality()
                    .mark(
                            new QualityStore.Place(
                                    track, now.segment(segment).key(), false, 0, end, target.substring(0, end)),
                            new Judgement(parts[0], parts[1]),
                            "",
                            "",
                            lane.tracks()));
        }
    }
}
