package org.swaplane.format.xliff12;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
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

/** An XLIFF 1.2 file that was read: its document, and where each target stands in it. */
final class Xliff12File implements BilingualFile {
    private final EncodedText text;
    private final BilingualDocument document;
    private final List<TargetSlot> slots;
    private final Map<Integer, SegmentedUnit> segmented;

    /**
     * Slots are in the order of the document's segments.
     *
     * @param segmented the units with a segmented source, by the index of each of their segments
     */
    Xliff12File(
            EncodedText text,
            BilingualDocument document,
            List<TargetSlot> slots,
            Map<Integer, SegmentedUnit> segmented) {
        this.text = text;
        this.document = document;
        this.slots = List.copyOf(slots);
        this.segmented = Map.copyOf(segmented);
    }

    @Override
    public BilingualDocument document() {
        return document;
    }

    @Override
    public void write(List<SegmentEdit> edits, OutputStream out, Progress progress) throws IOException {
        List<Splice> splices = new ArrayList<>();
        Map<SegmentedUnit, List<SegmentEdit>> byUnit = new LinkedHashMap<>();
        for (SegmentEdit edit : edits) {
            SegmentedUnit unit = segmented.get(edit.segment());
            if (unit == null) {
                addSplices(splices, edit, document.segments().get(edit.segment()), slots.get(edit.segment()));
            } else {
                byUnit.computeIfAbsent(unit, none -> new ArrayList<>()).add(edit);
            }
        }
        byUnit.forEach((unit, own) -> splices.addAll(unit.splices(own, document.segments())));
        SplicedCopy.write(text, splices, out, progress);
    }

    private static void addSplices(List<Splice> splices, SegmentEdit edit, Segment segment, TargetSlot slot) {
        boolean newTarget = !edit.target().equals(segment.target());
        boolean newState = edit.state() != segment.state() || newTarget && wakesAnotherState(edit, segment);
        String state = States12.write(edit.state());
        if (newState && approvedChanges(edit.state(), segment.state())) {
            String approved = States12.isApproved(edit.state()) ? "yes" : "no";
            splices.add(slot.ownerTag(segment.key(), tag -> tag.with("approved", approved)));
        }
        if (slot.exists()) {
            Optional<UnaryOperator<StartTag>> tag =
                    newState ? Optional.of(each -> each.with("state", state)) : Optional.empty();
            splices.addAll(slot.rewrite(segment.key(), tag, newTarget ? Optional.of(edit.target()) : Optional.empty()));
        } else if (newTarget || newState && edit.state() != State.INITIAL) {
            String attributes = edit.state() == State.TRANSLATED ? "" : " state=\"" + state + '"';
            splices.add(slot.insert(segment.key(), attributes, edit.target()));
        }
    }

    /** With the new target, the file's own words would say another state than the one that is meant. */
    private static boolean wakesAnotherState(SegmentEdit edit, Segment segment) {
        boolean approved = States12.isApproved(segment.state());
        return States12.read(!edit.target().isEmpty(), segment.nativeState(), approved) != edit.state();
    }

    /** {@code approved} is only touched where it would say something else than before. */
    private static boolean approvedChanges(State now, State before) {
        return States12.isApproved(now) != States12.isApproved(before);
    }
}
