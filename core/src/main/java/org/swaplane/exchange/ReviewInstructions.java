package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import java.util.List;

/** What a copy says on top to the person who gets it. */
public final class ReviewInstructions {
    private ReviewInstructions() {}

    /** What to do, by the key of the sentence, and what holds for every copy. */
    public static List<String> of(String purpose) {
        return List.of(text(purpose), text("copy.instructions.tags"), text("copy.instructions.rows"));
    }

    public static List<String> forReview() {
        return of("copy.instructions.review");
    }
}
