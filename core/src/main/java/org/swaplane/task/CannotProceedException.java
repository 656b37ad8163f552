package org.swaplane.task;

/** Going on is impossible. The message is one line for people: where, what, and what to do. */
public class CannotProceedException extends RuntimeException {
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

    public CannotProceedException(Place place, String what, String remedy, Throwable cause) {
        super(place + ": " + what + "; " + remedy, cause);
    }

    public CannotProceedException(String file, String what, String remedy) {
        this(new Place(file, 0, 0), what, remedy, null);
    }
}
