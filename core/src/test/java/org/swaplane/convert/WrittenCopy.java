package org.swaplane.convert;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.swaplane.reviewcopy.ReviewCopy;
import org.swaplane.reviewcopy.ReviewCopyFormats;

/** A copy as we write it, whose parts are edited as text: what programs do that no cell shows. Forms of one file have one part. */
final class WrittenCopy {
    final String form;
    final Map<String, String> parts = new LinkedHashMap<>();

    WrittenCopy(ReviewCopy copy, String form) throws IOException {
        this.form = form;
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        if (form.equals("odt")) {
            // A form in which copies only come back.
            bytes.write(new AnsweredCopy(copy).written(form));
        } else {
            ReviewCopyFormats.ofInstalled().byExtension(form).orElseThrow().write(copy, bytes);
        }
        if (!isPackage()) {
            parts.put("", bytes.toString(StandardCharsets.UTF_8));
            return;
        }
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes.toByteArray()))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                parts.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
    }

    private boolean isPackage() {
        return !form.equals("html") && !form.equals("tsv");
    }

    /** The part that holds the table. */
    String main() {
        return switch (form) {
            case "docx" -> "word/document.xml";
            case "xlsx" -> "xl/worksheets/sheet1.xml";
            case "odt" -> "content.xml";
            default -> "";
        };
    }

    void edit(String part, UnaryOperator<String> how) {
        parts.compute(part, (name, text) -> how.apply(text));
    }

    /** Replaces what stands in the table, which must be there. */
    void replace(String what, String by) {
        edit(main(), text -> {
            if (!text.contains(what)) {
                throw new IllegalArgumentException("not in the copy: " + what);
            }
            return text.replace(what, by);
        });
    }

    byte[] bytes() throws IOException {
        if (!isPackage()) {
            return parts.get("").getBytes(StandardCharsets.UTF_8);
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, String> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return bytes.toByteArray();
    }
}
