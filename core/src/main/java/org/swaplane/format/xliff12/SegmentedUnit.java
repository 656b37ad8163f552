package org.swaplane.format.xliff12;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.swaplane.content.Content;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.MirroredStates;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Splice;
import org.swaplane.format.StartTag;
import org.swaplane.format.TagEdits;
import org.swaplane.format.TargetSlot;
import org.swaplane.format.XmlContent;

/**
 * A unit whose source is segmented (XLIFF 1.2, section 2.4.2, seg-source): its segments share one target element, and its state.
 *
 * @param first index of its first segment in the document
 * @param target the slot of the whole target
 * @param frames what the seg-source holds around its segments: before the first one, between them, after the last one
 * @param targets the segments of the target by position of their source, empty where the target lacks one
 */
record SegmentedUnit(
        int first, TargetSlot target, List<Frame> frames, String tail, List<Optional<SubSegment>> targets) {
    /** What stands before a segment of the source, and the start tag of the segment, as the file writes them. */
    record Frame(String before, StartTag tag) {
        private String around(String content) {
            return before + tag.around(content);
        }
    }

    /** The file's id of one of its segments. */
    String id(int segment) {
        return frames.get(segment - first).tag().value("mid");
    }

    int size() {
        return targets.size();
    }

    /** The splices for the edits of this unit; {@code all} are the segments of the document. */
    List<Splice> splices(List<SegmentEdit> edits, List<Segment> all, TagEdits tags, MirroredStates mirrored) {
        List<Segment> segments = all.subList(first, first + size());
        List<Content> contents =
                new ArrayList<>(segments.stream().map(Segment::target).toList());
        List<State> states =
                new ArrayList<>(segments.stream().map(Segment::state).toList());
        for (SegmentEdit edit : edits) {
            contents.set(edit.segment() - first, edit.target());
            states.set(edit.segment() - first, edit.state());
        }
        String key = segments.get(0).key();
        State before = lowest(segments.stream().map(Segment::state).toList());
        State now = lowest(states);
        List<Splice> splices = new ArrayList<>();
        if (States12.isApproved(before) != States12.isApproved(now)) {
            tags.change(target.ownerTag(), key, tag -> tag.with("approved", States12.isApproved(now) ? "yes" : "no"));
        }
        if (now != before && mirrored.concern("trans-unit")) {
            tags.change(target.ownerTag(), key, mirrored.on("trans-unit", now));
        }
        boolean changed =
                !contents.equals(segments.stream().map(Segment::target).toList());
        // A target without a state is a translation already.
        boolean saysSo =
                now == State.TRANSLATED && segments.get(0).nativeState().isEmpty();
        boolean newState = now != before && !saysSo;
        UnaryOperator<StartTag> stated = Xliff12File.stated(now, mirrored);
        if (!target.exists()) {
            if (changed) {
                splices.add(target.insertWritten(key, stated, whole(contents)));
            }
            return splices;
        }
        Optional<UnaryOperator<StartTag>> tag = newState ? Optional.of(stated) : Optional.empty();
        if (targets.stream().allMatch(Optional::isEmpty)) {
            splices.addAll(target.rewriteWritten(key, tag, changed ? Optional.of(whole(contents)) : Optional.empty()));
            return splices;
        }
        splices.addAll(target.rewriteWritten(key, tag, Optional.empty()));
        for (int i = 0; i < size(); i++) {
            if (!contents.get(i).equals(segments.get(i).target())) {
                splices.add(one(i, segments.get(i).key(), contents.get(i)));
            }
        }
        return splices;
    }

    /** The unit is as far as its least segment. */
    private static State lowest(List<State> states) {
        return states.stream().min(Comparator.naturalOrder()).orElse(State.INITIAL);
    }

    /** The content of a target that has no segments yet, in the frame of the seg-source. */
    private String whole(List<Content> contents) {
        List<String> pieces = new ArrayList<>();
        for (int i = 0; i < size(); i++) {
            pieces.add(frames.get(i).around(written(contents.get(i))));
        }
        return pieces.stream().collect(Collectors.joining("", "", tail));
    }

    /** A segment rewritten where it is, or put in behind the one before it. */
    private Splice one(int position, String key, Content content) {
        Optional<SubSegment> there = targets.get(position);
        if (there.isPresent()) {
            return there.get().place().filledWith(key, written(content));
        }
        long at = target.contentStart();
        for (int i = 0; i < position; i++) {
            at = targets.get(i).map(each -> each.place().end()).orElse(at);
        }
        return new Splice(at, at, key, none -> frames.get(position).around(written(content)));
    }

    private String written(Content content) {
        return XmlContent.written(content, target.lineEnd());
    }
}
