package org.swaplane.task;

import org.swaplane.wording.Phrase;
import org.swaplane.wording.Reason;

/** Going on is impossible. The message is one line for people: where, what, and what to do. */
public class CannotProceedException extends RuntimeException {
    private final transient Phrase problem;

    /**
     * Where it happened.
     *
     * @param file name or path; may be empty
     * @param line 1-based, 0 when not known
     * @param column 1-based, 0 when not known
     */
    public record Place(String file, int line, int column) {
        @Override
        public String toString() {
            return line > 0 ? file + ":" + line + ":" + Math.max(1, column) : file;
        }
    }

    /** @param problem what happened and what to do */
    public CannotProceedException(Place place, Phrase problem, Throwable cause) {
        super(Reason.shown(place.file().isEmpty() ? problem.text() : place + ": " + problem.text()), cause);
        this.problem = problem;
    }

    /** @param key of the sentence that says what happened and what to do */
    public CannotProceedException(String file, String key, Object... arguments) {
        this(new Place(file, 0, 0), Phrase.of(key, arguments), null);
    }

    public Phrase problem() {
        return problem;
    }
}
