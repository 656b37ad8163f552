package org.swaplane.check;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** Words that count without being spelled numbers, such as 'twice', 'none' and 'half', by language. */
final class CountingWords {
    private static final Properties WORDS = read();
    private static final Map<String, Set<String>> BY_KEY = new ConcurrentHashMap<>();

    private CountingWords() {}

    private static Properties read() {
        Properties words = new Properties();
        try (Reader in = new InputStreamReader(
                CountingWords.class.getResourceAsStream("counting-words.properties"), StandardCharsets.UTF_8)) {
            words.load(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return words;
    }

    /**
     * The words of a language.
     *
     * @param number in digits, or {@code half}, {@code one-and-half}, {@code midnight}, {@code round-the-clock}, or {@code counters} for what follows a numeral of one
     *     character
     */
    static Set<String> of(String language, String number) {
        return BY_KEY.computeIfAbsent(language + '.' + number, key -> {
            String words = WORDS.getProperty(key, "");
            return words.isEmpty() ? Set.of() : Set.of(words.split(" "));
        });
    }
}
