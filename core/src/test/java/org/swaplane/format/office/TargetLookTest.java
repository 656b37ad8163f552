package org.swaplane.format.office;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.swaplane.format.DocumentOptions;
import org.swaplane.format.FileOptions;

class TargetLookTest {
    private static TargetLook in(String language) {
        return TargetLook.of(FileOptions.ofLanguages("en", language));
    }

    private static TargetLook withFonts(Map<String, String> fonts) {
        return TargetLook.of(FileOptions.ofLanguages("en", "de").with(DocumentOptions.DEFAULT.withFonts(fonts)));
    }

    @Nested
    class Direction {
        /** Word processors refuse a document whose properties stand in another order than the standard's. */
        @ParameterizedTest
        @CsvSource({
            "'', <w:pPr><w:bidi/></w:pPr>",
            "<w:pPr/>, <w:pPr><w:bidi/></w:pPr>",
            "<w:pPr><w:pStyle/><w:jc/></w:pPr>, <w:pPr><w:pStyle/><w:bidi/><w:jc/></w:pPr>",
            "<w:pPr><w:numPr/></w:pPr>, <w:pPr><w:numPr/><w:bidi/></w:pPr>",
            "<w:pPr><w:bidi w:val=\"0\"/><w:spacing/></w:pPr>, <w:pPr><w:bidi/><w:spacing/></w:pPr>"
        })
        void aParagraphFromRightToLeftSaysSoAtItsPlace(String before, String after) {
            assertThat(in("ar").paragraph(RunVocabulary.WORD, "w:", before)).isEqualTo(after);
        }

        @ParameterizedTest
        @CsvSource({
            "'', <w:rPr><w:rtl/></w:rPr>",
            "<w:rPr><w:b/></w:rPr>, <w:rPr><w:b/><w:rtl/></w:rPr>",
            "<w:rPr><w:b/><w:cs/></w:rPr>, <w:rPr><w:b/><w:rtl/><w:cs/></w:rPr>"
        })
        void soDoesARun(String before, String after) {
            assertThat(in("he").run(RunVocabulary.WORD, "w:", before)).isEqualTo(after);
            assertThat(in("fr").run(RunVocabulary.WORD, "w:", before)).isEqualTo(before);
        }

        @Test
        void aTranslationIntoLatinLettersLeavesTheDirectionOfItsSource() {
            assertThat(in("fr").paragraph(RunVocabulary.WORD, "w:", "<w:pPr><w:bidi/><w:jc/></w:pPr>"))
                    .isEqualTo("<w:pPr><w:jc/></w:pPr>");
            assertThat(in("fr").paragraph(RunVocabulary.DRAWING, "a:", "<a:pPr rtl=\"1\"/>"))
                    .isEqualTo("<a:pPr rtl=\"0\"/>");
        }

        @Test
        void whatIsCentredOnASlideStaysSo() {
            assertThat(in("ar").paragraph(RunVocabulary.DRAWING, "a:", "<a:pPr algn=\"ctr\"><a:buNone/></a:pPr>"))
                    .isEqualTo("<a:pPr algn=\"ctr\" rtl=\"1\"><a:buNone/></a:pPr>");
        }
    }

    @Nested
    class Fonts {
        @Test
        void oneFontIsExchangedAndOthersStay() {
            TargetLook look = withFonts(Map.of("Tidewater", "Sandbank & Co"));

            assertThat(look.withFonts("<w:rFonts w:ascii=\"Tidewater\" w:hAnsi='x' w:cs=\"Dune\"/>"))
                    .isEqualTo("<w:rFonts w:ascii=\"Sandbank &amp; Co\" w:hAnsi='x' w:cs=\"Dune\"/>");
            assertThat(look.withFonts("<a:latin typeface=\"Tidewater\"/><rFont val=\"Tidewater\"/>"))
                    .isEqualTo("<a:latin typeface=\"Sandbank &amp; Co\"/><rFont val=\"Sandbank &amp; Co\"/>");
        }

        @Test
        void aStarMeansAllButThoseOfSymbolsAndOfTheTheme() {
            TargetLook look = withFonts(Map.of("*", "Sandbank"));

            assertThat(look.withFonts("<a:latin typeface=\"Dune\"/><a:sym typeface=\"Wingdings 2\"/>"
                            + "<a:ea typeface=\"+mn-ea\"/><a:cs typeface=\"\"/>"))
                    .isEqualTo("<a:latin typeface=\"Sandbank\"/><a:sym typeface=\"Wingdings 2\"/>"
                            + "<a:ea typeface=\"+mn-ea\"/><a:cs typeface=\"\"/>");
        }

        @Test
        void withoutATableOnlyPartsOfTheLanguageAreLookedAt() {
            assertThat(in("de").concerns("word/theme/theme1.xml")).isFalse();
            assertThat(withFonts(Map.of("a", "b")).concerns("word/theme/theme1.xml"))
                    .isTrue();
            assertThat(withFonts(Map.of("a", "b")).concerns("word/_rels/document.xml.rels"))
                    .isFalse();
            assertThat(in("").concerns("word/styles.xml")).isFalse();
        }
    }

    @ParameterizedTest
    @CsvSource({"de-AT, w:val=\"de-AT\"", "ja, w:eastAsia=\"ja\"", "ar, w:bidi=\"ar\""})
    void theLanguageIsSaidForItsKindOfScript(String language, String attribute) {
        String styles =
                in(language).entry("word/styles.xml", "<w:lang w:val=\"en\" w:eastAsia=\"zh-CN\" w:bidi=\"he\"/>");

        assertThat(styles).contains(attribute);
        assertThat(in(language).entry("word/document.xml", "<w:lang w:val=\"en\"/>"))
                .isEqualTo("<w:lang w:val=\"en\"/>");
    }
}
