package org.swaplane.speech;

import java.time.Duration;
import java.util.function.Consumer;
import org.swaplane.task.Progress;

/** A stand-in that hears nothing: it tells the words of a prepared text one after the other, as if they had been spoken. */
public final class PreparedDictation implements Dictation {
    private static final Duration PER_WORD = Duration.ofMillis(250);

    private final String text;
    private final Duration perWord;

    public PreparedDictation(String text) {
        this(text, PER_WORD);
    }

    PreparedDictation(String text, Duration perWord) {
        this.text = text;
        this.perWord = perWord;
    }

    @Override
    public void listen(String language, Consumer<String> recognised, Progress progress) {
        String space = "";
        for (String word : text.strip().split("\\s+")) {
            if (progress.cancelled()) {
                return;
            }
            try {
                Thread.sleep(perWord.toMillis());
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
            recognised.accept(space + word);
            space = " ";
        }
    }
}
