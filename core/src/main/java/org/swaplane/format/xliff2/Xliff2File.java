package org.swaplane.format.xliff2;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.EncodedText;
import org.swaplane.format.MirroredStates;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Splice;
import org.swaplane.format.SplicedXmlFile;
import org.swaplane.format.StartTag;
import org.swaplane.format.TagEdits;
import org.swaplane.format.TagPlace;
import org.swaplane.format.TargetSlot;

/** An XLIFF 2 file that was read: its document, and where each target stands in it. */
final class Xliff2File extends SplicedXmlFile {
    private final Places places;
    private final String targetLanguage;
    private final MirroredStates mirrored;

    /**
     * Where everything stands that may be written; lists are in the order of the document's segments.
     *
     * @param unitTags start tags of the units that the segments belong to
     * @param withoutLanguage the root that shall get a target language
     */
    record Places(List<TargetSlot> slots, List<TagPlace> unitTags, Optional<TagPlace> withoutLanguage) {
        Places {
            slots = List.copyOf(slots);
            unitTags = List.copyOf(unitTags);
        }
    }

    Xliff2File(
            EncodedText text,
            BilingualDocument document,
            Places places,
            String targetLanguage,
            MirroredStates mirrored) {
        super(text, document);
        this.places = places;
        this.targetLanguage = targetLanguage;
        this.mirrored = mirrored;
    }

    @Override
    public boolean canLock() {
        return true;
    }

    @Override
    protected void collect(List<SegmentEdit> edits, List<Splice> splices, TagEdits tags) {
        places.withoutLanguage()
                .filter(root -> !edits.isEmpty())
                .ifPresent(root -> tags.change(root, targetLanguage, tag -> tag.with("trgLang", targetLanguage)));
        for (SegmentEdit edit : edits) {
            addSplices(splices, tags, edit);
        }
    }

    private void addSplices(List<Splice> splices, TagEdits tags, SegmentEdit edit) {
        Segment segment = document.segments().get(edit.segment());
        TargetSlot slot = places.slots().get(edit.segment());
        TagPlace unit = places.unitTags().get(edit.segment());
        boolean newTarget = !edit.target().equals(segment.target());
        // A state in the file counts only once there is a target.
        boolean wakesAnotherState = newTarget && States2.read(segment.nativeState()) != edit.state();
        edit.lock()
                .ifPresent(lock -> tags.change(unit, segment.key(), tag -> tag.with("translate", lock ? "no" : "yes")));
        if (edit.state() != segment.state() || wakesAnotherState) {
            tags.change(slot.ownerTag(), segment.key(), tag -> stated(tag, edit.state()));
            if (mirrored.concern("unit")) {
                tags.change(unit, segment.key(), mirrored.on("unit", edit.state()));
            }
        }
        if (newTarget) {
            if (slot.exists()) {
                splices.addAll(slot.rewrite(segment.key(), Optional.empty(), Optional.of(edit.target())));
            } else {
                splices.add(slot.insert(segment.key(), UnaryOperator.identity(), edit.target()));
            }
        }
    }

    /** A sub-state refines one state, so it goes when the state changes (XLIFF 2.1, section 4.7.3.1, subState). */
    private StartTag stated(StartTag tag, State state) {
        return mirrored.on("segment", state)
                .apply(tag.with("state", States2.write(state)).without("subState"));
    }
}
