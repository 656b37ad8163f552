package org.swaplane.check;

import com.ibm.icu.util.ULocale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What the checks need to know of a language.
 *
 * @param code of the language alone, such as {@code de}
 * @param script ISO 15924, the usual one of the language
 */
record Language(String code, String region, String script) {
    private static final Map<String, Language> KNOWN = new ConcurrentHashMap<>();
    private static final Set<String> WITHOUT_SPACES = Set.of("zh", "ja", "th", "lo", "km", "my", "bo", "yue");
    private static final Set<String> WITHOUT_STOPS = Set.of("th", "lo", "km", "my", "bo", "dz");
    private static final Set<String> CASED = Set.of("Latn", "Cyrl", "Grek", "Armn");

    static Language of(String tag) {
        return KNOWN.computeIfAbsent(tag, each -> {
            ULocale locale = ULocale.addLikelySubtags(ULocale.forLanguageTag(each));
            return new Language(locale.getLanguage(), locale.getCountry(), locale.getScript());
        });
    }

    boolean hasSpaces() {
        return !WITHOUT_SPACES.contains(code);
    }

    /** Whether a sentence ends with a mark. */
    boolean hasStops() {
        return !WITHOUT_STOPS.contains(code);
    }

    /** Whether its letters are small or capital. */
    boolean isCased() {
        return CASED.contains(script);
    }

    boolean isOneOf(String... codes) {
        return Set.of(codes).contains(code);
    }
}
