package org.swaplane.proof;

import java.util.List;
import java.util.Optional;
import org.swaplane.content.Content;

/** Whether a client document that was written holds the texts that were put into it. */
public final class DocumentProof {
    private DocumentProof() {}

    /**
     * The first text that was not found again as it was written; empty when all were. White space at the edges and its kind are the
     * document's own matter, and a text without letters is none.
     */
    public static Optional<String> firstLost(List<Content> written, List<Content> read) {
        List<String> expected = texts(written);
        List<String> found = texts(read);
        for (int i = 0; i < expected.size(); i++) {
            if (i >= found.size() || !found.get(i).equals(expected.get(i))) {
                return Optional.of(expected.get(i));
            }
        }
        return found.size() > expected.size() ? Optional.of(found.get(expected.size())) : Optional.empty();
    }

    private static List<String> texts(List<Content> units) {
        return units.stream()
                .filter(unit -> unit.plainText().codePoints().anyMatch(Character::isLetter))
                .map(unit -> unit.withCodes().replaceAll("\\s+", " ").strip())
                .toList();
    }
}
