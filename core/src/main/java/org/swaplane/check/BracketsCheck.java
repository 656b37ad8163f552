package org.swaplane.check;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.swaplane.compare.Span;
import org.swaplane.wording.Phrase;

/** Brackets that do not match in the target, where those of the source do. */
final class BracketsCheck extends TextCheck {
    private static final String OPENING = "([{（［｛【〔《〈";
    private static final String CLOSING = ")]}）］｝】〕》〉";
    /** A full-width bracket may meet an ordinary one. */
    private static final String FOLDED = "([{([{【〔《〈";

    /** What stands before a closing bracket alone: a number, a letter, two eyes. */
    private static final Pattern ITEM = Pattern.compile("(?s)(?:.*\\s)?(?:\\p{N}{1,3}|\\p{L}|[:;][-']?)");

    private static final int ITEM_LENGTH = 6;

    BracketsCheck() {
        super("brackets");
    }

    @Override
    List<Finding> find(Texts texts) {
        Optional<Integer> wrong = unmatched(texts.target());
        if (wrong.isEmpty() || unmatched(texts.source()).isPresent()) {
            return List.of();
        }
        int at = wrong.get();
        String bracket = texts.target().substring(at, at + 1);
        return List.of(warning(texts, Phrase.of("check.brackets", bracket), List.of(), List.of(new Span(at, at + 1))));
    }

    /** Where a bracket stands that lacks its other half; a closing one behind a number or a letter alone counts an item. */
    private static Optional<Integer> unmatched(String text) {
        Deque<Integer> open = new ArrayDeque<>();
        for (int i = 0; i < text.length(); i++) {
            int opening = OPENING.indexOf(text.charAt(i));
            int closing = CLOSING.indexOf(text.charAt(i));
            if (opening >= 0) {
                open.push(i);
            } else if (closing >= 0) {
                if (open.isEmpty()) {
                    if (!ITEM.matcher(text.substring(Math.max(0, i - ITEM_LENGTH), i))
                            .matches()) {
                        return Optional.of(i);
                    }
                } else {
                    char half = FOLDED.charAt(OPENING.indexOf(text.charAt(open.peek())));
                    if (half != FOLDED.charAt(closing)) {
                        return Optional.of(i);
                    }
                    open.pop();
                }
            }
        }
        return Optional.ofNullable(open.peekLast());
    }
}
