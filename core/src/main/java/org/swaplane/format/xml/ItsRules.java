package org.swaplane.format.xml;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.xml.namespace.NamespaceContext;
import javax.xml.xpath.XPathExpressionException;
import org.swaplane.format.Selection;
import org.swaplane.wording.Phrase;
import org.w3c.dom.Attr;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.NodeList;

/**
 * What the rules of a document say of its nodes (ITS 2.0, sections 8.1 Translate, 8.2 Localization Note, 8.8 Elements Within Text): those of a file
 * of rules, those in an {@code its:rules} element of the document, then its local attributes, then what the reviewer pointed at.
 */
final class ItsRules {
    static final String NAMESPACE = "http://www.w3.org/2005/11/its";

    private final Document document;
    private final Selection selection;
    private final Map<Node, Boolean> translate = new HashMap<>();
    private final Map<Node, String> withinText = new HashMap<>();
    private final Map<Node, String> notes = new HashMap<>();
    private final List<Phrase> faults = new ArrayList<>();

    /** No rules yet, for {@code tree}. */
    ItsRules(PlacedTree tree, Selection selection) {
        this.document = tree.document();
        this.selection = selection;
    }

    /** The rules in {@code holder}, which may be the document itself; later ones win (section 5.5). */
    void addAll(PlacedTree holder) {
        NodeList sets = holder.document().getElementsByTagNameNS(NAMESPACE, "rules");
        if (sets.getLength() == 0 && holder.document() != document) {
            faults.add(Phrase.of("file.its-no-rules"));
        }
        for (int i = 0; i < sets.getLength(); i++) {
            for (Node rule = sets.item(i).getFirstChild(); rule != null; rule = rule.getNextSibling()) {
                if (rule instanceof Element element) {
                    add(element);
                }
            }
        }
    }

    /** What is wrong with the rules themselves. */
    List<Phrase> faults() {
        return faults;
    }

    private void add(Element rule) {
        for (Node node : selected(rule)) {
            switch (rule.getLocalName()) {
                case "translateRule" ->
                    translate.put(node, rule.getAttribute("translate").equals("yes"));
                case "withinTextRule" -> withinText.put(node, rule.getAttribute("withinText"));
                case "locNoteRule" -> {
                    NodeList note = rule.getElementsByTagNameNS(NAMESPACE, "locNote");
                    if (note.getLength() > 0) {
                        notes.put(node, note.item(0).getTextContent().strip());
                    }
                }
                default -> {} // categories that say nothing about what is text
            }
        }
    }

    private List<Node> selected(Element rule) {
        String selector = rule.getAttribute("selector");
        List<Node> nodes = new ArrayList<>();
        try {
            NodeList found = Selector.evaluate(selector, new Prefixes(rule), document);
            for (int i = 0; i < found.getLength(); i++) {
                nodes.add(found.item(i));
            }
        } catch (XPathExpressionException e) {
            faults.add(Phrase.of("file.its-selector", selector));
        }
        return nodes;
    }

    /** Whether an element is for translation; {@code inherited} from the one around it. */
    boolean isTranslated(Element element, boolean inherited) {
        boolean own = translate.getOrDefault(element, inherited);
        String local = element.getAttributeNS(NAMESPACE, "translate");
        boolean stated = local.isEmpty() ? own : local.equals("yes");
        return selection.takesAll() ? stated : selection.includes(path(element));
    }

    /** Attributes are not, unless a rule says so. */
    boolean isTranslated(Attr attribute) {
        boolean pointedAt = selection.patterns().stream().anyMatch(each -> each.contains("@"))
                && selection.includes(path(attribute.getOwnerElement()) + "/@" + attribute.getName());
        return translate.getOrDefault(attribute, false) || pointedAt;
    }

    /** {@code yes}, {@code no} or {@code nested}, where something says so. */
    Optional<String> withinText(Element element) {
        String local = element.getAttributeNS(NAMESPACE, "withinText");
        return Optional.ofNullable(local.isEmpty() ? withinText.get(element) : local);
    }

    Optional<String> note(Element element) {
        String local = element.getAttributeNS(NAMESPACE, "locNote");
        return Optional.ofNullable(local.isEmpty() ? notes.get(element) : local);
    }

    private static String path(Node node) {
        return node instanceof Element element ? path(element.getParentNode()) + '/' + element.getTagName() : "";
    }

    /** The prefixes that are declared where a rule stands. */
    private record Prefixes(Node scope) implements NamespaceContext {
        @Override
        public String getNamespaceURI(String prefix) {
            String uri = scope.lookupNamespaceURI(prefix);
            return uri == null ? "" : uri;
        }

        @Override
        public String getPrefix(String uri) {
            return scope.lookupPrefix(uri);
        }

        @Override
        public Iterator<String> getPrefixes(String uri) {
            return List.of(getPrefix(uri)).iterator();
        }
    }
}
