package org.swaplane.format.markdown;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.commonmark.ext.gfm.tables.TableCell;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.Heading;
import org.commonmark.node.LinkReferenceDefinition;
import org.commonmark.node.Node;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SourceSpan;
import org.commonmark.parser.IncludeSourceSpans;
import org.commonmark.parser.Parser;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.TextDocument;
import org.swaplane.placeholder.PlaceholderTags;

/** Finds the blocks of a page that hold text. Code and HTML blocks stay as they are. */
final class MarkdownReader {
    private static final Parser PARSER = Parser.builder()
            .extensions(List.of(TablesExtension.create()))
            .includeSourceSpans(IncludeSourceSpans.BLOCKS_AND_INLINES)
            .build();

    private final EncodedText text;
    private final FileOptions options;
    private final PlaceholderTags placeholders;
    private final TextDocument.Builder document;
    private final Map<String, Integer> numbers = new HashMap<>();

    MarkdownReader(EncodedText text, FileOptions options) {
        this.text = text;
        this.options = options;
        this.placeholders = options.placeholderTags();
        this.document = new TextDocument.Builder(text, options);
    }

    BilingualFile read() throws IOException {
        String all = text.readAll();
        int start = FrontMatter.read(all, document, options);
        walk(PARSER.parse(all.substring(start)), all, start);
        return document.build("markdown", CharacterEscapes.NONE);
    }

    private void walk(Node node, String all, int offset) {
        for (Node child = node.getFirstChild(); child != null; child = child.getNext()) {
            if (child instanceof Paragraph || child instanceof Heading) {
                add(child.getClass().getSimpleName(), child, all, offset, new MarkdownSyntax(false));
            } else if (child instanceof TableCell) {
                addCell(child, all, offset);
            } else if (child instanceof LinkReferenceDefinition definition) {
                addTip(definition, all, offset);
            } else {
                walk(child, all, offset);
            }
        }
    }

    /** A bar in a cell is written with a backslash, which the parser takes away before it counts; so a cell is parsed by itself. */
    private void addCell(Node cell, String all, int offset) {
        if (cell.getSourceSpans().isEmpty()) {
            return;
        }
        SourceSpan span = cell.getSourceSpans().get(0);
        int start = offset + span.getInputIndex();
        Node block =
                PARSER.parse(all.substring(start, start + span.getLength())).getFirstChild();
        if (block instanceof Paragraph) {
            add("cell", block, all, start, new MarkdownSyntax(true));
        }
    }

    private void addTip(LinkReferenceDefinition definition, String all, int offset) {
        List<SourceSpan> spans = definition.getSourceSpans();
        SourceSpan last = spans.get(spans.size() - 1);
        int start = offset + spans.get(0).getInputIndex();
        String code = all.substring(start, offset + last.getInputIndex() + last.getLength());
        LinkTitle.find(definition.getTitle(), code, start)
                .ifPresent(tip -> document.add(
                        "definition " + numbers.merge("definition", 1, Integer::sum) + " tip",
                        tip.start(),
                        tip.end(),
                        placeholders.tagged(definition.getTitle()),
                        tip.syntax(new MarkdownSyntax(false)),
                        SegmentMetadata.NOTHING));
    }

    private void add(String name, Node block, String all, int offset, MarkdownSyntax syntax) {
        String kind = name.toLowerCase(Locale.ROOT);
        String id = kind + ' ' + numbers.merge(kind, 1, Integer::sum);
        new InlineUnit(all, offset, placeholders, syntax).addTo(document, id, block);
    }
}
