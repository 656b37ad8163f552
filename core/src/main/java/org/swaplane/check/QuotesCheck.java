package org.swaplane.check;

import com.ibm.icu.util.LocaleData;
import com.ibm.icu.util.ULocale;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.wording.Phrase;

/** Double quotation marks without their other half, or of a kind that the target language does not use. */
final class QuotesCheck extends TextCheck {
    private static final String STRAIGHT = "\"\"";
    private static final String MARKS = "\"“”„‟«»「」『』";
    /** First and second halves of all kinds, by two. */
    private static final Set<String> PAIRS =
            Set.of("\"\"", "“”", "„“", "„”", "””", "““", "«»", "»«", "»»", "「」", "『』", "‟”", "”“");
    /** Kinds that languages use beside those that CLDR names. */
    private static final Map<String, Set<String>> ALSO = Map.ofEntries(
            Map.entry("en", Set.of()),
            Map.entry("de", Set.of("»«")),
            Map.entry("fr", Set.of("“”")),
            Map.entry("it", Set.of("“”")),
            Map.entry("es", Set.of("“”", "«»")),
            Map.entry("pt", Set.of("«»")),
            Map.entry("pl", Set.of("»«", "«»")),
            Map.entry("cs", Set.of("»«")),
            Map.entry("sk", Set.of("»«")),
            Map.entry("sl", Set.of("»«")),
            Map.entry("hr", Set.of("»«")),
            Map.entry("da", Set.of("»«", "”“", "“”")),
            Map.entry("sv", Set.of("»»", "»«", "“”")),
            Map.entry("fi", Set.of("»»", "»«", "“”")),
            Map.entry("nb", Set.of("“”")),
            Map.entry("nl", Set.of("„”", "“”")),
            Map.entry("hu", Set.of("»«")),
            Map.entry("ro", Set.of("«»", "“”")),
            Map.entry("el", Set.of("“”")),
            Map.entry("tr", Set.of("«»", "“”")),
            Map.entry("ru", Set.of("“”", "„“")),
            Map.entry("uk", Set.of("“”", "„“")),
            Map.entry("zh", Set.of("「」", "『』", "“”")),
            Map.entry("ja", Set.of("“”", "『』")),
            Map.entry("ko", Set.of("“”", "「」", "『』")));

    private final Map<String, Set<String>> usual = new ConcurrentHashMap<>();

    /** Two marks that belong together. */
    private record Quotation(int start, int end, String kind) {}

    QuotesCheck() {
        super("quotes");
    }

    @Override
    List<Finding> find(Texts texts) {
        String target = texts.target();
        if (target.chars().noneMatch(c -> MARKS.indexOf(c) >= 0)) {
            return List.of();
        }
        List<Quotation> quotations = new ArrayList<>();
        Optional<Integer> alone = pair(target, quotations);
        if (alone.isPresent()) {
            if (pair(texts.source(), new ArrayList<>()).isPresent()) {
                return List.of(); // the quotation goes on in another segment
            }
            int at = alone.get();
            String mark = target.substring(at, at + 1);
            return List.of(
                    warning(texts, Phrase.of("check.quotes.alone", mark), List.of(), List.of(new Span(at, at + 1))));
        }
        if (!ALSO.containsKey(texts.targetLanguage().code())) {
            return List.of(); // CLDR names one kind only, and many languages have several
        }
        Set<String> own = usual.computeIfAbsent(texts.segment().targetLanguage(), QuotesCheck::usual);
        boolean typed = texts.source().indexOf('"') < 0 && quoted(texts.source());
        List<Quotation> foreign = quotations.stream()
                .filter(each ->
                        !own.contains(each.kind()) || typed && each.kind().equals(STRAIGHT))
                .toList();
        if (foreign.isEmpty()) {
            return List.of();
        }
        String primary = primary(texts.segment().targetLanguage());
        Content fixed = texts.segment().target();
        List<Span> spans = new ArrayList<>();
        for (Quotation each : foreign) {
            spans.add(new Span(each.start(), each.start() + 1));
            spans.add(new Span(each.end(), each.end() + 1));
        }
        if (primary.length() == 2) {
            for (Quotation each : foreign) {
                fixed = fixed.replaceText(each.start(), each.start() + 1, primary.substring(0, 1))
                        .replaceText(each.end(), each.end() + 1, primary.substring(1));
            }
            return List.of(
                    warning(texts, Phrase.of("check.quotes.kind", foreign.get(0).kind(), primary), spans, fixed));
        }
        return List.of(
                warning(texts, Phrase.of("check.quotes.kind", foreign.get(0).kind(), primary), List.of(), spans));
    }

    /** Finds quotations; returns where a mark stands alone. A straight one behind a digit may stand for inches. */
    private static Optional<Integer> pair(String text, List<Quotation> quotations) {
        Deque<Integer> open = new ArrayDeque<>();
        for (int i = 0; i < text.length(); i++) {
            char mark = text.charAt(i);
            if (MARKS.indexOf(mark) < 0) {
                continue;
            }
            String kind = open.isEmpty() ? "" : text.charAt(open.peek()) + String.valueOf(mark);
            if (PAIRS.contains(kind)) {
                quotations.add(new Quotation(open.pop(), i, kind));
            } else if (mark != '"' || i == 0 || !Character.isDigit(text.charAt(i - 1))) {
                open.push(i);
            }
        }
        return Optional.ofNullable(open.peekLast());
    }

    /** Whether a text has quotation marks of a typographer. */
    private static boolean quoted(String text) {
        return text.indexOf('\u201C') >= 0 && text.indexOf('\u201D') >= 0;
    }

    private static Set<String> usual(String language) {
        ULocale locale = ULocale.forLanguageTag(language);
        LocaleData data = LocaleData.getInstance(locale);
        Set<String> kinds = new HashSet<>(ALSO.getOrDefault(locale.getLanguage(), Set.of()));
        kinds.add(STRAIGHT);
        kinds.add(primary(language));
        kinds.add(data.getDelimiter(LocaleData.ALT_QUOTATION_START) + data.getDelimiter(LocaleData.ALT_QUOTATION_END));
        if (Set.of("CH", "LI").contains(locale.getCountry())) {
            kinds.add("«»");
        }
        return kinds;
    }

    private static String primary(String language) {
        LocaleData data = LocaleData.getInstance(ULocale.forLanguageTag(language));
        return data.getDelimiter(LocaleData.QUOTATION_START).strip()
                + data.getDelimiter(LocaleData.QUOTATION_END).strip();
    }
}
