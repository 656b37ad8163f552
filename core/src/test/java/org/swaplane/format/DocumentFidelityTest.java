package org.swaplane.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.swaplane.format.DocumentFile.WrittenUnit;
import org.swaplane.segmentation.SegmentationRules;

/** What every text format of documents owes: only text changes, and what was written is found again. */
class DocumentFidelityTest {
    private static final List<String> PROPERTIES = List.of(
            "# Piers\n",
            "! aside\n",
            "\n",
            "pier.name = The quay\n",
            "a:b\n",
            "long = one \\\n    two \\\n  three\n",
            "esc=tab\\there \\u00e9t\\u00E9\n",
            "msg=It''s {0} o''clock\n",
            "plain=It's fine\n",
            "empty=\n",
            "k\\ ey=\\ lead\n",
            "umlaut=Überfahrt €\n",
            "crlf=x\r\n",
            "path=C:\\\\ferry\n",
            "noValue\n");
    private static final List<String> JSON = List.of(
            "\"a\": \"The quay\"",
            "\"b\" : \"5 < \\\"6\\\" \\u20ac\\n{name}\"",
            "\"n\":12",
            "\"t\":true",
            "\"list\":[\"One. Two.\", \"\", null]",
            "\"o\":{\"x\\\"y\":\"Steg\", \"e\":{}}",
            "\"url\" : \"ä 🚢\"",
            "\"s\":\"\\/\"");
    private static final List<String> HTML = List.of(
            "<p>The <b>quay</b>. Next one.</p>\n",
            "<div>loose <p>text",
            "</div>",
            "<img alt='A pier' src=x>",
            "<a title=\"To the &quot;pier&quot;\" href='?a=1&b=2'>go</a> now",
            "<!-- a comment -->",
            "<script>if (a < b) \"x\"</script>",
            "5 < 6 &amp; so &nbsp;on",
            "<p translate=\"no\">Marram</p>",
            "to <span translate='no'>Port Marram</span>!",
            "<br>",
            "<input type=submit value=Send>",
            "<pre>two\n  lines</pre>",
            "<td>cell",
            "</b>",
            "<i>open",
            "<?php x ?>",
            "<!doctype html>");
    private static final List<String> SUBTITLES = List.of(
            "1\n00:00:01,000 --> 00:00:02,500\nThe ferry\nleaves.\n\n",
            "2\n00:00:03,000 --> 00:00:04,500\n<i>Now!</i>\n\n",
            "NOTE x\n\n",
            "00:01.000 --> 00:02.000 align:start\n- Go.\n- No.\n\n",
            "\n",
            "lost line\n\n");
    private static final List<String> MARKDOWN = List.of(
            "# The *quay*\n\n",
            "Text with `code`, **bold _both_** and [a link](http://x.test \"t\").\ngoes on\n\n",
            "> quoted\n> twice\n\n",
            "- one\n- two  \n  three\n\n",
            "1. first\n\n   | A | B\\|b |\n   |---|---|\n   | c | *d* |\n\n",
            "```\ncode\n```\n\n",
            "<div>html</div>\n\n",
            "![A pier](p.png) and ![](q.png) 5 \\* 6 &amp; x_y_z\n\n",
            "[ref]: http://x.test\n\n",
            "Setext\n======\n\n",
            "<b>in</b> {name} &lt;b&gt;\n\n",
            "1986\\. A year\n\n");
    private static final List<String> CSV = List.of(
            "1,Quay,\"open, \"\"now\"\"\"\n", "2,\"two\nlines\",x\r\n", ",,\n", "\n", "3,{name} pier", "\"open\n");
    private static final List<String> MESSAGES = List.of(
            "\"p\":\"{n, plural, one {# ferry} other {# ferries \\\"x\\\"}}\"",
            "\"q\":\"Hi {who}, {n, plural, =0 {none} other {{g, select, m {he''s} other {it}} go}} now\"",
            "\"r\":\"{broken, plural, one {x}\"",
            "\"s\":\"{d, date, short} '{'quoted'}' don't {n, selectordinal, other {#th}}\"");
    private static final List<String> XML = List.of(
            "<p>The <b>quay</b>. Next &amp; one.</p>\n",
            "<p its:translate='no'>Marram</p>",
            "<p>to <name its:translate=\"no\">Port Marram</name>!<!-- x --></p>",
            "<item label='The \"pier\"' id='a'/>",
            "<list><item>one<note its:withinText='nested'>Aside <i>x</i></note></item></list>",
            "<pre xml:space='preserve'>two\n  lines</pre>",
            "<c><![CDATA[5 < 6 {n}]]></c>",
            "<d>&undeclared; text<br/>end</d>");
    private static final List<String> TEXT =
            List.of("The quay. It is open.\n", "\n", "  indented\r\n", "last", "5 % — é\n");

    private static final String XML_HEAD = "<?xml version='1.0'?>\n<!DOCTYPE page SYSTEM 'page.dtd'>\n"
            + "<page xmlns:its='http://www.w3.org/2005/11/its'><its:rules version='2.0'>"
            + "<its:translateRule selector='//item/@label' translate='yes'/></its:rules>";

    private static Arbitrary<DocumentSample> files(
            String name, List<String> pieces, String before, String between, String after) {
        return Arbitraries.of(pieces)
                .list()
                .ofMaxSize(7)
                .map(list -> DocumentSample.of(name, before + String.join(between, list) + after));
    }

    @Provide
    Arbitrary<DocumentSample> documents() {
        return Arbitraries.oneOf(
                files("a.properties", PROPERTIES, "# Bundle\n", "", ""),
                files("a.json", JSON, "{ ", " ,\n  ", " }\n"),
                files("a.html", HTML, "<html lang=en><body>", " ", "</body></html>"),
                files("a.srt", SUBTITLES, "0\n00:00:00,100 --> 00:00:00,900\nFirst\n\n", "", ""),
                files("a.md", MARKDOWN, "---\ntitle: 'The quay''s'\ndate: 2026\n---\n", "", ""),
                files("a.csv", CSV, "id,name,note\n", "", ""),
                files("m.json", MESSAGES, "{ ", " ,\n  ", " }\n"),
                files("a.xml", XML, XML_HEAD, "\n", "</page>"),
                files("a.txt", TEXT, "Title\n", "", ""));
    }

    @Property
    void anUntouchedDocumentIsWrittenByteForByte(@ForAll("documents") DocumentSample document) throws IOException {
        assertThat(document.written(List.of())).isEqualTo(document.bytes());
    }

    @Property
    void whatWasTranslatedIsFoundAgainAndNothingElse(@ForAll("documents") DocumentSample document) throws IOException {
        DocumentSample whole = document.with(document.options().with(SegmentationRules.BY_PARAGRAPH));
        DocumentFile before = whole.open();
        List<SegmentEdit> edits = DocumentSample.translated(before, text -> text.toUpperCase(Locale.ROOT));

        byte[] written = whole.written(edits);

        DocumentFile after = new DocumentSample(document.name(), written, whole.options()).open();
        assertThat(after.units(List.of()))
                .extracting(WrittenUnit::written)
                .isEqualTo(
                        before.units(edits).stream().map(WrittenUnit::written).toList());
    }
}
