package org.swaplane.rates;

import com.ibm.icu.util.ULocale;
import java.util.Optional;

/** How closely a language that was agreed on names that of some work, by BCP 47 and whatever the case; the last is the closest. */
enum LanguageMatch {
    /** It was agreed for every language. */
    ANY,
    /** The same language, and the script that is usual for it; nothing was said of a region. */
    LANGUAGE,
    REGION;

    /** Empty where it is another language, script or region. */
    static Optional<LanguageMatch> of(String agreed, String language) {
        if (agreed.isBlank()) {
            return Optional.of(ANY);
        }
        ULocale asked = canonical(agreed);
        ULocale given = canonical(language);
        if (asked.getLanguage().isEmpty()) {
            return agreed.strip().equalsIgnoreCase(language.strip()) ? Optional.of(REGION) : Optional.empty();
        }
        boolean sameLanguage = asked.getLanguage().equals(given.getLanguage());
        boolean sameScript = asked.getScript().isEmpty() && asked.getCountry().isEmpty()
                || script(asked).equals(script(given));
        boolean sameRegion = asked.getCountry().isEmpty() || asked.getCountry().equals(given.getCountry());
        if (!sameLanguage || !sameScript || !sameRegion) {
            return Optional.empty();
        }
        return Optional.of(asked.getCountry().isEmpty() ? LANGUAGE : REGION);
    }

    private static ULocale canonical(String code) {
        return ULocale.createCanonical(
                ULocale.forLanguageTag(code.strip().replace('_', '-')).getName());
    }

    private static String script(ULocale of) {
        return ULocale.addLikelySubtags(of).getScript();
    }
}
