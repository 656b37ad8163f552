package org.swaplane.convert;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Part;
import org.swaplane.document.Segment;
import org.swaplane.format.FileOptions;
import org.swaplane.task.CannotProceedException;

/** Which parts of a document are in the languages that were asked for. */
final class LanguageChoice {
    private final FileOptions options;
    private final List<Part> parts;

    LanguageChoice(FileOptions options, BilingualDocument document) {
        this.options = options;
        this.parts = document.parts();
    }

    boolean holds(Part part) {
        return isIn(part.sourceLanguage(), options.sourceLanguage())
                && isIn(part.targetLanguage(), options.targetLanguage());
    }

    boolean holds(Segment segment) {
        return holds(parts.get(segment.part()));
    }

    boolean holdsAll() {
        return parts.stream().allMatch(this::holds);
    }

    /** Refuses a document that has nothing in these languages. */
    void refuseIfNone(String name) {
        if (parts.stream().noneMatch(this::holds)) {
            throw new CannotProceedException(
                    name, "problem.no-such-pair", options.sourceLanguage(), options.targetLanguage(), pairs(parts));
        }
    }

    private static boolean isIn(String language, String wanted) {
        String own = language.toLowerCase(Locale.ROOT);
        String asked = wanted.toLowerCase(Locale.ROOT);
        return asked.isEmpty() || own.isEmpty() || own.equals(asked) || own.startsWith(asked + '-');
    }

    /** The pairs of languages of parts, for people. */
    static String pairs(List<Part> parts) {
        Set<String> pairs = new LinkedHashSet<>();
        parts.forEach(part -> pairs.add(part.sourceLanguage() + " to " + part.targetLanguage()));
        return String.join(", ", pairs);
    }
}
