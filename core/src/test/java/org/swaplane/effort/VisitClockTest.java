package org.swaplane.effort;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

/** Active time by a simulated clock; the idle limit is a minute. */
class VisitClockTest {
    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");

    private final SimulatedClock clock = new SimulatedClock(Instant.parse("2026-11-18T10:00:00Z"), BERLIN);
    private final Attention attention = new Attention();
    private final VisitClock visits = new VisitClock(clock, Duration.ofSeconds(60), attention);

    private static final class SimulatedClock extends Clock {
        private Instant now;
        private final ZoneId zone;

        SimulatedClock(Instant now, ZoneId zone) {
            this.now = now;
            this.zone = zone;
        }

        void pass(long seconds) {
            now = now.plusSeconds(seconds);
        }

        @Override
        public ZoneId getZone() {
            return zone;
        }

        @Override
        public Clock withZone(ZoneId other) {
            return new SimulatedClock(now, other);
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    private void aliveAfter(long... seconds) {
        for (long each : seconds) {
            clock.pass(each);
            visits.alive();
        }
    }

    private List<Long> leave() {
        return visits.leave().stream().map(visit -> visit.active().toSeconds()).toList();
    }

    @Test
    void timeBetweenSignsOfLifeCountsUnlessTheyAreTooFarApart() {
        visits.enter();
        aliveAfter(10, 60, 61, 5);

        assertThat(leave()).containsExactly(75L);
    }

    @Test
    void theTimeUntilSomebodyLeavesCounts() {
        visits.enter();
        aliveAfter(10);
        clock.pass(20);

        assertThat(leave()).containsExactly(30L);
    }

    @Test
    void aPauseCountsForNothingHoweverShort() {
        visits.enter();
        aliveAfter(10);
        clock.pass(5);
        visits.setPaused(true);
        aliveAfter(10, 10);
        visits.setPaused(false);
        aliveAfter(7);

        assertThat(leave()).containsExactly(22L);
    }

    @Test
    void aMachineThatSleptBringsNoTime() {
        visits.enter();
        aliveAfter(10, 8 * 3600, 4);

        assertThat(leave()).containsExactly(14L);
    }

    @Test
    void aClockThatIsSetBackTakesNothingAwayAndAddsNothing() {
        visits.enter();
        aliveAfter(30, -3600, 20);
        List<Visit> left = visits.leave();

        assertThat(left).extracting(visit -> visit.active().toSeconds()).containsExactly(50L);
        assertThat(left.get(0).ended()).isAfterOrEqualTo(left.get(0).began());
    }

    @Test
    void aClockThatIsSetBackOverMidnightBeginsAVisitOfThatDay() {
        clock.now = Instant.parse("2026-11-18T23:10:00Z");
        visits.enter();
        aliveAfter(30, -7200, 20);

        assertThat(leave()).containsExactly(30L, 20L);
    }

    @Test
    void atMidnightOfTheTimeZoneOneVisitBecomesTwo() {
        // 23:59:40 in Berlin.
        clock.now = Instant.parse("2026-11-18T22:59:40Z");
        visits.enter();
        aliveAfter(5, 40, 10);
        List<Visit> left = visits.leave();

        assertThat(left).extracting(visit -> visit.active().toSeconds()).containsExactly(20L, 35L);
        assertThat(left)
                .extracting(visit -> LocalDate.ofInstant(visit.began(), BERLIN))
                .containsExactly(LocalDate.of(2026, 11, 18), LocalDate.of(2026, 11, 19));
        assertThat(left).extracting(Visit::number).doesNotHaveDuplicates();
    }

    @Test
    void midnightElsewhereIsNone() {
        clock.now = Instant.parse("2026-11-18T23:59:50Z");
        visits.enter();
        aliveAfter(20);

        assertThat(leave()).containsExactly(20L);
    }

    @Test
    void theNightOfSummerTimeIsNotCountedTwice() {
        // At 3 o'clock summer time it becomes 2 o'clock.
        clock.now = Instant.parse("2026-10-25T00:59:50Z");
        visits.enter();
        aliveAfter(20, 20);

        assertThat(leave()).containsExactly(40L);
    }

    @Test
    void whoWorksInOneWindowDoesNotWorkInAnother() {
        VisitClock other = new VisitClock(clock, Duration.ofSeconds(60), attention);
        visits.enter();
        aliveAfter(10);
        clock.pass(5);
        other.enter();
        clock.pass(20);
        other.alive();
        clock.pass(10);
        visits.alive();
        aliveAfter(7);

        assertThat(leave()).containsExactly(17L);
        assertThat(other.leave())
                .extracting(visit -> visit.active().toSeconds())
                .containsExactly(20L);
    }

    @Property(tries = 200)
    void twoWindowsTogetherNeverCountMoreThanTheTimeThatPassed(
            @ForAll @Size(max = 60) List<@IntRange(min = -100, max = 200) Integer> seconds) {
        SimulatedClock time = new SimulatedClock(Instant.parse("2026-11-18T22:30:00Z"), BERLIN);
        Attention person = new Attention();
        VisitClock one = new VisitClock(time, Duration.ofSeconds(60), person);
        VisitClock other = new VisitClock(time, Duration.ofSeconds(60), person);
        one.enter();
        other.enter();
        long passed = 0;
        for (int i = 0; i < seconds.size(); i++) {
            time.pass(seconds.get(i));
            passed += Math.max(0, seconds.get(i));
            (seconds.get(i) % 3 == 0 ? one : other).alive();
        }
        long counted = 0;
        for (VisitClock each : List.of(one, other)) {
            for (Visit visit : each.leave()) {
                assertThat(visit.active()).isGreaterThanOrEqualTo(Duration.ZERO);
                assertThat(visit.ended()).isAfterOrEqualTo(visit.began());
                counted += visit.active().toSeconds();
            }
        }
        assertThat(counted).isLessThanOrEqualTo(passed);
    }
}
