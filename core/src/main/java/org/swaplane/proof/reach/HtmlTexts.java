package org.swaplane.proof.reach;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.DataNode;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeTraversor;
import org.swaplane.format.FileOptions;
import org.swaplane.format.Source;
import org.swaplane.proof.reach.FoundText.Kind;

/** Texts of a page: in its elements, attributes, scripts and styles. */
final class HtmlTexts {
    private static final Set<String> SHOWN =
            Set.of("title", "alt", "placeholder", "label", "summary", "abbr", "aria-label", "aria-description");
    private static final Set<String> CODES = Set.of(
            "class",
            "id",
            "style",
            "href",
            "src",
            "srcset",
            "sizes",
            "rel",
            "type",
            "name",
            "for",
            "media",
            "action",
            "content",
            "integrity",
            "pattern",
            "accept",
            "d",
            "points",
            "transform",
            "viewbox",
            "font-family");
    private static final Pattern STRING =
            Pattern.compile("\"((?:[^\"\\\\\\n]|\\\\.)*+)\"|'((?:[^'\\\\\\n]|\\\\.)*+)'|`((?:[^`\\\\]|\\\\.)*+)`");

    private final List<FoundText> found = new ArrayList<>();

    List<FoundText> find(Source source, FileOptions options) throws IOException {
        String encoding = options.document().encoding();
        try (InputStream in = source.open()) {
            Document page = Jsoup.parse(in, encoding.isEmpty() ? null : encoding, "");
            NodeTraversor.traverse((node, depth) -> visit(node), page);
        }
        return found;
    }

    private void visit(Node node) {
        if (node instanceof TextNode text && isShown(text)) {
            add(node, isLeftAlone(node) ? Kind.NOT_TRANSLATED : Kind.EXCLUDED, text.text());
        } else if (node instanceof DataNode data) {
            boolean style = data.nameIs("#data")
                    && node.parent() instanceof Element parent
                    && parent.normalName().equals("style");
            Matcher string = STRING.matcher(data.getWholeData());
            while (string.find()) {
                String value = string.group(1) != null
                        ? string.group(1)
                        : string.group(2) != null ? string.group(2) : string.group(3);
                boolean text = style ? isShownByStyle(data.getWholeData(), string.start()) : Wordlike.isSentence(value);
                if (text && Wordlike.isText(value)) {
                    add(node, style ? Kind.STYLE : Kind.SCRIPT, value);
                }
            }
        } else if (node instanceof Element element) {
            element.attributes().forEach(attribute -> visit(element, attribute));
        }
    }

    private static boolean isShown(TextNode text) {
        Element around = (Element) text.parent();
        if (around.closest("style, script") != null) {
            return false;
        }
        boolean code = around.closest("code, pre, kbd, samp") != null;
        return code ? Wordlike.isSentence(text.text()) : Wordlike.isText(text.text());
    }

    /** A style shows what {@code content} says; its other strings are names of fonts and files. */
    private static boolean isShownByStyle(String style, int string) {
        return style.substring(0, string).matches("(?s).*content\\s*:\\s*");
    }

    private void visit(Element element, Attribute attribute) {
        String name = attribute.getKey().toLowerCase(java.util.Locale.ROOT);
        String value = attribute.getValue();
        boolean handler = name.startsWith("on");
        boolean shown = SHOWN.contains(name)
                || name.equals("value") && Set.of("button", "submit", "reset").contains(element.attr("type"));
        if (shown ? Wordlike.isText(value) : !CODES.contains(name) && !handler && Wordlike.isSentence(value)) {
            Kind kind = isLeftAlone(element) ? Kind.NOT_TRANSLATED : Kind.ATTRIBUTE;
            found.add(new FoundText(place(element) + '/' + name, kind, value));
        }
    }

    private static boolean isLeftAlone(Node node) {
        for (Node each = node; each != null; each = each.parent()) {
            if (each.hasAttr("translate")) {
                return each.attr("translate").equalsIgnoreCase("no");
            }
        }
        return false;
    }

    private void add(Node node, Kind kind, String text) {
        found.add(new FoundText(place((Element) node.parent()), kind, text.strip()));
    }

    private static String place(Element element) {
        return element.id().isEmpty() ? element.normalName() : element.normalName() + '#' + element.id();
    }
}
