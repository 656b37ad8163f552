package org.swaplane.review;

import com.ibm.icu.text.Transliterator;
import com.ibm.icu.util.ULocale;
import java.util.Map;
import java.util.Optional;

/** Typing another script on a Latin keyboard: what was typed since the word began becomes letters of the script, by ICU's rules. */
public final class Transliteration {
    /** By language, or by script where many languages share one. */
    private static final Map<String, String> BY_LANGUAGE = Map.of("ja", "Latin-Hiragana", "ko", "Latin-Hangul");

    private static final Map<String, String> BY_SCRIPT = Map.ofEntries(
            Map.entry("Arab", "Latin-Arabic"),
            Map.entry("Beng", "Latin-Bengali"),
            Map.entry("Cyrl", "Latin-Cyrillic"),
            Map.entry("Deva", "Latin-Devanagari"),
            Map.entry("Grek", "Latin-Greek"),
            Map.entry("Gujr", "Latin-Gujarati"),
            Map.entry("Guru", "Latin-Gurmukhi"),
            Map.entry("Hebr", "Latin-Hebrew"),
            Map.entry("Knda", "Latin-Kannada"),
            Map.entry("Mlym", "Latin-Malayalam"),
            Map.entry("Taml", "Latin-Tamil"),
            Map.entry("Telu", "Latin-Telugu"),
            Map.entry("Thai", "Latin-Thai"));

    private final Transliterator letters;

    private Transliteration(Transliterator letters) {
        this.letters = letters;
    }

    /** For a language, a BCP 47 code; empty where it is written in Latin letters, or ICU has no rules. */
    public static Optional<Transliteration> of(String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        String script = ULocale.addLikelySubtags(locale).getScript();
        String id = BY_LANGUAGE.getOrDefault(locale.getLanguage(), BY_SCRIPT.getOrDefault(script, ""));
        return id.isEmpty() ? Optional.empty() : Optional.of(new Transliteration(Transliterator.getInstance(id)));
    }

    /** What Latin letters of one word become. */
    public String written(CharSequence latin) {
        return letters.transliterate(latin.toString());
    }
}
