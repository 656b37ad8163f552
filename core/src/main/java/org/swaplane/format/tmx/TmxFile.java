package org.swaplane.format.tmx;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;
import org.swaplane.format.EncodedText;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Splice;
import org.swaplane.format.SplicedXmlFile;
import org.swaplane.format.StatelessFile;
import org.swaplane.format.TagEdits;
import org.swaplane.format.TargetSlot;
import org.swaplane.format.WrittenNote;
import org.swaplane.format.XmlContent;
import org.swaplane.task.CannotProceedException;

/** A TMX file that was read: its document, and where the {@code seg} of each variant stands, or where a variant is missing and its source stands. */
final class TmxFile extends SplicedXmlFile implements StatelessFile {
    private final List<TargetSlot> slots;

    /** Slots are in the order of the document's segments. */
    TmxFile(EncodedText text, BilingualDocument document, List<TargetSlot> slots) {
        super(text, document);
        this.slots = List.copyOf(slots);
    }

    @Override
    protected void collect(List<SegmentEdit> edits, List<Splice> splices, TagEdits tags) {
        for (SegmentEdit edit : edits) {
            Segment segment = document.segments().get(edit.segment());
            TargetSlot slot = slots.get(edit.segment());
            if (!edit.notes().isEmpty()) {
                long place = slot.exists() ? slot.start() : slot.ownerEnd();
                splices.add(new Splice(place, place, segment.key(), none -> written(edit.notes(), slot)));
            }
            if (edit.target().equals(segment.target())) {
                continue;
            }
            if (slot.exists()) {
                splices.addAll(slot.rewrite(segment.key(), Optional.empty(), Optional.of(edit.target())));
            } else {
                splices.add(newVariant(segment, slot, edit.target()));
            }
        }
    }

    /** The notes of a variant stand before its text (TMX 1.4b, tuv). */
    private static String written(List<Note> notes, TargetSlot place) {
        return notes.stream()
                .map(note -> "<note>" + WrittenNote.content(WrittenNote.signed(note), place.lineEnd()) + "</note>")
                .collect(Collectors.joining());
    }

    private Splice newVariant(Segment segment, TargetSlot place, Content target) {
        String language = document.parts().get(segment.part()).targetLanguage();
        if (language.isEmpty()) {
            throw new CannotProceedException(text.source().name(), "problem.no-target-language", segment.unit());
        }
        String content = XmlContent.written(target, place.lineEnd());
        return new Splice(
                place.start(),
                place.start(),
                segment.key(),
                none -> place.indent() + "<tuv xml:lang=\"" + XmlContent.attribute(language) + "\"><seg>" + content
                        + "</seg></tuv>");
    }
}
