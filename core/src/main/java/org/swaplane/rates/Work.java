package org.swaplane.rates;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.swaplane.effort.Activity;

/**
 * An amount of work, done or expected.
 *
 * @param recipient who does it; empty for oneself
 * @param words of the sources by the name of their band, in their order
 * @param millis 0 where the time is not known
 */
public record Work(
        String sourceLanguage,
        String targetLanguage,
        String recipient,
        Activity activity,
        Map<String, Long> words,
        long millis) {
    public Work {
        words = Collections.unmodifiableMap(new LinkedHashMap<>(words));
    }

    public long allWords() {
        return words.values().stream().mapToLong(Long::longValue).sum();
    }
}
