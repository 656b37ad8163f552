package org.swaplane.desktop.text;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.util.Locale;
import java.util.MissingResourceException;
import java.util.ResourceBundle;
import java.util.function.UnaryOperator;
import org.swaplane.wording.InterfaceTranslation;

/** The strings of the interface by key, with ICU message syntax for their arguments. */
public final class Strings {
    private static final ResourceBundle BUNDLE =
            ResourceBundle.getBundle("org.swaplane.desktop.text.strings", Locale.ROOT);

    private static final UnaryOperator<String> TRANSLATION = InterfaceTranslation.chosen();

    private Strings() {}

    /** The locale by which numbers, dates and names of languages are written. */
    public static ULocale locale() {
        return ULocale.ENGLISH;
    }

    /** The string for {@code key}; a key that is missing shows as {@code <key>}. */
    public static String say(String key, Object... arguments) {
        try {
            String pattern = TRANSLATION.apply(BUNDLE.getString(key));
            return arguments.length == 0
                    ? pattern.replace("''", "'")
                    : new MessageFormat(pattern, Locale.ENGLISH).format(arguments);
        } catch (MissingResourceException e) {
            return '<' + key + '>';
        }
    }
}
