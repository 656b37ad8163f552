package org.swaplane.wording;

import com.ibm.icu.text.MessageFormat;
import java.util.Locale;
import java.util.MissingResourceException;
import java.util.ResourceBundle;
import java.util.concurrent.Callable;
import java.util.function.UnaryOperator;

/** Sentences of core by key, with ICU message syntax for their arguments. The language does not depend on the machine. */
public final class Wording {
    private static final ResourceBundle.Control NO_FALLBACK =
            ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES);
    private static volatile Language language = language(Locale.ENGLISH);
    private static final ThreadLocal<Language> OF_THREAD = new ThreadLocal<>();

    /**
     * Sentences, and the locale of their numbers.
     *
     * @param formats as it was asked for
     */
    private record Language(Locale locale, ResourceBundle bundle, Locale formats) {}

    private static final UnaryOperator<String> TRANSLATION = InterfaceTranslation.chosen();

    private Wording() {}

    private static Language language(Locale locale) {
        ResourceBundle bundle = ResourceBundle.getBundle("org.swaplane.wording.core", locale, NO_FALLBACK);
        // Numbers and plurals go by the language of the sentences, whatever was asked for.
        boolean english = bundle.getLocale().getLanguage().isEmpty();
        return new Language(english ? Locale.ENGLISH : locale, bundle, locale);
    }

    /** From now on sentences are of this language, English where there are none. A program chooses it once, when it starts. */
    public static void choose(Locale locale) {
        language = language(locale);
    }

    /** The language of the sentences. */
    public static Locale locale() {
        return language().locale();
    }

    /** The language of numbers, dates and names of languages, which may be one that there are no sentences of. */
    public static Locale formats() {
        Language here = OF_THREAD.get();
        return here == null ? locale() : here.formats();
    }

    private static Language language() {
        Language here = OF_THREAD.get();
        return here == null ? language : here;
    }

    /** Does something in another language, on this thread; for what is written for somebody else. */
    public static <T> T in(Locale locale, Callable<T> work) throws Exception {
        Language before = OF_THREAD.get();
        OF_THREAD.set(language(locale));
        try {
            return work.call();
        } finally {
            OF_THREAD.set(before);
        }
    }

    /** Whether there is a sentence for {@code key}. */
    public static boolean has(String key) {
        return language().bundle().containsKey(key);
    }

    /** The sentence for {@code key}; a key that is missing shows as {@code <key>}. */
    public static String text(String key, Object... arguments) {
        Language now = language();
        try {
            return new MessageFormat(TRANSLATION.apply(now.bundle().getString(key)), now.locale()).format(arguments);
        } catch (MissingResourceException e) {
            return '<' + key + '>';
        }
    }
}
