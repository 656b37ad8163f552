package org.swaplane.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DueTimeTest {
    @ParameterizedTest
    @CsvSource({
        "2026-12-04, 2026-12-04T23:59, false",
        "2026-12-04, 2026-12-05T00:00, true",
        "2026-12-04 17:00, 2026-12-04T17:00, false",
        "2026-12-04T17:00, 2026-12-04T17:00:01, true"
    })
    void isPastAfterItsTimeOrItsDay(String due, LocalDateTime now, boolean past) {
        assertThat(DueTime.parse(due).orElseThrow().isPast(now)).isEqualTo(past);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "4 Dec", "2026-02-30", "2026-12-04 25:00", "2026-12-04 7:00", "2026-12-04T17:00:00Z"})
    void whatIsNoDateIsRefused(String written) {
        assertThat(DueTime.parse(written)).isEmpty();
    }
}
