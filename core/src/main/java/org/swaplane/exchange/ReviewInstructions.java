package org.swaplane.exchange;

import static org.swaplane.wording.Wording.text;

import java.util.List;

/** What a copy says on top to the person who gets it. */
public final class ReviewInstructions {
    private ReviewInstructions() {}

    public static List<String> forReview() {
        return List.of(
                text("copy.instructions.review"), text("copy.instructions.tags"), text("copy.instructions.rows"));
    }

    public static List<String> forTranslation() {
        return List.of(
                text("copy.instructions.translation"), text("copy.instructions.tags"), text("copy.instructions.rows"));
    }
}
