package org.swaplane.proof.layout;

import java.util.Map;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** The boxes of a slide that state their size; one that grows or shrinks with its text always fits. */
final class Slide {
    private static final double UNITS_OF_A_POINT = 12_700;
    private static final double MARGINS = 14.4;
    private static final double USUAL_SIZE = 18;
    /** Shares of the font size that a character is wide and a line is high. */
    private static final double WIDTH = 0.5;

    private static final double LINE = 1.2;

    private final String part;
    private final Map<String, String> found;
    private final StringBuilder text = new StringBuilder();
    private int shapes;
    private double width;
    private double height;
    private double needed;
    private double size;
    private int characters;
    private boolean inText;
    private boolean fitting;

    Slide(String part, Map<String, String> found) {
        this.part = part;
        this.found = found;
    }

    void read(XMLStreamReader xml) throws XMLStreamException {
        while (xml.hasNext()) {
            switch (xml.next()) {
                case XMLStreamConstants.START_ELEMENT -> start(xml);
                case XMLStreamConstants.END_ELEMENT -> end(xml.getLocalName());
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
                    if (inText) {
                        text.append(xml.getText());
                        characters += xml.getTextLength();
                    }
                }
                default -> {} // nothing that takes room
            }
        }
    }

    private void start(XMLStreamReader xml) {
        switch (xml.getLocalName()) {
            case "sp" -> {
                shapes++;
                width = 0;
                height = 0;
                needed = 0;
                fitting = false;
                text.setLength(0);
            }
            case "ext" -> {
                width = Overflow.number(xml, "cx", width);
                height = Overflow.number(xml, "cy", height);
            }
            case "normAutofit", "spAutoFit" -> fitting = true;
            case "p" -> {
                characters = 0;
                size = USUAL_SIZE;
            }
            case "rPr" -> size = Overflow.number(xml, "sz", size * 100) / 100;
            case "t" -> inText = true;
            default -> {} // looks, not sizes
        }
    }

    private void end(String name) {
        switch (name) {
            case "t" -> inText = false;
            case "p" -> {
                double line = Math.max(1, width / UNITS_OF_A_POINT - MARGINS);
                needed += Math.max(1, Math.ceil(characters * size * WIDTH / line)) * size * LINE;
            }
            case "sp" -> {
                if (!fitting && height > 0 && needed > height / UNITS_OF_A_POINT) {
                    found.put(part + " " + shapes, text.toString().strip());
                }
            }
            default -> {} // goes on
        }
    }
}
