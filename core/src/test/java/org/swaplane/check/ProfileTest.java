package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.swaplane.document.SegmentBuilder.aSegment;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.content.Content;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class ProfileTest {
    @TempDir
    Path folder;

    private static final String PROFILE = """
            {"off": ["capital"], "severities": {"end-punctuation": "error"}, "terms": ["terms.csv"], "keep": ["Gullwick"],
             "dictionaries": {"de": "sample.dic"}, "growth": {"most": 2, "least": 0.5},
             "patterns": [{"name": "pier", "source": "pier (\\\\d)", "target": "Anleger $1", "required": true, "ignoreCase": true},
                          {"name": "formal", "target": "\\\\bdu\\\\b", "message": "Say Sie", "severity": "error"}]}
            """;

    private CheckRun checks(String json) throws IOException {
        Files.writeString(folder.resolve("terms.csv"), "en,de,forbidden\nferry,Fähre,Boot\n");
        for (String each : List.of("sample.aff", "sample.dic")) {
            try (var in = ProfileTest.class.getResourceAsStream("/spelling/" + each)) {
                Files.write(folder.resolve(each), in.readAllBytes());
            }
        }
        Profile profile = Profile.ofJson("p.json", json);
        return CheckRun.of(profile, CheckMaterial.read(profile, folder));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
            The ferry.        | Die Fähre.      | -
            The ferry.        | Das Boot.       | forbidden-term spelling
            The ferries.      | Das Deck.       | term
            In Gullwick.      | Das Deck.       | keep-as-is
            At pier 3.        | das Deck 3.     | pattern
            At pier 3.        | Anleger 3       | spelling
            You sail here today. | du fahren die | end-punctuation pattern spelling
            The decks.        | Fähren fahren.  | -
            The deck.         | Fährre.         | spelling
            """)
    void aProfileSaysWhatIsChecked(String source, String target, String found) throws IOException {
        List<Finding> findings = checks(PROFILE)
                .run(aSegment().source("en", source).target("de", target).checked());

        assertThat(findings.stream().map(Finding::check).sorted().collect(Collectors.toSet()))
                .isEqualTo(found == null ? Set.of() : Set.of(found.split(" ")));
        assertThat(findings)
                .filteredOn(each -> each.check().equals("end-punctuation"))
                .allMatch(each -> each.severity() == Severity.ERROR);
    }

    @Test
    void aProfileIsWrittenAndReadBack() {
        Profile profile = Profile.ofJson("p.json", PROFILE);

        assertThat(Profile.ofJson("again", profile.toJson())).isEqualTo(profile);
        assertThat(Profile.ofJson("empty", "{}")).isEqualTo(Profile.DEFAULT);
        assertThat(profile.withKeep(List.of()).keep()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            {"off": ["nums"]}                         | p.json: there is no check called nums
            {"of": []}                                | Unrecognized field "of". Correct
            {"patterns": [{"name":"a","source":"("}]} | the pattern "a" cannot be used: Unclosed group
            nonsense                                  | p.json:1:
            {"terms": ["gone.csv"]}                   | the term list does not exist
            {"dictionaries": {"de": "gone.dic"}}      | this file of the dictionary does not exist
            """)
    void aBrokenProfileSaysWhere(String json, String message) {
        assertThatThrownBy(() -> checks(json))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining(message);
    }

    @Test
    void aPatternThatTakesTooLongIsSaidAndTheOthersAreAsked() throws IOException {
        String json =
                "{\"patterns\": [{\"name\":\"slow\",\"source\":\"(x+x+)+\\\\1y\",\"target\":\"z\"},{\"name\":\"b\",\"target\":\"B\"}]}";
        CheckedSegment segment = aSegment()
                .source("en", "x".repeat(60))
                .target("de", "B".repeat(60))
                .checked();

        assertThat(checks(json).run(segment))
                .filteredOn(each -> each.check().equals("pattern"))
                .extracting(Finding::message)
                .containsExactly(
                        "The pattern \"slow\" takes too long on this text. Avoid repetitions inside repetitions", "b");
    }

    @Test
    void oneTargetForSeveralSourcesIsFoundAndFollowed() throws IOException {
        List<String> sources =
                Arrays.asList("The upper deck is closed.", "The lower deck is closed.", "The UPPER deck is closed!");
        List<String> targets = new ArrayList<>(Collections.nCopies(3, "Das Deck ist heute geschlossen."));
        DocumentCheck document = CheckRun.ofAllChecks()
                .over(
                        3,
                        i -> new CheckedSegment(
                                i,
                                aSegment()
                                        .key("k" + i)
                                        .source("en", sources.get(i))
                                        .target("de", targets.get(i))
                                        .build(),
                                Content.of(targets.get(i)),
                                "en",
                                "de"));
        Map<Integer, List<Finding>> found = new TreeMap<>();
        document.run(Progress.NONE, found::put);

        assertThat(found.get(1)).extracting(Finding::check).containsExactly("inconsistent-source");
        assertThat(found).containsOnlyKeys(1); // how the third one is written does not count

        targets.set(1, "Das untere Deck ist heute geschlossen.");
        assertThat(document.recheck(List.of(1)).get(1)).isEmpty();
    }

    @Test
    void aLockedSegmentMustStayAsTheFileHasIt() {
        CheckedSegment locked = new CheckedSegment(
                0,
                aSegment()
                        .source("en", "Pier 3")
                        .target("de", "Anleger 3")
                        .locked()
                        .build(),
                Content.of("Anleger 4"),
                "en",
                "de");

        assertThat(CheckRun.ofAllChecks().run(locked))
                .extracting(Finding::check)
                .containsExactly("locked-change");
    }

    @Test
    void anEndlessSegmentIsSaidToBeOneAndTheRestIsChecked() {
        CheckedSegment endless = aSegment()
                .source("en", "12 {a} ".repeat(3_000))
                .target("de", "13 {b} ".repeat(3_000))
                .checked();
        CheckedSegment full = aSegment()
                .source("en", "12 {a} ".repeat(500))
                .target("de", "13 {b} ".repeat(500))
                .checked();

        assertThat(CheckRun.ofAllChecks().run(endless))
                .extracting(Finding::message)
                .containsExactly("The segment has 21,000 characters and was not checked; the limit is 20,000");
        assertThat(CheckRun.ofAllChecks().run(full)).hasSizeBetween(20, 100);
    }
}
