package org.swaplane.document;

import java.util.List;

/**
 * What a file says of a segment besides its texts; often the same for many.
 *
 * @param score how good the target is held to be in percent, by a reading rule of the lane; -1 where nothing says so
 * @param rules what the target must keep to
 */
public record About(
        List<Note> notes,
        Limits limits,
        List<Proposal> proposals,
        int score,
        List<TargetRule> rules,
        Directions directions) {
    public static final About NOTHING =
            new About(List.of(), Limits.NONE, List.of(), -1, List.of(), Directions.BY_LANGUAGE);

    public About {
        notes = List.copyOf(notes);
        proposals = List.copyOf(proposals);
        rules = List.copyOf(rules);
    }

    /** Nothing but these notes. */
    public static About ofNotes(List<Note> notes) {
        return notes.isEmpty() ? NOTHING : NOTHING.with(notes);
    }

    public About with(List<Note> other) {
        return new About(other, limits, proposals, score, rules, directions);
    }

    public About with(TargetRule rule) {
        return new About(notes, limits, proposals, score, List.of(rule), directions);
    }

    public About withLimits(Limits other) {
        return new About(notes, other, proposals, score, rules, directions);
    }

    public About withProposals(List<Proposal> other, int otherScore) {
        return new About(notes, limits, other, otherScore, rules, directions);
    }

    /** Itself, or the one object that all segments share of which nothing is said. */
    public About shared() {
        return equals(NOTHING) ? NOTHING : this;
    }
}
