package org.swaplane.format;

import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * The text of an element with all that is in it. Not {@link XMLStreamReader#getElementText}: Woodstox 7.1.1 loses its place there
 * when an end tag lies across two buffers.
 */
public final class ElementText {
    private ElementText() {}

    /** From the start tag that the reader stands on to its end tag, on which the reader is left. */
    public static String read(XMLStreamReader xml) throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        int depth = 1;
        while (depth > 0) {
            switch (xml.next()) {
                case XMLStreamConstants.START_ELEMENT -> depth++;
                case XMLStreamConstants.END_ELEMENT -> depth--;
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA, XMLStreamConstants.SPACE ->
                    text.append(xml.getText());
                default -> {}
            }
        }
        return text.toString();
    }
}
