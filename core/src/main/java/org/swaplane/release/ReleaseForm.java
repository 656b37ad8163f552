package org.swaplane.release;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a track can leave as. */
public enum ReleaseForm {
    /** The target document, or the bilingual file as it was received. */
    FILE(""),
    /** An XLIFF 2.1 file with all segments. */
    XLIFF("xlf"),
    /** A workbook with source and target side by side, to be read. */
    TABLE("xlsx"),
    /** The target texts alone, one paragraph a line. */
    TEXT("txt");

    private final String extension;

    ReleaseForm(String extension) {
        this.extension = extension;
    }

    /** How files and the command line know it. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<ReleaseForm> of(String id) {
        return Arrays.stream(values()).filter(each -> each.id().equals(id)).findFirst();
    }

    /** The name that the client's file would have in this form: {@code leaflet.docx} is {@code leaflet.xlf}. */
    public String named(String original) {
        int dot = original.lastIndexOf('.');
        return extension.isEmpty() ? original : (dot < 0 ? original : original.substring(0, dot)) + '.' + extension;
    }
}
