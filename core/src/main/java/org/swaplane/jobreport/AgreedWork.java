package org.swaplane.jobreport;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.swaplane.effort.Activity;
import org.swaplane.effort.TimeKey;
import org.swaplane.exchange.Rate;
import org.swaplane.lane.Purpose;
import org.swaplane.lane.Track;
import org.swaplane.lane.Trip;
import org.swaplane.rates.Account;
import org.swaplane.rates.AmountLine;

/**
 * What is paid for trips by the rate that was agreed for each. It takes the hours that were entered for the recipient at the trip's file, or at
 * the lane as a whole: no card pays them again, and no other trip.
 */
final class AgreedWork {
    private final JobFacts facts;
    private final List<AmountLine> lines = new ArrayList<>();
    private final Set<TimeKey> taken = new HashSet<>();

    AgreedWork(JobFacts facts) {
        this.facts = facts;
    }

    void add(Trip trip, Rate rate, Track track) {
        long millis = takeHours(trip, rate);
        if (rate.unit() == Rate.Unit.WORD) {
            BigDecimal words = BigDecimal.valueOf(trip.words());
            lines.add(line(AmountLine.Kind.WORDS, trip, track, rate, words, words, BigDecimal.ONE));
        } else if (millis > 0) {
            lines.add(line(
                    AmountLine.Kind.HOURS,
                    trip,
                    track,
                    rate,
                    Account.hours(millis),
                    BigDecimal.valueOf(millis),
                    Account.MILLIS_OF_AN_HOUR));
        }
    }

    /** Who is paid by the word has hours of the same kind of work paid with it; who is paid by the hour, all of them. */
    private long takeHours(Trip trip, Rate rate) {
        Activity activity = trip.purpose() == Purpose.TRANSLATION ? Activity.TRANSLATION : Activity.REVIEW;
        long millis = 0;
        for (TimeKey each : facts.effort().times().keySet()) {
            boolean meant = each.byHand()
                    && each.who().equals(trip.person())
                    && (each.track() == trip.track() || each.track() == 0)
                    && (rate.unit() == Rate.Unit.HOUR || each.activity() == activity);
            if (meant && taken.add(each)) {
                millis += facts.effort().times().get(each);
            }
        }
        return millis;
    }

    /** The exact quantity is a fraction, so that the amount is rounded once. */
    private static AmountLine line(
            AmountLine.Kind kind,
            Trip trip,
            Track track,
            Rate rate,
            BigDecimal shown,
            BigDecimal numerator,
            BigDecimal denominator) {
        return new AmountLine(
                kind,
                trip.purpose() == Purpose.TRANSLATION ? Activity.TRANSLATION : Activity.REVIEW,
                track.summary().sourceLanguage(),
                track.summary().targetLanguage(),
                trip.person(),
                trip.code(),
                shown,
                rate.amount(),
                numerator
                        .multiply(rate.amount())
                        .divide(denominator, Account.digits(rate.currency()), RoundingMode.HALF_UP),
                rate.currency(),
                false);
    }

    List<AmountLine> lines() {
        return lines;
    }

    /** The hours that are paid by what was agreed. */
    Set<TimeKey> times() {
        return taken;
    }
}
