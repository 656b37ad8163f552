package org.swaplane.format;

import org.swaplane.content.Content;
import org.swaplane.document.State;

/** A file that knows no states: what has a target in it is translated. */
public interface StatelessFile extends BilingualFile {
    @Override
    default State kept(State state, Content target) {
        return target.isEmpty() ? State.INITIAL : State.TRANSLATED;
    }
}
