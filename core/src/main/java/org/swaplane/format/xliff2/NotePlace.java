package org.swaplane.format.xliff2;

import org.swaplane.format.TargetSlot;

/**
 * Where notes can be put into a unit.
 *
 * @param isAmongNotes whether it is before the unit's first note, and inside the element that holds them
 */
record NotePlace(long at, boolean isAmongNotes) {
    /** In a unit without notes whose first part is this segment. */
    static NotePlace before(TargetSlot segment) {
        return new NotePlace(segment.owner(), false);
    }
}
