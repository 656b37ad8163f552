package org.swaplane.terms;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.function.Supplier;
import org.apache.lucene.analysis.CharArraySet;
import org.apache.lucene.analysis.WordlistLoader;
import org.apache.lucene.analysis.cz.CzechAnalyzer;
import org.apache.lucene.analysis.da.DanishAnalyzer;
import org.apache.lucene.analysis.de.GermanAnalyzer;
import org.apache.lucene.analysis.es.SpanishAnalyzer;
import org.apache.lucene.analysis.fi.FinnishAnalyzer;
import org.apache.lucene.analysis.fr.FrenchAnalyzer;
import org.apache.lucene.analysis.hu.HungarianAnalyzer;
import org.apache.lucene.analysis.it.ItalianAnalyzer;
import org.apache.lucene.analysis.nl.DutchAnalyzer;
import org.apache.lucene.analysis.no.NorwegianAnalyzer;
import org.apache.lucene.analysis.pt.PortugueseAnalyzer;
import org.apache.lucene.analysis.ru.RussianAnalyzer;
import org.apache.lucene.analysis.snowball.SnowballFilter;
import org.apache.lucene.analysis.sv.SwedishAnalyzer;

/** The small words of a language that join others, by Lucene; none where it has no list. */
final class StopWords {
    private static final Map<String, Supplier<CharArraySet>> LISTS = Map.ofEntries(
            Map.entry("cs", CzechAnalyzer::getDefaultStopSet),
            Map.entry("da", DanishAnalyzer::getDefaultStopSet),
            Map.entry("de", GermanAnalyzer::getDefaultStopSet),
            Map.entry("en", StopWords::english),
            Map.entry("es", SpanishAnalyzer::getDefaultStopSet),
            Map.entry("fi", FinnishAnalyzer::getDefaultStopSet),
            Map.entry("fr", FrenchAnalyzer::getDefaultStopSet),
            Map.entry("hu", HungarianAnalyzer::getDefaultStopSet),
            Map.entry("it", ItalianAnalyzer::getDefaultStopSet),
            Map.entry("nb", NorwegianAnalyzer::getDefaultStopSet),
            Map.entry("nl", DutchAnalyzer::getDefaultStopSet),
            Map.entry("no", NorwegianAnalyzer::getDefaultStopSet),
            Map.entry("pt", PortugueseAnalyzer::getDefaultStopSet),
            Map.entry("ru", RussianAnalyzer::getDefaultStopSet),
            Map.entry("sv", SwedishAnalyzer::getDefaultStopSet));

    private StopWords() {}

    /** The analyzer itself leaves out the smallest words only. */
    private static CharArraySet english() {
        try (Reader words = new InputStreamReader(
                SnowballFilter.class.getResourceAsStream("english_stop.txt"), StandardCharsets.UTF_8)) {
            return WordlistLoader.getSnowballWordSet(words);
        } catch (IOException e) {
            throw new UncheckedIOException(e); // it lies in the library
        }
    }

    /** {@code language} is a subtag such as {@code de}; the words are in small letters. */
    static CharArraySet of(String language) {
        return LISTS.getOrDefault(language, () -> CharArraySet.EMPTY_SET).get();
    }
}
