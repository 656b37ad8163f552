package org.swaplane.format.tmx;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.xml.XMLConstants;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.swaplane.document.Note;
import org.swaplane.format.Authorship;
import org.swaplane.format.ElementText;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FileOptions;
import org.swaplane.format.TargetDraft;
import org.swaplane.format.XmlPass;
import org.swaplane.task.Progress;

/** One pass over a TMX file, unit by unit. */
abstract class TmxPass extends XmlPass {
    private static final String ANY = "*all*";

    private final Set<String> languages = new HashSet<>();
    private final List<Note> headerNotes = new ArrayList<>();
    private Authorship authorship = Authorship.UNKNOWN;
    private String sourceLanguage = ANY;
    private int units;

    TmxPass(EncodedText text, FileOptions options, Progress progress) {
        super(text, options, progress);
    }

    /** A unit with its source and all variants, the source among them. */
    abstract void found(String unit, Variant source, List<Variant> variants, List<Note> notes);

    List<Note> headerNotes() {
        return headerNotes;
    }

    @Override
    protected boolean isOurNamespace(String namespace) {
        return namespace.isEmpty() || namespace.equals("http://www.lisa.org/tmx14");
    }

    @Override
    protected void step(int event) throws XMLStreamException {
        if (event == XMLStreamConstants.START_ELEMENT && isOurs()) {
            switch (xml.getLocalName()) {
                case "header" -> {
                    sourceLanguage = attribute("srclang").isEmpty() ? ANY : attribute("srclang");
                    if (!sourceLanguage.equalsIgnoreCase(ANY)) {
                        checkLanguage(sourceLanguage);
                    }
                }
                case "note" -> headerNotes.add(new Note(ElementText.read(xml), ""));
                case "prop" -> headerNotes.add(readProperty());
                case "tu" -> readUnit();
                default -> {}
            }
        }
    }

    /** What the attributes say; what they do not say is that of the unit around. */
    private Authorship authorship(Authorship around) {
        return new Authorship(
                or(attribute("creationdate"), around.created()),
                or(attribute("creationid"), around.createdBy()),
                or(attribute("changedate"), around.changed()),
                or(attribute("changeid"), around.changedBy()));
    }

    private static String or(String own, String around) {
        return own.isEmpty() ? around : own;
    }

    private Note readProperty() throws XMLStreamException {
        String type = attribute("type");
        return new Note(ElementText.read(xml), type, Note.Kind.CONTEXT, 0);
    }

    private void readUnit() throws XMLStreamException {
        progress.checkCancelled();
        progress.at(units, 0);
        units++;
        String id = attribute("tuid").isEmpty() ? String.valueOf(units) : attribute("tuid");
        String language = attribute("srclang").isEmpty() ? sourceLanguage : attribute("srclang");
        List<Note> notes = new ArrayList<>(0);
        List<Variant> variants = new ArrayList<>(2);
        authorship = authorship(Authorship.UNKNOWN);
        long before = end();
        while (!endsOurs("tu", xml.next())) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                switch (isOurs() ? xml.getLocalName() : "") {
                    case "note" -> notes.add(new Note(ElementText.read(xml), ""));
                    case "prop" -> notes.add(readProperty());
                    case "tuv" -> {
                        readVariant(id, before, notes, variants);
                        before = end();
                    }
                    default -> xml.skipElement();
                }
            }
        }
        Optional<Variant> source = language.equalsIgnoreCase(ANY)
                ? variants.stream().findFirst()
                : variants.stream().filter(each -> each.isIn(language)).findFirst();
        if (source.isEmpty()) {
            problem("file.no-variant", id, language);
            return;
        }
        found(id, source.get(), variants, notes);
    }

    /** TMX 1.1 has {@code lang} where later versions have {@code xml:lang}. */
    private void readVariant(String unit, long before, List<Note> notes, List<Variant> variants)
            throws XMLStreamException {
        String written = xml.getAttributeValue(XMLConstants.XML_NS_URI, "lang");
        String language = (written == null ? attribute("lang") : written).intern();
        if (language.isEmpty()) {
            problem("file.variant-language", unit);
        } else if (languages.add(language)) {
            checkLanguage(language);
        }
        Authorship own = authorship(authorship);
        TargetDraft draft = new TargetDraft(start(), end());
        draft.indentation(indentBefore(before, start()));
        while (!endsOurs("tuv", xml.next())) {
            if (xml.getEventType() == XMLStreamConstants.START_ELEMENT) {
                switch (isOurs() ? xml.getLocalName() : "") {
                    case "note" -> notes.add(new Note(ElementText.read(xml), language));
                    case "seg" -> {
                        if (draft.hasTarget()) {
                            xml.skipElement();
                        } else {
                            readTarget(draft, new InlineReader(xml, recent, tags));
                        }
                    }
                    default -> xml.skipElement();
                }
            }
        }
        if (draft.hasTarget()) {
            variants.add(new Variant(language, draft.target(), draft.slot(), end(), own));
        } else {
            problem("file.no-seg", language, unit);
        }
    }
}
