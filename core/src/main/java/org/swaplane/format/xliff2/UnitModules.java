package org.swaplane.format.xliff2;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.content.Content;
import org.swaplane.document.Note;
import org.swaplane.document.Proposal;
import org.swaplane.format.ElementText;

/** What the modules inside a unit say that helps a person who works at it; anything else is passed over. */
final class UnitModules {
    private final XMLStreamReader2 xml;
    private final UnitDraft unit;
    private final Supplier<InlineReader> inline;

    UnitModules(XMLStreamReader2 xml, UnitDraft unit, Supplier<InlineReader> inline) {
        this.xml = xml;
        this.unit = unit;
        this.inline = inline;
    }

    /** Reads the element that the parser stands on. */
    void read() throws XMLStreamException {
        if (Modules.at(xml, Modules.MATCHES, "match")) {
            readProposal();
        } else if (Modules.at(xml, Modules.METADATA, "meta")) {
            String type = Modules.attribute(xml, null, "type");
            unit.notes.add(new Note(ElementText.read(xml), type, Note.Kind.CONTEXT, 0));
        } else if (Modules.at(xml, Modules.GLOSSARY, "glossEntry")) {
            readTerm();
        } else if (Modules.at(xml, Modules.VALIDATION, "rule")) {
            Validation.addTo(unit.rules, xml);
        } else if (!isGroup()) {
            xml.skipElement();
        }
    }

    /** An element that only holds others, which come next. */
    private boolean isGroup() {
        return Modules.at(xml, Modules.MATCHES, "matches")
                || Modules.at(xml, Modules.METADATA, "metadata")
                || Modules.at(xml, Modules.METADATA, "metaGroup")
                || Modules.at(xml, Modules.GLOSSARY, "glossary")
                || Modules.at(xml, Modules.VALIDATION, "validation");
    }

    /** XLIFF 2.1, section 5.1: a translation candidate for what {@code ref} points at. */
    private void readProposal() throws XMLStreamException {
        String pointer = Modules.attribute(xml, null, "ref");
        String ref = pointer.substring(pointer.lastIndexOf('#') + 1);
        String quality = firstOf("matchQuality", "similarity");
        // Both are percentages, unlike elsewhere also below 1.
        int score = quality.isEmpty() ? -1 : Proposal.score(quality + '%');
        String origin = firstOf("origin", "type");
        Content source = Content.EMPTY;
        Content target = Content.EMPTY;
        int open = 1;
        while (open > 0) {
            int event = xml.next();
            boolean starts = event == XMLStreamConstants.START_ELEMENT;
            if (starts && Modules.atCore(xml, "source")) {
                source = inline.get().read();
            } else if (starts && Modules.atCore(xml, "target")) {
                target = inline.get().read();
            } else {
                open += starts ? 1 : event == XMLStreamConstants.END_ELEMENT ? -1 : 0;
            }
        }
        unit.proposals
                .computeIfAbsent(ref, none -> new ArrayList<>(1))
                .add(new Proposal(source, target, score, origin));
    }

    /** XLIFF 2.1, section 5.2: a term with its translations and definition. */
    private void readTerm() throws XMLStreamException {
        List<String> words = new ArrayList<>();
        int open = 1;
        while (open > 0) {
            int event = xml.next();
            boolean starts = event == XMLStreamConstants.START_ELEMENT;
            if (starts
                    && (Modules.at(xml, Modules.GLOSSARY, "term")
                            || Modules.at(xml, Modules.GLOSSARY, "translation")
                            || Modules.at(xml, Modules.GLOSSARY, "definition"))) {
                words.add(ElementText.read(xml).strip());
            } else {
                open += starts ? 1 : event == XMLStreamConstants.END_ELEMENT ? -1 : 0;
            }
        }
        unit.notes.add(new Note(String.join(" = ", words), "", Note.Kind.TERM, 0));
    }

    private String firstOf(String attribute, String other) {
        String value = Modules.attribute(xml, null, attribute);
        return value.isEmpty() ? Modules.attribute(xml, null, other) : value;
    }
}
