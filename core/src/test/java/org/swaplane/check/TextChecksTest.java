package org.swaplane.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.swaplane.document.SegmentBuilder.aSegment;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.compare.Span;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.document.Segment;
import org.swaplane.task.Progress;

/** Pairs of texts with what must be found in them; the traps stand beside the errors. */
class TextChecksTest {
    private static List<Finding> find(String languages, String source, String target) {
        String[] both = languages.split(" ");
        return CheckRun.ofAllChecks()
                .run(aSegment()
                        .source(both[0], source.replace("·", " ").replace("⏎", "\n"))
                        .target(both[1], target.replace("·", " ").replace("⏎", "\n"))
                        .checked());
    }

    private static void expect(String languages, String source, String target, String expected) {
        assertThat(find(languages, source, target))
                .extracting(Finding::check)
                .isEqualTo(expected == null ? List.of() : List.of(expected));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            en de | The deck is closed today. | Das Deck ist heute geschlossen    | end-punctuation
            en de | The deck is closed today  | Das Deck ist heute geschlossen.   | end-punctuation
            en de | Is the deck closed today? | Das Deck ist heute geschlossen.   | end-punctuation
            en de | Choose one of the decks:  | Wählen Sie eines der Decks        | end-punctuation
            en ja | The deck is closed today. | 本日デッキは閉まっています            | end-punctuation
            en hi | The deck is closed today. | डेक आज बंद है                       | end-punctuation
            en el | Is the deck closed today? | Το κατάστρωμα είναι κλειστό σήμερα. | end-punctuation
            en de | The deck is "closed".     | Das Deck ist „geschlossen“.       |
            en ja | The deck is closed today. | 本日デッキは閉まっています。           |
            en zh | Is the deck closed today? | 甲板今天关闭了吗？                    |
            en hi | The deck is closed today. | डेक आज बंद है।                      |
            en ar | Is the deck closed today? | هل السطح مغلق اليوم؟                 |
            en el | Is the deck closed today? | Είναι το κατάστρωμα κλειστό σήμερα; |
            en th | The deck is closed today. | วันนี้ดาดฟ้าปิด                        |
            en de | Please wait a moment...   | Bitte einen Moment warten…        |
            en fr | See the deck plan, p. 3.  | Voir le plan du pont, p. 3.       |
            en de | Call Marram Sound Ltd.    | Rufen Sie Marram Sound an         |
            en de | Pier no.                  | Anlegestelle                      |
            """)
    void endsOfSentences(String languages, String source, String target, String expected) {
        expect(languages, source, target, expected);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            en de | Deck plan·           | Deckplan                 | edge-space
            en de | Deck plan            | ·Deckplan                | edge-space
            en de | Deck plan⏎           | Deckplan                 | edge-space
            en ja | Deck plan·           | デッキ図                  |
            en de | ·<1/> Deck           | ·<1/> Auf dem Deck       |
            en de | <1/> from pier <2/>  | Pier <1/> an <2/>        |
            en de | The upper deck       | Das obere··Deck          | double-space
            en de | The··upper deck      | Das obere··Deck          |
            en de | The <1/> upper deck  | Das <1/> obere Deck      |
            en de | The upper deck       | Das obere obere Deck      | repeated-word
            en fr | The upper deck       | Le le pont supérieur     | repeated-word
            en de | Those who sail       | Leute, die die Fähre nehmen |
            en fr | You enjoy yourselves | Vous vous amusez         |
            en tr | Slowly               | Yavaş yavaş              |
            en id | Passengers           | Orang-orang dan kapal kapal |
            en de | The deck (upper)     | Das Deck (oben           | brackets
            en de | The deck [upper]     | Das Deck [oben)          | brackets
            en ja | The deck (upper)     | デッキ（上）               |
            en de | a) The deck          | a) Das Deck              |
            en de | The deck :-)         | Das Deck                 |
            en de | The deck is closed.  | das Deck ist geschlossen. | capital
            en de | The app is closed.   | iFerry ist geschlossen.  |
            en ja | The deck is closed.  | デッキは閉まっています。      |
            en fr | Monday               | lundi                    |
            """)
    void spacesWordsBracketsAndFirstLetters(String languages, String source, String target, String expected) {
        expect(languages, source, target, expected);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            en de | See https://quay.example/a      | Siehe https://quay.example/b       | link
            en de | Write to info@quay.example      | Schreiben Sie uns                  | link
            en de | See https://quay.example/en/a.  | Siehe https://quay.example/de/a    |
            en de | See www.quay.example            | Siehe www.quay.example.            |
            en de | See the plan                    | Siehe https://quay.example         |
            en de | The ferry                       | Die FÃ¤hre                         | characters
            en de | The ferry                       | Die F�hre                     | characters
            en ru | The ferry                       | Паpом                    | characters
            en de | The ferry                       | Die Fähre               | characters
            en fr | The ferry                       | L’île Â part                       |
            en pt | The ferry                       | SÃO: a balsa                       |
            en ru | The app                         | Приложение iFerry                  |
            en ja | Second field                    | 2 番目のフィールド                    |
            en ja | Used only once                  | 1 回だけ使用                          |
            en pl | F&ourth field                   | &4. pole                           |
            """)
    void linksCharactersAndSpelledNumbers(String languages, String source, String target, String expected) {
        expect(languages, source, target, expected);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            en de | {n, plural, one {# pier} other {# piers}} | {n, plural, one {# Kai} other {# Kais}              | message-syntax
            en de | {n, plural, one {# pier} other {# piers}} | {m, plural, one {# Kai} other {# Kais}}             | message-syntax message-syntax
            en pl | {n, plural, one {# pier} other {# piers}} | {n, plural, one {# molo} other {# mola}}             | message-syntax
            en de | {n, plural, =0 {no pier} other {piers}}   | {n, plural, =0 {kein Kai} other {Kais}}             |
            en de | {g, select, a {Boat} other {Ship}}        | {g, select, b {Boot} other {Schiff}}                | message-syntax
            en de | {n, plural, one {# pier} other {# piers}} | {n, plural, one {# Kai} other {# Kais}}             |
            en ja | {n, plural, one {# pier} other {# piers}} | {n, plural, other {桟橋 # つ}}                       |
            en pl | {n, plural, one {# pier} other {# piers}} | {n, plural, one {# molo} few {# mola} many {# mol} other {# mola}} |
            en de | {n, plural, =0 {no pier} one {a pier} other {# piers}} | {n, plural, one {ein Kai} other {# Kais}} |
            """)
    void messagesWithVariants(String languages, String source, String target, String expected) {
        assertThat(find(languages, source, target))
                .filteredOn(finding -> finding.check().equals("message-syntax"))
                .hasSize(expected == null ? 0 : expected.split(" ").length);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            en de | The deck is closed today. | Das Deck ist heute geschlossen | Das Deck ist heute geschlossen.
            en zh | The deck is closed today. | 今天甲板关闭                     | 今天甲板关闭。
            en de | It seats {count}.         | Plätze: {count}                | Plätze: {count}.
            en de | Deck plan·                | Deckplan                       | Deckplan·
            en de | The <1>upper</1> deck     | Das <1>obere</1>·Deck··hier    | Das <1>obere</1> Deck hier
            en de | The deck is closed.       | das Deck ist geschlossen.      | Das Deck ist geschlossen.
            en de | The ferry                 | Die Fähre           | Die Fähre
            """)
    void whatIsCertainIsSuggested(String languages, String source, String target, String corrected) {
        List<Finding> findings = find(languages, source, target);

        assertThat(findings).hasSize(1);
        Optional<Content> suggestion = findings.get(0).suggestion();
        Segment segment =
                aSegment().source(source).target(corrected.replace("·", " ")).build();
        assertThat(suggestion.map(each -> TagNotation.write(each, segment.source())))
                .hasValue(TagNotation.write(segment.target(), segment.source()));
    }

    @ParameterizedTest
    @CsvSource({
        "Pier, Kai|Kai|Steg, 2",
        "Pier, Kai|Steg, 1",
        "Pier, Kai|Kai|Kai, ''",
        "Pier, Kai||Kai, 1",
        "Pier <1/>, Kai <1/>|<1/> Kai|Kai <1/>, 1"
    })
    void theSameSourceIsTranslatedTheSame(String source, String targets, String found) {
        List<String> each = List.of(targets.split("\\|", -1));
        List<CheckedSegment> segments = IntStream.range(0, each.size())
                .mapToObj(i -> aSegment()
                        .key("u" + i)
                        .source(source)
                        .target(each.get(i))
                        .checked())
                .toList();

        List<Finding> findings = CheckRun.ofAllChecks().run(segments.size(), segments::get, Progress.NONE);

        SameSources same = SameSources.of(segments.size(), segments::get);
        assertThat(IntStream.range(0, segments.size())
                        .filter(i -> same.findings(List.of(i), segments::get).containsKey(i))
                        .mapToObj(String::valueOf)
                        .collect(Collectors.joining(" ")))
                .isEqualTo(found);
        assertThat(findings.stream().filter(finding -> finding.check().equals("inconsistent-target")))
                .hasSize(found.isEmpty() || targets.contains("||") ? 0 : 1);
    }

    @Test
    void aRepetitionThatWasNotTranslatedIsOfferedTheTargetOfTheOthers() {
        List<String> targets = List.of("Kai", "", "Kai", "Der Kai");
        List<CheckedSegment> segments = IntStream.range(0, targets.size())
                .mapToObj(i -> aSegment()
                        .key("u" + i)
                        .source("Pier")
                        .target(targets.get(i))
                        .checked())
                .toList();

        List<Finding> findings = CheckRun.ofAllChecks().run(segments.size(), segments::get, Progress.NONE);

        assertThat(findings)
                .extracting(Finding::check, finding -> finding.suggestion().map(Content::plainText))
                .containsExactly(
                        tuple("empty-target", Optional.of("Kai")), tuple("inconsistent-target", Optional.of("Kai")));
        assertThat(findings.get(1).target()).containsExactly(new Span(0, 4));
    }

    @Test
    void pluralFormsOfOneUnitAreComparedWithTheSameFormsElsewhere() {
        List<CheckedSegment> segments = Stream.of("u1 Kaja", "u1 Kajów", "u2 Kaja", "u2 Kajami")
                .map(each -> each.split(" "))
                .map(each -> aSegment()
                        .key(each[0])
                        .source("en", "Piers")
                        .target("pl", each[1])
                        .checked())
                .toList();

        Map<Integer, Finding> findings = SameSources.of(4, segments::get).findings(List.of(0, 1, 2, 3), segments::get);

        assertThat(findings).containsOnlyKeys(3);
    }
}
