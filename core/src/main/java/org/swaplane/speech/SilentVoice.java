package org.swaplane.speech;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.time.Duration;
import org.swaplane.compare.Span;
import org.swaplane.task.Progress;

/** A stand-in without sound: tells word after word in the time that reading would take. */
public final class SilentVoice implements Voice {
    private static final Duration PER_LETTER = Duration.ofMillis(60);
    private static final long STEP_MILLIS = 20;

    private final Duration perLetter;

    public SilentVoice() {
        this(PER_LETTER);
    }

    SilentVoice(Duration perLetter) {
        this.perLetter = perLetter;
    }

    @Override
    public void read(String text, String language, Listener listener, Progress progress) {
        BreakIterator words = BreakIterator.getWordInstance(ULocale.forLanguageTag(language));
        words.setText(text);
        int start = words.first();
        for (int end = words.next(); end != BreakIterator.DONE; start = end, end = words.next()) {
            if (words.getRuleStatus() >= BreakIterator.WORD_NUMBER) {
                listener.reading(new Span(start, end));
                pause(perLetter.multipliedBy(end - start), progress);
            }
            if (progress.cancelled()) {
                return;
            }
        }
    }

    private static void pause(Duration time, Progress progress) {
        try {
            for (long left = time.toMillis(); left > 0 && !progress.cancelled(); left -= STEP_MILLIS) {
                Thread.sleep(Math.min(left, STEP_MILLIS));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
