package org.swaplane.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class BackgroundTest {
    private final ExecutorService window = Executors.newSingleThreadExecutor();
    private final List<Object> said = Collections.synchronizedList(new ArrayList<>());
    private final Background background = new Background(
            work -> {
                if (!window.isShutdown()) {
                    window.execute(work);
                }
            },
            said::add);

    @AfterEach
    void close() {
        background.end();
        window.shutdownNow();
    }

    private void await(CountDownLatch latch) throws InterruptedException {
        assertThat(latch.await(10, TimeUnit.SECONDS)).isTrue();
    }

    private void cancelOnTheWindowsThread() {
        window.execute(background::cancel);
    }

    @Test
    void workThatWasDoneWhenItWasCancelledSaysSo() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch cancelled = new CountDownLatch(1);
        CountDownLatch done = new CountDownLatch(1);
        window.execute(() -> background.run(
                "a job",
                progress -> {
                    begun.countDown();
                    cancelled.await();
                    return "committed";
                },
                result -> {
                    said.add(result);
                    done.countDown();
                }));
        await(begun);
        cancelOnTheWindowsThread();
        cancelled.countDown();

        await(done);
        assertThat(said).containsExactly("committed");
    }

    @Test
    void whoWaitsForAnAnswerHearsThatThereWillBeNone() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch stopped = new CountDownLatch(2);
        window.execute(() -> background.look(
                "a job",
                progress -> {
                    begun.countDown();
                    while (true) {
                        progress.checkCancelled();
                    }
                },
                result -> said.add(result),
                stopped::countDown));
        await(begun);
        cancelOnTheWindowsThread();
        window.execute(() -> background.look(
                "another",
                progress -> {
                    throw new IllegalStateException("broken");
                },
                result -> said.add("never"),
                stopped::countDown));

        await(stopped);
        assertThat(said).singleElement().isInstanceOf(IllegalStateException.class);
    }

    @Test
    void workThatStopsWhenItIsCancelledIsNoFailure() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch next = new CountDownLatch(1);
        window.execute(() -> background.run(
                "a job",
                progress -> {
                    begun.countDown();
                    while (true) {
                        progress.checkCancelled();
                    }
                },
                result -> said.add(result)));
        await(begun);
        cancelOnTheWindowsThread();
        window.execute(() -> background.run("next", progress -> "next", result -> next.countDown()));

        await(next);
        assertThat(said).isEmpty();
    }

    @Test
    void readingDoesNotWaitForOtherWork() throws Exception {
        CountDownLatch held = new CountDownLatch(1);
        CountDownLatch read = new CountDownLatch(1);
        window.execute(() -> {
            background.run("long", progress -> held.await(10, TimeUnit.SECONDS), result -> {});
            background.read("a track", progress -> "read", result -> read.countDown(), said::add);
        });

        await(read);
        held.countDown();
    }

    @Test
    void nobodyWaitsForAnotherProgramThatDoesNotAnswer() throws Exception {
        CountDownLatch answered = new CountDownLatch(1);
        CountDownLatch spoken = new CountDownLatch(1);
        window.execute(() -> {
            background.ask(
                    Background.Asked.DRAFTS, "drafts", progress -> answered.await(10, TimeUnit.SECONDS), done -> {});
            background.ask(Background.Asked.VOICE, "reading", progress -> true, done -> spoken.countDown());
        });

        await(spoken);
        answered.countDown();
    }

    @Test
    void atTheEndWhatRunsIsToldAndAwaitedAndNothingNewBegins() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch ended = new CountDownLatch(1);
        window.execute(() -> background.run(
                "a job",
                progress -> {
                    begun.countDown();
                    while (!progress.cancelled()) {
                        Thread.onSpinWait();
                    }
                    ended.countDown();
                    return true;
                },
                done -> {}));
        await(begun);

        window.submit(background::end).get();
        background.await();

        assertThat(ended.getCount()).isZero();
        CountDownLatch refused = new CountDownLatch(1);
        window.submit(() -> background.look("more", progress -> true, done -> {}, refused::countDown))
                .get();
        assertThat(refused.getCount()).isZero();
    }
}
