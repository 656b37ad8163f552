package org.swaplane.reviewcopy.docx;

import java.io.ByteArrayInputStream;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.swaplane.format.SafeXml;
import org.swaplane.reviewcopy.Irregularity;
import org.swaplane.reviewcopy.Remark;

/** What the text of a document refers to: comments by their ids, and styles that strike text through, hide it or number its lines. */
final class DocxMaterial {
    private static final int DEEPEST = 20;

    private final Map<String, Remark> comments;
    private final Set<String> referred = new HashSet<>();
    private final Map<String, Style> styles = new HashMap<>();

    /** {@code saysSo} tells whether the style sets or clears the property itself, or inherits it. */
    private static final class Style {
        private String basedOn = "";
        private Optional<Irregularity> leftOut = Optional.empty();
        private boolean saysSo;
        private boolean numbered;
    }

    /** @param styles the styles part, or null if the package has none */
    DocxMaterial(Map<String, Remark> comments, byte[] styles) throws XMLStreamException {
        this.comments = comments;
        if (styles != null) {
            readStyles((XMLStreamReader2) SafeXml.factory().createXMLStreamReader(new ByteArrayInputStream(styles)));
        }
    }

    /** The comment with an id, or null. */
    Remark comment(String id) {
        referred.add(id);
        return comments.get(id);
    }

    /** The comments that nothing refers to any more. */
    Iterable<Remark> lostComments() {
        return comments.entrySet().stream()
                .filter(each -> !referred.contains(each.getKey()))
                .map(Map.Entry::getValue)::iterator;
    }

    /** Why text in a style is not read, where it is not. */
    Optional<Irregularity> leftOut(String style) {
        Style at = styles.get(style);
        for (int i = 0; at != null && i < DEEPEST; i++) {
            if (at.saysSo) {
                return at.leftOut;
            }
            at = styles.get(at.basedOn);
        }
        return Optional.empty();
    }

    boolean isNumbered(String style) {
        Style at = styles.get(style);
        for (int i = 0; at != null && i < DEEPEST; i++) {
            if (at.numbered) {
                return true;
            }
            at = styles.get(at.basedOn);
        }
        return false;
    }

    private void readStyles(XMLStreamReader2 xml) throws XMLStreamException {
        Style style = new Style();
        while (xml.hasNext()) {
            if (xml.next() != XMLStreamConstants.START_ELEMENT) {
                continue;
            }
            String value = Docx.attribute(xml, "val");
            boolean on = !Set.of("0", "false", "off").contains(value);
            switch (xml.getLocalName()) {
                case "style" -> {
                    style = new Style();
                    styles.put(Docx.attribute(xml, "styleId"), style);
                }
                case "basedOn" -> style.basedOn = value;
                case "numId" -> style.numbered = !value.equals("0");
                case "strike", "dstrike", "vanish" -> {
                    style.saysSo = true;
                    Irregularity why = xml.getLocalName().equals("vanish") ? Irregularity.HIDDEN : Irregularity.STRUCK;
                    style.leftOut = on ? Optional.of(why) : style.leftOut;
                }
                default -> {}
            }
        }
    }
}
