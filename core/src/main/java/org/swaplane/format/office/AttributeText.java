package org.swaplane.format.office;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamException;
import org.codehaus.stax2.XMLStreamReader2;
import org.jsoup.parser.Parser;
import org.swaplane.content.Content;
import org.swaplane.document.SegmentMetadata;
import org.swaplane.format.TextDocument;
import org.swaplane.format.XmlContent;

/** An alternative text of a picture or shape, which is an attribute: where its value stands in the part. */
record AttributeText(int start, int end, String value) {
    private static final Pattern ALTERNATIVE = Pattern.compile("\\s(?:descr|title)=\"([^\"]+)\"");

    /** The alternative texts of the element that the parser stands on. */
    static List<AttributeText> alternatives(XMLStreamReader2 xml, RunVocabulary vocabulary, String part)
            throws XMLStreamException {
        // A picture in a word processor's document has the same text once more in its own properties.
        String holder = vocabulary == RunVocabulary.WORD ? "docPr" : "cNvPr";
        if (!xml.getLocalName().equals(holder)) {
            return List.of();
        }
        int start = (int) xml.getLocationInfo().getStartingCharOffset();
        int end = (int) xml.getLocationInfo().getEndingCharOffset();
        List<AttributeText> texts = new ArrayList<>(0);
        Matcher matcher = ALTERNATIVE.matcher(part).region(start, end);
        while (matcher.find()) {
            String value = Parser.unescapeEntities(matcher.group(1), true);
            texts.add(new AttributeText(matcher.start(1), matcher.end(1), value));
        }
        return texts;
    }

    void addTo(TextDocument.Builder document, String id) {
        document.add(id, start, end, Content.of(value), AttributeText::written, SegmentMetadata.NOTHING);
    }

    TextDocument.Inner inside(String tag, int tagStart, String id) {
        return new TextDocument.Inner(tag, tagStart, id, start, end, Content.of(value), AttributeText::written);
    }

    private static String written(Content content) {
        return XmlContent.attribute(content.withCodes());
    }
}
