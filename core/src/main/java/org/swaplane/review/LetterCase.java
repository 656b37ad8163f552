package org.swaplane.review;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.util.ULocale;
import java.util.Locale;

/** Changes the case of words by the rules of their language: small letters, then capitals at the beginnings, then all capitals. */
public final class LetterCase {
    private LetterCase() {}

    /** The words in the case that comes after the one that they have. */
    public static String next(String words, Locale language) {
        ULocale locale = ULocale.forLocale(language);
        String small = UCharacter.toLowerCase(locale, words);
        String capitals = UCharacter.toUpperCase(locale, words);
        String titled = UCharacter.toTitleCase(locale, words, null);
        if (words.equals(capitals) && !words.equals(titled)) {
            return small;
        }
        return words.equals(titled) && !titled.equals(small) ? capitals : words.equals(small) ? titled : small;
    }
}
