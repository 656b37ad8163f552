package org.swaplane.desktop.session;

import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import org.swaplane.compare.Span;
import org.swaplane.desktop.text.Strings;
import org.swaplane.speech.Dictation;
import org.swaplane.speech.Voice;
import org.swaplane.task.Progress;

/** Reads aloud and takes dictation, one at a time; asked again while it goes on, it stops. */
public final class Speech {
    private final LaneSession session;
    private final Voice voice;
    private final AtomicReference<Running> running = new AtomicReference<>();

    /** Something that goes on until it is done or stopped. */
    private static final class Running {
        private volatile boolean stopped;

        private Progress within(Progress progress) {
            return new Progress() {
                @Override
                public void at(long done, long total) {
                    progress.at(done, total);
                }

                @Override
                public boolean cancelled() {
                    return stopped || progress.cancelled();
                }
            };
        }
    }

    Speech(LaneSession session, Voice voice) {
        this.session = session;
        this.voice = voice;
    }

    private interface Work {
        void go(Progress progress) throws Exception;
    }

    /** Stops what goes on, or begins. */
    private void toggle(String words, Work work, Runnable done) {
        Running now = new Running();
        Running before = running.getAndSet(now);
        if (before != null && !before.stopped) {
            before.stopped = true;
            running.set(null);
            return;
        }
        session.background()
                .ask(
                        Background.Asked.VOICE,
                        words,
                        progress -> {
                            try {
                                work.go(now.within(progress));
                            } finally {
                                running.compareAndSet(now, null);
                            }
                            return true;
                        },
                        spoken -> done.run());
    }

    /**
     * Reads a text aloud.
     *
     * @param reading told which word is read, as far as the voice says so
     * @param done told when it ends, however it ends
     */
    public void read(String text, String language, Consumer<Span> reading, Runnable done) {
        toggle(
                Strings.text("task.reading"),
                progress -> voice.read(text, language, word -> session.inWindow(() -> reading.accept(word)), progress),
                done);
    }

    /** Takes dictation; what is recognised is told piece by piece. */
    public void dictate(Dictation dictation, String language, Consumer<String> recognised) {
        toggle(
                Strings.text("task.dictation"),
                progress ->
                        dictation.listen(language, text -> session.inWindow(() -> recognised.accept(text)), progress),
                () -> {});
    }
}
