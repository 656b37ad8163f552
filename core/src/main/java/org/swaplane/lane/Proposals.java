package org.swaplane.lane;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.document.Segment;

/** The translations that a file proposes for a segment, made fit to be its target. */
public final class Proposals {
    private Proposals() {}

    /** The target that the n-th proposal gives; a tag that the source does not have is left out, the others are the source's. */
    public static Optional<Content> target(Segment segment, int proposal) {
        if (proposal < 0 || proposal >= segment.proposals().size()) {
            return Optional.empty();
        }
        List<Tag> left = new ArrayList<>(segment.source().tags());
        List<Run> runs = new ArrayList<>();
        for (Run run : segment.proposals().get(proposal).target().runs()) {
            if (run instanceof Tag tag) {
                left.stream().filter(tag::matches).findFirst().ifPresent(own -> {
                    left.remove(own);
                    runs.add(own);
                });
            } else {
                runs.add(run);
            }
        }
        return Optional.of(new Content(runs));
    }
}
