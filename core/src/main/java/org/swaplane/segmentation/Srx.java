package org.swaplane.segmentation;

import com.ctc.wstx.stax.WstxInputFactory;
import com.ctc.wstx.stax.WstxOutputFactory;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.XMLStreamWriter;
import org.swaplane.segmentation.SegmentationRules.LanguageMap;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/** Segmentation rules as SRX files. */
public final class Srx {
    private static final String NAMESPACE = "http://www.lisa.org/srx20";

    private Srx() {}

    /**
     * Reads a file.
     *
     * @param name of the file, for messages
     * @throws CannotProceedException when it is no SRX, or a pattern in it is broken, with its line
     */
    public static SegmentationRules read(String name, InputStream in) throws IOException {
        WstxInputFactory factory = new WstxInputFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(in);
            SegmentationRules rules = read(name, xml);
            xml.close();
            return rules;
        } catch (XMLStreamException e) {
            var at = e.getLocation();
            throw new CannotProceedException(
                    new CannotProceedException.Place(name, at.getLineNumber(), at.getColumnNumber()),
                    Phrase.of("problem.srx-not-well-formed"),
                    e);
        }
    }

    private static SegmentationRules read(String name, XMLStreamReader xml) throws XMLStreamException {
        boolean cascade = false;
        boolean isSrx = false;
        Map<String, List<BreakRule>> rules = new LinkedHashMap<>();
        List<LanguageMap> maps = new ArrayList<>();
        List<BreakRule> current = new ArrayList<>();
        while (xml.hasNext()) {
            if (xml.next() == XMLStreamConstants.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "srx" -> isSrx = true;
                    case "header" -> cascade = "yes".equals(xml.getAttributeValue(null, "cascade"));
                    case "languagerule" -> {
                        current = new ArrayList<>();
                        rules.put(xml.getAttributeValue(null, "languagerulename"), current);
                    }
                    case "rule" -> current.add(rule(name, xml));
                    case "languagemap" ->
                        maps.add(new LanguageMap(
                                pattern(name, xml, xml.getAttributeValue(null, "languagepattern")),
                                xml.getAttributeValue(null, "languagerulename")));
                    default -> {}
                }
            }
        }
        if (!isSrx) {
            throw new CannotProceedException(name, "problem.no-srx");
        }
        return new SegmentationRules(cascade, rules, maps);
    }

    private static BreakRule rule(String name, XMLStreamReader xml) throws XMLStreamException {
        boolean breaks = !"no".equals(xml.getAttributeValue(null, "break"));
        String before = "";
        String after = "";
        while (!(xml.next() == XMLStreamConstants.END_ELEMENT
                && xml.getLocalName().equals("rule"))) {
            if (xml.isStartElement() && xml.getLocalName().equals("beforebreak")) {
                before = pattern(name, xml, text(xml));
            } else if (xml.isStartElement() && xml.getLocalName().equals("afterbreak")) {
                after = pattern(name, xml, text(xml));
            }
        }
        return new BreakRule(breaks, before, after);
    }

    /** Up to the end tag; in a pattern there are no elements. Not getElementText, which loses its place across buffers. */
    private static String text(XMLStreamReader xml) throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        while (xml.next() != XMLStreamConstants.END_ELEMENT) {
            text.append(xml.hasText() ? xml.getText() : "");
        }
        return text.toString();
    }

    private static String pattern(String name, XMLStreamReader xml, String written) {
        try {
            return Pattern.compile(written).pattern();
        } catch (PatternSyntaxException e) {
            var at = xml.getLocation();
            throw new CannotProceedException(
                    new CannotProceedException.Place(name, at.getLineNumber(), at.getColumnNumber()),
                    Phrase.of("problem.no-expression", written, e.getDescription()),
                    e);
        }
    }

    /** Writes rules as SRX 2.0 in UTF-8. */
    public static void write(SegmentationRules rules, OutputStream out) throws IOException {
        try {
            XMLStreamWriter xml = new WstxOutputFactory().createXMLStreamWriter(out, "UTF-8");
            xml.writeStartDocument("UTF-8", "1.0");
            xml.writeStartElement("srx");
            xml.writeAttribute("version", "2.0");
            xml.writeDefaultNamespace(NAMESPACE);
            writeHeader(xml, rules.cascade());
            xml.writeStartElement("body");
            xml.writeStartElement("languagerules");
            for (Map.Entry<String, List<BreakRule>> each : rules.rules().entrySet()) {
                xml.writeStartElement("languagerule");
                xml.writeAttribute("languagerulename", each.getKey());
                for (BreakRule rule : each.getValue()) {
                    write(xml, rule);
                }
                xml.writeEndElement();
            }
            xml.writeEndElement();
            xml.writeStartElement("maprules");
            for (LanguageMap map : rules.maps()) {
                xml.writeEmptyElement("languagemap");
                xml.writeAttribute("languagepattern", map.pattern());
                xml.writeAttribute("languagerulename", map.rules());
            }
            xml.writeEndDocument();
            xml.flush();
        } catch (XMLStreamException e) {
            throw new IOException(e);
        }
    }

    /** How tags at a break are treated (SRX 2.0, section 3.2.1): an end belongs to what it ends, all else to what follows. */
    private static void writeHeader(XMLStreamWriter xml, boolean cascade) throws XMLStreamException {
        xml.writeStartElement("header");
        xml.writeAttribute("segmentsubflows", "yes");
        xml.writeAttribute("cascade", cascade ? "yes" : "no");
        for (String type : List.of("start", "end", "isolated")) {
            xml.writeEmptyElement("formathandle");
            xml.writeAttribute("type", type);
            xml.writeAttribute("include", type.equals("end") ? "yes" : "no");
        }
        xml.writeEndElement();
    }

    private static void write(XMLStreamWriter xml, BreakRule rule) throws XMLStreamException {
        xml.writeStartElement("rule");
        xml.writeAttribute("break", rule.breaks() ? "yes" : "no");
        xml.writeStartElement("beforebreak");
        xml.writeCharacters(rule.before());
        xml.writeEndElement();
        xml.writeStartElement("afterbreak");
        xml.writeCharacters(rule.after());
        xml.writeEndElement();
        xml.writeEndElement();
    }
}
