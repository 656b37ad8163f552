package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.swaplane.document.SegmentBuilder.aSegment;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Errors that must be found and traps that must not, counted for each check; the figures stand in the build's output. */
class LabelledPairsTest {
    /** A pair of a file of labelled pairs; {@code error} says that {@code check} must find something, and else no check may. */
    private record Pair(String check, boolean error, String line, CheckedSegment segment) {
        private static Pair of(String check, String line) {
            String[] parts = line.substring(2).split("\\|", -1);
            String[] languages = parts[0].strip().split(" ");
            return new Pair(
                    check,
                    line.startsWith("!"),
                    line,
                    aSegment()
                            .source(languages[0], text(parts[1]))
                            .target(languages[1], text(parts[2]))
                            .checked());
        }

        private static String text(String written) {
            return written.strip().replace('·', ' ').replace('⏎', '\n').translateEscapes();
        }
    }

    private static final class Score {
        private int errors;
        private int found;
        private int traps;
        private int alarms;
    }

    private static List<Pair> read(String name) throws IOException {
        List<Pair> pairs = new ArrayList<>();
        try (InputStream in = LabelledPairsTest.class.getResourceAsStream("/check/" + name)) {
            String check = "";
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList()) {
                if (line.contains("|")) {
                    pairs.add(Pair.of(check, line));
                } else if (line.startsWith("!")) {
                    check = line.substring(2);
                }
            }
        }
        return pairs;
    }

    @Test
    void errorsAreFoundAndTrapsAreNot() throws IOException {
        List<Pair> pairs = new ArrayList<>(read("labelled-numbers.txt"));
        pairs.addAll(read("labelled-texts.txt"));
        CheckRun checks = CheckRun.ofAllChecks();
        Map<String, Score> scores = new TreeMap<>();
        List<String> wrong = new ArrayList<>();

        for (Pair pair : pairs) {
            Set<String> found = checks.run(pair.segment()).stream()
                    .map(finding -> finding.check() + " (" + finding.message() + ')')
                    .collect(Collectors.toSet());
            Score score = scores.computeIfAbsent(pair.check(), none -> new Score());
            boolean hit = found.stream().anyMatch(each -> each.startsWith(pair.check() + ' '));
            if (pair.error()) {
                score.errors++;
                score.found += hit ? 1 : 0;
            } else {
                score.traps++;
                score.alarms += found.isEmpty() ? 0 : 1;
            }
            if (pair.error() ? !hit : !found.isEmpty()) {
                wrong.add(pair.line() + "  -> " + found);
            }
        }

        System.out.printf("Labelled pairs: %d%n%-16s %16s %16s%n", pairs.size(), "check", "recall", "false alarms");
        scores.forEach((check, score) -> System.out.printf(
                "%-16s %5d of %5d %8d of %5d%n", check, score.found, score.errors, score.alarms, score.traps));
        int errors = scores.values().stream().mapToInt(score -> score.errors).sum();
        int found = scores.values().stream().mapToInt(score -> score.found).sum();
        int traps = scores.values().stream().mapToInt(score -> score.traps).sum();
        int alarms = scores.values().stream().mapToInt(score -> score.alarms).sum();
        System.out.printf("recall %.3f, false alarms %.3f%n", (double) found / errors, (double) alarms / traps);
        wrong.forEach(System.out::println);
        assertThat(pairs).hasSizeGreaterThan(400);
        assertThat((double) found / errors).as("recall, not found: %s", wrong).isGreaterThanOrEqualTo(0.97);
        assertThat((double) alarms / traps).as("false alarms: %s", wrong).isLessThanOrEqualTo(0.02);
    }
}
