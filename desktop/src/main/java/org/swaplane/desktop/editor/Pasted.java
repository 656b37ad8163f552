package org.swaplane.desktop.editor;

/** Text of other programs, as a target can hold it. */
final class Pasted {
    private Pasted() {}

    /** One kind of line break; no characters that no file can hold, nor places of objects, which the clipboard does not bring along. */
    static String text(String foreign) {
        return foreign.replaceAll("\\r\\n?", "\n").replaceAll("[\\p{Cc}\\uFFFC\\uFFFE\\uFFFF&&[^\n\t]]", "");
    }
}
