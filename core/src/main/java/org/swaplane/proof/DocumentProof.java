package org.swaplane.proof;

import java.util.List;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
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
            if (i >= found.size() || !isSame(expected.get(i), found.get(i))) {
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

    /** Tags at the edges may have been read as a part of what stands around the text, once revisions are accepted. */
    private static boolean isSame(WrittenUnit one, WrittenUnit other) {
        return folded(one).equals(folded(other)) || inside(one.content()).equals(inside(other.content()));
    }

    private static String inside(Content content) {
        List<Run> runs = content.runs();
        int first = 0;
        int last = runs.size();
        while (first < last && runs.get(first) instanceof Tag) {
            first++;
        }
        while (last > first && runs.get(last - 1) instanceof Tag) {
            last--;
        }
        return new Content(runs.subList(first, last))
                .withCodes()
                .replaceAll("\\s+", " ")
                .strip();
    }

    private static String folded(WrittenUnit unit) {
        return unit.written().replaceAll("\\s+", " ").strip();
    }
}
