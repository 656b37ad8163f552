package org.swaplane.task;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ParallelTest {
    @Test
    void resultsComeInTheOrderOfWhatWasGiven() throws IOException {
        List<Integer> all = IntStream.range(0, 200).boxed().toList();

        assertThat(Parallel.map(all, each -> each * 2, Progress.NONE))
                .isEqualTo(all.stream().map(each -> each * 2).toList());
    }

    @Test
    void afterAFailureNothingOfItRunsAnyMore() {
        AtomicInteger running = new AtomicInteger();
        CountDownLatch begun = new CountDownLatch(1);

        assertThatThrownBy(() -> Parallel.map(
                        List.of(1, 2),
                        each -> {
                            if (each == 1) {
                                await(begun);
                                throw new IOException("first");
                            }
                            running.incrementAndGet();
                            begun.countDown();
                            // It does not hear that it is interrupted, as writing to a disk does not.
                            long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(300);
                            while (System.nanoTime() < end) {
                                Thread.onSpinWait();
                            }
                            running.decrementAndGet();
                            return each;
                        },
                        Progress.NONE))
                .isInstanceOf(IOException.class)
                .hasMessage("first");

        assertThat(running).hasValue(0);
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await(2, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
