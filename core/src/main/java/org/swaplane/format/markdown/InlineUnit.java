package org.swaplane.format.markdown;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.commonmark.node.Code;
import org.commonmark.node.HardLineBreak;
import org.commonmark.node.HtmlInline;
import org.commonmark.node.Image;
import org.commonmark.node.Link;
import org.commonmark.node.LinkReferenceDefinition;
import org.commonmark.node.Node;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.SourceSpan;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.TextDocument;
import org.swaplane.placeholder.PlaceholderTags;

/** The inline nodes of one block: emphasis, links and pictures are pairs of tags around text, code and HTML are one tag each. */
final class InlineUnit {
    private final String all;
    private final int offset;
    private final PlaceholderTags placeholders;
    private final MarkdownSyntax syntax;
    private final List<Run> runs = new ArrayList<>();
    private final List<TextDocument.Inner> inner = new ArrayList<>();
    private String id = "";
    private int tags;

    /** {@code offset} is where the text that was parsed begins in {@code all}. */
    InlineUnit(String all, int offset, PlaceholderTags placeholders, MarkdownSyntax syntax) {
        this.all = all;
        this.offset = offset;
        this.placeholders = placeholders;
        this.syntax = syntax;
    }

    void addTo(TextDocument.Builder document, String id, Node block) {
        Node first = firstPlaced(block);
        if (first == null || first instanceof LinkReferenceDefinition) {
            return;
        }
        this.id = id;
        collect(block);
        int end = end(lastPlaced(block));
        while (end > start(first) && Character.isWhitespace(all.charAt(end - 1))) {
            end--;
        }
        document.add(id, start(first), end, new Content(runs), syntax, SegmentMetadata.NOTHING, inner);
    }

    private void collect(Node parent) {
        for (Node node = parent.getFirstChild(); node != null; node = node.getNext()) {
            if (node instanceof org.commonmark.node.Text text) {
                runs.addAll(placeholders.tagged(text.getLiteral()).runs());
            } else if (node instanceof SoftLineBreak) {
                runs.add(new org.swaplane.content.Text(" "));
            } else if (node instanceof HardLineBreak) {
                lineBreak(node);
            } else if (node instanceof Code code) {
                whole("code", node, code.getLiteral());
            } else if (node instanceof HtmlInline html) {
                whole("html", node, html.getLiteral());
            } else if (firstPlaced(node) == null) {
                whole(name(node), node, "");
            } else {
                pair(node);
            }
        }
    }

    private void whole(String name, Node node, String label) {
        int start = start(node);
        int end = end(node);
        runs.add(new Tag(Tag.Kind.STANDALONE, name + ':' + ++tags, all.substring(start, end), label));
    }

    /** A break is what stands between its neighbours; white space before it belongs to it. */
    private void lineBreak(Node node) {
        int start = end(node.getPrevious());
        while (start > 0 && all.charAt(start - 1) == ' ') {
            start--;
        }
        // The spaces before a break belong to it, also where the parser leaves them with the text.
        int last = runs.size() - 1;
        if (last >= 0 && runs.get(last) instanceof org.swaplane.content.Text text) {
            runs.set(last, new org.swaplane.content.Text(text.value().stripTrailing()));
        }
        String code = all.substring(start, start(node.getNext()));
        runs.add(new Tag(Tag.Kind.STANDALONE, "br:" + ++tags, code, ""));
    }

    /** The tip that a link or picture shows is a unit of its own, in the code of its closing tag. */
    private void addTip(String tag, Node node, String close, int at) {
        String shown =
                node instanceof Link link ? link.getTitle() : node instanceof Image image ? image.getTitle() : null;
        LinkTitle.find(shown, close.replaceFirst("\\)$", ""), at)
                .ifPresent(tip -> inner.add(new TextDocument.Inner(
                        tag,
                        true,
                        at,
                        id + " tip " + (inner.size() + 1),
                        tip.start(),
                        tip.end(),
                        placeholders.tagged(shown),
                        tip.syntax(syntax))));
    }

    private void pair(Node node) {
        String id = name(node) + ':' + ++tags;
        String open = all.substring(start(node), start(firstPlaced(node)));
        String close = all.substring(end(lastPlaced(node)), end(node));
        if (open.equals("<")) {
            whole("address", node, "");
            return;
        }
        if (close.equals("]") || close.equals("][]")) {
            // The text is the name of the address as well; translated, it needs that name apart.
            close = "][" + all.substring(start(firstPlaced(node)), end(lastPlaced(node))) + "]";
        }
        runs.add(new Tag(Tag.Kind.OPEN, id, open, name(node)));
        collect(node);
        addTip(id, node, close, end(lastPlaced(node)));
        runs.add(new Tag(Tag.Kind.CLOSE, id, close, ""));
    }

    private static String name(Node node) {
        return node.getClass().getSimpleName().toLowerCase(Locale.ROOT);
    }

    private static Node firstPlaced(Node parent) {
        Node node = parent.getFirstChild();
        while (node != null && node.getSourceSpans().isEmpty()) {
            node = node.getNext();
        }
        return node;
    }

    private static Node lastPlaced(Node parent) {
        Node node = parent.getLastChild();
        while (node != null && node.getSourceSpans().isEmpty()) {
            node = node.getPrevious();
        }
        return node;
    }

    private int start(Node node) {
        return offset + node.getSourceSpans().get(0).getInputIndex();
    }

    private int end(Node node) {
        SourceSpan last = node.getSourceSpans().get(node.getSourceSpans().size() - 1);
        return offset + last.getInputIndex() + last.getLength();
    }
}
