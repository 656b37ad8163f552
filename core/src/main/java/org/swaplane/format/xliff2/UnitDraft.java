package org.swaplane.format.xliff2;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.swaplane.content.Content;
import org.swaplane.content.Tag;
import org.swaplane.document.Directions;
import org.swaplane.document.Limits;
import org.swaplane.document.Note;
import org.swaplane.document.Proposal;
import org.swaplane.document.TargetRule;
import org.swaplane.format.TagPlace;
import org.swaplane.wording.Phrase;

/** What is known of a unit while it is being read. */
final class UnitDraft {
    final String id;
    final TagPlace tag;
    final boolean locked;
    final Limits limits;
    final Directions directions;
    final List<Note> notes;
    final List<TargetRule> rules;
    final Map<String, String> originalData = new HashMap<>(0);
    /** Proposals by the id that they refer to. */
    final Map<String, List<Proposal>> proposals = new HashMap<>(0);

    /** Start tag of its matches, where it has some. */
    Optional<TagPlace> matches = Optional.empty();

    /** Where more notes can be put: before the first of them, where there are some; nowhere while it is not known. */
    Optional<NotePlace> notePlace = Optional.empty();

    /** Halves of pairs in the sources so far that wait for the other half. */
    final Set<String> halves = new HashSet<>(0);

    /** Segments so far. */
    int position;

    /** Segments and ignorables so far. */
    int pieces;

    /** Places in the target that its parts ask for (XLIFF 2.1, section 4.3.1.26, order); 0 for their own. */
    private final List<Integer> places = new ArrayList<>(0);

    private int place;

    UnitDraft(String id, TagPlace tag, Scope scope, Limits limits) {
        this.id = id;
        this.tag = tag;
        this.locked = scope.locked();
        this.limits = limits;
        this.directions = scope.directions();
        this.notes = scope.notes();
        this.rules = scope.rules();
    }

    /** The target of the segment in hand stands at this place of the unit's target, 0 for its own. */
    void placed(int order) {
        place = order;
        if (order > 0) {
            places.add(order);
        }
    }

    /** The unit's notes, and what is said of this segment alone. */
    List<Note> notesFor(Content source) {
        List<Note> own = Annotations.in(source);
        if (place > 0 && place != pieces) {
            own.add(new Note(text("note.order", place), "order", Note.Kind.CONTEXT, 0));
        }
        place = 0;
        if (own.isEmpty()) {
            return notes;
        }
        own.addAll(0, notes);
        return own;
    }

    /** What is wrong with the unit as a whole. */
    List<Phrase> problems() {
        if (halves.isEmpty() && places.isEmpty()) {
            return List.of();
        }
        List<Phrase> problems = new ArrayList<>(0);
        if (!halves.isEmpty()) {
            String code = halves.iterator().next().substring("sc:".length());
            problems.add(Phrase.of("file.spanning-unpaired", id, code));
        }
        boolean twice = places.size() > 1 && new HashSet<>(places).size() < places.size();
        if (twice || places.stream().anyMatch(each -> each > pieces)) {
            problems.add(Phrase.of("file.target-order", id, places.toString()));
        }
        return problems;
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
