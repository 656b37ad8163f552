package org.swaplane.lane;

import java.nio.file.Path;
import org.swaplane.memory.MemoryUnit;

/**
 * What was found in the references of a lane.
 *
 * @param unit source and target; of a term, the targets that it may have
 * @param place the folder of the memory that has it, or the term list
 * @param editable whether it can be changed there; what was reviewed here follows its segments
 * @param role what its file counts for
 * @param count how often the same pair of texts was found
 */
public record ReferenceHit(
        MemoryUnit unit, Path place, Kind kind, boolean editable, ReferenceFiles.Role role, int count) {
    /** The property of a term's unit that holds what the target must not be called. */
    public static final String FORBIDDEN = "forbidden";

    /** What it is, in the order in which hits are told. */
    public enum Kind {
        TERM,
        UNIT,
        /** A text of a document in one language. */
        TEXT
    }

    ReferenceHit again() {
        return new ReferenceHit(unit, place, kind, editable, role, count + 1);
    }

    /** The same for what is told once. */
    String texts() {
        return kind + "\n" + unit.sourceWritten() + '\n' + unit.targetWritten();
    }
}
