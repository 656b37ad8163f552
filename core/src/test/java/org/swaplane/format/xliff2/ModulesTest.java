package org.swaplane.format.xliff2;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.check.CheckRun;
import org.swaplane.check.Finding;
import org.swaplane.document.BilingualDocument;
import org.swaplane.document.Directions.Direction;
import org.swaplane.document.Note;
import org.swaplane.document.Problem;
import org.swaplane.document.Segment;
import org.swaplane.format.FormatRegistry;
import org.swaplane.format.Source;
import org.swaplane.task.Progress;

/** Modules that say what a target must be like, and where and for whom it is. */
class ModulesTest {
    private static BilingualDocument read(String fileAttributes, String body) throws IOException {
        String file =
                "<xliff version='2.1' xmlns='urn:oasis:names:tc:xliff:document:2.0' srcLang='en-GB' trgLang='de-DE'"
                        + " xmlns:val='urn:oasis:names:tc:xliff:validation:2.0' xmlns:its='http://www.w3.org/2005/11/its'>"
                        + "<file id='f1' " + fileAttributes + ">" + body + "</file></xliff>";
        return FormatRegistry.ofInstalled()
                .open(Source.of("deck.xlf", file.getBytes(StandardCharsets.UTF_8)), Progress.NONE)
                .document();
    }

    private static String unit(String attributes, String modules, String source, String target) {
        return "<unit id='u' " + attributes + ">" + modules + "<segment><source>" + source + "</source><target>"
                + target + "</target></segment></unit>";
    }

    private static String rule(String attributes) {
        return "<val:validation><val:rule " + attributes + "/></val:validation>";
    }

    private static List<String> messages(BilingualDocument document) {
        return CheckRun.ofAllChecks().run(document, Progress.NONE).stream()
                .filter(finding -> Set.of("pattern", "characters").contains(finding.check()))
                .map(Finding::message)
                .toList();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            isPresent='Deck'                         | Go up: | Geh hoch: | The file requires "Deck" in the target
            isPresent='Deck'                         | Go up: | Zum Deck: |
            isPresent='deck'                         | Go up: | Zum Deck: | The file requires "deck" in the target
            isPresent='deck' caseSensitive='no'      | Go up: | Zum Deck: |
            isPresent='Deck' occurs='2'              | Go up: | Zum Deck: | The file requires "Deck" 2 times in the target; it is there once
            isNotPresent='Sie'                       | Go up: | Gehen Sie | The file forbids "Sie" in the target
            startsWith='*'                           | Go up: | Zum Deck: | The file requires a target that begins with "*"
            endsWith=':'                             | Go up: | Zum Deck  | The file requires a target that ends with ":"
            endsWith=':' existsInSource='yes'        | Go up  | Zum Deck  |
            endsWith=':' existsInSource='yes'        | Go up  | Zum Deck: | What the file requires of the target (":") is true of it, but not of the source
            isPresent='u&#x308;'                     | Go up: | Zum Rücken |
            isPresent='u&#x308;' normalization='none' | Go up: | Zum Rücken | The file requires "ü" in the target
            """)
    void rulesOfTheFileAreChecked(String rule, String source, String target, String message) throws IOException {
        BilingualDocument document = read("", unit("", rule(rule), source, target));

        assertThat(messages(document)).isEqualTo(message == null ? List.of() : List.of(message));
    }

    @Test
    void aRuleHoldsInAllThatIsInsideUntilItIsTakenBack() throws IOException {
        String disabled = rule("isPresent='Deck' disabled='yes'");

        BilingualDocument document = read(
                "",
                rule("isPresent='Deck'") + "<group id='g'>" + unit("", "", "Go", "Geh") + "</group>"
                        + unit("", disabled, "Go", "Geh"));

        assertThat(document.segments())
                .extracting(each -> each.about().rules().size())
                .containsExactly(1, 0);
    }

    @Test
    void onlyAllowedCharactersMayStandInTheTarget() throws IOException {
        BilingualDocument document =
                read("", unit("its:allowedCharacters='[a-zA-Z ]'", "", "Green deck", "Grünes Deck 3"));

        Finding finding = CheckRun.ofAllChecks().run(document, Progress.NONE).stream()
                .filter(each -> each.check().equals("characters"))
                .findFirst()
                .orElseThrow();
        assertThat(finding.message()).isEqualTo("The file does not allow ü 3 in the target");
        assertThat(finding.target()).extracting(span -> span.start()).containsExactly(2, 12);
    }

    @ParameterizedTest
    @CsvSource({
        "de-*, include, false",
        "'fr, pl', include, true",
        "de, exclude, true",
        "'', include, true",
        "*, include, false"
    })
    void whatIsNotForTheTargetLanguageIsLocked(String filter, String type, boolean locked) throws IOException {
        BilingualDocument document = read(
                "", unit("its:localeFilterList='" + filter + "' its:localeFilterType='" + type + "'", "", "a", "b"));

        assertThat(document.segments().get(0).locked()).isEqualTo(locked);
    }

    @Test
    void issuesAndPeopleAreNotes() throws IOException {
        BilingualDocument document =
                read("", unit("its:locQualityIssueComment='too long' its:revPerson='M. Tide'", "", "a", "b"));

        assertThat(document.segments().get(0).notes())
                .extracting(Note::from, Note::text)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("Issue found before", "too long"),
                        org.assertj.core.groups.Tuple.tuple("Revised by", "M. Tide"));
    }

    @Test
    void commentsAndTermsMarkedInTheSourceAreNotesOfTheirSegmentOnly() throws IOException {
        BilingualDocument document = read(
                "",
                "<unit id='u'><segment><source><mrk id='m1' type='comment' value='the upper &amp; open one'>Deck</mrk>"
                        + "</source></segment><segment><source>Go</source></segment></unit>");

        assertThat(document.segments())
                .extracting(each -> each.notes().stream().map(Note::text).toList())
                .containsExactly(List.of("the upper & open one"), List.of());
    }

    @Test
    void directionsAreInherited() throws IOException {
        BilingualDocument document =
                read("trgDir='rtl'", unit("", "", "a", "b") + unit("srcDir='rtl' trgDir='auto'", "", "a", "b"));

        assertThat(document.segments())
                .extracting(each -> each.about().directions().target())
                .containsExactly(Direction.RIGHT_TO_LEFT, Direction.BY_LANGUAGE);
        assertThat(document.segments())
                .extracting(each -> each.about().directions().source())
                .containsExactly(Direction.BY_LANGUAGE, Direction.RIGHT_TO_LEFT);
    }

    @Test
    void aTargetThatStandsElsewhereInItsUnitSaysSo() throws IOException {
        BilingualDocument document = read(
                "",
                "<unit id='u'><segment><source>One</source><target order='2'>Eins</target></segment>"
                        + "<segment><source>Two</source><target order='1'>Zwei</target></segment></unit>");

        assertThat(document.segments())
                .extracting(each -> each.notes().get(0).text())
                .containsExactly(
                        "Stands as number 2 in the target of its unit", "Stands as number 1 in the target of its unit");
    }

    @ParameterizedTest
    @CsvSource({"1, 1", "1, 9"})
    void anOrderThatCannotBeIsListed(String first, String second) throws IOException {
        BilingualDocument document = read(
                "",
                "<unit id='u'><segment><source>One</source><target order='" + first + "'>Eins</target></segment>"
                        + "<segment><source>Two</source><target order='" + second + "'>Zwei</target></segment></unit>");

        assertThat(document.problems())
                .extracting(Problem::message)
                .singleElement()
                .asString()
                .startsWith("unit u asks for an order of its targets that is not possible");
    }

    @Test
    void rulesThatCannotBeReadAreLeftAlone() throws IOException {
        BilingualDocument document = read(
                "", unit("its:allowedCharacters='(a+)+$' its:localeFilterList='---'", rule("custom='x'"), "a", "b"));

        assertThat(document.segments()).extracting(Segment::locked).containsExactly(false);
        assertThat(document.segments().get(0).about().rules()).isEmpty();
    }
}
