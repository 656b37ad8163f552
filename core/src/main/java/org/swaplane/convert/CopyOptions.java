package org.swaplane.convert;

import static org.swaplane.wording.Wording.text;

import java.util.ArrayList;
import java.util.List;
import org.swaplane.exchange.ReviewInstructions;
import org.swaplane.exchange.RowSelection;

/**
 * What goes into a review copy, and what it says on top.
 *
 * @param recipient empty for nobody in particular
 * @param due until when it is wanted, as it is shown; empty for no date
 * @param instructions of the sender's own, a paragraph each
 * @param context how many segments around those that are sent are shown as well
 */
public record CopyOptions(
        RowSelection selection, String recipient, String due, List<String> instructions, int context) {
    public static final CopyOptions ALL = new CopyOptions(RowSelection.ALL, "", "", List.of(), 0);

    public CopyOptions {
        instructions = List.copyOf(instructions);
    }

    /** All that stands on top: for whom, until when, what the sender says, and how such a copy is filled in. */
    List<String> preface() {
        List<String> all = new ArrayList<>();
        if (!recipient.isBlank()) {
            all.add(text("copy.recipient", recipient));
        }
        if (!due.isBlank()) {
            all.add(text("copy.due", due));
        }
        all.addAll(instructions);
        all.addAll(ReviewInstructions.forReview());
        return all;
    }
}
