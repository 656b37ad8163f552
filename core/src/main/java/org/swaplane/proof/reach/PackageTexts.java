package org.swaplane.proof.reach;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.format.EncodedText;
import org.swaplane.format.SafeXml;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;
import org.swaplane.proof.reach.FoundText.Kind;

/** Texts in all parts of an office document. */
final class PackageTexts {
    private static final Pattern PART = Pattern.compile("(?:word|ppt|xl)/.*\\.xml|docProps/core\\.xml");
    /** How things look, what is only computed with, and what is kept for another time. */
    private static final Pattern TECHNICAL = Pattern.compile(
            ".*/(?:styles|stylesWithEffects|theme\\d*|themeOverride\\d*|settings|webSettings|fontTable|calcChain|presProps|viewProps|tableStyles"
                    + "|people|persons?\\d*|comments(?:Ids|Extended|Extensible)|metadata|externalLink\\d+|table\\d+|pivot\\w*|connections"
                    + "|commentAuthors|authors|tags?\\d+|colors\\d+|quickStyle\\d+|layout\\d+)\\.xml|word/glossary/.*");

    private static final Set<String> TEXTS =
            Set.of("t", "oddHeader", "oddFooter", "evenHeader", "evenFooter", "firstHeader", "firstFooter", "text");
    private static final Set<String> PROPERTIES = Set.of("title", "subject", "description", "keywords", "category");
    private static final Set<String> SHOWN_ATTRIBUTES = Set.of(
            "descr",
            "title",
            "alt",
            "string",
            "prompt",
            "promptTitle",
            "error",
            "errorTitle",
            "tooltip",
            "displayText");
    private static final Set<String> SHOWN_VALUES = Set.of("statusText", "helpText", "listEntry");
    private static final Pattern HEADER_CODES = Pattern.compile("&(?:\"[^\"]*\"|[A-Za-z]|\\d+)");
    private static final Pattern FORMULA_STRING = Pattern.compile("\"((?:[^\"]|\"\")*)\"");

    private final Source source;
    private final List<FoundText> found = new ArrayList<>();
    private final Deque<String> open = new ArrayDeque<>();
    private final StringBuilder text = new StringBuilder();
    private final StringBuilder field = new StringBuilder();
    private String part = "";
    private boolean hiddenRun;
    private boolean hiddenPart;

    PackageTexts(Source source) {
        this.source = source;
    }

    List<FoundText> find() throws IOException {
        Map<String, byte[]> parts = SafeZip.read(
                source,
                name -> PART.matcher(name).matches() && !TECHNICAL.matcher(name).matches());
        for (Map.Entry<String, byte[]> each : parts.entrySet()) {
            part = each.getKey();
            read(EncodedText.of(Source.of(source.name() + '!' + part, each.getValue())));
        }
        return found;
    }

    private void read(EncodedText content) throws IOException {
        open.clear();
        hiddenPart = false;
        try (var reader = content.open()) {
            XMLStreamReader xml = SafeXml.factory().createXMLStreamReader(reader);
            while (xml.hasNext()) {
                switch (xml.next()) {
                    case XMLStreamConstants.START_ELEMENT -> start(xml);
                    case XMLStreamConstants.END_ELEMENT -> end(xml.getLocalName());
                    case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> text.append(xml.getText());
                    default -> {} // nothing that is shown
                }
            }
        } catch (XMLStreamException e) {
            throw SafeXml.notWellFormed(content.source().name(), e);
        }
    }

    private void start(XMLStreamReader xml) {
        String name = xml.getLocalName();
        open.push(name);
        text.setLength(0);
        switch (name) {
            case "r" -> hiddenRun = false;
            case "vanish" -> hiddenRun |= open.contains("r") && isOn(value(xml, "val"));
            case "sld" -> hiddenPart = value(xml, "show").filter("0"::equals).isPresent();
            case "sheet" -> value(xml, "name").ifPresent(sheet -> add(Kind.SHEET_NAME, sheet));
            case "lvlText" -> value(xml, "val").ifPresent(label -> add(Kind.NUMBERING, label.replaceAll("%\\d", "")));
            case "fldSimple" -> value(xml, "instr").ifPresent(this::addField);
            case "fldChar" -> {
                addField(field.toString());
                field.setLength(0);
            }
            default -> {
                if (SHOWN_VALUES.contains(name)) {
                    value(xml, "val").ifPresent(shown -> add(Kind.ATTRIBUTE, shown));
                }
            }
        }
        // A text document shows what docPr says of a picture, and not what the picture says of itself.
        boolean shown = !name.equals("cNvPr") || !part.startsWith("word/");
        for (int i = 0; shown && i < xml.getAttributeCount(); i++) {
            if (SHOWN_ATTRIBUTES.contains(xml.getAttributeLocalName(i))) {
                add(kind() == Kind.EXCLUDED ? Kind.ATTRIBUTE : kind(), xml.getAttributeValue(i));
            }
        }
    }

    private void end(String name) {
        open.pop();
        String value = text.toString();
        text.setLength(0);
        if (name.equals("instrText")) {
            field.append(value);
        } else if (name.equals("f") && part.startsWith("xl/")) {
            FORMULA_STRING
                    .matcher(value)
                    .results()
                    .map(string -> string.group(1))
                    .filter(Wordlike::isSentence)
                    .forEach(string -> add(Kind.FIELD_CODE, string));
        } else if (part.startsWith("docProps/") && PROPERTIES.contains(name)) {
            add(Kind.PROPERTY, value);
        } else if (TEXTS.contains(name) && !open.contains("fld") && !open.contains("rPh")) {
            add(
                    kind(),
                    name.equals("t") || name.equals("text")
                            ? value
                            : HEADER_CODES.matcher(value).replaceAll(" "));
        }
    }

    private Kind kind() {
        if (part.contains("omments")) {
            return Kind.COMMENT;
        }
        if (part.contains("Master") || part.contains("Layout")) {
            return Kind.MASTER;
        }
        return hiddenPart || hiddenRun || open.contains("Fallback") ? Kind.HIDDEN : Kind.EXCLUDED;
    }

    private static boolean isOn(Optional<String> value) {
        return value.filter(Set.of("0", "false", "off")::contains).isEmpty();
    }

    private static Optional<String> value(XMLStreamReader xml, String attribute) {
        for (int i = 0; i < xml.getAttributeCount(); i++) {
            if (xml.getAttributeLocalName(i).equals(attribute)) {
                return Optional.of(xml.getAttributeValue(i));
            }
        }
        return Optional.empty();
    }

    private void addField(String instruction) {
        FieldCode.shown(instruction).forEach(shown -> add(Kind.FIELD_CODE, shown));
    }

    private void add(Kind kind, String value) {
        if (Wordlike.isText(value)) {
            found.add(new FoundText(part, kind, value.strip()));
        }
    }
}
