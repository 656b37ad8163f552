package org.swaplane.terms;

import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A term list of several languages.
 *
 * @param name of the file
 * @param entries each a concept
 */
public record TermList(String name, List<Entry> entries) {
    /** One way to say it. {@code language} is a BCP 47 code, or {@link #SOURCE} or {@link #TARGET} where the file names no languages. */
    public record Wording(String language, String text, boolean forbidden) {}

    /**
     * One concept.
     *
     * @param explanation definition and notes, a line each
     */
    public record Entry(List<Wording> wordings, String explanation) {
        public Entry(List<Wording> wordings) {
            this(wordings, "");
        }

        public Entry {
            wordings = List.copyOf(wordings);
        }
    }

    public static final String SOURCE = "source";
    public static final String TARGET = "target";

    public TermList {
        entries = List.copyOf(entries);
    }

    /** The terms from one language into another; a list for German also holds for German of Switzerland. */
    public List<Term> between(String sourceLanguage, String targetLanguage) {
        Map<String, Term> terms = new LinkedHashMap<>();
        for (Entry entry : entries) {
            List<String> preferred = new ArrayList<>();
            List<String> forbidden = new ArrayList<>();
            entry.wordings().stream()
                    .filter(each -> isFor(each.language(), targetLanguage, TARGET))
                    .forEach(each -> (each.forbidden() ? forbidden : preferred).add(each.text()));
            List<String> sources = entry.wordings().stream()
                    .filter(each -> isFor(each.language(), sourceLanguage, SOURCE))
                    .map(Wording::text)
                    .toList();
            if (preferred.isEmpty() && forbidden.isEmpty()) {
                continue;
            }
            // Several entries for one source allow each other's targets.
            for (String source : sources.isEmpty() && preferred.isEmpty() ? List.of("") : sources) {
                terms.merge(source, new Term(source, preferred, forbidden, entry.explanation()), TermList::both);
            }
        }
        return List.copyOf(terms.values());
    }

    private static Term both(Term one, Term other) {
        List<String> preferred = new ArrayList<>(one.preferred());
        preferred.addAll(other.preferred());
        List<String> forbidden = new ArrayList<>(one.forbidden());
        forbidden.addAll(other.forbidden());
        forbidden.removeAll(preferred);
        String explanation = Stream.of(one.explanation(), other.explanation())
                .filter(each -> !each.isEmpty())
                .distinct()
                .collect(Collectors.joining("\n"));
        return new Term(one.source(), preferred, forbidden, explanation);
    }

    private static boolean isFor(String stated, String wanted, String unnamed) {
        if (stated.equals(unnamed)) {
            return true;
        }
        ULocale list = ULocale.forLanguageTag(stated);
        ULocale text = ULocale.forLanguageTag(wanted);
        boolean sameRegion = list.getCountry().isEmpty()
                || text.getCountry().isEmpty()
                || list.getCountry().equals(text.getCountry());
        return !stated.equals(SOURCE)
                && !stated.equals(TARGET)
                && list.getLanguage().equals(text.getLanguage())
                && sameRegion;
    }
}
