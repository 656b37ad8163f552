package org.swaplane.format.xliff2;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.swaplane.document.BilingualDocument;
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

/** An XLIFF 2 file that was read: its document, and where each target stands in it. */
final class Xliff2File extends SplicedXmlFile {
    private final Places places;
    private final String targetLanguage;
    private final MirroredStates mirrored;

    /**
     * Where everything stands that may be written; lists are in the order of the document's segments.
     *
     * @param unitTags start tags of the units that the segments belong to
     * @param matches start tags of the matches of units that have some, by the start tags of the units
     * @param notePlaces where notes can be put into units that have some, or whose first part is not a segment, by their start tags
     * @param withoutLanguage the root that shall get a target language
     */
    record Places(
            List<TargetSlot> slots,
            List<TagPlace> unitTags,
            Map<TagPlace, TagPlace> matches,
            Map<TagPlace, NotePlace> notePlaces,
            Optional<TagPlace> withoutLanguage) {
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
        Map<TagPlace, List<SegmentEdit>> proposing = new LinkedHashMap<>();
        edits.stream().filter(edit -> edit.proposal().isPresent()).forEach(edit -> proposing
                .computeIfAbsent(places.unitTags().get(edit.segment()), unit -> new ArrayList<>())
                .add(edit));
        proposing.forEach((unit, own) -> splices.add(matches(unit, own)));
        Map<TagPlace, List<SegmentEdit>> noting = new LinkedHashMap<>();
        edits.stream().filter(edit -> !edit.notes().isEmpty()).forEach(edit -> noting.computeIfAbsent(
                        places.unitTags().get(edit.segment()), unit -> new ArrayList<>())
                .add(edit));
        noting.forEach((unit, own) -> splices.add(notes(unit, own)));
    }

    /** Before the notes that the unit has, or before its first part. There is no attribute for who signed one. */
    private Splice notes(TagPlace unit, List<SegmentEdit> edits) {
        int first = edits.get(0).segment();
        while (first > 0 && places.unitTags().get(first - 1).equals(unit)) {
            first--;
        }
        TargetSlot slot = places.slots().get(first);
        NotePlace place = places.notePlaces().getOrDefault(unit, NotePlace.before(slot));
        String note = slot.prefix() + "note";
        String all = edits.stream()
                .flatMap(edit -> edit.notes().stream())
                .map(each -> '<' + note + '>' + WrittenNote.content(WrittenNote.signed(each), slot.lineEnd()) + "</"
                        + note + '>')
                .collect(Collectors.joining());
        String notes = slot.prefix() + "notes";
        return new Splice(
                place.at(),
                place.at(),
                document.segments().get(first).key(),
                none -> place.isAmongNotes() ? all : '<' + notes + '>' + all + "</" + notes + '>');
    }

    /** Among the matches that the unit has, or as the first thing in it (XLIFF 2.1, sections 4.2.2.5 and 5.1). */
    private Splice matches(TagPlace unit, List<SegmentEdit> edits) {
        String key = document.segments().get(edits.get(0).segment()).key();
        String all = edits.stream().map(this::match).collect(Collectors.joining());
        TagPlace there = places.matches().get(unit);
        if (there != null) {
            return new Splice(there.end(), there.end(), key, none -> all);
        }
        return new Splice(
                unit.end(),
                unit.end(),
                key,
                none -> "<mtc:matches xmlns:mtc=\"" + Modules.MATCHES + "\">" + all + "</mtc:matches>");
    }

    private String match(SegmentEdit edit) {
        Proposal proposal = edit.proposal().orElseThrow();
        String key = document.segments().get(edit.segment()).key();
        String quality = proposal.score() < 0 ? "" : " matchQuality=\"" + proposal.score() + ".0\"";
        String origin = proposal.origin().isEmpty() ? "" : " origin=\"" + XmlContent.attribute(proposal.origin()) + '"';
        String id = key.substring(key.lastIndexOf('/') + 1);
        return "<mtc:match xmlns:mtc=\"" + Modules.MATCHES + "\" ref=\"#" + XmlContent.attribute(id) + '"' + quality
                + origin + '>'
                + WrittenProposal.texts(proposal, places.slots().get(edit.segment())) + "</mtc:match>";
    }

    private void addSplices(List<Splice> splices, TagEdits tags, SegmentEdit edit) {
        Segment segment = document.segments().get(edit.segment());
        TargetSlot slot = places.slots().get(edit.segment());
        TagPlace unit = places.unitTags().get(edit.segment());
        boolean newTarget = !edit.target().equals(segment.target());
        // A state in the file counts only once there is a target.
        boolean wakesAnotherState = newTarget && States2.read(segment.nativeState()) != edit.state();
        edit.lock().ifPresent(lock -> {
            tags.change(unit, segment.key(), tag -> locked(tag, lock));
            if (mirrored.concern("segment")) {
                tags.change(slot.ownerTag(), segment.key(), mirrored.on("segment", Occasion.ofLock(lock)));
            }
        });
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

    private StartTag locked(StartTag tag, boolean lock) {
        return mirrored.on("unit", Occasion.ofLock(lock)).apply(tag.with("translate", lock ? "no" : "yes"));
    }

    /** A sub-state refines one state, so it goes when the state changes (XLIFF 2.1, section 4.7.3.1, subState). */
    private StartTag stated(StartTag tag, State state) {
        return mirrored.on("segment", state)
                .apply(tag.with("state", States2.write(state)).without("subState"));
    }
}
