package org.swaplane.desktop.text;

import com.ibm.icu.util.ULocale;
import java.util.Comparator;
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

    /**
     * The languages that are meant by what is typed, a part of a name or the beginning of a code: first the one whose whole code it is, those
     * that were chosen last, those whose name begins so, then languages alone and in the region where they are mostly spoken.
     */
    static List<String> matching(String typed, List<String> last, int most) {
        String wanted = typed.toLowerCase(Locale.ROOT);
        return Stream.concat(last.stream(), ALL.stream())
                .distinct()
                .filter(code -> code.toLowerCase(Locale.ROOT).startsWith(wanted)
                        || names(code).contains(wanted))
                .sorted(Comparator.comparingInt(code -> rank(code, wanted, last)))
                .limit(most)
                .toList();
    }

    /** What a language can be looked for by: British English as well as English (United Kingdom). */
    private static String names(String code) {
        String plain = ULocale.forLanguageTag(code).getDisplayName(Strings.locale());
        return (withCode(code) + '\n' + plain).toLowerCase(Locale.ROOT);
    }

    private static int rank(String code, String wanted, List<String> last) {
        if (code.equalsIgnoreCase(wanted)) {
            return -1;
        }
        if (last.contains(code)) {
            return last.indexOf(code);
        }
        ULocale locale = ULocale.forLanguageTag(code);
        ULocale whole = ULocale.addLikelySubtags(ULocale.forLanguageTag(locale.getLanguage()));
        boolean begins = names(code).lines().anyMatch(name -> name.startsWith(wanted));
        int commonness = locale.getCountry().isEmpty() && locale.getScript().isEmpty()
                ? 1
                : locale.getCountry().equals(whole.getCountry())
                                && locale.getScript().isEmpty()
                        ? 0
                        : 2;
        return 100 + (begins ? 0 : 10) + commonness;
    }
}
