package org.swaplane.exchange;

import static org.swaplane.wording.Wording.say;

import java.util.List;

/** What a copy says on top to the person who gets it. */
public final class ReviewInstructions {
    private ReviewInstructions() {}

    public static List<String> forReview() {
        return List.of(say("copy.instructions.review"), say("copy.instructions.tags"), say("copy.instructions.rows"));
    }

    public static List<String> forTranslation() {
        return List.of(
                say("copy.instructions.translation"), say("copy.instructions.tags"), say("copy.instructions.rows"));
    }
}
