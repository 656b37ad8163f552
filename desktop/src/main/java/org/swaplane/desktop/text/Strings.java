package org.swaplane.desktop.text;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.util.List;
import java.util.Locale;
import java.util.MissingResourceException;
import java.util.ResourceBundle;
import java.util.function.UnaryOperator;
import org.swaplane.wording.InterfaceTranslation;
import org.swaplane.wording.Wording;

/** The strings of the interface by key, with ICU message syntax for their arguments. */
public final class Strings {
    private static final ResourceBundle.Control NO_FALLBACK =
            ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES);
    private static final int FEW = 4;
    private static volatile Language language = language(Locale.ENGLISH);

    /** Strings, and the locale of their numbers. */
    private record Language(Locale locale, ResourceBundle bundle) {}

    private static final UnaryOperator<String> TRANSLATION = InterfaceTranslation.chosen();

    private Strings() {}

    private static Language language(Locale locale) {
        ResourceBundle bundle = ResourceBundle.getBundle("org.swaplane.desktop.text.strings", locale, NO_FALLBACK);
        // Numbers and plurals go by the language of the strings, whatever was asked for.
        boolean english = bundle.getLocale().getLanguage().isEmpty();
        return new Language(english ? Locale.ENGLISH : locale, bundle);
    }

    /** From now on strings are of this language, English where there are none. The program chooses it once, when it starts. */
    public static void choose(Locale locale) {
        language = language(locale);
        Wording.choose(locale);
    }

    /** The locale by which numbers, dates and names of languages are written. */
    public static ULocale locale() {
        return ULocale.forLocale(language.locale());
    }

    /** The first of many, as a message has room for, and how many there are besides. */
    public static String few(List<String> all, String divider) {
        String first = String.join(divider, all.subList(0, Math.min(FEW, all.size())));
        return all.size() <= FEW ? first : first + divider + text("list.more", all.size() - FEW);
    }

    public static boolean has(String key) {
        return language.bundle().containsKey(key);
    }

    /** The string for {@code key}; a key that is missing shows as {@code <key>}. */
    public static String text(String key, Object... arguments) {
        Language now = language;
        try {
            String pattern = TRANSLATION.apply(now.bundle().getString(key));
            return arguments.length == 0
                    ? pattern.replace("''", "'")
                    : new MessageFormat(pattern, now.locale()).format(arguments);
        } catch (MissingResourceException e) {
            return '<' + key + '>';
        }
    }
}
