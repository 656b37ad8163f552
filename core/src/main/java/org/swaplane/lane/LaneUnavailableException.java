package org.swaplane.lane;

import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Phrase;

/** The lane's database cannot be reached or written now: the disk is full, or its folder is gone. What failed can be tried again. */
public final class LaneUnavailableException extends CannotProceedException {
    LaneUnavailableException(String file, Phrase problem, Throwable cause) {
        super(new Place(file, 0, 0), problem, cause);
    }
}
