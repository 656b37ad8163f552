package org.swaplane.draft;

import java.io.IOException;
import java.util.List;
import org.swaplane.task.Progress;

/** Makes drafts of translations. */
public interface DraftService {
    /** How people are told of it. */
    String name();

    /**
     * Drafts of some texts, in their order; tags stand in both as {@link org.swaplane.content.TagNotation} writes them.
     *
     * @param source BCP 47 code, likewise {@code target}
     * @return an empty text where the service has none
     * @throws org.swaplane.task.CannotProceedException when it refuses, so that there is no use in asking again
     * @throws IOException when it does not answer, or not with sense, after several attempts
     * @throws org.swaplane.task.CancelledException soon after {@code progress} is cancelled
     */
    List<String> draft(List<String> texts, String source, String target, Progress progress) throws IOException;
}
