package org.swaplane.version;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.Retagging;
import org.swaplane.content.Run;
import org.swaplane.content.Text;
import org.swaplane.content.UnspacedScript;
import org.swaplane.document.Proposal;
import org.swaplane.document.Segment;
import org.swaplane.document.State;

/**
 * What the translations of an old version are worth in a new one. Unchanged in its place: target and state. Unchanged elsewhere: the target, as
 * translated. Changed: a proposal, never a target. What the new version brings along itself is kept where it is worth more.
 */
public final class CarryOver {
    private final VersionAlignment alignment;
    private final List<Segment> old;
    private final List<Segment> now;
    private final Wins wins;

    /** Whose translation stands where the new version has one as well that differs. */
    public enum Wins {
        /** The one that was worked out with the old version. */
        OURS,
        /** The one that came with the new version. */
        THEIRS
    }

    /** What becomes of a segment of the new version. */
    public enum Kind {
        CARRIED,
        CARRIED_MOVED,
        PROPOSED,
        /** Nothing is carried over: it is new, was not translated, or is locked in the new version. */
        LEFT,
        RESEGMENTED
    }

    /**
     * One segment of the new version.
     *
     * @param old the segment that it comes from, -1 for none
     * @param target as it should stand; that of the new version where nothing is carried
     * @param proposal what is offered instead of a target
     */
    public record Carried(int now, int old, Kind kind, Content target, State state, Optional<Proposal> proposal) {}

    public CarryOver(VersionAlignment alignment, List<Segment> old, List<Segment> now, Wins wins) {
        this.alignment = alignment;
        this.old = old;
        this.now = now;
        this.wins = wins;
    }

    /**
     * For each segment of the new version, in its order.
     *
     * @param origin where proposals come from, in words for people
     */
    public List<Carried> all(String origin) {
        Carried[] all = new Carried[now.size()];
        for (SegmentMatch match : alignment.matches()) {
            for (int j : match.now()) {
                all[j] = of(match, j, origin);
            }
        }
        return List.of(all);
    }

    private Carried of(SegmentMatch match, int j, String origin) {
        return switch (match.outcome()) {
            case UNCHANGED -> same(match.old().get(0), j, Kind.CARRIED);
            case MOVED -> same(match.old().get(0), j, Kind.CARRIED_MOVED);
            case CHANGED -> changed(match, j, origin);
            case RESEGMENTED -> resegmented(match, j, origin);
            case NEW, GONE -> left(j, Versions.NONE);
        };
    }

    private Carried left(int j, int i) {
        return new Carried(j, i, Kind.LEFT, now.get(j).target(), now.get(j).state(), Optional.empty());
    }

    private Carried same(int i, int j, Kind kind) {
        Segment before = old.get(i);
        Segment after = now.get(j);
        Optional<Content> target = before.target().isEmpty() || before.prefilled()
                ? Optional.empty()
                : Retagging.of(before.target(), before.source(), after.source());
        if (target.isEmpty() || after.locked()) {
            return left(j, i);
        }
        boolean theirsIsThere = !after.target().isEmpty() && !after.prefilled();
        boolean differs = theirsIsThere && !after.target().sameAs(target.get());
        boolean theirsIsWorthMore = wins == Wins.THEIRS || after.state() == State.FINAL;
        if (differs && theirsIsWorthMore) {
            return new Carried(j, i, Kind.LEFT, after.target(), after.state(), Optional.empty());
        }
        State state = kind == Kind.CARRIED || before.state().compareTo(State.TRANSLATED) < 0
                ? before.state()
                : State.TRANSLATED;
        return new Carried(j, i, kind, target.get(), state, Optional.empty());
    }

    private Carried changed(SegmentMatch match, int j, String origin) {
        int i = match.old().get(0);
        Segment before = old.get(i);
        boolean translated = !before.target().isEmpty() && !before.prefilled();
        if (!translated || now.get(j).locked()) {
            return left(j, i);
        }
        Content fitted =
                Retagging.fitted(before.target(), before.source(), now.get(j).source());
        Proposal proposal = new Proposal(before.source(), fitted, match.similarity(), origin);
        // What came along unchanged is a translation of the earlier source as well.
        boolean isStale = now.get(j).target().sameAs(fitted);
        return new Carried(
                j,
                i,
                Kind.PROPOSED,
                isStale ? Content.EMPTY : now.get(j).target(),
                isStale ? State.INITIAL : now.get(j).state(),
                Optional.of(proposal));
    }

    /** What was joined is proposed as a whole; of what was split each part is offered all that there was. */
    private Carried resegmented(SegmentMatch match, int j, String origin) {
        Segment after = now.get(j);
        Content source =
                joined(match.old().stream().map(i -> old.get(i).source()).toList());
        Content target =
                joined(match.old().stream().map(i -> old.get(i).target()).toList());
        Optional<Proposal> proposal = target.isEmpty() || after.locked()
                ? Optional.empty()
                : Optional.of(new Proposal(
                        source,
                        Retagging.fitted(target, source, after.source()),
                        match.now().size() == 1
                                ? match.similarity()
                                : match.similarity() / match.now().size(),
                        origin));
        return new Carried(j, match.old().get(0), Kind.RESEGMENTED, after.target(), after.state(), proposal);
    }

    private static Content joined(List<Content> parts) {
        List<Run> runs = new ArrayList<>();
        for (Content part : parts) {
            if (!runs.isEmpty()
                    && !part.isEmpty()
                    && UnspacedScript.needsSpaceBetween(new Content(runs).plainText(), part.plainText())) {
                runs.add(new Text(" "));
            }
            runs.addAll(part.runs());
        }
        return new Content(runs);
    }
}
