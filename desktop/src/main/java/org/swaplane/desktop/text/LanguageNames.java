package org.swaplane.desktop.text;

import com.ibm.icu.util.ULocale;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** Languages by name and code, as {@code German (Germany) (de-DE)}. */
public final class LanguageNames {
    private static final List<String> ALL = Stream.of(ULocale.getAvailableLocales())
            .filter(locale ->
                    locale.getVariant().isEmpty() && !locale.getLanguage().isEmpty())
            .map(ULocale::toLanguageTag)
            .filter(code -> !code.contains("POSIX") && !code.contains("-u-"))
            .sorted()
            .toList();

    private LanguageNames() {}

    /** The codes of all languages, with and without regions, that CLDR knows. */
    public static List<String> codes() {
        return ALL;
    }

    /** The name and the code; only the code where it has no name, and nothing for nothing. */
    public static String withCode(String code) {
        if (code.isEmpty()) {
            return "";
        }
        String name = ULocale.forLanguageTag(code).getDisplayNameWithDialect(Strings.locale());
        return name.isEmpty() || name.equalsIgnoreCase(code) ? code : name + " (" + code + ")";
    }

    /** Whether a language is meant by what is typed: a part of its name or the beginning of its code. */
    public static boolean matches(String code, String typed) {
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        return code.toLowerCase(Locale.ROOT).startsWith(wanted)
                || withCode(code).toLowerCase(Locale.ROOT).contains(wanted);
    }
}
