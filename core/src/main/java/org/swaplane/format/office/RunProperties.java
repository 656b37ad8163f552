package org.swaplane.format.office;

import java.io.StringReader;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLInputFactory2;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.SafeXml;
import org.swaplane.format.StartTag;

/**
 * Properties of a run.
 *
 * @param written as XML, without what makes no difference; empty when nothing else is left
 * @param isHidden whether the text is not seen (ECMA-376-1, section 17.3.2.41)
 */
record RunProperties(String written, boolean isHidden) {
    static final RunProperties NONE = new RunProperties("", false);

    /** What editing leaves behind in text documents and nobody sees: language, proofing, direction. */
    private static final Set<String> NOISE_ELEMENTS = Set.of("lang", "noProof", "rtl");

    private static final Set<String> NOISE_ATTRIBUTES =
            Set.of("lang", "altLang", "dirty", "err", "noProof", "smtClean");

    private static final Set<String> FALSE = Set.of("0", "false", "off");

    private static final Pattern ELEMENT = Pattern.compile("<(?:\\w+:)?(\\w+)|\\s(b|i|u|strike)=\"(?:1|sng)\"");

    /** A piece of a part knows its prefixes but not what they stand for. */
    private static final XMLInputFactory2 FRAGMENTS = SafeXml.factory();

    static {
        FRAGMENTS.setProperty(XMLInputFactory.IS_NAMESPACE_AWARE, false);
    }

    /** Reads an {@code rPr} as it stands in its part. */
    static RunProperties read(String raw, RunVocabulary vocabulary) throws XMLStreamException {
        XMLStreamReader2 xml = (XMLStreamReader2) FRAGMENTS.createXMLStreamReader(new StringReader(raw));
        StringBuilder written = new StringBuilder();
        boolean hidden = false;
        boolean empty = true;
        int copied = 0;
        int depth = 0;
        while (xml.hasNext()) {
            int event = xml.next();
            int start = (int) xml.getLocationInfo().getStartingCharOffset();
            if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            }
            if (event != XMLStreamConstants.START_ELEMENT) {
                continue;
            }
            written.append(raw, copied, start);
            String name = local(xml.getLocalName());
            if (vocabulary == RunVocabulary.WORD && NOISE_ELEMENTS.contains(name)) {
                xml.skipElement();
            } else {
                StartTag tag = new StartTag(raw.substring(start, end(xml)));
                int kept = xml.getAttributeCount();
                for (int i = 0; i < xml.getAttributeCount(); i++) {
                    if (isNoise(xml.getAttributeLocalName(i), vocabulary)) {
                        tag = tag.without(xml.getAttributeLocalName(i));
                        kept--;
                    }
                }
                written.append(tag.raw());
                empty &= depth == 0 && kept == 0;
                hidden |= depth == 1 && vocabulary == RunVocabulary.WORD && name.equals("vanish") && isOn(xml);
                depth++;
            }
            copied = end(xml);
        }
        written.append(raw, copied, raw.length());
        return new RunProperties(empty ? "" : written.toString(), hidden);
    }

    private static int end(XMLStreamReader2 xml) throws XMLStreamException {
        return (int) xml.getLocationInfo().getEndingCharOffset();
    }

    private static boolean isOn(XMLStreamReader2 xml) {
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            if (local(xml.getAttributeLocalName(i)).equals("val")) {
                return !FALSE.contains(xml.getAttributeValue(i).toLowerCase(Locale.ROOT));
            }
        }
        return true;
    }

    private static boolean isNoise(String attribute, RunVocabulary vocabulary) {
        return vocabulary == RunVocabulary.WORD && local(attribute).startsWith("rsid")
                || NOISE_ATTRIBUTES.contains(attribute);
    }

    private static String local(String name) {
        return name.substring(name.indexOf(':') + 1);
    }

    /** What people call them: the names of the properties. */
    static String label(String properties) {
        StringBuilder label = new StringBuilder();
        Matcher element = ELEMENT.matcher(properties);
        while (element.find()) {
            String name = element.group(1) == null ? element.group(2) : element.group(1);
            if (!name.equals("rPr")) {
                label.append(label.isEmpty() ? "" : " ").append(name);
            }
        }
        return label.isEmpty() ? "plain" : label.toString();
    }
}
