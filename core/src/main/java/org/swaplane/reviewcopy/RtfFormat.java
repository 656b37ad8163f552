package org.swaplane.reviewcopy;

import java.io.IOException;
import org.swaplane.format.Head;
import org.swaplane.format.Source;
import org.swaplane.task.CannotProceedException;

/** Copies that were saved as rich text: recognised, so that the way out can be named. */
public final class RtfFormat implements ReturnedFormat {
    @Override
    public boolean recognises(Source source) throws IOException {
        return Head.of(source).text().startsWith("{\\rtf");
    }

    @Override
    public ReturnedCopy read(Source source) {
        throw new CannotProceedException(source.name(), "problem.rtf");
    }
}
