package org.swaplane.format.xml;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.Text;
import org.swaplane.document.Note;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.CharacterEscapes;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.TextDocument;
import org.swaplane.format.XmlContent;
import org.swaplane.placeholder.PlaceholderTags;
import org.w3c.dom.Attr;
import org.w3c.dom.Element;
import org.w3c.dom.NamedNodeMap;
import org.w3c.dom.Node;

/** Makes units of the elements and attributes that the rules call text. An element with text of its own is a unit with all that is in it. */
final class TextFinder {
    private final String text;
    private final PlacedTree tree;
    private final ItsRules rules;
    private final TextDocument.Builder document;
    private final PlaceholderTags placeholders;
    private final Map<String, Integer> numbers = new HashMap<>();

    /** A unit while it is put together. */
    private static final class Flow {
        private final List<Run> runs = new ArrayList<>();
        private final List<TextDocument.Inner> inner = new ArrayList<>();
        private int tags;
    }

    TextFinder(PlacedTree tree, ItsRules rules, EncodedText text, FileOptions options) {
        this.text = tree.text();
        this.tree = tree;
        this.rules = rules;
        this.document = new TextDocument.Builder(text, options);
        this.placeholders = options.placeholderTags();
    }

    BilingualFile read() {
        rules.faults().forEach(fault -> document.problem(1, 1, fault));
        walk(tree.document().getDocumentElement(), true, false);
        return document.build("xml", CharacterEscapes.XML);
    }

    private void walk(Element element, boolean inherited, boolean keepsSpace) {
        if (ItsRules.NAMESPACE.equals(element.getNamespaceURI())) {
            return;
        }
        boolean translated = rules.isTranslated(element, inherited);
        boolean preserved = keepsSpace(element, keepsSpace);
        addAttributes(element);
        if (translated && hasText(element)) {
            addUnit(element, preserved);
            return;
        }
        for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
            if (child instanceof Element inner) {
                walk(inner, translated, preserved);
            }
        }
    }

    private static boolean keepsSpace(Element element, boolean inherited) {
        String space = element.getAttributeNS("http://www.w3.org/XML/1998/namespace", "space");
        return space.isEmpty() ? inherited : space.equals("preserve");
    }

    private static boolean hasText(Element element) {
        for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
            if (child.getNodeType() == Node.TEXT_NODE && !child.getNodeValue().isBlank()) {
                return true;
            }
        }
        return false;
    }

    /** The attributes of an element that are text, in the order of the file. */
    private List<Attr> textAttributes(Element element) {
        NamedNodeMap all = element.getAttributes();
        return IntStream.range(0, all.getLength())
                .mapToObj(i -> (Attr) all.item(i))
                .filter(each -> PlacedTree.place(each) != null && rules.isTranslated(each))
                .sorted(Comparator.comparing(each -> PlacedTree.place(each).start()))
                .toList();
    }

    /** Those of an element that is a tag of a unit. */
    private void addAttributes(Element element, String tagId, int tagStart, Flow flow) {
        for (Attr attribute : textAttributes(element)) {
            PlacedTree.Place place = PlacedTree.place(attribute);
            flow.inner.add(new TextDocument.Inner(
                    tagId,
                    tagStart,
                    numbered(element.getTagName() + '/' + attribute.getName()),
                    place.start(),
                    place.end(),
                    placeholders.tagged(attribute.getValue()),
                    content -> attribute(content, text.charAt(place.start() - 1))));
        }
    }

    private void addAttributes(Element element) {
        for (Attr attribute : textAttributes(element)) {
            PlacedTree.Place place = PlacedTree.place(attribute);
            document.add(
                    numbered(element.getTagName() + '/' + attribute.getName()),
                    place.start(),
                    place.end(),
                    placeholders.tagged(attribute.getValue()),
                    content -> attribute(content, text.charAt(place.start() - 1)),
                    about(element));
        }
    }

    private void addUnit(Element element, boolean keepsSpace) {
        PlacedTree.Place place = PlacedTree.place(element);
        Flow flow = new Flow();
        collect(element, keepsSpace, flow);
        document.add(
                numbered(element.getTagName()),
                place.contentStart(),
                place.contentEnd(),
                new Content(flow.runs),
                TextFinder::written,
                about(element),
                flow.inner);
    }

    private SegmentMetadata about(Element element) {
        return SegmentMetadata.ofNotes(
                rules.note(element).map(note -> List.of(new Note(note, ""))).orElse(List.of()));
    }

    private String numbered(String name) {
        return name + ' ' + numbers.merge(name, 1, Integer::sum);
    }

    /** Adds what stands in the element to the unit. */
    private void collect(Element element, boolean keepsSpace, Flow flow) {
        for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
            PlacedTree.Place place = PlacedTree.place(child);
            if (child instanceof Element inner) {
                collectElement(inner, place, keepsSpace, flow);
            } else if (child.getNodeType() == Node.TEXT_NODE) {
                String value = child.getNodeValue();
                flow.runs.addAll(placeholders
                        .tagged(keepsSpace ? value : value.replaceAll("[ \\t\\r\\n]+", " "))
                        .runs());
            } else {
                standalone(flow, child.getNodeName() + ':', place, "");
            }
        }
    }

    private void collectElement(Element inner, PlacedTree.Place place, boolean keepsSpace, Flow flow) {
        boolean preserved = keepsSpace(inner, keepsSpace);
        if (!rules.isTranslated(inner, true)) {
            standalone(flow, Tag.MARKED, place, inner.getTextContent().strip());
        } else if (rules.withinText(inner).orElse("yes").equals("yes")) {
            String id = inner.getTagName() + ':' + ++flow.tags;
            String label = inner.getTagName();
            addAttributes(inner, id, place.start(), flow);
            if (place.contentEnd() == place.end()) {
                flow.runs.add(new Tag(Tag.Kind.STANDALONE, id, text.substring(place.start(), place.end()), label));
                return;
            }
            flow.runs.add(new Tag(Tag.Kind.OPEN, id, text.substring(place.start(), place.contentStart()), label));
            collect(inner, preserved, flow);
            flow.runs.add(new Tag(Tag.Kind.CLOSE, id, text.substring(place.contentEnd(), place.end()), ""));
        } else {
            // A note or a list in a sentence: a text of its own that stands in a tag of this one.
            String id = standalone(flow, inner.getTagName() + ':', place, "");
            Flow own = new Flow();
            collect(inner, preserved, own);
            flow.inner.add(new TextDocument.Inner(
                    id,
                    place.start(),
                    numbered(inner.getTagName()),
                    place.contentStart(),
                    place.contentEnd(),
                    new Content(own.runs),
                    TextFinder::written));
        }
    }

    private String standalone(Flow flow, String prefix, PlacedTree.Place place, String label) {
        String id = prefix + ++flow.tags;
        flow.runs.add(new Tag(Tag.Kind.STANDALONE, id, text.substring(place.start(), place.end()), label));
        return id;
    }

    private static String attribute(Content content, char quote) {
        String value = XmlContent.attribute(content.withCodes());
        return quote == '\'' ? value.replace("'", "&apos;") : value;
    }

    /** Placeholders are text for XML, other tags are XML already. */
    private static String written(Content content) {
        StringBuilder written = new StringBuilder();
        for (Run run : content.runs()) {
            if (run instanceof Text text) {
                written.append(XmlContent.written(Content.of(text.value()), "\n"));
            } else if (run instanceof Tag tag) {
                boolean isText = tag.id().startsWith(Tag.PLACEHOLDER);
                written.append(isText ? XmlContent.written(Content.of(tag.code()), "\n") : tag.code());
            }
        }
        return written.toString();
    }
}
