package org.swaplane.document;

import java.util.List;

/**
 * One client file within a bilingual document (an XLIFF {@code file} element, a language pair of a memory); languages are BCP 47
 * codes, empty when the file does not say.
 *
 * @param notes what the file says about the whole part
 */
public record Part(String name, String sourceLanguage, String targetLanguage, List<Note> notes) {
    public Part {
        notes = List.copyOf(notes);
    }
}
