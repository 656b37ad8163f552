package org.swaplane.document;

import com.ibm.icu.util.ULocale;
import java.util.IllformedLocaleException;
import java.util.Locale;
import java.util.Set;
import org.swaplane.wording.Wording;

/** Language codes (BCP 47) as files write them. */
public final class LanguageCode {
    private static final Set<String> LANGUAGES = Set.of(Locale.getISOLanguages());

    private LanguageCode() {}

    /** What is wrong with a code that a file states: nothing when it is empty or right. */
    public static String fault(String code) {
        if (code.isEmpty()) {
            return "";
        }
        try {
            Locale locale = new Locale.Builder().setLanguageTag(code).build();
            return isKnown(locale.getLanguage()) ? "" : Wording.text("language.unknown", code);
        } catch (IllformedLocaleException e) {
            return Wording.text(code.indexOf('_') > 0 ? "language.underscore" : "language.malformed", code);
        }
    }

    private static boolean isKnown(String language) {
        // Private codes (qaa to qtz, x-...) are nobody's business; three letters are known to CLDR by a name of their
        // own.
        return language.isEmpty()
                || LANGUAGES.contains(language)
                || language.matches("q[a-t][a-z]|und|mul|zxx")
                || !new ULocale(language).getDisplayLanguage(ULocale.ENGLISH).equals(language);
    }
}
