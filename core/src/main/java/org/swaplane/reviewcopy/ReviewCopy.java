package org.swaplane.reviewcopy;

import static org.swaplane.wording.Wording.text;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;

/**
 * Segments of one or several bilingual files as a table for a person, in one target language.
 *
 * @param instructions what the person shall do, a paragraph each
 */
public record ReviewCopy(
        String title, List<String> instructions, String sourceLanguage, String targetLanguage, List<Part> parts) {
    public ReviewCopy {
        instructions = List.copyOf(instructions);
        parts = List.copyOf(parts);
    }

    /**
     * The rows of one file.
     *
     * @param name of the file
     */
    public record Part(CopyIdentity identity, String name, List<ReviewRow> rows) {
        public Part {
            rows = List.copyOf(rows);
        }
    }

    /** How many rows there are. */
    public int size() {
        return parts.stream().mapToInt(part -> part.rows().size()).sum();
    }

    /** What stands in the comment column of a row. */
    public static String comment(ReviewRow row) {
        return row.isContext() ? text("copy.context") : row.locked() ? text("copy.locked") : row.comment();
    }

    /** The heads of the columns: number, source, target, comment, code. */
    public List<String> heads() {
        return List.of(
                text("copy.column.number"),
                text("copy.column.source", sourceLanguage),
                text("copy.column.target", targetLanguage),
                text("copy.column.comment"),
                text("copy.column.code"));
    }

    /** What the copy says of itself, as one text for a property of the document. */
    public String identity() {
        return CopyIdentity.written(parts.stream().map(Part::identity).toList())
                + '|'
                + Preface.of(this).written();
    }

    /** What forms say besides the instructions. */
    List<String> notices() {
        return List.of(text("copy.page.save"), text("copy.context"), text("copy.locked"));
    }

    /** The targets as they are sent, packed to be hidden in the copy. */
    public String packedTexts() {
        return SentTexts.of(this).packed();
    }

    /** What goes out in the comment column: the file's notes, and the text that stands in tags. */
    public static String notes(Segment segment) {
        Stream<String> hidden = segment.source().tags().stream()
                .filter(Tag::isProtectedText)
                .map(tag -> TagNotation.write(Content.of(tag), segment.source()) + " = " + tag.label());
        return Stream.concat(segment.notes().stream().map(Note::text), hidden).collect(Collectors.joining("\n"));
    }
}
