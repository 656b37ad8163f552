package org.swaplane.effort;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import org.swaplane.compare.EditDistance;
import org.swaplane.compare.Symbols;
import org.swaplane.content.Content;
import org.swaplane.document.State;

/**
 * Follows one segment through its changes, in their order, and says what was done at it in the end. The work begins with the text as it was
 * received or filled: what comes before the first change that a person makes, and what comes before the period, is its beginning.
 */
public final class SegmentStory {
    /** An empty text is written shorter than this. */
    private static final int SHORT = 40;

    private final Function<String, Content> texts;
    private final Predicate<String> fills;
    private String start;
    private State stateBefore = State.INITIAL;
    private String now = "";
    private State stateNow = State.INITIAL;
    private String origin = "";
    private String translator = "";
    private final Set<String> people = new LinkedHashSet<>();
    private boolean begun;
    private int versions = 1;
    private int words = -1;

    /**
     * One change.
     *
     * @param earlier whether it was made before the period
     * @param who of whose making it is; the recipient of the trip for what a copy brought back
     * @param prepares whether it only makes the text that somebody is to work at
     * @param before the text as it is written in the journal
     * @param origin where the text after it came from
     * @param translator whose text it is, if a copy for translation brought it
     * @param words of the source; -1 where it is not known
     */
    public record Change(
            boolean earlier,
            String who,
            boolean prepares,
            String before,
            State stateBefore,
            String originBefore,
            String after,
            State stateAfter,
            String originAfter,
            String translator,
            int words) {
        private boolean changesText() {
            return !before.equals(after);
        }
    }

    /**
     * @param texts reads a text as the journal writes it
     * @param fills whether a text of an origin was filled in, and nobody's translation
     */
    public SegmentStory(Function<String, Content> texts, Predicate<String> fills) {
        this.texts = texts;
        this.fills = fills;
    }

    /** Tells the next change. */
    public void tell(Change change) {
        if (start == null) {
            start = change.before();
            origin = change.originBefore();
            stateBefore = change.stateBefore();
        }
        now = change.after();
        stateNow = change.stateAfter();
        words = Math.max(words, change.words());
        if (change.earlier() || change.prepares() && !begun) {
            start = change.after();
            stateBefore = change.stateAfter();
            origin = change.originAfter();
            translator = change.changesText() ? change.translator() : translator;
            return;
        }
        if (change.prepares() && !change.changesText()) {
            return;
        }
        begun = true;
        people.add(change.who());
        versions += change.changesText() ? 1 : 0;
    }

    /** The text as it stands after the changes that were told; empty before the first. */
    public Optional<String> now() {
        return start == null ? Optional.empty() : Optional.of(now);
    }

    /** Whether a person did anything here within the period. */
    public boolean isWork() {
        return begun;
    }

    /** Words of the source; -1 where no change knew. */
    public int words() {
        return words;
    }

    private SegmentWork.Beginning beginning() {
        if (start.length() < SHORT && texts.apply(start).plainText().isBlank()) {
            return SegmentWork.Beginning.EMPTY;
        }
        return fills.test(origin) ? SegmentWork.Beginning.FILLED : SegmentWork.Beginning.TRANSLATED;
    }

    /**
     * What was done, with the words of the source and the time that somebody was here.
     *
     * @param untouched what is there where no change was told
     */
    public SegmentWork end(
            long track, int version, String key, int sourceWords, SegmentWork.Beginning untouched, long activeMillis) {
        int distance = 0;
        int similarity = EditDistance.SAME;
        SegmentWork.Outcome outcome = SegmentWork.Outcome.UNTOUCHED;
        if (start != null && !start.equals(now)) {
            Content before = texts.apply(start);
            Content after = texts.apply(now);
            int[] one = Symbols.of(before, before);
            int[] other = Symbols.of(after, before);
            distance = EditDistance.between(one, other, Math.max(one.length, other.length));
            similarity = EditDistance.similarity(one, other);
            outcome = distance == 0
                    ? SegmentWork.Outcome.UNTOUCHED
                    : before.isEmpty()
                            ? SegmentWork.Outcome.ADDED
                            : after.isEmpty() ? SegmentWork.Outcome.EMPTIED : SegmentWork.Outcome.EDITED;
        }
        return new SegmentWork(
                track,
                version,
                key,
                sourceWords,
                outcome,
                distance,
                similarity,
                start == null ? untouched : beginning(),
                origin,
                translator,
                List.copyOf(people),
                stateBefore,
                stateNow,
                versions,
                activeMillis);
    }
}
