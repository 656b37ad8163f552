package org.swaplane.review;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.Optional;
import java.util.Set;
import org.swaplane.document.State;
import org.swaplane.lane.Origin;

/**
 * Which segments are listed, and in what order. What is empty or not set leaves all in; all that is set must hold.
 *
 * @param states any of them
 * @param traits each of them
 * @param origins any of them
 * @param person a part of the name of somebody who changed the segment
 * @param since first day of a change, ISO 8601
 * @param score of the match that the target is from, in percent
 * @param length characters of the source
 * @param check id of the check that found something; empty for any
 * @param text in the source or the target, whatever its case
 */
public record SegmentFilter(
        Set<State> states,
        Set<Trait> traits,
        Set<Origin.Kind> origins,
        String person,
        String since,
        Range score,
        Range length,
        String check,
        String text,
        Order order) {
    private static final ObjectMapper JSON = new ObjectMapper();

    /** Everything, in the order of the document. */
    public static final SegmentFilter ALL =
            new SegmentFilter(Set.of(), Set.of(), Set.of(), "", "", Range.ANY, Range.ANY, "", "", Order.DOCUMENT);

    /** What can be so of a segment. */
    public enum Trait {
        /** Neither locked nor reviewed. */
        OPEN,
        EMPTY,
        LOCKED,
        UNLOCKED,
        /** A copy of its source. */
        PREFILLED,
        /** As a draft service left it. */
        DRAFT,
        /** The file or the version before proposes a target. */
        PROPOSAL,
        /** The client, or a recipient, noted something. */
        NOTE,
        /** Somebody here noted something that is not settled. */
        OWN_NOTE,
        BOOKMARK,
        FINDING,
        /** Other segments have the same source. */
        REPEATED,
        TAGS,
        NUMBERS,
        /** A length limit. */
        LIMITED,
        /** The target is not what the file came with. */
        CHANGED,
        /** The source was another one in the version before. */
        SOURCE_CHANGED
    }

    /** In which order segments are listed; equal ones in that of the document. */
    public enum Order {
        DOCUMENT,
        SOURCE,
        /** The longest source first. */
        LENGTH,
        STATE,
        /** The lowest score first; those without one last. */
        SCORE
    }

    /**
     * A range of numbers, both ends in it.
     *
     * @param least -1 for none, as {@code most}
     */
    public record Range(int least, int most) {
        public static final Range ANY = new Range(-1, -1);

        boolean holds(int number) {
            return equals(ANY) || number >= least && number >= 0 && (most < 0 || number <= most);
        }
    }

    public SegmentFilter {
        states = Set.copyOf(states);
        traits = Set.copyOf(traits);
        origins = Set.copyOf(origins);
    }

    public static SegmentFilter of(Trait... traits) {
        return new SegmentFilter(
                Set.of(), Set.of(traits), Set.of(), "", "", Range.ANY, Range.ANY, "", "", Order.DOCUMENT);
    }

    /** Segments in a state, but for those that are locked. */
    public static SegmentFilter of(State state) {
        return new SegmentFilter(
                Set.of(state), Set.of(Trait.UNLOCKED), Set.of(), "", "", Range.ANY, Range.ANY, "", "", Order.DOCUMENT);
    }

    public SegmentFilter withText(String other) {
        return new SegmentFilter(states, traits, origins, person, since, score, length, check, other, order);
    }

    public SegmentFilter in(Order other) {
        return new SegmentFilter(states, traits, origins, person, since, score, length, check, text, other);
    }

    /** Whether it leaves everything in, whatever the order. */
    public boolean leavesAll() {
        return in(Order.DOCUMENT).equals(ALL);
    }

    public String toJson() {
        try {
            return JSON.writeValueAsString(this);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e); // it holds names, texts and numbers
        }
    }

    /** What {@link #toJson} wrote; empty for what is not so. */
    public static Optional<SegmentFilter> ofJson(String json) {
        try {
            return Optional.of(JSON.readValue(json, SegmentFilter.class));
        } catch (JsonProcessingException e) {
            return Optional.empty();
        }
    }
}
