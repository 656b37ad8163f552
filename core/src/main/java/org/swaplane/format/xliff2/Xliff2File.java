package org.swaplane.format.xliff2;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.BilingualFile;
import org.swaplane.format.EncodedText;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Splice;
import org.swaplane.format.SplicedCopy;
import org.swaplane.format.StartTag;
import org.swaplane.format.TargetSlot;
import org.swaplane.task.Progress;

/** An XLIFF 2 file that was read: its document, and where each target stands in it. */
final class Xliff2File implements BilingualFile {
    private final EncodedText text;
    private final BilingualDocument document;
    private final List<TargetSlot> slots;

    /** Slots are in the order of the document's segments. */
    Xliff2File(EncodedText text, BilingualDocument document, List<TargetSlot> slots) {
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
        // A state in the file counts only once there is a target.
        boolean wakesAnotherState = newTarget && States2.read(segment.nativeState()) != edit.state();
        if (edit.state() != segment.state() || wakesAnotherState) {
            splices.add(slot.ownerTag(segment.key(), tag -> stated(tag, edit.state())));
        }
        if (newTarget) {
            if (slot.exists()) {
                splices.addAll(slot.rewrite(segment.key(), Optional.empty(), Optional.of(edit.target())));
            } else {
                splices.add(slot.insert(segment.key(), "", edit.target()));
            }
        }
    }

    /** A sub-state refines one state, so it goes when the state changes (XLIFF 2.1, section 4.7.3.1, subState). */
    private static StartTag stated(StartTag tag, State state) {
        return tag.with("state", States2.write(state)).without("subState");
    }
}
