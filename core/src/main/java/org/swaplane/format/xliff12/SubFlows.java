package org.swaplane.format.xliff12;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.document.Note;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.format.SegmentEdit;
import org.swaplane.format.Splice;
import org.swaplane.format.TargetSlot;
import org.swaplane.format.XmlContent;

/** The sub-flows of a document: their targets stand inside the tags of other targets, and are written there. */
final class SubFlows {
    private static final Pattern SUB = Pattern.compile("<(/?)(?:[\\w.-]+:)?sub\\b[^>]*?(/?)>");

    private final Map<Integer, List<SubFlow>> byParent = new HashMap<>();
    private final Map<Integer, SubFlow> bySegment = new HashMap<>();

    SubFlows(List<SubFlow> flows) {
        for (SubFlow flow : flows) {
            byParent.computeIfAbsent(flow.parent(), none -> new ArrayList<>()).add(flow);
            bySegment.put(flow.segment(), flow);
        }
    }

    /**
     * Turns edits of sub-flows into edits of the segments whose tags hold them, or into splices where those stay as they are.
     *
     * @param splices takes the splices
     * @return edits of segments that are no sub-flows
     */
    List<SegmentEdit> resolved(
            List<SegmentEdit> edits, List<Segment> segments, List<TargetSlot> slots, List<Splice> splices) {
        if (byParent.isEmpty()) {
            return edits;
        }
        Map<Integer, SegmentEdit> own = new LinkedHashMap<>();
        Map<Integer, SegmentEdit> inner = new TreeMap<>();
        edits.forEach(edit -> (bySegment.containsKey(edit.segment()) ? inner : own).put(edit.segment(), edit));
        inner.keySet().stream()
                .map(segment -> bySegment.get(segment).parent())
                .distinct()
                .forEach(parent -> own.putIfAbsent(parent, unchanged(parent, segments)));
        own.replaceAll((index, edit) ->
                byParent.containsKey(index) ? resolved(edit, inner, segments, slots.get(index), splices) : edit);
        return List.copyOf(own.values());
    }

    private static SegmentEdit unchanged(int index, List<Segment> segments) {
        return new SegmentEdit(
                index, segments.get(index).target(), segments.get(index).state());
    }

    private SegmentEdit resolved(
            SegmentEdit parent,
            Map<Integer, SegmentEdit> inner,
            List<Segment> segments,
            TargetSlot slot,
            List<Splice> splices) {
        List<SubFlow> flows = byParent.get(parent.segment());
        boolean stays = parent.target().equals(segments.get(parent.segment()).target());
        Content target = parent.target();
        State state = parent.state();
        List<Note> notes = new ArrayList<>(parent.notes());
        for (SubFlow flow : flows) {
            SegmentEdit edit = inner.getOrDefault(flow.segment(), unchanged(flow.segment(), segments));
            state = min(state, edit.state());
            notes.addAll(edit.notes());
            String written = XmlContent.written(edit.target(), slot.lineEnd());
            if (!stays) {
                target = with(target, flow.source(), written);
            } else if (!edit.target().equals(segments.get(flow.segment()).target())) {
                flow.target()
                        .ifPresent(there -> splices.add(there.place()
                                .filledWith(segments.get(flow.segment()).key(), written)));
            }
        }
        return parent.with(target, state).with(notes);
    }

    /** The file has one state for a target and what is inside it: that of the least. */
    private static State min(State one, State other) {
        return Comparator.<State>naturalOrder().compare(one, other) <= 0 ? one : other;
    }

    /** The target with the text of one sub-flow put into its tag. */
    private static Content with(Content target, SubContent place, String written) {
        List<Run> runs = new ArrayList<>(target.runs());
        runs.replaceAll(run -> run instanceof Tag tag
                        && tag.kind() == place.kind()
                        && tag.id().equals(place.tag())
                ? new Tag(
                        tag.kind(), tag.id(), withSub(tag.code(), place.position(), written), tag.label(), tag.rights())
                : run);
        return new Content(runs);
    }

    private static String withSub(String code, int position, String written) {
        Matcher matcher = SUB.matcher(code);
        int depth = 0;
        int seen = -1;
        int start = -1;
        while (matcher.find()) {
            boolean closes = !matcher.group(1).isEmpty();
            boolean isEmpty = !matcher.group(2).isEmpty();
            if (!closes && depth == 0 && ++seen == position) {
                if (isEmpty) {
                    String name = matcher.group().substring(1).split("[\\s/>]", 2)[0];
                    String open = matcher.group().substring(0, matcher.group().length() - 2) + '>';
                    return code.substring(0, matcher.start())
                            + open
                            + written
                            + "</"
                            + name
                            + '>'
                            + code.substring(matcher.end());
                }
                start = matcher.end();
            }
            depth += closes ? -1 : isEmpty ? 0 : 1;
            if (closes && depth == 0 && start >= 0) {
                return code.substring(0, start) + written + code.substring(matcher.start());
            }
        }
        return code;
    }
}
