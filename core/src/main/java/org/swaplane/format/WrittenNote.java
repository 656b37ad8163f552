package org.swaplane.format;

import org.swaplane.content.Content;
import org.swaplane.document.Note;

/** A note that is put into a file. */
public final class WrittenNote {
    private WrittenNote() {}

    /** The text with who signed it, for formats that have no place for that. */
    public static String signed(Note note) {
        return note.from().isEmpty() ? note.text() : note.from() + ": " + note.text();
    }

    /** A text as the content of an element: characters that XML does not have are left out. */
    public static String content(String text, String lineEnd) {
        return XmlContent.written(Content.of(clean(text)), lineEnd);
    }

    /** Without characters that no text file should have. */
    public static String clean(String text) {
        return text.codePoints()
                .filter(each -> each == '\n' || each == '\t' || !Character.isISOControl(each))
                .filter(each -> each < 0xD800 || each > 0xDFFF && each != 0xFFFE && each != 0xFFFF)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }
}
