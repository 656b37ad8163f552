package org.swaplane.format.html;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.Charset;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.swaplane.format.DocumentSample;
import org.swaplane.format.FileOptions;

class HtmlFormatTest {
    private static final String PAGE = """
            <!DOCTYPE html>
            <html lang="en">
            <head><meta charset="utf-8"><title>Times &amp; fares</title>
            <meta name="description" content="All about the ferry"><meta name="robots" content="index">
            <style>p { color: red }</style></head>
            <body><h1>  The <em>ferry</em>
               leaves. </h1>
            <p><a href="/x" title="Go &quot;now&quot;">Book</a> with <span translate="no">Port Marram</span>, it is <img src="a.png" alt="a ship"> fine.
            <!-- hidden --><script>var t = "Secret";</script>
            <p translate="no">Marram Sound <p>b</p></p>
            <input type="submit" value="Send"><input type="text" value="kept" placeholder='Your name'>
            <ul><li>One<li>Two</ul>
            </body></html>
            """;

    private static DocumentSample page() {
        return DocumentSample.of("a.html", PAGE);
    }

    @Test
    void everyTextThatPeopleReadIsExtracted() throws IOException {
        assertThat(page().extracted())
                .containsExactly(
                        "title 1: Times & fares",
                        "meta content 1: All about the ferry",
                        "h1 1: The ⟦1⟧ferry⟦/1⟧ leaves.",
                        "p 1: ⟦1⟧Book⟦/1⟧ with ⟦2/⟧, it is ⟦3/⟧ fine.",
                        "a title 1: Go \"now\"",
                        "img alt 1: a ship",
                        "input value 1: Send",
                        "input placeholder 1: Your name",
                        "li 1: One",
                        "li 2: Two");
    }

    @Test
    void theTranslatedPageIsTheSamePageInOtherWords() throws IOException {
        String written = page().translated(text -> text.replace("Book", "Buchen < \"hier\"")
                .replace("Go \"now\"", "Jetzt \"los\"")
                .replace("a ship", "ein Schiff"));
        Document read = Jsoup.parse(written);

        assertThat(read.selectFirst("html").attr("lang")).isEqualTo("de-DE");
        assertThat(read.selectFirst("a").text()).isEqualTo("Buchen < \"hier\"");
        assertThat(read.selectFirst("a").attr("title")).isEqualTo("Jetzt \"los\"");
        assertThat(read.selectFirst("img").attr("alt")).isEqualTo("ein Schiff");
        assertThat(written)
                .contains("<script>var t = \"Secret\";</script>\n<p translate=\"no\">Marram Sound <p>b</p></p>");
    }

    @Test
    void anAttributeAloneIsWrittenInPlace() throws IOException {
        DocumentSample sample = page();
        var edits = DocumentSample.translated(sample.open(), text -> text.replace("Go", "Los"));

        assertThat(new String(sample.written(List.of(edits.get(4))), java.nio.charset.StandardCharsets.UTF_8))
                .isEqualTo(PAGE.replace("Go &quot;now&quot;", "Los &quot;now&quot;")
                        .replace("lang=\"en\"", "lang=\"de-DE\""));
    }

    @Test
    void aPageFromRightToLeftSaysSo() throws IOException {
        assertThat(page().with(FileOptions.ofLanguages("en", "ar")).translated(text -> "مرحبا"))
                .contains("<html lang=\"ar\" dir=\"rtl\">");
    }

    @Test
    void theDeclaredCharsetIsReadAndWhatItLacksIsWrittenAsReference() throws IOException {
        Charset latin = Charset.forName("windows-1252");
        DocumentSample sample = DocumentSample.of("a.htm", "<meta charset=windows-1252><p>Fähre</p>", latin);

        byte[] written = sample.written(DocumentSample.translated(sample.open(), text -> text + " łódź"));

        assertThat(new String(written, latin)).endsWith("<p>Fähre &#322;ód&#378;</p>");
    }

    @Test
    void longBrokenMarkupIsReadInTime() throws IOException {
        String hostile = "<".repeat(20_000) + "<a ".repeat(20_000) + "\"'".repeat(5_000) + "<p>end";

        assertThat(DocumentSample.of("a.html", hostile).extracted())
                .last()
                .asString()
                .endsWith("end");
    }
}
