package org.swaplane.document;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.swaplane.content.Content;

/**
 * One segment as its file holds it.
 *
 * @param key identity within the document: the file's own ids, made unique where the file repeats them
 * @param part index of the {@link Part} that it belongs to
 * @param unit the file's id of the unit
 * @param target empty when the file has none
 * @param nativeState the file's own word for the state, empty when there is none
 * @param about what else the file says of it
 */
public record Segment(
        String key,
        int part,
        String unit,
        Content source,
        Content target,
        State state,
        String nativeState,
        Lock lock,
        SegmentMetadata about) {

    /** Whether something says that it must not be changed. */
    public boolean locked() {
        return lock != Lock.NONE;
    }

    public List<Note> notes() {
        return about.notes();
    }

    public Limits limits() {
        return about.limits();
    }

    public List<Proposal> proposals() {
        return about.proposals();
    }

    /** The same with more notes. */
    public Segment withMore(List<Note> notes) {
        List<Note> all = Stream.concat(notes().stream(), notes.stream()).toList();
        return new Segment(key, part, unit, source, target, state, nativeState, lock, about.with(all));
    }

    /** The same with another lock. */
    public Segment with(Lock other) {
        return other == lock ? this : new Segment(key, part, unit, source, target, state, nativeState, other, about);
    }

    /** The same with another target and state. */
    public Segment with(Content otherTarget, State otherState) {
        return new Segment(key, part, unit, source, otherTarget, otherState, nativeState, lock, about);
    }

    /** Whether both are of one unit; units next to each other may have the same id, and are told apart by their keys. */
    public boolean isOfSameUnit(Segment other) {
        return part == other.part && unit.equals(other.unit) && occurrence().equals(other.occurrence());
    }

    /** Which of several units with its id it is of, as its key says. */
    private String occurrence() {
        if (key.indexOf('~') < 0) {
            return "";
        }
        Matcher repeated = Pattern.compile("(?:^|/)" + Pattern.quote(unit) + "~(\\d+)(?=$|[/@])")
                .matcher(key);
        return repeated.find() ? repeated.group(1) : "";
    }

    /** Whether it stands within a tag of another segment (XLIFF 1.2, section 2.5, sub). */
    public boolean isSubFlow() {
        return key.contains("/sub:");
    }

    /** The same with one more proposal, before those that the file has. */
    public Segment proposing(Proposal proposal) {
        List<Proposal> all = new ArrayList<>(proposals().size() + 1);
        all.add(proposal);
        all.addAll(proposals());
        return new Segment(
                key, part, unit, source, target, state, nativeState, lock, about.withProposals(all, about.score()));
    }

    /** The same known by other ids. */
    public Segment knownAs(String otherKey, String otherUnit) {
        return new Segment(otherKey, part, otherUnit, source, target, state, nativeState, lock, about);
    }

    /** The same in another part of a document. */
    public Segment inPart(int other) {
        return other == part ? this : new Segment(key, other, unit, source, target, state, nativeState, lock, about);
    }

    /**
     * Whether its source has a word and its target has none. Then it is open, whatever its state, a lock or a rule says, unless the file itself
     * says that it must not be translated.
     */
    public boolean isUntranslated() {
        return lock != Lock.FILE && lock != Lock.STRUCTURE && !hasWord(target) && hasWord(source);
    }

    private static boolean hasWord(Content content) {
        return content.plainText().codePoints().anyMatch(Character::isLetterOrDigit);
    }

    /** The state that counts: what is not translated has not come anywhere. */
    public State countedState() {
        return isUntranslated() ? State.INITIAL : state;
    }

    /** Whether the target is only a copy of the source and nobody has claimed it as a translation. */
    public boolean prefilled() {
        return !locked() && state.compareTo(State.REVIEWED) < 0 && !target.isEmpty() && target.sameAs(source);
    }
}
