package org.swaplane.format.xliff12;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.swaplane.document.Limits;
import org.swaplane.document.Lock;
import org.swaplane.document.Note;
import org.swaplane.document.Proposal;
import org.swaplane.format.TargetDraft;

/** What is known of a unit while it is being read. */
final class UnitDraft {
    final TargetDraft draft;
    final String id;
    final boolean approved;
    final List<Note> notes = new ArrayList<>(0);
    final Limits limits;
    /** Proposals by the segment that they are for; those without one are for the unit. */
    final Map<String, List<Proposal>> proposals = new HashMap<>(0);

    Lock lock;
    String nativeState = "";
    List<SubContent> sourceSubFlows = List.of();
    List<SubContent> targetSubFlows = List.of();
    List<SubSegment> subSegments = List.of();
    List<SegmentedUnit.Frame> frames = List.of();
    Map<String, SubSegment> subTargets = Map.of();
    String tail = "";

    UnitDraft(TargetDraft draft, String id, boolean locked, boolean approved, Limits limits) {
        this.draft = draft;
        this.id = id;
        this.lock = locked ? Lock.FILE : Lock.NONE;
        this.approved = approved;
        this.limits = limits;
    }
}
