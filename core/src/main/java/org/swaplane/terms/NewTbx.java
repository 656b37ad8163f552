package org.swaplane.terms;

import java.io.IOException;
import java.io.OutputStream;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javax.xml.stream.XMLStreamException;
import org.swaplane.format.NewXml;

/** A term list as TBX-Basic (ISO 30042:2019, data categories as attributes). */
public final class NewTbx {
    private NewTbx() {}

    public static void write(TermList list, OutputStream out) throws IOException {
        try {
            NewXml xml = new NewXml(out);
            xml.open(
                    "tbx",
                    "type",
                    "TBX-Basic",
                    "style",
                    "dca",
                    "xml:lang",
                    "en",
                    "xmlns",
                    "urn:iso:std:iso:30042:ed-2");
            xml.open("tbxHeader");
            xml.open("fileDesc");
            xml.open("sourceDesc");
            xml.line("p", list.name());
            xml.close();
            xml.close();
            xml.close();
            xml.open("text");
            xml.open("body");
            int number = 0;
            for (TermList.Entry entry : list.entries()) {
                write(entry, ++number, xml);
            }
            xml.close();
            xml.close();
            xml.close();
            xml.end();
        } catch (XMLStreamException e) {
            throw new IOException(e);
        }
    }

    private static void write(TermList.Entry entry, int number, NewXml xml) throws XMLStreamException {
        xml.open("conceptEntry", "id", "c" + number);
        for (String line : entry.explanation().lines().toList()) {
            xml.line("descrip", line, "type", "definition");
        }
        Map<String, List<TermList.Wording>> byLanguage = entry.wordings().stream()
                .collect(Collectors.groupingBy(TermList.Wording::language, LinkedHashMap::new, Collectors.toList()));
        for (Map.Entry<String, List<TermList.Wording>> language : byLanguage.entrySet()) {
            xml.open("langSec", "xml:lang", language.getKey());
            for (TermList.Wording wording : language.getValue()) {
                xml.open("termSec");
                xml.line("term", wording.text());
                xml.line(
                        "termNote",
                        wording.forbidden() ? "deprecatedTerm-admn-sts" : "preferredTerm-admn-sts",
                        "type",
                        "administrativeStatus");
                xml.close();
            }
            xml.close();
        }
        xml.close();
    }
}
