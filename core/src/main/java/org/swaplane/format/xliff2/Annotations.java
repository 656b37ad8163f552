package org.swaplane.format.xliff2;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.document.Note;
import org.swaplane.format.StartTag;

/** What marks inside a source say to a person: comments and terms (XLIFF 2.1, section 4.7.3). */
final class Annotations {
    private Annotations() {}

    static List<Note> in(Content source) {
        List<Note> notes = new ArrayList<>(0);
        for (Tag tag : source.tags()) {
            boolean mark = tag.id().startsWith(Tag.MARKED) || tag.id().startsWith("sm:");
            if (mark && tag.kind() != Tag.Kind.CLOSE) {
                StartTag start = new StartTag(tag.code());
                String value = start.value("value");
                String type = start.value("type");
                if (!value.isBlank() && (type.equals("comment") || type.equals("term"))) {
                    Note.Kind kind = type.equals("term") ? Note.Kind.TERM : Note.Kind.SOURCE;
                    notes.add(new Note(value, "", kind, 0));
                }
            }
        }
        return notes;
    }
}
