package org.swaplane.terms;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class TermCandidatesTest {
    private static List<String> best(Set<String> known, String... texts) {
        TermCandidates candidates = new TermCandidates("en-GB");
        List.of(texts).forEach(candidates::add);
        return candidates.best(3, 10, known).stream()
                .map(TermCandidates.Candidate::text)
                .toList();
    }

    private static final String[] TEXTS = {
        "The boarding pass is checked at the pier.",
        "Show your boarding pass to the crew.",
        "Boarding passes are valid for one crossing.",
        "A boarding pass costs nothing.",
        "The crossing takes an hour.",
        "Each crossing has a café.",
        "The last crossing is at 21:40.",
        "On the way, the deck is open.",
        "In the lounge, the bar is open."
    };

    @Test
    void groupsThatStandTogetherAgainAndAgainComeInTheirUsualForm() {
        assertThat(best(Set.of(), TEXTS))
                .startsWith("boarding pass", "crossing")
                .doesNotContain("boarding", "pass");
    }

    @Test
    void whatIsInAListIsNoCandidateInAnyForm() {
        assertThat(best(Set.of("Boarding passes"), TEXTS))
                .doesNotContain("boarding pass")
                .contains("crossing");
    }

    @Test
    void wordsThatStandNearlyEverywhereAndNumbersAreNone() {
        String[] many = new String[80];
        for (int i = 0; i < many.length; i++) {
            many[i] = (i % 20 == 0 ? "Gangway: " : "") + "Please wait for ferry " + i + " at 12:00 on the quay.";
        }
        assertThat(best(Set.of(), many)).containsExactly("Gangway");
    }

    @Test
    void nothingIsFoundInNothing() {
        assertThat(best(Set.of(), "", "…", "42")).isEmpty();
    }
}
