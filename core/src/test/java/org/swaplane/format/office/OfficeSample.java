package org.swaplane.format.office;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.swaplane.format.DocumentSample;
import org.swaplane.format.FileOptions;

/** Packages with the parts that a test needs. */
public final class OfficeSample {
    private static final String NAMESPACES = "xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\""
            + " xmlns:a=\"http://schemas.openxmlformats.org/drawingml/2006/main\""
            + " xmlns:mc=\"http://schemas.openxmlformats.org/markup-compatibility/2006\"";

    private OfficeSample() {}

    /** A package with these parts, in their order. */
    public static DocumentSample of(String name, Map<String, String> parts) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, String> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return new DocumentSample(name, bytes.toByteArray(), FileOptions.ofLanguages("en", "de"));
    }

    /** A text document with these paragraphs in its body. */
    public static DocumentSample document(String body) throws IOException {
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put("[Content_Types].xml", "<Types/>");
        parts.put("word/header1.xml", "<w:hdr " + NAMESPACES + "><w:p>" + run("", "On top") + "</w:p></w:hdr>");
        parts.put("word/document.xml", documentPart(body));
        return of("leaflet.docx", parts);
    }

    public static String documentPart(String body) {
        return "<w:document " + NAMESPACES + "><w:body>" + body + "</w:body></w:document>";
    }

    public static String run(String properties, String text) {
        String all = properties.isEmpty() ? "" : "<w:rPr>" + properties + "</w:rPr>";
        return "<w:r>" + all + "<w:t xml:space=\"preserve\">" + text + "</w:t></w:r>";
    }

    /** The entries of a package as text, in their order. */
    static Map<String, String> parts(byte[] file) throws IOException {
        Map<String, String> parts = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                parts.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return parts;
    }
}
