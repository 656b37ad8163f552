package org.swaplane.spelling;

import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.ParseException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.lucene.analysis.hunspell.Hunspell;
import org.apache.lucene.analysis.hunspell.TimeoutPolicy;
import org.apache.lucene.store.ByteBuffersDirectory;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/** A Hunspell dictionary. Thread-safe. */
public final class Dictionary {
    /** So many words are remembered; texts say the same ones again and again. */
    private static final int MOST_KNOWN = 200_000;

    private static final Map<String, Dictionary> SHIPPED = new ConcurrentHashMap<>();
    /** Countries whose English is spelled as in the United States. */
    private static final Set<String> LIKE_AMERICAN = Set.of("US", "PH", "PR", "GU");

    private static final Set<String> WITHOUT_SHARP_S = Set.of("CH", "LI");

    private final Hunspell hunspell;
    private final Map<String, Boolean> known = new ConcurrentHashMap<>();

    private Dictionary(Hunspell hunspell) {
        this.hunspell = hunspell;
    }

    /**
     * The dictionary that ships with the application for a language tag, such as {@code de-AT}; it is read when it is first asked for, which
     * takes up to a second. None for Switzerland, where \u00DF is not written.
     */
    public static Optional<Dictionary> shipped(String language) {
        return shippedName(language).map(name -> SHIPPED.computeIfAbsent(name, Dictionary::readShipped));
    }

    public static boolean isShipped(String language) {
        return shippedName(language).isPresent();
    }

    private static Optional<String> shippedName(String language) {
        ULocale locale = ULocale.addLikelySubtags(ULocale.forLanguageTag(language));
        boolean british = locale.getLanguage().equals("en") && !LIKE_AMERICAN.contains(locale.getCountry());
        String name = british ? "en-GB" : locale.getLanguage();
        boolean swiss = name.equals("de") && WITHOUT_SHARP_S.contains(locale.getCountry());
        return Optional.of(name).filter(each -> !swiss && Dictionary.class.getResource(each + ".dic") != null);
    }

    private static Dictionary readShipped(String name) {
        try (InputStream affixes = Dictionary.class.getResourceAsStream(name + ".aff");
                InputStream words = Dictionary.class.getResourceAsStream(name + ".dic")) {
            return new Dictionary(read(affixes, words));
        } catch (IOException | ParseException e) {
            throw new IllegalStateException("the dictionary " + name + " of the application is broken", e);
        }
    }

    private static Hunspell read(InputStream affixes, InputStream words) throws IOException, ParseException {
        try (ByteBuffersDirectory temporary = new ByteBuffersDirectory()) {
            return new Hunspell(
                    new org.apache.lucene.analysis.hunspell.Dictionary(temporary, "hunspell", affixes, words),
                    TimeoutPolicy.RETURN_PARTIAL_RESULT,
                    () -> {});
        }
    }

    /**
     * Reads a dictionary.
     *
     * @param words its file {@code .dic}; the one with the same name and {@code .aff} lies beside it
     * @throws CannotProceedException when one of them is not there or cannot be read
     */
    public static Dictionary read(Path words) {
        String name = words.getFileName().toString();
        Path affixes = words.resolveSibling(name.replaceFirst("\\.[^.]*$", "") + ".aff");
        for (Path each : List.of(words, affixes)) {
            if (!Files.isRegularFile(each)) {
                throw new CannotProceedException(each.toString(), "problem.dictionary-file");
            }
        }
        try (InputStream affixStream = Files.newInputStream(affixes);
                InputStream wordStream = Files.newInputStream(words)) {
            return new Dictionary(read(affixStream, wordStream));
        } catch (IOException | ParseException | RuntimeException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(words.toString(), 0, 0),
                    Phrase.of("problem.dictionary-broken", Reason.of(e)),
                    e);
        }
    }

    /** Whether the word is in the dictionary, in one of its forms. */
    public boolean knows(String word) {
        if (known.size() > MOST_KNOWN) {
            known.clear();
        }
        return known.computeIfAbsent(word, hunspell::spell);
    }

    /** What it could be instead, the likeliest first; may take a while. */
    public List<String> suggestions(String word) {
        return hunspell.suggest(word);
    }
}
