package org.swaplane.lane;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Optional;
import org.swaplane.exchange.DueTime;
import org.swaplane.exchange.Rate;

/**
 * One crossing: a copy that went out, and what came back.
 *
 * @param code identity of the trip, five characters, written in every row of the copy
 * @param sentSha256 of the copy that went out; its bytes are kept in the lane
 * @param due until when it is wanted back
 * @param words of the sources that were sent; 0 in trips of earlier versions
 * @param back what came back, empty while it is away
 * @param version of the source that went out
 * @param rate what was agreed for it
 * @param withdrawn whether it is not waited for any more; if it comes back all the same, it is recognised
 */
public record Trip(
        String code,
        long track,
        String person,
        Purpose purpose,
        Instant sentAt,
        String sentName,
        String sentSha256,
        Optional<DueTime> due,
        int words,
        Optional<Back> back,
        boolean withdrawn,
        int version,
        Optional<Rate> rate) {
    /** Whether the copy is out and waited for. */
    public boolean isAway() {
        return back.isEmpty() && !withdrawn && purpose != Purpose.DELIVERY;
    }

    /** Whether it is out longer than it should be. */
    public boolean isOverdue(LocalDateTime now) {
        return isAway() && due.filter(each -> each.isPast(now)).isPresent();
    }

    /** The same, come back. */
    Trip with(Back other) {
        return new Trip(
                code,
                track,
                person,
                purpose,
                sentAt,
                sentName,
                sentSha256,
                due,
                words,
                Optional.of(other),
                withdrawn,
                version,
                rate);
    }

    /** The copy that came back; {@code report} is the name of the report in the lane's folder of reports. */
    public record Back(Instant at, String name, String sha256, int changesTaken, String report) {}
}
