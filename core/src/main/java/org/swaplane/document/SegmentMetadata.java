package org.swaplane.document;

import java.util.List;

/**
 * What a file says of a segment besides its texts; often the same for many.
 *
 * @param score how good the target is held to be in percent, by a reading rule of the lane; -1 where nothing says so
 * @param rules what the target must keep to
 * @param otherLanguage what the target itself says of its language ({@code xml:lang}) where that is another than the file's, else empty
 */
public record SegmentMetadata(
        List<Note> notes,
        Limits limits,
        List<Proposal> proposals,
        int score,
        List<TargetRule> rules,
        Directions directions,
        String otherLanguage) {
    public static final SegmentMetadata NOTHING =
            new SegmentMetadata(List.of(), Limits.NONE, List.of(), -1, List.of(), Directions.BY_LANGUAGE, "");

    public SegmentMetadata {
        notes = List.copyOf(notes);
        proposals = List.copyOf(proposals);
        rules = List.copyOf(rules);
    }

    /** Nothing but these notes. */
    public static SegmentMetadata ofNotes(List<Note> notes) {
        return notes.isEmpty() ? NOTHING : NOTHING.with(notes);
    }

    public SegmentMetadata with(List<Note> other) {
        return new SegmentMetadata(other, limits, proposals, score, rules, directions, otherLanguage);
    }

    public SegmentMetadata with(TargetRule rule) {
        return new SegmentMetadata(notes, limits, proposals, score, List.of(rule), directions, otherLanguage);
    }

    public SegmentMetadata withLimits(Limits other) {
        return new SegmentMetadata(notes, other, proposals, score, rules, directions, otherLanguage);
    }

    public SegmentMetadata withProposals(List<Proposal> other, int otherScore) {
        return new SegmentMetadata(notes, limits, other, otherScore, rules, directions, otherLanguage);
    }

    public SegmentMetadata withOtherLanguage(String language) {
        return language.equals(otherLanguage)
                ? this
                : new SegmentMetadata(notes, limits, proposals, score, rules, directions, language);
    }

    /** Itself, or the one object that all segments share of which nothing is said. */
    public SegmentMetadata shared() {
        return equals(NOTHING) ? NOTHING : this;
    }
}
