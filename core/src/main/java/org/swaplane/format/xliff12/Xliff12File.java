package org.swaplane.format.xliff12;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Note;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.extension.Occasion;
import org.swaplane.format.EncodedText;
import org.swaplane.format.MirroredStates;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Splice;
import org.swaplane.format.SplicedXmlFile;
import org.swaplane.format.StartTag;
import org.swaplane.format.TagEdits;
import org.swaplane.format.TagPlace;
import org.swaplane.format.TargetSlot;
import org.swaplane.format.WrittenNote;
import org.swaplane.format.WrittenProposal;
import org.swaplane.format.XmlContent;

/** An XLIFF 1.2 file that was read: its document, and where each target stands in it. */
final class Xliff12File extends SplicedXmlFile {
    private final Places places;
    private final String targetLanguage;
    private final MirroredStates mirrored;

    /**
     * Where everything stands that may be written.
     *
     * @param slots in the order of the document's segments
     * @param segmented the units with a segmented source, by the index of each of their segments
     * @param withoutLanguage file elements that shall get a target language
     */
    record Places(
            List<TargetSlot> slots,
            Map<Integer, SegmentedUnit> segmented,
            SubFlows subFlows,
            List<TagPlace> withoutLanguage) {
        Places {
            slots = List.copyOf(slots);
            segmented = Map.copyOf(segmented);
            withoutLanguage = List.copyOf(withoutLanguage);
        }
    }

    Xliff12File(
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
        for (TagPlace file : edits.isEmpty() ? List.<TagPlace>of() : places.withoutLanguage()) {
            tags.change(file, targetLanguage, tag -> tag.with("target-language", targetLanguage));
        }
        Map<SegmentedUnit, List<SegmentEdit>> byUnit = new LinkedHashMap<>();
        List<Splice> notes = new ArrayList<>();
        for (SegmentEdit edit : places.subFlows().resolved(edits, document.segments(), places.slots(), splices)) {
            Segment segment = document.segments().get(edit.segment());
            TargetSlot slot = places.slots().get(edit.segment());
            edit.lock().ifPresent(lock -> tags.change(slot.ownerTag(), segment.key(), tag -> locked(tag, lock)));
            edit.proposal().ifPresent(proposal -> splices.add(proposed(proposal, edit.segment())));
            edit.notes().forEach(note -> notes.add(noted(note, edit.segment())));
            SegmentedUnit unit = places.segmented().get(edit.segment());
            if (unit == null) {
                addSplices(splices, tags, edit, segment, slot);
            } else {
                byUnit.computeIfAbsent(unit, none -> new ArrayList<>()).add(edit);
            }
        }
        byUnit.forEach((unit, own) -> splices.addAll(unit.splices(own, document.segments(), tags, mirrored)));
        // Behind a target that is put into the same place.
        splices.addAll(notes);
    }

    /** The slot of the whole target. */
    private TargetSlot slot(int segment) {
        SegmentedUnit unit = places.segmented().get(segment);
        return unit == null ? places.slots().get(segment) : unit.target();
    }

    private static long behind(TargetSlot slot) {
        return slot.exists() ? slot.end() : slot.start();
    }

    /** Behind the target of the unit (section 2.4.1, note). */
    private Splice noted(Note note, int segment) {
        TargetSlot slot = slot(segment);
        String name = slot.prefix() + "note";
        String from =
                note.from().isEmpty() ? "" : " from=\"" + XmlContent.attribute(WrittenNote.clean(note.from())) + '"';
        return new Splice(
                behind(slot),
                behind(slot),
                document.segments().get(segment).key(),
                none -> slot.indent() + '<' + name + from + '>' + WrittenNote.content(note.text(), slot.lineEnd())
                        + "</" + name + '>');
    }

    private StartTag locked(StartTag tag, boolean lock) {
        return mirrored.on("trans-unit", Occasion.ofLock(lock)).apply(tag.with("translate", lock ? "no" : "yes"));
    }

    /** Behind the target of the unit, or where it would stand (section 2.4.1, alt-trans). */
    private Splice proposed(Proposal proposal, int segment) {
        SegmentedUnit unit = places.segmented().get(segment);
        TargetSlot slot = slot(segment);
        String key = document.segments().get(segment).key();
        String name = slot.prefix() + "alt-trans";
        String mid = unit == null ? "" : " mid=\"" + XmlContent.attribute(unit.id(segment)) + '"';
        String quality = proposal.score() < 0 ? "" : " match-quality=\"" + proposal.score() + "%\"";
        String origin = proposal.origin().isEmpty() ? "" : " origin=\"" + XmlContent.attribute(proposal.origin()) + '"';
        return new Splice(
                behind(slot),
                behind(slot),
                key,
                none -> slot.indent() + '<' + name + mid + quality + origin + '>'
                        + WrittenProposal.texts(proposal, slot) + "</" + name + '>');
    }

    private void addSplices(List<Splice> splices, TagEdits tags, SegmentEdit edit, Segment segment, TargetSlot slot) {
        boolean newTarget = !edit.target().equals(segment.target());
        boolean newState = edit.state() != segment.state() || newTarget && wakesAnotherState(edit, segment);
        if (newState && approvedChanges(edit.state(), segment.state())) {
            String approved = States12.isApproved(edit.state()) ? "yes" : "no";
            tags.change(slot.ownerTag(), segment.key(), tag -> tag.with("approved", approved));
        }
        if (newState && mirrored.concern("trans-unit")) {
            tags.change(slot.ownerTag(), segment.key(), mirrored.on("trans-unit", edit.state()));
        }
        UnaryOperator<StartTag> stated = stated(edit.state(), mirrored);
        if (slot.exists()) {
            Optional<UnaryOperator<StartTag>> onState = newState ? Optional.of(stated) : Optional.empty();
            Optional<UnaryOperator<StartTag>> onLock = edit.lock()
                    .filter(lock -> mirrored.concern("target"))
                    .map(lock -> mirrored.on("target", Occasion.ofLock(lock)));
            splices.addAll(slot.rewrite(
                    segment.key(),
                    Stream.of(onState, onLock)
                            .flatMap(Optional::stream)
                            .reduce((first, second) -> tag -> second.apply(first.apply(tag))),
                    newTarget ? Optional.of(edit.target()) : Optional.empty()));
        } else if (newTarget || newState && edit.state() != State.INITIAL) {
            // A target without a state is a translation already.
            UnaryOperator<StartTag> tag =
                    edit.state() == State.TRANSLATED ? mirrored.on("target", edit.state()) : stated;
            splices.add(slot.insert(segment.key(), tag, edit.target()));
        }
    }

    /** The start tag of a target with this state. */
    static UnaryOperator<StartTag> stated(State state, MirroredStates mirrored) {
        return tag -> mirrored.on("target", state).apply(tag.with("state", States12.write(state)));
    }

    /** With the new target, the file's own words would say another state than the one that is meant. */
    private static boolean wakesAnotherState(SegmentEdit edit, Segment segment) {
        boolean approved = States12.isApproved(segment.state());
        return States12.read(!edit.target().isEmpty(), segment.nativeState(), approved) != edit.state();
    }

    /** A unit that was final without being called approved is called so from now on. */
    private static boolean approvedChanges(State now, State before) {
        return States12.isApproved(now) || States12.isApproved(before);
    }
}
