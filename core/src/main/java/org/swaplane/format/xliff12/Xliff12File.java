package org.swaplane.format.xliff12;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import org.swaplane.content.Content;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.EncodedText;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Splice;
import org.swaplane.format.SplicedCopy;
import org.swaplane.format.StartTag;
import org.swaplane.format.XmlContent;
import org.swaplane.task.Progress;

/** An XLIFF 1.2 file that was read: its document, and where each target stands in it. */
final class Xliff12File implements BilingualFile {
    private final EncodedText text;
    private final BilingualDocument document;
    private final List<TargetSlot> slots;

    /** Slots are in the order of the document's segments. */
    Xliff12File(EncodedText text, BilingualDocument document, List<TargetSlot> slots) {
        this.text = text;
        this.document = document;
        this.slots = List.copyOf(slots);
    }

    @Override
    public BilingualDocument document() {
        return document;
    }

    @Override
    public void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
        List<Splice> splices = new ArrayList<>();
        for (SegmentEdit edit : edits) {
            addSplices(splices, edit, document.segments().get(edit.segment()), slots.get(edit.segment()));
        }
        SplicedCopy.write(text, splices, out, progress);
    }

    private static void addSplices(List<Splice> splices, SegmentEdit edit, Segment segment, TargetSlot slot) {
        boolean newTarget = !edit.target().equals(segment.target());
        boolean newState = edit.state() != segment.state() || wouldReadAsTranslated(edit, segment);
        boolean insert = !slot.exists() && (newTarget || newState && edit.state() != State.INITIAL);
        if (newState && approvedChanges(edit.state(), segment.state())) {
            String approved = States12.isApproved(edit.state()) ? "yes" : "no";
            splices.add(new Splice(slot.unitTag(), slot.unitTagEnd(), segment.key(), raw -> new StartTag(raw)
                    .with("approved", approved)
                    .raw()));
        }
        if (insert) {
            splices.add(new Splice(slot.start(), slot.start(), segment.key(), none -> inserted(edit, slot)));
        } else if (slot.isEmptyElement() && (newTarget || newState)) {
            splices.add(new Splice(slot.start(), slot.end(), segment.key(), raw -> {
                StartTag tag =
                        newState ? new StartTag(raw).with("state", States12.write(edit.state())) : new StartTag(raw);
                return newTarget
                        ? tag.opened().raw() + written(edit.target(), slot) + "</" + tag.name() + '>'
                        : tag.raw();
            }));
        } else if (slot.exists()) {
            if (newState) {
                splices.add(new Splice(slot.start(), slot.contentStart(), segment.key(), raw -> new StartTag(raw)
                        .with("state", States12.write(edit.state()))
                        .raw()));
            }
            if (newTarget) {
                splices.add(new Splice(
                        slot.contentStart(), slot.contentEnd(), segment.key(), raw -> written(edit.target(), slot)));
            }
        }
    }

    /** A target without a state is a translation (2.3, state), so text that is none yet must say so. */
    private static boolean wouldReadAsTranslated(SegmentEdit edit, Segment segment) {
        return edit.state() == State.INITIAL
                && segment.nativeState().isEmpty()
                && !edit.target().isEmpty();
    }

    /** {@code approved} is only touched where it would say something else than before. */
    private static boolean approvedChanges(State now, State before) {
        return States12.isApproved(now) != States12.isApproved(before);
    }

    private static String inserted(SegmentEdit edit, TargetSlot slot) {
        String name = slot.prefix() + "target";
        String state = edit.state() == State.TRANSLATED ? "" : " state=\"" + States12.write(edit.state()) + '"';
        return slot.indent() + '<' + name + state + '>' + written(edit.target(), slot) + "</" + name + '>';
    }

    private static String written(Content content, TargetSlot slot) {
        return XmlContent.written(content, slot.indent().startsWith("\r\n") ? "\r\n" : "\n");
    }
}
