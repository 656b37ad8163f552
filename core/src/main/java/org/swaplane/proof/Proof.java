package org.swaplane.proof;

import java.util.List;
import java.util.Locale;
import org.swaplane.wording.Phrase;

/**
 * One statement about a file: whether it holds, and where it does not.
 *
 * @param statement in a sentence
 */
public record Proof(String id, Verdict verdict, Phrase statement, List<Detail> details) {
    /** Details that are kept; the statement says how many there are. */
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
     * @param phrase what is there; the client's own text where it has no key
     * @param segment index of the segment; {@link #NO_SEGMENT} where there is none
     */
    public record Detail(String where, Phrase phrase, int segment) {
        public static final int NO_SEGMENT = -1;

        public Detail {
            phrase = shortened(phrase);
        }

        public Detail(String where, Phrase phrase) {
            this(where, phrase, NO_SEGMENT);
        }

        /** Of a text of the file's own. */
        public Detail(String where, String text) {
            this(where, Phrase.verbatim(text));
        }

        /** In words. */
        public String text() {
            return phrase.text();
        }

        private static Phrase shortened(Phrase phrase) {
            return new Phrase(
                    phrase.key(),
                    phrase.arguments().stream().map(Detail::shortened).toList());
        }

        private static Object shortened(Object argument) {
            return argument instanceof String text && text.length() > MOST_TEXT
                    ? text.substring(0, text.offsetByCodePoints(0, text.codePointCount(0, MOST_TEXT) - 1)) + "…"
                    : argument;
        }
    }

    public Proof {
        details = details.size() > MOST_DETAILS ? List.copyOf(details.subList(0, MOST_DETAILS)) : List.copyOf(details);
    }

    /** The statement in words. */
    public String message() {
        return statement.text();
    }

    /** A proof that holds or does not; the sentence is {@code proof.ID.pass} or {@code proof.ID.fail}. */
    static Proof of(String id, boolean holds, List<Detail> details) {
        return holds ? passed(id, details) : stated(id, Verdict.FAIL, details);
    }

    /** One that holds; details are for information. */
    static Proof passed(String id, List<Detail> details) {
        return stated(id, Verdict.PASS, details);
    }

    /** One that holds when nothing was found, and else asks for a look; the sentence is {@code proof.ID.warn}. */
    static Proof unlessFound(String id, List<Detail> details) {
        return details.isEmpty() ? passed(id, details) : stated(id, Verdict.WARN, details);
    }

    private static Proof stated(String id, Verdict verdict, List<Detail> details) {
        String key = "proof." + id + '.' + verdict.name().toLowerCase(Locale.ROOT);
        return new Proof(id, verdict, Phrase.of(key, details.size()), details);
    }
}
