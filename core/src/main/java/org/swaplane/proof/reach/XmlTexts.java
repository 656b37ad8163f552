package org.swaplane.proof.reach;

import java.io.IOException;
import java.io.Reader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.format.EncodedText;
import org.swaplane.format.SafeXml;
import org.swaplane.format.Source;
import org.swaplane.proof.reach.FoundText.Kind;

/** Texts and attributes of XML whose vocabulary nobody knows. */
final class XmlTexts {
    private static final Set<String> NOTES = Set.of("comment", "note", "description", "resheader");

    private final List<FoundText> found = new ArrayList<>();
    private final Deque<Kind> kinds = new ArrayDeque<>();
    private final StringBuilder text = new StringBuilder();

    List<FoundText> find(Source source) throws IOException {
        EncodedText encoded = EncodedText.of(source);
        try (Reader reader = encoded.open()) {
            XMLStreamReader xml = SafeXml.factory().createXMLStreamReader(reader);
            kinds.push(Kind.EXCLUDED);
            while (xml.hasNext()) {
                switch (xml.next()) {
                    case XMLStreamConstants.START_ELEMENT -> open(xml);
                    case XMLStreamConstants.END_ELEMENT -> {
                        flush(xml);
                        kinds.pop();
                    }
                    case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> text.append(xml.getText());
                    default -> {} // comments and instructions are for programmers
                }
            }
        } catch (XMLStreamException e) {
            throw SafeXml.notWellFormed(source.name(), e);
        }
        return found;
    }

    private void open(XMLStreamReader xml) {
        flush(xml);
        Kind kind = NOTES.contains(xml.getLocalName()) ? Kind.NOT_TRANSLATED : kinds.peek();
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            String name = xml.getAttributeLocalName(i);
            String value = xml.getAttributeValue(i);
            if (name.equals("translate") || name.equals("translatable")) {
                kind = value.equals("no") || value.equals("false") ? Kind.NOT_TRANSLATED : Kind.EXCLUDED;
            }
        }
        boolean rule = xml.getLocalName().endsWith("Rule");
        for (int i = 0; i < xml.getAttributeCount() && !rule; i++) {
            String value = xml.getAttributeValue(i);
            if (Wordlike.isSentence(value)) {
                Kind why = kind == Kind.EXCLUDED ? Kind.ATTRIBUTE : kind;
                String where = line(xml) + " " + xml.getLocalName() + '/' + xml.getAttributeLocalName(i);
                found.add(new FoundText(where, why, value));
            }
        }
        kinds.push(kind);
    }

    private void flush(XMLStreamReader xml) {
        String whole = text.toString().strip();
        text.setLength(0);
        if (Wordlike.isSentence(whole)) {
            found.add(new FoundText(line(xml), kinds.peek(), whole));
        }
    }

    private static String line(XMLStreamReader xml) {
        return String.valueOf(xml.getLocation().getLineNumber());
    }
}
