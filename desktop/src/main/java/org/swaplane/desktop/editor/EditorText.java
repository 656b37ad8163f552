package org.swaplane.desktop.editor;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.fxmisc.richtext.model.Paragraph;
import org.fxmisc.richtext.model.ReadOnlyStyledDocument;
import org.fxmisc.richtext.model.SegmentOps;
import org.fxmisc.richtext.model.StyledDocument;
import org.fxmisc.richtext.model.TextOps;
import org.reactfx.util.Either;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;

/** The editor's document: text, and pieces in it. */
final class EditorText {
    private static final TextOps<String, String> TEXT = SegmentOps.styledTextOps();
    static final TextOps<Either<String, Optional<Piece>>, String> OPS =
            TEXT._or(new PieceOps(), (one, other) -> Optional.empty());

    private EditorText() {}

    static ReadOnlyStyledDocument<String, Either<String, Optional<Piece>>, String> of(Piece piece) {
        return ReadOnlyStyledDocument.fromSegment(Either.right(Optional.of(piece)), "", "", OPS);
    }

    static Stream<Tag> tags(StyledDocument<String, Either<String, Optional<Piece>>, String> document) {
        return document.getParagraphs().stream()
                .flatMap(paragraph -> paragraph.getSegments().stream())
                .flatMap(segment -> segment.<Stream<Tag>>unify(
                        text -> Stream.empty(),
                        piece -> piece.stream().filter(Chip.class::isInstance).map(chip -> ((Chip) chip).tag())));
    }

    /** What stands in it. */
    static Content content(StyledDocument<String, Either<String, Optional<Piece>>, String> document) {
        return new Content(pieces(document).stream()
                .map(shown -> shown instanceof Piece piece ? piece.run() : new Text((String) shown))
                .toList());
    }

    /** Strings and pieces in their order, paragraphs divided by a line break. */
    static List<Object> pieces(StyledDocument<String, Either<String, Optional<Piece>>, String> document) {
        List<Object> shown = new ArrayList<>();
        for (Paragraph<String, Either<String, Optional<Piece>>, String> paragraph : document.getParagraphs()) {
            if (!shown.isEmpty() || paragraph != document.getParagraphs().get(0)) {
                shown.add("\n");
            }
            for (Either<String, Optional<Piece>> segment : paragraph.getSegments()) {
                segment.ifLeft(shown::add);
                segment.ifRight(piece -> piece.ifPresent(shown::add));
            }
        }
        return shown;
    }
}
