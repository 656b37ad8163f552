package org.swaplane.format.html;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.TextDocument;

/** The text and inline tags since the last block tag, each with its place in the page. */
final class HtmlUnit {
    private final List<Piece> pieces = new ArrayList<>();
    private final List<TextDocument.Inner> inner = new ArrayList<>();
    private final Deque<Tag> open = new ArrayDeque<>();
    private int tags;

    private record Piece(Run run, int start, int end) {
        /** Whether a unit needs not begin or end with it. */
        private boolean isEdge() {
            return run instanceof Text text && text.value().isBlank()
                    || run instanceof Tag tag && tag.kind() == Tag.Kind.STANDALONE && !tag.isProtectedText();
        }
    }

    void text(String text, int start, int end) {
        if (!text.isEmpty()) {
            pieces.add(new Piece(new Text(text), start, end));
        }
    }

    /** An inline tag; returns the id that it got. */
    String tag(HtmlTag tag) {
        Tag made = made(tag);
        pieces.add(new Piece(made, tag.start(), tag.end()));
        return made.id();
    }

    /** Something that is one tag whatever is in it; {@code label} is text that people read in it, or empty. */
    void whole(String prefix, String code, String label, int start) {
        Tag tag = new Tag(Tag.Kind.STANDALONE, prefix + ++tags, code, label);
        pieces.add(new Piece(tag, start, start + code.length()));
    }

    private Tag made(HtmlTag tag) {
        if (tag.closes()) {
            for (Tag candidate : open) {
                if (candidate.id().startsWith(tag.name() + ':')) {
                    open.remove(candidate);
                    return new Tag(Tag.Kind.CLOSE, candidate.id(), tag.raw(), "");
                }
            }
        }
        String id = tag.name() + ':' + ++tags;
        if (tag.closes() || HtmlElements.isVoid(tag.name()) || tag.isEmptyElement()) {
            return new Tag(Tag.Kind.STANDALONE, id, tag.raw(), tag.name());
        }
        Tag opening = new Tag(Tag.Kind.OPEN, id, tag.raw(), tag.name());
        open.push(opening);
        return opening;
    }

    /** A text in an attribute of a tag of this unit. */
    void inner(TextDocument.Inner text) {
        inner.add(text);
    }

    /** Adds the unit to the document, without the tags and the space around it. */
    void addTo(TextDocument.Builder document, String id) {
        int first = 0;
        int last = pieces.size() - 1;
        boolean stripped = true;
        while (stripped && first <= last) {
            stripped = true;
            if (pieces.get(first).isEdge()) {
                first++;
            } else if (pieces.get(last).isEdge()) {
                last--;
            } else if (isPair(pieces.get(first).run(), pieces.get(last).run())) {
                first++;
                last--;
            } else {
                stripped = false;
            }
        }
        List<Piece> kept = first > last ? List.of() : pieces.subList(first, last + 1);
        int start = kept.isEmpty() ? 0 : kept.get(0).start();
        int end = kept.isEmpty() ? 0 : kept.get(kept.size() - 1).end();
        List<TextDocument.Inner> inside = new ArrayList<>();
        for (TextDocument.Inner each : inner) {
            if (each.start() >= start && each.end() <= end) {
                inside.add(each);
            } else {
                document.add(
                        each.id(), each.start(), each.end(), each.content(), each.syntax(), SegmentMetadata.NOTHING);
            }
        }
        Content content = new Content(kept.stream().map(Piece::run).toList());
        document.add(id, start, end, content, HtmlSyntax.TEXT, SegmentMetadata.NOTHING, inside);
    }

    private static boolean isPair(Run head, Run tail) {
        return head instanceof Tag first
                && tail instanceof Tag last
                && first.kind() == Tag.Kind.OPEN
                && last.kind() == Tag.Kind.CLOSE
                && first.id().equals(last.id());
    }
}
