package org.swaplane.terms;

import java.io.InputStream;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.format.SafeXml;

/** TBX (ISO 30042), both the form of 2008 (martif) and that of 2019 (tbx): concepts, languages, terms and what they may be used for. */
final class Tbx {
    private static final String XML = "http://www.w3.org/XML/1998/namespace";
    private static final List<String> NO =
            List.of("deprecatedTerm", "supersededTerm", "notRecommended", "forbidden", "obsolete");

    private final XMLStreamReader xml;
    private final List<TermList.Entry> entries = new ArrayList<>();
    private final List<TermList.Wording> wordings = new ArrayList<>();
    private final Set<String> explanations = new LinkedHashSet<>();
    private String language = "";
    private String term = "";
    private boolean forbidden;

    private Tbx(XMLStreamReader xml) {
        this.xml = xml;
    }

    static List<TermList.Entry> read(InputStream in) throws XMLStreamException {
        return new Tbx(SafeXml.factory().createXMLStreamReader(in)).read();
    }

    private List<TermList.Entry> read() throws XMLStreamException {
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                open(xml.getLocalName());
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                close(xml.getLocalName());
            }
        }
        return entries;
    }

    private void open(String name) throws XMLStreamException {
        switch (name) {
            case "termEntry", "conceptEntry" -> {
                wordings.clear();
                explanations.clear();
            }
            case "langSet", "langSec" -> language = language();
            case "tig", "ntig", "termSec" -> begin();
            case "term" -> term = text();
            case "termNote" -> readNote();
            case "descrip" -> readDefinition();
            case "definition", "note" -> explain(text());
            default -> {} // sources and dates: nothing that helps to use a term
        }
    }

    private void close(String name) {
        switch (name) {
            case "tig", "ntig", "termSec" -> {
                if (!term.isBlank()) {
                    wordings.add(new TermList.Wording(language, term.strip(), forbidden));
                }
            }
            case "termEntry", "conceptEntry" ->
                entries.add(new TermList.Entry(wordings, String.join("\n", explanations)));
            default -> {} // nothing is collected there
        }
    }

    private String language() {
        String stated = xml.getAttributeValue(XML, "lang");
        return stated == null ? "" : stated;
    }

    private void begin() {
        term = "";
        forbidden = false;
    }

    private void readNote() throws XMLStreamException {
        String type = xml.getAttributeValue(null, "type");
        String value = text().strip();
        if ("administrativeStatus".equals(type) || "normativeAuthorization".equals(type)) {
            forbidden = NO.stream().anyMatch(each -> value.startsWith(each) || value.startsWith(each + "-admn-sts"));
        }
    }

    private void readDefinition() throws XMLStreamException {
        String type = xml.getAttributeValue(null, "type");
        String value = text();
        if ("definition".equals(type) || "explanation".equals(type)) {
            explain(value);
        }
    }

    private void explain(String text) {
        String line = text.strip().replaceAll("\\s+", " ");
        if (!line.isEmpty()) {
            explanations.add(line);
        }
    }

    /** The text up to the end of the element, elements in it left out. */
    private String text() throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        for (int depth = 1; depth > 0; ) {
            int event = xml.next();
            if (event == XMLStreamConstants.CHARACTERS || event == XMLStreamConstants.CDATA) {
                text.append(xml.getText());
            } else if (event == XMLStreamConstants.START_ELEMENT) {
                depth++;
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            }
        }
        return text.toString();
    }
}
