package org.swaplane.proof;

import static org.swaplane.wording.Wording.text;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/** One statement about a file: whether it holds, in a sentence, and where it does not. */
public record Proof(String id, Verdict verdict, String message, List<Detail> details) {
    /** Details that are kept; the message says how many there are. */
    static final int MOST_DETAILS = 5000;

    private static final int MOST_TEXT = 400;

    public enum Verdict {
        PASS,
        /** A person must look. */
        WARN,
        FAIL
    }

    /**
     * A place that needs a look.
     *
     * @param where key of a segment, or part, line or path in the file
     * @param segment index of the segment; {@link #NO_SEGMENT} where there is none
     */
    public record Detail(String where, String text, int segment) {
        public static final int NO_SEGMENT = -1;

        @JsonCreator
        public Detail(
                @JsonProperty("where") String where,
                @JsonProperty("text") String text,
                @JsonProperty("segment") int segment) {
            this.where = where;
            this.text = text.length() > MOST_TEXT ? text.substring(0, MOST_TEXT) + "…" : text;
            this.segment = segment;
        }

        public Detail(String where, String text) {
            this(where, text, NO_SEGMENT);
        }

        /** As lanes of the first version kept it. */
        @JsonCreator
        public static Detail of(String words) {
            return new Detail("", words);
        }
    }

    public Proof {
        details = details.size() > MOST_DETAILS ? List.copyOf(details.subList(0, MOST_DETAILS)) : List.copyOf(details);
    }

    /** A proof that holds or does not; the sentence is {@code proof.ID.pass} or {@code proof.ID.fail}. */
    static Proof of(String id, boolean holds, List<Detail> details) {
        return holds
                ? passed(id, details)
                : new Proof(id, Verdict.FAIL, text("proof." + id + ".fail", details.size()), details);
    }

    /** One that holds; details are for information. */
    static Proof passed(String id, List<Detail> details) {
        return new Proof(id, Verdict.PASS, text("proof." + id + ".pass", details.size()), details);
    }

    /** One that holds when nothing was found, and else asks for a look; the sentence is {@code proof.ID.warn}. */
    static Proof unlessFound(String id, List<Detail> details) {
        return details.isEmpty()
                ? passed(id, details)
                : new Proof(id, Verdict.WARN, text("proof." + id + ".warn", details.size()), details);
    }
}
