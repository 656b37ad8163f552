package org.swaplane.format.xml;

import java.io.StringReader;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLInputFactory2;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.SafeXml;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;
import org.w3c.dom.Attr;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/**
 * A document as a tree, for selectors, whose nodes know where they stand in the text.
 *
 * @param text all of it
 */
record PlacedTree(String text, Document document) {
    private static final String PLACE = "place";
    private static final Pattern ATTRIBUTE = Pattern.compile("\\s([^\\s=/>\"']+)\\s*=\\s*(\"[^\"]*\"|'[^']*')");

    /**
     * Where a node stands in the text, UTF-16 units, half-open.
     *
     * @param contentStart end of an element's start tag; begin of an attribute's value
     * @param contentEnd begin of its end tag; end of the value
     */
    record Place(int start, int contentStart, int contentEnd, int end) {}

    static Place place(Node node) {
        return (Place) node.getUserData(PLACE);
    }

    /**
     * Reads the text.
     *
     * @throws CannotProceedException when it is not well-formed
     */
    static PlacedTree read(String name, String text, Progress progress) {
        XMLInputFactory2 factory = SafeXml.factory();
        // An entity of a DTD that is not read stays what it is: a reference.
        factory.setProperty(XMLInputFactory2.IS_REPLACING_ENTITY_REFERENCES, false);
        try {
            Document document = DocumentBuilderFactory.newDefaultInstance()
                    .newDocumentBuilder()
                    .newDocument();
            XMLStreamReader2 xml = (XMLStreamReader2) factory.createXMLStreamReader(new StringReader(text));
            Node at = document;
            while (xml.hasNext()) {
                progress.checkCancelled();
                at = step(xml, xml.next(), document, at, text);
            }
            xml.close();
            return new PlacedTree(text, document);
        } catch (XMLStreamException e) {
            throw SafeXml.notWellFormed(name, e);
        } catch (ParserConfigurationException e) {
            throw new AssertionError("the JDK makes trees", e);
        }
    }

    /** Adds what the parser stands on below {@code at}; returns where the next goes. */
    private static Node step(XMLStreamReader2 xml, int event, Document document, Node at, String text)
            throws XMLStreamException {
        int start = (int) xml.getLocationInfo().getStartingCharOffset();
        switch (event) {
            case XMLStreamConstants.START_ELEMENT -> {
                Element element = element(xml, document, text.substring(start, end(xml)), start);
                element.setUserData(PLACE, new Place(start, end(xml), 0, 0), null);
                return at.appendChild(element);
            }
            case XMLStreamConstants.END_ELEMENT -> {
                Place begun = place(at);
                int contentEnd = Math.max(begun.contentStart(), start);
                at.setUserData(PLACE, new Place(begun.start(), begun.contentStart(), contentEnd, end(xml)), null);
                return at.getParentNode();
            }
            case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA ->
                append(at, document.createTextNode(xml.getText()), start, end(xml));
            case XMLStreamConstants.ENTITY_REFERENCE ->
                append(at, document.createEntityReference(xml.getLocalName()), start, end(xml));
            case XMLStreamConstants.COMMENT -> append(at, document.createComment(""), start, end(xml));
            case XMLStreamConstants.PROCESSING_INSTRUCTION ->
                append(at, document.createProcessingInstruction(xml.getPITarget(), ""), start, end(xml));
            default -> {} // white space outside the root, the document type
        }
        return at;
    }

    private static int end(XMLStreamReader2 xml) throws XMLStreamException {
        return (int) xml.getLocationInfo().getEndingCharOffset();
    }

    private static void append(Node at, Node child, int start, int end) {
        if (at.getNodeType() != Node.DOCUMENT_NODE) {
            child.setUserData(PLACE, new Place(start, start, end, end), null);
            at.appendChild(child);
        }
    }

    private static Element element(XMLStreamReader2 xml, Document document, String tag, int start) {
        Element element = document.createElementNS(xml.getNamespaceURI(), name(xml.getPrefix(), xml.getLocalName()));
        for (int i = 0; i < xml.getNamespaceCount(); i++) {
            String prefix = xml.getNamespacePrefix(i);
            String attribute = prefix == null || prefix.isEmpty() ? "xmlns" : "xmlns:" + prefix;
            element.setAttributeNS("http://www.w3.org/2000/xmlns/", attribute, xml.getNamespaceURI(i));
        }
        Map<String, Place> values = values(tag, start);
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            String name = name(xml.getAttributePrefix(i), xml.getAttributeLocalName(i));
            Attr attribute = document.createAttributeNS(xml.getAttributeNamespace(i), name);
            attribute.setValue(xml.getAttributeValue(i));
            attribute.setUserData(PLACE, values.get(name), null);
            element.setAttributeNodeNS(attribute);
        }
        return element;
    }

    /** Where the values of the attributes in a start tag stand. */
    private static Map<String, Place> values(String tag, int start) {
        Map<String, Place> values = new HashMap<>();
        Matcher matcher = ATTRIBUTE.matcher(tag);
        while (matcher.find()) {
            int from = start + matcher.start(2) + 1;
            int to = start + matcher.end(2) - 1;
            values.put(matcher.group(1), new Place(from, from, to, to));
        }
        return values;
    }

    private static String name(String prefix, String local) {
        return prefix == null || prefix.isEmpty() ? local : prefix + ':' + local;
    }
}
