package org.swaplane.reviewcopy;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Fingerprint;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;

/**
 * A bilingual document as a table for a person.
 *
 * @param title name of the client's file
 * @param instructions what the person shall do, a paragraph each
 */
public record ReviewCopy(
        CopyIdentity identity,
        String title,
        List<String> instructions,
        String sourceLanguage,
        String targetLanguage,
        List<ReviewRow> rows) {
    public ReviewCopy {
        instructions = List.copyOf(instructions);
        rows = List.copyOf(rows);
    }

    /** What goes out in the comment column: the file's notes, and the text that stands in tags. */
    public static String notes(Segment segment) {
        Stream<String> hidden = segment.source().tags().stream()
                .filter(Tag::isProtectedText)
                .map(tag -> TagNotation.write(Content.of(tag), segment.source()) + " = " + tag.label());
        return Stream.concat(segment.notes().stream().map(Note::text), hidden).collect(Collectors.joining("\n"));
    }

    /** A copy of every segment of {@code document}, with the target that {@code targets} gives for its index. */
    public static ReviewCopy of(
            BilingualDocument document,
            IntFunction<Content> targets,
            CopyIdentity identity,
            String title,
            List<String> instructions) {
        List<ReviewRow> rows = new ArrayList<>();
        for (int i = 0; i < document.segments().size(); i++) {
            Segment segment = document.segments().get(i);
            RowCode code = RowCode.of(identity.trip(), i + 1, Fingerprint.of(segment.source()));
            rows.add(new ReviewRow(
                    code,
                    TagNotation.write(segment.source(), segment.source()),
                    TagNotation.write(targets.apply(i), segment.source()),
                    notes(segment),
                    segment.locked()));
        }
        return new ReviewCopy(
                identity, title, instructions, document.sourceLanguage(), document.targetLanguage(), rows);
    }
}
