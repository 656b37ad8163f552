package org.swaplane.task;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Ending takes every step, whatever fails on the way. */
class ClosingTest {
    private final List<Integer> closed = new ArrayList<>();

    private AutoCloseable step(int number, int failing) {
        return () -> {
            closed.add(number);
            if (number == failing) {
                throw new IllegalStateException("step " + number);
            }
        };
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3})
    void whatFailsKeepsNothingElseOpen(int failing) {
        assertThatThrownBy(() -> Closing.inOrder(step(1, failing), step(2, failing), step(3, failing)))
                .isInstanceOf(IllegalStateException.class)
                .hasMessage("step " + failing);

        assertThat(closed).containsExactly(1, 2, 3);
    }

    @Test
    void theFirstFailureIsThrownAndTheOthersAreSuppressedInIt() {
        IOException first = new IOException("first");

        Throwable thrown = catchThrowable(() -> Closing.inOrder(
                () -> {
                    throw first;
                },
                step(2, 2),
                step(3, 3)));

        assertThat(thrown).isInstanceOf(UncheckedIOException.class).hasCause(first);
        assertThat(first.getSuppressed()).extracting(Throwable::getMessage).containsExactly("step 2", "step 3");
    }

    @Test
    void afterAFailureThatOneIsKept() {
        IllegalArgumentException opening = new IllegalArgumentException("opening");

        Closing.after(opening, step(1, 1), step(2, 0));

        assertThat(closed).containsExactly(1, 2);
        assertThat(opening.getSuppressed()).extracting(Throwable::getMessage).containsExactly("step 1");
    }
}
