package org.swaplane.proof;

import java.util.List;
import java.util.Optional;
import org.swaplane.format.DocumentFile.WrittenUnit;

/** Whether a client document that was written holds the texts that were put into it. */
public final class DocumentProof {
    private DocumentProof() {}

    /**
     * The first text that was not found again as it was written; empty when all were. White space at the edges and its kind are the
     * document's own matter, and a text without letters is none.
     */
    public static Optional<String> firstLost(List<WrittenUnit> written, List<WrittenUnit> read) {
        List<WrittenUnit> expected = texts(written);
        List<WrittenUnit> found = texts(read);
        for (int i = 0; i < expected.size(); i++) {
            if (i >= found.size() || !folded(found.get(i)).equals(folded(expected.get(i)))) {
                return Optional.of(expected.get(i).content().plainText());
            }
        }
        return found.size() > expected.size()
                ? Optional.of(found.get(expected.size()).content().plainText())
                : Optional.empty();
    }

    private static List<WrittenUnit> texts(List<WrittenUnit> units) {
        return units.stream()
                .filter(unit -> unit.content().plainText().codePoints().anyMatch(Character::isLetter))
                .toList();
    }

    private static String folded(WrittenUnit unit) {
        return unit.written().replaceAll("\\s+", " ").strip();
    }
}
