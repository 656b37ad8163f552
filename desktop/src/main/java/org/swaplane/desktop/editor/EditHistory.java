package org.swaplane.desktop.editor;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import org.fxmisc.richtext.model.PlainTextChange;
import org.swaplane.content.Content;

/** What was done in the editor since the segment was loaded, to be taken back word by word. */
final class EditHistory {
    private final Deque<State> before = new ArrayDeque<>();
    private final Deque<State> after = new ArrayDeque<>();
    private State now = new State(Content.EMPTY, 0);
    private Optional<PlainTextChange> last = Optional.empty();

    /**
     * What stood there.
     *
     * @param caret in characters of the editor
     */
    record State(Content content, int caret) {}

    void start(State loaded) {
        before.clear();
        after.clear();
        last = Optional.empty();
        now = loaded;
    }

    /** Typing on in a word, and deleting on, belong to the same step. */
    void changed(PlainTextChange change, State state) {
        if (last.filter(earlier -> continues(earlier, change)).isEmpty()) {
            before.push(now);
        }
        after.clear();
        last = Optional.of(change);
        now = state;
    }

    private static boolean continues(PlainTextChange earlier, PlainTextChange change) {
        boolean typesOn = earlier.getRemoved().isEmpty()
                && change.getRemoved().isEmpty()
                && change.getInserted().length() == 1
                && change.getPosition() == earlier.getInsertionEnd()
                && !earlier.getInserted().endsWith(" ");
        boolean deletesOn = earlier.getInserted().isEmpty()
                && change.getInserted().isEmpty()
                && change.getRemoved().length() == 1
                && (change.getPosition() == earlier.getPosition() || change.getRemovalEnd() == earlier.getPosition());
        return typesOn || deletesOn;
    }

    Optional<State> undo() {
        return step(before, after);
    }

    Optional<State> redo() {
        return step(after, before);
    }

    private Optional<State> step(Deque<State> from, Deque<State> to) {
        Optional<State> wanted = Optional.ofNullable(from.poll());
        wanted.ifPresent(state -> {
            to.push(now);
            now = state;
            last = Optional.empty();
        });
        return wanted;
    }

    boolean canUndo() {
        return !before.isEmpty();
    }

    boolean canRedo() {
        return !after.isEmpty();
    }
}
