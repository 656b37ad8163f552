package org.swaplane.proof.layout;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.swaplane.format.EncodedText;
import org.swaplane.format.FormatTraits;
import org.swaplane.format.SafeXml;
import org.swaplane.format.SafeZip;
import org.swaplane.format.Source;

/** Texts that are too long for the place where they stand. */
public final class Overflow {
    private static final Pattern SLIDE = Pattern.compile("ppt/slides/slide\\d+\\.xml");
    private static final Pattern WORKBOOK = Pattern.compile("xl/(?:worksheets/sheet\\d+|sharedStrings|styles)\\.xml");

    private Overflow() {}

    /** By their places, such as {@code xl/worksheets/sheet1.xml B12}; none for formats without columns and boxes. */
    public static Map<String, String> of(String format, Source source) throws IOException {
        return switch (FormatTraits.of(format).markup()) {
            case OFFICE_SLIDES -> onSlides(source);
            case OFFICE_SHEETS -> inCells(source);
            default -> Map.of();
        };
    }

    /** Reads the elements of one part. */
    interface Part {
        void read(XMLStreamReader xml) throws XMLStreamException;
    }

    private static Map<String, String> onSlides(Source source) throws IOException {
        Map<String, String> found = new LinkedHashMap<>();
        Map<String, byte[]> slides =
                new TreeMap<>(SafeZip.read(source, name -> SLIDE.matcher(name).matches()));
        for (Map.Entry<String, byte[]> slide : slides.entrySet()) {
            read(source, slide.getKey(), slide.getValue(), new Slide(slide.getKey(), found)::read);
        }
        return found;
    }

    private static Map<String, String> inCells(Source source) throws IOException {
        Map<String, byte[]> parts =
                SafeZip.read(source, name -> WORKBOOK.matcher(name).matches());
        Cells cells = new Cells();
        if (parts.containsKey("xl/sharedStrings.xml")) {
            read(source, "xl/sharedStrings.xml", parts.get("xl/sharedStrings.xml"), cells::readStrings);
        }
        if (parts.containsKey("xl/styles.xml")) {
            read(source, "xl/styles.xml", parts.get("xl/styles.xml"), cells::readStyles);
        }
        for (Map.Entry<String, byte[]> part : new TreeMap<>(parts).entrySet()) {
            if (part.getKey().contains("/sheet")) {
                read(source, part.getKey(), part.getValue(), xml -> cells.readSheet(part.getKey(), xml));
            }
        }
        return cells.found();
    }

    private static void read(Source source, String name, byte[] content, Part part) throws IOException {
        EncodedText text = EncodedText.of(Source.of(source.name() + '!' + name, content));
        try (var reader = text.open()) {
            part.read(SafeXml.factory().createXMLStreamReader(reader));
        } catch (XMLStreamException e) {
            throw SafeXml.notWellFormed(text.source().name(), e);
        }
    }

    /** An attribute without namespace as a number. */
    static double number(XMLStreamReader xml, String attribute, double otherwise) {
        String value = xml.getAttributeValue(null, attribute);
        try {
            return value == null ? otherwise : Double.parseDouble(value);
        } catch (NumberFormatException e) {
            return otherwise;
        }
    }

    /** Whether an attribute without namespace is on. */
    static boolean isOn(XMLStreamReader xml, String attribute) {
        String value = xml.getAttributeValue(null, attribute);
        return "1".equals(value) || "true".equals(value);
    }
}
