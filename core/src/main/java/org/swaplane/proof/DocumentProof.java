package org.swaplane.proof;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.format.DocumentFile.WrittenUnit;

/** Whether a client document that was written holds the texts that were put into it. */
public final class DocumentProof {
    private static final Pattern CHANGED_PROPERTIES =
            Pattern.compile("<(\\w+:)rPrChange\\b.*?</\\1rPrChange>", Pattern.DOTALL);

    private static final Pattern RUN_PROPERTIES =
            Pattern.compile("<(\\w+:)rPr\\b(?:[^>]*/>|[^>]*>.*?</\\1rPr>)", Pattern.DOTALL);

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
        return folded(one).equals(folded(other))
                || inside(one.content()).equals(inside(other.content()))
                || unformatted(one.content()).equals(unformatted(other.content()));
    }

    /**
     * Without the properties of runs: which of them are the paragraph's own, and which stand out from it, is told by how much text has them,
     * and longer texts may turn that round. That no property is lost is what "only text changed" proves.
     */
    private static String unformatted(Content content) {
        List<Run> runs = content.runs().stream()
                .filter(run -> !(run instanceof Tag tag)
                        || !withoutProperties(tag.code()).isEmpty())
                .toList();
        return withoutProperties(inside(new Content(runs)));
    }

    /** Properties may hold those that they had before they were changed. */
    private static String withoutProperties(String codes) {
        return RUN_PROPERTIES
                .matcher(CHANGED_PROPERTIES.matcher(codes).replaceAll(""))
                .replaceAll("");
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
