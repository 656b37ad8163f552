package org.swaplane.format;

import com.ctc.wstx.stax.WstxOutputFactory;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** An XML file written anew: UTF-8, indented where no text is near. */
public final class NewXml {
    private final XMLStreamWriter xml;
    private int depth;

    public NewXml(OutputStream stream) throws XMLStreamException {
        xml = new WstxOutputFactory().createXMLStreamWriter(new OutputStreamWriter(stream, StandardCharsets.UTF_8));
        xml.writeStartDocument("UTF-8", "1.0");
    }

    /** Opens an element on a line of its own; attributes as name and value in turn, left out where the value is empty. */
    public void open(String name, String... attributes) throws XMLStreamException {
        newLine();
        openInline(name, attributes);
        depth++;
    }

    /** Closes the element on a line of its own. */
    public void close() throws XMLStreamException {
        depth--;
        newLine();
        xml.writeEndElement();
    }

    /** Opens an element within text, or one that holds text only. */
    public void openInline(String name, String... attributes) throws XMLStreamException {
        xml.writeStartElement(name);
        attributes(attributes);
    }

    public void closeInline() throws XMLStreamException {
        xml.writeEndElement();
    }

    /** An element without content within text. */
    public void empty(String name, String... attributes) throws XMLStreamException {
        xml.writeEmptyElement(name);
        attributes(attributes);
    }

    /** An element with text on a line of its own. */
    public void line(String name, String text, String... attributes) throws XMLStreamException {
        startLine(name, attributes);
        text(text);
        xml.writeEndElement();
    }

    /** Begins an element on a line of its own that will hold text; ended with {@link #closeInline}. */
    public void startLine(String name, String... attributes) throws XMLStreamException {
        newLine();
        openInline(name, attributes);
    }

    public void text(String text) throws XMLStreamException {
        if (!text.isEmpty()) {
            xml.writeCharacters(text);
        }
    }

    /** Ends the file; the stream stays open. */
    public void end() throws XMLStreamException {
        xml.writeEndDocument();
        xml.flush();
    }

    private void attributes(String... attributes) throws XMLStreamException {
        for (int i = 0; i < attributes.length; i += 2) {
            if (!attributes[i + 1].isEmpty()) {
                xml.writeAttribute(attributes[i], attributes[i + 1]);
            }
        }
    }

    private void newLine() throws XMLStreamException {
        xml.writeCharacters("\n" + "  ".repeat(depth));
    }
}
