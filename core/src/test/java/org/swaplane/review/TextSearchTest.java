package org.swaplane.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.swaplane.review.ReviewLane.unit;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.content.Content;
import org.swaplane.content.Run;
import org.swaplane.content.Tag;
import org.swaplane.content.TagNotation;
import org.swaplane.content.Text;
import org.swaplane.lane.TrackSnapshot;
import org.swaplane.task.CannotProceedException;
import org.swaplane.task.Progress;

class TextSearchTest {
    private static TextSearch search(String text, boolean regex, boolean words, TextSearch.Where where) {
        return new TextSearch(text, regex, false, words, where);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Steg      | false | true  | Der Steg am Steghaus | Anleger | Der Anleger am Steghaus
            steg      | false | false | Der Steg am Steghaus | X       | Der X am Xhaus
            (\\d+):(\\d+) | true | false | um 14:05 und 9:30    | $1.$2   | um 14.05 und 9.30
            a.b       | false | false | a.b axb              | $1      | $1 axb
            \\bab     | true  | false | ab cab               | \\$1    | $1 cab
            é         | false | true  | é été                | e       | e été
            """)
    void textIsReplacedAsItIsMeant(
            String text, boolean regex, boolean words, String target, String by, String expected) {
        assertThat(search(text, regex, words, TextSearch.Where.TARGET)
                        .replaced(Content.of(target), by)
                        .plainText())
                .isEqualTo(expected);
    }

    @Test
    void whatIsNoExpressionIsSaid() {
        assertThatThrownBy(
                        () -> search("(", true, false, TextSearch.Where.TARGET).replaced(Content.of("x"), ""))
                .isInstanceOf(CannotProceedException.class);
        assertThatThrownBy(
                        () -> search("x", true, false, TextSearch.Where.TARGET).replaced(Content.of("x"), "$3"))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageContaining("$3");
    }

    @Test
    void hitsStandInTheTextsThatAreAskedFor(@TempDir Path folder) throws Exception {
        try (ReviewLane lane = new ReviewLane(
                folder,
                unit("a", "The pier", "Der Anleger")
                        + "<trans-unit id=\"b\"><source>Deck</source><note>Near the pier</note></trans-unit>")) {
            TrackSnapshot now = lane.now();
            assertThat(hits(now, search("PIER", false, true, TextSearch.Where.BOTH)))
                    .containsExactly("0 The pier");
            assertThat(hits(now, search("anleger", false, true, TextSearch.Where.BOTH)))
                    .containsExactly("0 Der Anleger");
            assertThat(hits(now, search("pier", false, true, TextSearch.Where.NOTES)))
                    .containsExactly("1 Near the pier");
            assertThat(hits(now, search("", false, true, TextSearch.Where.BOTH)))
                    .isEmpty();
        }
    }

    private static List<String> hits(TrackSnapshot now, TextSearch search) {
        return search.in(now, IntStream.range(0, now.size()).boxed().toList(), List.of(), 10, Progress.NONE).stream()
                .map(hit -> hit.index() + " " + hit.text())
                .toList();
    }

    /** Text of a few letters, so that what is looked for is there, with tags between the letters. */
    private static Content withTags(String text, int tags) {
        List<Run> runs = new ArrayList<>();
        for (int i = 0; i < text.length(); i++) {
            runs.add(new Text(text.substring(i, i + 1)));
            if (i < tags) {
                runs.addAll(TagNotation.readSource("⟦" + (i + 1) + "/⟧").runs());
            }
        }
        return new Content(runs);
    }

    @Property(tries = 300)
    void tagsAreSafeWhateverIsReplaced(
            @ForAll @StringLength(max = 12) @CharRange(from = 'a', to = 'c') String text,
            @ForAll @StringLength(min = 1, max = 3) @CharRange(from = 'a', to = 'c') String what,
            @ForAll @StringLength(max = 3) @CharRange(from = 'x', to = 'z') String by,
            @ForAll @IntRange(max = 5) int tags) {
        Content target = withTags(text, tags);

        Content replaced = search(what, false, false, TextSearch.Where.TARGET).replaced(target, by);

        assertThat(replaced.tags())
                .extracting(Tag::id)
                .isEqualTo(target.tags().stream().map(Tag::id).toList());
        assertThat(replaced.plainText()).isEqualTo(text.replace(what, by));
    }
}
