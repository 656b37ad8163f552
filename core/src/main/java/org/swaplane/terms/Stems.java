package org.swaplane.terms;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import org.apache.lucene.analysis.CharArraySet;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.ar.ArabicStemFilter;
import org.apache.lucene.analysis.bg.BulgarianStemFilter;
import org.apache.lucene.analysis.core.KeywordTokenizer;
import org.apache.lucene.analysis.cz.CzechStemFilter;
import org.apache.lucene.analysis.de.GermanLightStemFilter;
import org.apache.lucene.analysis.el.GreekStemFilter;
import org.apache.lucene.analysis.en.EnglishMinimalStemFilter;
import org.apache.lucene.analysis.en.KStemFilter;
import org.apache.lucene.analysis.es.SpanishLightStemFilter;
import org.apache.lucene.analysis.fi.FinnishLightStemFilter;
import org.apache.lucene.analysis.fr.FrenchLightStemFilter;
import org.apache.lucene.analysis.gl.GalicianStemFilter;
import org.apache.lucene.analysis.hi.HindiStemFilter;
import org.apache.lucene.analysis.hu.HungarianLightStemFilter;
import org.apache.lucene.analysis.id.IndonesianStemFilter;
import org.apache.lucene.analysis.it.ItalianLightStemFilter;
import org.apache.lucene.analysis.lv.LatvianStemFilter;
import org.apache.lucene.analysis.miscellaneous.SetKeywordMarkerFilter;
import org.apache.lucene.analysis.no.NorwegianLightStemFilter;
import org.apache.lucene.analysis.pt.PortugueseLightStemFilter;
import org.apache.lucene.analysis.ru.RussianLightStemFilter;
import org.apache.lucene.analysis.snowball.SnowballFilter;
import org.apache.lucene.analysis.sv.SwedishLightStemFilter;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;

/** The stems of a language's words by Lucene, where it has light stemmers by those: they take endings off and nothing more. Thread-safe. */
public final class Stems {
    private static final Map<String, UnaryOperator<TokenStream>> STEMMERS = Map.ofEntries(
            Map.entry("ar", ArabicStemFilter::new),
            Map.entry("bg", BulgarianStemFilter::new),
            Map.entry("ca", words -> new SnowballFilter(words, "Catalan")),
            Map.entry("cs", CzechStemFilter::new),
            Map.entry("da", words -> new SnowballFilter(words, "Danish")),
            Map.entry("de", GermanLightStemFilter::new),
            Map.entry("el", GreekStemFilter::new),
            Map.entry("en", Stems::english),
            Map.entry("es", SpanishLightStemFilter::new),
            Map.entry("et", words -> new SnowballFilter(words, "Estonian")),
            Map.entry("eu", words -> new SnowballFilter(words, "Basque")),
            Map.entry("fi", FinnishLightStemFilter::new),
            Map.entry("fr", FrenchLightStemFilter::new),
            Map.entry("ga", words -> new SnowballFilter(words, "Irish")),
            Map.entry("gl", GalicianStemFilter::new),
            Map.entry("hi", HindiStemFilter::new),
            Map.entry("hu", HungarianLightStemFilter::new),
            Map.entry("hy", words -> new SnowballFilter(words, "Armenian")),
            Map.entry("id", IndonesianStemFilter::new),
            Map.entry("it", ItalianLightStemFilter::new),
            Map.entry("lt", words -> new SnowballFilter(words, "Lithuanian")),
            Map.entry("lv", LatvianStemFilter::new),
            Map.entry("nb", NorwegianLightStemFilter::new),
            Map.entry("nl", words -> new SnowballFilter(words, "Dutch")),
            Map.entry("no", NorwegianLightStemFilter::new),
            Map.entry("pt", PortugueseLightStemFilter::new),
            Map.entry("ro", words -> new SnowballFilter(words, "Romanian")),
            Map.entry("ru", RussianLightStemFilter::new),
            Map.entry("sr", words -> new SnowballFilter(words, "Serbian")),
            Map.entry("sv", SwedishLightStemFilter::new),
            Map.entry("tr", words -> new SnowballFilter(words, "Turkish")));

    /** Plurals that are words of their own, and no forms of the others. */
    private static final CharArraySet OWN_WORDS = new CharArraySet(
            List.of("arms", "customs", "glasses", "goods", "headquarters", "means", "news", "premises", "series"),
            false);

    private static final Map<String, Stems> BY_LANGUAGE = new ConcurrentHashMap<>();
    private static final int MOST_KEPT = 100_000;

    private final UnaryOperator<TokenStream> stemmer;
    private final Map<String, String> known = new ConcurrentHashMap<>();

    private Stems(UnaryOperator<TokenStream> stemmer) {
        this.stemmer = stemmer;
    }

    /** The dictionary of the first one holds many plurals, too, which the second one takes the ending off. */
    private static TokenStream english(TokenStream words) {
        return new EnglishMinimalStemFilter(new KStemFilter(new SetKeywordMarkerFilter(words, OWN_WORDS)));
    }

    /** Empty where there is no stemmer for the language, a subtag such as {@code de}. */
    public static Optional<Stems> of(String language) {
        return Optional.ofNullable(STEMMERS.get(language))
                .map(stemmer -> BY_LANGUAGE.computeIfAbsent(language, none -> new Stems(stemmer)));
    }

    /** The stem of a word in small letters. */
    public String stem(String word) {
        if (known.size() > MOST_KEPT) {
            known.clear();
        }
        return known.computeIfAbsent(word, this::computed);
    }

    private String computed(String word) {
        KeywordTokenizer whole = new KeywordTokenizer();
        whole.setReader(new StringReader(word));
        try (TokenStream stems = stemmer.apply(whole)) {
            CharTermAttribute stem = stems.addAttribute(CharTermAttribute.class);
            stems.reset();
            return stems.incrementToken() && !stem.isEmpty() ? stem.toString() : word;
        } catch (IOException e) {
            throw new UncheckedIOException(e); // it reads a string
        }
    }
}
