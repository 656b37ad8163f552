package org.swaplane.format.table;

import com.ibm.icu.text.LocaleDisplayNames;
import com.ibm.icu.util.ULocale;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.document.LanguageCode;

/**
 * What the name of a column says: that it holds sources or targets, and in which language. Names of languages are those of CLDR in many
 * languages, with or without a code beside them, as in 'Translation (de)' and 'Englisch'.
 *
 * @param role empty where only the language is named
 * @param language BCP 47 code, empty where it is not named
 */
record ColumnName(Optional<Role> role, String language) {
    enum Role {
        SOURCE,
        TARGET
    }

    static final ColumnName UNKNOWN = new ColumnName(Optional.empty(), "");

    /** The usual words, which CLDR does not have. */
    private static final Set<String> SOURCES = Set.of(
            "source",
            "source text",
            "original",
            "original text",
            "quelle",
            "quelltext",
            "ausgangstext",
            "ausgangssprache",
            "texte source",
            "texte d'origine",
            "origine",
            "fuente",
            "origen",
            "texto original",
            "originale",
            "testo originale",
            "fonte",
            "origem",
            "bron",
            "brontekst",
            "źródło",
            "tekst źródłowy",
            "исходный текст",
            "оригинал",
            "источник",
            "zdroj",
            "zdrojový text",
            "forrás",
            "forrásszöveg",
            "kaynak",
            "kaynak metin",
            "lähde",
            "lähdeteksti",
            "källa",
            "källtext",
            "kilde",
            "kildetekst",
            "sursă",
            "πηγή",
            "原文",
            "ソース",
            "源文",
            "源文本",
            "来源",
            "원문",
            "المصدر",
            "מקור");

    private static final Set<String> TARGETS = Set.of(
            "target",
            "target text",
            "translation",
            "ziel",
            "zieltext",
            "zielsprache",
            "übersetzung",
            "cible",
            "texte cible",
            "traduction",
            "traducción",
            "destino",
            "texto de destino",
            "traduzione",
            "destinazione",
            "tradução",
            "doel",
            "doeltekst",
            "vertaling",
            "cel",
            "tłumaczenie",
            "tekst docelowy",
            "перевод",
            "překlad",
            "cílový text",
            "preklad",
            "cél",
            "fordítás",
            "célszöveg",
            "hedef",
            "çeviri",
            "kohde",
            "käännös",
            "mål",
            "måltext",
            "översättning",
            "oversættelse",
            "oversettelse",
            "traducere",
            "μετάφραση",
            "訳文",
            "翻訳",
            "ターゲット",
            "译文",
            "翻译",
            "번역",
            "번역문",
            "الترجمة",
            "תרגום");

    /** The languages that tables are headed in. */
    private static final List<String> HEADED_IN = List.of(
            "en", "de", "fr", "es", "it", "pt", "nl", "pl", "cs", "sk", "sl", "hr", "hu", "ro", "bg", "el", "tr", "ru",
            "uk", "sv", "da", "nb", "fi", "et", "lv", "lt", "ja", "zh", "zh-Hant", "ko", "ar", "he", "hi", "th", "vi",
            "id", "ca");

    private static final Pattern WITH_CODE =
            Pattern.compile("^(.*?)[\\s\\-:_/]*[(\\[]\\s*([A-Za-z]{2,3}(?:[-_][A-Za-z0-9]+)*)\\s*[)\\]]$");
    private static final Pattern ROLE_AND_CODE =
            Pattern.compile("(?i)^(source|target)[\\s_:-]+([a-z]{2,3}(?:[-_][a-z0-9]+)*)$");
    private static final Map<String, String> LANGUAGES = languages();

    private static Map<String, String> languages() {
        Map<String, String> languages = new HashMap<>();
        for (String headed : HEADED_IN) {
            LocaleDisplayNames names = LocaleDisplayNames.getInstance(ULocale.forLanguageTag(headed));
            for (String code : Locale.getISOLanguages()) {
                String name = names.languageDisplayName(code).toLowerCase(Locale.ROOT);
                if (!name.equals(code)) {
                    languages.putIfAbsent(name, code);
                }
            }
        }
        return Map.copyOf(languages);
    }

    static ColumnName of(String written) {
        String name = written.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        Matcher withCode = WITH_CODE.matcher(written.strip());
        if (withCode.matches() && isCode(withCode.group(2))) {
            return new ColumnName(role(withCode.group(1).strip().toLowerCase(Locale.ROOT)), code(withCode.group(2)));
        }
        Matcher roleAndCode = ROLE_AND_CODE.matcher(written.strip());
        if (roleAndCode.matches() && isCode(roleAndCode.group(2))) {
            return new ColumnName(role(roleAndCode.group(1).toLowerCase(Locale.ROOT)), code(roleAndCode.group(2)));
        }
        if (role(name).isPresent()) {
            return new ColumnName(role(name), "");
        }
        if (isCode(name)) {
            return new ColumnName(Optional.empty(), code(written.strip()));
        }
        return new ColumnName(Optional.empty(), LANGUAGES.getOrDefault(name, ""));
    }

    private static Optional<Role> role(String name) {
        if (SOURCES.contains(name) || name.startsWith("source")) {
            return Optional.of(Role.SOURCE);
        }
        return TARGETS.contains(name) || name.startsWith("target") ? Optional.of(Role.TARGET) : Optional.empty();
    }

    private static boolean isCode(String name) {
        return name.matches("(?i)[a-z]{2,3}([-_][a-z0-9]+)*")
                && LanguageCode.fault(name.replace('_', '-')).isEmpty();
    }

    private static String code(String name) {
        return name.replace('_', '-');
    }

    boolean saysSomething() {
        return role.isPresent() || !language.isEmpty();
    }
}
