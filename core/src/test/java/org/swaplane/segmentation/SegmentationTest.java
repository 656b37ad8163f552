package org.swaplane.segmentation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.swaplane.document.SegmentBuilder.content;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.Chars;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.swaplane.content.Content;
import org.swaplane.content.TagNotation;
import org.swaplane.task.CannotProceedException;

class SegmentationTest {
    static Stream<String> texts() throws IOException {
        try (InputStream in = SegmentationTest.class.getResourceAsStream("sentences.txt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines().filter(line -> !line.startsWith("#")).toList().stream();
        }
    }

    private static SplitContent split(String language, Content content) {
        return new Segmentation(SegmentationRules.shipped(), language).split(content);
    }

    private static List<String> split(String language, String text) {
        Content content = content(text);
        return split(language, content).segments().stream()
                .map(segment -> TagNotation.write(segment, content))
                .toList();
    }

    @ParameterizedTest
    @MethodSource("texts")
    void aTextIsCutIntoItsSentences(String line) {
        List<String> sentences = Arrays.asList(line.split("\\|"));
        String language = sentences.get(0);
        List<String> expected = sentences.subList(1, sentences.size());
        String between = language.matches("ja|zh") ? "" : " ";

        assertThat(split(language + "-XX", String.join(between, expected))).containsExactlyElementsOf(expected);
    }

    @Test
    void anEndTagStaysWithWhatItEndsAndABeginGoesWithWhatFollows() {
        assertThat(split("en", "<1>One.</1> <2>Two.</2> <3/>Three."))
                .containsExactly("⟦1⟧One.⟦/1⟧", "⟦2⟧Two.⟦/2⟧", "⟦3/⟧Three.");
        assertThat(split("en", "<1>One. Two.</1>")).containsExactly("⟦1⟧One.", "Two.⟦/1⟧");
    }

    @Test
    void whiteSpaceAroundSegmentsIsKeptApart() {
        SplitContent split = split("en", content(" \n One.\u00A0 Two.\t"));

        assertThat(split.between()).containsExactly(" \n ", "\u00A0 ", "\t");
        assertThat(split.with(List.of(Content.of("Eins."), Content.of("Zwei."))))
                .isEqualTo(Content.of(" \n Eins.\u00A0 Zwei.\t"));
    }

    @Property
    void nothingIsLostWhateverTheText(
            @ForAll
                    @StringLength(max = 40)
                    @Chars({'.', '!', ' ', '\n', '。', '"', 'é', '3', 'Z'})
                    @CharRange(from = 'a', to = 'd')
                    String text) {
        for (String language : List.of("en", "de", "ja", "xx", "")) {
            Content content = Content.of(text);
            assertThat(split(language, content).whole()).isEqualTo(content);
        }
    }

    @Test
    void anExceptionThatNeedsTheBeginOfAWordNeedsItOnlyWhereItSaysSo() {
        String start = "(?<![\\p{L}\\p{M}])";
        Segmenter segmenter = new Segmenter(List.of(
                new BreakRule(false, start + "(?:No|p)\\.", "\\s"),
                new BreakRule(false, start + "Abb\\.|Nr\\.", "\\s"),
                new BreakRule(true, "\\.", "\\s")));

        assertThat(segmenter.breaks("See No. 5 at p. 6 up. Down")).containsExactly(21);
        assertThat(segmenter.breaks("Abb. 5 xAbb. 6 HausNr. 7")).containsExactly(12);
    }

    @Test
    void byParagraphNothingIsCut() {
        Segmentation segmentation = new Segmentation(SegmentationRules.BY_PARAGRAPH, "en");

        assertThat(segmentation.split(Content.of("One. Two.")).segments()).hasSize(1);
    }

    @Test
    void rulesAreTheSameAfterBeingWrittenAndRead() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Srx.write(SegmentationRules.shipped(), out);

        assertThat(Srx.read("mine.srx", new ByteArrayInputStream(out.toByteArray())))
                .isEqualTo(SegmentationRules.shipped());
    }

    @Test
    void withoutCascadeTheFirstLanguagePatternCounts() throws IOException {
        String srx = "<srx version='2.0' xmlns='http://www.lisa.org/srx20'><header cascade='no'/><body><languagerules>"
                + "<languagerule languagerulename='semi'><rule><beforebreak>;</beforebreak><afterbreak> </afterbreak></rule></languagerule>"
                + "<languagerule languagerulename='none'/></languagerules><maprules>"
                + "<languagemap languagepattern='[Ee][Nn].*' languagerulename='semi'/><languagemap languagepattern='.*' languagerulename='none'/></maprules></body></srx>";
        SegmentationRules rules = Srx.read("mine.srx", new ByteArrayInputStream(srx.getBytes(StandardCharsets.UTF_8)));

        assertThat(new Segmentation(rules, "en-GB").split(Content.of("a; b")).segments())
                .hasSize(2);
        assertThat(new Segmentation(rules, "de").split(Content.of("a; b")).segments())
                .hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"<srx><body>", "<tmx/>", "<srx><rule><beforebreak>(</beforebreak></rule></srx>"})
    void aBrokenRuleFileIsRefusedWithItsName(String srx) {
        assertThatThrownBy(() -> Srx.read("mine.srx", new ByteArrayInputStream(srx.getBytes(StandardCharsets.UTF_8))))
                .isInstanceOf(CannotProceedException.class)
                .hasMessageStartingWith("mine.srx");
    }

    @ParameterizedTest
    @ValueSource(strings = {"(a+)+b", "(a|aa)+$b", "(.*a){25}b"})
    void aPatternOfOnesOwnThatTakesForEverIsNamed(String pattern) {
        Segmenter segmenter = new Segmenter(List.of(new BreakRule(true, pattern, "")));

        assertThatThrownBy(() -> segmenter.breaks("a".repeat(5_000) + "c")).isInstanceOf(CannotProceedException.class);
    }
}
