package org.swaplane.lane;

import java.time.Instant;
import org.swaplane.check.Finding;
import org.swaplane.wording.Phrase;

/**
 * A finding that a person accepted, with a reason; it holds as long as both texts stay the same.
 *
 * @param key of the segment where it was found
 * @param phrase what was found
 */
public record SetAside(
        String identity, String key, String check, Phrase phrase, String reason, String who, Instant at) {
    /** What a decision is about. */
    public enum Scope {
        /** This finding in this segment. */
        FINDING,
        /** The same finding wherever the lane has the same two texts. */
        TEXTS,
        /** Every finding of this check in the file. */
        KIND;

        static final String EVERYWHERE = "texts:";
        private static final String HERE = "segment:";
        private static final String OF_KIND = "check:";

        /** What a finding is recognised by in this scope. */
        String identity(Finding finding) {
            return switch (this) {
                case FINDING -> HERE + finding.identity() + ':' + finding.key();
                case TEXTS -> EVERYWHERE + finding.identity();
                case KIND -> OF_KIND + finding.check();
            };
        }

        /** The scope of such an identity; what the first version wrote holds for the texts in one file. */
        static Scope of(String identity) {
            return identity.startsWith(OF_KIND) ? KIND : identity.startsWith(HERE) ? FINDING : TEXTS;
        }
    }

    public Scope scope() {
        return Scope.of(identity);
    }

    /** What was found, in words. */
    public String message() {
        return phrase.text();
    }
}
