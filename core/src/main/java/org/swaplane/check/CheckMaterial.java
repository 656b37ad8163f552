package org.swaplane.check;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.swaplane.format.Source;
import org.swaplane.spelling.Dictionary;
import org.swaplane.task.CannotProceedException;
import org.swaplane.terms.TermList;
import org.swaplane.terms.TermListReader;

/**
 * The files that a profile names, read.
 *
 * @param dictionaries by target language
 */
public record CheckMaterial(List<TermList> terms, Map<String, Dictionary> dictionaries) {
    public static final CheckMaterial NONE = new CheckMaterial(List.of(), Map.of());

    /**
     * Reads term lists and dictionaries.
     *
     * @param folder what relative paths in the profile are relative to
     * @throws CannotProceedException when one of them is not there or cannot be read
     */
    public static CheckMaterial read(Profile profile, Path folder) throws IOException {
        List<TermList> terms = new ArrayList<>();
        for (String name : profile.terms()) {
            Path path = folder.resolve(name);
            if (!Files.isRegularFile(path)) {
                throw new CannotProceedException(path.toString(), "problem.term-list-missing");
            }
            terms.add(TermListReader.read(Source.of(path)));
        }
        Map<String, Dictionary> dictionaries = new TreeMap<>();
        profile.dictionaries()
                .forEach((language, name) -> dictionaries.put(language, dictionary(language, name, folder)));
        return new CheckMaterial(terms, dictionaries);
    }

    private static Dictionary dictionary(String language, String name, Path folder) {
        if (!name.equals(Profile.SHIPPED)) {
            return Dictionary.read(folder.resolve(name));
        }
        return Dictionary.shipped(language)
                .orElseThrow(() -> new CannotProceedException("", "problem.no-dictionary", language));
    }
}
