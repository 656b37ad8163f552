package org.swaplane.wording;

import com.ibm.icu.text.MessageFormat;
import java.util.Locale;
import java.util.MissingResourceException;
import java.util.ResourceBundle;
import java.util.function.UnaryOperator;

/** Sentences of core by key, with ICU message syntax for their arguments. The language does not depend on the machine. */
public final class Wording {
    private static final ResourceBundle BUNDLE = ResourceBundle.getBundle("org.swaplane.wording.core", Locale.ROOT);

    private static final UnaryOperator<String> TRANSLATION = InterfaceTranslation.chosen();

    private Wording() {}

    /** The sentence for {@code key}; a key that is missing shows as {@code <key>}. */
    public static String say(String key, Object... arguments) {
        try {
            return new MessageFormat(TRANSLATION.apply(BUNDLE.getString(key)), Locale.ENGLISH).format(arguments);
        } catch (MissingResourceException e) {
            return '<' + key + '>';
        }
    }
}
