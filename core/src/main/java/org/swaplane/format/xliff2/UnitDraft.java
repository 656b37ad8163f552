package org.swaplane.format.xliff2;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.document.Limits;
import org.swaplane.document.Note;
import org.swaplane.document.Proposal;
import org.swaplane.format.TagPlace;

/** What is known of a unit while it is being read. */
final class UnitDraft {
    final String id;
    final TagPlace tag;
    final boolean locked;
    final Limits limits;
    final List<Note> notes = new ArrayList<>(0);
    final Map<String, String> originalData = new HashMap<>(0);
    /** Proposals by the id that they refer to. */
    final Map<String, List<Proposal>> proposals = new HashMap<>(0);

    /** Halves of pairs in the sources so far that wait for the other half. */
    final Set<String> halves = new HashSet<>(0);

    int position;

    UnitDraft(String id, TagPlace tag, boolean locked, Limits limits) {
        this.id = id;
        this.tag = tag;
        this.locked = locked;
        this.limits = limits;
    }

    /** The proposals for a segment: those that refer to it, or to a mark in its source (XLIFF 2.1, section 5.1, ref). */
    List<Proposal> proposalsFor(String segment, Content source) {
        if (proposals.isEmpty()) {
            return List.of();
        }
        List<Proposal> found = new ArrayList<>(proposals.getOrDefault(segment, List.of()));
        for (Tag tag : source.tags()) {
            if (tag.kind() != Tag.Kind.CLOSE
                    && (tag.id().startsWith("mrk:") || tag.id().startsWith("sm:"))) {
                found.addAll(proposals.getOrDefault(tag.id().substring(tag.id().indexOf(':') + 1), List.of()));
            }
        }
        return found;
    }

    /** Remembers the spanning codes of a source; a pair may begin in one segment and end in another of the unit. */
    void pairUp(Content source) {
        for (Tag tag : source.tags()) {
            // Only spanning codes can lack a half; where the other one is in another unit, the file says isolated.
            if (tag.id().startsWith("sc:") && !tag.code().contains("isolated")) {
                if (!halves.remove(tag.id())) {
                    halves.add(tag.id());
                }
            }
        }
    }
}
