package org.swaplane.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Segment;
import org.swaplane.document.State;
import org.swaplane.reviewcopy.Revision;

/**
 * A row whose target or state came back different from what was sent.
 *
 * @param sent as it went out, in tag notation
 * @param returned as it came back, in tag notation
 * @param answer what came back as content; a damaged tag stands in it as text
 * @param repaired the answer with damaged tags replaced by the ones that were meant, when that makes all tags whole
 * @param state the state that came back, where it is another than was sent; copies for people say nothing of states
 * @param problems what is odd about it; none of them is doubtful in a safe row
 */
public record RowChange(
        int number,
        int index,
        Segment segment,
        Case what,
        String sent,
        String returned,
        Content answer,
        Optional<Content> repaired,
        Content now,
        Optional<Revision> revision,
        Optional<State> state,
        List<StructureProblem> problems) {

    /** The three texts compared: as sent, as returned, as it stands now. */
    public enum Case {
        CHANGED_THERE,
        SAME_CHANGE,
        CONFLICT
    }

    public RowChange {
        problems = List.copyOf(problems);
    }

    /** The same with one more problem. */
    RowChange with(StructureProblem more) {
        List<StructureProblem> all = new ArrayList<>(problems);
        all.add(more);
        return new RowChange(number, index, segment, what, sent, returned, answer, repaired, now, revision, state, all);
    }

    /** Whether it can be taken without a person's look. */
    public boolean safe() {
        return what == Case.CHANGED_THERE
                && problems.stream().noneMatch(problem -> problem.kind().isDoubtful());
    }

    /** What taking it would write, where it can be taken at all: never a damaged tag, never over a lock. */
    public Optional<Content> applicable() {
        boolean forbidden = problems.stream().anyMatch(problem -> problem.kind().forbids());
        if (forbidden || what == Case.SAME_CHANGE) {
            return Optional.empty();
        }
        boolean damaged = problems.stream().anyMatch(problem -> problem.kind() == StructureProblem.Kind.TAGS_DAMAGED);
        return damaged ? repaired : Optional.of(answer);
    }

    /** Whether the segment would be without text where its source has some, and so not be translated whatever is said of it. */
    public boolean leavesOpen(Content target) {
        return target.isBlank() && !segment.source().isBlank();
    }

    /** Whether only its state changed. */
    public boolean isOfStateOnly() {
        return state.isPresent() && returned.equals(sent);
    }

    public String nowWritten() {
        return TagNotation.write(now, segment.source());
    }
}
