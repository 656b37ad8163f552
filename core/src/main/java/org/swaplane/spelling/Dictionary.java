package org.swaplane.spelling;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.ParseException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.lucene.analysis.hunspell.Hunspell;
import org.apache.lucene.analysis.hunspell.TimeoutPolicy;
import org.apache.lucene.store.ByteBuffersDirectory;
import org.swaplane.task.CannotProceedException;

/** A Hunspell dictionary. Thread-safe. */
public final class Dictionary {
    /** So many words are remembered; texts say the same ones again and again. */
    private static final int MOST_KNOWN = 200_000;

    private final Hunspell hunspell;
    private final Map<String, Boolean> known = new ConcurrentHashMap<>();

    private Dictionary(Hunspell hunspell) {
        this.hunspell = hunspell;
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
                throw new CannotProceedException(
                        each.toString(),
                        "this file of the dictionary is not there",
                        "a Hunspell dictionary is two files, .dic and .aff; choose the .dic beside its .aff");
            }
        }
        try (InputStream affixStream = Files.newInputStream(affixes);
                InputStream wordStream = Files.newInputStream(words);
                ByteBuffersDirectory temporary = new ByteBuffersDirectory()) {
            return new Dictionary(new Hunspell(
                    new org.apache.lucene.analysis.hunspell.Dictionary(temporary, "hunspell", affixStream, wordStream),
                    TimeoutPolicy.RETURN_PARTIAL_RESULT,
                    () -> {}));
        } catch (IOException | ParseException | RuntimeException e) {
            throw new CannotProceedException(
                    new CannotProceedException.Place(words.toString(), 0, 0),
                    "this is no Hunspell dictionary (" + e.getMessage() + ")",
                    "get it again, or choose another one",
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
